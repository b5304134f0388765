package amberheron.core.freeair;

import amberheron.core.controller.School;
import java.util.List;

/** The steps of a calibration or check in free air. */
public enum CoachStep {
    /** What has to be so is looked at. */
    CONDITIONS("conditions", "Get ready"),
    /** Powered without the sensor until the controller says so. */
    CLEAR("clear", "Clear"),
    /** Held like that. */
    HOLD("hold", "Hold"),
    /** Power off, sensor plugged in, power on in free air. */
    PLUG_IN("plug-in", "Plug in"),
    /** Heats and learns. */
    LEARN("learn", "Learn"),
    /** Adjuster to its end, ignition on. */
    ANTICLOCKWISE("anticlockwise", "Turn back"),
    /** Ignition on, sensor in free air. */
    POWER_ON("power-on", "Power on"),
    /** Comes up to its temperature. */
    WARM("warm", "Warm up"),
    /** Adjuster slowly to the free-air mark. */
    TURN("turn", "Trim"),
    /** What is shown is watched until it has been steady long enough. */
    STEADY("steady", "Watch"),
    /** It can be recorded. */
    READY("ready", "Record"),
    /** It was recorded. */
    RECORDED("recorded", "Done"),
    /** It ended without a record. */
    STOPPED("stopped", "Stopped");

    private final String key;
    private final String words;

    CoachStep(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The word in files. */
    public String key() {
        return key;
    }

    /** Its name, in a word or two. */
    public String words() {
        return words;
    }

    /** The steps of a school in their order, from getting ready to the record. */
    public static List<CoachStep> of(School school) {
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
    CoachStep next(School school) {
        List<CoachStep> all = of(school);
        return all.get(all.indexOf(this) + 1);
    }

    /** Where a school begins again with the controller, once it is ready for it. */
    static CoachStep first(School school) {
        return CONDITIONS.next(school);
    }
}
