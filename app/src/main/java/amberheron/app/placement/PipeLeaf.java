package amberheron.app.placement;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.EditTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.PartList;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.Segment;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import org.jspecify.annotations.Nullable;

/** The exhaust piece by piece. */
final class PipeLeaf implements Leaf {
    private final Session session;
    private final PartList<Segment> list;
    private final EditTable table;
    private final Label note = new Label();
    private final Node node;

    PipeLeaf(Session session) {
        this.session = session;
        list = new PartList<>(session, j -> j.intake().exhaust().segments(),
                (j, all) -> j.withIntake(j.intake().withExhaust(j.intake().exhaust().withSegments(all))), Segment::id,
                PlaceField.PIECE_LENGTH, PipeLeaf::after,
                new PartList.Words<>(s -> say("piece added"), say("piece moved"), say("piece removed")));
        table = new EditTable("place.piece", say("Add one after"), list, List.of(
                list.choice(say("What it is"), "kind", List.of(Segment.Kind.values()), Segment.Kind::words,
                        k -> say("piece: %s", k.words()), Segment::kind, Segment::withKind),
                list.choice(say("Gas of"), "line", List.of(Segment.Line.values()), PipeLeaf::brief,
                        l -> say("piece of %s", l.words()), Segment::line, Segment::withLine),
                quantity(say("Length"), MILLIMETRE, 1, 10_000, PlaceField.PIECE_LENGTH, Segment::length,
                        Segment::withLength),
                quantity(say("⌀ outside"), MILLIMETRE, 10, 300, PlaceField.PIECE_DIAMETER, Segment::diameter,
                        Segment::withDiameter),
                quantity(say("Wall"), MILLIMETRE, 0.3, 100, PlaceField.PIECE_WALL, Segment::wall, Segment::withWall),
                quantity(say("Slope, rising +"), DEGREE, -90, 90, PlaceField.PIECE_SLOPE, Segment::slope,
                        Segment::withSlope),
                quantity(say("at its end"), DEGREE, -90, 90, PlaceField.PIECE_END_SLOPE, Segment::endSlope,
                        Segment::withEndSlope),
                quantity(say("Turned right"), DEGREE, -180, 180, PlaceField.PIECE_HEADING, Segment::heading,
                        (s, v) -> s.withHeading(v == null ? 0 : v))));
        node = Parts.noted(say("Pieces, in the gas's order"), note, table);
    }

    private EditTable.Column quantity(String name, Unit unit, double min, double max, PlaceField field,
            Function<Segment, @Nullable Double> read, BiFunction<Segment, @Nullable Double, Segment> write) {
        return list.quantity(QuantityField.of(name, unit, min, max), 1, field, read, write);
    }

    /** Makes a piece that goes on as the piece before it ends. */
    private static Segment after(List<Segment> all, int place) {
        Segment before = place < 0
                ? Segment.straight(Segment.Line.ALL, Segment.Kind.MANIFOLD, null, null, null)
                : all.get(place);
        return Segment.straight(before.line(), Segment.Kind.PIPE, null, before.diameter(),
                before.endSlope() == null ? before.slope() : before.endSlope());
    }

    /** Returns the short word for a line, for a table whose column is about gas. */
    private static String brief(Segment.Line line) {
        return switch (line) {
            case ALL -> say("all");
            case FIRST -> say("1st bank");
            case SECOND -> say("2nd bank");
        };
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        note.setText(count("1 piece", "%d pieces", PlaceModel.exhaust(session).segments().size()));
        table.refresh();
    }
}
