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
 */
public record PlaceErrors(boolean beforeTurbine, boolean afterCatalyst, double nearEnd) {
    /** A place that is as it should be. */
    public static final PlaceErrors NONE = new PlaceErrors(false, false, 0);

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
                near(at.toEnd()));
    }

    private static double near(@Nullable Double toEnd) {
        return toEnd == null ? 0 : Math.clamp(1 - toEnd / PlaceLimits.OPEN_END, 0, 1);
    }
}
