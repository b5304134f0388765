package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import java.util.OptionalDouble;

/**
 * Stands in for a controller on the road: warm-up, closed-loop idle swinging about λ 1, cruise, full throttle, lift-off,
 * and again. The figures are common practice with no published source.
 */
public final class SimulatedDrive implements ControllerStream {
    private static final double WARM_UP = 3;
    private static final double ROUND = 20;
    private static final double SWING = 0.4 / 14.7;
    private static final double FULL_THROTTLE = 12 / 14.7;
    private static final double LEAN_END = 1.36;

    @Override
    public String name() {
        return say("simulated controller");
    }

    @Override
    public OptionalDouble lambda(double seconds) {
        if (seconds < WARM_UP) {
            return OptionalDouble.empty();
        }
        double t = (seconds - WARM_UP) % ROUND;
        double swing = 1 + SWING * Math.sin(2 * Math.PI * 0.8 * t);
        if (t < 12) {
            return OptionalDouble.of(swing);
        }
        return OptionalDouble.of(t < 16
                ? towards(1, FULL_THROTTLE, t - 12)
                : t < 17.5
                        ? LEAN_END
                        : towards(LEAN_END, 1, t - 17.5));
    }

    private static double towards(double from, double to, double seconds) {
        return to + (from - to) * Math.exp(-seconds / 0.3);
    }
}
