package amberheron.io;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
import java.text.Normalizer;
import java.util.Locale;

/** A job's number: what it may be, and how it stands in the names of files and folders. */
public final class JobNumber {
    private static final int MOST = 40;

    private JobNumber() {
    }

    /**
     * Returns a number as typed, without blanks around it.
     *
     * @throws Unusable when it cannot be one
     */
    public static String of(String typed) {
        String number = typed.strip();
        if (number.isEmpty() || number.length() > MOST || number.codePoints().noneMatch(Character::isLetterOrDigit)
                || number.codePoints()
                        .anyMatch(c -> Character.isISOControl(c) || Character.getType(c) == Character.SURROGATE
                                || Character.getType(c) == Character.FORMAT)) {
            throw new Unusable(
                    say("Job number: found “%s”, expected 1 to 40 characters with a letter or digit, such as SB-017",
                            Printable.of(number)));
        }
        return number;
    }

    /** Returns the number as it can stand in the name of a file or folder; never one that leads out of its folder. */
    public static String stem(String number) {
        String kept = number.replaceAll("[^\\p{L}\\p{N}._-]", "_");
        return kept.startsWith(".") ? "_" + kept.substring(1) : kept;
    }

    /** Whether the files of two jobs would overwrite each other, also where the system ignores case. */
    public static boolean collide(String one, String other) {
        return folded(one).equals(folded(other));
    }

    private static String folded(String number) {
        return Normalizer.normalize(stem(number), Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    }
}
