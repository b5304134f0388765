package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

/** State of a link of the signal path. */
public enum LinkState {
    /** Nothing entered. */
    OPEN("not begun"),
    /** Something entered, something missing. */
    BEGUN("begun"),
    /** Everything measured and within its limits. */
    PROVEN("proven"),
    /** Everything measured, and something of it usable only at a cost. */
    RESERVED("with reservations"),
    /** Measured, and not within its limits. */
    OUT_OF_TOLERANCE("out of tolerance"),
    /** Was measured, but what it rested on has changed since. */
    STALE("stale"),
    /** Nothing to be proven here. */
    NOT_NEEDED("not needed");

    private final String words;

    LinkState(String words) {
        this.words = words;
    }

    /** Returns whether nothing is left to prove. */
    public boolean done() {
        return this == PROVEN || this == RESERVED || this == NOT_NEEDED;
    }

    /** The word on screen. */
    public String words() {
        return word(words);
    }
}
