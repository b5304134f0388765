package amberheron.io.json;

import amberheron.core.scaling.Reader;
import java.nio.file.Path;
import tools.jackson.databind.node.ObjectNode;

/**
 * A reader.
 *
 * <pre>
 * {"form": "slope-offset", "quantity": "afr", "stoich": 14.7, "decimals": 3,
 *  "input": {"minVolts": 0, "maxVolts": 5, "bits": 10, "filter": null},
 *  "setting": {"slope": 2.375, "offset": 7.313}}
 * </pre>
 *
 * {@code form} and its {@code setting}: {@code slope-offset} {slope, offset}; {@code two-point} {v1, q1, v2, q2};
 * {@code expression} {text} in the variable {@code v}; {@code table} {rows: [[v, q], …]}, at most {@code maxRows}.
 * {@code counts} is such a table by the counts of the input, {rows: [[count, q], …]}. {@code whole} says that numbers are
 * typed without a point, and in how many bits negative ones are written as their two's complement.
 * {@code setting}, {@code bits} and {@code whole} may be absent. {@code id}, {@code name} and {@code source} may be given.
 */
public final class ReaderJson {
    private ReaderJson() {
    }

    /** Reads a reader from a file of its own. */
    public static Reader read(Path file) {
        ObjectNode root = Json.read(file);
        return read(new Cursor(String.valueOf(file.getFileName()), "", root));
    }

    static Reader read(Cursor at) {
        return ScaleForms.READER.read(at);
    }

    static ObjectNode write(Reader reader) {
        return ScaleForms.READER.write(reader);
    }
}
