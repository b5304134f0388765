package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.display.DisplayField;
import amberheron.core.drivelog.LogField;
import amberheron.core.freeair.AirField;
import amberheron.core.harness.HarnessField;
import amberheron.core.job.Station;
import amberheron.core.parts.Property;
import amberheron.core.placement.PlaceField;
import amberheron.core.plan.IntakeField;
import amberheron.core.scaling.ScaleField;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.wiring.WireField;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a person calls a value that stands somewhere in a job document, and how its number is shown.
 *
 * @param words the station and what it is, such as “Place: distance as fitted”
 * @param dimension what its number measures; null for words, choices and bare numbers
 */
public record FieldWords(String words, @Nullable Dimension dimension) {
    private static final Pattern INDEX = Pattern.compile("\\[(\\d+)]");
    /** A value of another output than the first, which stands in the job itself. */
    private static final Pattern OF_OUTPUT = Pattern.compile("outputs\\.putBy\\[(\\d{1,4})]\\.(.+)");
    private static final Map<String, Station> STATIONS = Map.ofEntries(Map.entry("intake", Station.PLAN),
            Map.entry("progress", Station.PLAN), Map.entry("placing", Station.PLACE),
            Map.entry("wiring", Station.WIRE), Map.entry("air", Station.AIR), Map.entry("law", Station.SCALE),
            Map.entry("gauge", Station.SCALE), Map.entry("reader", Station.SCALE), Map.entry("points", Station.SCALE),
            Map.entry("display", Station.SCALE), Map.entry("outputs", Station.SCALE),
            Map.entry("proving", Station.PROVE), Map.entry("roadTest", Station.PROVE),
            Map.entry("handOver", Station.HAND_OVER));
    private static final Map<String, Said> KNOWN = new HashMap<>();

    private record Said(String words, @Nullable Dimension dimension) {
    }

    static {
        plan();
        place();
        wire();
        harness();
        airAndAfter();
    }

    private static void is(String path, Property property) {
        is(path, property, null);
    }

    private static void is(String path, Property property, @Nullable Dimension dimension) {
        KNOWN.put(path, new Said(property.words(), dimension));
    }

    private static void is(String path, String words, @Nullable Dimension dimension) {
        KNOWN.put(path, new Said(words, dimension));
    }

    private static void plan() {
        is("intake.vehicle", IntakeField.VEHICLE);
        is("intake.displacement", PlaceField.DISPLACEMENT, Dimension.VOLUME);
        is("intake.cylinders", IntakeField.CYLINDERS);
        is("intake.banks", IntakeField.BANKS);
        is("intake.fuelSystem", IntakeField.FUEL_SYSTEM);
        is("intake.material", IntakeField.MATERIAL);
        is("intake.condition", IntakeField.CONDITION);
        is("intake.leak", IntakeField.LEAK, Dimension.FRACTION);
        is("intake.fit", IntakeField.FIT);
        is("intake.readers", IntakeField.READERS);
        is("intake.link", IntakeField.LINK);
        is("intake.permanent", IntakeField.STAYS);
        is("intake.fixedHarness", IntakeField.HARNESS);
        is("progress.done", "a step that is done", null);
        is("progress.inHand", "what is at hand", null);
        is("progress.bay", "bay", null);
        is("progress.day", "day", null);
        is("progress.hold", "what it waits on", null);
    }

    private static void place() {
        String piece = "intake.exhaust.segments.";
        is(piece + "length", PlaceField.PIECE_LENGTH, Dimension.LENGTH);
        is(piece + "diameter", PlaceField.PIECE_DIAMETER, Dimension.LENGTH);
        is(piece + "wall", PlaceField.PIECE_WALL, Dimension.LENGTH);
        is(piece + "slope", PlaceField.PIECE_SLOPE, Dimension.ANGLE);
        is(piece + "endSlope", PlaceField.PIECE_END_SLOPE, Dimension.ANGLE);
        is(piece + "heading", PlaceField.PIECE_HEADING, Dimension.ANGLE);
        is(piece + "kind", "kind of the piece", null);
        String neighbour = "intake.exhaust.neighbours.";
        is(neighbour + "from", PlaceField.NEIGHBOUR_FROM, Dimension.LENGTH);
        is(neighbour + "to", PlaceField.NEIGHBOUR_TO, Dimension.LENGTH);
        is(neighbour + "gap", PlaceField.NEIGHBOUR_GAP, Dimension.LENGTH);
        is(neighbour + "kind", "what lies beside the pipe", null);
        is("intake.exhaust.attitude.pitch", PlaceField.PITCH, Dimension.ANGLE);
        is("intake.exhaust.attitude.roll", PlaceField.ROLL, Dimension.ANGLE);
        String place = "placing.candidates.";
        is(place + "note", "what the place is", null);
        is(place + "distance", PlaceField.DISTANCE, Dimension.LENGTH);
        is(place + "clock", PlaceField.CLOCK, Dimension.ANGLE);
        is(place + "slope", PlaceField.SLOPE, Dimension.ANGLE);
        is(place + "lean", PlaceField.LEAN, Dimension.ANGLE);
        is(place + "gas", PlaceField.GAS, Dimension.TEMPERATURE);
        is("placing.chosen", "the place taken", null);
        is("placing.probe.standOut", PlaceField.STAND_OUT, Dimension.LENGTH);
        is("placing.probe.lead", PlaceField.LEAD, Dimension.LENGTH);
        is("placing.probe.leadExit", PlaceField.LEAD_EXIT, Dimension.LENGTH);
        is("placing.probe.leadOnward", PlaceField.LEAD_ONWARD, Dimension.LENGTH);
        is("placing.bung.diameter", PlaceField.BUNG_DIAMETER, Dimension.LENGTH);
        is("placing.bung.lip", PlaceField.BUNG_LIP, Dimension.LENGTH);
        is("placing.fitted.distance", PlaceField.FITTED_DISTANCE, Dimension.LENGTH);
        is("placing.fitted.reading", PlaceField.FITTED_READING, Dimension.ANGLE);
        is("placing.fitted.along", PlaceField.FITTED_ALONG, Dimension.ANGLE);
        is("placing.fitted.across", PlaceField.FITTED_ACROSS, Dimension.ANGLE);
        is("placing.fitted.airtight", PlaceField.FITTED_TIGHT);
    }

    private static void wire() {
        is("wiring.sources.place", WireField.SOURCE_PLACE);
        for (String state : new String[]{"off", "accessory", "on", "cranking", "running", "lamps", "indicators"}) {
            is("wiring.sources.volts." + state, "volts at the source, " + state, Dimension.VOLTAGE);
        }
        is("wiring.sources.hostFuse", WireField.HOST_FUSE, Dimension.CURRENT);
        is("wiring.sources.hostLoad", WireField.HOST_LOAD, Dimension.CURRENT);
        is("wiring.taken", "the source taken", null);
        is("wiring.feed.length", WireField.FEED_LENGTH, Dimension.LENGTH);
        is("wiring.feed.crossSection", WireField.FEED_SECTION, Dimension.CROSS_SECTION);
        is("wiring.feed.battery", WireField.BATTERY);
        is("wiring.feed.atBattery", WireField.AT_BATTERY, Dimension.VOLTAGE);
        is("wiring.feed.memory", WireField.MEMORY, Dimension.CURRENT);
        is("wiring.fuse", WireField.FUSE, Dimension.CURRENT);
        is("wiring.draw", WireField.DRAW, Dimension.CURRENT);
        String ground = "wiring.ground.";
        is(ground + "school", WireField.SCHOOL);
        is(ground + "toBattery", WireField.TO_BATTERY, Dimension.LENGTH);
        is(ground + "toChassis", WireField.TO_CHASSIS, Dimension.LENGTH);
        is(ground + "toReader", WireField.TO_READER, Dimension.LENGTH);
        is(ground + "section", WireField.SECTION, Dimension.CROSS_SECTION);
        is(ground + "mean", WireField.MEAN, Dimension.CURRENT);
        is(ground + "peak", WireField.PEAK, Dimension.CURRENT);
        is(ground + "strap", WireField.STRAP, Dimension.RESISTANCE);
        is(ground + "others", WireField.OTHERS, Dimension.CURRENT);
        is(ground + "display", WireField.DISPLAY, Dimension.CURRENT);
        is(ground + "joint", WireField.JOINT, Dimension.RESISTANCE);
        is(ground + "readerDraw", WireField.READER_DRAW, Dimension.CURRENT);
        for (String school : new String[]{"battery", "chassis", "reader", "same-point"}) {
            is(ground + "measured." + school, WireField.MEASURED, Dimension.VOLTAGE);
        }
        for (String load : new String[]{"nothing", "heater", "lamps", "fan"}) {
            is(ground + "trial." + load, WireField.TRIAL, Dimension.VOLTAGE);
        }
        is(ground + "trial.lampsDraw", WireField.TRIAL_LAMPS, Dimension.CURRENT);
        is(ground + "trial.fanDraw", WireField.TRIAL_FAN, Dimension.CURRENT);
        is("wiring.heater.school", WireField.HEATER);
        is("wiring.heater.delay", WireField.HEATER_DELAY, Dimension.DURATION);
        is("wiring.signals.outputOhms", WireField.SIGNAL_OUTPUT, Dimension.RESISTANCE);
        String hookup = "wiring.signals.hookups.";
        is(hookup + "form", WireField.SIGNAL_FORM);
        is(hookup + "inputOhms", WireField.SIGNAL_INPUT, Dimension.RESISTANCE);
        is(hookup + "mostVolts", WireField.SIGNAL_MOST, Dimension.VOLTAGE);
        is(hookup + "pullUpOhms", WireField.SIGNAL_PULL, Dimension.RESISTANCE);
        is(hookup + "pullUpVolts", WireField.SIGNAL_PULL_VOLTS, Dimension.VOLTAGE);
    }

    private static void harness() {
        String wire = "wiring.harness.wires.";
        is(wire + "work", HarnessField.CHART_WORK);
        is(wire + "colour", HarnessField.CHART_COLOUR);
        is(wire + "toldApart", HarnessField.CHART_APART);
        is(wire + "left", HarnessField.CHART_LEFT);
        is(wire + "toPin", HarnessField.CHART_TO_PIN);
        is(wire + "ohms", HarnessField.CHART_OHMS, Dimension.RESISTANCE);
        String route = "wiring.harness.route.";
        is(route + "points.length", HarnessField.ROUTE_LENGTH, Dimension.LENGTH);
        is(route + "points.bend", HarnessField.ROUTE_BEND, Dimension.LENGTH);
        is(route + "points.hot", HarnessField.ROUTE_HOT, Dimension.LENGTH);
        is(route + "points.moving", HarnessField.ROUTE_MOVING, Dimension.LENGTH);
        is(route + "points.name", "a place the cable passes", null);
        is(route + "lead", HarnessField.LEAD, Dimension.LENGTH);
        is(route + "extension", HarnessField.EXTENSION, Dimension.LENGTH);
        is(route + "slackAtEngine", HarnessField.LOOP_AT_ENGINE, Dimension.LENGTH);
        is(route + "slackAtDisplay", HarnessField.LOOP_AT_DISPLAY, Dimension.LENGTH);
        is(route + "cable", HarnessField.CABLE, Dimension.LENGTH);
        is(route + "connector", HarnessField.CONNECTOR, Dimension.LENGTH);
        is(route + "hole", HarnessField.HOLE, Dimension.LENGTH);
        is(route + "passage", HarnessField.PASSAGE);
        is(route + "lookedBehind", HarnessField.LOOKED_BEHIND);
        is(route + "facing", HarnessField.FACING);
        is(route + "dripLoop", HarnessField.DRIP_LOOP);
        String joint = "wiring.harness.joints.";
        is(joint + "school", HarnessField.JOINT_SCHOOL);
        is(joint + "tested.wire", HarnessField.JOINT_WIRE);
        is(joint + "tested.section", HarnessField.JOINT_SECTION, Dimension.CROSS_SECTION);
        is(joint + "tested.pull", HarnessField.JOINT_PULL, Dimension.FORCE);
        is(joint + "tested.drop", HarnessField.JOINT_DROP, Dimension.VOLTAGE);
        is("wiring.harness.asWired.atSource", HarnessField.AT_SOURCE, Dimension.VOLTAGE);
        is("wiring.harness.asWired.atController", HarnessField.AT_CONTROLLER, Dimension.VOLTAGE);
        is("wiring.harness.asWired.note", "what is noted of it as wired", null);
    }

    private static void airAndAfter() {
        is("air.controller.name", AirField.CONTROLLER);
        is("air.temperature", AirField.TEMPERATURE, Dimension.TEMPERATURE);
        is("air.humidity", AirField.HUMIDITY, Dimension.FRACTION);
        is("air.height", AirField.HEIGHT, Dimension.LENGTH);
        is("air.pressure", AirField.PRESSURE, Dimension.PRESSURE);
        is("air.drivenHeight", AirField.DRIVEN, Dimension.LENGTH);
        is("air.shownOxygen", AirField.SHOWN, Dimension.FRACTION);
        is("air.shownLambda", AirField.MIXTURE, Dimension.MIXTURE);
        is("air.settled", AirField.SETTLED, Dimension.DURATION);
        is("air.sensor", AirField.SENSOR);
        is("law.name", ScaleField.LAW);
        is("gauge.quantity", ScaleField.GAUGE);
        is("reader.name", ScaleField.READER);
        is("reader.input.filter", ScaleField.FILTER, Dimension.DURATION);
        is("points.volts", "volts of the check point", Dimension.VOLTAGE);
        is("points.true", "what the controller says at the check point", Dimension.MIXTURE);
        is("points.shown", "what the reader shows at the check point", Dimension.MIXTURE);
        is("display.pickUp", DisplayField.PICK_UP);
        is("display.teeth", DisplayField.TEETH);
        is("display.twoStroke", DisplayField.STROKES);
        is("display.knowsLoad", DisplayField.LOAD);
        is("display.dimmer", DisplayField.DIMMER);
        is("proving.file", LogField.FILE);
        String witness = "roadTest.witness.";
        is(witness + "carbonDioxide", LogField.CARBON_DIOXIDE, Dimension.FRACTION);
        is(witness + "carbonMonoxide", LogField.CARBON_MONOXIDE, Dimension.FRACTION);
        is(witness + "oxygen", LogField.OXYGEN, Dimension.FRACTION);
        is(witness + "shown", LogField.SHOWN, Dimension.MIXTURE);
        is(witness + "act", LogField.ACT);
        is(witness + "before", LogField.BEFORE, Dimension.MIXTURE);
        is(witness + "after", LogField.AFTER, Dimension.MIXTURE);
        is("handOver.notDone", "what was not done", null);
        is("handOver.by", "initials of who hands over", null);
        is("handOver.date", "day of the hand-over", null);
    }

    /** Where the values stand that have a name of their own. */
    static Set<String> named() {
        return Set.copyOf(KNOWN.keySet());
    }

    /** Of a field as {@link Difference#field()} has it; one that nobody named is said in the words it is made of. */
    public static FieldWords of(String field) {
        Matcher output = OF_OUTPUT.matcher(field);
        if (output.matches()) {
            FieldWords of = of(output.group(2));
            return new FieldWords(say("%s, reader %d", of.words(), 1 + Integer.parseInt(output.group(1))),
                    of.dimension());
        }
        String path = INDEX.matcher(field).replaceAll("");
        Said said = KNOWN.get(path);
        Station station = STATIONS.get(path.split("\\.", 2)[0]);
        Matcher index = INDEX.matcher(field);
        String which = index.find() ? " (" + index.group(1) + ")" : "";
        return new FieldWords((station == null ? "" : station.title() + ": ")
                + (said == null ? plain(path, station != null) : said.words()) + which,
                said == null ? null : said.dimension());
    }

    private static String plain(String path, boolean stationSaid) {
        return Stream.of(path.split("\\.")).skip(stationSaid && path.contains(".") ? 1 : 0)
                .map(p -> p.replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    /** A value of it as a measure; empty for what is shown as it stands. */
    public Optional<Measure> measure(String value) {
        try {
            return dimension == null
                    ? Optional.empty()
                    : Optional.of(new Measure(Double.parseDouble(value), dimension, decimals(dimension)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** Finely enough that two values that differ are not shown alike. */
    private static int decimals(Dimension dimension) {
        return switch (dimension) {
            case VOLTAGE, RESISTANCE, MIXTURE -> 4;
            case CURRENT, CROSS_SECTION, FRACTION, VOLUME -> 3;
            default -> 1;
        };
    }
}
