package amberheron.io.json;

import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.date;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.numbered;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.partId;
import static amberheron.io.json.Value.positiveOrNull;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOr;
import static amberheron.io.json.Value.textOrEmpty;

import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The conductor chart, the cable's route, the joints, and what was found when it was wired. */
final class HarnessForms {
    private static final RecordForm<Wire> WIRE = RecordForm.of(Wire::new,
            textOr("id", Wire::id, (at, field) -> at.text("tag")).most(SHORT)
                    .about("finds the part wherever it stands; no two parts of a job that anybody adds have the same"),
            text("tag", Wire::tag).notEmpty().most(SHORT),
            choiceOrNull("work", Wire::work, Work.values()).called(HarnessField.CHART_WORK),
            choice("from", Wire::from, Device.values()), textOrEmpty("fromPin", Wire::fromPin).most(SHORT),
            colour("colour", Wire::colour).called(HarnessField.CHART_COLOUR), colour("extension", Wire::extension),
            choiceOrNull("to", Wire::to, Device.values()),
            textOrEmpty("toPin", Wire::toPin).most(SHORT).called(HarnessField.CHART_TO_PIN),
            colour("toColour", Wire::toColour), flag("toldApart", Wire::toldApart).called(HarnessField.CHART_APART),
            choiceOrNull("left", Wire::left, Wire.Left.values()).called(HarnessField.CHART_LEFT),
            numberOrNull("ohms", Wire::ohms).within(Sane.RESISTANCE).about("Ω, end to end")
                    .called(HarnessField.CHART_OHMS, Dimension.RESISTANCE));

    private static final RecordForm<Route.Waypoint> WAYPOINT = RecordForm.of(Route.Waypoint::new,
            textOrEmpty("name", Route.Waypoint::name).called("a place the cable passes"),
            numberOrNull("length", Route.Waypoint::length).within(Sane.LENGTH).about("m from the place before")
                    .called(HarnessField.ROUTE_LENGTH, Dimension.LENGTH),
            numberOrNull("hot", Route.Waypoint::hot).within(Sane.GAP).about("m to what is hot")
                    .called(HarnessField.ROUTE_HOT, Dimension.LENGTH),
            flag("sleeved", Route.Waypoint::sleeved),
            numberOrNull("moving", Route.Waypoint::moving).within(Sane.GAP).about("m to what moves")
                    .called(HarnessField.ROUTE_MOVING, Dimension.LENGTH),
            numberOrNull("bend", Route.Waypoint::bend).within(Sane.LENGTH).about("m, radius")
                    .called(HarnessField.ROUTE_BEND, Dimension.LENGTH),
            partId(Route.Waypoint::id)).first("id");

    private static final RecordForm<Route.Lengths> LENGTHS = RecordForm.of(Route.Lengths::new,
            numberOrNull("lead", Route.Lengths::lead).within(Sane.LENGTH).about("m")
                    .called(HarnessField.LEAD, Dimension.LENGTH),
            numberOrNull("extension", Route.Lengths::extension).within(Sane.LENGTH).about("m")
                    .called(HarnessField.EXTENSION, Dimension.LENGTH),
            numberOrNull("slackAtEngine", Route.Lengths::slackAtEngine).within(Sane.LENGTH).about("m")
                    .called(HarnessField.LOOP_AT_ENGINE, Dimension.LENGTH),
            numberOrNull("slackAtDisplay", Route.Lengths::slackAtDisplay).within(Sane.LENGTH).about("m")
                    .called(HarnessField.LOOP_AT_DISPLAY, Dimension.LENGTH));

    private static final RecordForm<Route.Firewall> FIREWALL = RecordForm.of(Route.Firewall::new,
            numberOrNull("connector", Route.Firewall::connector).within(Sane.BORE).about("m across")
                    .called(HarnessField.CONNECTOR, Dimension.LENGTH),
            numberOrNull("hole", Route.Firewall::hole).within(Sane.BORE).about("m across")
                    .called(HarnessField.HOLE, Dimension.LENGTH),
            choiceOrNull("passage", Route.Firewall::passage, Route.Passage.values()).called(HarnessField.PASSAGE),
            flag("lookedBehind", Route.Firewall::lookedBehind).called(HarnessField.LOOKED_BEHIND));

    private static final RecordForm<Route.Spray> SPRAY = RecordForm.of(Route.Spray::new,
            choiceOrNull("facing", Route.Spray::facing, Route.Facing.values()).called(HarnessField.FACING),
            flag("dripLoop", Route.Spray::dripLoop).called(HarnessField.DRIP_LOOP),
            choiceOrNull("controllerSits", Route.Spray::seat, Route.Seat.values()).called(HarnessField.SEAT));

    private static final RecordForm<Route> ROUTE = RecordForm.of(Route::new,
            numbered("points", Route::points, WAYPOINT, Route.Waypoint::id, Route.Waypoint::withId),
            LENGTHS.inlined(Route::lengths),
            positiveOrNull("cable", Route::cable).within(Sane.BORE).about("m across")
                    .called(HarnessField.CABLE, Dimension.LENGTH),
            FIREWALL.inlined(Route::firewall), SPRAY.inlined(Route::spray));

    private static final RecordForm<Joints.Test> TEST = RecordForm.of(Joints.Test::new,
            textOrEmpty("wire", Joints.Test::wire).called(HarnessField.JOINT_WIRE),
            positiveOrNull("section", Joints.Test::section).within(Sane.SECTION).about("m²")
                    .called(HarnessField.JOINT_SECTION, Dimension.CROSS_SECTION),
            numberOrNull("pull", Joints.Test::pull).within(Sane.FORCE).about("N")
                    .called(HarnessField.JOINT_PULL, Dimension.FORCE),
            numberOrNull("drop", Joints.Test::drop).within(Sane.SUPPLY).about("V across it, the heater working")
                    .called(HarnessField.JOINT_DROP, Dimension.VOLTAGE),
            partId(Joints.Test::id)).first("id");

    private static final RecordForm<Joints> JOINTS = RecordForm.of(Joints::new,
            choiceOrNull("school", Joints::school, Joints.JointSchool.values()).called(HarnessField.JOINT_SCHOOL),
            steps("done", Joints::done),
            numbered("tested", Joints::tested, TEST, Joints.Test::id, Joints.Test::withId));

    private static final RecordForm<AsWired> AS_WIRED = RecordForm.of(AsWired::new,
            numberOrNull("atSource", AsWired::atSource).within(Sane.SUPPLY).about("V")
                    .called(HarnessField.AT_SOURCE, Dimension.VOLTAGE),
            numberOrNull("atController", AsWired::atController).within(Sane.SUPPLY).about("V")
                    .called(HarnessField.AT_CONTROLLER, Dimension.VOLTAGE),
            date("date", AsWired::date),
            textOrEmpty("note", AsWired::note).most(NOTE).called("what is noted of it as wired"),
            list("photos", AsWired::photos, CommonForms.PHOTO));

    static final RecordForm<Harness> HARNESS = RecordForm.of(
            (wires, route, joints, asWired) -> new Harness(new Chart(wires), route, joints, asWired),
            list("wires", (Harness h) -> h.chart().wires(), WIRE),
            objectOr("route", Harness::route, ROUTE, Route.UNMEASURED),
            objectOr("joints", Harness::joints, JOINTS, Joints.NONE),
            objectOr("asWired", Harness::asWired, AS_WIRED, AsWired.NOTHING));

    private HarnessForms() {
    }

    private static Value<Wire, @Nullable WireColour> colour(String name, Function<Wire, @Nullable WireColour> of) {
        return Value.<Wire, @Nullable WireColour>of(name, of, new Kind<>(HarnessForms::colour,
                (out, field, colour) -> out.put(field, colour == null ? null : colour.key()),
                () -> Value.either("string").put("maxLength", Value.LINE), false))
                .about("colour, words of IEC 60757 with a stroke before the stripe");
    }

    private static @Nullable WireColour colour(Cursor at, String field) {
        String text = at.textOrNull(field);
        return text == null
                ? null
                : WireColour.parse(text).orElseThrow(() -> at.fault(field, WireColour.expected()));
    }

    /** Steps of joining by their number. */
    private static Value<Joints, Set<Integer>> steps(String name, Function<Joints, Set<Integer>> of) {
        return Value.<Joints, Set<Integer>>of(name, of,
                new Kind<>((at, field) -> new TreeSet<>(at.integers(field)), (out, field, steps) -> {
                    ArrayNode list = out.putArray(field);
                    steps.forEach(list::add);
                }, HarnessForms::integers, false));
    }

    private static ObjectNode integers() {
        ObjectNode schema = Value.type("array");
        schema.set("items", Value.type("integer"));
        return schema;
    }
}
