package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring.Ground;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges the power source, the fuse and the ground. */
public final class WireRules {
    /** Above this with the key off the source is live all the time, V. */
    private static final double DEAD = 0.5;
    /** Below this with the key on the source is weak, V. */
    private static final double LIVE = 11.0;
    /** Below this while cranking the heater's supply is as good as lost, V. */
    private static final double CRANKING = 6.0;
    /** The usual fuse, A. */
    private static final double FUSE = 5.0;
    /** The usual greatest draw while heating, A. */
    public static final double DRAW = 3.0;
    private static final Source SOURCE_PRACTICE = Source
            .practice("0 V key off, about 12 V key on, still there while cranking");
    private static final Source FUSE_PRACTICE = Source.practice("5 A fuse, unit draws up to about 3 A while heating");
    private static final Source COPPER = Source.published("IEC 60028 (copper), ASTM B258 (AWG)");

    private WireRules() {
    }

    /**
     * Every check of the station.
     *
     * @param lambdaPerVolt slope of the reader's setting, λ/V: turns a shift in volts into a shift of the reading;
     *        null when no law is known yet
     * @param tolerance what the trade lets gauge and reader differ by, λ
     */
    public static List<Finding> judge(Wiring wiring, @Nullable Double lambdaPerVolt, double tolerance) {
        return List.of(keyOff(wiring.volts().off()), keyOn(wiring.volts().on()), cranking(wiring.volts().cranking()),
                fuse(wiring), groundShift(wiring.ground(), lambdaPerVolt, tolerance));
    }

    /**
     * How far the reader's ground is off the controller's, V: heater current × resistance of the shared wire. Zero when
     * nothing is shared; empty until it can be told.
     */
    public static Optional<Double> shift(Ground ground) {
        Boolean shared = ground.shared();
        if (shared == null) {
            return Optional.empty();
        }
        if (!shared) {
            return Optional.of(0.0);
        }
        Double length = ground.length();
        Double section = ground.crossSection();
        Double current = ground.current();
        if (length == null || section == null || current == null) {
            return Optional.empty();
        }
        return Optional.of(current * new Conductor(length, section).resistance());
    }

    private static Finding keyOff(@Nullable Double volts) {
        Verdict verdict = volts == null ? Verdict.UNKNOWN : volts <= DEAD ? Verdict.PASS : Verdict.FAIL;
        return source("off", "Source, key off", volts, new Limit(AT_MOST, volts(DEAD)), verdict,
                switch (verdict) {
                    case PASS -> "Dead with the key off.";
                    case UNKNOWN -> "Measure with the key off.";
                    default ->
                        "Live with the key off: flattens the battery and cooks the sensor. Take another source or a relay.";
                });
    }

    private static Finding keyOn(@Nullable Double volts) {
        Verdict verdict = volts == null
                ? Verdict.UNKNOWN
                : volts >= LIVE ? Verdict.PASS : volts <= DEAD ? Verdict.FAIL : Verdict.WARN;
        return source("on", "Source, key on", volts, new Limit(AT_LEAST, volts(LIVE)), verdict, switch (verdict) {
            case PASS -> "Live with the key.";
            case UNKNOWN -> "Measure with the key on.";
            case WARN -> "Weak with the key on: the heater stays cold. Use a relay.";
            case FAIL -> "Dead with the key on: not a supply.";
        });
    }

    private static Finding cranking(@Nullable Double volts) {
        Verdict verdict = volts == null ? Verdict.UNKNOWN : volts >= CRANKING ? Verdict.PASS : Verdict.WARN;
        return source("cranking", "Source, cranking", volts, new Limit(AT_LEAST, volts(CRANKING)), verdict,
                switch (verdict) {
                    case PASS -> "Holds while the starter turns.";
                    case UNKNOWN -> "Measure while cranking.";
                    default ->
                        "Lost while cranking: the controller restarts with every start. Take another source or a relay.";
                });
    }

    private static Finding source(String id, String subject, @Nullable Double volts, Limit limit, Verdict verdict,
            String consequence) {
        return new Finding(id, subject, verdict, volts == null ? null : volts(volts), limit, consequence, null,
                "read with a meter at the source, load connected", SOURCE_PRACTICE);
    }

    private static Finding fuse(Wiring wiring) {
        Double fuse = wiring.fuse();
        double draw = Optional.ofNullable(wiring.draw()).orElse(DRAW);
        Limit limit = new Limit(AT_MOST, new Measure(FUSE, Unit.AMPERE.dimension(), 1));
        Verdict verdict = fuse == null
                ? Verdict.UNKNOWN
                : fuse <= draw ? Verdict.FAIL : fuse > FUSE ? Verdict.WARN : Verdict.PASS;
        String consequence = switch (verdict) {
            case PASS -> "Above the draw, below what the wire stands. A tapped circuit keeps its own rating.";
            case UNKNOWN -> "Enter the fuse.";
            case WARN -> "Bigger than usual: it must stay below what the thinnest wire stands.";
            case FAIL -> "Not above the draw while heating: it will blow on a cold start.";
        };
        return new Finding("fuse", "Fuse", verdict,
                fuse == null ? null : new Measure(fuse, Unit.AMPERE.dimension(), 1), limit, consequence, null,
                String.format(Locale.ROOT, "draw %.1f A < fuse ≤ %.0f A", draw, FUSE), FUSE_PRACTICE);
    }

    private static Finding groundShift(Ground ground, @Nullable Double lambdaPerVolt, double tolerance) {
        Optional<Double> shift = shift(ground);
        String subject = "Ground shift";
        if (shift.isEmpty()) {
            return new Finding("ground", subject, Verdict.UNKNOWN, null, null,
                    ground.shared() == null
                            ? "Say whether the heater's return shares the signal's ground."
                            : "Enter length, wire size and current of the shared ground.",
                    null, "V = I·ρ·l/A", COPPER);
        }
        double volts = shift.get();
        Measure figure = new Measure(volts, Unit.VOLT.dimension(), 3);
        String working = Boolean.TRUE.equals(ground.shared())
                ? String.format(Locale.ROOT, "%.2f A × %.4f Ω", ground.current(), volts / nonZero(ground.current()))
                : "nothing shared: no heater current in the signal's ground";
        if (lambdaPerVolt == null) {
            return new Finding("ground", subject, volts == 0 ? Verdict.PASS : Verdict.UNKNOWN, figure, null,
                    volts == 0
                            ? "The heater's return keeps out of the signal."
                            : "Choose a law at Scale to see what it costs.",
                    null, working, COPPER);
        }
        double cost = volts * lambdaPerVolt;
        Limit limit = new Limit(AT_MOST,
                new Measure(tolerance / Math.abs(lambdaPerVolt), Unit.VOLT.dimension(), 3));
        boolean kept = Math.abs(cost) <= tolerance;
        return new Finding("ground", subject, kept ? Verdict.PASS : Verdict.FAIL, figure, limit,
                kept
                        ? "Inside the trade's tolerance."
                        : "The reader is fed shifted volts: part the grounds, or take both at one point.",
                cost, working + String.format(Locale.ROOT, " × %.3f λ/V", lambdaPerVolt), COPPER);
    }

    private static double nonZero(@Nullable Double current) {
        return current == null || current == 0 ? 1 : current;
    }

    private static Measure volts(double volts) {
        return new Measure(volts, Unit.VOLT.dimension(), 1);
    }
}
