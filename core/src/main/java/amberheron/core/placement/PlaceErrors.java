package amberheron.core.placement;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a place along the run does to the reading, however good the sensor is.
 *
 * @param beforeTurbine whether the exhaust's pressure before a turbine stands on it
 * @param afterCatalyst whether it is after a catalyst that the shop does not hold to be negligible
 * @param nearEnd how near the open end is, as a part of the distance from which on air is drawn back: 0 far enough, 1 at the
 *        end; 0 where the end is not measured
 * @param wet how wet the pipe is there
 */
public record PlaceErrors(boolean beforeTurbine, boolean afterCatalyst, double nearEnd, Wet wet) {
    /** How wet a pipe is into which water is injected. */
    public enum Wet {
        /** None is injected, or a riser keeps it away. */
        DRY,
        /** Before the water, with nothing that keeps it from running back. */
        SPLASHED,
        /** After the water. */
        WET
    }

    /** A place that is as it should be. */
    public static final PlaceErrors NONE = new PlaceErrors(false, false, 0, Wet.DRY);

    /** The place taken, as it was fitted where that was measured. */
    public static PlaceErrors of(Site site, Placing placing) {
        Optional<Candidate> planned = placing.place();
        Candidate place = planned.flatMap(p -> placing.fitted().place(site.exhaust(), p)).or(() -> planned)
                .orElse(null);
        Double distance = place == null ? null : place.distance();
        return place == null || distance == null ? NONE : at(site, site.exhaust().run(place.line()), distance);
    }

    private static PlaceErrors at(Site site, Run run, double distance) {
        AlongRun at = AlongRun.of(site, run, distance);
        return new PlaceErrors(run.turbine() && distance < 0, PlaceLimits.afterCatalyst(site, run, at),
                near(at.toEnd()), switch (PlaceLimits.water(at)) {
                    case PASS, UNKNOWN -> Wet.DRY;
                    case WARN -> Wet.SPLASHED;
                    case FAIL -> Wet.WET;
                });
    }

    private static double near(@Nullable Double toEnd) {
        return toEnd == null ? 0 : Math.clamp(1 - toEnd / PlaceLimits.OPEN_END, 0, 1);
    }
}
