package amberheron.core.units;

import static amberheron.core.units.Phrase.word;

/** The kind of quantity a number measures. {@link #MIXTURE} is always carried as lambda. */
public enum Dimension {
    /** A length, in metres. */
    LENGTH("a length", "63.5, 2 1/2 in or 46 cm"),
    /** An angle, in radians. */
    ANGLE("an angle", "30, -12° or, on the clock face of the pipe, 1:52"),
    /** A temperature, in kelvin. */
    TEMPERATURE("a temperature", "20 °C or 68 °F"),
    /** An electric potential, in volts. */
    VOLTAGE("a voltage", "12.4 or 75 mV"),
    /** An electric current, in amperes. */
    CURRENT("a current", "1.2 or 300 mA"),
    /** An electric resistance, in ohms. */
    RESISTANCE("a resistance", "0.4 or 10 kΩ"),
    /** A force, in newtons. */
    FORCE("a force", "90 or 20 lbf"),
    /** A pressure, in pascals. */
    PRESSURE("a pressure", "1013 hPa or 29.9 inHg"),
    /** A part of a whole, from 0 to 1. */
    FRACTION("a percentage", "50 or 50 %"),
    /** A torque, in newton metres. */
    TORQUE("a torque", "45 N·m or 33 lb·ft"),
    /** A time, in seconds. */
    DURATION("a time", "30 s or 2 min"),
    /** A volume, in cubic metres. */
    VOLUME("a displacement", "0.66 L or 660 cc"),
    /** The cross-section of a wire, in square metres. */
    CROSS_SECTION("a wire size", "18 awg or 0.75 mm²"),
    /** A mixture, as lambda. */
    MIXTURE("a mixture", "0.88 λ or 12.9 AFR"),
    /** A bare number. */
    NUMBER("a number", "3");

    private final String noun;
    private final String examples;

    Dimension(String noun, String examples) {
        this.noun = noun;
        this.examples = examples;
    }

    /** Name as a person calls it, with its article. */
    public String noun() {
        return word(noun);
    }

    /** Entries that would be understood. */
    public String examples() {
        return word(examples);
    }
}
