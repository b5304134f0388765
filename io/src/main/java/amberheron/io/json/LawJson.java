package amberheron.io.json;

import amberheron.core.scaling.OutputLaw;
import java.nio.file.Path;
import tools.jackson.databind.node.ObjectNode;

/**
 * A controller's output law.
 *
 * <pre>
 * {"kind": "linear", "quantity": "afr", "stoich": 14.7,
 *  "points": [{"volts": 0.35, "value": 9.3}, {"volts": 4.65, "value": 18.9}], "volts": {"min": 0, "max": 5}}
 * </pre>
 *
 * {@code kind}: {@code linear} (two points) or {@code table} (two or more, straight between, held outside).
 * {@code volts} may say what {@code below} and {@code above} its rails mean instead of a mixture.
 * {@code quantity}: {@code afr}, then {@code stoich} too, or {@code lambda}. {@code id}, {@code name} and
 * {@code source} may be given.
 */
public final class LawJson {
    private LawJson() {
    }

    /** Reads a law from a file of its own. */
    public static OutputLaw read(Path file) {
        ObjectNode root = Json.read(file);
        return read(new Cursor(String.valueOf(file.getFileName()), "", root));
    }

    static OutputLaw read(Cursor at) {
        return ScaleForms.LAW.read(at);
    }

    static ObjectNode write(OutputLaw law) {
        return ScaleForms.LAW.write(law);
    }
}
