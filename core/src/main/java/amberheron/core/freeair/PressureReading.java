package amberheron.core.freeair;

import static amberheron.core.units.Phrase.word;

/** Which pressure a number is. */
public enum PressureReading {
    STATION("read here, as it is"),
    SEA_LEVEL("of a weather report, reduced to the sea");

    private final String words;

    PressureReading(String words) {
        this.words = words;
    }

    /** The words on screen. */
    public String words() {
        return word(words);
    }
}
