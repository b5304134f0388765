package amberheron.app.placement;

import amberheron.core.job.Job;
import java.util.function.UnaryOperator;
import amberheron.app.parts.EditTable;
import amberheron.core.placement.PlaceField;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Segment;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import org.jspecify.annotations.Nullable;

/** The exhaust piece by piece. */
final class PipeLeaf {
    private final Session session;
    private final EditTable table;
    private final Label note = new Label();
    private final Node node;

    PipeLeaf(Session session) {
        this.session = session;
        table = new EditTable("place.piece", "Add one after",
                List.of(kind(), line(),
                        quantity("Length", MILLIMETRE, 1, 10_000, PlaceField.PIECE_LENGTH, Segment::length,
                                Segment::withLength),
                        quantity("⌀ outside", MILLIMETRE, 10, 300, PlaceField.PIECE_DIAMETER, Segment::diameter,
                                Segment::withDiameter),
                        quantity("Wall", MILLIMETRE, 0.3, 100, PlaceField.PIECE_WALL, Segment::wall, Segment::withWall),
                        quantity("Slope, rising +", DEGREE, -90, 90, PlaceField.PIECE_SLOPE, Segment::slope,
                                Segment::withSlope),
                        quantity("at its end", DEGREE, -90, 90, PlaceField.PIECE_END_SLOPE, Segment::endSlope,
                                Segment::withEndSlope),
                        quantity("Turned right", DEGREE, -180, 180, PlaceField.PIECE_HEADING, Segment::heading,
                                (s, v) -> s.withHeading(v == null ? 0 : v))),
                new Deeds());
        node = Parts.noted("Pieces, in the gas's order", note, table);
    }

    private EditTable.Column kind() {
        return new EditTable.Column("What it is", 1.5, id -> EditTable.Cell.of(Choice.inTable(session, "What it is",
                "place.piece." + id + ".kind", List.of(Segment.Kind.values()), Segment.Kind::words,
                () -> segment(session.job(), id).map(Segment::kind).orElse(null),
                k -> edit("piece: " + k.words(), id, s -> s.withKind(k)))));
    }

    private EditTable.Column line() {
        return new EditTable.Column("Gas of", 1.15, id -> EditTable.Cell.of(Choice.inTable(session,
                "Carries the gas of", "place.piece." + id + ".line", List.of(Segment.Line.values()),
                Segment.Line::words, () -> segment(session.job(), id).map(Segment::line).orElse(null),
                l -> edit("piece of " + l.words(), id, s -> s.withLine(l)))));
    }

    private EditTable.Column quantity(String name, Unit unit, double min, double max, PlaceField field,
            Function<Segment, @Nullable Double> read, BiFunction<Segment, @Nullable Double, Segment> write) {
        return new EditTable.Column(name, 1, id -> EditTable.Cell.of(new EntryField(session,
                QuantityField.of(name, unit, min, max), 1, () -> field.of(id),
                j -> segment(j, id).map(read).orElse(null),
                (j, v) -> j.withIntake(j.intake().withExhaust(
                        changed(j.intake().exhaust(), id, s -> write.apply(s, v)))))));
    }

    private static Optional<Segment> segment(Job job, String id) {
        return job.intake().exhaust().segments().stream().filter(s -> s.id().equals(id)).findFirst();
    }

    private static Exhaust changed(Exhaust exhaust, String id, UnaryOperator<Segment> change) {
        return exhaust.withSegments(
                exhaust.segments().stream().map(s -> s.id().equals(id) ? change.apply(s) : s).toList());
    }

    private void edit(String what, String id, UnaryOperator<Segment> change) {
        PlaceModel.exhaust(session, what, e -> changed(e, id, change));
    }

    /** What is done to the list. */
    private final class Deeds implements EditTable.Deeds {
        private List<Segment> all() {
            return new ArrayList<>(PlaceModel.exhaust(session).segments());
        }

        @Override
        public void addAfter(int place) {
            List<Segment> all = all();
            Segment before = place < 0
                    ? Segment.straight(Segment.Line.ALL, Segment.Kind.MANIFOLD, null, null, null)
                    : all.get(place);
            all.add(place + 1, Segment.straight(before.line(), Segment.Kind.PIPE, null, before.diameter(),
                    before.endSlope() == null ? before.slope() : before.endSlope()));
            PlaceModel.exhaust(session, "piece added", e -> e.withSegments(all));
            session.seek(PlaceField.PIECE_LENGTH.of(PlaceModel.exhaust(session).segments().get(place + 1).id()));
        }

        @Override
        public void move(int place, int by) {
            List<Segment> all = all();
            all.add(place + by, all.remove(place));
            PlaceModel.exhaust(session, "piece moved", e -> e.withSegments(all));
        }

        @Override
        public void remove(int place) {
            List<Segment> all = all();
            String id = all.remove(place).id();
            session.edit("piece removed", j -> j.withIntake(j.intake().withExhaust(
                    j.intake().exhaust().withSegments(all))).withoutDrafts(PlaceField.PIECE_LENGTH.of(id)));
        }
    }

    Node node() {
        return node;
    }

    void refresh() {
        Exhaust exhaust = PlaceModel.exhaust(session);
        note.setText(exhaust.segments().size() + " pieces");
        table.refresh(exhaust.segments().stream().map(Segment::id).toList());
    }
}
