package amberheron.core.drivelog;

import amberheron.core.drivelog.Regime.Kind;
import amberheron.core.mixture.Bands;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Classifies how the engine was run from the channels that a log has. Every threshold is common practice with no published
 * source.
 */
final class Regimes {
    private static final int MOST_MOMENTS = 500_000;
    private static final double STEP = 0.1;
    private static final double COLD = 333.15;
    private static final double IDLE_SPEED = 1200;
    private static final double IDLE_STAYS = 1350;
    /** Throttle up to which it is shut, part of full. */
    static final double SHUT = 0.08;
    /** Throttle above which the load is full, part of full. */
    static final double OPEN = 0.85;
    private static final double STANDS = 1.5;
    private static final double RISES = 300;
    private static final double GATHERS = 0.8;
    private static final double CUT = 1.25;
    /** Distance from its rail within which a controller shows no mixture, λ. */
    static final double NEAR = 0.005;
    private static final double LEAST_PRESSURE = 85_000;
    private static final double NEAR_HIGHEST = 0.92;

    private final OnClock clock;
    private final float[] lambda;
    private final float[] rpm;
    private final float[] speed;
    private final float[] pressure;
    private final float[] throttle;
    private final float[] temperature;
    private final Drive drive;
    private final EngineAsked asked;

    Regimes(Drive drive, EngineAsked asked) {
        this.drive = drive;
        this.asked = asked;
        clock = OnClock.of(drive, Math.max(STEP, drive.step()), MOST_MOMENTS);
        lambda = clock.put(drive.time(), drive.controller(), 0);
        rpm = clock.put(drive.time(), drive.engineSpeed(), 0);
        speed = clock.put(drive.time(), drive.speed(), 0);
        pressure = clock.put(drive.time(), drive.pressure(), 0);
        throttle = clock.put(drive.time(), drive.throttle(), 0);
        temperature = clock.put(drive.time(), drive.temperature(), 0);
    }

    /** Returns the ways of running that this log cannot tell, for want of a channel. */
    static Set<Kind> notTold(Drive drive) {
        Set<Kind> not = EnumSet.noneOf(Kind.class);
        if (drive.engineSpeed() == null) {
            not.add(Kind.IDLE);
        }
        if (drive.engineSpeed() == null && drive.speed() == null) {
            not.add(Kind.CRUISE);
            not.add(Kind.ACCELERATION);
        }
        if (!drive.knowsLoad()) {
            not.add(Kind.FULL_LOAD);
        }
        return not;
    }

    /** Returns the stretches in order; moments between them match no rule. */
    List<Regime> find() {
        @Nullable
        Kind[] kinds = new Kind[clock.size];
        float[] sorted = present(pressure);
        float highest = sorted.length == 0 ? 0 : sorted[(int) (0.98 * (sorted.length - 1))];
        double[] turns = slope(rpm, 1);
        double[] gathers = slope(speed, 1.5);
        boolean[] swings = swings();
        double warm = warm();
        boolean idled = false;
        for (int i = 0; i < clock.size; i++) {
            kinds[i] = kind(i, highest, turns[i], gathers[i], swings[i], warm, idled);
            idled = kinds[i] == Kind.IDLE;
        }
        return stretches(kinds);
    }

    private @Nullable Kind kind(int i, float highest, double turns, double gathers, boolean swings, double warm,
            boolean idled) {
        if (Float.isNaN(lambda[i])) {
            return null;
        }
        // Without the channel there is nothing but NaN.
        boolean cold = Float.isNaN(temperature[i]) ? clock.at(i) < warm : temperature[i] < COLD;
        boolean shut = drive.throttle() == null || !(throttle[i] > SHUT);
        boolean fast = drive.engineSpeed() == null || rpm[i] > IDLE_STAYS;
        boolean known = drive.throttle() != null || drive.engineSpeed() != null
                || lambda[i] >= asked.railHigh() - NEAR;
        // One that runs lean always tells a cut only by leaving what the controller can tell.
        double cut = asked.bands().leanHarms() ? CUT : asked.railHigh() - NEAR;
        if (lambda[i] > cut && shut && fast && known) {
            return Kind.LIFT_OFF;
        }
        if (cold) {
            return Kind.COLD_START;
        }
        if (drive.knowsLoad()
                && (throttle[i] > OPEN || (drive.throttle() == null && highest >= LEAST_PRESSURE
                        && pressure[i] >= NEAR_HIGHEST * highest))) {
            return Kind.FULL_LOAD;
        }
        if (drive.engineSpeed() != null && rpm[i] < (idled ? IDLE_STAYS : IDLE_SPEED) && rpm[i] > 300 && shut
                && !(speed[i] > STANDS)) {
            return Kind.IDLE;
        }
        if (turns > RISES || gathers > GATHERS) {
            return Kind.ACCELERATION;
        }
        boolean steady = !(Math.abs(turns) > RISES / 2) && !(Math.abs(gathers) > GATHERS / 2);
        if ((drive.engineSpeed() != null || drive.speed() != null) && steady && !shutAndFast(i)
                && (drive.speed() == null ? rpm[i] > IDLE_STAYS : speed[i] > 3 * STANDS)) {
            return Kind.CRUISE;
        }
        return swings ? Kind.SWING : null;
    }

    private boolean shutAndFast(int i) {
        return drive.throttle() != null && throttle[i] < 0.02 && lambda[i] > 1.1;
    }

    private static float[] present(float[] values) {
        float[] some = new float[values.length];
        int n = 0;
        for (float v : values) {
            if (!Float.isNaN(v)) {
                some[n++] = v;
            }
        }
        float[] sorted = Arrays.copyOf(some, n);
        Arrays.sort(sorted);
        return sorted;
    }

    /** Returns the slope of a channel over a window, in units a second; NaN where it is not known. */
    private double[] slope(float[] values, double over) {
        int reach = Math.max(1, (int) Math.round(over / 2 / clock.step));
        double[] out = new double[values.length];
        for (int i = 0; i < out.length; i++) {
            int a = Math.max(0, i - reach);
            int b = Math.min(out.length - 1, i + reach);
            out[i] = b > a ? (values[b] - values[a]) / ((b - a) * clock.step) : Double.NaN;
        }
        return out;
    }

    /** Returns where the mixture swings about λ 1 as a closed loop makes it swing. */
    private boolean[] swings() {
        int reach = Math.max(2, (int) Math.round(4 / clock.step));
        int n = clock.size;
        int[] crossings = new int[n + 1];
        for (int i = 1; i < n; i++) {
            boolean crossed = (lambda[i - 1] < 1 && lambda[i] >= 1) || (lambda[i - 1] >= 1 && lambda[i] < 1);
            crossings[i + 1] = crossings[i] + (crossed ? 1 : 0);
        }
        boolean[] swings = new boolean[n];
        for (int i = 0; i < n; i++) {
            int a = Math.max(0, i - reach);
            int b = Math.min(n, i + reach);
            swings[i] = crossings[b] - crossings[a] >= 4 && Math.abs(lambda[i] - 1) < 4 * Bands.SWING;
        }
        return swings;
    }

    /**
     * Estimates when the engine is warm in a log without coolant temperature: after a rich start the mixture first comes
     * near λ 1.
     */
    private double warm() {
        double sum = 0;
        int n = 0;
        int i = 0;
        while (i < clock.size && n < Math.round(3 / clock.step)) {
            if (!Float.isNaN(lambda[i])) {
                sum += lambda[i];
                n++;
            }
            i++;
        }
        if (n == 0 || sum / n > 0.88) {
            return Double.NEGATIVE_INFINITY;
        }
        double held = 0;
        for (; i < clock.size; i++) {
            held = lambda[i] >= 0.95 ? held + clock.step : 0;
            if (held >= 1) {
                return clock.at(i) - held;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private static double least(Kind kind) {
        return switch (kind) {
            case IDLE, CRUISE, SWING -> 2;
            case COLD_START -> 1;
            case ACCELERATION, FULL_LOAD, LIFT_OFF -> 0.5;
        };
    }

    /**
     * Returns the stretches of one kind; holes shorter than half a second are closed, and stretches too short to tell are
     * left out.
     */
    private List<Regime> stretches(@Nullable Kind[] kinds) {
        int hole = (int) Math.round(0.5 / clock.step);
        for (int i = 1; i < kinds.length; i++) {
            if (kinds[i] != kinds[i - 1] && kinds[i - 1] != null) {
                int next = i;
                while (next < kinds.length && next - i <= hole && kinds[next] != kinds[i - 1]) {
                    next++;
                }
                boolean closes = next < kinds.length && next - i <= hole && kinds[next] == kinds[i - 1];
                if (closes) {
                    Arrays.fill(kinds, i, next, kinds[i - 1]);
                }
            }
        }
        List<Regime> found = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= kinds.length; i++) {
            if (i == kinds.length || kinds[i] != kinds[from]) {
                Kind kind = kinds[from];
                if (kind != null && (i - from) * clock.step >= least(kind)) {
                    found.add(regime(kind, from, i));
                }
                from = i;
            }
        }
        return List.copyOf(found);
    }

    private Regime regime(Kind kind, int from, int to) {
        float[] shown = present(Arrays.copyOfRange(lambda, from, to));
        double middle = shown.length == 0 ? Double.NaN : shown[shown.length / 2];
        boolean carburettor = asked.carburettor();
        Bands bands = asked.bands();
        Double low = switch (kind) {
            case COLD_START, LIFT_OFF -> null;
            case IDLE, CRUISE -> carburettor ? Bands.CARBURETTOR_RICH : bands.steadyRich();
            case SWING -> bands.steadyRich();
            case ACCELERATION -> bands.tooRich();
            case FULL_LOAD -> bands.rich();
        };
        Double high = switch (kind) {
            case COLD_START, LIFT_OFF -> null;
            case IDLE, CRUISE, SWING -> bands.steadyLean();
            case ACCELERATION -> bands.stop();
            case FULL_LOAD -> bands.lean();
        };
        return new Regime(kind, clock.at(from), clock.at(to - 1), middle, low, high);
    }
}
