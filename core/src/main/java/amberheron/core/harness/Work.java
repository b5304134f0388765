package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

/** Purpose of a wire. */
public enum Work {
    POWER("power, switched"),
    CONSTANT("power, constant"),
    HEATER_GROUND("heater ground"),
    SIGNAL_GROUND("signal ground"),
    ANALOG("analog +"),
    ANALOG_MINUS("analog −"),
    NARROWBAND("simulated narrowband"),
    SERIAL("serial data"),
    SERIAL_GROUND("serial ground"),
    CAN_HIGH("CAN high"),
    CAN_LOW("CAN low"),
    DIMMER("dimmer"),
    PULSES("engine-speed pulses"),
    ALARM("alarm output"),
    PUMP("sensor, pump cell"),
    REFERENCE("sensor, reference cell"),
    COMMON("sensor, common"),
    HEATER_PLUS("sensor, heater +"),
    HEATER_MINUS("sensor, heater −"),
    TRIM("sensor, trim resistor");

    private final String words;

    Work(String words) {
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

    /** Whether it brings a return current or a reference rather than a signal. */
    public boolean ground() {
        return this == HEATER_GROUND || this == SIGNAL_GROUND || this == ANALOG_MINUS || this == SERIAL_GROUND;
    }
}
