package amberheron.core.job;

import java.time.Instant;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * When what readings rest on last changed. Taking a change back brings this back with it.
 *
 * @param at of each, when; those that never changed are not in it
 */
public record Changes(Map<RestsOn, Instant> at) {
    /** Nothing has changed since it was first said. */
    public static final Changes NONE = new Changes(Map.of());

    public Changes {
        Map<RestsOn, Instant> copy = new EnumMap<>(RestsOn.class);
        copy.putAll(at);
        at = Collections.unmodifiableMap(copy);
    }

    /** A changed job with what its readings rest on noted: what was changed of an output stands with that output. */
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

    /** These and others; of one that is in both, the others'. */
    public Changes and(Changes others) {
        Map<RestsOn, Instant> more = new EnumMap<>(RestsOn.class);
        more.putAll(at);
        more.putAll(others.at);
        return new Changes(more);
    }

    /** Those of outputs, or those of the whole job. */
    public Changes of(boolean outputs) {
        Map<RestsOn, Instant> some = new EnumMap<>(RestsOn.class);
        some.putAll(at);
        some.keySet().removeIf(b -> b.ofAnOutput() != outputs);
        return new Changes(some);
    }

    /**
     * The last of these to change after a moment.
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
