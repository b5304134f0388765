package amberheron.io.json;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Phrase;
import amberheron.io.UnusableInput;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

    /** Refuses numbers beyond the long integers in which the schema's checker counts. */
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
                    + ": " + why(f))
                    .collect(Collectors.joining("; ", say("not a job document: "), "")));
        }
    }

    /** Returns the reason in our own words, since the library's are in its own languages. */
    private static String why(Error fault) {
        Object[] said = fault.getArguments();
        JsonNode node = fault.getInstanceNode();
        String found = node == null ? "?" : shortened(node.asString(""));
        return switch (fault.getKeyword()) {
            case "type" -> say("found %s, expected %s", word(String.valueOf(said[0])), oneOf(said[1]));
            case "required" -> say("“%s” is missing", said[0]);
            case "const" -> say("found “%s”, expected “%s”", found, said[0]);
            case "enum" -> say("found “%s”, expected one of %s", found, oneOf(said[0]));
            case "minimum" -> say("found %s, expected %s or more", found, said[0]);
            case "exclusiveMinimum" -> say("found %s, expected more than %s", found, said[0]);
            case "maximum" -> say("found %s, expected at most %s", found, said[0]);
            case "maxLength" -> say("found “%s”, expected at most %s characters", found, said[0]);
            default -> say("does not keep its “%s”", fault.getKeyword());
        };
    }

    private static String oneOf(Object list) {
        return Stream.of(String.valueOf(list).replaceAll("[\\[\\]\" ]", "").split(",")).map(Phrase::word)
                .collect(Collectors.joining(", "));
    }
}
