package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

import org.jspecify.annotations.Nullable;

/**
 * An event of the drive that calls for action.
 *
 * @param from s of the log
 * @param to s
 * @param lambda the worst of it, as the controller showed
 * @param load part of full meanwhile; null where the log does not tell
 */
public record DriveEvent(Kind kind, double from, double to, double lambda, @Nullable Double load) {
    /** Kinds of event. */
    public enum Kind {
        LEAN("lean under load"),
        TIP_IN("lean as the throttle opens"),
        LEAK("lean at idle and less with load: false air"),
        LOST_SIGNAL("the reader's signal lost");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }
}
