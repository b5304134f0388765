package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.OHM;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;

import amberheron.app.parts.Beside;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.units.Unit;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.WireField;
import amberheron.io.json.CatalogueJson.Wire;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Cost of each school of grounding here, with the ground drawn as a circuit. */
final class GroundsLeaf implements Leaf {
    private static final double SCHOOLS = 380;

    private final Session session;
    private final WireModel model;
    private final WireFields fields;
    private final FindingsTable findings;
    private final GroundDrawing drawing;
    private final VBox compared = new VBox();
    private final Node pinned;
    private final Columns node;

    GroundsLeaf(Session session, WireModel model) {
        this.session = session;
        this.model = model;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        drawing = new GroundDrawing(session);
        Choice<Boolean> wires = fields.list(say("Ground wires"), "wire.wires", List.of(false, true),
                two -> two ? say("two") : say("one"), w -> w.ground().twoWires(),
                (w, v) -> w.withGround(w.ground().withTwoWires(v)));
        Choice<Wire> common = fields.list(say("Common sizes"), "wire.catalogue", session.catalogue().wires(),
                Wire::name,
                w -> session.catalogue().wires().stream().filter(c -> matches(c, w.ground().wires().section()))
                        .findFirst()
                        .orElse(null),
                (w, v) -> w.withGround(w.ground().withWires(p -> p.withSection(v.crossSection()))));
        VBox entries = Parts.card(say("Wires, to where they end"),
                Parts.evenly(
                        ground(say("To the battery"), METRE, 0.01, 50, 2, WireField.TO_BATTERY,
                                g -> g.wires().toBattery(),
                                (g, v) -> g.withWires(p -> p.withToBattery(v))),
                        ground(say("To the chassis"), METRE, 0.01, 50, 2, WireField.TO_CHASSIS,
                                g -> g.wires().toChassis(),
                                (g, v) -> g.withWires(p -> p.withToChassis(v))),
                        ground(say("To the reader"), METRE, 0.01, 50, 2, WireField.TO_READER, g -> g.wires().toReader(),
                                (g, v) -> g.withWires(p -> p.withToReader(v)))),
                Parts.evenly(wires,
                        ground(say("Wire size"), SQUARE_MILLIMETRE, 0.03, 120, 3, WireField.SECTION,
                                g -> g.wires().section(),
                                (g, v) -> g.withWires(p -> p.withSection(v))),
                        common),
                Parts.evenly(
                        ground(say("Heater, mean"), AMPERE, 0, 20, 2, WireField.MEAN, g -> g.loads().mean(),
                                (g, v) -> g.withLoads(p -> p.withMean(v))),
                        ground(say("Heater while on"), AMPERE, 0, 20, 2, WireField.PEAK, g -> g.loads().peak(),
                                (g, v) -> g.withLoads(p -> p.withPeak(v))),
                        ground(say("Display"), AMPERE, 0, 5, 2, WireField.DISPLAY, g -> g.loads().display(),
                                (g, v) -> g.withLoads(p -> p.withDisplay(v)))),
                Parts.evenly(
                        ground(say("One joint"), OHM, 0.0001, 10, 4, WireField.JOINT, g -> g.wires().joint(),
                                (g, v) -> g.withWires(p -> p.withJoint(v))),
                        ground(say("Strap"), OHM, 0.0001, 10, 4, WireField.STRAP, g -> g.wires().strap(),
                                (g, v) -> g.withWires(p -> p.withStrap(v))),
                        ground(say("Others on strap"), AMPERE, 0, 300, 1, WireField.OTHERS, g -> g.loads().others(),
                                (g, v) -> g.withLoads(p -> p.withOthers(v))),
                        ground(say("Reader's own"), AMPERE, 0, 60, 2, WireField.READER_DRAW,
                                g -> g.loads().readerDraw(),
                                (g, v) -> g.withLoads(p -> p.withReaderDraw(v)))));
        compared.setId(WireField.SCHOOL.path());
        node = Columns.even(300, entries, Parts.card(say("Against the rules"), findings,
                fields.text(say("Where the grounds are taken"), () -> "wire.point", say("pin and colour at the reader"),
                        w -> w.groundPoint(), (w, v) -> w.withGroundPoint(v))));
        VBox schools = Parts.noted(say("What each way costs here"), new Label(say("press one to take it")),
                compared);
        schools.setPrefWidth(SCHOOLS);
        schools.setMinWidth(Region.USE_PREF_SIZE);
        pinned = new Beside(Parts.card(say("The circuit"), drawing, Parts.text(say(
                "Strap: chassis to battery −. Volts across it with the lamps on, over their amperes. Empty: taken as %.0f mΩ.",
                1000 * GroundPlan.USUAL_STRAP), "soft")), schools, node);
    }

    private static boolean matches(Wire wire, @Nullable Double section) {
        return section != null && Math.abs(wire.crossSection() / section - 1) < 1e-3;
    }

    private EntryField ground(String name, Unit unit, double min, double max, int decimals, WireField property,
            Function<GroundPlan, @Nullable Double> read, BiFunction<GroundPlan, @Nullable Double, GroundPlan> write) {
        return fields.quantity(name, unit, min, max, decimals, property::address, w -> read.apply(w.ground()),
                (w, v) -> w.withGround(write.apply(w.ground(), v)));
    }

    private Node row(WireModel.SchoolRow row) {
        Label words = Parts.text(row.school().words(), row.taken() ? "strong" : "plain");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        // Small it may be, and still goes through the ground of every sensor on the reader.
        boolean through = session.job().wiring().ground().throughSensorGround(row.school());
        boolean kept = row.kept() && !through;
        String style = row.shift().isEmpty() ? "soft" : kept ? "agreed" : "wrong";
        Label cost = Parts.line(row.cost(), "figure", style);
        cost.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new HBox(8, Parts.line(row.shift().isEmpty() ? "○" : kept ? "✓" : "▲", style), words, cost);
        Label second = Parts.text((row.shift().isEmpty()
                ? say("its wire is not measured")
                : say("shift %s · ripple %s", row.shift(), row.ripple())) + (row.taken() ? say(" · taken") : "")
                + (through ? say(" · heater in it") : "")
                + (row.recommended() ? say(" · least inside tolerance") : ""), "soft");
        Pressable press = new Pressable("wire.school.row." + row.school(), row.school().words() + ": " + row.cost(),
                () -> WireModel.ground(session, row.school().words(), g -> g.withSchool(row.school())), first, second);
        press.getStyleClass().add("finding-row");
        return press;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    @Override
    public void refresh() {
        List<WireModel.SchoolRow> rows = model.schools(session);
        Parts.fill(compared, rows, () -> rows.stream().map(this::row).toList());
        drawing.refresh();
        findings.refresh(WireModel.findings(session, LeafId.WIRE_GROUNDS), "");
        fields.refresh();
    }
}
