package amberheron.core.freeair;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.ControllerSheet.Sign;
import amberheron.core.controller.InAir;
import amberheron.core.controller.State;
import amberheron.core.finding.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Controllers that do not exist, one of each school. */
public final class Controllers {
    /** Shows 20.7 % in whatever air it was taught in. */
    public static final ControllerSheet LEARNS = sheet(CalibrationSchool.CLEAR_THEN_LEARN,
            new InAir(InAir.Kind.LEARNED, 0.207));
    /** Goes to λ 1.4 at its free-air mark. */
    public static final ControllerSheet TRIMMED = sheet(CalibrationSchool.TRIM_BY_HAND, new InAir(InAir.Kind.TOP, 1.4));
    /** Shows the oxygen of the day. */
    public static final ControllerSheet FACTORY = sheet(CalibrationSchool.FACTORY_TRIMMED,
            new InAir(InAir.Kind.OF_THE_DAY, null));
    /** Shows a mixture and says nothing of its top. */
    public static final ControllerSheet UNSAID = sheet(CalibrationSchool.TRIM_BY_HAND, new InAir(InAir.Kind.TOP, null));

    private Controllers() {
    }

    private static ControllerSheet sheet(CalibrationSchool school, InAir inAir) {
        return new ControllerSheet(school.name(), "made up", school, 40, 1.0, inAir,
                List.of(new Sign("three dots", State.NO_SENSOR), new Sign("steady bar", State.READY)), List.of(),
                Source.practice("made up"));
    }

    /** A check in good order but for what is given. */
    public static FreeAirCheck check(ControllerSheet controller, @Nullable Double oxygen, @Nullable Double lambda,
            @Nullable Double settled, @Nullable LocalDate date, String sensor) {
        return new FreeAirCheck(controller, AirOfDay.of(293.15, 0.5, 0), Set.of(Condition.values()), oxygen, lambda,
                null, settled, null, Coaching.NONE, date, sensor, null);
    }
}
