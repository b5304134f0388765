package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring.Ground;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges power and ground. */
public final class WireRules {
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
        List<Finding> findings = new ArrayList<>(
                PowerRules.judge(wiring.source().orElse(null), wiring.feed(), wiring.fuse(), wiring.draw()));
        findings.add(groundShift(wiring.ground(), lambdaPerVolt, tolerance));
        return List.copyOf(findings);
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
}
