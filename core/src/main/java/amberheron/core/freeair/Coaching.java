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
    /** No calibration was begun. */
    public static final Coaching NONE = new Coaching(CoachStep.CONDITIONS, Instant.EPOCH, Trouble.NONE, null);

    /** Trouble that keeps a calibration from going on, or has sent it back. */
    public enum Trouble {
        NONE,
        CONDITION,
        NOT_UNPLUGGED,
        SENSOR_LOST,
        HEATER,
        LOW_SUPPLY,
        FAULT,
        HOT,
        COLD,
        NOT_READY,
        TOO_SOON,
        PLACEHOLDER,
        SIMULATED,
        UNSTEADY,
        UNSEEN,
        LINK_LOST,
        POWER_LOST,
        LEFT,
        STOPPED
    }

    Coaching withTrouble(Trouble why) {
        return new Coaching(step, since, why, from);
    }
}
