package amberheron.core.drivelog;

import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.jspecify.annotations.Nullable;

/**
 * The response of a reader to a change: an average of first order, followed by a delay.
 *
 * @param delay s
 * @param filter time constant of the average, s; 0 for none
 */
record ReaderResponse(double delay, double filter) {
    /** A reader that answers at once. */
    static final ReaderResponse NONE = new ReaderResponse(0, 0);
    private static final double MOST_LAG = 3;
    private static final double LEAST_LAG = -1;
    /** Time constants of averages that are tried, s. */
    private static final double[] AVERAGES = {0, 0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.5, 2};
    /** Part of itself to which the residual has to shrink before an average is believed. */
    private static final double BLURRED = 0.95;
    /** Factor by which a filter that is said to be known may explain the log worse than the one that is found. */
    private static final double HOLDS = 1.1;
    /** Length of the stretch that is looked at, the one with the most change, s. */
    private static final double LOOKED_AT = 240;
    /** Distance from the lag within which a delay is looked for, s. */
    private static final double NEAR = 0.15;
    private static final int MOST_EVALUATIONS = 40;
    /** Difference beyond which a moment says nothing of the response, λ. */
    private static final double WILD = 0.05;
    private static final int ROUNDS = 4;
    /** Length of the blocks that are drawn to tell how well the average is known, s. */
    private static final double BLOCK = 10;
    private static final int DRAWS = 100;

    /**
     * A log's channels on one even clock, as far as a response is found in them.
     *
     * @param follows changes of the reader
     * @param lag by which the changes of both correlate best as they stand, s
     */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    record Channels(float[] told, float[] shown, double[] follows, int first, int last, double step, double lag) {
        /** Takes the stretch of a log in which most happens. */
        static Channels of(float[] told, float[] shown, double[] changes, double[] follows, double step, double lag) {
            int most = (int) Math.min(told.length, LOOKED_AT / step);
            int from = liveliest(changes, most);
            return new Channels(told, shown, follows, from, from + most, step, lag);
        }

        /** Finds the delay behind an average: that is part of the lag, so no other is tried. */
        private Changes.@Nullable Fit fit(float[] alike, double filter) {
            return Changes.fit(Changes.of(alike, step), follows, first, last,
                    (int) Math.floor((lag - filter - NEAR) / step) - 1, (int) Math.ceil((lag + NEAR) / step) + 1, 1);
        }

        private float[] filtered(double filter) {
            return new ReaderResponse(0, filter).filtered(told, i -> step);
        }

        private double unlike(double filter) {
            Changes.Fit fit = fit(filtered(filter), filter);
            return fit == null ? 1 : 1 - fit.correlation();
        }

        /** Returns the response with this average and the delay that then fits best; null where none does. */
        private @Nullable ReaderResponse with(double filter) {
            Changes.Fit fit = fit(filtered(filter), filter);
            return fit == null ? null : new ReaderResponse(fit.shift() * step, filter);
        }

        /**
         * Returns the squares that a response leaves of the reader's numbers, block by block, once the best straight line
         * through the controller's is taken out; wild moments are bounded.
         */
        private double[] left(double filter) {
            double[] sums = new double[(int) (told.length * step / BLOCK) + 1];
            float[] alike = filtered(filter);
            Changes.Fit fit = fit(alike, filter);
            if (fit == null) {
                sums[0] = Double.MAX_VALUE;
                return sums;
            }
            int whole = (int) Math.floor(fit.shift());
            double part = fit.shift() - whole;
            int from = Math.max(0, -whole);
            double[] late = new double[told.length];
            for (int i = 0; i < late.length; i++) {
                late[i] = i < from || i + whole + 1 >= late.length
                        ? Double.NaN
                        : shown[i + whole] + part * (shown[i + whole + 1] - shown[i + whole]);
            }
            double[] line = {0, 1};
            for (int round = 0; round < ROUNDS; round++) {
                LineSums near = new LineSums();
                for (int i = 0; i < late.length; i++) {
                    if (Math.abs(late[i] - line[0] - line[1] * alike[i]) < WILD) {
                        near.add(alike[i], late[i], 1);
                    }
                }
                line = near.line(1e-9, 1);
            }
            for (int i = 0; i < late.length; i++) {
                double off = late[i] - line[0] - line[1] * alike[i];
                sums[(int) (i * step / BLOCK)] += Double.isNaN(off) ? 0 : Math.min(off * off, WILD * WILD);
            }
            return sums;
        }
    }

    /**
     * Finds the response of a reader: the average after which the controller's numbers explain the reader's best.
     *
     * @param known time constant of the reader's filter as it is said to be, s; null where it is not known
     * @return the best, and where the average is not known for certain, those one standard deviation to either side
     */
    static List<ReaderResponse> of(Channels log, @Nullable Double known) {
        double found = averaging(log);
        boolean holds = known != null && (known == found || sum(log.left(known)) <= HOLDS * sum(log.left(found)));
        double filter = known != null && holds ? known : found;
        ReaderResponse best = filter == 0 ? null : log.with(filter);
        if (best == null) {
            return List.of(new ReaderResponse(log.lag, 0));
        }
        double doubt = holds ? 0 : doubt(log, filter);
        ReaderResponse less = log.with(Math.max(1e-3, filter - doubt));
        ReaderResponse more = log.with(filter + doubt);
        return doubt == 0 || less == null || more == null ? List.of(best) : List.of(best, less, more);
    }

    private static double averaging(Channels log) {
        int best = 0;
        double[] unlike = new double[AVERAGES.length];
        for (int k = 0; k < AVERAGES.length; k++) {
            unlike[k] = log.unlike(AVERAGES[k]);
            best = unlike[k] < unlike[best] ? k : best;
        }
        if (unlike[best] >= unlike[0] * BLURRED) {
            return 0;
        }
        return new BrentOptimizer(1e-3, 1e-3).optimize(new MaxEval(MOST_EVALUATIONS),
                new UnivariateObjectiveFunction(t -> sum(log.left(t))), GoalType.MINIMIZE,
                new SearchInterval(AVERAGES[Math.max(0, best - 1)], AVERAGES[Math.min(AVERAGES.length - 1, best + 1)]))
                .getPoint();
    }

    private static double sum(double[] parts) {
        double sum = 0;
        for (double part : parts) {
            sum += part;
        }
        return sum;
    }

    /** Returns the standard deviation of the average that was found, by drawing blocks of the log, s. */
    private static double doubt(Channels log, double filter) {
        double step = Math.max(0.01, 0.15 * filter);
        double[] less = log.left(Math.max(1e-3, filter - step));
        double[] here = log.left(filter);
        double[] more = log.left(filter + step);
        // The same log has to say the same each time it is read.
        Random random = new Random(2);
        double squares = 0;
        for (int d = 0; d < DRAWS; d++) {
            double a = 0;
            double b = 0;
            double c = 0;
            for (int k = 0; k < here.length; k++) {
                int drawn = random.nextInt(here.length);
                a += less[drawn];
                b += here[drawn];
                c += more[drawn];
            }
            double bend = a - 2 * b + c;
            double off = bend > 0 ? Math.clamp(0.5 * step * (a - c) / bend, -step, step) : step;
            squares += off * off;
        }
        return Math.sqrt(squares / DRAWS);
    }

    static Changes.@Nullable Fit fit(double[] changes, double[] follows, int first, int last, double step) {
        return Changes.fit(changes, follows, first, last, (int) Math.floor(LEAST_LAG / step),
                (int) Math.ceil(MOST_LAG / step), 1);
    }

    private static int liveliest(double[] changes, int length) {
        double here = 0;
        double best = -1;
        int at = 0;
        for (int i = 0; i < changes.length; i++) {
            here += Double.isNaN(changes[i]) ? 0 : Math.abs(changes[i]);
            here -= i < length || Double.isNaN(changes[i - length]) ? 0 : Math.abs(changes[i - length]);
            if (i >= length - 1 && here > best) {
                best = here;
                at = i - length + 1;
            }
        }
        return at;
    }

    /** Returns what the controller showed, averaged as the reader does. */
    float[] averaged(Drive drive) {
        double[] t = drive.time();
        return filtered(OnClock.whole(t, drive.controller()), i -> t[i] - t[i - 1]);
    }

    /**
     * Returns a drive as a reader that is right would show it: the controller averaged alike, the delay taken out.
     *
     * @param averaged as {@link #averaged} has it
     */
    Drive alike(Drive drive, float[] averaged) {
        double[] t = drive.time();
        float[] told = averaged.clone();
        for (int i = 0; i < told.length && t[i] < t[0] + 4 * filter; i++) {
            // What it averaged before the log began is not known.
            told[i] = Float.NaN;
        }
        return Drive.of(t, told, OnClock.later(t, drive.reader(), delay));
    }

    /** Returns the controller's numbers, once averaged, as late as the reader shows them. */
    float[] expected(double[] time, float[] averaged) {
        return OnClock.later(time, averaged, -delay);
    }

    /**
     * Returns a channel as the average of this reader shows it; straight between moments.
     *
     * @param step from the moment before to one, s
     */
    float[] filtered(float[] values, IntToDoubleFunction step) {
        if (filter == 0) {
            return values;
        }
        float[] out = new float[values.length];
        double before = Double.NaN;
        double now = Double.NaN;
        double last = 0;
        double stays = 0;
        double ramp = 0;
        for (int i = 0; i < values.length; i++) {
            double value = values[i];
            double passed = i == 0 ? 0 : step.applyAsDouble(i);
            if (passed != last) {
                stays = Math.exp(-passed / filter);
                ramp = 1 - filter / passed * (1 - stays);
                last = passed;
            }
            now = Double.isNaN(now) || Double.isNaN(value) || passed <= 0 || passed > Drive.GAP
                    ? value
                    : stays * now + (1 - stays) * before + ramp * (value - before);
            before = value;
            out[i] = (float) now;
        }
        return out;
    }
}
