package amberheron.core.drivelog;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * Controller's reading when the stock narrowband stepped: whatever the fuel, that is λ 1. A controller that is late
 * shows too much on the way to rich and too little on the way to lean, so that the mean of both ways is free of that.
 *
 * @param steps how often it stepped
 * @param lambda what the controller showed then, λ
 * @param doubt how far from λ 1 the step itself and its scatter leave that open, λ (95 %)
 */
public record Crossings(int steps, double lambda, double doubt) {
    /** Voltage of a narrowband sensor in the middle of its step, V. */
    private static final double STEP = 0.45;
    private static final double RICH = 0.65;
    private static final double LEAN = 0.25;
    /** Longest time from rich to lean that counts as the step of a warm sensor, s. */
    private static final double QUICK = 1;
    /** Distance of the step itself from λ 1; from memory, the larger of the values that are told. */
    private static final double OWN_DOUBT = 0.005;
    private static final int FEWEST = 5;

    /** Finds the crossings of a drive; null where it has no narrowband, or where that stepped too seldom while warm. */
    static @Nullable Crossings of(Drive drive, List<Regime> regimes) {
        float[] volts = drive.narrowband();
        if (volts == null) {
            return null;
        }
        Silence silence = new Silence(regimes);
        double[][] ways = {new double[volts.length], new double[volts.length]};
        int[] found = new int[2];
        int last = -1;
        boolean wasRich = false;
        for (int i = 0; i < volts.length; i++) {
            boolean rich = volts[i] > RICH;
            if (!rich && !(volts[i] < LEAN)) {
                continue;
            }
            if (last >= 0 && rich != wasRich && drive.time()[i] - drive.time()[last] <= QUICK
                    && !silence.at(drive.time()[i])) {
                double shown = shownAt(drive, volts, last, i);
                if (shown > 0) {
                    int way = rich ? 0 : 1;
                    ways[way][found[way]++] = shown;
                }
            }
            wasRich = rich;
            last = i;
        }
        if (found[0] < FEWEST || found[1] < FEWEST) {
            return null;
        }
        double[] rich = Arrays.copyOf(ways[0], found[0]);
        double[] lean = Arrays.copyOf(ways[1], found[1]);
        double scatter = Math.hypot(error(rich), error(lean)) / 2;
        return new Crossings(found[0] + found[1], (StatUtils.percentile(rich, 50) + StatUtils.percentile(lean, 50)) / 2,
                OWN_DOUBT + 2 * scatter);
    }

    /** Controller's reading as the volts passed the middle of the step, between the rows. */
    private static double shownAt(Drive drive, float[] volts, int from, int to) {
        for (int k = from; k < to; k++) {
            int next = k + 1;
            while (next < to && Float.isNaN(volts[next])) {
                next++;
            }
            if ((volts[k] - STEP) * (volts[next] - STEP) <= 0 && volts[k] != volts[next]) {
                double part = (STEP - volts[k]) / (volts[next] - volts[k]);
                return drive.controller()[k] + part * (drive.controller()[next] - drive.controller()[k]);
            }
        }
        return Double.NaN;
    }

    /** Standard error of the middle. */
    private static double error(double[] values) {
        double middle = StatUtils.percentile(values, 50);
        double[] off = Arrays.stream(values).map(v -> Math.abs(v - middle)).toArray();
        return 1.253 * 1.4826 * StatUtils.percentile(off, 50) / Math.sqrt(values.length);
    }
}
