package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * Offset and drift between the clocks of two logs of one drive, found from a channel that both logs hold: first the shift
 * at which a part of the one matches the other, then the change of that shift over the drive.
 *
 * @param by the channel; {@link LogChannel#CONTROLLER} where it is the mixture, told by the one and shown by the other: then
 *        how late the reader is cannot be told from the two
 * @param shift what the first clock shows when the other shows 0, s
 * @param drift by which part of the time the first clock runs faster; 0 where the drive is too short to tell
 * @param doubt of the moment that is brought together, s, 95 of 100
 */
public record Clocks(LogChannel by, double shift, double drift, double doubt) {
    /** Gap beyond which nothing is interpolated, in steps of the slower log. */
    private static final double STEPS = 2.5;
    private static final double FINE = 0.05;
    private static final double COARSE = 0.2;
    private static final int MOST_COARSE = 100_000;
    private static final int MOST_FINE = 400_000;
    /** Length of the part of the other log that is searched for in the first, s. */
    private static final double PIECE = 240;
    private static final int PIECES = 6;
    private static final int TRIED = 3;
    /**
     * Standard deviations by which a match has to stand out from chance: none of 2,400 pairs of different drives of 60 and
     * 120 s passes, which at a bare correlation of 0.4 a third and a tenth of them did. Two logs of one drive of 60 s are
     * missed in 1 of 200 by engine speed, and in 1 of 8 to 1 of 2 by the mixture alone, by the reader's filter.
     */
    private static final double STANDS_OUT = 6;
    /** Part of the best correlation that no other shift may reach: a swing that repeats tells no moment. */
    private static final double ELSEWHERE = 0.85;
    private static final double NEAR = 3;
    private static final double WINDOW = 30;
    private static final double REACH = 1;
    private static final double WINDOW_ALIKE = 0.5;
    /** Part of the lively windows that have to match; two different drives match in some by chance. */
    private static final double MOST_ALIKE = 0.6;
    /** Doubt of the shift, s, beyond which windows that look alike do not agree on one moment: then it is another drive. */
    private static final double MOST_DOUBT = 0.3;
    private static final int FEWEST_FOR_DRIFT = 6;
    private static final double LONG_FOR_DRIFT = 120;
    private static final double MAD = 1.4826;

    /** Returns whether the reader's lag can still be told from the two logs. */
    public boolean tellsLag() {
        return by != LogChannel.CONTROLLER;
    }

    /** The witness, in the trade's words. */
    public String toldBy() {
        return tellsLag() ? by.words() : say("the mixtures of both");
    }

    /** Returns the time on the first clock when the other shows this, s. */
    public double first(double other) {
        return shift + (1 + drift) * other;
    }

    /** Times of the other log as the first clock would have told them, s. */
    public double[] first(double[] others) {
        return Arrays.stream(others).map(this::first).toArray();
    }

    /**
     * A channel of the other log on the rows of the first.
     *
     * @param rows of the first, s
     * @param time of the other as the first clock tells it, s
     */
    public static float[] onto(double[] rows, double[] time, float[] values) {
        return OnClock.rows(time, values, rows, Math.max(Drive.GAP, STEPS * Drive.step(time)));
    }

    /**
     * Brings two clocks together.
     *
     * @param time of the first log, s, never falling
     * @param one its channel
     * @param otherTime of the other, s
     * @param other its channel
     * @return empty where no part of the one is found in the other, or more than one part might be it
     */
    public static Optional<Clocks> between(double[] time, float[] one, double[] otherTime, float[] other,
            LogChannel by) {
        if (time.length < 2 || otherTime.length < 2) {
            return Optional.empty();
        }
        double span = Math.max(span(time), span(otherTime));
        double coarse = Math.max(COARSE, span / MOST_COARSE);
        Double about = about(Even.of(time, one, coarse), Even.of(otherTime, other, coarse));
        double fine = Math.max(Math.max(FINE, Math.min(Drive.step(time), Drive.step(otherTime))), span / MOST_FINE);
        return about == null
                ? Optional.empty()
                : fitted(Even.of(time, one, fine), Even.of(otherTime, other, fine), about, by);
    }

    private static double span(double[] time) {
        return time[time.length - 1] - time[0];
    }

    /** First differences of a channel on an even clock. */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    private record Even(double start, double step, double[] changes) {
        static Even of(double[] time, float[] values, double step) {
            int size = (int) (span(time) / step) + 1;
            double start = time[0];
            double[] rows = IntStream.range(0, size).mapToDouble(i -> start + i * step).toArray();
            return new Even(start, step, Changes.of(onto(rows, time, values), step));
        }

        boolean has(double from, double seconds) {
            return from >= start && from + seconds <= start + (changes.length - 1) * step;
        }

        double energy(int from, int to) {
            double sum = 0;
            for (int i = from; i < to; i++) {
                sum += Double.isNaN(changes[i]) ? 0 : changes[i] * changes[i];
            }
            return sum;
        }
    }

    /** Finds the shift to within one coarse step; null where it cannot be told. */
    private static @Nullable Double about(Even one, Even other) {
        double step = one.step();
        int length = (int) Math.min(PIECE / step, other.changes().length);
        int room = other.changes().length - length;
        List<Integer> pieces = IntStream.range(0, room == 0 ? 1 : PIECES).map(i -> (int) ((long) room * i / PIECES))
                .boxed().sorted(Comparator.comparingDouble(i -> -other.energy(i, i + length))).limit(TRIED).toList();
        double best = STANDS_OUT;
        Double found = null;
        for (int piece : pieces) {
            int from = -piece - length;
            Changes.Correlations all = Changes.correlations(other.changes(), one.changes(), piece, piece + length, from,
                    one.changes().length, length / 2);
            int near = (int) Math.ceil(NEAR / step);
            double[] strengths = all.strengths(near);
            int at = Changes.greatest(strengths);
            if (strengths[at] > best) {
                double[] values = all.values();
                boolean alone = IntStream.range(0, values.length)
                        .noneMatch(k -> Math.abs(k - at) > near && values[k] > ELSEWHERE * values[at]);
                best = strengths[at];
                found = alone ? Double.valueOf(one.start() - other.start() + (from + at) * step) : null;
            }
        }
        return found;
    }

    /** Fits offset and drift to the shifts of short windows, beginning with the window that matches best. */
    private static Optional<Clocks> fitted(Even one, Even other, double about, LogChannel by) {
        double step = one.step();
        int window = (int) Math.max(4, Math.min(WINDOW / step, other.changes().length));
        int windows = other.changes().length / window;
        int reach = (int) Math.ceil(REACH / step);
        List<double[]> found = new ArrayList<>();
        double lively = 0.5 * middle(IntStream.range(0, windows)
                .mapToDouble(w -> other.energy(w * window, (w + 1) * window)).toArray());
        int asked = 0;
        int alike = 0;
        int begin = IntStream.range(0, windows).boxed()
                .max(Comparator.comparingDouble(w -> {
                    Changes.Fit fit = fit(one, other, w * window, window, about, reach);
                    return fit == null ? 0 : fit.correlation();
                })).orElse(0);
        double surely = about;
        for (int way : new int[]{1, -1}) {
            double shift = surely;
            for (int w = way > 0 ? begin : begin - 1; w >= 0 && w < windows; w += way) {
                Changes.Fit fit = fit(one, other, w * window, window, shift, reach);
                boolean goes = fit != null && fit.correlation() >= WINDOW_ALIKE;
                if (one.has(other.start() + w * window * step + shift, window * step)
                        && other.energy(w * window, (w + 1) * window) >= lively) {
                    asked++;
                    alike += goes ? 1 : 0;
                }
                if (fit != null && goes) {
                    shift = one.start() - other.start() + fit.shift() * step;
                    found.add(new double[]{other.start() + (w + 0.5) * window * step, shift});
                }
                if (w == begin && !found.isEmpty()) {
                    // Both ways go on from here.
                    surely = shift;
                }
            }
        }
        return found.isEmpty() || alike < MOST_ALIKE * asked
                ? Optional.empty()
                : Optional.of(line(found, by)).filter(c -> c.doubt() <= MOST_DOUBT);
    }

    private static Changes.@Nullable Fit fit(Even one, Even other, int from, int window, double shift, int reach) {
        int at = (int) Math.round((shift - one.start() + other.start()) / one.step());
        return Changes.fit(other.changes(), one.changes(), from, from + window, at - reach, at + reach, window / 2);
    }

    /** Fits a line through the shifts by the median of all slopes (Theil and Sen), which single outliers do not move. */
    private static Clocks line(List<double[]> found, LogChannel by) {
        double span = found.stream().mapToDouble(f -> f[0]).max().orElse(0)
                - found.stream().mapToDouble(f -> f[0]).min().orElse(0);
        double drift = 0;
        if (found.size() >= FEWEST_FOR_DRIFT && span >= LONG_FOR_DRIFT) {
            double[] slopes = found.stream()
                    .flatMapToDouble(a -> found.stream().filter(b -> b[0] > a[0])
                            .mapToDouble(b -> (b[1] - a[1]) / (b[0] - a[0])))
                    .toArray();
            drift = middle(slopes);
        }
        double slope = drift;
        double shift = middle(found.stream().mapToDouble(f -> f[1] - slope * f[0]).toArray());
        double off = MAD
                * middle(found.stream().mapToDouble(f -> Math.abs(f[1] - slope * f[0] - shift)).toArray());
        return new Clocks(by, shift, drift, 2 * off / Math.sqrt(found.size()));
    }

    private static double middle(double[] values) {
        return StatUtils.percentile(values, 50);
    }
}
