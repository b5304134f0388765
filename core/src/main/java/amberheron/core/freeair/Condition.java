package amberheron.core.freeair;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Conditions before a sensor is calibrated or checked in air; each is looked at and said by a person. */
public enum Condition implements Property {
    OUT_OF_PIPE("out-of-pipe", "Sensor out of the exhaust"),
    CAP_OFF("cap-off", "Plastic cap off"),
    HANGS_FREE("hangs-free", "Hangs free, its hot part touches nothing"),
    CLEAN_AIR("clean-air", "In clean moving air, not in the bay"),
    NO_VAPOUR("no-vapour", "No fuel or solvent near, nobody breathes on it"),
    DRY("dry", "Sensor and threads dry"),
    ANTI_SEIZE("anti-seize", "Anti-seize left on, none on the tip");

    private final String key;
    private final String words;

    Condition(String key, String words) {
        this.key = key;
        this.words = words;
    }

    @Override
    public String path() {
        return "air.condition." + key;
    }

    @Override
    public String words() {
        return word(words);
    }
}
