package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.units.Sane;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * Something beside the pipe that sensor and cable must keep clear of.
 *
 * @param kind what it is
 * @param side where it lies, seen from the pipe
 * @param from where it begins along the pipe, as places are measured, m
 * @param to where it ends, m
 * @param gap from the pipe's outside to it, m, the car on its wheels; null when not measured
 * @param id of its own among the neighbours; empty until it is in a list
 */
public record Neighbour(Kind kind, Side side, double from, double to, @Nullable Double gap, String id) {
    /** Makes a neighbour that gets its id in its list. */
    public Neighbour(Kind kind, Side side, double from, double to, @Nullable Double gap) {
        this(kind, side, from, to, gap, "");
    }

    /** Neighbour of the pipe. */
    public enum Kind {
        FLOOR("floor", false, Side.ABOVE),
        HEAT_SHIELD("heat shield", false, Side.ABOVE),
        GEARBOX("gearbox", false, Side.RIGHT),
        LINKAGE("linkage", true, Side.RIGHT),
        DRIVESHAFT("driveshaft", true, Side.RIGHT),
        STEERING("steering shaft", true, Side.LEFT),
        FUEL_LINE("fuel line", false, Side.LEFT),
        HOT_PART("hot part", false, Side.RIGHT),
        BODYWORK("bodywork", false, Side.LEFT),
        GROUND("road", false, Side.BELOW);

        private final String words;
        private final boolean moving;
        private final Side usualSide;

        Kind(String words, boolean moving, Side usualSide) {
            this.words = words;
            this.moving = moving;
            this.usualSide = usualSide;
        }

        /** Where it lies on most cars. */
        public Side usualSide() {
            return usualSide;
        }

        /** The trade's words for it. */
        public String words() {
            return word(words);
        }

        /** Returns whether it turns or swings: a cable that bends near it is caught. */
        public boolean moving() {
            return moving;
        }
    }

    /** Where it lies, in car axes. */
    public enum Side {
        ABOVE("above", Vector3D.PLUS_K),
        RIGHT("right", Vector3D.PLUS_J),
        BELOW("below", Vector3D.MINUS_K),
        LEFT("left", Vector3D.MINUS_J);

        private final String words;
        @SuppressWarnings("ImmutableEnumChecker") // vectors do not change
        private final Vector3D direction;

        Side(String words, Vector3D direction) {
            this.words = words;
            this.direction = direction;
        }

        /** The word for it. */
        public String words() {
            return word(words);
        }

        /** Unit vector from the pipe towards it. */
        public Vector3D direction() {
            return direction;
        }
    }

    public Neighbour {
        if (!(to > from)) {
            throw new Refused(Message.of("The {0} ends at {1}, before it begins at {2}", kind.words(),
                    Refused.whole(to), Refused.whole(from)));
        }
        if (gap != null && !(gap >= 0)) {
            throw new Refused(Message.of("Gap: found {0}, expected 0 or more", Refused.whole(gap)));
        }
        Sane.PLACE.check("from", from);
        Sane.PLACE.check("to", to);
        Sane.GAP.check("gap", gap);
    }

    /** Whether it lies beside a place. */
    public boolean covers(double distance) {
        return distance >= from && distance <= to;
    }

    public Neighbour withKind(Kind value) {
        return new Neighbour(value, side, from, to, gap, id);
    }

    public Neighbour withSide(Side value) {
        return new Neighbour(kind, value, from, to, gap, id);
    }

    public Neighbour withFrom(double value) {
        return new Neighbour(kind, side, value, to, gap, id);
    }

    public Neighbour withTo(double value) {
        return new Neighbour(kind, side, from, value, gap, id);
    }

    public Neighbour withGap(@Nullable Double value) {
        return new Neighbour(kind, side, from, to, value, id);
    }

    public Neighbour withId(String value) {
        return new Neighbour(kind, side, from, to, gap, value);
    }
}
