package amberheron.io.json;

import amberheron.core.units.Sane;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/** Numbers by an enum, each under the name of its value; one that is absent or null has no number. */
record NumbersBy<E extends Enum<E>>(Class<E> type, Function<E, String> id, boolean every, Sane limits,
        Function<E, FieldNames.@Nullable Name> called) implements Part<Map<E, Double>, Map<E, Double>> {
    @Override
    public Map<E, Double> read(Cursor at) {
        Map<E, Double> numbers = new EnumMap<>(type);
        for (E each : type.getEnumConstants()) {
            Double number = at.numberOrNull(id.apply(each));
            if (number != null) {
                numbers.put(each, number);
            }
        }
        return numbers;
    }

    @Override
    public void write(ObjectNode out, Map<E, Double> from) {
        for (E each : type.getEnumConstants()) {
            if (every || from.containsKey(each)) {
                out.put(id.apply(each), from.get(each));
            }
        }
    }

    @Override
    public void describe(SchemaObject into) {
        for (E each : type.getEnumConstants()) {
            into.add(id.apply(each), Value.limited(Value.either("number"), limits.min(), limits.max()), false);
        }
    }

    @Override
    public void name(String path, FieldNames into) {
        for (E each : type.getEnumConstants()) {
            FieldNames.Name name = called.apply(each);
            if (name != null) {
                into.add(path + id.apply(each), name);
            }
        }
    }
}
