package amberheron.core.units;

import com.google.errorprone.annotations.FormatMethod;
import com.google.errorprone.annotations.FormatString;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The one place where numbers are put into sentences: whatever the machine's language, digits and point are the same. */
public final class Phrase {
    private Phrase() {
    }

    /** A sentence with its values, in the notation of {@link java.util.Formatter}. */
    @FormatMethod
    public static String say(@FormatString String pattern, @Nullable Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    /** Words as they begin a sentence or name a field; not empty. */
    public static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Words as they stand within a sentence; not empty. */
    public static String small(String words) {
        return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }
}
