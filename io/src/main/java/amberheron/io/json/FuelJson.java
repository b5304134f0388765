package amberheron.io.json;

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
        return PlanForms.FUEL.read(at);
    }
}
