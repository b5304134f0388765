package amberheron.io.json;

import amberheron.core.units.Dimension;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Names of the values of a document, by the path of each without the places in lists. */
final class FieldNames {
    private final Map<String, Name> names = new HashMap<>();

    /**
     * Name of a value, asked for when it is shown: in the language at hand then.
     *
     * @param said gives the words
     * @param dimension what its number measures; null for words, choices and bare numbers
     */
    record Name(Supplier<String> said, @Nullable Dimension dimension) {
        String words() {
            return said.get();
        }
    }

    void add(String path, Name name) {
        names.put(path, name);
    }

    Optional<Name> of(String path) {
        return Optional.ofNullable(names.get(path));
    }

    Set<String> paths() {
        return Set.copyOf(names.keySet());
    }
}
