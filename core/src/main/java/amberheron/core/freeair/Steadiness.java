package amberheron.core.freeair;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.StatUtils;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * How steady a series of readings is. Drift is the slope of the least-squares line with the interval that Student's t gives
 * it; scatter is robust (the median of the absolute deviations from the line), so that a few wild readings, as of a lead
 * that is loose now and then, are counted by themselves and hide neither.
 *
 * @param count readings
 * @param seconds from the first to the last
 * @param drift part of the reading it changes by in a minute
 * @param driftDoubt half the 95 % interval of that
 * @param scatter standard deviation about the line, part of the reading
 * @param wild readings more than six of those away
 */
public record Steadiness(int count, double seconds, double drift, double driftDoubt, double scatter, int wild) {
    /** How long a reading has to be steady, s; common practice: warm-up takes up to so long. */
    public static final double LONG_ENOUGH = 60;
    /** The most that a steady reading may drift in a minute, as a part of it; half of what it may be off by. */
    public static final double MOST_DRIFT = 0.005;
    /** The most that it may scatter, as a part of it. */
    public static final double MOST_SCATTER = 0.005;
    /** Number of readings below which they are judged by their range alone. */
    private static final int SERIES = 10;
    /** The fewest that say anything. */
    static final int FEWEST = 3;
    private static final double MINUTE = 60;
    /** Significance of the interval of the drift. */
    private static final double SIGNIFICANCE = 0.05;
    private static final double WILD = 6;
    /** Standard deviation of normal noise over its median absolute deviation. */
    private static final double MAD = 1.4826;
    /** A display's steps are noise of at least this part of the reading. */
    private static final double STEP = 1e-4;

    /**
     * A reading.
     *
     * @param at s
     * @param value in any unit, above 0
     */
    public record Reading(double at, double value) {
    }

    /** How steady a series is, in the order taken; three or more readings at more than one time. */
    public static Steadiness of(List<Reading> series) {
        int n = series.size();
        if (n < FEWEST || series.getLast().at() <= series.getFirst().at()) {
            throw new IllegalArgumentException("steadiness: expected three readings or more, one after the other");
        }
        double[] values = series.stream().mapToDouble(Reading::value).toArray();
        double middle = StatUtils.percentile(values, 50);
        double centre = StatUtils.percentile(absolute(values, middle), 50);
        // Without a line yet, wild are those far from the middle.
        double far = WILD * Math.max(MAD * centre, STEP * Math.abs(middle)) + Math.abs(middle) * MOST_DRIFT;
        List<Reading> kept = series.stream().filter(r -> Math.abs(r.value() - middle) <= far).toList();
        SimpleRegression line = new SimpleRegression();
        kept.forEach(r -> line.addData(r.at(), r.value()));
        boolean leans = kept.stream().mapToDouble(Reading::at).distinct().count() >= FEWEST;
        double scatter = MAD * StatUtils.percentile(kept.stream()
                .mapToDouble(r -> Math.abs(r.value() - (leans ? line.predict(r.at()) : middle))).toArray(), 50)
                / Math.abs(middle);
        double seconds = series.getLast().at() - series.getFirst().at();
        if (n < SERIES) {
            double range = Arrays.stream(values).max().orElseThrow() - Arrays.stream(values).min().orElseThrow();
            return new Steadiness(n, seconds, range / Math.abs(middle) * MINUTE / seconds, 0, scatter, 0);
        }
        double perMinute = MINUTE / Math.abs(middle);
        return leans
                ? new Steadiness(n, seconds, line.getSlope() * perMinute,
                        line.getSlopeConfidenceInterval(SIGNIFICANCE) * perMinute, scatter, n - kept.size())
                : new Steadiness(n, seconds, 0, Double.MAX_VALUE, scatter, n - kept.size());
    }

    /** Whether it is steady, for as long as it has to be. */
    public boolean steady() {
        return seconds >= LONG_ENOUGH && Math.abs(drift) + driftDoubt <= MOST_DRIFT && scatter <= MOST_SCATTER
                && !loose();
    }

    /** Whether so many readings are wild that the lead or the plug is to be looked at. */
    public boolean loose() {
        return wild > Math.max(1, count / 100);
    }

    private static double[] absolute(double[] values, double from) {
        return Arrays.stream(values).map(v -> Math.abs(v - from)).toArray();
    }
}
