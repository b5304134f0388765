package amberheron.core.drivelog;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The time lag of one channel against another, found by cross-correlation of their first differences. Values themselves
 * correlate over long shifts, since both channels hold what they last said; differences do not. A parabola through the
 * greatest correlations gives the lag to a part of a sample.
 */
final class Changes {
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
        double[] all = correlations(a, b, first, last, from, to, least);
        int best = best(all);
        if (best == 0 || best == all.length - 1) {
            return null;
        }
        double left = all[best - 1];
        double right = all[best + 1];
        double bend = left - 2 * all[best] + right;
        double part = bend < 0 ? Math.clamp(0.5 * (left - right) / bend, -1, 1) : 0;
        return new Fit(from + best + part, all[best]);
    }

    static int best(double[] correlations) {
        int best = 0;
        for (int k = 1; k < correlations.length; k++) {
            best = correlations[k] > correlations[best] ? k : best;
        }
        return best;
    }

    /** The correlation at each shift; 0 where too little stands side by side. */
    static double[] correlations(double[] a, double[] b, int first, int last, int from, int to, int least) {
        double[] all = new double[to - from + 1];
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
            all[k - from] = one > 0 && other > 0 && pairs >= least ? common / Math.sqrt(one * other) : 0;
        }
        return all;
    }
}
