package amberheron.app.placement;

import amberheron.core.job.Job;
import java.util.function.UnaryOperator;
import amberheron.app.parts.EditTable;
import amberheron.core.placement.PlaceField;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What lies around the pipe, sensor and lead, and how the car stands on its wheels. */
final class AroundLeaf {
    private static final double FAR = 3;

    private final Session session;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final EditTable table;
    private final Label none = Parts.text("Floor, shaft, fuel line, ground: whatever sensor and cable could touch.",
            "soft");
    private final Node node;

    AroundLeaf(Session session) {
        this.session = session;
        table = new EditTable("place.neighbour", "Add what lies beside it", List.of(
                new EditTable.Column("What it is", 1.6, id -> EditTable.Cell.of(Choice.inTable(session, "What it is",
                        "place.neighbour." + id + ".kind", List.of(Neighbour.Kind.values()), Neighbour.Kind::words,
                        () -> beside(session.job(), id).map(Neighbour::kind).orElse(null),
                        k -> edit(k.words(), id, n -> n.withKind(k).withSide(k.usualSide()))))),
                new EditTable.Column("Lies", 1, id -> EditTable.Cell.of(Choice.inTable(session, "Lies",
                        "place.neighbour." + id + ".side", List.of(Neighbour.Side.values()), Neighbour.Side::words,
                        () -> beside(session.job(), id).map(Neighbour::side).orElse(null),
                        s -> edit(s.words(), id, n -> n.withSide(s))))),
                quantity("From", -2000, 10_000, PlaceField.NEIGHBOUR_FROM, Neighbour::from,
                        (n, v) -> n.withFrom(v == null ? 0 : v)),
                quantity("To", -2000, 10_000, PlaceField.NEIGHBOUR_TO, Neighbour::to,
                        (n, v) -> n.withTo(v == null ? FAR : v)),
                quantity("Gap to the pipe", 0, 2000, PlaceField.NEIGHBOUR_GAP, Neighbour::gap, Neighbour::withGap)),
                new Deeds());
        node = new VBox(12, Parts.card("Around it", none, table),
                Parts.card("Sensor, lead, and the car on its wheels", Parts.evenly(
                        probe("Stands out by", PlaceField.STAND_OUT, MILLIMETRE, 20, 300, Probe::standOut,
                                (p, v) -> fits(p.withStandOut(v))),
                        probe("Lead in all", PlaceField.LEAD, METRE, 0.1, 20, Probe::lead, Probe::withLead),
                        probe("Leaves pipe at", PlaceField.LEAD_EXIT, MILLIMETRE, -2000, 10_000, Probe::leadExit,
                                Probe::withLeadExit),
                        probe("To controller", PlaceField.LEAD_ONWARD, METRE, 0.05, 20, Probe::leadOnward,
                                Probe::withLeadOnward),
                        attitude("Nose up by", PlaceField.PITCH, Attitude::pitch,
                                (a, v) -> new Attitude(v, a.roll())),
                        attitude("Right side up by", PlaceField.ROLL, Attitude::roll,
                                (a, v) -> new Attitude(a.pitch(), v)))));
    }

    Node node() {
        return node;
    }

    private EntryField add(EntryField field) {
        refreshers.add(field::refresh);
        return field;
    }

    private static Optional<Neighbour> beside(Job job, String id) {
        return job.intake().exhaust().neighbours().stream().filter(n -> n.id().equals(id)).findFirst();
    }

    private static Exhaust changed(Exhaust exhaust, String id, UnaryOperator<Neighbour> change) {
        return exhaust.withNeighbours(
                exhaust.neighbours().stream().map(n -> n.id().equals(id) ? change.apply(n) : n).toList());
    }

    private void edit(String what, String id, UnaryOperator<Neighbour> change) {
        PlaceModel.exhaust(session, what, e -> changed(e, id, change));
    }

    private EditTable.Column quantity(String name, double min, double max, PlaceField field,
            Function<Neighbour, @Nullable Double> read, BiFunction<Neighbour, @Nullable Double, Neighbour> write) {
        return new EditTable.Column(name, 1, id -> EditTable.Cell.of(new EntryField(session,
                QuantityField.of(name, MILLIMETRE, min, max), 0, () -> field.of(id),
                j -> beside(j, id).map(read).orElse(null),
                (j, v) -> j.withIntake(j.intake().withExhaust(
                        changed(j.intake().exhaust(), id, n -> write.apply(n, v)))))));
    }

    private EntryField probe(String name, PlaceField field, Unit unit, double min, double max,
            Function<Probe, @Nullable Double> read, BiFunction<Probe, @Nullable Double, Probe> write) {
        return add(
                new EntryField(session, QuantityField.of(name, unit, min, max), unit == METRE ? 2 : 0, field::address,
                        j -> read.apply(j.placing().probe()),
                        (j, v) -> j.withPlacing(j.placing().withProbe(write.apply(j.placing().probe(), v)))));
    }

    /** A sensor longer than the gap at the place taken is refused where it is typed. */
    private Probe fits(Probe probe) {
        Placing placing = session.job().placing().withProbe(probe);
        placing.place().ifPresent(c -> PlaceRules
                .requireRoom(session.job().withPlacing(placing).site(session.shop().schools()), c));
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

    /** What is done to the list. */
    private final class Deeds implements EditTable.Deeds {
        private List<Neighbour> all() {
            return new ArrayList<>(PlaceModel.exhaust(session).neighbours());
        }

        @Override
        public void addAfter(int place) {
            List<Neighbour> all = all();
            double end = PlaceModel.exhaust(session).run(PlaceModel.line(session)).end();
            Neighbour.Kind kind = all.stream().anyMatch(n -> n.kind() == Neighbour.Kind.FLOOR)
                    ? Neighbour.Kind.GROUND
                    : Neighbour.Kind.FLOOR;
            all.add(place + 1, new Neighbour(kind, kind.usualSide(), 0, Double.isInfinite(end) || end <= 0 ? FAR : end,
                    null));
            PlaceModel.exhaust(session, kind.words() + " beside the pipe", e -> e.withNeighbours(all));
            session.seek(PlaceField.NEIGHBOUR_GAP.of(PlaceModel.exhaust(session).neighbours().get(place + 1).id()));
        }

        @Override
        public void move(int place, int by) {
            List<Neighbour> all = all();
            all.add(place + by, all.remove(place));
            PlaceModel.exhaust(session, "beside the pipe, moved", e -> e.withNeighbours(all));
        }

        @Override
        public void remove(int place) {
            List<Neighbour> all = all();
            String id = all.remove(place).id();
            session.edit("no longer beside the pipe", j -> j.withIntake(j.intake().withExhaust(
                    j.intake().exhaust().withNeighbours(all))).withoutDrafts(PlaceField.NEIGHBOUR_GAP.of(id)));
        }
    }

    void refresh() {
        Exhaust exhaust = PlaceModel.exhaust(session);
        Parts.show(none, exhaust.neighbours().isEmpty());
        table.refresh(exhaust.neighbours().stream().map(Neighbour::id).toList());
        refreshers.forEach(Runnable::run);
    }
}
