package amberheron.app.wiring;

import static amberheron.core.units.Phrase.capital;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.parts.Columns;
import amberheron.app.parts.DateEntry;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.PhotoCard;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.HarnessField;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundTrial;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Measurements taken when it was done. */
final class WiredLeaf implements Leaf {

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final Label record = Parts.text("");
    private final Label shared = Parts.text("", "soft");
    private final PhotoCard photos;
    private final DateEntry date;
    private final Node node;

    WiredLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        photos = new PhotoCard(session, "wire.photo", WireModel::photos, WireModel::withPhotos);
        date = new DateEntry(session, say("Wired on"), "wire.wired.date", j -> j.wiring().harness().asWired().date(),
                (j, v) -> j.withWiring(wired(j.wiring(), a -> a.withDate(v))));
        VBox made = Parts.bare(record,
                Parts.evenly(volts(say("At the source, heater on"), HarnessField.AT_SOURCE, AsWired::atSource,
                        AsWired::withAtSource),
                        volts(say("At the controller then"), HarnessField.AT_CONTROLLER, AsWired::atController,
                                AsWired::withAtController)),
                Parts.evenly(fields.text(say("For the next person"), () -> "wire.wired.note",
                        say("such as: fuse holder behind the glove box"), w -> w.harness().asWired().note(),
                        (w, v) -> wired(w, a -> a.withNote(v))), date));
        VBox trial = Parts.card(say("Between the two grounds"), Parts.text(
                say("Meter on volts, its black lead at the reader's ground. Engine off, each load "
                        + "switched on and left on; then the engine running."),
                "soft"),
                Parts.evenly(read(GroundTrial.On.NOTHING), read(GroundTrial.On.HEATER),
                        read(GroundTrial.On.LAMPS), read(GroundTrial.On.FAN)),
                Parts.evenly(drop(),
                        draws(say("Lamps draw"), WireField.TRIAL_LAMPS, GroundTrial::lamps, GroundTrial::withLamps),
                        draws(say("Fan draws"), WireField.TRIAL_FAN, GroundTrial::fan, GroundTrial::withFan)),
                shared);
        node = Columns.even(300, Parts.stacked(Parts.card(say("Against the rules"), findings), made),
                Parts.stacked(trial, photos));
    }

    private static Wiring wired(Wiring wiring, UnaryOperator<AsWired> change) {
        return wiring.withHarness(wiring.harness().withAsWired(change.apply(wiring.harness().asWired())));
    }

    private EntryField volts(String name, HarnessField property, Function<AsWired, @Nullable Double> read,
            BiFunction<AsWired, @Nullable Double, AsWired> write) {
        return fields.quantity(name, VOLT, 0, 60, 2, property::address,
                w -> read.apply(w.harness().asWired()), (w, v) -> wired(w, a -> write.apply(a, v)));
    }

    private static Wiring tried(Wiring wiring, UnaryOperator<GroundTrial> change) {
        GroundPlan ground = wiring.ground();
        return wiring.withGround(ground.withTrial(change.apply(ground.trial())));
    }

    private EntryField read(GroundTrial.On on) {
        return fields.quantity(capital(on.words()), VOLT, -2, 2, 4, () -> WireField.TRIAL.of(on.key()),
                w -> w.ground().trial().at(on).orElse(null), (w, v) -> tried(w, t -> t.with(on, v)));
    }

    private EntryField draws(String name, WireField property, Function<GroundTrial, @Nullable Double> value,
            BiFunction<GroundTrial, @Nullable Double, GroundTrial> write) {
        return fields.quantity(name, AMPERE, 0.1, 100, 1, property::address, w -> value.apply(w.ground().trial()),
                (w, v) -> tried(w, t -> write.apply(t, v)));
    }

    /** The last reading, engine running: the shift that counts. */
    private EntryField drop() {
        return fields.quantity(say("Engine running"), VOLT, -2, 2, 4, WireField.MEASURED::address,
                w -> w.ground().drop(), (w, v) -> w.withGround(w.ground().withDrop(v)));
    }

    /** Resistances that follow from the readings. */
    private static String shared(GroundPlan ground) {
        Optional<Double> heater = ground.trial().heaterOhms(ground.loads().mean());
        Optional<Double> loads = ground.trial().loadOhms();
        GroundPlan.GroundSchool school = ground.school();
        String worked = school == null || ground.twoWires() || ground.length(school) == null
                ? ""
                : say(", %.1f mΩ by length and size", 1000 * ground.wire(school));
        String first = heater.map(r -> say("The heater shares %.1f mΩ with the signal%s. ", 1000 * r, worked))
                .orElse("");
        return first + loads.map(r -> say("Lamps and fan share %.1f mΩ with it.", 1000 * r)).orElse("");
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Wiring wiring = session.job().wiring();
        findings.refresh(WireModel.findings(session, LeafId.WIRE_WIRED), "");
        record.setText(say("Power: %s%s. Fuse: %s. Ground: %s.",
                wiring.source().map(PowerSource::place).filter(p -> !p.isBlank()).orElse(say("place not written")),
                wiring.feed().relay() ? say(", by a relay at the battery") : "",
                Optional.ofNullable(wiring.fuse()).map(f -> say("%.1f A", f)).orElse(say("not entered")),
                wiring.groundPoint().isBlank() ? say("place not written") : wiring.groundPoint()));
        shared.setText(shared(wiring.ground()));
        Parts.show(shared, !shared.getText().isEmpty());
        photos.refresh();
        date.refresh();
        fields.refresh();
    }
}
