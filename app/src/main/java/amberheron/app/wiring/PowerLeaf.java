package amberheron.app.wiring;

import static amberheron.core.units.Phrase.capital;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.finding.Origin;
import amberheron.core.parts.Property;
import amberheron.core.units.Unit;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Sources with their meter readings, fuse and feed. */
final class PowerLeaf implements Leaf {

    private final Session session;
    private final WireModel model;
    private final WireFields fields;
    private final FlowPane letters = new FlowPane(6, 6);
    private final Label verdict = Parts.text("");
    private final Label origins = Parts.text("", "strong");
    private final Label display = Parts.text("", "strong");
    private final TextField address = new TextField();
    private final Map<KeyState, CheckBox> lacking = new EnumMap<>(KeyState.class);
    private final Map<KeyState, EntryField> readings = new EnumMap<>(KeyState.class);
    private final VBox one;
    private final FindingsTable findings;
    private final Node node;

    PowerLeaf(Session session, WireModel model) {
        this.session = session;
        this.model = model;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        List<Node> all = new ArrayList<>();
        for (KeyState state : KeyState.values()) {
            EntryField field = reading(state);
            readings.put(state, field);
            all.add(field);
        }
        one = new VBox(8,
                fields.text(say("Where it is"), () -> model.of(session, WireField.SOURCE_PLACE).key(),
                        say("such as: fuse 12, wiper; behind the radio"),
                        w -> model.looked(session).map(PowerSource::place).orElse(""),
                        (w, v) -> change(w, s -> s.withPlace(v))),
                Parts.evenly(all.get(0), all.get(1), all.get(2), all.get(3)),
                Parts.evenly(all.get(4), all.get(5), all.get(6)), lacks(), origins, verdict,
                Parts.evenly(source(say("Tapped circuit's fuse"), AMPERE, 1, 60, 1, WireField.HOST_FUSE,
                        PowerSource::hostFuse, PowerSource::withHostFuse),
                        source(say("What it feeds already"), AMPERE, 0, 60, 1, WireField.HOST_LOAD,
                                PowerSource::hostLoad,
                                PowerSource::withHostLoad)));
        node = new Columns(300, Parts.card(say("Power source, with the meter"), letters, one),
                Parts.stacked(Parts.card(say("Against the rules"), findings),
                        Parts.noted(say("Meter"), new Label(say("bring the car into a state, then press it")),
                                meter())));
    }

    /** What this vehicle does not have is said once, and not asked for at any source. */
    private Node lacks() {
        FlowPane row = new FlowPane(12, 4, Parts.line(say("It has no"), "field-name"));
        for (KeyState state : KeyState.values()) {
            if (state.canLack()) {
                CheckBox box = new CheckBox(state.lackWords());
                box.setId("wire.lacks." + state.key());
                box.setOnAction(e -> session.edit(say("has no %s", state.lackWords()),
                        j -> j.withWiring(j.wiring().withLacks(state, box.isSelected()))));
                lacking.put(state, box);
                row.getChildren().add(box);
            }
        }
        return row;
    }

    private Node[] meter() {
        address.setId("wire.meter");
        address.setPromptText(say("such as 192.168.1.40:5025"));
        address.setAccessibleText(say("Address of the meter"));
        address.setOnAction(e -> model.connect(session, address.getText()));
        HBox.setHgrow(address, Priority.ALWAYS);
        FlowPane states = new FlowPane(6, 6);
        for (KeyState state : KeyState.values()) {
            // Beside its neighbours each is told by what is on.
            states.getChildren().add(Parts.button(state.words().replace("running, ", ""), "wire.read." + state.key(),
                    () -> model.read(session, state), "quiet", "leaf-tab"));
        }
        ComboBox<PowerSource.Behaviour> faults = new ComboBox<>();
        faults.getItems().setAll(Arrays.stream(PowerSource.Behaviour.values())
                .filter(b -> b != PowerSource.Behaviour.NOT_MEASURED).toList());
        faults.setConverter(Parts.named(PowerSource.Behaviour::words));
        Choice.foundByWord(faults);
        faults.setValue(PowerSource.Behaviour.SWITCHED);
        faults.setId("wire.simulated.fault");
        faults.setAccessibleText(say("What the simulated vehicle's point does"));
        HBox.setHgrow(faults, Priority.ALWAYS);
        faults.setMaxWidth(Double.MAX_VALUE);
        return new Node[]{display, new HBox(8, address, Parts.button(say("Connect"), "wire.connect",
                () -> model.connect(session, address.getText()), "quiet")),
                new HBox(8, faults, Parts.button(say("Simulate"), "wire.simulate",
                        () -> model.simulate(session, faults.getValue()), "quiet")),
                states};
    }

    private EntryField reading(KeyState state) {
        return source(capital(state.words().replace("running, ", "")), VOLT, 0, 60, 2,
                state, s -> s.at(state).orElse(null),
                (s, v) -> s.withReading(state, v, session.typed()))
                .asking((j, v) -> model.looked(session).flatMap(s -> s.question(state, v, j.electrics())))
                .ownOrigin(j -> model.looked(session).flatMap(s -> Optional.ofNullable(s.volts().get(state)))
                        .map(PowerSource.Reading::origin).orElse(Origin.UNRECORDED));
    }

    private Wiring change(Wiring wiring, UnaryOperator<PowerSource> change) {
        return model.looked(session).map(s -> wiring.withSource(s.id(), change)).orElse(wiring);
    }

    private EntryField source(String name, Unit unit, double min, double max, int decimals, Property property,
            Function<PowerSource, @Nullable Double> read,
            BiFunction<PowerSource, @Nullable Double, PowerSource> write) {
        return fields.quantity(name, unit, min, max, decimals, () -> model.of(session, property),
                w -> model.looked(session).map(read).orElse(null), (w, v) -> change(w, s -> write.apply(s, v)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        findings.refresh(WireModel.findings(session, LeafId.WIRE_POWER), "");
        Wiring wiring = session.job().wiring();
        Optional<PowerSource> looked = model.looked(session);
        Parts.fill(letters,
                List.of(wiring.sources().stream().map(s -> s.id() + s.letter()).toList(), looked.map(PowerSource::id),
                        Optional.ofNullable(wiring.taken())),
                () -> letters(wiring, looked));
        Parts.show(one, looked.isPresent());
        lacking.forEach((state, box) -> box.setSelected(wiring.lacks().contains(state)));
        readings.forEach((state, field) -> field.setDisable(wiring.lacks().contains(state)));
        verdict.setText(model.verdict(session));
        origins.setText(model.origins(session));
        Parts.show(origins, !origins.getText().isEmpty());
        display.setText(model.display(session));
        fields.refresh();
    }

    private List<Node> letters(Wiring wiring, Optional<PowerSource> looked) {
        List<Node> nodes = new ArrayList<>();
        wiring.sources().forEach(s -> nodes.add(Parts.looked(s.letter(), "wire.source." + s.letter(),
                looked.filter(s::equals).isPresent(), () -> model.look(session, s.id()))));
        nodes.add(Parts.button(say("Add a source"), "wire.add", () -> model.add(session), "quiet"));
        looked.ifPresent(s -> {
            boolean taken = s.id().equals(wiring.taken());
            Button take = Parts.button(taken ? say("%s is taken", s.letter()) : say("Take %s", s.letter()), "wire.take",
                    () -> model.take(session, s), "quiet");
            take.setDisable(taken);
            nodes.add(take);
            nodes.add(
                    Parts.button(say("Remove %s", s.letter()), "wire.remove", () -> model.remove(session, s), "quiet"));
        });
        return nodes;
    }
}
