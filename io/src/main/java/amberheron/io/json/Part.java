package amberheron.io.json;

import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * A component of a record as it stands in the record's JSON object. It may take several fields of that object, as an
 * {@linkplain RecordForm#inlined inlined} record does.
 *
 * @param <T> the record
 * @param <V> the component
 */
interface Part<T, V extends @Nullable Object> {
    /**
     * Reads the component from the record's object.
     *
     * @throws amberheron.io.UnusableInput saying where it stands, what was found and what was expected
     */
    V read(Cursor at);

    /** Writes the component into the record's object. */
    void write(ObjectNode out, T from);

    /** Says in a schema what may stand in the object. */
    void describe(SchemaObject into);

    /**
     * Says what people call the values of the component.
     *
     * @param path of the record's object, with a point behind it; empty for the document
     */
    default void name(String path, FieldNames into) {
        // A component that people do not see has no name.
    }
}
