package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;
import amberheron.core.parts.Property;

/** The states a power source is measured in. */
public enum KeyState implements CheckId, Property {
    OFF("off", "key off"),
    ACCESSORY("accessory", "accessory"),
    ON("on", "key on"),
    CRANKING("cranking", "cranking"),
    RUNNING("running", "engine running"),
    LAMPS("lamps", "running, lamps on"),
    INDICATORS("indicators", "running, indicators on");

    private final String key;
    private final String words;

    KeyState(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The check of a source in this state. */
    @Override
    public String key() {
        return key;
    }

    /** The volts of a source in this state. */
    @Override
    public String path() {
        return "wire.*." + key;
    }

    /** The words for it. */
    @Override
    public String words() {
        return word(words);
    }

    /** What a vehicle without it does not have. */
    public String lackWords() {
        return word(switch (this) {
            case ACCESSORY -> "accessory";
            case CRANKING -> "starter";
            case LAMPS -> "lamps";
            case INDICATORS -> "indicators";
            case OFF, ON, RUNNING -> words;
        });
    }

    /** Whether there are vehicles without it: kick start, no lamps, no accessory position. */
    public boolean canLack() {
        return this != OFF && this != ON && this != RUNNING;
    }

    /** Whether a source can be proved without this reading: not every car has an accessory position. */
    public boolean optional() {
        return this == ACCESSORY;
    }
}
