package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Phrase;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Cause of a wrong chain: one link, or two at once.
 *
 * @param cause the link that lies, the one to mend first where there are two
 * @param second the other one; null where there is none
 */
public record Fault(Cause cause, @Nullable Cause second) {
    /** One link. */
    public static Fault of(Cause cause) {
        return new Fault(cause, null);
    }

    /** The name used in files: of two, joined in the order of the alphabet. */
    public String key() {
        return second == null
                ? cause.key()
                : cause.key().compareTo(second.key()) < 0
                        ? cause.key() + "+" + second.key()
                        : second.key() + "+" + cause.key();
    }

    /** The causes. */
    public List<Cause> causes() {
        return second == null ? List.of(cause) : List.of(cause, second);
    }

    /** A few words for a list. */
    public String title() {
        return second == null ? cause.title() : say("%s, and %s", cause.title(), Phrase.small(second.title()));
    }

    /** Its name. */
    public String meaning() {
        return second == null ? cause.meaning() : cause.meaning() + " " + second.meaning();
    }

    /** The cure, in a sentence. */
    public String remedy() {
        return second == null ? cause.remedy() : cause.remedy() + " " + second.remedy();
    }
}
