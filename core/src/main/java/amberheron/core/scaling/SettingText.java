package amberheron.core.scaling;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Sane;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;

/** A setting as a person types it: one line for each entry the reader asks for. */
public final class SettingText {
    private static final String EQUATION = "equation";
    private static final int MOST_ROWS = 1000;

    private SettingText() {
    }

    /** A box of the reader, and what to type there. */
    public record Line(String ask, String type) {
        /** The number alone, or the whole equation: what goes into the box. */
        public String bare() {
            int unit = type.lastIndexOf(' ');
            return unit < 0 || ask.equals(EQUATION) ? type : type.substring(0, unit);
        }
    }

    /** The lines, in the order they are typed, with the digits the reader accepts. */
    public static List<Line> of(ReaderSetting setting, Reader reader) {
        return switch (setting) {
            case ReaderSetting.SlopeOffset s -> List.of(new Line(say("slope per V"), number(s.slope(), reader)),
                    new Line(say("offset"), number(s.offset(), reader)));
            case ReaderSetting.TwoPoint t -> List.of(row(t.v1(), t.q1(), reader), row(t.v2(), t.q2(), reader));
            case ReaderSetting.Equation e -> List.of(new Line(EQUATION, e.expression().text()));
            case ReaderSetting.Table t -> t.rows().stream().map(r -> row(r.volts(), r.value(), reader)).toList();
        };
    }

    private static Line row(double volts, double value, Reader reader) {
        String at = reader.form() == Reader.Form.COUNTS
                ? say("at count %s", reader.input().counts(volts))
                : say("at %s%s", number(volts, reader), reader.whole() == null ? " V" : "");
        return new Line(at, number(value, reader) + (reader.whole() == null ? quantity(reader) : ""));
    }

    /** A number as the reader takes it; what does not fit its word is said rather than cut off. */
    private static String number(double value, Reader reader) {
        Reader.FixedPoint whole = reader.whole();
        if (whole == null) {
            return UnitChoice.point(value, reader.decimals());
        }
        long digits = Math.round(value * Math.pow(10, reader.decimals()));
        return whole.takes(digits)
                ? Long.toString(whole.typed(digits))
                : say("%d, which does not fit into %d bits", digits, whole.bits());
    }

    /**
     * Setting as read off a reader's own boxes: slope and offset, two pairs of volts and number, rows of pairs, or the
     * equation. Numbers with a point or a comma, apart by spaces, semicolons or new lines.
     *
     * @throws Unusable with what was found and what the reader's form asks for
     */
    public static ReaderSetting parse(String text, Reader reader) {
        if (reader.form() == Reader.Form.EXPRESSION) {
            return new ReaderSetting.Equation(Expression.parse(text.strip()));
        }
        double[] numbers = numbers(text);
        boolean counts = reader.form() == Reader.Form.COUNTS;
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = counts && i % 2 == 0
                    ? reader.input().volts(Math.round(numbers[i]))
                    : meant(numbers[i], reader);
        }
        int rows = reader.maxRows() == null ? MOST_ROWS : reader.maxRows();
        boolean fits = switch (reader.form()) {
            case SLOPE_OFFSET -> numbers.length == 2;
            case TWO_POINT -> numbers.length == 4;
            default -> numbers.length >= 4 && numbers.length % 2 == 0 && numbers.length <= 2 * rows;
        };
        if (!fits) {
            throw new Unusable(say("setting: found %s, expected %s", count("1 number", "%d numbers", numbers.length),
                    asks(reader)));
        }
        return switch (reader.form()) {
            case SLOPE_OFFSET -> new ReaderSetting.SlopeOffset(numbers[0], numbers[1]);
            case TWO_POINT -> new ReaderSetting.TwoPoint(numbers[0], numbers[1], numbers[2], numbers[3]);
            default -> {
                List<OutputLaw.Point> points = new ArrayList<>();
                for (int i = 0; i < numbers.length; i += 2) {
                    points.add(new OutputLaw.Point(numbers[i], numbers[i + 1]));
                }
                yield new ReaderSetting.Table(points);
            }
        };
    }

    private static double meant(double typed, Reader reader) {
        Reader.FixedPoint whole = reader.whole();
        if (whole == null) {
            return typed;
        }
        if (typed != Math.rint(typed)) {
            throw new Unusable(say("setting: found %s, expected whole numbers", typed));
        }
        return whole.meant(Math.round(typed)) / Math.pow(10, reader.decimals());
    }

    /** Values read off a reader of this form, in the order in which they are typed. */
    public static String asks(Reader reader) {
        return switch (reader.form()) {
            case SLOPE_OFFSET -> say("slope and offset, such as 2.000; 9.000");
            case TWO_POINT -> say("volts and number twice, such as 0.6 9.4; 4.4 17.9");
            case EXPRESSION -> say("the equation, such as 2*v + 9");
            case COUNTS -> say("%s of count and number, such as 100 10; 500 14; 900 18",
                    reader.maxRows() == null ? say("rows") : say("up to %d rows", reader.maxRows()));
            case TABLE -> say("%s of volts and number, such as 0.6 9.4; 2.5 13.2; 4.4 17.9",
                    reader.maxRows() == null ? say("rows") : say("up to %d rows", reader.maxRows()));
        };
    }

    private static double[] numbers(String text) {
        String[] words = text.strip().replace('−', '-').replaceAll("(?<=\\d),(?=\\d)", ".").split("[\\s;,]+", -1);
        double[] numbers = new double[words.length];
        for (int i = 0; i < words.length; i++) {
            try {
                numbers[i] = Double.parseDouble(words[i]);
            } catch (NumberFormatException e) {
                throw new Unusable(say("setting: found “%s”, expected a number", words[i]));
            }
            if (!(Math.abs(numbers[i]) <= Sane.SHOWN.max())) {
                throw new Unusable(
                        say("setting: found %s, expected a number that can be typed", words[i]));
            }
        }
        return numbers;
    }

    /** The quantity with the ratio it is meant with, since an AFR says nothing without it. */
    public static String quantity(MixtureScale scale) {
        return switch (scale) {
            case MixtureScale.Lambda l -> "λ";
            case MixtureScale.Afr afr -> "AFR (λ 1 = " + UnitChoice.digits(afr.stoich(), 2) + ")";
        };
    }

    private static String quantity(Reader reader) {
        return " " + reader.scale().label();
    }
}
