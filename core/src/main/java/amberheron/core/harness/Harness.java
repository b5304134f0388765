package amberheron.core.harness;

/**
 * The wiring itself, apart from where its power and grounds come from.
 *
 * @param chart every conductor
 * @param route the way the cable takes
 * @param joints how wires are joined
 * @param asWired what was found when it was done
 */
public record Harness(Chart chart, Route route, Joints joints, AsWired asWired) {
    /** A harness of which nothing was drawn up. */
    public static final Harness NONE = new Harness(Chart.EMPTY, Route.UNMEASURED, Joints.NONE, AsWired.NOTHING);

    public Harness withChart(Chart value) {
        return new Harness(value, route, joints, asWired);
    }

    public Harness withRoute(Route value) {
        return new Harness(chart, value, joints, asWired);
    }

    public Harness withJoints(Joints value) {
        return new Harness(chart, route, value, asWired);
    }

    public Harness withAsWired(AsWired value) {
        return new Harness(chart, route, joints, value);
    }
}
