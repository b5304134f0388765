package amberheron.core.placement;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The way of the gas through a row of pieces, with every piece's place along it. Distances count from the turbine's
 * outlet, or from the manifold's flange when there is no turbine; what lies before is negative.
 */
public final class Run {
    /**
     * A piece where it lies.
     *
     * @param from where the gas enters it, m
     * @param to where the gas leaves it, m; infinite when its length is not measured
     */
    public record Piece(Segment segment, double from, double to) {
        /** Slope inside the piece, radians: it bends evenly from one end to the other; 0 while it is not measured. */
        public double slopeAt(double distance) {
            Double measured = segment.slope();
            Double end = segment.endSlope();
            double begin = measured == null ? 0 : measured;
            if (end == null) {
                return begin;
            }
            double part = Double.isInfinite(to) ? 0 : Math.clamp((distance - from) / (to - from), 0, 1);
            return begin + part * (end - begin);
        }
    }

    /** A point of the centre line seen from the side: back along the car, and up, m from where distances begin. */
    public record Point(double back, double up) {
    }

    private final List<Piece> pieces;
    private final List<Segment> beyond;
    // Asked at every millimetre of a search.
    private final boolean turbine;
    private final Optional<Piece> catalyst;

    private Run(List<Piece> pieces, List<Segment> beyond) {
        this.pieces = List.copyOf(pieces);
        this.beyond = List.copyOf(beyond);
        this.turbine = pieces.stream().anyMatch(p -> p.segment().kind() == Kind.TURBINE);
        this.catalyst = pieces.stream().filter(p -> p.segment().kind().isCatalyst()).findFirst();
    }

    /** The run of pieces in the gas's order. */
    public static Run of(List<Segment> segments) {
        int head = headOf(segments);
        double before = 0;
        for (Segment s : segments.subList(0, head)) {
            before += s.length() == null ? 0 : s.length();
        }
        double at = -before;
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            Double length = s.length();
            if (length == null && i >= head) {
                pieces.add(new Piece(s, at, Double.POSITIVE_INFINITY));
                return new Run(pieces, segments.subList(i + 1, segments.size()));
            }
            double to = at + (length == null ? 0 : length);
            pieces.add(new Piece(s, at, to));
            at = to;
        }
        return new Run(pieces, List.of());
    }

    /** Returns the number of pieces before the point that distances count from. */
    private static int headOf(List<Segment> segments) {
        int turbine = 0;
        int manifolds = 0;
        for (int i = 0; i < segments.size(); i++) {
            if (segments.get(i).kind() == Kind.TURBINE) {
                turbine = i + 1;
            }
            if (i == manifolds && segments.get(i).kind() == Kind.MANIFOLD) {
                manifolds = i + 1;
            }
        }
        return turbine > 0 ? turbine : manifolds;
    }

    /** The pieces whose place is known. */
    public List<Piece> pieces() {
        return pieces;
    }

    /** Returns the pieces after one of unknown length, whose place is therefore unknown. */
    public List<Segment> beyond() {
        return beyond;
    }

    /** Where the run begins, m; 0 or less. */
    public double start() {
        return pieces.isEmpty() ? 0 : pieces.getFirst().from();
    }

    /** Where the run ends, m; infinite while the last known piece's length is not measured. */
    public double end() {
        return pieces.isEmpty() ? Double.POSITIVE_INFINITY : pieces.getLast().to();
    }

    /** Whether a turbine lies before the point that distances count from. */
    public boolean turbine() {
        return turbine;
    }

    /** The piece at a distance; of two that meet there, the later. */
    public Optional<Piece> at(double distance) {
        Piece found = null;
        for (Piece p : pieces) {
            if (distance >= p.from() && distance <= p.to() && p.to() > p.from()) {
                found = p;
            }
        }
        return Optional.ofNullable(found);
    }

    /** The first piece of a kind. */
    public Optional<Piece> first(Segment.Kind kind) {
        return pieces.stream().filter(p -> p.segment().kind() == kind).findFirst();
    }

    /** The first catalyst. */
    public Optional<Piece> catalyst() {
        return catalyst;
    }

    /**
     * Refuses a place that is not on the run.
     *
     * @throws Unusable saying where the run begins and ends
     */
    public void require(double distance) {
        if (!pieces.isEmpty() && distance > end()) {
            throw new Refused(Message.of("{0} is past the end of the run at {1}", Refused.whole(distance),
                    Refused.whole(end())));
        }
        if (start() < 0 && distance < start()) {
            throw new Refused(Message.of("{0} is before the run begins at {1}", Refused.whole(distance),
                    Refused.whole(start())));
        }
    }

    /**
     * Volume of gas up to a distance, m³.
     *
     * @return null when a piece on the way is not measured; pieces before the counting point that were not measured
     *         count as nothing
     */
    public @Nullable Double volumeTo(double distance) {
        return sumTo(distance, TransportDelay::volume);
    }

    /** Inner surface that cools the gas up to a distance, m²; null as for {@link #volumeTo}. */
    public @Nullable Double surfaceTo(double distance) {
        return sumTo(distance, (length, bore) -> Math.PI * bore * length);
    }

    private @Nullable Double sumTo(double distance, DoubleBinaryOperator ofLengthAndBore) {
        if (pieces.isEmpty() || distance > end()) {
            return null;
        }
        double sum = 0;
        for (Piece p : pieces) {
            double length = Math.min(distance, p.to()) - p.from();
            Double bore = p.segment().bore();
            if (length > 0 && bore != null) {
                sum += ofLengthAndBore.applyAsDouble(length, bore);
            } else if (length > 0 && p.to() > 0) {
                return null;
            }
        }
        return sum;
    }

    /** The centre line's point at a distance, each piece an arc of even bend, seen from the side. */
    public Point point(double distance) {
        Point at = new Point(0, 0);
        for (Piece p : pieces) {
            double from = Math.max(0, p.from());
            double to = Math.min(distance, p.to());
            if (to > from && p.to() > 0) {
                at = advance(p, from, to, at, 1);
            }
        }
        if (distance < 0) {
            for (int i = pieces.size() - 1; i >= 0; i--) {
                Piece p = pieces.get(i);
                double to = Math.min(0, p.to());
                double from = Math.max(distance, p.from());
                if (to > from) {
                    at = advance(p, from, to, at, -1);
                }
            }
        }
        return at;
    }

    private static Point advance(Piece p, double from, double to, Point at, int sense) {
        double a = p.slopeAt(from);
        double b = p.slopeAt(to);
        double length = sense * (to - from);
        // An arc's chord is its length times sin(half)/half, at the mean slope.
        double half = (b - a) / 2;
        double chord = length * (Math.abs(half) < 1e-9 ? 1 : Math.sin(half) / half);
        double mean = (a + b) / 2;
        return new Point(at.back() + chord * Math.cos(mean) * Math.cos(p.segment().heading()),
                at.up() + chord * Math.sin(mean));
    }
}
