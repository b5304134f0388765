package amberheron.core.controller;

import static amberheron.core.units.Phrase.word;

/** The three ways in which controllers are calibrated. Each belongs to its controller, so this is no matter of taste. */
public enum CalibrationSchool {
    CLEAR_THEN_LEARN("Clear, then learn",
            "Power on with the sensor unplugged until the error shows, hold 30 s, power off, plug in, power on in free air."),
    TRIM_BY_HAND("Adjust by hand",
            "Adjuster fully anticlockwise, ignition on, wait 2 min, turn slowly clockwise to the free-air mark."),
    FACTORY_TRIMMED("Adjusted at the factory",
            "No calibration: only check that it shows today's oxygen, or sits at the top of its range, in air.");

    private final String words;
    private final String procedure;

    CalibrationSchool(String words, String procedure) {
        this.words = words;
        this.procedure = procedure;
    }

    /** The school's name. */
    public String words() {
        return word(words);
    }

    /** The instruction. */
    public String procedure() {
        return word(procedure);
    }

    /** Returns whether the number it shows in air is its own idea of air, taken from whatever air it was taught in. */
    public boolean learns() {
        return this != FACTORY_TRIMMED;
    }
}
