package amberheron.core.drivelog;

import amberheron.core.freeair.Air;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.ExhaustGas;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * The mixture that was burnt, worked back from what the sensor showed. A sensor of first order shows the oxygen x as
 * τ·dx/dt + x = u of the gas u at its tip, and the gas comes late by the pipe; τ is estimated from the log itself, where fuel
 * comes back after a cut. What is left of a cut is bounded by the decay of such a sensor, so that it is not taken for a lean
 * mixture.
 *
 * <p>The first-order model of the sensor is textbook signal theory; every threshold is our own choice, no published source.
 */
final class BurntMixture {
    /** Time constants of sensors that are tried, s. */
    private static final double LEAST = 0.03;
    private static final double MOST = 0.45;
    /** Time constant where the log does not tell it, s, and the one that then bounds what is left of a cut. */
    private static final double USUAL = 0.12;
    private static final double SLOW = 0.3;
    /** Number of decays from which a time constant is told. */
    private static final int FEWEST = 3;
    private static final double DECAY = 0.8;
    /** Span over which the gas is worked back, s. */
    private static final double WINDOW = 0.1;
    /** Time for which gas may still come from before the throttle was moved, under full load and less, s. */
    private static final double LATE = 0.3;
    private static final double LATER = 0.6;
    private static final double NOISE = 0.012;
    /** Time that the gas of a light load takes longer, since it mixes on its slow way, s. */
    private static final double MIXES = 0.1;
    /** Oxygen beyond which no petrol burns: λ 1.7. */
    private static final double NO_FIRE = 0.4;
    /** Longest cut with the throttle open, as in a gear change under full load, s. */
    private static final double CUT = 0.5;
    private static final double HYDROGEN = Composition.PETROL.hydrogen();
    private static final double AIR = Air.DRY_OXYGEN;
    /** Oxygen that a rich gas lacks for 1 less of the inverse of λ, of that of air; from memory. */
    private static final double RICH = 1.3;

    private final Drive drive;
    private final EngineAsked asked;
    private final boolean[] fullLoad;
    private final double[] oxygen;
    private final double top;
    private final double sensor;
    private final boolean told;

    BurntMixture(Drive drive, EngineAsked asked, List<Regime> regimes) {
        this.drive = drive;
        this.asked = asked;
        fullLoad = fullLoad(drive, regimes);
        oxygen = new double[drive.size()];
        for (int i = 0; i < oxygen.length; i++) {
            oxygen[i] = oxygen(drive.controller()[i]);
        }
        top = oxygen(asked.railHigh() - Regimes.NEAR);
        Double fitted = fitted();
        told = fitted != null;
        sensor = fitted == null ? USUAL : fitted;
    }

    /** Returns the rows under full load: by the throttle, and where the log has none by the way the engine was run. */
    private static boolean[] fullLoad(Drive drive, List<Regime> regimes) {
        boolean[] full = new boolean[drive.size()];
        float[] throttle = drive.throttle();
        if (throttle != null) {
            for (int i = 0; i < full.length; i++) {
                full[i] = throttle[i] > Regimes.OPEN;
            }
            return full;
        }
        int i = 0;
        for (Regime regime : regimes) {
            while (i < full.length && drive.time()[i] < regime.from()) {
                i++;
            }
            for (; i < full.length && drive.time()[i] <= regime.to(); i++) {
                full[i] = regime.kind() == Regime.Kind.FULL_LOAD;
            }
        }
        return full;
    }

    /** Returns the mixture of the gas that the sensor must have seen at a row, λ; NaN where that is not known. */
    double lambda(int row) {
        int from = row;
        while (from > 0 && drive.time()[row] - drive.time()[from - 1] < WINDOW) {
            from--;
        }
        double gas = gas(Math.max(0, from - 1), row);
        return gas <= 0 ? 1 / (1 - gas / RICH) : ExhaustGas.lambdaOf(gas * AIR, HYDROGEN);
    }

    /** Returns the time constant of the sensor with the gas that mixes before it, s. */
    double sensor() {
        return sensor;
    }

    /** Oxygen of the gas, of that of air; less than nothing is what a rich gas lacks. */
    private static double oxygen(double lambda) {
        return lambda >= 1 ? ExhaustGas.oxygen(lambda, HYDROGEN) / AIR : RICH * (1 - 1 / lambda);
    }

    /** Returns where the throttle is shut; where the log has none, where the manifold's pressure is low. */
    private boolean shut(int i) {
        float[] throttle = drive.throttle();
        float[] pressure = drive.pressure();
        return throttle != null ? throttle[i] < Regimes.SHUT : pressure != null && pressure[i] < 40_000;
    }

    /** Returns whether a row shows the controller's lean rail, as in a fuel cut. */
    boolean cut(int i) {
        return oxygen[i] >= top;
    }

    /** Rows from one to before another in which the sensor comes back from a cut. */
    private record Decay(int from, int to) {
    }

    private List<Decay> decays() {
        double[] t = drive.time();
        List<Decay> decays = new ArrayList<>();
        for (int i = 1; i < t.length; i++) {
            if (cut(i - 1) && oxygen[i] < top && !shut(i)) {
                int to = i;
                while (to < t.length && t[to] - t[i] < DECAY && !shut(to) && oxygen[to] < top) {
                    to++;
                }
                if (to - i >= 4 && t[to - 1] - t[i] >= DECAY / 2) {
                    decays.add(new Decay(i, to));
                }
                i = to;
            }
        }
        return decays;
    }

    /** Fits one time constant to all returns of fuel after a cut; null where there are too few. */
    private @Nullable Double fitted() {
        List<Decay> decays = decays();
        if (decays.size() < FEWEST) {
            return null;
        }
        double best = Double.NaN;
        double least = Double.POSITIVE_INFINITY;
        for (double tau = LEAST; tau <= MOST; tau *= 1.12) {
            double sum = 0;
            for (Decay decay : decays) {
                sum += residual(decay, tau);
            }
            if (sum < least) {
                least = sum;
                best = tau;
            }
        }
        return best;
    }

    /** Sum of squares that an exponential of this time constant, with any two levels, leaves of a decay. */
    private double residual(Decay decay, double tau) {
        double[] t = drive.time();
        SimpleRegression line = new SimpleRegression();
        for (int i = decay.from; i < decay.to; i++) {
            line.addData(Math.exp(-(t[i] - t[decay.from]) / tau), oxygen[i]);
        }
        return line.getSumSquaredErrors();
    }

    /** The mixtures that are right for the engine. */
    Bands bands() {
        return asked.bands();
    }

    /**
     * Returns the rows in which the engine burnt a mixture leaner than its load allows, by the gas at the sensor's tip and
     * not by what is left of an earlier cut.
     */
    boolean[] tooLean() {
        double[] t = drive.time();
        int n = t.length;
        boolean[] lean = new boolean[n];
        Bands bands = asked.bands();
        if (!bands.leanHarms()) {
            return lean;
        }
        double full = oxygen(bands.lean());
        double stop = oxygen(bands.stop());
        double slow = told ? 1.3 * sensor + 0.02 : SLOW;
        double lastShut = Double.NEGATIVE_INFINITY;
        double partUntil = Double.NEGATIVE_INFINITY;
        double bound = Double.NEGATIVE_INFINITY;
        int back = 0;
        int railed = 0;
        boolean behind = false;
        for (int i = 0; i < n; i++) {
            double x = oxygen[i];
            if (Double.isNaN(x)) {
                continue;
            }
            double late = (fullLoad[i] ? LATE : LATER) + asked.delay();
            lastShut = shut(i) ? t[i] : lastShut;
            double cutUntil = lastShut + late;
            partUntil = fullLoad[i] ? partUntil : t[i] + LATE + asked.delay();
            railed = cut(i) ? railed : i + 1;
            if (railed <= i && t[railed] > cutUntil && t[i] - t[railed] > CUT + 1.3 * sensor) {
                Arrays.fill(lean, railed, i + 1, true);
            }
            while (back < i - 1 && t[i] - t[back + 1] >= WINDOW) {
                back++;
            }
            double gas = gas(back, i);
            boolean air = t[i] <= cutUntil || cut(i) || gas > NO_FIRE;
            if (air || behind) {
                // Air, or what comes right behind it: how far beyond its rail the controller was is not known.
                bound = x;
                behind = air;
                continue;
            }
            double limit = t[i] <= partUntil ? stop : full;
            double dt = i == 0 ? 0 : t[i] - t[i - 1];
            double decay = fullLoad[i] ? slow : slow + MIXES;
            bound = Math.max(limit, limit + (Math.min(bound, 2) - limit) * Math.exp(-dt / decay));
            lean[i] = gas > limit + NOISE && x > bound + NOISE;
            bound = Math.min(bound, Math.max(limit, x));
        }
        return lean;
    }

    /** The oxygen of the gas at the tip between two rows, which made the sensor go from the one to the other. */
    private double gas(int from, int to) {
        if (from == to || Double.isNaN(oxygen[from]) || cut(from)) {
            return oxygen[to];
        }
        double a = Math.exp(-(drive.time()[to] - drive.time()[from]) / sensor);
        return (oxygen[to] - a * oxygen[from]) / (1 - a);
    }
}
