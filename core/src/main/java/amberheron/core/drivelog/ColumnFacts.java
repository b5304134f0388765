package amberheron.core.drivelog;

import java.util.Arrays;
import org.hipparchus.stat.StatUtils;

/**
 * What is known of a column of a log before its rows are read.
 *
 * @param index from 0
 * @param name its header
 * @param unit as given, or empty
 * @param clock whether it holds times of the clock
 * @param values a sample of its numbers, in the order of the log
 * @param filled how many fields of the sample are not empty
 */
@SuppressWarnings("ArrayRecordComponent") // never compared
public record ColumnFacts(int index, String name, String unit, boolean clock, double[] values, int filled) {
    /** Returns the same facts at another place among the columns. */
    public ColumnFacts at(int place) {
        return new ColumnFacts(place, name, unit, clock, values, filled);
    }

    /** Returns a column that recognition leaves out, because its use is known already. */
    public ColumnFacts passedOver() {
        return new ColumnFacts(index, name, unit, false, new double[0], 0);
    }

    /** Returns whether at least nine of ten filled fields are numbers. */
    boolean numeric() {
        return values.length > 0 && values.length >= 0.9 * filled;
    }

    /** Returns a quantile of the sample, for a part of 0 to 1; NaN for an empty sample. */
    double quantile(double part) {
        if (values.length == 0) {
            return Double.NaN;
        }
        return quantile(values, part);
    }

    /** Returns a quantile of some values, for a part of 0 to 1: the nearest of the values, without interpolation. */
    static double quantile(double[] values, double part) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.round(part * (sorted.length - 1))];
    }

    /** Returns whether the values from the 5th to the 95th percentile lie in a range. */
    boolean within(double low, double high) {
        return quantile(0.05) >= low && quantile(0.95) <= high;
    }

    /**
     * Returns whether the numbers rise throughout, but for a few places where the sample jumps or a row is bad.
     *
     * @param but part of the sample that may fall
     */
    boolean rises(double but) {
        int falls = 0;
        int rises = 0;
        for (int i = 1; i < values.length; i++) {
            falls += values[i] < values[i - 1] ? 1 : 0;
            rises += values[i] > values[i - 1] ? 1 : 0;
        }
        return rises > 1 && falls <= Math.max(2, but * values.length);
    }

    /**
     * Returns the number about which most of the sample lies between its ends: the middle of the shortest stretch that holds
     * a quarter of it; NaN for an empty sample.
     */
    double mode() {
        if (values.length == 0) {
            return Double.NaN;
        }
        // A controller that sits at an end of what it can tell, as in fuel cut, tells nothing of where it runs.
        double low = 1.002 * Arrays.stream(values).min().orElseThrow();
        double high = 0.998 * Arrays.stream(values).max().orElseThrow();
        double[] between = Arrays.stream(values).filter(v -> v > low && v < high).sorted().toArray();
        double[] sorted = between.length == 0 ? Arrays.stream(values).sorted().toArray() : between;
        int quarter = Math.max(1, sorted.length / 4);
        int best = 0;
        for (int i = 0; i + quarter < sorted.length; i++) {
            best = sorted[i + quarter] - sorted[i] < sorted[best + quarter] - sorted[best] ? i : best;
        }
        return sorted[Math.min(sorted.length - 1, best + quarter / 2)];
    }

    /** Returns the median of the rises from one number to the next; NaN without any. */
    double step() {
        double[] steps = new double[Math.max(0, values.length - 1)];
        int n = 0;
        for (int i = 1; i < values.length; i++) {
            if (values[i] > values[i - 1]) {
                steps[n++] = values[i] - values[i - 1];
            }
        }
        return StatUtils.percentile(steps, 0, n, 50);
    }

    /** Returns whether every number is whole. */
    boolean whole() {
        return Arrays.stream(values).allMatch(v -> v == Math.rint(v));
    }
}
