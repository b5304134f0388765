package amberheron.core.drivelog;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * A drive as the log has it: one array for each channel, all as long as the times; NaN where nothing stood.
 *
 * @param time s, never falling
 * @param controller what the controller itself showed, λ
 * @param reader what the reader showed, λ
 * @param engineSpeed 1/min; null where the log has none, as are the others
 * @param speed m/s
 * @param pressure absolute, Pa
 * @param throttle part of full
 * @param temperature of the coolant, K
 * @param airMass kg/s
 * @param narrowband volts of the stock narrowband
 */
@SuppressWarnings("ArrayRecordComponent") // ten million rows are never compared
public record Drive(double[] time, float[] controller, float[] reader, float @Nullable [] engineSpeed,
        float @Nullable [] speed, float @Nullable [] pressure, float @Nullable [] throttle,
        float @Nullable [] temperature, float @Nullable [] airMass, float @Nullable [] narrowband) {
    /** Gap between two rows beyond which nothing is interpolated, s. */
    public static final double GAP = 1;

    /** Returns a drive that has mixtures and no other channel. */
    public static Drive of(double[] time, float[] controller, float[] reader) {
        return new Drive(time, controller, reader, null, null, null, null, null, null, null);
    }

    /** Returns a drive that has mixtures and no other channel, from samples. */
    public static Drive of(List<Sample> log) {
        double[] time = log.stream().mapToDouble(Sample::time).toArray();
        float[] controller = new float[time.length];
        float[] reader = new float[time.length];
        for (int i = 0; i < time.length; i++) {
            controller[i] = (float) log.get(i).controller();
            reader[i] = (float) log.get(i).reader();
        }
        return of(time, controller, reader);
    }

    /** Returns the number of rows. */
    public int size() {
        return time.length;
    }

    /** Returns whether the log tells the engine's load: by manifold pressure or throttle. */
    boolean knowsLoad() {
        return pressure != null || throttle != null;
    }

    /**
     * Returns the drive with throttle and manifold pressure on each row, straight between the rows that have them. Loggers
     * that ask one channel more often than another leave holes, and a hole is neither a shut throttle nor an open one.
     */
    Drive withLoadOnEachRow() {
        return new Drive(time, controller, reader, engineSpeed, speed, onEachRow(pressure), onEachRow(throttle),
                temperature, airMass, narrowband);
    }

    private float @Nullable [] onEachRow(float @Nullable [] channel) {
        return channel == null ? null : OnClock.whole(time, channel);
    }

    /** Returns the median step from one row to the next, s. */
    public double step() {
        return step(time);
    }

    static double step(double[] time) {
        int n = Math.min(time.length - 1, 20_000);
        if (n < 1) {
            return 0;
        }
        double[] steps = new double[n];
        int found = 0;
        // From all over the log, or a slow beginning would speak for it.
        for (int k = 0; k < n; k++) {
            int i = (int) ((long) k * (time.length - 1) / n);
            if (time[i + 1] > time[i]) {
                steps[found++] = time[i + 1] - time[i];
            }
        }
        return found == 0 ? 0 : StatUtils.percentile(steps, 0, found, 50);
    }

    /**
     * Returns the rows between two moments.
     *
     * @param from s of the log
     * @param to s
     */
    public Drive within(double from, double to) {
        int first = 0;
        while (first < size() && time[first] < from) {
            first++;
        }
        int last = size();
        while (last > first && time[last - 1] > to) {
            last--;
        }
        int a = first;
        int b = last;
        return new Drive(Arrays.copyOfRange(time, a, b), Arrays.copyOfRange(controller, a, b),
                Arrays.copyOfRange(reader, a, b), part(engineSpeed, a, b), part(speed, a, b), part(pressure, a, b),
                part(throttle, a, b), part(temperature, a, b), part(airMass, a, b), part(narrowband, a, b));
    }

    private static float @Nullable [] part(float @Nullable [] channel, int from, int to) {
        return channel == null ? null : Arrays.copyOfRange(channel, from, to);
    }
}
