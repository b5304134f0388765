package amberheron.core.scaling;

import java.util.List;
import java.util.Objects;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Check points as the diagnosis works with them: what was applied, what it means, what was shown, and how exactly each is
 * known.
 */
final class Observations {
    private final double[] volts;
    private final double[] lambda;
    private final double[] shown;
    /** Standard deviation of the volts where the gauge told them; NaN where a meter did. */
    private final double[] gauged;
    /** Whether the gauge itself told the mixture, so that a meter's error does not move it. */
    private final boolean[] told;
    /** Whether the engine ran. */
    private final boolean[] running;
    private final double digit;
    /** How far an error that bends or drifts by the whole of the volts would be felt, V for 1. */
    private final double[] bow;
    private final double[] drift;
    /** Numbers that may have been meant where one was mistyped by a slip. */
    private final double[][] meant;

    private Observations(double[] volts, double[] lambda, double[] shown, double[] gauged, boolean[] told,
            boolean[] running, double digit, double[] bow, double[] drift) {
        this.volts = volts;
        this.lambda = lambda;
        this.shown = shown;
        this.gauged = gauged;
        this.told = told;
        this.running = running;
        this.digit = digit;
        this.bow = bow;
        this.drift = drift;
        meant = new double[shown.length][];
        for (int i = 0; i < meant.length; i++) {
            meant[i] = Slips.of(shown[i], digit);
        }
    }

    /** Takes one or more check points. */
    static Observations of(OutputLaw law, List<CheckPoint> points) {
        int n = points.size();
        double step = CheckPoint
                .lastDigit(points.stream().map(CheckPoint::truth).filter(Objects::nonNull).mapToDouble(t -> t));
        double[] volts = points.stream().mapToDouble(p -> p.outputVolts(law)).toArray();
        double[] gauged = new double[n];
        boolean[] told = new boolean[n];
        boolean[] running = new boolean[n];
        for (int i = 0; i < n; i++) {
            double perVolt = Math.abs(law.scale().fromLambda(law.slopeAt(volts[i])));
            gauged[i] = points.get(i).volts() != null ? Double.NaN : step / Math.sqrt(12) / Math.max(perVolt, 1e-9);
            told[i] = points.get(i).truth() != null;
            running[i] = points.get(i).engine() == CheckPoint.Engine.RUNNING;
        }
        double span = law.highestVolts() - law.lowestVolts();
        double[] bow = DoubleStream.of(volts).map(v -> Math.clamp((v - law.lowestVolts()) / span, 0, 1))
                .map(x -> 4 * span * x * (1 - x)).toArray();
        double[] drift = IntStream.range(0, n).mapToDouble(i -> n == 1 ? 0 : span * i / (n - 1)).toArray();
        return new Observations(volts, points.stream().mapToDouble(p -> p.trueLambda(law)).toArray(),
                points.stream().mapToDouble(CheckPoint::shown).toArray(), gauged, told, running,
                CheckPoint.lastDigit(points.stream().mapToDouble(CheckPoint::shown)), bow, drift);
    }

    int size() {
        return volts.length;
    }

    double volts(int i) {
        return volts[i];
    }

    double lambda(int i) {
        return lambda[i];
    }

    double shown(int i) {
        return shown[i];
    }

    /** Whether the engine ran. */
    boolean running(int i) {
        return running[i];
    }

    /** Returns how far the volts of a row would be off with a meter that bends by as much as the volts that are tried, V. */
    double bow(int i) {
        return bow[i];
    }

    /** The same with one that moves on by that from the first row to the last, V. */
    double drift(int i) {
        return drift[i];
    }

    /** Returns the numbers that may have been meant where what was shown was mistyped by one slip. */
    double[] meant(int i) {
        return meant[i];
    }

    /** Whether some were read with the engine running and some not. */
    boolean bothWays() {
        boolean ran = false;
        boolean stood = false;
        for (boolean r : running) {
            ran |= r;
            stood |= !r;
        }
        return ran && stood;
    }

    /** The last digit that the reader shows, in its own quantity. */
    double digit() {
        return digit;
    }

    /** Variance of the volts applied, V², for a meter that is off by so much. */
    double variance(int i, double meter) {
        return Double.isNaN(gauged[i]) ? meter * meter : gauged[i] * gauged[i];
    }

    /** Returns a limited number of the points, spread over their volts. */
    Observations thinned(int most) {
        if (size() <= most) {
            return this;
        }
        int[] order = IntStream.range(0, size()).boxed().sorted((a, b) -> Double.compare(volts[a], volts[b]))
                .mapToInt(i -> i).toArray();
        int[] kept = IntStream.range(0, most).map(k -> order[(int) ((long) k * (size() - 1) / (most - 1))]).toArray();
        boolean[] tells = new boolean[most];
        boolean[] ran = new boolean[most];
        for (int k = 0; k < most; k++) {
            tells[k] = told[kept[k]];
            ran[k] = running[kept[k]];
        }
        return new Observations(picked(volts, kept), picked(lambda, kept), picked(shown, kept), picked(gauged, kept),
                tells, ran, digit, picked(bow, kept), picked(drift, kept));
    }

    private static double[] picked(double[] values, int[] kept) {
        return IntStream.of(kept).mapToDouble(i -> values[i]).toArray();
    }
}
