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

    /** A changed job with what its readings rest on noted. */
    public static Job noted(Job before, Job after, Instant when) {
        Map<RestsOn, Instant> more = new EnumMap<>(RestsOn.class);
        more.putAll(after.changes().at);
        for (RestsOn basis : RestsOn.values()) {
            if (basis.changed(before, after)) {
                more.put(basis, when);
            }
        }
        return after.withChanges(new Changes(more));
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
