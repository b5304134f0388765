package amberheron.core.finding;

import static amberheron.core.units.Phrase.word;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Where a reading came from.
 *
 * @param kind how it came in
 * @param instrument the instrument's own identity; empty when a person typed what they saw
 * @param taken when; null where that was not recorded
 * @param job number of the job it was taken for; empty where that was not recorded
 */
public record Origin(Kind kind, String instrument, @Nullable Instant taken, String job) {
    /** Origin of a reading from before origins were written down. */
    public static final Origin UNRECORDED = new Origin(Kind.UNRECORDED, "", null, "");

    /** How a reading came in. */
    public enum Kind {
        /** Read by a person and typed. */
        TYPED("typed"),
        /** Sent by an instrument. */
        INSTRUMENT("instrument"),
        /** Made up by a stand-in: it proves nothing about a vehicle. */
        SIMULATED("simulated"),
        /** Not written down at the time. */
        UNRECORDED("origin not recorded");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The words on screen and sheet. */
        public String words() {
            return word(words);
        }
    }

    /** Returns whether it comes from a vehicle rather than from a stand-in. */
    public boolean real() {
        return kind != Kind.SIMULATED;
    }

    /** Says it in a few words, such as {@code simulated} or {@code instrument, bench meter 4}. */
    public String words() {
        return kind.words() + (instrument.isEmpty() ? "" : ", " + instrument);
    }
}
