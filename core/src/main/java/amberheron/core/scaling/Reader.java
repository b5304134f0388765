package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;

/**
 * Reader of the controller's volts: a logger, an ECU, a gauge with an input of its own.
 *
 * @param id catalogue id
 * @param name what the catalogue calls it
 * @param form how it wants to be told the law
 * @param scale the quantity it shows
 * @param decimals digits after the point that it accepts, 0 to 9
 * @param input its analog input
 * @param maxRows rows its table takes, 2 or more; null when there is no bound
 * @param whole how it takes numbers as whole ones; null where they have a point
 * @param setting what it has been told; null when it is to be told the right thing
 * @param source where this description comes from
 */
public record Reader(String id, String name, Form form, MixtureScale scale, int decimals, ReaderInput input,
        @Nullable Integer maxRows, @Nullable FixedPoint whole, @Nullable ReaderSetting setting, Source source) {
    /** The forms readers take a law in. */
    public enum Form {
        SLOPE_OFFSET("slope-offset", "slope and offset"),
        TWO_POINT("two-point", "two points"),
        EXPRESSION("expression", "an equation in v"),
        TABLE("table", "a table"),
        /** Like a table, its rows given by the counts of the converter rather than by volts. */
        COUNTS("counts", "a table by counts");

        private final String id;
        private final String words;

        Form(String id, String words) {
            this.id = id;
            this.words = words;
        }

        /** The name used in files. */
        public String id() {
            return id;
        }

        /** Name that an installer gives it. */
        public String words() {
            return word(words);
        }
    }

    /**
     * Numbers that are written as whole multiples of the last digit.
     *
     * @param bits of the word that a negative number is written into as its two's complement, 8 to 32; null where it has a
     *        sign
     */
    public record FixedPoint(@Nullable Integer bits) {
        public FixedPoint {
            if (bits != null && (bits < 8 || bits > 32)) {
                throw new Unusable(say("whole.bits: found %d, expected 8 to 32", bits));
            }
        }

        /** Whether so many of the last digit can be written at all. */
        boolean takes(long digits) {
            return bits == null || (digits >= -(1L << (bits - 1)) && digits < 1L << (bits - 1));
        }

        /** As it is typed. */
        long typed(long digits) {
            return bits != null && digits < 0 ? digits + (1L << bits) : digits;
        }

        /** Meaning of what was typed. */
        long meant(long typed) {
            return bits != null && typed >= 1L << (bits - 1) ? typed - (1L << bits) : typed;
        }
    }

    /** A reader whose numbers have a point. */
    public Reader(String id, String name, Form form, MixtureScale scale, int decimals, ReaderInput input,
            @Nullable Integer maxRows, @Nullable ReaderSetting setting, Source source) {
        this(id, name, form, scale, decimals, input, maxRows, null, setting, source);
    }

    public Reader {
        if (form == Form.COUNTS && input.bits() == null) {
            throw new Unusable(say("input.bits: found none, expected the bits of the counts"));
        }
        if (decimals < 0 || decimals > 9) {
            throw new Unusable(say("decimals: found %d, expected 0 to 9", decimals));
        }
        if (maxRows != null && maxRows < 2) {
            throw new Unusable(say("maxRows: found %d, expected 2 or more", maxRows));
        }
        if (setting != null) {
            requireShown(setting, input);
        }
    }

    /** A setting has to give a number for every voltage that its input can see. */
    private static void requireShown(ReaderSetting setting, ReaderInput input) {
        if (setting instanceof ReaderSetting.Equation equation) {
            equation.expression().breaks(input.minVolts(), input.maxVolts()).ifPresent(v -> {
                throw new Unusable(
                        say("setting: “%s” gives no number that can be shown at %.4g V, expected a number everywhere from %s V to %s V",
                                equation.expression(), v, input.minVolts(), input.maxVolts()));
            });
        }
        Sane.SHOWN.check(say("setting: what it shows at %s V", input.minVolts()), setting.at(input.minVolts()));
        Sane.SHOWN.check(say("setting: what it shows at %s V", input.maxVolts()), setting.at(input.maxVolts()));
    }

    /** The nearest volts that a row of it can be given for. */
    double typeable(double volts) {
        return form == Form.COUNTS ? input.sensed(volts) : SettingFinder.round(volts, decimals);
    }

    /** Returns the number shown by a setting for volts at its pin, its converter's steps left out. */
    double shows(ReaderSetting told, double pin) {
        return told.at(input.clipped(pin));
    }

    /** Whether two settings show more than the trade's tolerance apart at any of these volts at the pin. */
    boolean parts(ReaderSetting one, ReaderSetting other, DoubleStream pins) {
        return pins.anyMatch(
                v -> Math.abs(scale.toLambda(shows(one, v) - shows(other, v))) > Tolerance.LAMBDA);
    }

    public Reader withSetting(@Nullable ReaderSetting value) {
        return new Reader(id, name, form, scale, decimals, input, maxRows, whole, value, source);
    }

    /** Returns the reader with another input; on one without steps, rows by counts become rows by volts. */
    public Reader withInput(ReaderInput value) {
        return new Reader(id, name, form == Form.COUNTS && value.bits() == null ? Form.TABLE : form, scale, decimals,
                value, maxRows, whole, setting, source);
    }
}
