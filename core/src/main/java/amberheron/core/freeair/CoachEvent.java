package amberheron.core.freeair;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Event while a sensor is calibrated: said by the person, or sent by the controller. */
public sealed interface CoachEvent {
    /**
     * Returns the events in one line of the controller's stream: its state, and its number in the quantity that it shows in
     * air.
     */
    static List<CoachEvent> of(ControllerSheet sheet, Report said, boolean simulated) {
        List<CoachEvent> events = new ArrayList<>();
        State state = said.state();
        if (state != null) {
            events.add(new Sees(state));
        }
        Double shown = sheet.inAir().of(said);
        if (shown != null) {
            events.add(Shows.of(sheet, shown, simulated));
        }
        return events;
    }

    /** A condition was looked at. */
    record Said(Condition condition, boolean so) implements CoachEvent {
    }

    /** The person has done what the step asks for. */
    record Done() implements CoachEvent {
    }

    /** Lamp, display or stream tell a state. */
    record Sees(State state) implements CoachEvent {
    }

    /**
     * Reading shown; one of the two is given.
     *
     * @param oxygen mole fraction
     * @param lambda mixture
     * @param simulated whether a stand-in shows it
     */
    record Shows(@Nullable Double oxygen, @Nullable Double lambda, boolean simulated) implements CoachEvent {
        public Shows {
            if ((oxygen == null) == (lambda == null)) {
                throw new IllegalArgumentException("a reading: expected either oxygen or a mixture");
            }
        }

        /** A number in the quantity that a controller shows in air. */
        public static Shows of(ControllerSheet sheet, double shown, boolean simulated) {
            return sheet.inAir().oxygen() ? new Shows(shown, null, simulated) : new Shows(null, shown, simulated);
        }

        double value() {
            return oxygen != null ? oxygen : lambda != null ? lambda : 0;
        }
    }

    /** The stream from the controller ended. */
    record LinkLost() implements CoachEvent {
    }

    /** The controller was without power when it should have had some. */
    record PowerLost() implements CoachEvent {
    }

    /** Time goes on. */
    record Tick() implements CoachEvent {
    }

    /** The person stops. */
    record Stop() implements CoachEvent {
    }

    /** The person begins again. */
    record Again() implements CoachEvent {
    }

    /** The result is taken into the job. */
    record Recorded() implements CoachEvent {
    }
}
