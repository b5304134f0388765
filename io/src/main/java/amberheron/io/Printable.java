package amberheron.io;

import static amberheron.core.units.Phrase.fixed;

/** Text from outside made fit for a screen, a page or a message. */
public final class Printable {
    private static final int MOST = 80;

    private Printable() {
    }

    /** Returns a text for a message: short, with characters that cannot be shown as their codes. */
    public static String of(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints().limit(MOST).forEach(c -> {
            if (unshowable(c)) {
                out.append(fixed("\\u%04X", c));
            } else {
                out.appendCodePoint(c);
            }
        });
        return text.codePointCount(0, text.length()) > MOST ? out + "…" : out.toString();
    }

    /**
     * Returns a text for a page or a file: whole, with a mark in place of characters that no document may hold (control
     * characters, half of a surrogate pair) and of those that turn the direction of the text after them.
     */
    public static String marked(String text) {
        if (text.codePoints().noneMatch(Printable::toBeMarked)) {
            return text;
        }
        StringBuilder out = new StringBuilder(text.length());
        text.codePoints().forEach(c -> out.appendCodePoint(toBeMarked(c) ? 0xFFFD : c));
        return out.toString();
    }

    private static boolean toBeMarked(int c) {
        return unshowable(c) && c != '\n' && c != '\t';
    }

    private static boolean unshowable(int c) {
        return Character.isISOControl(c) || Character.getType(c) == Character.SURROGATE || c == 0xFFFE || c == 0xFFFF
                || (c >= 0x202A && c <= 0x202E) || (c >= 0x2066 && c <= 0x2069);
    }
}
