package amberheron.core.wiring;

import amberheron.core.harness.Harness;
import amberheron.core.harness.Wire;
import amberheron.core.parts.PartIds;
import amberheron.core.plan.Engine.Supply;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.Sane;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Measurements and choices of the wiring station. Everything not yet measured is null.
 *
 * @param sources places the power could come from
 * @param taken id of the one taken; null until one is
 * @param feed the wire from there
 * @param fuse rating, A
 * @param draw the unit's greatest draw while heating, A
 * @param ground where the grounds are taken, and where they could be
 * @param groundPoint where the grounds were taken, in the installer's words
 * @param signals how every reader is hooked up
 * @param heater when the heater gets its power
 * @param harness chart, route, joints and what was found
 * @param lacks states of the key that this vehicle does not have
 */
public record Wiring(List<PowerSource> sources, @Nullable String taken, Feed feed, @Nullable Double fuse,
        @Nullable Double draw, GroundPlan ground, String groundPoint, Signals signals, HeaterTiming heater,
        Harness harness, Set<KeyState> lacks) {
    /** Nothing measured. */
    public static final Wiring UNMEASURED = new Wiring(List.of(), null, Feed.UNMEASURED, null, null,
            GroundPlan.UNMEASURED, "", Signals.NONE, HeaterTiming.OPEN, Harness.NONE, Set.of());

    public Wiring {
        Sane.CURRENT.check("fuse", fuse);
        Sane.CURRENT.check("draw", draw);
        sources = PartIds.given(sources, PowerSource::id, PowerSource::withId);
        lacks = lacks.stream().filter(KeyState::canLack).collect(Collectors.toCollection(TreeSet::new));
        lacks = Collections.unmodifiableSet(lacks);
    }

    /** The source taken. */
    public Optional<PowerSource> source() {
        return sources.stream().filter(s -> s.id().equals(taken)).findFirst();
    }

    /** The vehicle's electrics, given what was said of their volts. */
    public Electrics electrics(@Nullable Supply supply) {
        return new Electrics(supply, lacks);
    }

    /** The same without what a stand-in made up. */
    public Wiring real() {
        return withSources(sources.stream().map(PowerSource::real).toList());
    }

    public Wiring withSources(List<PowerSource> value) {
        return new Wiring(value, taken, feed, fuse, draw, ground, groundPoint, signals, heater, harness, lacks);
    }

    /** Changes the source with this id; the others stay as they are. */
    public Wiring withSource(String id, UnaryOperator<PowerSource> change) {
        return withSources(sources.stream().map(s -> s.id().equals(id) ? change.apply(s) : s).toList());
    }

    public Wiring withTaken(@Nullable String value) {
        return new Wiring(sources, value, feed, fuse, draw, ground, groundPoint, signals, heater, harness, lacks);
    }

    public Wiring withFeed(Feed value) {
        return new Wiring(sources, taken, value, fuse, draw, ground, groundPoint, signals, heater, harness, lacks);
    }

    public Wiring withFuse(@Nullable Double value) {
        return new Wiring(sources, taken, feed, value, draw, ground, groundPoint, signals, heater, harness, lacks);
    }

    public Wiring withDraw(@Nullable Double value) {
        return new Wiring(sources, taken, feed, fuse, value, ground, groundPoint, signals, heater, harness, lacks);
    }

    public Wiring withGround(GroundPlan value) {
        return new Wiring(sources, taken, feed, fuse, draw, value, groundPoint, signals, heater, harness, lacks);
    }

    public Wiring withGroundPoint(String value) {
        return new Wiring(sources, taken, feed, fuse, draw, ground, value, signals, heater, harness, lacks);
    }

    public Wiring withSignals(Signals value) {
        return new Wiring(sources, taken, feed, fuse, draw, ground, groundPoint, value, heater, harness, lacks);
    }

    public Wiring withHeater(HeaterTiming value) {
        return new Wiring(sources, taken, feed, fuse, draw, ground, groundPoint, signals, value, harness, lacks);
    }

    public Wiring withHarness(Harness value) {
        return new Wiring(sources, taken, feed, fuse, draw, ground, groundPoint, signals, heater, value, lacks);
    }

    /** Says whether the vehicle lacks a state of the key. */
    public Wiring withLacks(KeyState state, boolean value) {
        Set<KeyState> now = new TreeSet<>(lacks);
        if (value) {
            now.add(state);
        } else {
            now.remove(state);
        }
        return new Wiring(sources, taken, feed, fuse, draw, ground, groundPoint, signals, heater, harness, now);
    }

    /** The lines its chart cannot do without. */
    public List<Wire> needed(Set<ReaderKind> readers) {
        return NeededWires.of(this, readers);
    }

    /** The lines of them of which it was said where they go: the grounds only once their way is chosen. */
    List<Wire> chosen(Set<ReaderKind> readers) {
        return ground.school() != null
                ? needed(readers)
                : needed(readers).stream().filter(w -> w.work() == null || !w.work().ground()).toList();
    }
}
