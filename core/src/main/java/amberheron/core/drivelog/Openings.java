package amberheron.core.drivelog;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Openings of the throttle out of steady cruise, with no cut before them, and what was burnt right after. Every threshold is
 * our own choice, no published source.
 *
 * @param count how many there were; null for a log without throttle
 * @param lean those after which it was lean
 */
record Openings(@Nullable Integer count, List<DriveEvent> lean) {
    /** Least rise of the throttle, part of full, and the longest that it may take, s. */
    private static final double RISE = 0.12;
    private static final double WITHIN = 0.35;
    /** Time before it for which throttle and mixture have to have stood, s, and how far they may have gone. */
    private static final double BEFORE = 1.2;
    private static final double STEADY = 0.06;
    private static final double OPEN = 0.02;
    private static final double MOST_OPEN = 0.5;
    private static final double LEANEST = 1.1;
    private static final double RICHEST = 0.85;
    /** Time after it in which a lean mixture is of the opening, s, and the shortest that is. */
    private static final double AFTER = 1.5;
    private static final double LASTS = 0.2;
    /** Excess over the mixture before it that is lean, λ. */
    private static final double EXCESS = 0.05;

    /** Finds the openings of a drive that has a throttle on each row. */
    static Openings of(Drive drive, BurntMixture burnt) {
        float[] throttle = drive.throttle();
        if (throttle == null) {
            return new Openings(null, List.of());
        }
        double[] t = drive.time();
        List<DriveEvent> lean = new ArrayList<>();
        int count = 0;
        int from = 0;
        for (int i = 1; i < t.length; i++) {
            while (t[i] - t[from] > WITHIN) {
                from++;
            }
            int shut = i;
            for (int k = from; k < i; k++) {
                shut = throttle[k] <= throttle[shut] ? k : shut;
            }
            if (!(throttle[i] - throttle[shut] >= RISE)) {
                continue;
            }
            Double before = steady(drive, throttle, shut);
            int end = i;
            while (end < t.length && t[end] - t[shut] < AFTER && throttle[end] > throttle[shut] + RISE / 2) {
                end++;
            }
            if (before != null) {
                count++;
                DriveEvent event = lean(drive, burnt, throttle, shut, end, before);
                if (event != null) {
                    lean.add(event);
                }
            }
            i = Math.max(i, end - 1);
            from = i;
        }
        return new Openings(count, List.copyOf(lean));
    }

    /** Returns the mean mixture before an opening, λ; null where it was not steady cruise. */
    private static @Nullable Double steady(Drive drive, float[] throttle, int at) {
        double[] t = drive.time();
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double sum = 0;
        int n = 0;
        int i = at;
        for (; i >= 0 && t[at] - t[i] <= BEFORE; i--) {
            low = Math.min(low, throttle[i]);
            high = Math.max(high, throttle[i]);
            double lambda = drive.controller()[i];
            if (lambda > LEANEST || lambda < RICHEST) {
                return null;
            }
            sum += Double.isNaN(lambda) ? 0 : lambda;
            n += Double.isNaN(lambda) ? 0 : 1;
        }
        return i < 0 || n == 0 || low < OPEN || high > MOST_OPEN || high - low > STEADY
                ? null
                : Double.valueOf(sum / n);
    }

    private static @Nullable DriveEvent lean(Drive drive, BurntMixture burnt, float[] throttle, int from, int to,
            double before) {
        double[] t = drive.time();
        double limit = Math.max(burnt.bands().stop(), before + EXCESS);
        int first = -1;
        int last = -1;
        // From a cut on nothing is of the opening any more.
        for (int i = from; i < to && !burnt.cut(i); i++) {
            if (burnt.lambda(i) > limit && drive.controller()[i] > before) {
                first = first < 0 || t[i] - t[last] > Events.GAP ? i : first;
                last = i;
            }
            if (first >= 0 && last == i && t[last] - t[first] >= LASTS) {
                double end = end(drive, burnt, last, to, limit);
                return new DriveEvent(DriveEvent.Kind.TIP_IN, t[first], end, most(drive, first, end),
                        (double) throttle[last]);
            }
        }
        return null;
    }

    private static double end(Drive drive, BurntMixture burnt, int from, int to, double limit) {
        int last = from;
        for (int i = from; i < to && drive.time()[i] - drive.time()[last] <= Events.GAP; i++) {
            last = burnt.lambda(i) > limit ? i : last;
        }
        return drive.time()[last];
    }

    private static double most(Drive drive, int from, double end) {
        double most = 0;
        for (int i = from; i < drive.size() && drive.time()[i] <= end; i++) {
            most = Math.max(most, drive.controller()[i]);
        }
        return most;
    }
}
