package amberheron.core.display;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of the display's set-up. */
public enum DisplayField implements Property {
    PICK_UP("scale.display.pickUp", "where the engine-speed pulses are taken"),
    TEETH("scale.display.teeth", "teeth that pass in a turn"),
    STROKES("scale.display.strokes", "two-stroke or four-stroke"),
    LOAD("scale.display.load", "whether the display knows the load"),
    DIMMER("scale.display.dimmer", "the dimmer wire"),
    TOLD("scale.display.told.*", "what the display was told");

    private final String path;
    private final String words;

    DisplayField(String path, String words) {
        this.path = path;
        this.words = words;
    }

    @Override
    public String path() {
        return path;
    }

    @Override
    public String words() {
        return word(words);
    }
}
