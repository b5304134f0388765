package amberheron.core.drivelog;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * The channels of a drive resampled to one even clock by linear interpolation. Gaps longer than {@link Drive#GAP} stay
 * empty.
 */
final class OnClock {
    final double start;
    final double step;
    final int size;

    OnClock(double start, double step, int size) {
        this.start = start;
        this.step = step;
        this.size = size;
    }

    /** Resamples a drive to a limited number of moments. */
    static OnClock of(Drive drive, double step, int most) {
        double[] t = drive.time();
        double span = t.length == 0 ? 0 : t[t.length - 1] - t[0];
        double used = Math.max(step, span / most);
        return new OnClock(t.length == 0 ? 0 : t[0], used, t.length == 0 ? 0 : (int) (span / used) + 1);
    }

    double at(int i) {
        return start + i * step;
    }

    /** Resamples a channel to this clock after shifting it earlier by a lag. */
    float[] put(double[] time, float @Nullable [] values, double later) {
        return put(time, values, later, size, this::at, Drive.GAP);
    }

    /** Shifts a channel earlier by a lag, on its own rows. */
    static float[] later(double[] time, float[] values, double later) {
        return put(time, values, later, time.length, i -> time[i], Drive.GAP);
    }

    /** Fills the holes of a channel on its own rows; one without holes is returned as it is. */
    static float[] whole(double[] time, float[] values) {
        for (float value : values) {
            if (Float.isNaN(value)) {
                return later(time, values, 0);
            }
        }
        return values;
    }

    /** Interpolates a channel onto the rows of another log, both on one clock. */
    static float[] rows(double[] time, float[] values, double[] rows, double gap) {
        return put(time, values, 0, rows.length, i -> rows[i], gap);
    }

    private static float[] put(double[] time, float @Nullable [] values, double later, int size,
            IntToDoubleFunction at, double gap) {
        float[] out = new float[size];
        Arrays.fill(out, Float.NaN);
        if (values == null) {
            return out;
        }
        int next = 0;
        int before = -1;
        for (int i = 0; i < size; i++) {
            double now = at.applyAsDouble(i) + later;
            while (next < time.length && (time[next] < now || Float.isNaN(values[next]))) {
                if (!Float.isNaN(values[next])) {
                    before = next;
                }
                next++;
            }
            if (next < time.length && time[next] == now) {
                out[i] = values[next];
            } else if (before >= 0 && next < time.length && time[next] - time[before] <= gap) {
                double part = (now - time[before]) / (time[next] - time[before]);
                out[i] = (float) (values[before] + part * (values[next] - values[before]));
            }
        }
        return out;
    }
}
