package amberheron.core.scaling;

import java.util.Arrays;

/**
 * Straight lines between points of rising x. Outside the points it either goes on with the end line's slope or holds
 * the end value.
 */
final class Polyline {
    private final double[] xs;
    private final double[] ys;
    private final boolean held;

    /**
     * Joins two or more points; x rises strictly.
     *
     * @param held whether the end values are held outside
     */
    Polyline(double[] xs, double[] ys, boolean held) {
        if (xs.length < 2 || xs.length != ys.length) {
            throw new IllegalArgumentException(xs.length + " points, expected two or more");
        }
        this.xs = xs.clone();
        this.ys = ys.clone();
        this.held = held;
    }

    double at(double x) {
        int last = xs.length - 1;
        if (held && x <= xs[0]) {
            return ys[0];
        }
        if (held && x >= xs[last]) {
            return ys[last];
        }
        int found = Arrays.binarySearch(xs, x);
        if (found >= 0) {
            return ys[found];
        }
        int i = Math.clamp(-found - 2, 0, last - 1);
        return ys[i] + (x - xs[i]) * (ys[i + 1] - ys[i]) / (xs[i + 1] - xs[i]);
    }

    /** The curve read the other way; y must be strictly monotone. */
    Polyline inverse() {
        boolean falls = ys[0] > ys[ys.length - 1];
        return new Polyline(falls ? reversed(ys) : ys, falls ? reversed(xs) : xs, held);
    }

    private static double[] reversed(double[] values) {
        double[] out = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            out[i] = values[values.length - 1 - i];
        }
        return out;
    }
}
