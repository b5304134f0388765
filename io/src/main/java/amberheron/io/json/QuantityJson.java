package amberheron.io.json;

import amberheron.core.mixture.MixtureScale;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/** The quantity a number is in: {@code "quantity": "lambda"}, or {@code "afr"} with its {@code "stoich"}. */
final class QuantityJson {
    private enum Quantity {
        AFR,
        LAMBDA
    }

    private QuantityJson() {
    }
    static MixtureScale read(Cursor at) {
        return switch (at.choice("quantity", Quantity.values())) {
            case LAMBDA -> MixtureScale.lambda();
            case AFR -> {
                double stoich = at.number("stoich");
                yield at.build(() -> MixtureScale.afr(stoich));
            }
        };
    }

    /** As an object of its own; null where none was said. */
    static void write(ObjectNode into, String field, @Nullable MixtureScale scale) {
        if (scale == null) {
            into.putNull(field);
        } else {
            write(into.putObject(field), scale);
        }
    }

    static void write(ObjectNode into, MixtureScale scale) {
        switch (scale) {
            case MixtureScale.Lambda l -> into.put("quantity", "lambda");
            case MixtureScale.Afr afr -> into.put("quantity", "afr").put("stoich", afr.stoich());
        }
    }
}
