package amberheron.core.job;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

/** Reason why a job waits. */
public enum Waiting {
    /** Answers, a decision, or the exhaust to be mended. */
    CUSTOMER("the customer"),
    /** Something that is not at hand yet. */
    PARTS("parts"),
    /** The next step is welding. */
    WELDER("the welder"),
    /** The next step is the proving drive. */
    PROVING_DRIVE("a proving drive"),
    /** Nothing: the next step can be done. */
    NOTHING("nothing"),
    /** Nothing any more. */
    FINISHED("nothing any more");

    private final String words;

    Waiting(String words) {
        this.words = words;
    }

    /** How a job that waits on this stands, in the words on the board. */
    public String standing() {
        return switch (this) {
            case NOTHING -> say("ready");
            case FINISHED -> say("finished");
            default -> say("waits on %s", words());
        };
    }

    /** Reason why it waits. */
    public String words() {
        return word(words);
    }
}
