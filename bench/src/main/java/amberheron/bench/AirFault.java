package amberheron.bench;

import static amberheron.core.units.Phrase.word;

/** Faults of a simulated controller and its sensor in air. */
public enum AirFault {
    NONE("all in order", false),
    NO_SENSOR("no sensor", true),
    OPEN_HEATER("heater open", true),
    COLD("does not reach its temperature", true),
    TOO_HOT("too hot", true),
    SHOCKED("ceramic cracked by water", true),
    /** One that learns forgets it when it is cleared; one trimmed at the factory keeps it. */
    WRONG_CALIBRATION("wrong calibration stored", false),
    FUMES("fumes in the air", true),
    LOOSE("lead loose now and then", true),
    LOW_SUPPLY("supply too low", true);

    private final String words;
    private final boolean spoils;

    AirFault(String words, boolean spoils) {
        this.words = words;
        this.spoils = spoils;
    }

    /** Name in a few words. */
    public String words() {
        return word(words);
    }

    /** Whether nothing good can come of calibrating with it, whatever the controller. */
    public boolean spoils() {
        return spoils;
    }
}
