package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

/** Channel that a column of a log can hold. */
public enum LogChannel {
    TIME("time", "time"),
    CONTROLLER("controller", "what the controller itself shows"),
    READER("reader", "what the reader shows"),
    ENGINE_SPEED("rpm", "engine speed"),
    SPEED("speed", "road speed"),
    PRESSURE("pressure", "manifold pressure"),
    THROTTLE("throttle", "throttle"),
    AIR_MASS("air", "air mass"),
    TEMPERATURE("temperature", "coolant temperature"),
    NARROWBAND("narrowband", "the stock narrowband's volts");

    private final String key;
    private final String words;

    LogChannel(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The name on the command line and in results. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }
}
