package amberheron.core.units;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A unit a person may type or read, with its conversion to SI: {@code si = (value + offset) · factor}. */
public enum Unit {
    // @formatter:off
    METRE(Dimension.LENGTH, "m", 1, 0),
    CENTIMETRE(Dimension.LENGTH, "cm", 0.01, 0),
    MILLIMETRE(Dimension.LENGTH, "mm", 0.001, 0),
    INCH(Dimension.LENGTH, "in", 0.0254, 0, "\"", "″", "inch", "inches"),
    FOOT(Dimension.LENGTH, "ft", 0.3048, 0, "'", "′", "foot", "feet"),
    DEGREE(Dimension.ANGLE, "°", Math.PI / 180, 0, "deg", "degrees"),
    RADIAN(Dimension.ANGLE, "rad", 1, 0),
    CELSIUS(Dimension.TEMPERATURE, "°C", 1, 273.15, "c", "degc"),
    FAHRENHEIT(Dimension.TEMPERATURE, "°F", 5.0 / 9.0, 459.67, "f", "degf"),
    KELVIN(Dimension.TEMPERATURE, "K", 1, 0),
    VOLT(Dimension.VOLTAGE, "V", 1, 0, "volt", "volts"),
    MILLIVOLT(Dimension.VOLTAGE, "mV", 0.001, 0),
    AMPERE(Dimension.CURRENT, "A", 1, 0, "amp", "amps"),
    MILLIAMPERE(Dimension.CURRENT, "mA", 0.001, 0),
    OHM(Dimension.RESISTANCE, "Ω", 1, 0, "ohm", "ohms"),
    MILLIOHM(Dimension.RESISTANCE, "mΩ", 0.001, 0, "milliohm", "milliohms"),
    KILOOHM(Dimension.RESISTANCE, "kΩ", 1000, 0, "k", "kohm"),
    MEGAOHM(Dimension.RESISTANCE, "MΩ", 1e6, 0, "megohm"),
    NEWTON(Dimension.FORCE, "N", 1, 0),
    POUND_FORCE(Dimension.FORCE, "lbf", 4.4482216152605, 0, "lb"),
    HECTOPASCAL(Dimension.PRESSURE, "hPa", 100, 0, "mbar", "hpa"),
    INCH_OF_MERCURY(Dimension.PRESSURE, "inHg", 3386.389, 0, "in hg"),
    PERCENT(Dimension.FRACTION, "%", 0.01, 0),
    PART_PER_MILLION(Dimension.FRACTION, "ppm", 1e-6, 0),
    NEWTON_METRE(Dimension.TORQUE, "N·m", 1, 0, "nm", "n.m"),
    POUND_FOOT(Dimension.TORQUE, "lb·ft", 1.3558179483314, 0, "lbft", "lb.ft", "lb-ft", "ft-lb"),
    SECOND(Dimension.DURATION, "s", 1, 0, "sec"),
    MINUTE(Dimension.DURATION, "min", 60, 0),
    LITRE(Dimension.VOLUME, "L", 0.001, 0, "litre", "litres", "liter"),
    CUBIC_CENTIMETRE(Dimension.VOLUME, "cc", 1e-6, 0, "cm³", "cm3"),
    CUBIC_INCH(Dimension.VOLUME, "cu in", 1.6387064e-5, 0, "ci", "in³"),
    SQUARE_MILLIMETRE(Dimension.CROSS_SECTION, "mm²", 1e-6, 0, "mm2"),
    LAMBDA(Dimension.MIXTURE, "λ", 1, 0, "lambda"),
    ONE(Dimension.NUMBER, "", 1, 0);
    // @formatter:on

    private final Dimension dimension;
    private final String symbol;
    private final double factor;
    private final double offset;
    @SuppressWarnings("ImmutableEnumChecker") // made by List.of
    private final List<String> spellings;

    Unit(Dimension dimension, String symbol, double factor, double offset, String... spellings) {
        this.dimension = dimension;
        this.symbol = symbol;
        this.factor = factor;
        this.offset = offset;
        this.spellings = List.of(spellings);
    }

    /** The dimension this unit measures. */
    public Dimension dimension() {
        return dimension;
    }

    /** The symbol printed after a number. */
    public String symbol() {
        return symbol;
    }

    /** Converts a value in this unit to SI. */
    public double toSi(double value) {
        return (value + offset) * factor;
    }

    /** Converts an SI value to this unit. */
    public double fromSi(double si) {
        return si / factor - offset;
    }

    /**
     * Finds the unit of a dimension that a person means by a spelling. The case of letters is ignored unless a symbol is
     * spelled exactly: mΩ and MΩ are not the same.
     */
    public static Optional<Unit> spelled(String text, Dimension dimension) {
        String exact = text.strip();
        String wanted = exact.toLowerCase(Locale.ROOT);
        return all(dimension).filter(u -> u.symbol.equals(exact)).findFirst().or(() -> all(dimension)
                .filter(u -> u.symbol.toLowerCase(Locale.ROOT).equals(wanted) || u.spellings.contains(wanted))
                .findFirst());
    }

    private static Stream<Unit> all(Dimension dimension) {
        return Arrays.stream(values()).filter(u -> u.dimension == dimension);
    }
}
