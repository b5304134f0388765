package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of chart, joints, route and what was wired. */
public enum HarnessField implements Property {
    CHART("wire.chart.needed", "lines of the chart"),
    CHART_WORK("wire.chart.work", "work of the wire"),
    CHART_COLOUR("wire.chart.colour", "colour of the wire"),
    CHART_EXTENSION("wire.chart.extension", "colour in the extension"),
    CHART_TO("wire.chart.to", "where the wire goes"),
    CHART_APART("wire.chart.apart", "continuity of the wire"),
    CHART_LEFT("wire.chart.left", "how the wire is left"),
    CHART_FROM_PIN("wire.chart.*.fromPin", "pin it comes out of"),
    CHART_TO_PIN("wire.chart.*.toPin", "pin it goes to"),
    CHART_OHMS("wire.chart.*.ohms", "its resistance end to end"),
    JOINT_SCHOOL("wire.joint.school", "how the wires are joined"),
    JOINT_STEP("wire.joint.step.*", "the next step of the joints"),
    JOINTS("wire.joint.add", "a joint tested"),
    JOINT_WIRE("wire.joint.*.wire", "tag of the wire joined"),
    JOINT_SECTION("wire.joint.*.section", "size of the wire joined"),
    JOINT_PULL("wire.joint.*.pull", "pull the joint stood"),
    JOINT_DROP("wire.joint.*.drop", "volts across the joint"),
    AT_SOURCE("wire.wired.atSource", "volts at the source"),
    AT_CONTROLLER("wire.wired.atController", "volts at the controller"),
    ROUTE("wire.route.add", "the places the cable passes"),
    ROUTE_LENGTH("wire.route.*.length", "length of cable to the place"),
    ROUTE_BEND("wire.route.*.bend", "bend at the place"),
    ROUTE_HOT("wire.route.*.hot", "gap to the hot part"),
    ROUTE_MOVING("wire.route.*.moving", "gap to what moves"),
    LEAD("wire.route.lead", "length of the sensor's lead"),
    EXTENSION("wire.route.extension", "length of the extension"),
    LOOP_AT_ENGINE("wire.route.atEngine", "slack at the engine"),
    LOOP_AT_DISPLAY("wire.route.atDisplay", "slack at the display"),
    CABLE("wire.route.cable", "the cable's diameter"),
    PASSAGE("wire.route.passage", "how the cable goes through metal"),
    CONNECTOR("wire.route.connector", "the connector across"),
    HOLE("wire.route.hole", "the hole"),
    LOOKED_BEHIND("wire.route.behind", "a look behind"),
    FACING("wire.route.facing", "which way the plug looks"),
    SEAT("wire.route.seat", "where the controller sits"),
    DRIP_LOOP("wire.route.drip", "a loop before the plug");

    private final String path;
    private final String words;

    HarnessField(String path, String words) {
        this.path = path;
        this.words = words;
    }

    @Override
    public String path() {
        return path;
    }

    @Override
    public String words() {
        return word(words);
    }
}
