package amberheron.core.job;

import java.time.Instant;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Times at which the inputs that readings rest on last changed. Undoing a change restores its earlier time too.
 *
 * @param at of each, when; those that never changed are not in it
 */
public record Changes(Map<RestsOn, Instant> at) {
    /** No input has changed since it was first entered. */
    public static final Changes NONE = new Changes(Map.of());

    public Changes {
        Map<RestsOn, Instant> copy = new EnumMap<>(RestsOn.class);
        copy.putAll(at);
        at = Collections.unmodifiableMap(copy);
    }

    /** Returns the changed job with the times of its changes noted; changes of an output stand with that output. */
    public static Job noted(Job before, Job after, Instant when) {
        Output now = after.outputs().active();
        boolean same = before.outputs().active().id().equals(now.id());
        Changes own = now.changes();
        Changes shared = after.changes();
        for (RestsOn basis : RestsOn.values()) {
            if (basis.changed(before, after)) {
                if (!basis.ofAnOutput()) {
                    shared = shared.with(basis, when);
                } else if (same) {
                    own = own.with(basis, when);
                }
            }
        }
        return after.withChanges(shared).withOutputs(after.outputs().with(now.withChanges(own)));
    }

    private Changes with(RestsOn basis, Instant when) {
        return and(new Changes(Map.of(basis, when)));
    }

    /** Returns these and other times; of an input that is in both, the other time. */
    public Changes and(Changes others) {
        Map<RestsOn, Instant> more = new EnumMap<>(RestsOn.class);
        more.putAll(at);
        more.putAll(others.at);
        return new Changes(more);
    }

    /** Returns the times of outputs' inputs, or of the whole job's. */
    public Changes of(boolean outputs) {
        Map<RestsOn, Instant> some = new EnumMap<>(RestsOn.class);
        some.putAll(at);
        some.keySet().removeIf(b -> b.ofAnOutput() != outputs);
        return new Changes(some);
    }

    /**
     * Returns the last input to change after a moment.
     *
     * @param taken when the reading was taken; null where that was not recorded: nothing can be said of it
     */
    public Optional<RestsOn> since(@Nullable Instant taken, Collection<RestsOn> restsOn) {
        return taken == null
                ? Optional.empty()
                : at.entrySet().stream().filter(e -> restsOn.contains(e.getKey()) && e.getValue().isAfter(taken))
                        .max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
    }
}
