package amberheron.core.units;

/**
 * American wire gauge. Diameter 0.127·92^((36−n)/39) mm, ASTM B258.
 */
public final class WireGauge {
    private static final double BASE_DIAMETER = 0.127e-3;

    private WireGauge() {
    }

    /**
     * The conductor's cross-section in square metres for a gauge number.
     *
     * @param gauge −3 (written 4/0) to 40
     */
    public static double crossSection(double gauge) {
        double diameter = BASE_DIAMETER * Math.pow(92, (36 - gauge) / 39);
        return Math.PI / 4 * diameter * diameter;
    }

    /** The gauge number, not rounded, whose cross-section in square metres is given. */
    public static double gauge(double crossSection) {
        double diameter = Math.sqrt(4 * crossSection / Math.PI);
        return 36 - 39 * Math.log(diameter / BASE_DIAMETER) / Math.log(92);
    }
}
