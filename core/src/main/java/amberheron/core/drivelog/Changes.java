package amberheron.core.drivelog;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.hipparchus.util.FastMath;
import org.jspecify.annotations.Nullable;

/**
 * The time lag of one channel against another, found by cross-correlation of their first differences. Values themselves
 * correlate over long shifts, since both channels hold what they last said; differences do not. A parabola through the
 * greatest correlations gives the lag to a part of a sample.
 */
final class Changes {
    /** Correlation that counts as complete; Fisher's transformation has no end. */
    private static final double MOST = 0.9999;

    private Changes() {
    }

    /**
     * The shift at which two channels correlate best.
     *
     * @param shift by how many moments the second is late
     * @param correlation of their changes there, −1 to 1
     */
    record Fit(double shift, double correlation) {
    }

    /**
     * Correlations of two channels' changes over a range of shifts.
     *
     * @param values −1 to 1; 0 where too little stands side by side
     * @param pairs moments that stand side by side
     */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    record Correlations(double[] values, int[] pairs) {
        /** Returns the place of the greatest. */
        int best() {
            return greatest(values);
        }

        /**
         * How far each stands out from chance, in standard deviations: Fisher's transformation of the correlation by the
         * root of the pairs, over its root mean square at the shifts that are not near. Changes of a drive hang together, so
         * that the spread cannot be told from the number of pairs alone. NaN where there is no other shift to compare with.
         *
         * @param near moments on either side of the strongest that say nothing of chance
         */
        double[] strengths(int near) {
            double[] out = IntStream.range(0, values.length)
                    .mapToDouble(k -> FastMath.atanh(Math.clamp(values[k], -MOST, MOST)) * Math.sqrt(pairs[k]))
                    .toArray();
            int best = greatest(out);
            double chance = Math.sqrt(IntStream.range(0, out.length)
                    .filter(k -> Math.abs(k - best) > near && values[k] != 0).mapToDouble(k -> out[k] * out[k])
                    .average()
                    .orElse(Double.NaN));
            return Arrays.stream(out).map(v -> v / chance).toArray();
        }
    }

    /** First difference of a channel after smoothing; NaN where a neighbour is missing. */
    static double[] of(float[] values, double step) {
        int n = values.length;
        int reach = Math.max(2, (int) Math.round(0.15 / step));
        double[] out = new double[n];
        Arrays.fill(out, Double.NaN);
        double[] weight = new double[reach + 1];
        double weights = 0;
        for (int k = 1; k <= reach; k++) {
            weight[k] = Math.sin(Math.PI * k / (reach + 1));
            weights += weight[k] * 2 * k;
        }
        for (int i = reach; i + reach < n; i++) {
            double sum = 0;
            for (int k = 1; k <= reach; k++) {
                sum += weight[k] * (values[i + k] - values[i - k]);
            }
            out[i] = sum / (weights * step);
        }
        return out;
    }

    /**
     * The best of some shifts.
     *
     * @param first moment of a that is looked at
     * @param last the one after the last
     * @param from least shift tried
     * @param to greatest
     * @param least moments that have to stand side by side
     * @return null where the best is at either end, and so perhaps beyond
     */
    static @Nullable Fit fit(double[] a, double[] b, int first, int last, int from, int to, int least) {
        Correlations correlations = correlations(a, b, first, last, from, to, least);
        double[] all = correlations.values();
        int best = correlations.best();
        if (best == 0 || best == all.length - 1) {
            return null;
        }
        double left = all[best - 1];
        double right = all[best + 1];
        double bend = left - 2 * all[best] + right;
        double part = bend < 0 ? Math.clamp(0.5 * (left - right) / bend, -1, 1) : 0;
        return new Fit(from + best + part, all[best]);
    }

    static int greatest(double[] values) {
        int best = 0;
        for (int k = 1; k < values.length; k++) {
            best = values[k] > values[best] ? k : best;
        }
        return best;
    }

    /** The correlation at each shift; 0 where too little stands side by side. */
    static Correlations correlations(double[] a, double[] b, int first, int last, int from, int to, int least) {
        double[] all = new double[to - from + 1];
        int[] side = new int[all.length];
        for (int k = from; k <= to; k++) {
            double common = 0;
            double one = 0;
            double other = 0;
            int pairs = 0;
            for (int i = Math.max(first, -k); i < Math.min(last, b.length - k); i++) {
                double p = a[i];
                double q = b[i + k];
                if (!Double.isNaN(p) && !Double.isNaN(q)) {
                    common += p * q;
                    one += p * p;
                    other += q * q;
                    pairs++;
                }
            }
            side[k - from] = pairs;
            all[k - from] = one > 0 && other > 0 && pairs >= least ? common / Math.sqrt(one * other) : 0;
        }
        return new Correlations(all, side);
    }
}
