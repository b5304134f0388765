package amberheron.core.harness;

import amberheron.core.finding.CheckId;

/** The checks of chart, joints, route and what was wired. */
public enum HarnessCheck implements CheckId {
    CHART_COMPLETE("chart.complete"),
    CHART_TWINS("chart.twins"),
    CHART_PINS("chart.pins"),
    CHART_CROSSED("chart.crossed"),
    CHART_WAY("chart.way"),
    CHART_UNUSED("chart.unused"),
    CHART_CONTINUITY("chart.continuity"),
    JOINT_STEPS("joint.steps"),
    JOINT_WIRE("joint.wire"),
    JOINT_PULL("joint.pull"),
    JOINT_DROP("joint.drop"),
    ROUTE_LENGTH("route.length"),
    ROUTE_SLACK("route.slack"),
    ROUTE_HOT("route.hot"),
    ROUTE_MOVING("route.moving"),
    ROUTE_BEND("route.bend"),
    ROUTE_HOLE("route.hole"),
    ROUTE_SPRAY("route.spray"),
    ROUTE_SEAT("route.seat"),
    WIRED_DROP("wired.drop");

    private final String key;

    HarnessCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
