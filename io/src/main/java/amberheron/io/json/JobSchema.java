package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.io.UnusableInput;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import java.util.Locale;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schema that job documents are held to; it follows from the description that documents are read and written by. */
public final class JobSchema {
    private static final int MOST_FAULTS = 5;
    private static final int MOST_DIGITS = 24;

    private JobSchema() {
    }

    /** The schema's text; made of the document's description once it is asked for. */
    public static String text() {
        return Held.TEXT;
    }

    private static final class Held {
        private static final String TEXT = Json.text(JobForm.schema());
    }

    /** The schema's checker counts in long integers and breaks off at a number beyond them. */
    private static void requireCountable(String name, String place, JsonNode node) {
        node.propertyStream()
                .forEach(e -> requireCountable(name, place.isEmpty() ? e.getKey() : place + "." + e.getKey(),
                        e.getValue()));
        for (int i = 0; node.isArray() && i < node.size(); i++) {
            requireCountable(name, place + "[" + i + "]", node.get(i));
        }
        boolean counts = node.isIntegralNumber()
                ? node.bigIntegerValue().bitLength() < Long.SIZE
                : !node.isNumber() || Math.abs(node.doubleValue()) < Long.MAX_VALUE;
        if (!counts) {
            throw new UnusableInput(name, place,
                    say("found %s, expected a number within ±9e18", shortened(node.asString())));
        }
    }

    private static String shortened(String digits) {
        return digits.length() <= MOST_DIGITS ? digits : digits.substring(0, MOST_DIGITS) + "…";
    }

    static void check(String name, ObjectNode document) {
        Schema schema = SchemaRegistry
                .withDefaultDialect(SpecificationVersion.DRAFT_2020_12,
                        registry -> registry.schemaRegistryConfig(
                                SchemaRegistryConfig.builder().locale(Locale.ENGLISH).build()))
                .getSchema(text());
        requireCountable(name, "", document);
        var faults = schema.validate(document);
        if (!faults.isEmpty()) {
            throw new UnusableInput(name, "", faults.stream().limit(MOST_FAULTS).map(f -> f.getInstanceLocation()
                    + ": " + f.getMessage().replaceFirst("^\\$?[^:]*: ", ""))
                    .collect(Collectors.joining("; ", "not a job document: ", "")));
        }
    }
}
