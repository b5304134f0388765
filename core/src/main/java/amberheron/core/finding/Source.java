package amberheron.core.finding;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Unusable;
/**
 * Where a limit or a formula comes from.
 *
 * @param kind how far it can be trusted
 * @param citation the publication, or what the practice is; never empty
 */
public record Source(Kind kind, String citation) {
    /** How a statement came to be known. */
    public enum Kind {
        /** A published standard, book or paper. */
        PUBLISHED("published", "published"),
        /** The trade's habit. */
        COMMON_PRACTICE("common practice, no published source", "practice"),
        /** Remembered, not looked up. */
        MEMORY("from memory", "memory"),
        /** The sheet that came with the part. */
        MAKERS_SHEET("the maker's sheet", "sheet"),
        /** Follows by arithmetic or a law of physics from the inputs shown. */
        DERIVED("worked from the inputs shown", "derived");

        private final String words;
        private final String brief;

        Kind(String words, String brief) {
            this.words = words;
            this.brief = brief;
        }

        /** Returns one word for it, where many are counted. */
        public String brief() {
            return word(brief);
        }

        /** The words shown beside a check. */
        public String words() {
            return word(words);
        }
    }

    public Source {
        if (citation.isBlank()) {
            throw new Unusable(say("a source needs a citation"));
        }
    }

    /** Returns the citation in the language at hand. */
    @Override
    public String citation() {
        return word(citation);
    }

    /** A published source. */
    public static Source published(String citation) {
        return new Source(Kind.PUBLISHED, citation);
    }

    /** Common practice with no published source. */
    public static Source practice(String citation) {
        return new Source(Kind.COMMON_PRACTICE, citation);
    }

    /** A value written down from memory. */
    public static Source memory(String citation) {
        return new Source(Kind.MEMORY, citation);
    }

    /** Worked out from the inputs by a stated rule. */
    public static Source derived(String citation) {
        return new Source(Kind.DERIVED, citation);
    }
}
