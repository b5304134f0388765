package amberheron.core.freeair;

import amberheron.core.mixture.ExhaustGas;
import amberheron.core.units.Sane;

/**
 * The air a sensor is calibrated in.
 *
 * @param temperature K
 * @param humidity relative, 0 to 1
 * @param pressure of the station, not reduced to the sea, Pa
 */
public record Air(double temperature, double humidity, double pressure) {
    /** Oxygen of dry air, mole fraction. US Standard Atmosphere 1976. */
    public static final double DRY_OXYGEN = 0.209476;
    /** Pressure at the sea, Pa. ICAO Doc 7488. */
    public static final double SEA_LEVEL = 101_325;
    private static final double LAPSE = 2.25577e-5;
    private static final double EXPONENT = 5.25588;
    /** The part of the pressure that vapour can take at most before this is no air any more. */
    private static final double MOST_VAPOUR = 0.9;

    public Air {
        Sane.AIR_TEMPERATURE.check("temperature", temperature);
        Sane.PART.check("humidity", humidity);
        Sane.AIR_PRESSURE.check("pressure", pressure);
    }

    private static final double BAR = 1e5;

    /** Air at a height above the sea, m, at that height's usual pressure. */
    public static Air atHeight(double temperature, double humidity, double height) {
        return new Air(temperature, humidity, pressureAt(height));
    }

    /** The usual pressure at a height, m, in Pa. ICAO Doc 7488. */
    public static double pressureAt(double height) {
        return SEA_LEVEL * Math.pow(1 - LAPSE * height, EXPONENT);
    }

    /** Saturation vapour pressure at this temperature, Pa. Alduchov and Eskridge 1996. */
    public double saturation() {
        double celsius = temperature - 273.15;
        return 610.94 * Math.exp(17.625 * celsius / (celsius + 243.04));
    }

    /** Oxygen of this air, mole fraction: water vapour takes the place of dry air. */
    public double oxygen() {
        return DRY_OXYGEN * (1 - Math.min(MOST_VAPOUR, humidity * saturation() / pressure));
    }

    /** The same air, wetter or drier. */
    public Air withHumidity(double value) {
        return new Air(temperature, value, pressure);
    }

    /** The same air, warmer or colder. */
    public Air withTemperature(double value) {
        return new Air(value, humidity, pressure);
    }

    /**
     * Returns the error that a calibration in this air leaves in the controller's gain later, where the car is driven: the
     * controller took it for dry air at the pressure of the drive.
     *
     * @param driven pressure where the car is driven, Pa
     */
    public double gain(double driven) {
        return DRY_OXYGEN / oxygen() * gainBetween(pressure, driven);
    }

    /** How many times more current the sensor gives at one pressure than at another, Pa, from the same gas. */
    public static double gainBetween(double learned, double driven) {
        return gainBetween(learned, driven, ExhaustGas.PRESSURE_CONSTANT);
    }

    private static double gainBetween(double learned, double driven, double k) {
        return ExhaustGas.pumpCurrentRatio(driven / BAR, learned / BAR, k);
    }

    /**
     * The oxygen that a controller shows in this air when it was trimmed at the sea, mole fraction: the sensor follows the
     * pressure as well.
     */
    public double shownByFactoryTrim() {
        return oxygen() * gainBetween(SEA_LEVEL, pressure);
    }

    /** How far the constants that are told differ in that, as a part of it. */
    public double doubtOfFactoryTrim() {
        return Math
                .abs(gainBetween(SEA_LEVEL, pressure, ExhaustGas.LEAST_PRESSURE_CONSTANT)
                        / gainBetween(SEA_LEVEL, pressure) - 1);
    }
}
