package amberheron.core.harness;

import amberheron.core.parts.Property;

/** What is entered of chart, joints, route and what was wired. */
public enum HarnessField implements Property {
    CHART("wire.chart.needed"),
    CHART_WORK("wire.chart.work"),
    CHART_COLOUR("wire.chart.colour"),
    CHART_APART("wire.chart.apart"),
    CHART_LEFT("wire.chart.left"),
    CHART_TO_PIN("wire.chart.*.toPin"),
    CHART_OHMS("wire.chart.*.ohms"),
    JOINT_SCHOOL("wire.joint.school"),
    JOINT_STEP("wire.joint.step.*"),
    JOINTS("wire.joint.add"),
    JOINT_SECTION("wire.joint.*.section"),
    JOINT_PULL("wire.joint.*.pull"),
    JOINT_OHMS("wire.joint.*.ohms"),
    AT_SOURCE("wire.wired.atSource"),
    AT_CONTROLLER("wire.wired.atController"),
    ROUTE("wire.route.add"),
    ROUTE_LENGTH("wire.route.*.length"),
    ROUTE_BEND("wire.route.*.bend"),
    ROUTE_HOT("wire.route.*.hot"),
    ROUTE_MOVING("wire.route.*.moving"),
    LEAD("wire.route.lead"),
    EXTENSION("wire.route.extension"),
    LOOP_AT_ENGINE("wire.route.atEngine"),
    LOOP_AT_DISPLAY("wire.route.atDisplay"),
    CABLE("wire.route.cable"),
    PASSAGE("wire.route.passage"),
    CONNECTOR("wire.route.connector"),
    HOLE("wire.route.hole"),
    LOOKED_BEHIND("wire.route.behind"),
    FACING("wire.route.facing"),
    DRIP_LOOP("wire.route.drip");

    private final String path;

    HarnessField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
