package amberheron.core.units;

import com.google.errorprone.annotations.FormatMethod;
import com.google.errorprone.annotations.FormatString;
import java.util.IllegalFormatException;
import java.util.Locale;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The one place that every text for people passes, and where numbers are put into it: with a point, or with a comma where
 * the window's language writes one. The English pattern is the key of its translation.
 */
public final class Phrase {
    private static volatile UnaryOperator<String> language = UnaryOperator.identity();

    /** Notation of numbers in texts for people. */
    private static volatile Locale numbers = Locale.ROOT;

    private Phrase() {
    }

    /** Writes numbers for people with a decimal comma, or with a point; set before anything is shown. */
    public static void decimalComma(boolean comma) {
        numbers = comma ? Locale.GERMANY : Locale.ROOT;
    }

    /** Whether numbers are written with a decimal comma. */
    public static boolean decimalComma() {
        return !numbers.equals(Locale.ROOT);
    }

    /** The digits of a number for machines, as people are shown them. */
    public static String shown(String digits) {
        return decimalComma() ? digits.replace('.', ',') : digits;
    }

    /**
     * Puts a language in the place of English, for all of the program; set before anything is shown.
     *
     * @param translation gives the pattern to use for an English one, with the same places for values, or the English
     *        one where it has no other
     */
    public static void speak(UnaryOperator<String> translation) {
        language = translation;
    }

    /** Formats a sentence with its values, in the language at hand and the notation of {@link java.util.Formatter}. */
    @FormatMethod
    public static String say(@FormatString String pattern, @Nullable Object... values) {
        try {
            return String.format(numbers, language.apply(pattern), values);
        } catch (IllegalFormatException e) {
            return fixed(pattern, values);
        }
    }

    /** Translates words without values, for those that are kept as data: names of choices, of checks. */
    public static String word(String english) {
        return english.isEmpty() ? english : language.apply(english);
    }

    /**
     * Says a count with its noun.
     *
     * @param one what is said of one of them, such as {@code 1 job}
     * @param many the pattern for any other number, such as {@code %d jobs}
     */
    @FormatMethod
    public static String count(String one, @FormatString String many, long number) {
        return number == 1 ? word(one) : say(many, number);
    }

    /** Formats a text for machines, the same in every language: files, drawings, what is sent to an instrument. */
    @FormatMethod
    public static String fixed(@FormatString String pattern, @Nullable Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    /** Returns the words with a capital, as they begin a sentence or name a field; not empty. */
    public static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Returns the words without a capital, as they stand within a sentence; not empty. */
    public static String small(String words) {
        return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }
}
