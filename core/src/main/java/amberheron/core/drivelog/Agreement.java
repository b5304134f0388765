package amberheron.core.drivelog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
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

    public Agreement {
        bins = List.copyOf(bins);
    }

    /** Least range of mixtures from which a gain can be told, λ. */
    static final double RANGE = 0.1;
    private static final double MOST_LAG = 3;
    private static final double LEAST_LAG = -1;
    /** Slope above which the mixture counts as moving rather than standing, λ/s. */
    private static final double STANDS = 0.15;
    private static final int MOST_MOMENTS = 400_000;
    private static final int FITTED = 20_000;
    private static final int DRAWS = 200;
    private static final double BLOCK = 5;
    private static final double HUBER = 1.345;
    private static final double MAD = 1.4826;
    /** Correlation below which no lag can be told. */
    private static final double TELLING = 0.3;
    private static final int FEWEST = 20;
    /** Time constants of averages that are tried, s. */
    private static final double[] AVERAGES = {0, 0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.5, 2};
    /** Part of itself to which the residual has to shrink before an average is believed. */
    private static final double BLURRED = 0.7;
    private static final double LOOKED_AT = 240;

    /**
     * Compares.
     *
     * @param low mixtures at or below are the controller's rail, λ
     * @param high mixtures at or above are its other rail
     * @param late whether the lag can be told; false where the two were put together by what they show
     * @return null where fewer moments than say anything can be compared
     */
    static @Nullable Agreement of(Drive drive, double low, double high, boolean late) {
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
        float[] prompt = lag == null ? shown : clock.put(drive.time(), drive.reader(), lag);
        double[] x = new double[clock.size];
        double[] y = new double[clock.size];
        int[] block = new int[clock.size];
        int n = 0;
        int reach = Math.max(1, (int) Math.round(0.2 / clock.step));
        for (int i = reach; i + reach < clock.size; i++) {
            double moved = Math.abs(told[i + reach] - told[i - reach]) / (2 * reach * clock.step);
            if (moved <= STANDS && told[i] > low && told[i] < high && prompt[i] > 0) {
                x[n] = told[i] - 1;
                y[n] = prompt[i] - told[i];
                block[n++] = (int) (i * clock.step / BLOCK);
            }
        }
        if (n < FEWEST) {
            return null;
        }
        int by = Math.max(1, n / FITTED);
        int few = n / by;
        for (int i = 0; i < few; i++) {
            x[i] = x[i * by];
            y[i] = y[i * by];
            block[i] = block[i * by];
        }
        x = Arrays.copyOf(x, few);
        y = Arrays.copyOf(y, few);
        double[] sorted = x.clone();
        Arrays.sort(sorted);
        boolean moved = sorted[(int) (0.98 * (few - 1))] - sorted[(int) (0.02 * (few - 1))] >= RANGE;
        double[] line = huber(x, y, null, moved);
        double[][] drawn = bootstrap(x, y, block, few, moved);
        return new Agreement(line[0], ColumnFacts.quantile(drawn[0], 0.025), ColumnFacts.quantile(drawn[0], 0.975),
                moved ? Double.valueOf(1 + line[1]) : null,
                moved ? Double.valueOf(1 + ColumnFacts.quantile(drawn[1], 0.025)) : null,
                moved ? Double.valueOf(1 + ColumnFacts.quantile(drawn[1], 0.975)) : null, lag,
                lag == null ? null : averaging(told, changes, follows, clock.step), few, bins(x, y));
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

    private static double[][] bootstrap(double[] x, double[] y, int[] block, int n, boolean moved) {
        int blocks = block[n - 1] + 1;
        int[] from = new int[blocks + 1];
        Arrays.fill(from, n);
        for (int i = n - 1; i >= 0; i--) {
            from[block[i]] = i;
        }
        for (int b = blocks - 1; b >= 0; b--) {
            from[b] = Math.min(from[b], from[b + 1]);
        }
        // The same log has to say the same each time it is read.
        Random random = new Random(1);
        double[][] drawn = new double[2][DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            double[] weight = new double[n];
            for (int b = 0; b < blocks; b++) {
                int drawnBlock = random.nextInt(blocks);
                for (int i = from[drawnBlock]; i < from[drawnBlock + 1]; i++) {
                    weight[i]++;
                }
            }
            double[] line = huber(x, y, weight, moved);
            drawn[0][d] = line[0];
            drawn[1][d] = line[1];
        }
        return drawn;
    }

    /** Offset and slope of y over x that a few wild moments do not move; the slope only where x moved. */
    private static double[] huber(double[] x, double[] y, double @Nullable [] weight, boolean sloped) {
        int n = x.length;
        double[] w = new double[n];
        for (int i = 0; i < n; i++) {
            w[i] = weight == null ? 1 : weight[i];
        }
        double[] line = {0, 0};
        for (int round = 0; round < (weight == null ? 12 : 4); round++) {
            double s = 0;
            double sx = 0;
            double sy = 0;
            double sxx = 0;
            double sxy = 0;
            for (int i = 0; i < n; i++) {
                s += w[i];
                sx += w[i] * x[i];
                sy += w[i] * y[i];
                sxx += w[i] * x[i] * x[i];
                sxy += w[i] * x[i] * y[i];
            }
            double spread = s * sxx - sx * sx;
            if (s <= 0) {
                return line;
            }
            line[1] = sloped && spread > 1e-12 ? (s * sxy - sx * sy) / spread : 0;
            line[0] = (sy - line[1] * sx) / s;
            double scale = HUBER * Math.max(1e-5, deviation(x, y, line));
            for (int i = 0; i < n; i++) {
                double off = Math.abs(y[i] - line[0] - line[1] * x[i]);
                w[i] = (weight == null ? 1 : weight[i]) * (off <= scale ? 1 : scale / off);
            }
        }
        return line;
    }

    private static double deviation(double[] x, double[] y, double[] line) {
        int by = Math.max(1, x.length / 2000);
        double[] off = new double[x.length / by];
        for (int i = 0; i < off.length; i++) {
            off[i] = Math.abs(y[i * by] - line[0] - line[1] * x[i * by]);
        }
        return off.length == 0 ? 0 : MAD * StatUtils.percentile(off, 50);
    }

    /**
     * Estimates the time constant of the reader's own average. Each constant tried blurs the controller's changes; the one
     * after which they match the reader's best is returned, if that match is much better than without any. Only the stretch
     * with the most change is looked at.
     */
    private static double averaging(float[] told, double[] changes, double[] follows, double step) {
        int most = (int) Math.min(told.length, LOOKED_AT / step);
        int from = liveliest(changes, most);
        double found = 0;
        double unlike = Double.NaN;
        for (double constant : AVERAGES) {
            double[] blurred = constant == 0 ? changes : Changes.of(averaged(told, constant / step), step);
            Changes.Fit fit = fit(blurred, follows, from, from + most, step);
            double apart = fit == null ? 1 : 1 - fit.correlation();
            if (constant == 0 || apart < unlike * (found == 0 ? BLURRED : 1)) {
                unlike = apart;
                found = constant;
            }
        }
        return found;
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

    /** An average of first order over so many moments. */
    private static float[] averaged(float[] values, double moments) {
        float[] out = new float[values.length];
        double part = 1 - Math.exp(-1 / moments);
        double now = Double.NaN;
        for (int i = 0; i < values.length; i++) {
            double value = values[i];
            now = Double.isNaN(now) || Double.isNaN(value) ? value : now + part * (value - now);
            out[i] = (float) now;
        }
        return out;
    }

    /** How late the reader is; null where nothing moved that could tell. */
    private static @Nullable Double lag(double[] changes, double[] follows, double step) {
        Changes.Fit fit = fit(changes, follows, 0, changes.length, step);
        return fit == null || fit.correlation() < TELLING ? null : Double.valueOf(fit.shift() * step);
    }

    private static Changes.@Nullable Fit fit(double[] changes, double[] follows, int first, int last, double step) {
        return Changes.fit(changes, follows, first, last, (int) Math.floor(LEAST_LAG / step),
                (int) Math.ceil(MOST_LAG / step), 1);
    }
}
