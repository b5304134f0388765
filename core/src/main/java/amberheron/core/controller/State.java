package amberheron.core.controller;

import static amberheron.core.units.Phrase.word;

/** How a controller says that it is, by lamp, display or stream. */
public enum State {
    /** The heater brings the sensor up; the number shown is a placeholder. */
    WARMING("warming", "warming up", false),
    /** It takes what it measures for air. */
    LEARNING("learning", "learning", false),
    /** The sensor is at its temperature and the number shown is measured. */
    READY("ready", "ready", true),
    /** The sensor does not come up to its temperature, or has lost it. */
    COLD("cold", "sensor too cold", false),
    /** The sensor is above its temperature. */
    HOT("hot", "sensor too hot", false),
    /** No sensor is plugged in, or a wire of its lead is open. */
    NO_SENSOR("no-sensor", "no sensor", false),
    /** The heater's circuit is broken. */
    HEATER("heater", "heater open", false),
    /** The supply is below what the controller needs. */
    LOW_SUPPLY("low-supply", "supply too low", false),
    /** Something else is wrong. */
    FAULT("fault", "fault", false);

    private final String key;
    private final String words;
    private final boolean counts;

    State(String key, String words, boolean counts) {
        this.key = key;
        this.words = words;
        this.counts = counts;
    }

    /** The word in files and streams. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }

    /** Whether a number shown meanwhile is a measurement. */
    public boolean counts() {
        return counts;
    }
}
