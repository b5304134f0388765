package amberheron.io.json;

import amberheron.core.mixture.Composition;
import amberheron.core.mixture.Fuel;
import java.nio.file.Path;
import tools.jackson.databind.node.ObjectNode;

/** A fuel: {@code {"id": "e85", "name": "E85", "stoich": 9.81}}, {@code source} and {@code perCarbon} {hydrogen, oxygen} if known. */
public final class FuelJson {
    private FuelJson() {
    }

    /** Reads a fuel from a file of its own. */
    public static Fuel read(Path file) {
        ObjectNode root = Json.read(file);
        return read(new Cursor(String.valueOf(file.getFileName()), "", root));
    }

    static Fuel read(Cursor at) {
        double stoich = at.number("stoich");
        return at.build(() -> new Fuel(at.text("id", at.file()), at.text("name", at.text("id", at.file())), stoich,
                SourceJson.read(at), at.objectOrNone("perCarbon").map(FuelJson::composition)
                        .orElse(Composition.PETROL)));
    }

    private static Composition composition(Cursor at) {
        return at.build(() -> new Composition(at.number("hydrogen"), at.number("oxygen")));
    }

    static ObjectNode write(Fuel fuel) {
        ObjectNode out = Json.object().put("id", fuel.id()).put("name", fuel.name()).put("stoich", fuel.stoich());
        SourceJson.write(out, fuel.source());
        out.putObject("perCarbon").put("hydrogen", fuel.composition().hydrogen())
                .put("oxygen", fuel.composition().oxygen());
        return out;
    }
}
