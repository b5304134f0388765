package amberheron.core.freeair;

/** Uncertainty of the oxygen in the air from a shop's instruments; from memory. */
public final class AirDoubt {
    /** Greatest error of its hygrometer, relative humidity. */
    private static final double HUMIDITY = 0.05;
    /** Greatest error of its thermometer, K. */
    private static final double TEMPERATURE = 1;
    /** Half the last digit of oxygen as controllers show it, as a fraction. */
    private static final double OXYGEN_DIGIT = 0.00005;
    /** Most that the weather changes the usual pressure at a height, Pa. */
    private static final double WEATHER = 2500;
    /** Greatest error of a shop's barometer, Pa. */
    private static final double BAROMETER = 200;
    /** GUM, JCGM 100:2008: what is equally likely anywhere within ± a has a standard deviation of a/√3. */
    private static final double EVEN = Math.sqrt(3);
    /** GUM: what is printed covers two standard deviations. */
    private static final double COVER = 2;

    private AirDoubt() {
    }

    /** The most the hygrometer puts the oxygen off by, as a part of it. */
    public static double ofHumidity(Air air) {
        double other = air.humidity() + HUMIDITY <= 1 ? air.humidity() + HUMIDITY : air.humidity() - HUMIDITY;
        return Math.abs(air.withHumidity(other).oxygen() / air.oxygen() - 1);
    }

    /** The most the thermometer puts it off by, as a part of it. */
    public static double ofTemperature(Air air) {
        return Math.abs(air.withTemperature(air.temperature() + TEMPERATURE).oxygen() / air.oxygen() - 1);
    }

    /** The most the display's last digit puts it off by, as a part of it. */
    public static double ofDisplay(Air air) {
        return OXYGEN_DIGIT / air.oxygen();
    }

    /** The most the pressure puts a factory's trim off by, as a part of it; less where it was read. */
    public static double ofPressure(Air air, boolean read) {
        double most = read ? BAROMETER : WEATHER;
        return Math.abs(Air.gainBetween(air.pressure(), air.pressure() + most) - 1) + air.doubtOfFactoryTrim();
    }

    /** Expanded uncertainty (k = 2) of what a factory's trim shows over what it should. */
    static double expanded(Air air, boolean pressureRead) {
        return COVER * Math.sqrt(Math.pow(ofHumidity(air), 2) + Math.pow(ofTemperature(air), 2)
                + Math.pow(ofDisplay(air), 2) + Math.pow(ofPressure(air, pressureRead), 2)) / EVEN;
    }
}
