package amberheron.core.mixture;

import static amberheron.core.units.Phrase.say;

/** Gas in the pipe: oxygen of lean exhaust, false air, and pressure at the sensor. */
public final class ExhaustGas {
    private static final double NITROGEN_PER_OXYGEN = 3.773;

    /** A sensor's constant of pressure, bar: the greater of those that are told, from memory. */
    public static final double PRESSURE_CONSTANT = 0.45;
    /** A sensor's constant of pressure, bar: the smaller of those that are told, from memory. */
    public static final double LEAST_PRESSURE_CONSTANT = 0.35;

    private ExhaustGas() {
    }

    /**
     * Oxygen in wet lean exhaust after complete combustion of CH_y, as a mole fraction. Heywood, ch. 4.
     *
     * @param lambda 1 or more
     * @param hydrogenPerCarbon y, 0 to 4
     */
    public static double oxygen(double lambda, double hydrogenPerCarbon) {
        if (!(lambda >= 1)) {
            throw new IllegalArgumentException(
                    say("lambda %s, expected 1 or more: rich exhaust has no free oxygen here", lambda));
        }
        double need = 1 + hydrogenPerCarbon / 4;
        double spare = (lambda - 1) * need;
        return spare / (1 + hydrogenPerCarbon / 2 + NITROGEN_PER_OXYGEN * lambda * need + spare);
    }

    /**
     * Returns the lambda of wet lean exhaust with a given oxygen; the inverse of {@link #oxygen}. Heywood, ch. 4.
     *
     * @param oxygen mole fraction, 0 or more
     * @param hydrogenPerCarbon y, 0 to 4
     * @return 1 or more; infinite for as much oxygen as air has, or more
     */
    public static double lambdaOf(double oxygen, double hydrogenPerCarbon) {
        double need = 1 + hydrogenPerCarbon / 4;
        double room = 1 - oxygen * (1 + NITROGEN_PER_OXYGEN);
        return room <= 0
                ? Double.POSITIVE_INFINITY
                : (need - oxygen * need + oxygen * (1 + hydrogenPerCarbon / 2)) / (need * room);
    }

    /**
     * The lambda a sensor sees when air leaks in before it.
     *
     * @param lambda true mixture
     * @param leak mass of leaked air per mass of exhaust, 0 to 1
     * @param stoich the fuel's stoichiometric ratio
     */
    public static double withFalseAir(double lambda, double leak, double stoich) {
        return lambda + leak * (1 + lambda * stoich) / stoich;
    }

    /**
     * Pump current at a pressure over that at the pressure of calibration: Ip(p)/Ip(p0) = (p/(k+p))·((k+p0)/p0).
     * For saying how wrong a place is, never for correcting a reading.
     *
     * @param pressure absolute pressure at the sensor, bar
     * @param reference absolute pressure at calibration, bar
     * @param k the sensor's constant, bar; 0.35 to 0.45, from memory
     */
    public static double pumpCurrentRatio(double pressure, double reference, double k) {
        return pressure / (k + pressure) * ((k + reference) / reference);
    }

    /**
     * The lambda shown for a true one by a sensor whose gain is off, in petrol's exhaust. Lean, that much more oxygen is read
     * as the mixture that would leave it; rich, the pump runs the other way with the same gain, which acts on λ − 1; at lambda
     * 1 nothing changes. Heywood, ch. 4.
     *
     * @param gain 1 for a sensor in order
     */
    public static double shown(double lambda, double gain) {
        double hydrogen = Composition.PETROL.hydrogen();
        return lambda <= 1 ? 1 + (lambda - 1) * gain : lambdaOf(gain * oxygen(lambda, hydrogen), hydrogen);
    }
}
