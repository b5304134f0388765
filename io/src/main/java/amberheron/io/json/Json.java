package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes JSON text. Reading is strict and bounded, since documents come by mail. */
public final class Json {
    /** Greatest size of a document, bytes; a job with thousands of entries takes a few hundred kilobytes. */
    static final long MOST_BYTES = 16L << 20;
    private static final int DEEPEST = 64;

    private static final JsonMapper MAPPER = JsonMapper
            .builder(JsonFactory.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(DEEPEST).build()).build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS).enable(SerializationFeature.INDENT_OUTPUT).build();

    private Json() {
    }

    /** Reads the object in a file. */
    static ObjectNode read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    /** Reads the object in a text. */
    static ObjectNode parse(String name, String text) {
        try {
            JsonNode node = MAPPER.readTree(text);
            if (node instanceof ObjectNode object) {
                return object;
            }
            throw new UnusableInput(name, "", say("found %s, expected a JSON object { … }", Cursor.found(node)));
        } catch (JacksonException e) {
            var at = e.getLocation();
            String place = at == null || at.getLineNr() < 1
                    ? ""
                    : say("line %d, column %d", at.getLineNr(), at.getColumnNr());
            throw new UnusableInput(name, place, e.getOriginalMessage().startsWith("Duplicate")
                    ? say("the same name stands twice in one object, expected once")
                    : say("not JSON from there on; expected one complete JSON document"));
        }
    }

    /** An empty object. */
    static ObjectNode object() {
        return MAPPER.createObjectNode();
    }

    /** The text of a node, indented, with a newline at the end. */
    public static String text(JsonNode node) {
        return MAPPER.writeValueAsString(node) + "\n";
    }
}
