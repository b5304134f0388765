package amberheron.io.json;

import amberheron.io.UnusableInput;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schema that job documents are held to; it ships beside the code. */
public final class JobSchema {
    /** The version of the document format written now. */
    public static final int VERSION = 3;
    private static final String RESOURCE = "job-3.schema.json";
    private static final int MOST_FAULTS = 5;

    private JobSchema() {
    }

    /** The schema's text. */
    public static String text() {
        try (InputStream in = Objects
                .requireNonNull(JobSchema.class.getResourceAsStream("/amberheron/io/" + RESOURCE))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void check(String name, ObjectNode document) {
        Schema schema = SchemaRegistry
                .withDefaultDialect(SpecificationVersion.DRAFT_2020_12,
                        registry -> registry.schemaRegistryConfig(
                                SchemaRegistryConfig.builder().locale(Locale.ENGLISH).build()))
                .getSchema(text());
        var faults = schema.validate(document);
        if (!faults.isEmpty()) {
            throw new UnusableInput(name, "", faults.stream().limit(MOST_FAULTS).map(f -> f.getInstanceLocation()
                    + ": " + f.getMessage().replaceFirst("^\\$?[^:]*: ", ""))
                    .collect(Collectors.joining("; ", "not a job document: ", "")));
        }
    }
}
