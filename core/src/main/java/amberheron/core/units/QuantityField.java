package amberheron.core.units;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One field a person fills in: its dimension, the unit meant when none is typed, and the range that makes sense.
 * Understands {@code 63.5}, {@code 63,5}, {@code 2 1/2 in}, {@code -12°}, {@code 18 awg}, {@code 1:52} (a clock
 * position) and, for mixtures, {@code 12.9 AFR}.
 *
 * @param name what the field is called on screen
 * @param dimension what it measures
 * @param unit the unit meant when none is typed
 * @param min the least sensible value, SI
 * @param max the greatest sensible value, SI
 */
public record QuantityField(String name, Dimension dimension, Unit unit, double min, double max) {
    private static final Pattern NUMBER = Pattern
            .compile(
                    "([-+−–])?\\s*(?:(?:(\\d+)\\s+)?(\\d+)\\s*/\\s*(\\d+)|(\\d*[.,]?\\d+(?:[eE][-+]?\\d+)?|\\d+[.,]))\\s*(.*)");
    /** Entries with a comma that could separate thousands or decimals, such as 1,500. */
    private static final Pattern AMBIGUOUS = Pattern.compile("[-+−–]?\\s*[1-9]\\d{0,2},\\d{3}(?!\\d).*");
    /** The same with a point, where a comma parts decimals. */
    private static final Pattern THOUSANDS = Pattern.compile("[-+−–]?\\s*[1-9]\\d{0,2}\\.\\d{3}(?!\\d).*");
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,2}):(\\d{2})");
    /** Greatest length of an entry, in characters; keeps a pasted file from being parsed. */
    private static final int MOST_CHARACTERS = 60;

    public QuantityField {
        if (unit.dimension() != dimension) {
            throw new IllegalArgumentException(unit + " does not measure " + dimension);
        }
    }

    /** Makes a field whose limits are given in its own unit. */
    public static QuantityField of(String name, Unit unit, double min, double max) {
        return new QuantityField(name, unit.dimension(), unit, unit.toSi(min), unit.toSi(max));
    }

    @Override
    public String name() {
        return word(name);
    }

    /** Returns the field with another unit for entries without one. */
    public QuantityField in(Unit other) {
        return new QuantityField(name, dimension, other, min, max);
    }

    /**
     * Reads an entry.
     *
     * @param text what was typed
     * @param stoich the stoichiometric ratio that an entry in AFR is meant with
     */
    public Parsed parse(String text, double stoich) {
        String typed = text.strip();
        if (typed.length() > MOST_CHARACTERS) {
            return new Parsed.Bad(say("%s: %d characters found, expected %s such as %s", name(), typed.length(),
                    dimension.noun(), dimension.examples()));
        }
        Matcher clock = CLOCK.matcher(typed);
        if (dimension == Dimension.ANGLE && clock.matches()) {
            return clockAngle(typed, Integer.parseInt(clock.group(1)), Integer.parseInt(clock.group(2)));
        }
        if (Phrase.decimalComma() ? THOUSANDS.matcher(typed).matches() : AMBIGUOUS.matcher(typed).matches()) {
            if (Phrase.decimalComma()) {
                return new Parsed.Bad(say("%s: found “%s”, which can be read two ways; write %s or %s", name(), typed,
                        typed.replaceFirst("\\.", ""), typed.replaceFirst("\\.", ",")));
            }
            return new Parsed.Bad(say("%s: found “%s”, which can be read two ways; write %s or %s", name(), typed,
                    typed.replaceFirst(",", ""), typed.replaceFirst(",", ".")));
        }
        Matcher m = NUMBER.matcher(typed);
        if (!m.matches()) {
            return notUnderstood(typed);
        }
        double number = magnitude(m);
        if (m.group(1) != null && !"+".equals(m.group(1))) {
            number = -number;
        }
        return inUnit(typed, number, m.group(6).strip(), stoich);
    }

    private static double magnitude(Matcher m) {
        double whole = m.group(2) == null ? 0 : Double.parseDouble(m.group(2));
        double rest = m.group(3) == null
                ? Double.parseDouble(m.group(5).replace(',', '.'))
                : Double.parseDouble(m.group(3)) / Double.parseDouble(m.group(4));
        return whole + rest;
    }

    private Parsed inUnit(String typed, double number, String unitText, double stoich) {
        String lower = unitText.toLowerCase(Locale.ROOT);
        if (dimension == Dimension.CROSS_SECTION && (lower.equals("awg") || lower.equals("ga"))) {
            return inRange(typed, WireGauge.crossSection(number));
        }
        if (dimension == Dimension.MIXTURE && lower.equals("afr")) {
            return inRange(typed, number / stoich);
        }
        boolean bare = lower.isEmpty() || (dimension == Dimension.TEMPERATURE && lower.equals("°"));
        Optional<Unit> typedUnit = bare ? Optional.of(unit) : Unit.spelled(unitText, dimension);
        return typedUnit.map(u -> inRange(typed, u.toSi(number))).orElseGet(() -> notUnderstood(typed));
    }

    private Parsed clockAngle(String typed, int hours, int minutes) {
        if (hours > 12 || minutes > 59) {
            return notUnderstood(typed);
        }
        double degrees = (hours % 12) * 30 + minutes * 0.5;
        return inRange(typed, Math.toRadians(degrees > 180 ? degrees - 360 : degrees));
    }

    private Parsed notUnderstood(String typed) {
        return new Parsed.Bad(say("%s: found “%s”, expected %s such as %s", name(), typed, dimension.noun(),
                dimension.examples()));
    }

    private Parsed inRange(String typed, double si) {
        double slack = 1e-9 * Math.max(Math.abs(min), Math.abs(max));
        if (!(si >= min - slack && si <= max + slack)) {
            return new Parsed.Bad(say("%s: found “%s”, expected between %s and %s", name(), typed, limit(min),
                    limit(max)));
        }
        return new Parsed.Value(si);
    }

    private String limit(double si) {
        double value = unit.fromSi(si);
        String number = Math.abs(value - Math.rint(value)) < 1e-9
                ? fixed("%.0f", value)
                : fixed("%.3g", value).replaceFirst("(\\.\\d*?)0+$", "$1").replaceFirst("\\.$", "");
        return unit.symbol().isEmpty() ? number : number + " " + unit.symbol();
    }
}
