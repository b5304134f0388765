package amberheron.core.wiring;

import amberheron.core.plan.Engine.Supply;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The vehicle's electrical system, as its sources are judged by it.
 *
 * @param supply what it gives; null while that was not asked: then a 12 V system is taken
 * @param lacks states of the key that the vehicle does not have
 */
public record Electrics(@Nullable Supply supply, Set<KeyState> lacks) {
    /** A 12 V system with every state. */
    public static final Electrics USUAL = new Electrics(Supply.TWELVE, Set.of());

    public Electrics {
        lacks = Set.copyOf(lacks);
    }

    /** Its volts as a multiple of those of a 12 V system. */
    double part() {
        return supply == null ? 1 : supply.part();
    }

    /** Whether something has to stand between it and a controller made for 12 V. */
    boolean needsConverter() {
        return supply != null && supply.needsConverter();
    }

    /** Whether the vehicle has a state. */
    boolean has(KeyState state) {
        return !lacks.contains(state);
    }

    /** The states that a source has to be measured in. */
    Stream<KeyState> asked() {
        return Stream.of(KeyState.values()).filter(s -> !s.optional() && has(s));
    }
}
