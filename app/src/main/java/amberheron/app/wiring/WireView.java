package amberheron.app.wiring;

import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.ONE;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.shell.Choice;
import amberheron.app.shell.Columns;
import amberheron.app.shell.EntryField;
import amberheron.app.shell.FindingsTable;
import amberheron.app.shell.Leaves;
import amberheron.app.shell.Parts;
import amberheron.app.shell.Pressable;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationView;
import amberheron.app.shell.TextEntry;
import amberheron.core.finding.Finding;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.School;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Wiring;
import amberheron.io.json.CatalogueJson.Wire;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Meter readings at the source, fuse, and the ground drawn as the circuit it is. */
public final class WireView implements StationView {
    private final Session session;
    private final WireModel model;
    private final FlowPane letters = new FlowPane(6, 6);
    private final Label verdict = Parts.text("");
    private final Label display = Parts.text("", "strong");
    private final TextField address = new TextField();
    private final VBox one;
    private final FindingsTable findings;
    private final GroundDrawing drawing;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final VBox compared = new VBox();
    private final Leaves leaves;

    /** The view on a session. */
    public WireView(Session session, WireModel model) {
        this.session = session;
        this.model = model;
        findings = new FindingsTable(session);
        drawing = new GroundDrawing(session);
        List<Node> fields = new ArrayList<>();
        for (KeyState state : KeyState.values()) {
            fields.add(reading(state));
        }
        TextEntry place = new TextEntry(session, "Where it is", () -> model.field(session, "place"),
                "such as: fuse 12, wiper; behind the radio", 1,
                j -> model.looked(session).map(PowerSource::place).orElse(""),
                (j, v) -> change(j, s -> s.withPlace(v)));
        refreshers.add(place::refresh);
        EntryField hostFuse = source("Fuse of the tapped circuit", AMPERE, 1, 60, 1, "hostFuse", PowerSource::hostFuse,
                PowerSource::withHostFuse);
        EntryField hostLoad = source("What it feeds already", AMPERE, 0, 60, 1, "hostLoad", PowerSource::hostLoad,
                PowerSource::withHostLoad);
        one = new VBox(8, place, Parts.evenly(fields.get(0), fields.get(1), fields.get(2)),
                Parts.evenly(fields.get(3), fields.get(4)), Parts.evenly(fields.get(5), fields.get(6)), verdict,
                Parts.evenly(hostFuse, hostLoad));
        EntryField fuse = field("Fuse", AMPERE, 0.1, 60, 1, "fuse", Wiring::fuse, Wiring::withFuse);
        EntryField draw = field("Draw, 3 A if blank", AMPERE, 0.1, 20, 2, "draw", Wiring::draw,
                Wiring::withDraw);
        Choice<Boolean> wires = new Choice<>(session, "Ground wires of the controller", "wire.wires",
                List.of(false, true), t -> t ? "two: signal apart" : "one for both",
                () -> session.job().wiring().ground().twoWires(),
                t -> WireModel.ground(session, t ? "two ground wires" : "one ground wire", g -> g.withTwoWires(t)));
        refreshers.add(wires::refresh);
        EntryField section = ground("Wire size", SQUARE_MILLIMETRE, 0.03, 120, 3, "section", GroundPlan::section,
                GroundPlan::withSection);
        Choice<Wire> common = new Choice<>(session, "Common sizes", "wire.catalogue", session.catalogue().wires(),
                Wire::name,
                () -> session.catalogue().wires().stream()
                        .filter(w -> matches(w, session.job().wiring().ground().section())).findFirst().orElse(null),
                w -> WireModel.ground(session, "wire " + w.name(), g -> g.withSection(w.crossSection())));
        refreshers.add(common::refresh);
        VBox lengths = new VBox(8,
                Parts.evenly(ground("To the battery", METRE, 0.01, 50, 2, "toBattery", GroundPlan::toBattery,
                        GroundPlan::withToBattery),
                        ground("To the chassis point", METRE, 0.01, 50, 2, "toChassis",
                                GroundPlan::toChassis, GroundPlan::withToChassis)),
                Parts.evenly(ground("To the reader's ground", METRE, 0.01, 50, 2, "toReader", GroundPlan::toReader,
                        GroundPlan::withToReader), section),
                common,
                Parts.evenly(ground("Heater current, mean", AMPERE, 0, 20, 2, "mean", GroundPlan::mean,
                        GroundPlan::withMean),
                        ground("while it is on", AMPERE, 0, 20, 2, "peak", GroundPlan::peak,
                                GroundPlan::withPeak)),
                Parts.evenly(ground("Other loads on the strap", AMPERE, 0, 300, 1, "others", GroundPlan::others,
                        GroundPlan::withOthers),
                        ground("Drop measured, as taken", VOLT, -2, 2, 3, "measured",
                                g -> g.school() == null ? null : g.measured().get(g.school()), (g, v) -> {
                                    School taken = g.school();
                                    return taken == null ? g : g.withMeasured(taken, v);
                                })));
        TextEntry point = new TextEntry(session, "Where the grounds are taken", "wire.point",
                "such as: sensor ground of the reader, pin and colour", 1,
                j -> j.wiring().groundPoint(),
                (j, v) -> j.withWiring(j.wiring().withGroundPoint(v)));
        refreshers.add(point::refresh);
        Choice<Boolean> relay = new Choice<>(session, "Fed", "wire.feed.relay", List.of(false, true),
                r -> r ? "by a relay at the battery" : "straight from the source",
                () -> session.job().wiring().feed().relay(),
                r -> session.edit(r ? "by a relay" : "without a relay",
                        j -> j.withWiring(j.wiring().withFeed(j.wiring().feed().withRelay(r)))));
        refreshers.add(relay::refresh);
        EntryField feedLength = feed("Feed, one way", METRE, 0.05, 20, 2, "length", Feed::length, Feed::withLength);
        EntryField feedSection = feed("Its size", SQUARE_MILLIMETRE, 0.1, 50, 3, "section", Feed::crossSection,
                Feed::withCrossSection);
        EntryField battery = feed("Battery, A·h", ONE, 1, 400, 0, "battery", Feed::battery, Feed::withBattery);
        compared.setId("wire.school");
        leaves = new Leaves(session)
                .with("Power", "wire.leaf.power", new Columns(300, Parts.card("Against the rules", findings),
                        Parts.card("Power source, with the meter", letters, one), Parts.card("Meter", meter()),
                        Parts.card("Fuse and feed", relay, Parts.evenly(fuse, draw),
                                Parts.evenly(feedLength, feedSection), battery)))
                .with("Grounds", "wire.leaf.grounds", new Columns(300,
                        Parts.noted("What each school costs here", new Label("press one to take it"), compared,
                                drawing),
                        Parts.card("Grounds", wires, lengths, point)));
        session.onFocus(wanted -> {
            if (wanted.equals("wire.school")) {
                compared.getChildren().getFirst().requestFocus();
            }
        });
    }

    private static boolean matches(Wire wire, @Nullable Double section) {
        return section != null && Math.abs(wire.crossSection() / section - 1) < 1e-3;
    }

    private EntryField ground(String name, Unit unit, double min, double max, int decimals, String key,
            Function<GroundPlan, @Nullable Double> read, BiFunction<GroundPlan, @Nullable Double, GroundPlan> write) {
        return field(name, unit, min, max, decimals, key, w -> read.apply(w.ground()),
                (w, v) -> w.withGround(write.apply(w.ground(), v)));
    }

    private Node row(WireModel.SchoolRow row) {
        Label words = Parts.text(row.school().words(), row.taken() ? "strong" : "plain");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        String style = row.shift().isEmpty() ? "soft" : row.kept() ? "agreed" : "wrong";
        Label cost = Parts.line(row.cost(), "figure", style);
        cost.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        HBox first = new HBox(8, Parts.line(row.shift().isEmpty() ? "○" : row.kept() ? "✓" : "▲", style), words, cost);
        Label second = Parts.text((row.shift().isEmpty()
                ? "its wire is not measured"
                : "shift " + row.shift() + " · ripple " + row.ripple()) + (row.taken() ? " · taken" : "")
                + (row.recommended() ? " · least inside tolerance" : ""), "soft");
        Pressable press = new Pressable("wire.school.row." + row.school(), row.school().words() + ": " + row.cost(),
                () -> WireModel.ground(session, row.school().words(), g -> g.withSchool(row.school())), first, second);
        press.getStyleClass().add("finding-row");
        return press;
    }

    private Node[] meter() {
        address.setId("wire.meter");
        address.setPromptText("address, such as 192.168.1.40:5025");
        address.setAccessibleText("Address of the meter");
        address.setOnAction(e -> model.connect(session, address.getText()));
        HBox.setHgrow(address, Priority.ALWAYS);
        FlowPane states = new FlowPane(6, 6);
        for (KeyState state : KeyState.values()) {
            states.getChildren().add(Parts.button(state.words(), "wire.read." + state.name().toLowerCase(Locale.ROOT),
                    () -> model.read(session, state), "quiet"));
        }
        ComboBox<PowerSource.Behaviour> faults = new ComboBox<>();
        faults.getItems().setAll(Arrays.stream(PowerSource.Behaviour.values())
                .filter(b -> b != PowerSource.Behaviour.NOT_MEASURED).toList());
        faults.setConverter(Parts.named(PowerSource.Behaviour::words));
        faults.setValue(PowerSource.Behaviour.SWITCHED);
        faults.setId("wire.simulated.fault");
        faults.setAccessibleText("What the simulated vehicle's point does");
        HBox.setHgrow(faults, Priority.ALWAYS);
        faults.setMaxWidth(Double.MAX_VALUE);
        return new Node[]{display, new HBox(8, address, Parts.button("Connect", "wire.connect",
                () -> model.connect(session, address.getText()), "quiet")),
                new HBox(8, faults, Parts.button("Use the simulated vehicle", "wire.simulate",
                        () -> model.simulate(session, faults.getValue()), "quiet")),
                Parts.text("Bring the car into a state, then press it to take the reading:", "soft"), states};
    }

    private EntryField reading(KeyState state) {
        String name = state.words();
        return source(Character.toUpperCase(name.charAt(0)) + name.substring(1), VOLT, 0, 60, 2,
                state.name().toLowerCase(Locale.ROOT), s -> s.at(state).orElse(null), (s, v) -> s.withVolts(state, v));
    }

    private Job change(Job job, UnaryOperator<PowerSource> change) {
        return model.looked(session).map(s -> job.withWiring(job.wiring().withSource(s.id(), change))).orElse(job);
    }

    private EntryField source(String name, Unit unit, double min, double max, int decimals, String key,
            Function<PowerSource, @Nullable Double> read,
            BiFunction<PowerSource, @Nullable Double, PowerSource> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), decimals,
                () -> model.field(session, key), j -> model.looked(session).map(read).orElse(null),
                (j, v) -> change(j, s -> write.apply(s, v)));
        refreshers.add(field::refresh);
        return field;
    }

    private EntryField feed(String name, Unit unit, double min, double max, int decimals, String key,
            Function<Feed, @Nullable Double> read, BiFunction<Feed, @Nullable Double, Feed> write) {
        return field(name, unit, min, max, decimals, "feed." + key, w -> read.apply(w.feed()),
                (w, v) -> w.withFeed(write.apply(w.feed(), v)));
    }

    private EntryField field(String name, Unit unit, double min, double max, int decimals, String key,
            Function<Wiring, @Nullable Double> read, BiFunction<Wiring, @Nullable Double, Wiring> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), decimals,
                () -> "wire." + key, j -> read.apply(j.wiring()),
                (j, v) -> j.withWiring(write.apply(j.wiring(), v)));
        refreshers.add(field::refresh);
        return field;
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(leaves.tabs());
    }

    @Override
    public void refresh() {
        findings.refresh(session.review().findings(Station.WIRE).stream()
                .sorted(Comparator.comparing(Finding::verdict).reversed()).toList(), "");
        Wiring wiring = session.job().wiring();
        Optional<PowerSource> looked = model.looked(session);
        letters.getChildren().setAll(wiring.sources().stream().map(s -> {
            ToggleButton letter = new ToggleButton(s.id());
            letter.setId("wire.source." + s.id());
            letter.setSelected(looked.filter(s::equals).isPresent());
            letter.setOnAction(e -> model.look(session, s.id()));
            return letter;
        }).toList());
        letters.getChildren().add(Parts.button("Add a source", "wire.add", () -> model.add(session), "quiet"));
        looked.ifPresent(s -> {
            boolean taken = s.id().equals(wiring.taken());
            Button take = Parts.button(taken ? s.id() + " is taken" : "Take " + s.id(), "wire.take",
                    () -> model.take(session, s.id()), "quiet");
            take.setDisable(taken);
            letters.getChildren().addAll(take,
                    Parts.button("Remove " + s.id(), "wire.remove", () -> model.remove(session, s.id()), "quiet"));
        });
        Parts.show(one, looked.isPresent());
        verdict.setText(model.verdict(session));
        display.setText(model.display());
        compared.getChildren().setAll(model.schools(session).stream().map(this::row).toList());
        drawing.refresh();
        refreshers.forEach(Runnable::run);
    }
}
