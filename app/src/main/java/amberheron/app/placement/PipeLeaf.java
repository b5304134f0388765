package amberheron.app.placement;

import java.util.Set;
import java.util.EnumSet;
import amberheron.core.placement.PlaceField;
import amberheron.core.parts.Property;
import amberheron.core.parts.Address;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.session.Figures;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The exhaust piece by piece, what lies around it, sensor and lead, and how the car stands on its wheels. */
final class PipeLeaf {
    private static final double FAR = 3;
    private static final Set<Property> PIECE = Set.copyOf(
            EnumSet.range(PlaceField.PIECE_LENGTH, PlaceField.PIECE_HEADING));
    private static final Set<Property> BESIDE = Set.copyOf(
            EnumSet.range(PlaceField.NEIGHBOUR_FROM, PlaceField.NEIGHBOUR_GAP));

    private final Session session;
    private final Node node;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final VBox pieces = new VBox(4);
    private final VBox piece;
    private final Node pieceLine;
    private final VBox neighbours = new VBox(4);
    private final VBox neighbour;
    private final Label pieceNote = new Label();
    private int selected;
    private int beside;

    PipeLeaf(Session session) {
        this.session = session;
        session.onSeek(this::bring);
        Choice<Segment.Kind> kind = add(new Choice<>(session, "What it is", "place.piece.kind",
                List.of(Segment.Kind.values()), Segment.Kind::words, () -> segment().map(Segment::kind).orElse(null),
                k -> edit("piece: " + k.words(), s -> s.withKind(k))));
        Choice<Segment.Line> line = add(new Choice<>(session, "Carries the gas of", "place.piece.line",
                List.of(Segment.Line.values()), Segment.Line::words,
                () -> segment().map(Segment::line).orElse(null),
                l -> edit("piece of " + l.words(), s -> s.withLine(l))));
        pieceLine = line;
        piece = new VBox(8, kind, line,
                Parts.evenly(
                        piece("Length", MILLIMETRE, 1, 10_000, PlaceField.PIECE_LENGTH, Segment::length,
                                Segment::withLength),
                        piece("Outer diameter", MILLIMETRE, 10, 300, PlaceField.PIECE_DIAMETER, Segment::diameter,
                                Segment::withDiameter),
                        piece("Wall", MILLIMETRE, 0.3, 100, PlaceField.PIECE_WALL, Segment::wall, Segment::withWall)),
                Parts.evenly(
                        piece("Slope in, rising +", DEGREE, -90, 90, PlaceField.PIECE_SLOPE, Segment::slope,
                                Segment::withSlope),
                        piece("Slope out, if bent", DEGREE, -90, 90, PlaceField.PIECE_END_SLOPE, Segment::endSlope,
                                Segment::withEndSlope),
                        piece("Turned to the right", DEGREE, -180, 180, PlaceField.PIECE_HEADING, Segment::heading,
                                (s, v) -> s.withHeading(v == null ? 0 : v))),
                new FlowPane(6, 6, Parts.button("Add one after", "place.piece.after", this::addAfter, "quiet"),
                        Parts.button("Earlier", "place.piece.earlier", () -> shift(-1), "quiet"),
                        Parts.button("Remove", "place.piece.remove", this::remove, "quiet")));
        Choice<Neighbour.Kind> what = add(new Choice<>(session, "What it is", "place.neighbour.kind",
                List.of(Neighbour.Kind.values()), Neighbour.Kind::words,
                () -> besideIt().map(Neighbour::kind).orElse(null),
                k -> editBeside(k.words(), n -> n.withKind(k).withSide(k.usualSide()))));
        Choice<Neighbour.Side> side = add(new Choice<>(session, "Lies", "place.neighbour.side",
                List.of(Neighbour.Side.values()), Neighbour.Side::words,
                () -> besideIt().map(Neighbour::side).orElse(null), s -> editBeside(s.words(), n -> n.withSide(s))));
        neighbour = new VBox(8, what, side,
                Parts.evenly(
                        beside("From", PlaceField.NEIGHBOUR_FROM, -2000, 10_000, Neighbour::from,
                                (n, v) -> n.withFrom(v == null ? 0 : v)),
                        beside("To", PlaceField.NEIGHBOUR_TO, -2000, 10_000, Neighbour::to,
                                (n, v) -> n.withTo(v == null ? FAR : v)),
                        beside("Gap to the pipe", PlaceField.NEIGHBOUR_GAP, 0, 2000, Neighbour::gap,
                                Neighbour::withGap)),
                new FlowPane(6, 6, Parts.button("Remove", "place.neighbour.remove", this::removeBeside, "quiet")));
        VBox around = Parts.card("Around it", neighbours, neighbour,
                Parts.button("Add what lies beside it", "place.neighbour.add", this::addBeside, "quiet"));
        VBox lead = Parts.card("Sensor and lead",
                Parts.evenly(probe("Stands out of the pipe", PlaceField.STAND_OUT, MILLIMETRE, 20, 300, Probe::standOut,
                        (p, v) -> fits(p.withStandOut(v))),
                        probe("Lead and extension", PlaceField.LEAD, METRE, 0.1, 20,
                                Probe::lead, Probe::withLead)),
                Parts.evenly(probe("Lead leaves the pipe at", PlaceField.LEAD_EXIT, MILLIMETRE, -2000, 10_000,
                        Probe::leadExit, Probe::withLeadExit),
                        probe("From there to the controller", PlaceField.LEAD_ONWARD, METRE, 0.05, 20,
                                Probe::leadOnward,
                                Probe::withLeadOnward)));
        VBox stands = Parts.card("The car on its wheels",
                Parts.evenly(attitude("Nose up by", PlaceField.PITCH, Attitude::pitch,
                        (a, v) -> new Attitude(v, a.roll())),
                        attitude("Right side up by", PlaceField.ROLL, Attitude::roll,
                                (a, v) -> new Attitude(a.pitch(), v))));
        VBox run = Parts.noted("Pieces, in the gas's order", pieceNote, pieces, piece);
        node = new Columns(300, run, around, lead, stands);
    }

    Node node() {
        return node;
    }

    /** Brings the piece or neighbour that a value belongs to. */
    private void bring(Address wanted) {
        int piece = PlaceModel.exhaust(session).segments().stream().map(Segment::id).toList().indexOf(wanted.part());
        int neighbour = PlaceModel.exhaust(session).neighbours().stream().map(Neighbour::id).toList()
                .indexOf(wanted.part());
        if (piece >= 0 && PIECE.contains(wanted.property())) {
            selected = piece;
            refresh();
        } else if (neighbour >= 0 && BESIDE.contains(wanted.property())) {
            beside = neighbour;
            refresh();
        }
    }

    private <T> Choice<T> add(Choice<T> choice) {
        refreshers.add(choice::refresh);
        return choice;
    }

    private EntryField add(EntryField field) {
        refreshers.add(field::refresh);
        return field;
    }

    private Optional<Segment> segment() {
        List<Segment> all = PlaceModel.exhaust(session).segments();
        return selected < all.size() ? Optional.of(all.get(selected)) : Optional.empty();
    }

    private Address besideGap() {
        return PlaceField.NEIGHBOUR_GAP.of(besideIt().map(Neighbour::id).orElse(""));
    }

    private Optional<Neighbour> besideIt() {
        List<Neighbour> all = PlaceModel.exhaust(session).neighbours();
        return beside < all.size() ? Optional.of(all.get(beside)) : Optional.empty();
    }

    private EntryField piece(String name, Unit unit, double min, double max, PlaceField field,
            Function<Segment, @Nullable Double> read, BiFunction<Segment, @Nullable Double, Segment> write) {
        return add(new EntryField(session, QuantityField.of(name, unit, min, max), 1,
                () -> field.of(segment().map(Segment::id).orElse("")), j -> segment().map(read).orElse(null),
                (j, v) -> j.withIntake(j.intake().withExhaust(
                        changed(j.intake().exhaust(), selected, s -> write.apply(s, v))))));
    }

    private static Exhaust changed(Exhaust exhaust, int index, Function<Segment, Segment> change) {
        List<Segment> all = new ArrayList<>(exhaust.segments());
        if (index < all.size()) {
            all.set(index, change.apply(all.get(index)));
        }
        return exhaust.withSegments(all);
    }

    private void edit(String what, Function<Segment, Segment> change) {
        PlaceModel.exhaust(session, what, e -> changed(e, selected, change));
    }

    private EntryField beside(String name, PlaceField field, double min, double max,
            Function<Neighbour, @Nullable Double> read, BiFunction<Neighbour, @Nullable Double, Neighbour> write) {
        return add(new EntryField(session, QuantityField.of(name, MILLIMETRE, min, max), 0,
                () -> field.of(besideIt().map(Neighbour::id).orElse("")),
                j -> besideIt().map(read).orElse(null), (j, v) -> j.withIntake(j.intake().withExhaust(
                        changedBeside(j.intake().exhaust(), n -> write.apply(n, v))))));
    }

    private Exhaust changedBeside(Exhaust exhaust, Function<Neighbour, Neighbour> change) {
        List<Neighbour> all = new ArrayList<>(exhaust.neighbours());
        if (beside < all.size()) {
            all.set(beside, change.apply(all.get(beside)));
        }
        return exhaust.withNeighbours(all);
    }

    private void editBeside(String what, Function<Neighbour, Neighbour> change) {
        PlaceModel.exhaust(session, what, e -> changedBeside(e, change));
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

    private void addAfter() {
        int at = Math.min(selected + 1, PlaceModel.exhaust(session).segments().size());
        Segment before = segment().orElse(Segment.straight(Segment.Line.ALL, Segment.Kind.MANIFOLD, null, null, null));
        selected = at;
        PlaceModel.exhaust(session, "piece added", e -> {
            List<Segment> all = new ArrayList<>(e.segments());
            all.add(at, Segment.straight(before.line(), Segment.Kind.PIPE, null, before.diameter(),
                    before.endSlope() == null ? before.slope() : before.endSlope()));
            return e.withSegments(all);
        });
    }

    private void shift(int by) {
        int from = selected;
        int to = from + by;
        if (to >= 0 && from < PlaceModel.exhaust(session).segments().size()) {
            selected = to;
            PlaceModel.exhaust(session, "piece moved", e -> {
                List<Segment> all = new ArrayList<>(e.segments());
                all.add(to, all.remove(from));
                return e.withSegments(all);
            });
        }
    }

    private void remove() {
        int gone = selected;
        selected = Math.max(0, gone - 1);
        List<Segment> all = new ArrayList<>(PlaceModel.exhaust(session).segments());
        if (gone < all.size()) {
            String id = all.remove(gone).id();
            session.edit("piece removed", j -> j.withIntake(j.intake().withExhaust(
                    j.intake().exhaust().withSegments(all))).withoutDrafts(PlaceField.PIECE_LENGTH.of(id)));
        }
    }

    private void addBeside() {
        Exhaust now = PlaceModel.exhaust(session);
        double end = now.run(PlaceModel.line(session)).end();
        List<Neighbour> all = new ArrayList<>(now.neighbours());
        Neighbour.Kind kind = all.stream().anyMatch(n -> n.kind() == Neighbour.Kind.FLOOR)
                ? Neighbour.Kind.GROUND
                : Neighbour.Kind.FLOOR;
        all.add(new Neighbour(kind, kind.usualSide(), 0, Double.isInfinite(end) || end <= 0 ? FAR : end, null));
        beside = all.size() - 1;
        PlaceModel.exhaust(session, kind.words() + " beside the pipe", e -> e.withNeighbours(all));
        session.seek(besideGap());
    }

    private void removeBeside() {
        int gone = beside;
        beside = 0;
        List<Neighbour> all = new ArrayList<>(PlaceModel.exhaust(session).neighbours());
        if (gone < all.size()) {
            String id = all.remove(gone).id();
            session.edit("no longer beside the pipe", j -> j.withIntake(j.intake().withExhaust(
                    j.intake().exhaust().withNeighbours(all))).withoutDrafts(PlaceField.NEIGHBOUR_GAP.of(id)));
        }
    }

    void refresh() {
        Exhaust exhaust = PlaceModel.exhaust(session);
        selected = Math.clamp(selected, 0, Math.max(0, exhaust.segments().size() - 1));
        beside = Math.clamp(beside, 0, Math.max(0, exhaust.neighbours().size() - 1));
        pieces.getChildren().setAll(IntStream.range(0, exhaust.segments().size())
                .mapToObj(i -> row(i, exhaust.segments().get(i))).toList());
        neighbours.getChildren().setAll(IntStream.range(0, exhaust.neighbours().size())
                .mapToObj(i -> row(i, exhaust.neighbours().get(i))).toList());
        if (exhaust.neighbours().isEmpty()) {
            neighbours.getChildren()
                    .setAll(Parts.text("Floor, shaft, fuel line, ground: whatever sensor and cable could touch.",
                            "soft"));
        }
        pieceNote.setText(exhaust.segments().size() + " pieces");
        Parts.show(piece, segment().isPresent());
        Parts.show(neighbour, besideIt().isPresent());
        Parts.show(pieceLine, session.job().intake().banks() > 1);
        refreshers.forEach(Runnable::run);
    }

    private ToggleButton row(int index, Segment s) {
        StringBuilder words = new StringBuilder((index + 1) + "  " + s.kind().words());
        if (session.job().intake().banks() > 1) {
            words.append(", ").append(s.line().words());
        }
        Double length = s.length();
        Double diameter = s.diameter();
        words.append(" · ").append(length == null ? "length ?" : Figures.length(session, length));
        words.append(" · ").append(diameter == null
                ? "⌀ ?"
                : "⌀ " + Figures.text(session, new Measure(diameter, Dimension.LENGTH, 1)));
        Double slope = s.slope();
        Double end = s.endSlope();
        words.append(" · ").append(slope == null ? "slope ?" : angle(slope));
        if (end != null) {
            words.append(" to ").append(angle(end));
        }
        return Parts.pick(words.toString(), "place.piece." + index, index == selected, () -> {
            selected = index;
            refresh();
        });
    }

    private String angle(double radians) {
        return Figures.text(session, new Measure(radians, Dimension.ANGLE, 0));
    }

    private ToggleButton row(int index, Neighbour n) {
        Double gap = n.gap();
        return Parts.pick(n.kind().words() + " " + n.side().words() + " · "
                + (gap == null ? "gap ?" : Figures.length(session, gap)) + " · " + Figures.length(session, n.from())
                + " to " + Figures.length(session, n.to()), "place.neighbour." + index, index == beside, () -> {
                    beside = index;
                    refresh();
                });
    }
}
