package amberheron.core.freeair;

import amberheron.core.mixture.ExhaustGas;

/**
 * The air a sensor is calibrated in.
 *
 * @param temperature K
 * @param humidity relative, 0 to 1
 * @param height above sea level, m
 */
public record Air(double temperature, double humidity, double height) {
    /** Oxygen of dry air, mole fraction. US Standard Atmosphere 1976. */
    public static final double DRY_OXYGEN = 0.209476;
    /** Hydrogen per carbon of petrol, which the cost of the air is quoted for. Heywood, table D.4. */
    private static final double PETROL = 1.87;

    /** Pressure at this height, Pa. ICAO Doc 7488. */
    public double pressure() {
        return 101325 * Math.pow(1 - 2.25577e-5 * height, 5.25588);
    }

    /** Saturation vapour pressure at this temperature, Pa. Alduchov and Eskridge 1996. */
    public double saturation() {
        double celsius = temperature - 273.15;
        return 610.94 * Math.exp(17.625 * celsius / (celsius + 243.04));
    }

    /** Oxygen of this air, mole fraction: water vapour takes the place of dry air. */
    public double oxygen() {
        return DRY_OXYGEN * (1 - humidity * saturation() / pressure());
    }

    /**
     * The lambda shown later for a true lambda, by a controller that was calibrated in this air and takes it for dry
     * air: its gain is off by dry over true oxygen. Lean, that much more oxygen is read as the mixture that would leave
     * it; rich, the pump runs the other way with the same gain, which acts on λ − 1; at lambda 1 nothing changes.
     */
    public double shownAfterCalibration(double lambda) {
        double gain = DRY_OXYGEN / oxygen();
        return lambda <= 1
                ? 1 + (lambda - 1) * gain
                : ExhaustGas.lambdaOf(gain * ExhaustGas.oxygen(lambda, PETROL), PETROL);
    }
}
