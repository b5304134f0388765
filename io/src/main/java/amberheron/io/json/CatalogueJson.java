package amberheron.io.json;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.StreamFormat;
import amberheron.core.finding.Source;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.Stoichiometry;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.units.Sane;
import amberheron.core.units.WireGauge;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Catalogue files. Each is an object with one list; what a later file names again by {@code id} replaces the earlier.
 * A fuel states its {@code stoich}, or its {@code composition} {carbon, hydrogen, oxygen}, or a {@code blend} of two
 * fuels that stand before it, {of, in, share} by volume, both with a {@code density} in kg/L.
 */
public final class CatalogueJson {
    private CatalogueJson() {
    }

    /** A wire as the catalogue knows it; cross-section in m². */
    public record Wire(String id, String name, double crossSection, Source source) {
        public Wire {
            Sane.SECTION.check("cross-section", crossSection);
        }
    }

    /**
     * A catalogue file with the entries of another.
     *
     * @param text the file then
     * @param added ids of the entries that are new
     * @param replaced ids of those that stood there otherwise
     * @param same ids of those that stood there already
     */
    public record Updated(String text, List<String> added, List<String> replaced, List<String> same) {
        public Updated {
            added = List.copyOf(added);
            replaced = List.copyOf(replaced);
            same = List.copyOf(same);
        }
    }

    /** Puts the entries of another file into one, each in the place of the one with its id; fields of newer versions stay. */
    public static Updated updated(String kind, String ownName, String own, String moreName, String more) {
        ObjectNode out = Json.parse(ownName, own).deepCopy();
        Map<String, JsonNode> all = new LinkedHashMap<>();
        new Cursor(ownName, "", out).list(kind).forEach(c -> all.put(c.text("id"), c.node()));
        List<String> added = new ArrayList<>();
        List<String> replaced = new ArrayList<>();
        List<String> same = new ArrayList<>();
        for (Cursor entry : new Cursor(moreName, "", Json.parse(moreName, more)).list(kind)) {
            String id = entry.text("id");
            JsonNode before = all.put(id, entry.node());
            (before == null ? added : before.equals(entry.node()) ? same : replaced).add(id);
        }
        ArrayNode list = out.putArray(kind);
        all.values().forEach(list::add);
        return new Updated(Json.text(out), added, replaced, same);
    }

    /** Reads {@code {"fuels": […]}}. */
    public static List<Fuel> fuels(String name, String text) {
        List<Fuel> fuels = new ArrayList<>();
        Map<String, Cursor> earlier = new HashMap<>();
        Map<String, Double> ratios = new HashMap<>();
        Map<String, Composition> made = new HashMap<>();
        for (Cursor at : new Cursor(name, "", Json.parse(name, text)).list("fuels")) {
            String id = at.text("id");
            double stoich = stoich(at, earlier, ratios);
            earlier.put(id, at);
            ratios.put(id, stoich);
            Composition composition = composition(at, earlier, made);
            made.put(id, composition);
            fuels.add(at.build(() -> new Fuel(id, at.text("name"), stoich, SourceJson.read(at), composition)));
        }
        return fuels;
    }

    /** What it is made of; petrol's where it is not told. */
    private static Composition composition(Cursor at, Map<String, Cursor> earlier, Map<String, Composition> made) {
        if (at.objectOrNone("composition").isPresent()) {
            Cursor c = at.object("composition");
            return c.build(() -> new Composition(c.number("hydrogen") / c.number("carbon"),
                    c.number("oxygen") / c.number("carbon")));
        }
        if (at.objectOrNone("blend").isPresent()) {
            Cursor blend = at.object("blend");
            String of = blend.text("of");
            String in = blend.text("in");
            return made.getOrDefault(of, Composition.PETROL).blended(blend.number("share"),
                    Objects.requireNonNull(earlier.get(of)).number("density"),
                    made.getOrDefault(in, Composition.PETROL),
                    Objects.requireNonNull(earlier.get(in)).number("density"));
        }
        return FuelJson.read(at).composition();
    }

    private static double stoich(Cursor at, Map<String, Cursor> earlier, Map<String, Double> ratios) {
        if (at.objectOrNone("composition").isPresent()) {
            Cursor c = at.object("composition");
            return c.build(() -> Stoichiometry.ratio(c.number("carbon"), c.number("hydrogen"), c.number("oxygen")));
        }
        if (at.objectOrNone("blend").isPresent()) {
            Cursor blend = at.object("blend");
            String of = named(blend, "of", earlier);
            String in = named(blend, "in", earlier);
            return blend.build(() -> Stoichiometry.blend(blend.number("share"), ratios.getOrDefault(of, 0.0),
                    Objects.requireNonNull(earlier.get(of)).number("density"), ratios.getOrDefault(in, 0.0),
                    Objects.requireNonNull(earlier.get(in)).number("density")));
        }
        return FuelJson.read(at).stoich();
    }

    private static String named(Cursor blend, String field, Map<String, Cursor> earlier) {
        String id = blend.text(field);
        if (!earlier.containsKey(id)) {
            throw blend.fault(field, "the id of a fuel that stands before this one");
        }
        return id;
    }

    /** Reads {@code {"laws": […]}}, each as {@link LawJson} describes. */
    public static List<OutputLaw> laws(String name, String text) {
        return new Cursor(name, "", Json.parse(name, text)).list("laws").stream().map(LawJson::read).toList();
    }

    /** Reads {@code {"readers": […]}}, each as {@link ReaderJson} describes. */
    public static List<Reader> readers(String name, String text) {
        return new Cursor(name, "", Json.parse(name, text)).list("readers").stream().map(ReaderJson::read).toList();
    }

    /** Reads {@code {"controllers": […]}}, each as {@link ControllerJson} describes. */
    public static List<ControllerSheet> controllers(String name, String text) {
        return new Cursor(name, "", Json.parse(name, text)).list("controllers").stream().map(ControllerJson::read)
                .toList();
    }

    /** Reads {@code {"streams": […]}}, each as {@link StreamJson} describes. */
    public static List<StreamFormat> streams(String name, String text) {
        return new Cursor(name, "", Json.parse(name, text)).list("streams").stream().map(StreamJson::read).toList();
    }

    /** Reads {@code {"wires": […]}}: {@code awg}, or {@code squareMillimetres}. */
    public static List<Wire> wires(String name, String text) {
        return new Cursor(name, "", Json.parse(name, text)).list("wires").stream().map(at -> {
            Integer awg = at.integerOrNull("awg");
            double section = awg == null ? at.number("squareMillimetres") * 1e-6 : WireGauge.crossSection(awg);
            return at.build(() -> new Wire(at.text("id"), at.text("name"), section, SourceJson.read(at)));
        }).toList();
    }
}
