package amberheron.core.freeair;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * How far a calibration in free air is; kept with the job, so that it is known after the program ended in the middle.
 *
 * @param step where it is
 * @param since when that began
 * @param trouble what sent it here; {@link Trouble#NONE} when it came in order
 * @param from the step it was in when that happened; null when it came in order
 */
public record Coaching(CoachStep step, Instant since, Trouble trouble, @Nullable CoachStep from) {
    /** Nothing was begun. */
    public static final Coaching NONE = new Coaching(CoachStep.CONDITIONS, Instant.EPOCH, Trouble.NONE, null);

    /** What keeps a calibration from going on, or has sent it back. */
    public enum Trouble {
        NONE("none"),
        CONDITION("condition"),
        NOT_UNPLUGGED("not-unplugged"),
        SENSOR_LOST("sensor-lost"),
        HEATER("heater"),
        LOW_SUPPLY("low-supply"),
        FAULT("fault"),
        HOT("hot"),
        COLD("cold"),
        NOT_READY("not-ready"),
        PLACEHOLDER("placeholder"),
        SIMULATED("simulated"),
        UNSTEADY("unsteady"),
        UNSEEN("unseen"),
        LINK_LOST("link-lost"),
        POWER_LOST("power-lost"),
        LEFT("left"),
        STOPPED("stopped");

        private final String key;

        Trouble(String key) {
            this.key = key;
        }

        /** The word in files. */
        public String key() {
            return key;
        }
    }

    Coaching withTrouble(Trouble why) {
        return new Coaching(step, since, why, from);
    }
}
