package amberheron.io.json;

import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.OutputLaw.Point;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * A controller's output law.
 *
 * <pre>
 * {"kind": "linear", "quantity": "afr", "stoich": 14.7,
 *  "points": [{"volts": 0.3, "value": 9.6}, {"volts": 4.7, "value": 18.4}], "volts": {"min": 0, "max": 5}}
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
        List<Point> points = at.list("points").stream().map(p -> new Point(p.number("volts"), p.number("value")))
                .toList();
        Cursor rails = at.object("volts");
        return at.build(() -> new OutputLaw(at.text("id", at.file()), at.text("name", at.text("id", at.file())),
                at.choice("kind", OutputLaw.Kind.values()), QuantityJson.read(at), points, rails.number("min"),
                rails.number("max"), new OutputLaw.Beyond(rails.text("below", ""), rails.text("above", "")),
                SourceJson.read(at)));
    }

    static ObjectNode write(OutputLaw law) {
        ObjectNode out = Json.object().put("id", law.id()).put("name", law.name()).put("kind", Cursor.id(law.kind()));
        QuantityJson.write(out, law.scale());
        var points = out.putArray("points");
        law.points().forEach(p -> points.addObject().put("volts", p.volts()).put("value", p.value()));
        ObjectNode volts = out.putObject("volts").put("min", law.minVolts()).put("max", law.maxVolts());
        if (!law.beyond().equals(OutputLaw.Beyond.NOTHING)) {
            volts.put("below", law.beyond().below()).put("above", law.beyond().above());
        }
        SourceJson.write(out, law.source());
        return out;
    }
}
