package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * A piece of the exhaust.
 *
 * @param line which cylinders' gas it carries
 * @param kind what it is
 * @param length along its centre line, m; null when not measured
 * @param diameter outer, m; null when not measured
 * @param wall thickness, m; null when not measured
 * @param slope where the gas enters, positive when it rises with the gas, radians; null when not measured
 * @param endSlope where the gas leaves, radians; null for a straight piece
 * @param heading away from straight back, positive to the car's right, radians
 * @param id of its own among the pieces; empty until it is in a list
 */
public record Segment(Line line, Kind kind, @Nullable Double length, @Nullable Double diameter, @Nullable Double wall,
        @Nullable Double slope, @Nullable Double endSlope, double heading, String id) {
    /** Makes a piece that gets its id in its list. */
    public Segment(Line line, Kind kind, @Nullable Double length, @Nullable Double diameter, @Nullable Double wall,
            @Nullable Double slope, @Nullable Double endSlope, double heading) {
        this(line, kind, length, diameter, wall, slope, endSlope, heading, "");
    }

    /** Whose gas flows in a piece. */
    public enum Line {
        /** Every cylinder's: a single bank, or after the merge. */
        ALL("all cylinders"),
        /** The first bank's only. */
        FIRST("first bank"),
        /** The second bank's only. */
        SECOND("second bank");

        private final String words;

        Line(String words) {
            this.words = words;
        }

        /** The trade's words for it. */
        public String words() {
            return word(words);
        }
    }

    /** Kind of a piece. */
    public enum Kind {
        MANIFOLD("manifold"),
        TURBINE("turbine"),
        PIPE("pipe"),
        FLEX("flex"),
        CATALYST("catalyst"),
        STRAIGHT_THROUGH("straight-through catalyst"),
        MERGE("merge"),
        JOINT("slip joint or flange"),
        AIR_INLET("secondary air inlet"),
        WATER("water injected into the pipe"),
        RISER("dry riser before the water"),
        MUFFLER("muffler");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The trade's words for it. */
        public String words() {
            return word(words);
        }

        /** Whether it changes the gas. */
        public boolean isCatalyst() {
            return this == CATALYST || this == STRAIGHT_THROUGH;
        }

        /** Whether it draws air where it is not tight. */
        public boolean joint() {
            return this == JOINT || this == FLEX;
        }

        /** Whether a bung can be set in its wall. */
        public boolean takesBung() {
            return this == PIPE || this == MERGE || this == RISER;
        }
    }

    /** Thickness of a wall that was not measured, m; from memory, the usual sheet of exhaust pipe. */
    public static final double USUAL_WALL = 0.0015;

    public Segment {
        if (length != null && !(length > 0)) {
            throw new Refused(Message.of("Length: found {0}, expected more than 0", Refused.whole(length)));
        }
        if (diameter != null && !(diameter > 0)) {
            throw new Refused(Message.of("Outer diameter: found {0}, expected more than 0", Refused.length(diameter)));
        }
        if (wall != null && !(wall > 0)) {
            throw new Refused(Message.of("Wall: found {0}, expected more than 0", Refused.length(wall)));
        }
        if (diameter != null && wall != null && !(2 * wall < diameter)) {
            throw new Refused(Message.of("Wall {0} in a pipe of {1} leaves no bore; expected less than {2}",
                    Refused.length(wall), Refused.length(diameter), Refused.length(diameter / 2)));
        }
        Sane.LENGTH.check("length", length);
        Sane.BORE.check("diameter", diameter);
        Sane.BORE.check("wall", wall);
        Sane.ANGLE.check("slope", slope);
        Sane.ANGLE.check("endSlope", endSlope);
        Sane.ANGLE.check("heading", heading);
    }

    /** A straight piece going straight back, as measured so far. */
    public static Segment straight(Line line, Kind kind, @Nullable Double length, @Nullable Double diameter,
            @Nullable Double slope) {
        return new Segment(line, kind, length, diameter, null, slope, null, 0);
    }

    /** The bore, m; null while the diameter is not measured. */
    public @Nullable Double bore() {
        return diameter == null ? null : Math.max(1e-3, diameter - 2 * wallOrUsual());
    }

    /** The wall as measured, else the usual one, m. */
    public double wallOrUsual() {
        return wall == null ? USUAL_WALL : wall;
    }

    public Segment withLine(Line value) {
        return new Segment(value, kind, length, diameter, wall, slope, endSlope, heading, id);
    }

    public Segment withKind(Kind value) {
        return new Segment(line, value, length, diameter, wall, slope, endSlope, heading, id);
    }

    public Segment withLength(@Nullable Double value) {
        return new Segment(line, kind, value, diameter, wall, slope, endSlope, heading, id);
    }

    public Segment withDiameter(@Nullable Double value) {
        return new Segment(line, kind, length, value, wall, slope, endSlope, heading, id);
    }

    public Segment withWall(@Nullable Double value) {
        return new Segment(line, kind, length, diameter, value, slope, endSlope, heading, id);
    }

    public Segment withSlope(@Nullable Double value) {
        return new Segment(line, kind, length, diameter, wall, value, endSlope, heading, id);
    }

    public Segment withEndSlope(@Nullable Double value) {
        return new Segment(line, kind, length, diameter, wall, slope, value, heading, id);
    }

    public Segment withHeading(double value) {
        return new Segment(line, kind, length, diameter, wall, slope, endSlope, value, id);
    }

    public Segment withId(String value) {
        return new Segment(line, kind, length, diameter, wall, slope, endSlope, heading, value);
    }
}
