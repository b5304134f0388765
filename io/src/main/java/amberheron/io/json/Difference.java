package amberheron.io.json;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.io.Printable;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A value in which two versions of a job differ.
 *
 * @param field where it stands in the document, such as {@code wiring.ground.toChassis}
 * @param ours what the one has; {@code nothing} where it has none
 * @param theirs what the other has
 */
public record Difference(String field, String ours, String theirs) {
    /** Every value in which two versions differ, in the document's order. */
    public static List<Difference> between(JobDocument ours, JobDocument theirs) {
        List<Difference> all = new ArrayList<>();
        compare("", ours.tree(), theirs.tree(), all);
        return List.copyOf(all);
    }

    /** Lists the differences within a part of two versions. */
    static List<Difference> between(String path, @Nullable JsonNode ours, @Nullable JsonNode theirs) {
        List<Difference> all = new ArrayList<>();
        compare(path, ours, theirs, all);
        return all;
    }

    private static void compare(String path, @Nullable JsonNode a, @Nullable JsonNode b, List<Difference> into) {
        if (a != null && b != null && a.isObject() && b.isObject()) {
            Set<String> names = new LinkedHashSet<>(a.propertyNames());
            names.addAll(b.propertyNames());
            names.forEach(n -> compare(path.isEmpty() ? n : path + "." + n, a.get(n), b.get(n), into));
        } else if (a != null && b != null && a.isArray() && b.isArray()) {
            for (int i = 0; i < Math.max(a.size(), b.size()); i++) {
                compare(path + "[" + (i + 1) + "]", a.get(i), b.get(i), into);
            }
        } else if (!whole(a).equals(whole(b))) {
            into.add(new Difference(path, words(a), words(b)));
        }
    }

    /** Text that is compared: of a long text more than is shown. */
    private static String whole(@Nullable JsonNode node) {
        return node == null || node.isNull()
                ? say("nothing")
                : node.isContainer()
                        ? count("1 entry", "%d entries", node.size())
                        : node.isString() ? node.stringValue() : node.toString();
    }

    private static String words(@Nullable JsonNode node) {
        return Printable.of(whole(node));
    }
}
