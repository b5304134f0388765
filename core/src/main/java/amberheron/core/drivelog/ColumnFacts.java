package amberheron.core.drivelog;

import java.util.Arrays;
import org.hipparchus.stat.StatUtils;

/**
 * Facts of a column before it is read.
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
    /** The same where it stands among the columns of another log too. */
    public ColumnFacts at(int place) {
        return new ColumnFacts(place, name, unit, clock, values, filled);
    }

    /** One that is known already, and is not to be taken for anything. */
    public ColumnFacts passedOver() {
        return new ColumnFacts(index, name, unit, false, new double[0], 0);
    }

    /** Whether nearly all that stands in it are numbers. */
    boolean numeric() {
        return values.length > 0 && values.length >= 0.9 * filled;
    }

    /** The value that so much of the sample is below, 0 to 1; NaN without one. */
    double quantile(double part) {
        if (values.length == 0) {
            return Double.NaN;
        }
        return quantile(values, part);
    }

    /** The value that so much of the values is below, 0 to 1: the nearest of them, none in between. */
    static double quantile(double[] values, double part) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.round(part * (sorted.length - 1))];
    }

    /** Whether nine of ten lie between. */
    boolean within(double low, double high) {
        return quantile(0.05) >= low && quantile(0.95) <= high;
    }

    /**
     * Whether it only rises, but for so many places: where the sample jumps, or a row is bad.
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

    /** The usual step from one number to the next. */
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

    /** Whether all of it are whole numbers. */
    boolean whole() {
        return Arrays.stream(values).allMatch(v -> v == Math.rint(v));
    }
}
