package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.EditTable;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.PartList;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Route;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.RoomRules;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Neighbours of pipe, sensor and lead, and how the car stands on its wheels. */
final class AroundLeaf implements Leaf {
    private static final double FAR = 3;

    private final Session session;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final EditTable table;
    private final Label none = Parts.text(
            say("Floor, shaft, fuel line, road: whatever sensor and cable could touch."),
            "soft");
    private final Node node;

    AroundLeaf(Session session) {
        this.session = session;
        PartList<Neighbour> list = new PartList<>(session, j -> j.intake().exhaust().neighbours(),
                (j, all) -> j.withIntake(j.intake().withExhaust(j.intake().exhaust().withNeighbours(all))),
                Neighbour::id, PlaceField.NEIGHBOUR_GAP, this::after, new PartList.Words<>(
                        n -> say("%s beside the pipe", n.kind().words()), say("beside the pipe, moved"),
                        say("no longer beside the pipe")));
        table = new EditTable("place.neighbour", say("Add what lies beside it"), list, List.of(
                list.choice(say("What it is"), "kind", List.of(Neighbour.Kind.values()), Neighbour.Kind::words,
                        Neighbour.Kind::words, Neighbour::kind, (n, k) -> n.withKind(k).withSide(k.usualSide())),
                list.choice(say("Lies"), "side", List.of(Neighbour.Side.values()), Neighbour.Side::words,
                        Neighbour.Side::words, Neighbour::side, Neighbour::withSide),
                list.quantity(QuantityField.of(say("From"), MILLIMETRE, -2000, 10_000), 0, PlaceField.NEIGHBOUR_FROM,
                        Neighbour::from, (n, v) -> n.withFrom(v == null ? 0 : v)),
                list.quantity(QuantityField.of(say("To"), MILLIMETRE, -2000, 10_000), 0, PlaceField.NEIGHBOUR_TO,
                        Neighbour::to, (n, v) -> n.withTo(v == null ? FAR : v)),
                list.quantity(QuantityField.of(say("Gap to the pipe"), MILLIMETRE, 0, 2000), 0,
                        PlaceField.NEIGHBOUR_GAP,
                        Neighbour::gap, Neighbour::withGap)));
        node = new VBox(12, Parts.card(say("Around it"), none, table),
                Parts.card(say("Sensor, lead, and the car on its wheels"), Parts.evenly(
                        probe(say("Stands out by"), PlaceField.STAND_OUT, MILLIMETRE, 20, 300, Probe::standOut,
                                (p, v) -> fits(p.withStandOut(v))),
                        lead(say("Sensor's lead"), PlaceField.LEAD, r -> r.lengths().lead(),
                                (r, v) -> r.withLengths(p -> p.withLead(v))),
                        lead(say("Extension"), PlaceField.EXTENSION, r -> r.lengths().extension(),
                                (r, v) -> r.withLengths(p -> p.withExtension(v))),
                        probe(say("Leaves pipe at"), PlaceField.LEAD_EXIT, MILLIMETRE, -2000, 10_000, Probe::leadExit,
                                Probe::withLeadExit),
                        probe(say("To controller"), PlaceField.LEAD_ONWARD, METRE, 0.05, 20, Probe::leadOnward,
                                Probe::withLeadOnward),
                        attitude(say("Nose up by"), PlaceField.PITCH, Attitude::pitch,
                                (a, v) -> new Attitude(v, a.roll())),
                        attitude(say("Right side up by"), PlaceField.ROLL, Attitude::roll,
                                (a, v) -> new Attitude(a.pitch(), v)))));
    }

    @Override
    public Node node() {
        return node;
    }

    private EntryField add(EntryField field) {
        refreshers.add(field::refresh);
        return field;
    }

    private EntryField probe(String name, PlaceField field, Unit unit, double min, double max,
            Function<Probe, @Nullable Double> read, BiFunction<Probe, @Nullable Double, Probe> write) {
        return add(
                new EntryField(session, QuantityField.of(name, unit, min, max), unit == METRE ? 2 : 0, field::address,
                        j -> read.apply(j.placing().probe()),
                        (j, v) -> j.withPlacing(j.placing().withProbe(write.apply(j.placing().probe(), v)))));
    }

    /** The lead is the wiring's: one length, whichever station it is entered at. */
    private EntryField lead(String name, PlaceField field, Function<Route, @Nullable Double> read,
            BiFunction<Route, @Nullable Double, Route> write) {
        return add(new EntryField(session, QuantityField.of(name, METRE, 0.05, 20), 2, field::address,
                j -> read.apply(j.wiring().harness().route()), (j, v) -> {
                    Harness harness = j.wiring().harness();
                    return j.withWiring(
                            j.wiring().withHarness(harness.withRoute(write.apply(harness.route(), v))));
                }));
    }

    /** A sensor longer than the gap at the place taken is refused where it is typed. */
    private Probe fits(Probe probe) {
        Placing placing = session.job().placing().withProbe(probe);
        placing.place().ifPresent(c -> RoomRules
                .requireRoom(session.job().withPlacing(placing).site(session.preferences().shop().schools()), c));
        return probe;
    }

    private EntryField attitude(String name, PlaceField field, Function<Attitude, Double> read,
            BiFunction<Attitude, Double, Attitude> write) {
        return add(new EntryField(session, QuantityField.of(name, DEGREE, -30, 30), 1, field::address,
                j -> read.apply(j.intake().exhaust().attitude()), (j, v) -> {
                    Exhaust e = j.intake().exhaust();
                    return j.withIntake(j.intake().withExhaust(
                            e.withAttitude(write.apply(e.attitude(), Objects.requireNonNullElse(v, 0.0)))));
                }));
    }

    /** The floor along the whole run; after that the ground. */
    private Neighbour after(List<Neighbour> all, int place) {
        double end = PlaceModel.exhaust(session).run(PlaceModel.line(session)).end();
        Neighbour.Kind kind = all.stream().anyMatch(n -> n.kind() == Neighbour.Kind.FLOOR)
                ? Neighbour.Kind.GROUND
                : Neighbour.Kind.FLOOR;
        return new Neighbour(kind, kind.usualSide(), 0, Double.isInfinite(end) || end <= 0 ? FAR : end, null);
    }

    @Override
    public void refresh() {
        Parts.show(none, PlaceModel.exhaust(session).neighbours().isEmpty());
        table.refresh();
        refreshers.forEach(Runnable::run);
    }
}
