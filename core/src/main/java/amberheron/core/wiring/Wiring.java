package amberheron.core.wiring;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What was measured and decided at the wiring station. Everything not yet measured is null.
 *
 * @param sources places the power could come from
 * @param taken id of the one taken; null until one is
 * @param feed the wire from there
 * @param fuse rating, A
 * @param draw the unit's greatest draw while heating, A
 * @param ground where the grounds are taken, and where they could be
 * @param groundPoint where the grounds were taken, in the installer's words
 */
public record Wiring(List<PowerSource> sources, @Nullable String taken, Feed feed, @Nullable Double fuse,
        @Nullable Double draw, GroundPlan ground, String groundPoint) {
    /** Nothing measured. */
    public static final Wiring UNMEASURED = new Wiring(List.of(), null, Feed.UNMEASURED, null, null,
            GroundPlan.UNMEASURED, "");

    public Wiring {
        sources = List.copyOf(sources);
    }

    /** The source taken. */
    public Optional<PowerSource> source() {
        return sources.stream().filter(s -> s.id().equals(taken)).findFirst();
    }

    public Wiring withSources(List<PowerSource> value) {
        return new Wiring(value, taken, feed, fuse, draw, ground, groundPoint);
    }

    /** Changes the source with this id; the others stay as they are. */
    public Wiring withSource(String id, UnaryOperator<PowerSource> change) {
        return withSources(sources.stream().map(s -> s.id().equals(id) ? change.apply(s) : s).toList());
    }

    public Wiring withTaken(@Nullable String value) {
        return new Wiring(sources, value, feed, fuse, draw, ground, groundPoint);
    }

    public Wiring withFeed(Feed value) {
        return new Wiring(sources, taken, value, fuse, draw, ground, groundPoint);
    }

    public Wiring withFuse(@Nullable Double value) {
        return new Wiring(sources, taken, feed, value, draw, ground, groundPoint);
    }

    public Wiring withDraw(@Nullable Double value) {
        return new Wiring(sources, taken, feed, fuse, value, ground, groundPoint);
    }

    public Wiring withGround(GroundPlan value) {
        return new Wiring(sources, taken, feed, fuse, draw, value, groundPoint);
    }

    public Wiring withGroundPoint(String value) {
        return new Wiring(sources, taken, feed, fuse, draw, ground, value);
    }
}
