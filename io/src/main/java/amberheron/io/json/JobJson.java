package amberheron.io.json;

import amberheron.core.display.Display;
import amberheron.core.display.PickUp;
import amberheron.core.display.Told;
import amberheron.core.finding.Origin;
import amberheron.core.job.Changes;
import amberheron.core.job.Entries;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.Outputs;
import amberheron.core.job.Progress;
import amberheron.core.job.RestsOn;
import amberheron.core.job.RoadTest;
import amberheron.core.job.Waiting;
import amberheron.core.parts.PartIds;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The job document, format version 4: SI throughout, mixtures as lambda, null for what is not known. */
final class JobJson {
    private static final String FORMAT = "amber-heron-job";

    private JobJson() {
    }

    /** Whether a field holds a map with free keys rather than an object with known fields. */
    static boolean isMap(String field) {
        return Set.of("drafts", "origins", "changes", "gauge", "told").contains(field);
    }

    static Job read(String file, ObjectNode tree) {
        Cursor at = new Cursor(file, "", tree);
        if (!FORMAT.equals(at.textOrNull("format"))) {
            throw at.fault("format", "“" + FORMAT + "”");
        }
        if (at.integer("version") < 1) {
            throw at.fault("version", "1 or more");
        }
        Cursor handOver = at.object("handOver");
        return new Job(at.text("id"), intake(at.object("intake")), progress(at.object("progress")),
                PlacingJson.read(at.object("placing")),
                WiringJson.read(at.object("wiring")), AirJson.read(at.object("air")),
                at.objectOrNone("gauge").map(QuantityJson::read).orElse(null),
                at.objectOrNone("display").map(JobJson::display).orElse(Display.UNTOLD), outputs(at),
                at.objectOrNone("roadTest").map(RoadTestJson::read).orElse(RoadTest.NONE),
                new Job.HandOver(handOver.text("notDone", ""), handOver.date("date"),
                        handOver.text("by", "")),
                entries(at),
                changes(at).of(false));
    }

    /** The first output stands in the document itself, as the only one does; the others beside it. */
    private static Outputs outputs(Cursor at) {
        Cursor more = at.objectOrNone("outputs").orElse(null);
        List<Output> all = new ArrayList<>();
        all.add(output(at, more == null ? "1" : more.text("atHand"), more == null || more.flag("logged")));
        if (more == null) {
            return new Outputs(all, all.getFirst().id());
        }
        more.list("putBy").forEach(o -> all.add(output(o, o.text("id"), o.flag("logged"))));
        requireOnce(more, all);
        // In a document that kept which one was worked on the first may stand among the others.
        all.sort(Comparator
                .comparingInt(o -> o.id().matches("\\d{1,6}") ? Integer.parseInt(o.id()) : Integer.MAX_VALUE));
        return new Outputs(all, all.getFirst().id());
    }

    private static void requireOnce(Cursor at, List<Output> all) {
        Set<String> ids = new HashSet<>();
        all.stream().map(Output::id).filter(id -> !ids.add(id)).findFirst().ifPresent(id -> {
            throw at.fault("putBy", "each id once, found “" + id + "” twice");
        });
    }

    private static Output output(Cursor at, String id, boolean logged) {
        return new Output(id, logged, at.objectOrNone("law").map(LawJson::read).orElse(null),
                at.objectOrNone("reader").map(ReaderJson::read).orElse(null),
                PartIds.numbered(at.list("points").stream().map(JobJson::point).toList(), CheckPoint::id,
                        CheckPoint::withId),
                at.objectOrNone("proving").map(ProvingJson::read).orElse(null), changes(at).of(true));
    }

    private static ObjectNode write(Outputs outputs) {
        ObjectNode out = Json.object().put("atHand", outputs.active().id()).put("logged", outputs.active().logged());
        ArrayNode putBy = out.putArray("putBy");
        outputs.others().forEach(o -> {
            ObjectNode one = putBy.addObject().put("id", o.id()).put("logged", o.logged());
            write(one, o);
            write(one.putObject("changes"), o.changes());
        });
        return out;
    }

    private static void write(ObjectNode out, Output output) {
        var law = output.law();
        out.set("law", law == null ? out.nullNode() : LawJson.write(law));
        var reader = output.reader();
        out.set("reader", reader == null ? out.nullNode() : ReaderJson.write(reader));
        ArrayNode points = out.putArray("points");
        output.points().forEach(p -> points.addObject().put("id", p.id()).put("volts", p.volts()).put("true", p.truth())
                .put("shown", p.shown()).put("note", p.note()).put("engine", Cursor.idOrNull(p.engine()))
                .set("origin", OriginJson.write(p.origin())));
        var proving = output.proving();
        out.set("proving", proving == null ? out.nullNode() : ProvingJson.write(proving));
    }

    private static void write(ObjectNode out, Changes changes) {
        changes.at().forEach((basis, when) -> out.put(basis.key(), when.toString()));
    }

    static ObjectNode write(Job job) {
        ObjectNode out = Json.object().put("format", FORMAT).put("version", JobSchema.VERSION).put("id", job.id());
        out.set("intake", write(job.intake()));
        out.set("progress", write(job.progress()));
        out.set("placing", PlacingJson.write(job.placing()));
        out.set("wiring", WiringJson.write(job.wiring()));
        out.set("air", AirJson.write(job.air()));
        QuantityJson.write(out, "gauge", job.gauge());
        out.set("display", write(job.display()));
        write(out, job.outputs().active());
        out.set("outputs", write(job.outputs()));
        out.set("roadTest", RoadTestJson.write(job.roadTest()));
        out.putObject("handOver").put("notDone", job.handOver().notDone()).put("date", text(job.handOver().date()))
                .put("by", job.handOver().by());
        ObjectNode drafts = out.putObject("drafts");
        job.entries().drafts().forEach(drafts::put);
        write(out.putObject("changes"), job.changes().and(job.outputs().active().changes()));
        ObjectNode origins = out.putObject("origins");
        job.entries().origins().forEach((field, origin) -> origins.set(field, OriginJson.write(origin)));
        return out;
    }

    private static Display display(Cursor at) {
        Map<Told, Double> told = new EnumMap<>(Told.class);
        at.objectOrNone("told").ifPresent(t -> {
            for (Told what : Told.values()) {
                Double value = t.numberOrNull(what.key());
                if (value != null) {
                    told.put(what, value);
                }
            }
        });
        return at.build(() -> new Display(at.choiceOrNull("pickUp", PickUp.values()), at.integerOrNull("teeth"),
                at.flag("twoStroke"), at.flagOrNull("knowsLoad"), at.choiceOrNull("dimmer", Display.Dimmer.values()),
                told));
    }

    private static ObjectNode write(Display display) {
        ObjectNode out = Json.object().put("pickUp", Cursor.idOrNull(display.pickUp())).put("teeth", display.teeth())
                .put("twoStroke", display.twoStroke()).put("knowsLoad", display.knowsLoad())
                .put("dimmer", Cursor.idOrNull(display.dimmer()));
        ObjectNode told = out.putObject("told");
        display.told().forEach((what, value) -> told.put(what.key(), value));
        return out;
    }

    private static Intake intake(Cursor at) {
        Set<Intake.ReaderKind> readers = at.choices("readers", Intake.ReaderKind.values());
        return at.build(() -> new Intake(at.text("vehicle"), at.numberOrNull("displacement"),
                at.integerOrNull("cylinders"), at.integer("banks"),
                at.choiceOrNull("fuelSystem", Intake.FuelSystem.values()),
                at.objectOrNone("fuel").map(FuelJson::read).orElse(null), ExhaustJson.read(at.object("exhaust")),
                at.choiceOrNull("material", Intake.Material.values()),
                at.choice("condition", Intake.Condition.values()), at.numberOrNull("leak"),
                at.choice("fit", Intake.Fit.values()), readers, at.choiceOrNull("link", Intake.Link.values()),
                at.flag("permanent"), at.flag("fixedHarness")));
    }

    private static ObjectNode write(Intake intake) {
        ObjectNode out = Json.object().put("vehicle", intake.vehicle()).put("displacement", intake.displacement())
                .put("cylinders", intake.cylinders()).put("banks", intake.banks())
                .put("fuelSystem", Cursor.idOrNull(intake.fuelSystem()));
        var fuel = intake.fuel();
        out.set("fuel", fuel == null ? out.nullNode() : FuelJson.write(fuel));
        out.set("exhaust", ExhaustJson.write(intake.exhaust()));
        out.put("material", Cursor.idOrNull(intake.material())).put("condition", Cursor.id(intake.condition()))
                .put("leak", intake.leak()).put("fit", Cursor.id(intake.fit()));
        texts(out.putArray("readers"), intake.readers().stream().map(Cursor::id).toList());
        return out.put("link", Cursor.idOrNull(intake.link())).put("permanent", intake.permanent()).put("fixedHarness",
                intake.fixedHarness());
    }

    private static Progress progress(Cursor at) {
        return new Progress(Set.copyOf(at.texts("done")), at.texts("order"), Set.copyOf(at.texts("inHand")),
                at.text("bay", ""), at.date("day"), at.choiceOrNull("hold", Waiting.values()));
    }

    private static ObjectNode write(Progress progress) {
        ObjectNode out = Json.object();
        texts(out.putArray("done"), progress.done());
        texts(out.putArray("order"), progress.order());
        texts(out.putArray("inHand"), progress.inHand());
        return out.put("bay", progress.bay()).put("day", text(progress.day())).put("hold",
                Cursor.idOrNull(progress.hold()));
    }

    private static CheckPoint point(Cursor at) {
        return at.build(() -> new CheckPoint(at.numberOrNull("volts"), at.numberOrNull("true"), at.number("shown"),
                at.text("note", ""), OriginJson.read(at.objectOrNone("origin")),
                at.choiceOrNull("engine", CheckPoint.Engine.values()), at.text("id", "")));
    }

    private static Changes changes(Cursor at) {
        Map<RestsOn, Instant> changes = new EnumMap<>(RestsOn.class);
        at.objectOrNone("changes").ifPresent(c -> {
            for (RestsOn basis : RestsOn.values()) {
                Instant moment = OriginJson.moment(c, basis.key());
                if (moment != null) {
                    changes.put(basis, moment);
                }
            }
        });
        return new Changes(changes);
    }

    private static Entries entries(Cursor at) {
        Map<String, String> drafts = new TreeMap<>();
        at.objectOrNone("drafts").ifPresent(
                d -> d.node().propertyNames().forEach(field -> drafts.put(field, d.text(field))));
        Map<String, Origin> origins = new TreeMap<>();
        at.objectOrNone("origins").ifPresent(o -> o.node().propertyNames()
                .forEach(field -> origins.put(field, OriginJson.read(o.objectOrNone(field)))));
        return new Entries(drafts, origins);
    }

    static @Nullable String text(@Nullable LocalDate date) {
        return date == null ? null : date.toString();
    }

    private static void texts(ArrayNode into, Iterable<String> values) {
        values.forEach(into::add);
    }
}
