package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.StreamFormat;
import amberheron.core.finding.Source;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.FuelKind;
import amberheron.core.mixture.Stoichiometry;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.units.Sane;
import amberheron.core.units.WireGauge;
import amberheron.io.UnusableInput;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Catalogue files. Each is an object with one list; what a later file names again by {@code id} replaces the earlier.
 * A fuel states its {@code stoich}, or its {@code composition} {carbon, hydrogen, oxygen}, or a {@code blend} of two
 * fuels that stand before it, {of, in, share} by volume, both with a {@code density} in kg/L.
 */
public final class CatalogueJson {
    private static final int LONGEST_NAME = 200;

    private CatalogueJson() {
    }

    /** A wire as the catalogue knows it; cross-section in m². */
    public record Wire(String id, String name, double crossSection, Source source) {
        public Wire {
            Sane.SECTION.check("cross-section", crossSection);
        }
    }

    /** Reads a catalogue file: the entries that can be used, and each of the others to {@code faults}. */
    public interface Reading<T> {
        /**
         * Reads a file's text.
         *
         * @throws amberheron.io.UnusableInput when it is no list of this kind at all
         */
        List<? extends T> read(String name, String text, Consumer<Fault> faults);
    }

    /**
     * An entry that cannot be used.
     *
     * @param id its id; empty where it has none
     * @param why where it stands, what was found and what was expected
     */
    public record Fault(String id, String why) {
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

    /**
     * Puts the entries of another file into one, each in the place of the one with its id; fields of newer versions stay.
     *
     * @param leftOut ids of the other file's entries that are not taken
     */
    public static Updated updated(String kind, String ownName, String own, String moreName, String more,
            Set<String> leftOut) {
        ObjectNode out = Json.parse(ownName, own).deepCopy();
        Map<String, JsonNode> all = new LinkedHashMap<>();
        new Cursor(ownName, "", out).list(kind).forEach(c -> all.put(id(c), c.node()));
        List<String> added = new ArrayList<>();
        List<String> replaced = new ArrayList<>();
        List<String> same = new ArrayList<>();
        for (Cursor entry : new Cursor(moreName, "", Json.parse(moreName, more)).list(kind)) {
            String id = id(entry);
            if (leftOut.contains(id)) {
                continue;
            }
            JsonNode before = all.put(id, entry.node());
            (before == null ? added : before.equals(entry.node()) ? same : replaced).add(id);
        }
        ArrayNode list = out.putArray(kind);
        all.values().forEach(list::add);
        return new Updated(Json.text(out), added, replaced, same);
    }

    /** Its id where it has one that can be used. */
    private static String id(Cursor entry) {
        return entry.node().path("id").asString("");
    }

    private static <T> List<T> each(String kind, String name, String text, Consumer<Fault> faults,
            Function<Cursor, T> read) {
        List<T> all = new ArrayList<>();
        for (Cursor at : new Cursor(name, "", Json.parse(name, text)).list(kind)) {
            try {
                for (String field : List.of("id", "name")) {
                    if (at.text(field).isBlank() || at.text(field).length() > LONGEST_NAME) {
                        throw at.fault(field, say("1 to %d characters", LONGEST_NAME));
                    }
                }
                all.add(at.build(() -> read.apply(at)));
            } catch (UnusableInput e) {
                faults.accept(new Fault(id(at), String.valueOf(e.getMessage())));
            }
        }
        return all;
    }

    /** Reads {@code {"fuels": […]}}. */
    public static List<Fuel> fuels(String name, String text, Consumer<Fault> faults) {
        Map<String, Cursor> earlier = new HashMap<>();
        Map<String, Double> ratios = new HashMap<>();
        Map<String, Composition> made = new HashMap<>();
        return each("fuels", name, text, faults, at -> {
            String id = at.text("id");
            if (at.objectOrNone("composition").filter(c -> c.number("carbon") == 0).isPresent()) {
                throw at.fault("composition", say(
                        "a fuel with carbon in it: without, as with hydrogen, the oxygen left in the exhaust does not tell the mixture as this program works it out, and no sensor here is proven for it"));
            }
            double stoich = stoich(at, earlier, ratios);
            Composition composition = composition(at, earlier, made);
            Sane.DENSITY.check("density", at.numberOrNull("density"));
            Fuel fuel = new Fuel(id, at.text("name"), stoich, CommonForms.sourceIn(at), composition,
                    Objects.requireNonNullElse(at.choiceOrNull("kind", FuelKind.values()), FuelKind.PETROL));
            earlier.put(id, at);
            ratios.put(id, stoich);
            made.put(id, composition);
            return fuel;
        });
    }

    /** Returns the composition; petrol's where it is not told. */
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
    public static List<OutputLaw> laws(String name, String text, Consumer<Fault> faults) {
        return each("laws", name, text, faults, LawJson::read);
    }

    /** Reads {@code {"readers": […]}}, each as {@link ReaderJson} describes. */
    public static List<Reader> readers(String name, String text, Consumer<Fault> faults) {
        return each("readers", name, text, faults, ReaderJson::read);
    }

    /** Reads {@code {"controllers": […]}}, each as {@link AirForms#CONTROLLER} describes. */
    public static List<ControllerSheet> controllers(String name, String text, Consumer<Fault> faults) {
        return each("controllers", name, text, faults, AirForms.CONTROLLER::read);
    }

    /** Reads {@code {"streams": […]}}, each as {@link StreamJson} describes. */
    public static List<StreamFormat> streams(String name, String text, Consumer<Fault> faults) {
        return each("streams", name, text, faults, StreamJson::read);
    }

    /** Reads {@code {"wires": […]}}: {@code awg}, or {@code squareMillimetres}. */
    public static List<Wire> wires(String name, String text, Consumer<Fault> faults) {
        return each("wires", name, text, faults, at -> {
            Integer awg = at.integerOrNull("awg");
            double section = awg == null ? at.number("squareMillimetres") * 1e-6 : WireGauge.crossSection(awg);
            return new Wire(at.text("id"), at.text("name"), section, CommonForms.sourceIn(at));
        });
    }
}
