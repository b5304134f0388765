package amberheron.core.placement;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges a place by the trade's rules. */
public final class PlaceRules {
    /** Least tilt of the body above the horizon, radians. */
    public static final double LEAST_TILT = Math.toRadians(10);
    /** Least distance after a turbine, m. */
    public static final double AFTER_TURBINE = 0.46;
    /** Least distance from the manifold when there is no turbine, m. */
    public static final double AFTER_MANIFOLD = 0.45;

    /** Absolute pressure taken before a turbine on boost, bar; stated with the finding. */
    private static final double PRESSURE_BEFORE_TURBINE = 2.0;
    private static final double PUMP_CONSTANT = 0.45;
    /** Mixture at which the cost of a skewed pump current is quoted: the free-air side, where it acts most. */
    private static final double LEAN_CRUISE = 1.2;

    private static final Source PRACTICE = Source.practice("bung placement");

    private PlaceRules() {
    }

    /** Every rule for one place, in the order an installer checks them. */
    public static List<Finding> judge(Exhaust exhaust, Candidate place) {
        List<Finding> findings = new ArrayList<>();
        findings.add(tilt(exhaust, place));
        findings.add(distance(exhaust, place));
        if (exhaust.catalyst() != Exhaust.Catalyst.NONE) {
            findings.add(catalyst(exhaust, place));
        }
        return List.copyOf(findings);
    }

    /** The worst verdict a place gets. */
    public static Verdict verdict(Exhaust exhaust, Candidate place) {
        return Verdict.worst(judge(exhaust, place).stream().map(Finding::verdict).toList());
    }

    /** The place a school would take: among those with the best verdict that is not a fail, the tilt it likes most. */
    public static Optional<Candidate> choice(Exhaust exhaust, List<Candidate> places, TiltSchool school) {
        return places.stream().filter(p -> p.clock() != null && p.distance() != null)
                .filter(p -> verdict(exhaust, p) != Verdict.FAIL)
                .min(Comparator.comparing((Candidate p) -> verdict(exhaust, p))
                        .thenComparingDouble(p -> school.distaste(tiltOf(exhaust, p).orElseThrow()))
                        .thenComparingDouble(p -> p.distance() == null ? Double.MAX_VALUE : p.distance()));
    }

    /** Tilt against the earth, radians; empty until the clock position is known. */
    public static Optional<Double> tiltOf(Exhaust exhaust, Candidate place) {
        return Optional.ofNullable(place.clock())
                .map(clock -> SensorTilt.of(clock, place.slope(), place.lean(), exhaust.roll()));
    }

    private static Finding tilt(Exhaust exhaust, Candidate place) {
        Limit limit = new Limit(AT_LEAST, angle(LEAST_TILT));
        Double tilt = tiltOf(exhaust, place).orElse(null);
        String working = tilt == null
                ? "asin(a·z), the sensor's axis against the earth"
                : String.format(Locale.ROOT,
                        "asin(a·z) with clock %.0f°, pipe slope %.0f°, lean %.0f°, car roll %.0f°",
                        Math.toDegrees(clock(place)),
                        Math.toDegrees(place.slope()), Math.toDegrees(place.lean()), Math.toDegrees(exhaust.roll()));
        Verdict verdict = byLimit(limit, tilt);
        String consequence = switch (verdict) {
            case PASS -> "Water runs off the ceramic.";
            case UNKNOWN -> "Enter the clock position.";
            default -> tilt != null && tilt < 0
                    ? "The body hangs below the tip: water pools on the hot ceramic, and the road tears it off."
                    : "Condensed water reaches the hot ceramic: it cracks, or the heater shorts.";
        };
        return new Finding("tilt", "Tilt to the earth", verdict, tilt == null ? null : angle(tilt), limit, consequence,
                null, working, PRACTICE);
    }

    private static Finding distance(Exhaust exhaust, Candidate place) {
        boolean turbine = exhaust.turbine();
        String subject = turbine ? "After the turbine" : "From the manifold";
        Limit limit = new Limit(AT_LEAST, length(turbine ? AFTER_TURBINE : AFTER_MANIFOLD));
        Double distance = place.distance();
        if (distance != null && distance < 0 && turbine) {
            double ratio = ExhaustGas.pumpCurrentRatio(PRESSURE_BEFORE_TURBINE, 1, PUMP_CONSTANT);
            double cost = (ratio - 1) * (LEAN_CRUISE - 1);
            return new Finding("distance", subject, Verdict.FAIL, length(distance), limit,
                    "Before the turbine the exhaust pressure skews the pump current: never here.", cost,
                    String.format(Locale.ROOT,
                            "Ip(p)/Ip(1 bar) = (p/(k+p))·((k+1)/1) = %.2f at %.1f bar absolute, k = %.2f; cost at λ %.1f",
                            ratio, PRESSURE_BEFORE_TURBINE, PUMP_CONSTANT, LEAN_CRUISE),
                    Source.memory("sensor pressure constant k = 0.35 to 0.45 bar"));
        }
        Verdict verdict = byLimit(limit, distance);
        String consequence = switch (verdict) {
            case PASS -> turbine ? "Past the turbine's heat and pressure waves." : "Far enough from the ports' heat.";
            case UNKNOWN -> "Enter the distance along the pipe.";
            default -> turbine
                    ? "Too near the turbine: heat and pressure waves reach the sensor."
                    : "Too near the engine: the sensor overheats.";
        };
        return new Finding("distance", subject, verdict, distance == null ? null : length(distance), limit, consequence,
                null, "measured along the pipe's centre line", PRACTICE);
    }

    private static Finding catalyst(Exhaust exhaust, Candidate place) {
        Double at = exhaust.catalystAt();
        Double distance = place.distance();
        String subject = "Before the " + exhaust.catalyst().words();
        if (at == null || distance == null) {
            return new Finding("catalyst", subject, Verdict.UNKNOWN, null, null,
                    "Enter how far along the pipe the catalyst starts.", null, "", PRACTICE);
        }
        Measure margin = length(at - distance);
        Limit limit = new Limit(AT_LEAST, length(0));
        String working = "catalyst inlet less the place, along the pipe";
        if (distance < at) {
            return new Finding("catalyst", subject, Verdict.PASS, margin, limit, "Fastest and truest gas.", null,
                    working, PRACTICE);
        }
        boolean open = exhaust.catalyst() == Exhaust.Catalyst.STRAIGHT_THROUGH;
        return new Finding("catalyst", subject, Verdict.WARN, margin, limit,
                open
                        ? "After a straight-through catalyst: one school calls it negligible; the reading can err lean. Record it."
                        : "After the catalyst the reading is slower and errs lean, so the tuner adds fuel: the safe side. Record it.",
                null, working, PRACTICE);
    }

    private static Verdict byLimit(Limit limit, @Nullable Double figure) {
        if (figure == null) {
            return Verdict.UNKNOWN;
        }
        return limit.keptBy(figure) ? Verdict.PASS : Verdict.FAIL;
    }

    private static double clock(Candidate place) {
        Double clock = place.clock();
        return clock == null ? 0 : clock;
    }

    private static Measure angle(double radians) {
        return new Measure(radians, Unit.DEGREE.dimension(), 0);
    }

    private static Measure length(double metres) {
        return new Measure(metres, Unit.METRE.dimension(), 0);
    }
}
