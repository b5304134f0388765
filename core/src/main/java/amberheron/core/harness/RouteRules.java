package amberheron.core.harness;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Route.Facing;
import amberheron.core.harness.Route.Passage;
import amberheron.core.harness.Route.Seat;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.parts.Address;
import amberheron.core.placement.Clearance;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/** Judges the way the cable takes. */
public final class RouteRules {
    /** Least radius of a bend in diameters of the cable. */
    static final double BEND = 5;
    /** A cable's diameter where it is not measured, m. */
    static final double USUAL_CABLE = 0.006;
    /** Least loop at an end so that it can be unplugged, m. */
    static final double LOOP = 0.1;

    private static final Source BENDS = Source
            .memory("five cable diameters; that tight bends and loops are avoided is common practice");
    private static final Source LENGTH = Source.practice("the lead is only so long: add it up before you start");
    private static final Source LOOPS = Source
            .memory("100 mm at each end; that both ends keep a loop to be unplugged is common practice");
    private static final Source HOLE = Source
            .practice("grommet at the firewall, the connector's size decides the hole, look behind before drilling");
    private static final Source SEAT = Source
            .practice("the controller lives dry and cool, its lead downhill from it");
    private static final Source SPRAY = Source.practice("connector turned away from spray, loops to drip from");

    /** Least difference between the hole in the metal and the connector, since a grommet lines the hole, m; from memory. */
    private static final double CLEAR = 0.002;

    private RouteRules() {
    }

    /** Every check of a route. */
    public static List<Finding> judge(Route route) {
        List<Finding> findings = new ArrayList<>();
        findings.add(length(route));
        findings.add(slack(route));
        findings.add(hot(route));
        findings.add(least(HarnessCheck.ROUTE_MOVING, HarnessField.ROUTE_MOVING, "Gap to moving parts", route,
                Waypoint::moving, w -> Clearance.MOVING,
                "It is caught or rubbed through: tie it off.",
                Message.plain("least gap to anything that turns, swings or shakes"),
                Clearance.SOURCE));
        double radius = BEND * (route.cable() == null ? USUAL_CABLE : route.cable());
        bend(route, radius).ifPresent(findings::add);
        findings.add(hole(route));
        findings.add(spray(route));
        seat(route).ifPresent(findings::add);
        return List.copyOf(findings);
    }

    private static Finding length(Route route) {
        Double spare = route.spare().orElse(null);
        Limit limit = new Limit(AT_LEAST, metres(0));
        Verdict verdict = spare == null ? Verdict.UNKNOWN : spare >= -1e-9 ? Verdict.PASS : Verdict.FAIL;
        return new Finding(HarnessCheck.ROUTE_LENGTH, "Lead left over", verdict, spare == null ? null : metres(spare),
                limit,
                switch (verdict) {
                    case PASS -> "It reaches, with its loops.";
                    case FAIL -> "Too short: another way, a longer extension, or the controller nearer.";
                    default -> "Enter the lead, both loops, and every stretch of the way.";
                }, null, "lead + extension − way − loop at each end", LENGTH).asking(lengths(route));
    }

    /** The lengths that are missing; the lead where none is. */
    private static List<Address> lengths(Route route) {
        List<Address> asks = new ArrayList<>();
        if (route.points().isEmpty()) {
            asks.add(HarnessField.ROUTE.address());
        }
        route.points().stream().filter(w -> w.length() == null)
                .forEach(w -> asks.add(HarnessField.ROUTE_LENGTH.of(w.id())));
        if (route.lengths().lead() == null) {
            asks.add(HarnessField.LEAD.address());
        }
        asks.addAll(loops(route));
        return asks.isEmpty() ? List.of(HarnessField.LEAD.address()) : asks;
    }

    private static List<Address> loops(Route route) {
        List<Address> asks = new ArrayList<>();
        if (route.lengths().slackAtEngine() == null) {
            asks.add(HarnessField.LOOP_AT_ENGINE.address());
        }
        if (route.lengths().slackAtDisplay() == null) {
            asks.add(HarnessField.LOOP_AT_DISPLAY.address());
        }
        return asks;
    }

    private static Finding slack(Route route) {
        Double engine = route.lengths().slackAtEngine();
        Double display = route.lengths().slackAtDisplay();
        Limit limit = new Limit(AT_LEAST, metres(LOOP));
        if (engine == null || display == null) {
            return new Finding(HarnessCheck.ROUTE_SLACK, "Slack for service at each end", Verdict.UNKNOWN, null, limit,
                    "Enter the loop at both ends.", null, "the shorter of the two", LOOPS).asking(loops(route));
        }
        double shorter = Math.min(engine, display);
        return new Finding(HarnessCheck.ROUTE_SLACK, "Slack for service at each end",
                limit.keptBy(shorter) ? Verdict.PASS : Verdict.WARN,
                metres(shorter), limit,
                limit.keptBy(shorter)
                        ? "Both ends can be unplugged."
                        : "Too little to unplug it without pulling; engine movement pulls at it too.",
                null, "the shorter of the two", LOOPS)
                .asking((engine <= display ? HarnessField.LOOP_AT_ENGINE : HarnessField.LOOP_AT_DISPLAY).address());
    }

    private static Finding hot(Route route) {
        return least(HarnessCheck.ROUTE_HOT, HarnessField.ROUTE_HOT, "Gap to hot parts", route, Waypoint::hot,
                w -> w.sleeved() ? Clearance.HOT_SLEEVED : Clearance.HOT,
                "Insulation melts there: farther off, or a heat sleeve.",
                Message.of("{0} bare, {1} sleeved; the place that is shortest of its own limit", metres(Clearance.HOT),
                        metres(Clearance.HOT_SLEEVED)),
                Clearance.SOURCE);
    }

    /** The place that comes nearest to its limit; unknown while one is not measured. */
    private static Finding least(HarnessCheck id, HarnessField field, String subject, Route route,
            Function<Waypoint, @Nullable Double> gap,
            ToDoubleFunction<Waypoint> bound, String wrong, Message working, Source source) {
        Optional<Waypoint> open = route.points().stream().filter(w -> gap.apply(w) == null).findFirst();
        Optional<Waypoint> worst = route.points().stream().filter(w -> gap.apply(w) != null).min(Comparator
                .comparingDouble(w -> Objects.requireNonNull(gap.apply(w)) - bound.applyAsDouble(w)));
        if (worst.isEmpty()) {
            return new Finding(id, subject, Verdict.UNKNOWN, null, null,
                    Message.plain("Add the places the cable passes."),
                    null, working, source)
                    .asking(open.map(w -> field.of(w.id())).orElse(HarnessField.ROUTE.address()));
        }
        Waypoint at = worst.get();
        double found = Objects.requireNonNull(gap.apply(at));
        Limit limit = new Limit(AT_LEAST, metres(bound.applyAsDouble(at)));
        Verdict verdict = !limit.keptBy(found) ? Verdict.FAIL : open.isPresent() ? Verdict.UNKNOWN : Verdict.PASS;
        return new Finding(id, subject, verdict, metres(found), limit, switch (verdict) {
            case FAIL -> Message.of("At {0}. {1}", at.name(), Message.plain(wrong));
            case UNKNOWN -> Message.of("Not measured at {0}.", open.map(Waypoint::name).orElse(""));
            default -> Message.of("Nearest at {0}.", at.name());
        }, null, working, source).asking(field.of(verdict == Verdict.UNKNOWN ? open.orElse(at).id() : at.id()));
    }

    private static Optional<Finding> bend(Route route, double radius) {
        return route.points().stream().filter(w -> w.bend() != null).min(Comparator.comparing(Waypoint::bend))
                .map(w -> {
                    double found = Objects.requireNonNull(w.bend());
                    Limit limit = new Limit(AT_LEAST, metres(radius));
                    boolean kept = limit.keptBy(found);
                    return new Finding(HarnessCheck.ROUTE_BEND, "Tightest bend", kept ? Verdict.PASS : Verdict.WARN,
                            metres(found), limit,
                            kept
                                    ? Message.of("Tightest at {0}.", w.name())
                                    : Message.of("At {0}: conductors break where they are bent tight and shaken.",
                                            w.name()),
                            null, route.cable() == null
                                    ? Message.of("five diameters of a cable taken as {0}", metres(USUAL_CABLE))
                                    : Message.plain("five diameters of the cable"),
                            BENDS).asking(HarnessField.ROUTE_BEND.of(w.id()));
                });
    }

    private static Finding hole(Route route) {
        Double connector = route.firewall().connector();
        Double hole = route.firewall().hole();
        Passage passage = route.firewall().passage();
        boolean cut = passage == Passage.BARE || passage == Passage.GROMMET;
        Limit limit = connector == null || !cut
                ? null
                : new Limit(AT_LEAST, new Measure(connector + CLEAR, Dimension.LENGTH, 1));
        Measure figure = hole == null || !cut ? null : new Measure(hole, Dimension.LENGTH, 1);
        boolean tight = limit != null && hole != null && !limit.keptBy(hole);
        Verdict verdict = passage == null
                ? Verdict.UNKNOWN
                : !cut
                        ? Verdict.PASS
                        : passage == Passage.BARE || tight
                                ? Verdict.FAIL
                                : connector == null || hole == null || !route.firewall().lookedBehind()
                                        ? Verdict.UNKNOWN
                                        : Verdict.PASS;
        return new Finding(HarnessCheck.ROUTE_HOLE, "Through the firewall", verdict, figure, limit, hole(route, tight),
                null,
                "hole ≥ connector and 2 mm, our own, for the grommet's lip; grommet fitted; looked behind", HOLE)
                .asking(holeAsks(route, verdict));
    }

    private static List<Address> holeAsks(Route route, Verdict verdict) {
        List<Address> asks = new ArrayList<>();
        if (route.firewall().passage() == null || route.firewall().passage() == Passage.BARE) {
            asks.add(HarnessField.PASSAGE.address());
        } else if (!route.firewall().lookedBehind()) {
            asks.add(HarnessField.LOOKED_BEHIND.address());
        }
        boolean missing = verdict == Verdict.UNKNOWN;
        if (!missing || route.firewall().connector() == null) {
            asks.add(HarnessField.CONNECTOR.address());
        }
        if (!missing || route.firewall().hole() == null) {
            asks.add(HarnessField.HOLE.address());
        }
        return route.firewall().passage() == null ? asks.subList(0, 1) : asks;
    }

    private static String hole(Route route, boolean tight) {
        return switch (route.firewall().passage()) {
            case null -> "Say how the cable goes through metal.";
            case NONE -> "It passes no metal.";
            case SLIT -> "No hole is cut; close the slit around the cable.";
            case BARE -> "A bare edge cuts the insulation: fit a grommet.";
            case GROMMET -> tight
                    ? "The connector does not pass: a larger hole with its grommet, or the slit of one that is there."
                    : !route.firewall().lookedBehind()
                            ? "Look behind before drilling: brake and fuel lines, looms, in a car the airbags."
                            : route.firewall().connector() == null || route.firewall().hole() == null
                                    ? "Measure the connector across its widest, and the hole."
                                    : "The connector passes, and the edge is lined; close what is left against fumes and water.";
        };
    }

    /** Judges where the controller sits, once that is said. */
    private static Optional<Finding> seat(Route route) {
        Seat seat = route.spray().seat();
        return Optional.ofNullable(seat).map(s -> new Finding(HarnessCheck.ROUTE_SEAT, "Where the controller sits",
                switch (s) {
                    case LEAD_DOWN -> Verdict.PASS;
                    case LEAD_UP -> Verdict.WARN;
                    case HOT, WET -> Verdict.FAIL;
                }, null, null, switch (s) {
                    case LEAD_DOWN -> "Dry and cool, and water runs away from it.";
                    case LEAD_UP -> "Water runs down the lead into it: turn it, or lay the lead in a loop below it.";
                    case HOT ->
                        "What a hand does not stand ages it, and its readings drift: into the cabin, or to the cool side.";
                    case WET ->
                        "Water in it ends it, and before that it lies: into the cabin, or behind a cover that drains.";
                }, null, "looked at where it is fastened", SEAT).asking(HarnessField.SEAT.address()));
    }

    private static Finding spray(Route route) {
        Facing facing = route.spray().facing();
        Verdict verdict = facing == null
                ? Verdict.UNKNOWN
                : facing.wet() || !route.spray().dripLoop() ? Verdict.WARN : Verdict.PASS;
        Message looks = Message.plain(facing == null ? "" : facing.words());
        return new Finding(HarnessCheck.ROUTE_SPRAY, "Plug and water", verdict, null, null,
                facing == null
                        ? Message.plain("Say which way the plug looks.")
                        : facing.wet()
                                ? Message.of("It looks {0}: water gets in. Turn it.", looks)
                                : route.spray().dripLoop()
                                        ? Message.of("It looks {0}, and the cable drips before it.", looks)
                                        : Message.plain(
                                                "Without a loop below it, water runs along the cable into the plug."),
                null, Message.plain("direction of the plug, and a loop lower than it"), SPRAY)
                .asking(facing == null || facing.wet()
                        ? HarnessField.FACING.address()
                        : HarnessField.DRIP_LOOP.address());
    }

    private static Measure metres(double value) {
        return new Measure(value, Dimension.LENGTH, 0);
    }
}
