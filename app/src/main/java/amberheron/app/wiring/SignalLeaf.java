package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.KILOOHM;
import static amberheron.core.units.Unit.OHM;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How each reader gets the signal, what its input does to it, and what may not be joined. */
final class SignalLeaf implements Leaf {

    private final Session session;
    private final WireModel model;
    private final WireFields fields;
    private final FindingsTable findings;
    private final FlowPane readers = new FlowPane(6, 6);
    private final VBox analog;
    private final Node minus;
    private final VBox one;
    private final VBox connect = new VBox(6);
    private final Label connectNote = new Label();
    private final Label unjudged = Parts.text("", "soft");
    private final Node node;

    SignalLeaf(Session session, WireModel model) {
        this.session = session;
        this.model = model;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        minus = fields.flag(say("The reader has"), "wire.signal.minus", say("one input and a sensor ground"),
                say("a − input of its own"), w -> hookup(w).minusInput(),
                (w, v) -> change(w, h -> h.withMinusInput(v)));
        analog = new VBox(8, unjudged, minus,
                Parts.evenly(
                        input(say("Input to ground"), KILOOHM, 0.1, 1e5, 1, WireField.SIGNAL_INPUT, Hookup::inputOhms,
                                Hookup::withInputOhms),
                        input(say("Most it stands"), VOLT, 0.5, 60, 1, WireField.SIGNAL_MOST, Hookup::mostVolts,
                                Hookup::withMostVolts),
                        input(say("Pull-up in it"), KILOOHM, 0.1, 1e4, 1, WireField.SIGNAL_PULL, Hookup::pullUpOhms,
                                Hookup::withPullUpOhms),
                        input(say("to a supply of"), VOLT, 0.5, 30, 1, WireField.SIGNAL_PULL_VOLTS, Hookup::pullUpVolts,
                                Hookup::withPullUpVolts)));
        one = new VBox(8, fields.choice(say("How the signal gets there"), WireField.SIGNAL_FORM.path(),
                List.of(Hookup.Form.values()), Hookup.Form::words, w -> hookup(w).form(),
                (w, v) -> change(w, h -> h.withForm(v))), analog);
        EntryField output = fields.quantity(say("Output of the controller"), OHM, 0.1, 1e5, 0,
                WireField.SIGNAL_OUTPUT::address,
                w -> w.signals().outputOhms(), (w, v) -> w.withSignals(w.signals().withOutputOhms(v)));
        node = new Columns(300, Parts.card(say("Readers of this job"), readers, one, output),
                Parts.card(say("Against the rules"), findings),
                Parts.noted(say("Connect"), connectNote, connect),
                Parts.card(say("Wires beside the signal"),
                        Parts.text(say("Engine-speed pulses: how many the display is told stands at Scale, Display.")),
                        Parts.text(say("Dimmer: to the instrument lamps, or to ground when it is not used.")),
                        Parts.text(say("Alarm outputs switch to ground and carry a lamp, not a pump: by a relay.")),
                        Parts.text(say("A narrowband sensor and a wideband one never share an input."))));
    }

    private Optional<ReaderKind> reader() {
        return model.reader(session);
    }

    private Hookup hookup(Wiring wiring) {
        return reader().map(r -> wiring.signals().of(r)).orElse(Hookup.of(ReaderKind.GAUGE));
    }

    private Wiring change(Wiring wiring, UnaryOperator<Hookup> change) {
        return reader().map(r -> wiring.withSignals(wiring.signals().with(r, change))).orElse(wiring);
    }

    private EntryField input(String name, Unit unit, double min, double max, int decimals, WireField property,
            Function<Hookup, @Nullable Double> read, BiFunction<Hookup, @Nullable Double, Hookup> write) {
        return fields.quantity(name, unit, min, max, decimals,
                () -> property.of(reader().map(ReaderKind::key).orElse("")),
                w -> read.apply(hookup(w)), (w, v) -> change(w, h -> write.apply(h, v)));
    }

    @Override
    public Node node() {
        return node;
    }

    private ToggleButton reader(ReaderKind kind, Optional<ReaderKind> looked) {
        return Parts.looked(kind.words(), "wire.signal.reader." + kind.key(), looked.filter(kind::equals).isPresent(),
                () -> model.look(session, kind));
    }

    @Override
    public void refresh() {
        findings.refresh(WireModel.findings(session, LeafId.WIRE_SIGNAL),
                say("Say at Plan what reads the signal."));
        Optional<ReaderKind> looked = reader();
        Parts.fill(readers, List.of(session.job().intake().readers(), looked), () -> looked.isEmpty()
                ? List.of(Parts.text(say("None said at Plan yet."), "soft"))
                : session.job().intake().readers().stream().map(r -> reader(r, looked)).toList());
        Parts.show(one, looked.isPresent());
        Hookup hookup = hookup(session.job().wiring());
        Hookup.Form form = hookup.form();
        Parts.show(analog, form != null && form.analog());
        unjudged.setText(hookup.inputOhms() == null && hookup.pullUpOhms() == null
                ? say("What this input does to the volts is not judged until it is entered; check "
                        + "points at Scale show it.")
                : "");
        Parts.show(unjudged, !unjudged.getText().isEmpty());
        Parts.show(minus, form == Hookup.Form.DIFFERENTIAL);
        connectNote.setText(looked.map(ReaderKind::words).orElse(""));
        connect.getChildren().setAll(form == null
                ? List.of(Parts.text(say("Say how the signal gets there."), "soft"))
                : hookup.refusal().map(r -> List.<Node>of(Parts.text(say("Not so: %s", r), "wrong")))
                        .orElseGet(() -> hookup.needs().stream().<Node>map(n -> Parts.text("·  " + n)).toList()));
        fields.refresh();
    }
}
