package amberheron.core.placement;

import amberheron.core.parts.PartIds;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The exhaust a place is chosen on, and what lies around it.
 *
 * @param segments pieces in the order the gas meets them; of two banks first the one, then the other, then what both
 *        share
 * @param neighbours what lies beside the pipe
 * @param attitude how the car stands on its wheels
 */
public record Exhaust(List<Segment> segments, List<Neighbour> neighbours, Attitude attitude) {
    /** An exhaust of which nothing is measured, the car level. */
    public static final Exhaust UNMEASURED = new Exhaust(List.of(), List.of(), Attitude.LEVEL);

    public Exhaust {
        segments = PartIds.given(segments, Segment::id, Segment::withId);
        neighbours = PartIds.given(neighbours, Neighbour::id, Neighbour::withId);
    }

    /** Whether any gas passes a turbine. */
    public boolean turbine() {
        return segments.stream().anyMatch(s -> s.kind() == Kind.TURBINE);
    }

    /** The first catalyst of either kind. */
    public Optional<Kind> catalyst() {
        return segments.stream().map(Segment::kind).filter(Kind::isCatalyst).findFirst();
    }

    /** Whether a bank has a pipe of its own. */
    public boolean separateBanks() {
        return segments.stream().anyMatch(s -> s.line() != Line.ALL);
    }

    /** The lines a place can be measured along: the banks' own where they are separate, else the one. */
    public List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (Line line : List.of(Line.FIRST, Line.SECOND)) {
            if (segments.stream().anyMatch(s -> s.line() == line)) {
                lines.add(line);
            }
        }
        return lines.isEmpty() ? List.of(Line.ALL) : List.copyOf(lines);
    }

    /**
     * Returns the gas's way through a line, from the ports to the end. A line this exhaust does not have is taken for its
     * first.
     */
    public Run run(Line line) {
        List<Line> lines = lines();
        Line taken = lines.contains(line) ? line : lines.getFirst();
        return Run.of(segments.stream().filter(s -> s.line() == taken || s.line() == Line.ALL).toList());
    }

    public Exhaust withSegments(List<Segment> value) {
        return new Exhaust(value, neighbours, attitude);
    }

    public Exhaust withNeighbours(List<Neighbour> value) {
        return new Exhaust(segments, value, attitude);
    }

    public Exhaust withAttitude(Attitude value) {
        return new Exhaust(segments, neighbours, value);
    }

    /** The same with a turbine in every line, after its manifold, or without any. */
    public Exhaust withTurbine(boolean wanted) {
        List<Segment> now = new ArrayList<>(segments.stream().filter(s -> s.kind() != Kind.TURBINE).toList());
        if (wanted) {
            for (Line line : lines()) {
                int at = 0;
                for (int i = 0; i < now.size(); i++) {
                    at = now.get(i).line() == line && now.get(i).kind() == Kind.MANIFOLD ? i + 1 : at;
                }
                now.add(at, Segment.straight(line, Kind.TURBINE, null, null, null));
            }
        }
        return withSegments(now);
    }

    /** The same with a catalyst of this kind where one is, else at the end before any muffler; without any for null. */
    public Exhaust withCatalyst(@Nullable Kind kind) {
        List<Segment> now = new ArrayList<>(segments);
        if (kind == null) {
            now.removeIf(s -> s.kind().isCatalyst());
        } else if (catalyst().isPresent()) {
            now.replaceAll(s -> s.kind().isCatalyst() ? s.withKind(kind) : s);
        } else {
            int at = now.size();
            while (at > 0 && now.get(at - 1).kind() == Kind.MUFFLER) {
                at--;
            }
            now.add(at, Segment.straight(at > 0 ? now.get(at - 1).line() : Line.ALL, kind, null, null, null));
        }
        return withSegments(now);
    }

    /** The pieces most cars have, none of them measured yet. */
    public static List<Segment> usual(boolean turbine, int banks) {
        List<Segment> pieces = new ArrayList<>();
        for (Line line : banks == 2 ? List.of(Line.FIRST, Line.SECOND) : List.of(Line.ALL)) {
            pieces.add(Segment.straight(line, Kind.MANIFOLD, null, null, null));
            if (turbine) {
                pieces.add(Segment.straight(line, Kind.TURBINE, null, null, null));
            }
            pieces.add(Segment.straight(line, Kind.PIPE, null, null, null));
        }
        if (banks == 2) {
            pieces.add(Segment.straight(Line.ALL, Kind.MERGE, null, null, null));
            pieces.add(Segment.straight(Line.ALL, Kind.PIPE, null, null, null));
        }
        return List.copyOf(pieces);
    }
}
