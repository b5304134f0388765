package amberheron.core.freeair;

import static amberheron.core.units.Phrase.word;

import amberheron.core.controller.CalibrationSchool;
import java.util.List;

/** The steps of a calibration or check in free air. */
public enum CoachStep {
    /** Conditions are looked at. */
    CONDITIONS("Get ready"),
    /** Powered without the sensor until the controller says so. */
    CLEAR("Clear"),
    /** Held like that. */
    HOLD("Hold"),
    /** Power off, sensor plugged in, power on in free air. */
    PLUG_IN("Plug in"),
    /** Heats and learns. */
    LEARN("Learn"),
    /** Adjuster to its end, ignition on. */
    ANTICLOCKWISE("Turn back"),
    /** Ignition on, sensor in free air. */
    POWER_ON("Power on"),
    /** Comes up to its temperature. */
    WARM("Warm up"),
    /** Adjuster slowly to the free-air mark. */
    TURN("Set"),
    /** The display is watched until it has been steady long enough. */
    STEADY("Watch"),
    /** It can be recorded. */
    READY("Record"),
    /** It was recorded. */
    RECORDED("Done"),
    /** It ended without a record. */
    STOPPED("Stopped");

    private final String words;

    CoachStep(String words) {
        this.words = words;
    }

    /** Its name, in a word or two. */
    public String words() {
        return word(words);
    }

    /** The steps of a school in their order, from getting ready to the record. */
    public static List<CoachStep> of(CalibrationSchool school) {
        return switch (school) {
            case CLEAR_THEN_LEARN -> List.of(CONDITIONS, CLEAR, HOLD, PLUG_IN, LEARN, STEADY, READY, RECORDED);
            case TRIM_BY_HAND -> List.of(CONDITIONS, ANTICLOCKWISE, WARM, TURN, STEADY, READY, RECORDED);
            case FACTORY_TRIMMED -> List.of(CONDITIONS, POWER_ON, WARM, STEADY, READY, RECORDED);
        };
    }

    /** Whether something is going on with the controller that would be lost, were it left alone. */
    public boolean underWay() {
        return switch (this) {
            case CONDITIONS, RECORDED, STOPPED -> false;
            case CLEAR, HOLD, PLUG_IN, LEARN, ANTICLOCKWISE, POWER_ON, WARM, TURN, STEADY, READY -> true;
        };
    }

    /** The step that follows in a school. */
    CoachStep next(CalibrationSchool school) {
        List<CoachStep> all = of(school);
        return all.get(all.indexOf(this) + 1);
    }

    /** Where a school begins again with the controller, once it is ready for it. */
    static CoachStep first(CalibrationSchool school) {
        return CONDITIONS.next(school);
    }
}
