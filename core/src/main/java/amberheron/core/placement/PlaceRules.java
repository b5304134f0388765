package amberheron.core.placement;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.parts.Address;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges a place by the trade's rules. */
public final class PlaceRules {
    /** Least distance after a turbine, m. */
    public static final double AFTER_TURBINE = PlaceLimits.AFTER_TURBINE;
    /** Least tilt of the body above the horizon, radians. */
    public static final double LEAST_TILT = PlaceLimits.TILT;

    /** Absolute pressure taken before a turbine on boost, bar; stated with the finding. */
    private static final double PRESSURE_BEFORE_TURBINE = 2.0;
    /** Mixture at which the cost of a skewed pump current is quoted: the free-air side, where it acts most. */
    private static final double LEAN_CRUISE = 1.2;

    private static final Source PRACTICE = Source.practice("bung placement");
    private static final Source GAS_ESTIMATE = Source
            .memory("gas temperature, heat transfer and the 930 °C limit; the sensor's own sheet decides");
    private static final Source DELAY = Source
            .memory("running conditions and limits; the delay is pipe volume over gas flow, plus one engine cycle");
    private static final Source DRYING = Source.memory("warm-up of the wall to the dew point, diesel to methanol");
    private static final Source FALSE_AIR = Source.memory(
            "0.3 m to an open end, never within 0.1 m, two joints; that air drawn in or pumped in reads lean is common practice");
    private static final Source WET = Source.practice("a sensor in a wet exhaust drowns; it goes into the dry riser");
    private static final Source ADDED_UP = Source.derived("the lengths entered, with some slack");

    private PlaceRules() {
    }

    /** Every rule for one place, in the order an installer checks them. */
    public static List<Finding> judge(Site site, Candidate place) {
        Run run = site.exhaust().run(place.line());
        Double distance = place.distance();
        List<Finding> findings = new ArrayList<>();
        findings.add(tilt(site, run, place));
        Address where = distance != null && run.pieces().isEmpty()
                ? PlaceField.ASPIRATION.address()
                : PlaceField.DISTANCE.of(place.id());
        findings.add(distance(run, distance).asking(where));
        AlongRun at = distance == null ? null : AlongRun.of(site, run, distance);
        findings.add(piece(run, at).asking(where));
        if (run.catalyst().isPresent()) {
            findings.add(catalyst(site, run, at).asking(PlaceField.DISTANCE.of(place.id())));
        }
        if (site.banks() > 1) {
            findings.add(bank(site, at).asking(PlaceField.DISTANCE.of(place.id())));
        }
        findings.addAll(RoomRules.judge(site, run, place));
        findings.add(lead(site, at).asking(PlaceAsks.lead(site, place)));
        List<Address> flow = PlaceAsks.flow(site, run, place);
        Double measured = place.gas();
        findings.add(measured == null ? gas(at).asking(flow) : gas(measured).asking(PlaceField.GAS.of(place.id())));
        findings.add(delay(PlaceCheck.DELAY_IDLE, "Delay at idle", at == null ? null : at.idle(),
                PlaceLimits.IDLE_DELAY, "A screw turned now shows only after this: turn, wait, read.").asking(flow));
        findings.add(delay(PlaceCheck.DELAY_FULL, "Delay at full load", at == null ? null : at.fullLoad(),
                PlaceLimits.FULL_LOAD_DELAY, "The log shows the mixture of an engine speed already left behind.")
                .asking(flow));
        findings.add(dry(at, site.wired().heaterHot()).asking(flow));
        if (at != null && at.piece() != null) {
            falseAir(run, at, place, findings);
        }
        return List.copyOf(findings);
    }

    /** The worst verdict a place gets. */
    public static Verdict verdict(Site site, Candidate place) {
        return Verdict.worst(judge(site, place).stream().map(Finding::verdict).toList());
    }

    /**
     * The place the shop's schools would take: the best verdict that is not a fail and the fewest warnings; of those a
     * hole that is there, then the tilt the school likes, then the nearest.
     */
    public static Optional<Candidate> choice(Site site, List<Candidate> places) {
        TiltSchool school = site.schools().tilt();
        return places.stream().filter(p -> p.clock() != null && p.distance() != null)
                .filter(p -> verdict(site, p) != Verdict.FAIL)
                .min(Comparator.comparing((Candidate p) -> verdict(site, p))
                        .thenComparingLong(
                                p -> judge(site, p).stream().filter(f -> f.verdict() == Verdict.WARN).count())
                        .thenComparingInt(p -> p.hole() == Candidate.Hole.NONE ? 1 : 0)
                        .thenComparingDouble(p -> school.distaste(tiltOf(site, p).orElseThrow()))
                        .thenComparingDouble(p -> Objects.requireNonNull(p.distance())));
    }

    /** The pipe's directions at a place: the slope measured there, else the run's. */
    public static PipeAxes axes(Exhaust exhaust, Candidate place) {
        Double distance = place.distance();
        Optional<Run.Piece> piece = distance == null ? Optional.empty() : exhaust.run(place.line()).at(distance);
        Double measured = place.slope();
        double at = distance == null ? 0 : distance;
        double slope = measured != null ? measured : piece.map(p -> p.slopeAt(at)).orElse(0.0);
        return PipeAxes.of(slope, piece.map(p -> p.segment().heading()).orElse(0.0));
    }

    /** Tilt against the earth, the car on its wheels, radians; empty until the clock position is known. */
    public static Optional<Double> tiltOf(Site site, Candidate place) {
        return Optional.ofNullable(place.clock()).map(clock -> SensorTilt.of(axes(site.exhaust(), place), clock,
                place.lean(), site.exhaust().attitude()));
    }

    /** Time after a cold start until the pipe is dry at a place, s; empty while run or engine are not measured. */
    public static Optional<Estimate> dry(Site site, Candidate place) {
        Double distance = place.distance();
        return distance == null
                ? Optional.empty()
                : Optional.ofNullable(AlongRun.of(site, site.exhaust().run(place.line()), distance).dry());
    }

    /** Delay of the gas at full load at a place, s; empty while run or engine are not measured. */
    public static Optional<Double> delayAtFullLoad(Site site, Candidate place) {
        Double distance = place.distance();
        return distance == null
                ? Optional.empty()
                : Optional.ofNullable(AlongRun.of(site, site.exhaust().run(place.line()), distance).fullLoad());
    }

    /** Whether a place sees the gas of two banks that have pipes of their own before it. */
    public static boolean afterMerge(Site site, Candidate place) {
        Double distance = place.distance();
        return site.banks() > 1 && site.exhaust().separateBanks() && distance != null
                && site.exhaust().run(place.line()).at(distance).filter(p -> p.segment().line() == Line.ALL)
                        .isPresent();
    }

    private static Finding tilt(Site site, Run run, Candidate place) {
        Limit limit = new Limit(AT_LEAST, angle(PlaceLimits.TILT));
        Double tilt = tiltOf(site, place).orElse(null);
        Double distance = place.distance();
        boolean slopeKnown = place.slope() != null
                || (distance != null && run.at(distance).filter(p -> p.segment().slope() != null).isPresent());
        if (tilt == null || !slopeKnown) {
            return new Finding(PlaceCheck.TILT, "Tilt to the earth", Verdict.UNKNOWN, null, limit,
                    tilt == null
                            ? "Enter the clock position."
                            : distance == null
                                    ? "Enter the distance along the pipe."
                                    : "Enter the pipe's slope there.",
                    null,
                    "asin(a·z), the sensor's axis against the earth", PRACTICE)
                    .asking(PlaceAsks.tilt(place, slopeKnown));
        }
        Attitude car = site.exhaust().attitude();
        Message working = Message.of(
                "asin(a·z) with clock {0}, pipe slope {1}, lean {2}, car nose up {3}, right side up {4}",
                angle(Objects.requireNonNull(place.clock())), tenths(slope(site.exhaust(), place)), angle(place.lean()),
                tenths(car.pitch()), tenths(car.roll()));
        Verdict verdict = PlaceLimits.tilt(tilt);
        String consequence = verdict == Verdict.PASS
                ? "Water runs off the ceramic."
                : tilt < 0
                        ? "The body hangs below the tip: water pools on the hot ceramic, and the road tears it off."
                        : "Condensed water reaches the hot ceramic: it cracks, or the heater shorts.";
        return new Finding(PlaceCheck.TILT, "Tilt to the earth", verdict, angle(tilt), limit, consequence, null,
                working, PRACTICE).asking(PlaceField.CLOCK.of(place.id()));
    }

    private static double slope(Exhaust exhaust, Candidate place) {
        return Math.asin(axes(exhaust, place).along().getZ());
    }

    /** Least distance from where distances count: after a turbine, else from the manifold, m. */
    public static double leastDistance(Run run) {
        return PlaceLimits.leastDistance(run);
    }

    private static Finding distance(Run run, @Nullable Double distance) {
        boolean turbine = run.turbine();
        String subject = turbine ? "After the turbine" : "From the manifold";
        Limit limit = new Limit(AT_LEAST, length(PlaceLimits.leastDistance(run)));
        if (distance == null || run.pieces().isEmpty()) {
            return new Finding(PlaceCheck.DISTANCE, subject, Verdict.UNKNOWN, null, limit,
                    distance == null ? "Enter the distance along the pipe." : "Enter what the exhaust begins with.",
                    null, "measured along the pipe's centre line", PRACTICE);
        }
        if (distance < 0 && turbine) {
            double ratio = ExhaustGas.pumpCurrentRatio(PRESSURE_BEFORE_TURBINE, 1, ExhaustGas.PRESSURE_CONSTANT);
            double cost = ExhaustGas.shown(LEAN_CRUISE, ratio) - LEAN_CRUISE;
            return new Finding(PlaceCheck.DISTANCE, subject, Verdict.FAIL, length(distance), limit,
                    "Before the turbine the exhaust pressure skews the pump current: never here. Into the down pipe, past the turbine.",
                    cost,
                    Message.of(
                            "Ip(p)/Ip(1 bar) = (p/(k+p))·((k+1)/1) = {0} at {1} bar absolute, k = {2}; cost at {3}",
                            number(ratio, 2), number(PRESSURE_BEFORE_TURBINE, 1),
                            number(ExhaustGas.PRESSURE_CONSTANT, 2),
                            new Measure(LEAN_CRUISE, Dimension.MIXTURE, 1)),
                    Source.memory("sensor pressure constant k = 0.35 to 0.45 bar"));
        }
        Verdict verdict = PlaceLimits.distance(run, distance);
        String consequence = verdict == Verdict.PASS
                ? turbine ? "Past the turbine's heat and pressure waves." : "Far enough from the ports' heat."
                : turbine
                        ? "Too near the turbine: heat and pressure waves reach the sensor."
                        : "Too near the engine: the sensor overheats.";
        return new Finding(PlaceCheck.DISTANCE, subject, verdict, length(distance), limit, consequence, null,
                "measured along the pipe's centre line", PRACTICE);
    }

    private static Finding piece(Run run, @Nullable AlongRun at) {
        if (at == null || run.pieces().isEmpty()) {
            return new Finding(PlaceCheck.PIECE, "Can a bung be fitted here", Verdict.UNKNOWN, null, null,
                    run.pieces().isEmpty() ? "Enter the pieces of the exhaust." : "Enter the distance along the pipe.",
                    null, "", PRACTICE);
        }
        Verdict verdict = PlaceLimits.piece(at);
        Run.Piece piece = at.piece();
        Message on = Message.plain(piece == null ? "" : piece.segment().kind().words());
        return new Finding(PlaceCheck.PIECE, "Can a bung be fitted here", verdict, null, null,
                piece == null
                        ? Message.plain("Past the pieces that were measured: there is no pipe here.")
                        : verdict == Verdict.PASS
                                ? Message.of("Set in the {0}.", on)
                                : Message.of("On the {0}: no bung can be set there and stay tight.", on),
                null, piece == null ? Message.NONE : Message.of("the place lies on the {0}", on), PRACTICE);
    }

    private static Finding catalyst(Site site, Run run, @Nullable AlongRun at) {
        Kind kind = run.catalyst().orElseThrow().segment().kind();
        Message subject = Message.of("Before the {0}",
                Message.plain(kind == Kind.STRAIGHT_THROUGH ? "open catalyst" : kind.words()));
        Double margin = at == null ? null : at.catalyst();
        Limit limit = new Limit(AT_LEAST, length(0));
        String working = "catalyst inlet less the place, along the pipe";
        if (margin == null) {
            return new Finding(PlaceCheck.CATALYST, "", Verdict.UNKNOWN, null, limit,
                    "Enter the distance along the pipe.", null, working, PRACTICE).named(subject);
        }
        Verdict verdict = PlaceLimits.catalyst(site, run, Objects.requireNonNull(at));
        String consequence = margin > 0
                ? "Fastest and truest gas."
                : verdict == Verdict.PASS
                        ? "After a straight-through catalyst, which this shop holds to be negligible."
                        : kind == Kind.STRAIGHT_THROUGH
                                ? "After a straight-through catalyst: some shops call it negligible; the reading may err either way. Record it."
                                : "After a working catalyst the reading is slower and may err either way: no reason to fuel it richer or leaner. Record it.";
        return new Finding(PlaceCheck.CATALYST, "", verdict, length(margin), limit, consequence, null, working,
                PRACTICE).named(subject);
    }

    private static Finding bank(Site site, @Nullable AlongRun at) {
        Run.Piece piece = at == null ? null : at.piece();
        if (at == null || piece == null) {
            return new Finding(PlaceCheck.BANK, "Bank seen", Verdict.UNKNOWN, null, null,
                    "Enter the place on the run first.", null, "", PRACTICE);
        }
        Line line = piece.segment().line();
        Verdict verdict = PlaceLimits.bank(site, at);
        Message seen = Message.plain(line == Line.ALL ? "both" : line.words());
        return new Finding(PlaceCheck.BANK, "", verdict, null, null,
                line == Line.ALL
                        ? Message.plain("After the merge: it sees every cylinder.")
                        : Message.of("It sees the {0} only: the other can run lean unseen. Write down which.", seen),
                null, Message.plain("whose gas flows in the piece it is set in"), PRACTICE)
                .named(Message.of("Bank seen: {0}", seen));
    }

    private static void falseAir(Run run, AlongRun at, Candidate place, List<Finding> findings) {
        Verdict end = PlaceLimits.openEnd(at.toEnd());
        findings.add(new Finding(PlaceCheck.OPEN_END, "To the open end", end,
                at.toEnd() == null ? null : length(at.toEnd()),
                new Limit(AT_LEAST, length(PlaceLimits.OPEN_END)), switch (end) {
                    case PASS -> "Far enough that no air is drawn back to it at idle.";
                    case UNKNOWN -> "Enter the length of every piece to the end.";
                    case WARN ->
                        "At idle air is drawn back from the open end: it reads lean there, and right under load.";
                    case FAIL ->
                        "Right at the open end air reaches it at any load. Farther in, or a longer pipe behind it.";
                }, null, "end of the run less the place", FALSE_AIR).asking(at.toEnd() == null
                        ? PlaceField.PIECE_LENGTH.of(run.pieces().getLast().segment().id())
                        : PlaceField.DISTANCE.of(place.id())));
        Verdict joints = PlaceLimits.joints(at);
        findings.add(new Finding(PlaceCheck.JOINTS, "Flanges and slip joints before it", joints, number(at.joints(), 0),
                new Limit(AT_MOST, number(PlaceLimits.JOINTS, 0)),
                joints == Verdict.PASS
                        ? "Few places where air can come in."
                        : "Each can draw air and read lean: test them tight cold, or go nearer the engine.",
                null, "slip joints, flanges and flexes that the gas has passed", FALSE_AIR)
                .asking(PlaceField.DISTANCE.of(place.id())));
        Double water = at.toWater();
        if (water != null) {
            Verdict wet = PlaceLimits.water(at);
            findings.add(new Finding(PlaceCheck.WATER, "Before the water", wet, length(water),
                    new Limit(AT_LEAST, length(0)), switch (wet) {
                        case PASS -> "In the dry part, and the riser keeps the water there.";
                        case WARN ->
                            "Water runs back to it when the engine stops or the boat rolls: a dry riser between it and the water.";
                        default ->
                            "Water is injected before it: it drowns the sensor. Into the dry part before the water, or the riser.";
                    }, null, "where water is injected less the place, along the pipe", WET)
                    .asking(PlaceField.DISTANCE.of(place.id())));
        }
        if (PlaceLimits.secondaryAir(at) != Verdict.PASS) {
            findings.add(new Finding(PlaceCheck.SECONDARY_AIR, "Secondary air", Verdict.WARN, null, null,
                    "Air is pumped in before it: it reads lean while the pump runs. Shut it off for every reading.",
                    null, "the air's inlet lies before the place", FALSE_AIR)
                    .asking(PlaceField.DISTANCE.of(place.id())));
        }
    }

    private static Finding lead(Site site, @Nullable AlongRun at) {
        Double spare = at == null ? null : at.lead();
        Verdict verdict = PlaceLimits.lead(spare);
        return new Finding(PlaceCheck.LEAD, "Lead to spare", verdict, spare == null ? null : length(spare),
                new Limit(AT_LEAST, length(0)), switch (verdict) {
                    case PASS -> "The lead reaches with slack at both ends.";
                    case UNKNOWN -> "Enter the lead's length, where it leaves the pipe and the way from there.";
                    default -> "The lead does not reach: nearer, or an extension made for it.";
                }, null, site.wired().laid() != null
                        ? Message.plain("as the cable was measured where it lies")
                        : Message.of("lead − |place − where it leaves the pipe| − way from there − {0} of slack",
                                length(AlongRun.SLACK)),
                ADDED_UP);
    }

    private static Finding gas(@Nullable AlongRun at) {
        Estimate gas = at == null ? null : at.gas();
        Verdict verdict = PlaceLimits.gas(gas);
        return new Finding(PlaceCheck.GAS, "Gas at full load", verdict,
                gas == null ? null : new Measure(gas.middle(), Dimension.TEMPERATURE, 0, gas.spread()),
                new Limit(AT_MOST, new Measure(PlaceLimits.GAS, Dimension.TEMPERATURE, 0)), switch (verdict) {
                    case PASS -> "Within what a sensor stands for long; an estimate, a probe in the gas tells.";
                    case UNKNOWN -> notMeasured();
                    case WARN -> "Perhaps hotter than the sensor stands: measure it there, or go farther.";
                    default -> "Hotter than the sensor stands: it drifts, then dies.";
                }, null, "air + (ports − turbine − air)·exp(−h·π·D·x/(ṁ·c)), h 40 to 80 W/m²K, at 6000/min",
                GAS_ESTIMATE);
    }

    /** Measured is measured: no estimate beside it. */
    private static Finding gas(double measured) {
        boolean kept = measured <= PlaceLimits.GAS;
        return new Finding(PlaceCheck.GAS, "Gas at full load", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(measured, Dimension.TEMPERATURE, 0),
                new Limit(AT_MOST, new Measure(PlaceLimits.GAS, Dimension.TEMPERATURE, 0)),
                kept
                        ? "Within what a sensor stands for long."
                        : "Hotter than the sensor stands: it drifts, then dies. Go farther from the engine.",
                null, "hottest gas measured at the place", GAS_ESTIMATE);
    }

    private static Finding delay(PlaceCheck id, String subject, @Nullable Double seconds, double limit, String slow) {
        Verdict verdict = PlaceLimits.atMost(seconds, limit);
        return new Finding(id, subject, verdict, seconds == null ? null : duration(seconds, 0),
                new Limit(AT_MOST, duration(limit, 0)), switch (verdict) {
                    case PASS -> "Soon enough for the reading to follow.";
                    case UNKNOWN -> notMeasured();
                    default -> slow;
                }, null, id == PlaceCheck.DELAY_IDLE
                        ? "V / ((D/2)(rpm/60)·VE·(1 + 1/AFR)·Tex/Tin) + 120/rpm at 800/min, volumetric efficiency 0.30"
                        : "V / ((D/2)(rpm/60)·VE·(1 + 1/AFR)·Tex/Tin) + 120/rpm at 6000/min, volumetric efficiency 0.90",
                DELAY);
    }

    private static Finding dry(@Nullable AlongRun at, double heaterHot) {
        Estimate dry = at == null ? null : at.dry();
        Verdict verdict = PlaceLimits.dry(dry, heaterHot);
        return new Finding(PlaceCheck.DRY, "Dry after a cold start", verdict,
                dry == null ? null : new Measure(dry.middle(), Dimension.DURATION, 0, dry.spread()),
                new Limit(AT_MOST, new Measure(heaterHot, Dimension.DURATION, 0)), switch (verdict) {
                    case PASS -> "Dry before the heater has the ceramic hot.";
                    case UNKNOWN -> notMeasured();
                    default -> "May be wet when the heater has the ceramic hot: power it later, or go nearer.";
                }, null,
                "ρ·c·wall·(dew point − air)/(h·(gas − air + 70 K for condensing water)) at fast idle, h 30 to 50 W/m²K, air 0 to 25 °C",
                DRYING);
    }

    private static String notMeasured() {
        return "Enter displacement, and length and diameter of every piece up to the place.";
    }

    private static Measure angle(double radians) {
        return new Measure(radians, Dimension.ANGLE, 0);
    }

    private static Measure tenths(double radians) {
        return new Measure(radians, Dimension.ANGLE, 1);
    }

    private static Measure number(double value, int decimals) {
        return new Measure(value, Dimension.NUMBER, decimals);
    }

    static Measure length(double metres) {
        return new Measure(metres, Dimension.LENGTH, 0);
    }

    private static Measure duration(double seconds, int decimals) {
        return new Measure(seconds, Dimension.DURATION, seconds < 1 ? 2 : decimals);
    }
}
