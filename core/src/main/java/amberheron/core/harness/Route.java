package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.PartIds;
import amberheron.core.units.Sane;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The route of the cable, from the sensor's plug to the display.
 *
 * @param points places it passes, in order
 * @param lengths of the cable
 * @param cable its diameter, m; null when not measured
 * @param firewall where it passes through metal
 * @param spray how its plug is kept dry
 */
public record Route(List<Waypoint> points, Lengths lengths, @Nullable Double cable, Firewall firewall, Spray spray) {
    /** A route of which nothing is measured. */
    public static final Route UNMEASURED = new Route(List.of(), new Lengths(null, null, null, null), null,
            new Firewall(null, null, null, false), new Spray(null, false, null));

    /** How the cable goes through metal. */
    public enum Passage {
        NONE("passes no metal"),
        BARE("bare edge"),
        GROMMET("grommet fitted"),
        SLIT("slit in a grommet that is there");

        private final String words;

        Passage(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Where a controller sits. */
    public enum Seat {
        LEAD_DOWN("dry and cool, its lead going down"),
        LEAD_UP("dry and cool, its lead going up"),
        HOT("too hot for a hand"),
        WET("spray or washing reaches it");

        private final String words;

        Seat(String words) {
            this.words = words;
        }

        /** The words for it. */
        public String words() {
            return word(words);
        }
    }

    /** Which way a plug looks. */
    public enum Facing {
        DOWN("down"),
        AWAY("away from spray"),
        UP("up"),
        INTO_SPRAY("into spray");

        private final String words;

        Facing(String words) {
            this.words = words;
        }

        /** The words for it. */
        public String words() {
            return word(words);
        }

        /** Whether water runs or is thrown into it. */
        public boolean wet() {
            return this == UP || this == INTO_SPRAY;
        }
    }

    /**
     * Lengths of cable, and the loops left at both ends.
     *
     * @param lead length of the sensor's own lead, m
     * @param extension length of the extension harness, m; null when there is none
     * @param slackAtEngine loop left at the engine's end, m
     * @param slackAtDisplay loop left behind the display, m
     */
    public record Lengths(@Nullable Double lead, @Nullable Double extension, @Nullable Double slackAtEngine,
            @Nullable Double slackAtDisplay) {
        public Lengths {
            Sane.LENGTH.check("lead", lead);
            Sane.LENGTH.check("extension", extension);
            Sane.LENGTH.check("slackAtEngine", slackAtEngine);
            Sane.LENGTH.check("slackAtDisplay", slackAtDisplay);
        }

        public Lengths withLead(@Nullable Double value) {
            return new Lengths(value, extension, slackAtEngine, slackAtDisplay);
        }

        public Lengths withExtension(@Nullable Double value) {
            return new Lengths(lead, value, slackAtEngine, slackAtDisplay);
        }

        public Lengths withSlackAtEngine(@Nullable Double value) {
            return new Lengths(lead, extension, value, slackAtDisplay);
        }

        public Lengths withSlackAtDisplay(@Nullable Double value) {
            return new Lengths(lead, extension, slackAtEngine, value);
        }
    }

    /**
     * Where the cable passes the firewall.
     *
     * @param connector what has to pass it, across its widest, m
     * @param hole drilled or found there, m
     * @param passage how the cable goes through metal; null until said
     * @param lookedBehind whether somebody looked behind before drilling
     */
    public record Firewall(@Nullable Double connector, @Nullable Double hole, @Nullable Passage passage,
            boolean lookedBehind) {
        public Firewall {
            Sane.BORE.check("connector", connector);
            Sane.BORE.check("hole", hole);
        }

        public Firewall withConnector(@Nullable Double value) {
            return new Firewall(value, hole, passage, lookedBehind);
        }

        public Firewall withHole(@Nullable Double value) {
            return new Firewall(connector, value, passage, lookedBehind);
        }

        public Firewall withPassage(@Nullable Passage value) {
            return new Firewall(connector, hole, value, lookedBehind);
        }

        public Firewall withLookedBehind(boolean value) {
            return new Firewall(connector, hole, passage, value);
        }
    }

    /**
     * How plug and controller are kept dry.
     *
     * @param facing which way the sensor's plug looks; null until said
     * @param dripLoop whether the cable hangs lower than the plug before it rises, so that water drips off
     * @param seat where the controller sits; null until said
     */
    public record Spray(@Nullable Facing facing, boolean dripLoop, @Nullable Seat seat) {
        public Spray withFacing(@Nullable Facing value) {
            return new Spray(value, dripLoop, seat);
        }

        public Spray withDripLoop(boolean value) {
            return new Spray(facing, value, seat);
        }

        public Spray withSeat(@Nullable Seat value) {
            return new Spray(facing, dripLoop, value);
        }
    }

    /**
     * A place the cable passes.
     *
     * @param name in the installer's words
     * @param length of cable from the place before, m
     * @param hot gap to the nearest hot part, m
     * @param sleeved whether a heat sleeve covers it there
     * @param moving gap to the nearest part that turns, swings or shakes, m
     * @param bend radius it is laid in there, m; null where it runs straight
     * @param id of its own among the places; empty until it is in a list
     */
    public record Waypoint(String name, @Nullable Double length, @Nullable Double hot, boolean sleeved,
            @Nullable Double moving, @Nullable Double bend, String id) {
        public Waypoint {
            Sane.LENGTH.check("length", length);
            Sane.GAP.check("hot", hot);
            Sane.GAP.check("moving", moving);
            Sane.LENGTH.check("bend", bend);
        }

        /** Makes a place that gets its id in its list. */
        public Waypoint(String name, @Nullable Double length, @Nullable Double hot, boolean sleeved,
                @Nullable Double moving, @Nullable Double bend) {
            this(name, length, hot, sleeved, moving, bend, "");
        }

        /** A place of which only the name is known. */
        public static Waypoint named(String name) {
            return new Waypoint(name, null, null, false, null, null);
        }

        public Waypoint withName(String value) {
            return new Waypoint(value, length, hot, sleeved, moving, bend, id);
        }

        public Waypoint withLength(@Nullable Double value) {
            return new Waypoint(name, value, hot, sleeved, moving, bend, id);
        }

        public Waypoint withHot(@Nullable Double value) {
            return new Waypoint(name, length, value, sleeved, moving, bend, id);
        }

        public Waypoint withSleeved(boolean value) {
            return new Waypoint(name, length, hot, value, moving, bend, id);
        }

        public Waypoint withMoving(@Nullable Double value) {
            return new Waypoint(name, length, hot, sleeved, value, bend, id);
        }

        public Waypoint withBend(@Nullable Double value) {
            return new Waypoint(name, length, hot, sleeved, moving, value, id);
        }

        public Waypoint withId(String value) {
            return new Waypoint(name, length, hot, sleeved, moving, bend, value);
        }
    }

    public Route {
        Sane.BORE.check("cable", cable);
        points = PartIds.given(points, Waypoint::id, Waypoint::withId);
    }

    /** Length along the cable to each place, m; empty while a stretch is not measured. */
    public Optional<List<Double>> distances() {
        double total = 0;
        java.util.ArrayList<Double> all = new java.util.ArrayList<>();
        for (Waypoint p : points) {
            Double length = p.length();
            if (length == null) {
                return Optional.empty();
            }
            total += length;
            all.add(total);
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(List.copyOf(all));
    }

    /** Returns the length of lead and extension together, m; null while the lead is not measured. */
    public @Nullable Double cableInAll() {
        Double lead = lengths.lead();
        Double extension = lengths.extension();
        return lead == null ? null : Double.valueOf(lead + (extension == null ? 0 : extension));
    }

    /** Length the way takes without slack, m; empty while a stretch is not measured. */
    public Optional<Double> total() {
        return distances().map(List::getLast);
    }

    /** Spare length of lead and extension after the way and both loops, m; empty until all of it is measured. */
    public Optional<Double> spare() {
        Double all = cableInAll();
        Double engine = lengths.slackAtEngine();
        Double display = lengths.slackAtDisplay();
        return all == null || engine == null || display == null
                ? Optional.empty()
                : total().map(t -> all - t - engine - display);
    }

    public Route withPoints(List<Waypoint> value) {
        return new Route(value, lengths, cable, firewall, spray);
    }

    public Route withLengths(UnaryOperator<Lengths> change) {
        return new Route(points, change.apply(lengths), cable, firewall, spray);
    }

    public Route withCable(@Nullable Double value) {
        return new Route(points, lengths, value, firewall, spray);
    }

    public Route withFirewall(UnaryOperator<Firewall> change) {
        return new Route(points, lengths, cable, change.apply(firewall), spray);
    }

    public Route withSpray(UnaryOperator<Spray> change) {
        return new Route(points, lengths, cable, firewall, change.apply(spray));
    }
}
