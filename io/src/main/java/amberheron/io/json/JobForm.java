package amberheron.io.json;

import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.date;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.numbered;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOrEmpty;

import amberheron.core.display.Display;
import amberheron.core.finding.Origin;
import amberheron.core.job.Changes;
import amberheron.core.job.Entries;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.Outputs;
import amberheron.core.job.RestsOn;
import amberheron.core.job.RoadTest;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.ScaleField;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The job document: SI throughout, mixtures as lambda, null for what is not known. Reader, writer, schema and the names of
 * values all follow from what is described here and in the forms beside it.
 */
final class JobForm {
    /** The version of the document format written now. */
    static final int VERSION = 4;
    private static final String FORMAT = "amber-heron-job";
    /** Name of the list of outputs; the first output stands in the document itself, as an only one does. */
    private static final String OUTPUTS = "outputs";
    private static final String OTHERS = "putBy";
    private static final String FIRST = "atHand";
    private static final String LOGGED = "logged";
    private static final String CHANGES = "changes";
    /** Fields that hold a map with free keys, or one of several kinds, rather than an object with known fields. */
    private static final Set<String> MAPS = Set.of("drafts", "origins", CHANGES, "gauge", "linkScale", "told");

    /** Times at which the inputs that readings rest on last changed. */
    private static final class ChangesPart<T> implements Part<T, Changes> {
        private final Function<T, Changes> of;
        private final boolean ofAnOutput;

        /**
         * Changes under {@code changes}.
         *
         * @param ofAnOutput whether only those of an output are read, or only those of the job
         */
        ChangesPart(Function<T, Changes> of, boolean ofAnOutput) {
            this.of = of;
            this.ofAnOutput = ofAnOutput;
        }

        @Override
        public Changes read(Cursor at) {
            Map<RestsOn, Instant> changes = new EnumMap<>(RestsOn.class);
            at.objectOrNone(CHANGES).ifPresent(c -> {
                for (RestsOn basis : RestsOn.values()) {
                    Instant moment = c.momentOrNull(basis.key());
                    if (moment != null) {
                        changes.put(basis, moment);
                    }
                }
            });
            return new Changes(changes).of(ofAnOutput);
        }

        @Override
        public void write(ObjectNode out, T from) {
            ObjectNode changes = out.putObject(CHANGES);
            of.apply(from).at().forEach((basis, when) -> changes.put(basis.key(), when.toString()));
        }

        @Override
        public void describe(SchemaObject into) {
            into.add(CHANGES, mapOf(Value.type("string").put("maxLength", Value.LINE)).put("description",
                    "when what the readings rest on last changed, moments in ISO 8601"), false);
        }
    }

    private static final Part<Output, List<CheckPoint>> POINTS = numbered("points", Output::points,
            ScaleForms.CHECK_POINT, CheckPoint::id, CheckPoint::withId);

    private static final RecordForm<Output> OUTPUT = RecordForm.of(Output::new,
            text("id", Output::id).notEmpty().most(SHORT),
            flag(LOGGED, Output::logged), objectOrNull("law", Output::law, ScaleForms.LAW),
            objectOrNull("reader", Output::reader, ScaleForms.READER), POINTS,
            objectOrNull("proving", Output::proving, ProveForms.PROVING),
            new ChangesPart<>(Output::changes, true));

    /** Fields of the first output that stand in the job. */
    private static final List<String> OF_FIRST = List.of("law", "reader", "points", "proving");

    /** The controller's outputs: the first one in the job itself, the others in a list. */
    private static final class OutputsPart implements Part<Job, Outputs> {
        @Override
        public Outputs read(Cursor at) {
            Cursor more = at.objectOrNone(OUTPUTS).orElse(null);
            ObjectNode first = Json.object().put("id", more == null ? "1" : more.text(FIRST)).put(LOGGED,
                    more == null || more.flag(LOGGED));
            Stream.concat(OF_FIRST.stream(), Stream.of(CHANGES)).filter(at.node()::has)
                    .forEach(field -> first.set(field, at.node().get(field)));
            List<Output> all = new ArrayList<>();
            all.add(OUTPUT.read(new Cursor(at.file(), at.path(), first)));
            if (more == null) {
                return new Outputs(all, all.getFirst().id());
            }
            more.list(OTHERS).forEach(o -> all.add(OUTPUT.read(o)));
            Set<String> ids = new HashSet<>();
            all.stream().map(Output::id).filter(id -> !ids.add(id)).findFirst().ifPresent(id -> {
                throw more.fault(OTHERS, "each id once, found “" + id + "” twice");
            });
            // In a document that kept which one was worked on the first may stand among the others.
            all.sort(Comparator
                    .comparingInt(o -> o.id().matches("\\d{1,6}") ? Integer.parseInt(o.id()) : Integer.MAX_VALUE));
            return new Outputs(all, all.getFirst().id());
        }

        @Override
        public void write(ObjectNode out, Job from) {
            Outputs outputs = from.outputs();
            ObjectNode first = OUTPUT.write(outputs.active());
            OF_FIRST.forEach(field -> out.set(field, first.get(field)));
            ObjectNode list = out.putObject(OUTPUTS).put(FIRST, outputs.active().id()).put(LOGGED,
                    outputs.active().logged());
            ArrayNode others = list.putArray(OTHERS);
            outputs.others().forEach(o -> others.add(OUTPUT.write(o)));
        }

        @Override
        public void describe(SchemaObject into) {
            OF_FIRST.forEach(field -> into.add(field, Json.object().put("$ref",
                    "#/properties/" + OUTPUTS + "/properties/" + OTHERS + "/items/properties/" + field), false));
            SchemaObject list = new SchemaObject()
                    .add(FIRST, Value.type("string").put("minLength", 1).put("maxLength", SHORT), true)
                    .add(LOGGED, Value.type("boolean").put("description",
                            "whether what its reader shows can be logged"), true);
            ObjectNode others = Value.type("array");
            others.set("items", OUTPUT.schema());
            list.add(OTHERS, others, true);
            into.add(OUTPUTS, list.schema().put("description",
                    "The controller's analog outputs. The first stands in the document itself; the others stand here, each with its reader."),
                    false);
        }

        @Override
        public void name(String path, FieldNames into) {
            OUTPUT.name(path, into);
        }
    }

    private static final RecordForm<Job.HandOver> HAND_OVER = RecordForm.of(Job.HandOver::new,
            textOrEmpty("notDone", Job.HandOver::notDone).most(NOTE).called("what was not done"),
            date("date", Job.HandOver::date).called("day of the hand-over"),
            textOrEmpty("by", Job.HandOver::by).about("initials of who hands over")
                    .called("initials of who hands over"));

    private static final RecordForm<Entries> ENTRIES = RecordForm.of(Entries::new,
            Value.<Entries, Map<String, String>>of("drafts", Entries::drafts, new Kind<>((at, field) -> {
                Map<String, String> drafts = new TreeMap<>();
                at.objectOrNone(field)
                        .ifPresent(d -> d.node().propertyNames().forEach(name -> drafts.put(name, d.text(name))));
                return drafts;
            }, (out, field, drafts) -> drafts.forEach(out.putObject(field)::put),
                    () -> mapOf(Value.type("string").put("maxLength", NOTE)), false))
                    .about("entries that could not be used yet, as typed, by field"),
            Value.<Entries, Map<String, Origin>>of("origins", Entries::origins, new Kind<>((at, field) -> {
                Map<String, Origin> origins = new TreeMap<>();
                at.objectOrNone(field).ifPresent(o -> o.node().propertyNames().forEach(name -> origins.put(name,
                        o.objectOrNone(name).map(CommonForms.ORIGIN::read).orElse(Origin.UNRECORDED))));
                return origins;
            }, (out, field, origins) -> {
                ObjectNode to = out.putObject(field);
                origins.forEach((name, origin) -> to.set(name, CommonForms.ORIGIN.write(origin)));
            }, () -> mapOf(CommonForms.ORIGIN.schema()), false))
                    .about("where each value came from and when, by field"));

    private static final RecordForm<Job> JOB = RecordForm.of(Job::new, text("id", Job::id).notEmpty().most(SHORT),
            object("intake", Job::intake, PlanForms.INTAKE), object("progress", Job::progress, PlanForms.PROGRESS),
            object("placing", Job::placing, PlaceForms.PLACING), object("wiring", Job::wiring, WireForms.WIRING),
            object("air", Job::air, AirForms.AIR),
            objectOrNull("gauge", Job::gauge, CommonForms.quantity(ScaleField.GAUGE)),
            objectOr("display", Job::display, ScaleForms.DISPLAY, Display.UNTOLD)
                    .about("The display as it is connected, and what it was told besides the law."),
            new OutputsPart(),
            objectOr("roadTest", Job::roadTest, ProveForms.ROAD_TEST, RoadTest.NONE)
                    .about("What is noted of the drive besides its logs."),
            object("handOver", Job::handOver, HAND_OVER), ENTRIES.inlined(Job::entries),
            new ChangesPart<>((Job j) -> j.changes().and(j.outputs().active().changes()), false)).first("id", "intake",
                    "progress", "placing", "wiring", "air", "gauge", "display", "law", "reader", "points",
                    "proving", OUTPUTS, "roadTest", "handOver", "drafts", CHANGES, "origins");

    private JobForm() {
    }

    private static ObjectNode mapOf(ObjectNode values) {
        ObjectNode schema = Value.type("object");
        schema.set("additionalProperties", values);
        return schema;
    }

    /** Whether a field holds a map with free keys rather than an object with known fields. */
    static boolean isMap(String field) {
        return MAPS.contains(field);
    }

    static Job read(String file, ObjectNode tree) {
        Cursor at = new Cursor(file, "", tree);
        if (!FORMAT.equals(at.textOrNull("format"))) {
            throw at.fault("format", "“" + FORMAT + "”");
        }
        if (at.integer("version") < 1) {
            throw at.fault("version", "1 or more");
        }
        return JOB.read(at);
    }

    static ObjectNode write(Job job) {
        ObjectNode out = Json.object().put("format", FORMAT).put("version", VERSION);
        JOB.write(out, job);
        return out;
    }

    /** Names of a job's values, as people call them. */
    static FieldNames names() {
        FieldNames names = new FieldNames();
        JOB.name("", names);
        return names;
    }

    /** The JSON Schema of the document. */
    static ObjectNode schema() {
        ObjectNode out = Json.object().put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("$id", "urn:amber-heron:job:" + VERSION)
                .put("title", "Amber Heron job document, version " + VERSION)
                .put("description",
                        "One job, complete in itself. SI throughout, angles in radians, mixtures as lambda; null for what is not known. Fields that are not described here are kept as they are found.");
        ObjectNode job = JOB.schema();
        ObjectNode properties = Json.object();
        properties.putObject("format").put("const", FORMAT);
        properties.set("version", Value.type("integer").put("minimum", 1));
        properties.setAll((ObjectNode) job.get("properties"));
        job.set("properties", properties);
        ((ArrayNode) job.get("required")).insert(0, "format").insert(1, "version");
        return out.setAll(job);
    }
}
