package amberheron.io.json;

import java.util.function.BiFunction;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * A kind of value that stands under one name in a JSON object.
 *
 * @param reader reads it, given the object and the name
 * @param writer writes it into the object under the name
 * @param schema makes its schema anew
 * @param needed whether a document without it is refused
 * @param inside says what people call the values inside of it, given its path
 */
record Kind<V extends @Nullable Object>(BiFunction<Cursor, String, V> reader, Writer<V> writer,
        Supplier<ObjectNode> schema, boolean needed, Inside inside) {
    /** Writes a value into an object. */
    @FunctionalInterface
    interface Writer<V extends @Nullable Object> {
        void write(ObjectNode out, String name, V value);
    }

    /** Names what is inside of a value. */
    @FunctionalInterface
    interface Inside {
        void name(String path, FieldNames into);
    }

    /** A value with nothing inside that has a name. */
    Kind(BiFunction<Cursor, String, V> reader, Writer<V> writer, Supplier<ObjectNode> schema, boolean needed) {
        this(reader, writer, schema, needed, (path, into) -> {
        });
    }
}
