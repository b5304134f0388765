package amberheron.core.job;

import amberheron.core.finding.Origin;
import amberheron.core.parts.Address;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Drafts and origins of a job's values, by the key of their address.
 *
 * @param drafts entries that could not be used yet, as typed; they are kept so that nothing is lost
 * @param origins where each value came from and when; readings that an instrument can give carry theirs themselves
 */
public record Entries(Map<String, String> drafts, Map<String, Origin> origins) {
    /** No entries. */
    public static final Entries NONE = new Entries(Map.of(), Map.of());

    public Entries {
        drafts = Collections.unmodifiableMap(new TreeMap<>(drafts));
        origins = Collections.unmodifiableMap(new TreeMap<>(origins));
    }

    /** Draft of a field that cannot be used; empty where there is none. */
    public Optional<String> draft(Address field) {
        return Optional.ofNullable(drafts.get(field.key()));
    }

    /** Where a value came from. */
    public Origin origin(Address value) {
        return origins.getOrDefault(value.key(), Origin.UNRECORDED);
    }

    /** Keeps an entry that cannot be used as typed; the value before it stands on. */
    public Entries drafted(Address field, String typed) {
        Map<String, String> more = new TreeMap<>(drafts);
        more.put(field.key(), typed);
        return new Entries(more, origins);
    }

    /** Forgets what was typed and could not be used; where the value kept came from stays. */
    public Entries withoutDraft(Address field) {
        Map<String, String> left = new TreeMap<>(drafts);
        left.remove(field.key());
        return new Entries(left, origins);
    }

    /** Notes that a field was cleared. */
    public Entries cleared(Address field) {
        Map<String, Origin> fewer = new TreeMap<>(origins);
        fewer.remove(field.key());
        return new Entries(withoutDraft(field).drafts, fewer);
    }

    /** Notes that a value was entered. */
    public Entries entered(Address field, Origin origin) {
        Entries cleared = cleared(field);
        Map<String, Origin> more = new TreeMap<>(cleared.origins);
        more.put(field.key(), origin);
        return new Entries(cleared.drafts, more);
    }

    /** Drops everything of a part that is gone, given any address of it. */
    public Entries withoutPart(Address part) {
        Map<String, String> less = new TreeMap<>(drafts);
        less.keySet().removeIf(field -> field.startsWith(part.partKey()));
        Map<String, Origin> fewer = new TreeMap<>(origins);
        fewer.keySet().removeIf(field -> field.startsWith(part.partKey()));
        return new Entries(less, fewer);
    }
}
