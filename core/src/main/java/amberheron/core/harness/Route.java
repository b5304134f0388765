package amberheron.core.harness;

import amberheron.core.parts.PartIds;
import amberheron.core.units.Sane;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The way the cable takes, from the sensor's plug to the display.
 *
 * @param points places it passes, in order
 * @param lead length of the sensor's own lead, m
 * @param extension length of the extension harness, m; null when there is none
 * @param slackAtEngine loop left at the engine's end, m
 * @param slackAtDisplay loop left behind the display, m
 * @param cable diameter of the cable, m
 * @param connector what has to pass the firewall, across its widest, m
 * @param hole drilled or found there, m
 * @param passage how the cable goes through metal; null until said
 * @param lookedBehind whether somebody looked behind before drilling
 * @param facing which way the sensor's plug looks
 * @param dripLoop whether the cable hangs lower than the plug before it rises, so that water drips off
 */
public record Route(List<Waypoint> points, @Nullable Double lead, @Nullable Double extension,
        @Nullable Double slackAtEngine, @Nullable Double slackAtDisplay, @Nullable Double cable,
        @Nullable Double connector, @Nullable Double hole, @Nullable Passage passage, boolean lookedBehind,
        @Nullable Facing facing, boolean dripLoop) {
    /** Nothing measured. */
    public static final Route UNMEASURED = new Route(List.of(), null, null, null, null, null, null, null, null, false,
            null, false);

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
            return words;
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
            return words;
        }

        /** Whether water runs or is thrown into it. */
        public boolean wet() {
            return this == UP || this == INTO_SPRAY;
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

        /** A part that gets its id in its list. */
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
        Sane.LENGTH.check("lead", lead);
        Sane.LENGTH.check("extension", extension);
        Sane.LENGTH.check("slackAtEngine", slackAtEngine);
        Sane.LENGTH.check("slackAtDisplay", slackAtDisplay);
        Sane.BORE.check("cable", cable);
        Sane.BORE.check("connector", connector);
        Sane.BORE.check("hole", hole);
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

    /** Lead and extension together, m; null while the lead is not measured. */
    public @Nullable Double cableInAll() {
        return lead == null ? null : Double.valueOf(lead + (extension == null ? 0 : extension));
    }

    /** Length the way takes without slack, m; empty while a stretch is not measured. */
    public Optional<Double> total() {
        return distances().map(List::getLast);
    }

    /** What is left of lead and extension after the way and both loops, m; empty until all of it is measured. */
    public Optional<Double> spare() {
        Double cable = cableInAll();
        return cable == null || slackAtEngine == null || slackAtDisplay == null
                ? Optional.empty()
                : total().map(t -> cable - t - slackAtEngine - slackAtDisplay);
    }

    public Route withPoints(List<Waypoint> value) {
        return new Route(value, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withLead(@Nullable Double value) {
        return new Route(points, value, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withExtension(@Nullable Double value) {
        return new Route(points, lead, value, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withSlackAtEngine(@Nullable Double value) {
        return new Route(points, lead, extension, value, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withSlackAtDisplay(@Nullable Double value) {
        return new Route(points, lead, extension, slackAtEngine, value, cable, connector, hole, passage, lookedBehind,
                facing, dripLoop);
    }

    public Route withCable(@Nullable Double value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, value, connector, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withConnector(@Nullable Double value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, value, hole, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withHole(@Nullable Double value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, value, passage,
                lookedBehind, facing, dripLoop);
    }

    public Route withPassage(@Nullable Passage value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, value,
                lookedBehind, facing, dripLoop);
    }

    public Route withLookedBehind(boolean value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                value, facing, dripLoop);
    }

    public Route withFacing(@Nullable Facing value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, value, dripLoop);
    }

    public Route withDripLoop(boolean value) {
        return new Route(points, lead, extension, slackAtEngine, slackAtDisplay, cable, connector, hole, passage,
                lookedBehind, facing, value);
    }
}
