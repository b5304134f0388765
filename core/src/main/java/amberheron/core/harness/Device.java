package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

/** Device that a wire comes from or goes to. */
public enum Device {
    SENSOR("sensor"),
    CONTROLLER("controller"),
    DISPLAY("display"),
    GAUGE("gauge"),
    LOGGER("logger"),
    ECU("standalone ECU"),
    STOCK_ECU("stock ECU"),
    SOFTWARE("tuning software"),
    POWER("power source"),
    BATTERY("battery negative"),
    CHASSIS("chassis point"),
    LAMPS("dash lamps"),
    IGNITION("ignition"),
    WARNING("warning lamp");

    private final String words;

    Device(String words) {
        this.words = words;
    }

    /** The word that files know it by, the same in every language. */
    public String key() {
        return words;
    }

    /** The trade's words. */
    public String words() {
        return word(words);
    }

    /** Whether several wires may share a pin there: a ground point or a supply takes more than one ring. */
    public boolean shared() {
        return this == BATTERY || this == CHASSIS || this == POWER || this == LAMPS;
    }
}
