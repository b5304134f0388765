package amberheron.io.json;

import static amberheron.core.units.Phrase.say;
import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.choices;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.flagOrNot;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.positiveOrNull;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOr;
import static amberheron.io.json.Value.textOrEmpty;
import static amberheron.io.json.Value.textOrNull;

import amberheron.core.finding.Origin;
import amberheron.core.harness.Harness;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundLoads;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundTrial;
import amberheron.core.wiring.GroundWires;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Power sources with their readings, the feed, the fuse, the grounds, the heater and how the signal gets to its readers. */
final class WireForms {
    /** Readings of a source by state: the volts in one object, where each came from in another. */
    private static final class Readings implements Part<PowerSource, Map<KeyState, PowerSource.Reading>> {
        private static final String VOLTS = "volts";
        private static final String ORIGINS = "origins";

        @Override
        public Map<KeyState, PowerSource.Reading> read(Cursor at) {
            Cursor volts = at.object(VOLTS);
            Optional<Cursor> origins = at.objectOrNone(ORIGINS);
            Map<KeyState, PowerSource.Reading> readings = new EnumMap<>(KeyState.class);
            for (KeyState state : KeyState.values()) {
                Double value = volts.numberOrNull(Cursor.id(state));
                if (value != null) {
                    readings.put(state, new PowerSource.Reading(value,
                            origins.flatMap(o -> o.objectOrNone(Cursor.id(state))).map(CommonForms.ORIGIN::read)
                                    .orElse(Origin.UNRECORDED)));
                }
            }
            return readings;
        }

        @Override
        public void write(ObjectNode out, PowerSource from) {
            ObjectNode volts = out.putObject(VOLTS);
            ObjectNode origins = out.putObject(ORIGINS);
            for (KeyState state : KeyState.values()) {
                PowerSource.Reading reading = from.volts().get(state);
                volts.put(Cursor.id(state), reading == null ? null : Double.valueOf(reading.volts()));
                origins.set(Cursor.id(state),
                        reading == null ? origins.nullNode() : CommonForms.ORIGIN.write(reading.origin()));
            }
        }

        @Override
        public void describe(SchemaObject into) {
            SchemaObject volts = new SchemaObject();
            for (KeyState state : KeyState.values()) {
                volts.add(Cursor.id(state), Value.limited(Value.either("number"), Sane.SUPPLY.min(), Sane.SUPPLY.max())
                        .put("description", "V"), false);
            }
            ObjectNode origins = Value.type("object").put("description",
                    "by state, where each reading of volts came from");
            ArrayNode either = origins.putObject("additionalProperties").putArray("anyOf");
            either.add(CommonForms.ORIGIN.schema()).add(Value.type("null"));
            into.add(VOLTS, volts.schema(), true).add(ORIGINS, origins, false);
        }

        @Override
        public void name(String path, FieldNames into) {
            for (KeyState state : KeyState.values()) {
                into.add(path + VOLTS + "." + Cursor.id(state),
                        new FieldNames.Name(() -> say("volts at the source, %s", Cursor.id(state)), Dimension.VOLTAGE));
            }
        }
    }

    private static final RecordForm<PowerSource> SOURCE = RecordForm.of(PowerSource::new,
            text("id", PowerSource::id).most(SHORT)
                    .about("finds the part wherever it stands; no two parts of a job that anybody adds have the same"),
            textOr("letter", PowerSource::letter, (at, field) -> at.text("id")).most(SHORT)
                    .about("what people call the source; its id where it is not said"),
            textOrEmpty("place", PowerSource::place).called(WireField.SOURCE_PLACE), new Readings(),
            numberOrNull("hostFuse", PowerSource::hostFuse).within(Sane.CURRENT)
                    .about("A, rating of the circuit that is tapped").called(WireField.HOST_FUSE, Dimension.CURRENT),
            numberOrNull("hostLoad", PowerSource::hostLoad).within(Sane.CURRENT).about("A, what it feeds already")
                    .called(WireField.HOST_LOAD, Dimension.CURRENT));

    private static final RecordForm<Feed> FEED = RecordForm.of(Feed::new,
            positiveOrNull("length", Feed::length).within(Sane.LENGTH).about("m, one way")
                    .called(WireField.FEED_LENGTH, Dimension.LENGTH),
            positiveOrNull("crossSection", Feed::crossSection).within(Sane.SECTION).about("m²")
                    .called(WireField.FEED_SECTION, Dimension.CROSS_SECTION),
            flag("relay", Feed::relay),
            positiveOrNull("battery", Feed::battery).within(Sane.CHARGE).about("A·h").called(WireField.BATTERY),
            numberOrNull("atBattery", Feed::atBattery).within(Sane.SUPPLY)
                    .about("V between the battery's posts, key on").called(WireField.AT_BATTERY, Dimension.VOLTAGE),
            numberOrNull("memory", Feed::memory).within(Sane.CURRENT).about("A of a second, constant feed, key off")
                    .called(WireField.MEMORY, Dimension.CURRENT),
            numberOrNull("converted", Feed::converted).within(Sane.SUPPLY)
                    .about("V behind a converter or of a battery of its own, heater working")
                    .called(WireField.CONVERTED, Dimension.VOLTAGE),
            positiveOrNull("leads", Feed::leads).within(Sane.SECTION).about("m², the controller's own power leads")
                    .called(WireField.LEADS, Dimension.CROSS_SECTION));

    private static final RecordForm<GroundTrial> TRIAL = RecordForm.of(GroundTrial::new,
            RecordForm.numbersBy(GroundTrial.On.class, Cursor::id, true, Sane.SUPPLY,
                    on -> new FieldNames.Name(WireField.TRIAL::words, Dimension.VOLTAGE)).inlined(GroundTrial::volts),
            numberOrNull("lampsDraw", GroundTrial::lamps).within(Sane.CURRENT).about("A")
                    .called(WireField.TRIAL_LAMPS, Dimension.CURRENT),
            numberOrNull("fanDraw", GroundTrial::fan).within(Sane.CURRENT).about("A")
                    .called(WireField.TRIAL_FAN, Dimension.CURRENT))
            .first("lampsDraw", "fanDraw");

    private static final RecordForm<GroundWires> GROUND_WIRES = RecordForm.of(GroundWires::new,
            positiveOrNull("toBattery", GroundWires::toBattery).within(Sane.LENGTH).about("m")
                    .called(WireField.TO_BATTERY, Dimension.LENGTH),
            positiveOrNull("toChassis", GroundWires::toChassis).within(Sane.LENGTH).about("m")
                    .called(WireField.TO_CHASSIS, Dimension.LENGTH),
            positiveOrNull("toReader", GroundWires::toReader).within(Sane.LENGTH).about("m")
                    .called(WireField.TO_READER, Dimension.LENGTH),
            positiveOrNull("section", GroundWires::section).within(Sane.SECTION).about("m²")
                    .called(WireField.SECTION, Dimension.CROSS_SECTION),
            positiveOrNull("strap", GroundWires::strap).within(Sane.RESISTANCE).about("Ω")
                    .called(WireField.STRAP, Dimension.RESISTANCE),
            positiveOrNull("joint", GroundWires::joint).within(Sane.RESISTANCE).about("Ω, one joint")
                    .called(WireField.JOINT, Dimension.RESISTANCE));

    private static final RecordForm<GroundLoads> GROUND_LOADS = RecordForm.of(GroundLoads::new,
            numberOrNull("mean", GroundLoads::mean).within(Sane.CURRENT).about("A")
                    .called(WireField.MEAN, Dimension.CURRENT),
            numberOrNull("peak", GroundLoads::peak).within(Sane.CURRENT).about("A")
                    .called(WireField.PEAK, Dimension.CURRENT),
            numberOrNull("others", GroundLoads::others).within(Sane.CURRENT).about("A through the same strap")
                    .called(WireField.OTHERS, Dimension.CURRENT),
            numberOrNull("display", GroundLoads::display).within(Sane.CURRENT).about("A")
                    .called(WireField.DISPLAY, Dimension.CURRENT),
            numberOrNull("readerDraw", GroundLoads::readerDraw).within(Sane.CURRENT).about("A, the reader's own")
                    .called(WireField.READER_DRAW, Dimension.CURRENT));

    private static final RecordForm<GroundPlan> GROUND = RecordForm.of(GroundPlan::new,
            choiceOrNull("school", GroundPlan::school, GroundPlan.GroundSchool.values()).called(WireField.SCHOOL),
            flag("twoWires", GroundPlan::twoWires).about("the signal has a ground apart from the heater's"),
            GROUND_WIRES.inlined(GroundPlan::wires), GROUND_LOADS.inlined(GroundPlan::loads),
            objectOr("measured", GroundPlan::measured,
                    RecordForm.numbersBy(GroundPlan.GroundSchool.class, Cursor::id, true,
                            Sane.SUPPLY, school -> new FieldNames.Name(WireField.MEASURED::words, Dimension.VOLTAGE)),
                    Map.of()),
            objectOr("trial", GroundPlan::trial, TRIAL, GroundTrial.NONE)
                    .about("V between the two grounds, one load after the other switched on"),
            flagOrNot("rewired", GroundPlan::rewired).about("rewired as a cure says: counts once measured again")
                    .called("rewired as the cure says"))
            .first("school", "twoWires", "toBattery", "toChassis", "toReader", "section", "mean", "peak", "others",
                    "strap", "display", "joint", "readerDraw");

    private static final RecordForm<HeaterTiming> HEATER = RecordForm.of(HeaterTiming::new,
            choiceOrNull("school", HeaterTiming::school, HeaterTiming.HeaterSchool.values()).called(WireField.HEATER),
            numberOrNull("delay", HeaterTiming::delay).within(Sane.TIME).about("s")
                    .called(WireField.HEATER_DELAY, Dimension.DURATION));

    private static final RecordForm<Hookup> HOOKUP = RecordForm.of(Hookup::new,
            choice("reader", Hookup::reader, ReaderKind.values()),
            choiceOrNull("form", Hookup::form, Hookup.Form.values()).called(WireField.SIGNAL_FORM),
            flag("minusInput", Hookup::minusInput),
            positiveOrNull("inputOhms", Hookup::inputOhms).within(Sane.RESISTANCE).about("Ω")
                    .called(WireField.SIGNAL_INPUT, Dimension.RESISTANCE),
            positiveOrNull("pullUpOhms", Hookup::pullUpOhms).within(Sane.RESISTANCE).about("Ω")
                    .called(WireField.SIGNAL_PULL, Dimension.RESISTANCE),
            numberOrNull("pullUpVolts", Hookup::pullUpVolts).within(Sane.SUPPLY).about("V")
                    .called(WireField.SIGNAL_PULL_VOLTS, Dimension.VOLTAGE),
            numberOrNull("mostVolts", Hookup::mostVolts).within(Sane.SUPPLY).about("V")
                    .called(WireField.SIGNAL_MOST, Dimension.VOLTAGE));

    private static final RecordForm<Signals> SIGNALS = RecordForm.of(Signals::new,
            positiveOrNull("outputOhms", Signals::outputOhms).within(Sane.RESISTANCE).about("Ω")
                    .called(WireField.SIGNAL_OUTPUT, Dimension.RESISTANCE),
            list("hookups", Signals::hookups, HOOKUP));

    static final RecordForm<Wiring> WIRING = RecordForm.of(Wiring::new, list("sources", Wiring::sources, SOURCE),
            textOrNull("taken", Wiring::taken).called("the source taken"), object("feed", Wiring::feed, FEED),
            numberOrNull("fuse", Wiring::fuse).within(Sane.CURRENT).about("A")
                    .called(WireField.FUSE, Dimension.CURRENT),
            numberOrNull("draw", Wiring::draw).within(Sane.CURRENT).about("A")
                    .called(WireField.DRAW, Dimension.CURRENT),
            object("ground", Wiring::ground, GROUND), textOrEmpty("groundPoint", Wiring::groundPoint).most(NOTE),
            objectOr("signals", Wiring::signals, SIGNALS, Signals.NONE),
            objectOr("heater", Wiring::heater, HEATER, HeaterTiming.OPEN),
            objectOr("harness", Wiring::harness, HarnessForms.HARNESS, Harness.NONE),
            choices("lacks", Wiring::lacks, KeyState.values())
                    .about("states of the key that this vehicle does not have").called("a state that it lacks"));

    private WireForms() {
    }
}
