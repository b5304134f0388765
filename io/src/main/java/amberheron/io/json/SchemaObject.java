package amberheron.io.json;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The schema of a JSON object, while its fields are added to it. */
final class SchemaObject {
    private final ObjectNode properties = Json.object();
    private final ArrayNode required = properties.arrayNode();

    /** Adds a field. */
    SchemaObject add(String name, JsonNode schema, boolean needed) {
        properties.set(name, schema);
        if (needed) {
            required.add(name);
        }
        return this;
    }

    /** The schema. */
    ObjectNode schema() {
        ObjectNode out = Json.object().put("type", "object");
        out.set("properties", properties);
        if (!required.isEmpty()) {
            out.set("required", required);
        }
        return out;
    }
}
