package amberheron.core.units;

import java.util.Locale;

/**
 * The units a person wants to read, and how a measure is written in them.
 *
 * @param afr AFR rather than λ
 * @param inches inches and feet rather than millimetres and metres
 * @param fahrenheit °F rather than °C
 * @param poundFeet lb·ft rather than N·m
 */
public record UnitChoice(boolean afr, boolean inches, boolean fahrenheit, boolean poundFeet) {
    /** λ, mm, °C, N·m. */
    public static final UnitChoice METRIC = new UnitChoice(false, false, false, false);

    public UnitChoice withAfr(boolean on) {
        return new UnitChoice(on, inches, fahrenheit, poundFeet);
    }

    public UnitChoice withInches(boolean on) {
        return new UnitChoice(afr, on, fahrenheit, poundFeet);
    }

    public UnitChoice withFahrenheit(boolean on) {
        return new UnitChoice(afr, inches, on, poundFeet);
    }

    public UnitChoice withPoundFeet(boolean on) {
        return new UnitChoice(afr, inches, fahrenheit, on);
    }

    /** The unit shown in place of a customary one. */
    public Unit shown(Unit customary) {
        return switch (customary) {
            case MILLIMETRE, CENTIMETRE -> inches ? Unit.INCH : customary;
            case METRE -> inches ? Unit.FOOT : customary;
            case CELSIUS -> fahrenheit ? Unit.FAHRENHEIT : customary;
            case NEWTON -> poundFeet ? Unit.POUND_FORCE : customary;
            case NEWTON_METRE -> poundFeet ? Unit.POUND_FOOT : customary;
            default -> customary;
        };
    }

    /** The unit in which measures of a dimension, and their decimals, are meant. */
    public static Unit customary(Dimension dimension) {
        return switch (dimension) {
            case LENGTH -> Unit.MILLIMETRE;
            case ANGLE -> Unit.DEGREE;
            case TEMPERATURE -> Unit.CELSIUS;
            case VOLTAGE -> Unit.VOLT;
            case CURRENT -> Unit.AMPERE;
            case RESISTANCE -> Unit.OHM;
            case FORCE -> Unit.NEWTON;
            case FRACTION -> Unit.PERCENT;
            case TORQUE -> Unit.NEWTON_METRE;
            case PRESSURE -> Unit.HECTOPASCAL;
            case DURATION -> Unit.SECOND;
            case VOLUME -> Unit.LITRE;
            case CROSS_SECTION -> Unit.SQUARE_MILLIMETRE;
            case MIXTURE -> Unit.LAMBDA;
            case NUMBER -> Unit.ONE;
        };
    }

    /** The symbol behind a number of this dimension; empty for a bare number. */
    public String symbol(Dimension dimension) {
        return dimension == Dimension.MIXTURE && afr ? "AFR" : shown(customary(dimension)).symbol();
    }

    /**
     * A measure's digits.
     *
     * @param stoich the ratio that AFR is shown with
     */
    public String number(Measure measure, double stoich) {
        Unit unit = shown(customary(measure.dimension()));
        if (measure.dimension() == Dimension.MIXTURE && afr) {
            // A tenth of AFR is about 0.007 λ: one digit less says as much.
            return digits(measure.si() * stoich, Math.max(1, measure.decimals() - 1));
        }
        // A millimetre is 0.04 in.
        int decimals = measure.decimals() + (unit == Unit.INCH ? 2 : 0);
        String middle = digits(unit.fromSi(measure.si()), decimals);
        // A spread has no zero point of its own.
        return measure.spread() == 0
                ? middle
                : middle + " ± " + digits(unit.fromSi(measure.spread()) - unit.fromSi(0), decimals);
    }

    /** A measure as shown, digits and symbol. */
    public String text(Measure measure, double stoich) {
        String symbol = symbol(measure.dimension());
        String number = number(measure, stoich);
        return symbol.isEmpty() ? number : symbol.equals("°") ? number + symbol : number + " " + symbol;
    }

    /** A difference with its sign; what rounds to nothing has none. */
    public String signed(Measure measure, double stoich) {
        String text = text(measure, stoich);
        return text.startsWith("−") || !text.matches(".*[1-9].*") ? text : "+" + text;
    }

    /** A number as a label has it: one digit after the point, and none where it is whole. */
    public static String plain(double value) {
        return digits(value, value == Math.rint(value) ? 0 : 1);
    }

    /** Digits with a true minus sign, and none before a zero, as people are shown them. */
    public static String digits(double value, int decimals) {
        return Phrase.shown(point(value, decimals));
    }

    /** The same with a point in every language: what is typed into another program, or read back here. */
    public static String point(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (!text.startsWith("-")) {
            return text;
        }
        return text.matches("-0(\\.0*)?") ? text.substring(1) : "−" + text.substring(1);
    }
}
