package amberheron.core.parts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Ids of the parts of a list: a part keeps its own wherever it is moved, so that what belongs to it follows. */
public final class PartIds {
    private PartIds() {
    }

    /**
     * The same parts, each with an id of its own: a part without one, or with one that stands earlier in the list, gets the
     * least number that is free.
     */
    public static <T> List<T> given(List<T> parts, Function<T, String> id, BiFunction<T, String, T> withId) {
        Set<String> taken = new HashSet<>();
        boolean whole = true;
        for (T part : parts) {
            whole &= !id.apply(part).isEmpty() && taken.add(id.apply(part));
        }
        if (whole) {
            return List.copyOf(parts);
        }
        List<T> out = new ArrayList<>(parts.size());
        Set<String> used = new HashSet<>();
        int next = 0;
        for (T part : parts) {
            String own = id.apply(part);
            if (own.isEmpty() || !used.add(own)) {
                while (taken.contains(String.valueOf(next)) || used.contains(String.valueOf(next))) {
                    next++;
                }
                own = String.valueOf(next);
                used.add(own);
            }
            out.add(withId.apply(part, own));
        }
        return List.copyOf(out);
    }
}
