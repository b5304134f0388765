package amberheron.core.drivelog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * Agreement of the reader with the controller over a drive: a straight line fitted by robust regression to the moments in
 * which the mixture stands, after the reader's lag is removed. Intervals come from a bootstrap over blocks, because
 * neighbouring moments are not independent.
 *
 * @param offset shown − true at λ 1, λ
 * @param offsetLow lower end of its 95 % interval
 * @param offsetHigh upper end
 * @param gain what the reader makes of one λ more; null where the mixture never moved enough to tell
 * @param gainLow lower end of its 95 % interval; null with it
 * @param gainHigh upper end; null with it
 * @param lag by how much the reader is late, s; null where nothing moved that could tell
 * @param averaging time constant of an average that its changes look like, s, 0 where they are not blurred; null where the lag
 *        is, and in a document that does not say
 * @param pairs moments that were compared
 * @param bins what the reader made of each part of the mixtures that were driven, λ rising
 */
public record Agreement(double offset, double offsetLow, double offsetHigh, @Nullable Double gain,
        @Nullable Double gainLow, @Nullable Double gainHigh, @Nullable Double lag, @Nullable Double averaging,
        int pairs, List<Bin> bins) {
    /**
     * A part of the mixtures.
     *
     * @param told mean of what the controller showed, λ
     * @param shown middle of what the reader made of it, λ
     * @param moments that were compared
     */
    public record Bin(double told, double shown, int moments) {
    }

    private static final double BIN = 0.04;
    private static final int ENOUGH = 10;

    /** An agreement, and how the reader answers a change. */
    record Found(Agreement agreement, ReaderResponse response) {
    }

    public Agreement {
        bins = List.copyOf(bins);
    }

    /** Least range of mixtures from which a gain can be told, λ. */
    static final double RANGE = 0.1;
    /** Slope above which the mixture counts as moving rather than standing, λ/s. */
    static final double STANDS = 0.15;
    private static final int MOST_MOMENTS = 400_000;
    private static final int FITTED = 8_000;
    private static final int DRAWS = 400;
    private static final int ROUNDS = 12;
    private static final double BLOCK = 15;
    private static final double HUBER = 1.345;
    private static final double MAD = 1.4826;
    /** Correlation below which no lag can be told. */
    private static final double TELLING = 0.3;
    private static final int FEWEST = 20;

    /**
     * Compares.
     *
     * @param low mixtures at or below are the controller's rail, λ
     * @param high mixtures at or above are its other rail
     * @param late whether the lag can be told; false where the two were put together by what they show
     * @param filter time constant of the reader's own filter, s; null where it is not known
     * @return null where fewer moments than say anything can be compared
     */
    static @Nullable Found of(Drive drive, double low, double high, boolean late, @Nullable Double filter) {
        double step = drive.step();
        if (step <= 0) {
            return null;
        }
        OnClock clock = OnClock.of(drive, step, MOST_MOMENTS);
        float[] told = clock.put(drive.time(), drive.controller(), 0);
        float[] shown = clock.put(drive.time(), drive.reader(), 0);
        double[] changes = Changes.of(told, clock.step);
        double[] follows = Changes.of(shown, clock.step);
        Double lag = late ? lag(changes, follows, clock.step) : null;
        List<ReaderResponse> likely = lag == null
                ? List.of(ReaderResponse.NONE)
                : ReaderResponse.of(ReaderResponse.Channels.of(told, shown, changes, follows, clock.step, lag), filter);
        Pairs pairs = Pairs.of(drive, clock, likely.getFirst(), low, high);
        if (pairs.x.length < FEWEST) {
            return null;
        }
        boolean moved = pairs.moved();
        double[] line = huber(pairs.x, pairs.y, moved);
        double[] doubt = doubt(pairs, line, moved, DriveFound.digit(drive.reader()));
        for (ReaderResponse other : likely.subList(1, likely.size())) {
            Pairs besides = Pairs.of(drive, clock, other, low, high);
            double[] off = besides.x.length < FEWEST ? line : huber(besides.x, besides.y, moved);
            for (int k = 0; k < doubt.length; k++) {
                doubt[k] = Math.hypot(doubt[k], 2 * (off[k] - line[k]) / Math.sqrt(likely.size() - 1));
            }
        }
        return new Found(new Agreement(line[0], line[0] - doubt[0], line[0] + doubt[0],
                moved ? Double.valueOf(1 + line[1]) : null, moved ? Double.valueOf(1 + line[1] - doubt[1]) : null,
                moved ? Double.valueOf(1 + line[1] + doubt[1]) : null, lag,
                lag == null ? null : Double.valueOf(likely.getFirst().filter()), pairs.x.length,
                bins(pairs.x, pairs.y)), likely.getFirst());
    }

    /**
     * Moments in which the mixture stands.
     *
     * @param x what the controller showed, averaged as the reader does, from λ 1
     * @param y what the reader showed more
     * @param block number of the block of the log that each is in, rising
     */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    private record Pairs(double[] x, double[] y, int[] block) {
        static Pairs of(Drive drive, OnClock clock, ReaderResponse response, double low, double high) {
            // Both are taken as far from their rows, so that what is straight between them blurs both alike.
            double rows = response.delay() / clock.step;
            double half = (rows - Math.floor(rows)) * clock.step / 2;
            float[] prompt = clock.put(drive.time(), drive.reader(), response.delay() - half);
            float[] alike = response.filtered(clock.put(drive.time(), drive.controller(), -half), i -> clock.step);
            int[] taken = new int[clock.size];
            int n = 0;
            int reach = Math.max(1, (int) Math.round(0.2 / clock.step));
            for (int i = reach; i + reach < clock.size; i++) {
                double slope = Math.abs(alike[i + reach] - alike[i - reach]) / (2 * reach * clock.step);
                if (slope <= STANDS && alike[i] > low && alike[i] < high && prompt[i] > 0) {
                    taken[n++] = i;
                }
            }
            int by = Math.max(1, n / FITTED);
            double[] x = new double[n / by];
            double[] y = new double[x.length];
            int[] block = new int[x.length];
            for (int k = 0; k < x.length; k++) {
                int i = taken[k * by];
                x[k] = alike[i] - 1;
                y[k] = prompt[i] - alike[i];
                block[k] = (int) (i * clock.step / BLOCK);
            }
            return new Pairs(x, y, block);
        }

        /** Returns whether the mixture moved enough to tell a gain. */
        boolean moved() {
            return ColumnFacts.quantile(x, 0.98) - ColumnFacts.quantile(x, 0.02) >= RANGE;
        }

        /** Returns the number of blocks that say something, each weighted by a part of what it has to say. */
        double worth(DoubleUnaryOperator part) {
            double all = 0;
            double squares = 0;
            double here = 0;
            for (int i = 0; i < x.length; i++) {
                here += part.applyAsDouble(x[i]);
                if (i == x.length - 1 || block[i + 1] != block[i]) {
                    all += here;
                    squares += here * here;
                    here = 0;
                }
            }
            return squares == 0 ? 1 : all * all / squares;
        }
    }

    /**
     * Returns half the widths of the 95 % intervals of offset and slope: the spread over drawn blocks, with Student's
     * factor for as many blocks as there are, those with more to say counting more.
     */
    private static double[] doubt(Pairs pairs, double[] line, boolean moved, double digit) {
        double[][] drawn = bootstrap(pairs, line, moved);
        double middle = Arrays.stream(pairs.x).average().orElseThrow();
        double[] worth = {pairs.worth(x -> 1), pairs.worth(x -> (x - middle) * (x - middle))};
        double[] doubt = new double[2];
        for (int k = 0; k < 2; k++) {
            double free = Math.max(1.5, worth[k] - 1);
            doubt[k] = new TDistribution(free).inverseCumulativeProbability(0.975) * Math.sqrt((free + 1) / free)
                    * Math.sqrt(StatUtils.variance(drawn[k]));
        }
        double spread = Arrays.stream(pairs.x).map(x -> (x - middle) * (x - middle)).sum();
        double n = pairs.x.length;
        return new double[]{Math.hypot(doubt[0], rounded(pairs, digit, x -> 1 / n)),
                Math.hypot(doubt[1], rounded(pairs, digit, x -> (x - middle) / Math.max(1e-12, spread)))};
    }

    /**
     * Returns how far rounding to a last digit may move a weighted sum of the reader's numbers, 95 %: the first harmonic of
     * the rounding's sawtooth over all that was shown, its phase unknown.
     */
    private static double rounded(Pairs pairs, double digit, DoubleUnaryOperator weight) {
        double cosine = 0;
        double sine = 0;
        for (int i = 0; i < pairs.x.length && digit > 0; i++) {
            double turns = 2 * Math.PI * pairs.x[i] / digit;
            cosine += weight.applyAsDouble(pairs.x[i]) * Math.cos(turns);
            sine += weight.applyAsDouble(pairs.x[i]) * Math.sin(turns);
        }
        return 1.4 * digit / Math.PI * Math.hypot(cosine, sine);
    }

    private static List<Bin> bins(double[] x, double[] y) {
        TreeMap<Integer, List<Integer>> parts = new TreeMap<>();
        for (int i = 0; i < x.length; i++) {
            parts.computeIfAbsent((int) Math.floor(x[i] / BIN), k -> new ArrayList<>()).add(i);
        }
        return parts.values().stream().filter(p -> p.size() >= ENOUGH).map(p -> {
            double told = 1 + p.stream().mapToDouble(i -> x[i]).average().orElseThrow();
            return new Bin(told, told + ColumnFacts.quantile(p.stream().mapToDouble(i -> y[i]).toArray(), 0.5),
                    p.size());
        }).toList();
    }

    /** Lines through drawn blocks, the weights of the moments as the line through all of them leaves them. */
    private static double[][] bootstrap(Pairs pairs, double[] line, boolean moved) {
        double[] weight = weights(pairs.x, pairs.y, line);
        LineSums[] blocks = new LineSums[pairs.block[pairs.block.length - 1] + 1];
        Arrays.setAll(blocks, k -> new LineSums());
        for (int i = 0; i < pairs.x.length; i++) {
            blocks[pairs.block[i]].add(pairs.x[i], pairs.y[i], weight[i]);
        }
        // The same log has to say the same each time it is read.
        Random random = new Random(1);
        double[][] drawn = new double[2][DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            LineSums all = new LineSums();
            for (int b = 0; b < blocks.length; b++) {
                all.add(blocks[random.nextInt(blocks.length)]);
            }
            double[] found = all.line(moved ? 1e-12 : Double.POSITIVE_INFINITY, 0);
            drawn[0][d] = found[0];
            drawn[1][d] = found[1];
        }
        return drawn;
    }

    /** Offset and slope of y over x that a few wild moments do not move; the slope only where x moved. */
    private static double[] huber(double[] x, double[] y, boolean sloped) {
        double[] weight = new double[x.length];
        Arrays.fill(weight, 1);
        double[] line = {0, 0};
        for (int round = 0; round < ROUNDS; round++) {
            LineSums all = new LineSums();
            for (int i = 0; i < x.length; i++) {
                all.add(x[i], y[i], weight[i]);
            }
            line = all.line(sloped ? 1e-12 : Double.POSITIVE_INFINITY, 0);
            weight = weights(x, y, line);
        }
        return line;
    }

    private static double[] weights(double[] x, double[] y, double[] line) {
        double scale = HUBER * Math.max(1e-5, deviation(x, y, line));
        double[] weight = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            double off = Math.abs(y[i] - line[0] - line[1] * x[i]);
            weight[i] = off <= scale ? 1 : scale / off;
        }
        return weight;
    }

    private static double deviation(double[] x, double[] y, double[] line) {
        int by = Math.max(1, x.length / 2000);
        double[] off = new double[x.length / by];
        for (int i = 0; i < off.length; i++) {
            off[i] = Math.abs(y[i * by] - line[0] - line[1] * x[i * by]);
        }
        return off.length == 0 ? 0 : MAD * StatUtils.percentile(off, 50);
    }

    /** How late the reader is; null where nothing moved that could tell. */
    private static @Nullable Double lag(double[] changes, double[] follows, double step) {
        Changes.Fit fit = ReaderResponse.fit(changes, follows, 0, changes.length, step);
        return fit == null || fit.correlation() < TELLING ? null : Double.valueOf(fit.shift() * step);
    }
}
