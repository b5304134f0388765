package amberheron.core.parts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Ids of the parts of a list: a part keeps its own wherever it is moved, so that what belongs to it follows. A part that
 * was just made has a provisional id, unique in its list only; before it is kept it gets one that nobody else can make.
 */
public final class PartIds {
    private static final String PROVISIONAL = "new-";

    private PartIds() {
    }

    /**
     * Returns the same parts, each with an id of its own: a part without one, or with one that stands earlier in the list,
     * gets a provisional one.
     */
    public static <T> List<T> given(List<T> parts, Function<T, String> id, BiFunction<T, String, T> withId) {
        return filled(parts, id, withId, PROVISIONAL);
    }

    /**
     * Returns the same parts, those without an id numbered: as the parts of a document are that was written before parts had
     * ids, so that whoever reads it finds the same.
     */
    public static <T> List<T> numbered(List<T> parts, Function<T, String> id, BiFunction<T, String, T> withId) {
        return filled(parts, id, withId, "");
    }

    private static <T> List<T> filled(List<T> parts, Function<T, String> id, BiFunction<T, String, T> withId,
            String prefix) {
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
                while (taken.contains(prefix + next) || used.contains(prefix + next)) {
                    next++;
                }
                own = prefix + next;
                used.add(own);
            }
            out.add(withId.apply(part, own));
        }
        return List.copyOf(out);
    }

    /**
     * Returns the same parts with lasting ids in place of the provisional ones of parts that were just made.
     *
     * @param before the list before, whose parts keep their ids
     * @param ids each answer is an id that nobody else can make
     */
    public static <T> List<T> lasting(List<T> before, List<T> parts, Function<T, String> id,
            BiFunction<T, String, T> withId, Supplier<String> ids) {
        Set<String> known = before.stream().map(id).collect(Collectors.toSet());
        return parts.stream().map(p -> id.apply(p).startsWith(PROVISIONAL) && !known.contains(id.apply(p))
                ? withId.apply(p, ids.get())
                : p).toList();
    }

    /**
     * Returns the first letter of the alphabet that none of these is, then A1, B1 and so on: what people call a part of which
     * there are few.
     */
    public static String nextLetter(List<String> taken) {
        return IntStream.range(0, Integer.MAX_VALUE).mapToObj(i -> (char) ('A' + i % 26) + (i < 26 ? "" : "" + i / 26))
                .filter(l -> !taken.contains(l)).findFirst().orElseThrow();
    }

    /** Returns the number after the greatest of these that are numbers. */
    public static String nextNumber(List<String> taken) {
        return String.valueOf(
                1 + taken.stream().filter(t -> t.matches("\\d{1,6}")).mapToInt(Integer::parseInt).max().orElse(0));
    }
}
