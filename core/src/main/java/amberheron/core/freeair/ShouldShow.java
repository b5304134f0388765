package amberheron.core.freeair;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import java.util.Optional;

/**
 * The oxygen that a controller in order would show in the air it was checked in.
 *
 * @param oxygen mole fraction
 * @param doubt what that is known to (k = 2), as a part of it; 0 for its own idea of air
 * @param learned whether it is its own idea of air
 */
public record ShouldShow(double oxygen, double doubt, boolean learned) {
    /** Works out what a check should show; empty while the controller or, where that counts, the air is not known. */
    public static Optional<ShouldShow> of(FreeAirCheck check) {
        ControllerSheet controller = check.controller();
        if (controller == null) {
            return Optional.empty();
        }
        Double idea = controller.inAir().value();
        return controller.inAir().kind() == InAir.Kind.LEARNED && idea != null
                ? Optional.of(new ShouldShow(idea, 0, true))
                : check.today().air().map(a -> new ShouldShow(a.shownByFactoryTrim(),
                        AirDoubt.expanded(a, check.today().pressure() != null), false));
    }

    /** Returns the error of a number shown, as a part of it. */
    public double off(double shown) {
        return shown / oxygen - 1;
    }
}
