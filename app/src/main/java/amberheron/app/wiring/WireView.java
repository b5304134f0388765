package amberheron.app.wiring;

import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.shell.Choice;
import amberheron.app.shell.Columns;
import amberheron.app.shell.EntryField;
import amberheron.app.shell.FindingsTable;
import amberheron.app.shell.Parts;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationView;
import amberheron.app.shell.TextEntry;
import amberheron.core.job.Station;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring;
import amberheron.core.wiring.Wiring.Ground;
import amberheron.core.wiring.Wiring.SourceVolts;
import amberheron.io.json.CatalogueJson.Wire;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Parent;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Meter readings at the source, fuse, and the ground drawn as the circuit it is. */
public final class WireView implements StationView {
    private final Session session;
    private final FindingsTable findings;
    private final GroundDrawing drawing;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final VBox sharedWire;
    private final Parent root;

    /** The view on a session. */
    public WireView(Session session) {
        this.session = session;
        findings = new FindingsTable(session);
        drawing = new GroundDrawing(session);
        EntryField off = volts("Key off", "off", SourceVolts::off, (s, v) -> new SourceVolts(v, s.on(), s.cranking()));
        EntryField on = volts("Key on", "on", SourceVolts::on, (s, v) -> new SourceVolts(s.off(), v, s.cranking()));
        EntryField cranking = volts("Cranking", "cranking", SourceVolts::cranking,
                (s, v) -> new SourceVolts(s.off(), s.on(), v));
        EntryField fuse = field("Fuse", AMPERE, 0.1, 60, 1, "fuse", Wiring::fuse, Wiring::withFuse);
        EntryField draw = field("Draw, 3 A if blank", AMPERE, 0.1, 20, 2, "draw", Wiring::draw,
                Wiring::withDraw);
        Choice<Boolean> shared = new Choice<>(session, "Does the heater's return run through the signal's ground?",
                "wire.shared", List.of(true, false), s -> s ? "yes, they share a wire" : "no, kept apart",
                () -> session.job().wiring().ground().shared(),
                s -> session.edit(s ? "ground shared" : "grounds apart", j -> j.withWiring(
                        j.wiring().withGround(new Ground(s, g(j.wiring()).length(), g(j.wiring()).crossSection(),
                                g(j.wiring()).current())))));
        refreshers.add(shared::refresh);
        EntryField length = field("Length of that wire", METRE, 0.01, 50, 2, "length", w -> g(w).length(),
                (w, v) -> w.withGround(new Ground(g(w).shared(), v, g(w).crossSection(), g(w).current())));
        EntryField section = field("Wire size", SQUARE_MILLIMETRE, 0.03, 120, 3, "section",
                w -> g(w).crossSection(),
                (w, v) -> w.withGround(new Ground(g(w).shared(), g(w).length(), v, g(w).current())));
        EntryField current = field("Heater current, mean", AMPERE, 0, 20, 2, "current", w -> g(w).current(),
                (w, v) -> w.withGround(new Ground(g(w).shared(), g(w).length(), g(w).crossSection(), v)));
        Choice<Wire> common = new Choice<>(session, "Common sizes", "wire.catalogue", session.catalogue().wires(),
                Wire::name, () -> session.catalogue().wires().stream()
                        .filter(w -> matches(w, g(session.job().wiring()).crossSection())).findFirst().orElse(null),
                w -> session.edit("wire " + w.name(), j -> j.withWiring(j.wiring().withGround(
                        new Ground(g(j.wiring()).shared(), g(j.wiring()).length(), w.crossSection(),
                                g(j.wiring()).current())))));
        refreshers.add(common::refresh);
        sharedWire = new VBox(8, Parts.evenly(length, current), Parts.evenly(section, common));
        TextEntry point = new TextEntry(session, "Where the grounds are taken", "wire.point",
                "such as: sensor ground of the reader, pin and colour", 1,
                j -> j.wiring().groundPoint(),
                (j, v) -> j.withWiring(j.wiring().withGroundPoint(v)));
        refreshers.add(point::refresh);
        root = new Columns(300, Parts.card("Against the rules", findings),
                Parts.card("Power source, with the meter", Parts.evenly(off, on, cranking), Parts.evenly(fuse, draw)),
                Parts.card("The ground as it is", drawing), Parts.card("Ground", shared, sharedWire, point));
    }

    private static boolean matches(Wire wire, @Nullable Double section) {
        return section != null && Math.abs(wire.crossSection() / section - 1) < 1e-3;
    }

    private static Ground g(Wiring wiring) {
        return wiring.ground();
    }

    private EntryField volts(String name, String key, Function<SourceVolts, @Nullable Double> read,
            BiFunction<SourceVolts, @Nullable Double, SourceVolts> write) {
        return field(name, VOLT, 0, 60, 2, key, w -> read.apply(w.volts()),
                (w, v) -> w.withVolts(write.apply(w.volts(), v)));
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
        return root;
    }

    @Override
    public void refresh() {
        findings.refresh(session.review().findings(Station.WIRE), "");
        Parts.show(sharedWire, Boolean.TRUE.equals(session.job().wiring().ground().shared()));
        drawing.refresh();
        refreshers.forEach(Runnable::run);
    }
}
