package amberheron.core.trust;

import static amberheron.core.units.Phrase.word;

/** Contributors to the uncertainty of the number shown. */
public enum Contributor {
    SENSOR("sensor", "the sensor itself"),
    AGE("age", "the months since the free-air check"),
    AIR("air", "the free-air check"),
    PRESSURE("pressure", "the pressure in the pipe"),
    LEAK("leak", "a leak nobody has looked for"),
    CATALYST("catalyst", "the catalyst before the sensor"),
    OPEN_END("open-end", "air drawn back from the open end"),
    WATER("water", "the water in the exhaust"),
    GROUND_SHIFT("ground-shift", "the ground's shift"),
    GROUND_RIPPLE("ground-ripple", "the heater's ripple"),
    LOADING("loading", "the load of the input"),
    UNCHECKED("unchecked", "an input nobody checked"),
    CONVERTER("converter", "the steps of the input"),
    SETTING("setting", "the setting's digits"),
    DISPLAY("display", "the display's digits"),
    METER("meter", "the meter"),
    CHECK_POINTS("check-points", "the check points");

    private final String key;
    private final String words;

    Contributor(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The word in results. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }
}
