package amberheron.core.wiring;

import amberheron.core.scaling.ScaleField;
import amberheron.core.parts.Address;
import amberheron.core.finding.Message;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.HarnessRules;
import amberheron.core.placement.Estimate;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Judges the whole of the wiring. */
public final class WireRules {
    private static final Source COPPER = Source.published("IEC 60028 (copper), ASTM B258 (AWG)");

    private WireRules() {
    }

    /**
     * What the checks need to know of the rest of the job.
     *
     * @param readers what reads the signal
     * @param law the controller's output law; null until chosen
     * @param dry time until the pipe is dry at the place taken, s; null while that is not known
     * @param tolerance what the trade lets gauge and reader differ by, λ
     */
    public record Surroundings(Set<ReaderKind> readers, @Nullable OutputLaw law, @Nullable Estimate dry,
            double tolerance) {
        /** Mean slope of the law, λ/V: turns a shift in volts into a shift of the reading; null without a law. */
        public @Nullable Double lambdaPerVolt() {
            return law == null ? null : law.lambdaPerVolt();
        }
    }

    /** Every check of the station. */
    public static List<Finding> judge(Wiring wiring, Surroundings at) {
        List<Finding> findings = new ArrayList<>(
                PowerRules.judge(wiring.source().orElse(null), wiring.feed(), wiring.fuse(), wiring.draw()));
        findings.add(groundShift(wiring.ground(), at.lambdaPerVolt(), at.tolerance()));
        findings.add(wiring.heater().judge(at.dry()));
        findings.addAll(SignalRules.judge(wiring.signals(), at.readers(), at.law(), at.tolerance()));
        findings.addAll(HarnessRules.judge(wiring.harness(), wiring.needed(at.readers())));
        return List.copyOf(findings);
    }

    /** How far the controller's ground is over the reader's, V; empty until it can be told. */
    public static Optional<Double> shift(GroundPlan ground) {
        return ground.cost().map(GroundPlan.Cost::shift);
    }

    private static Finding groundShift(GroundPlan ground, @Nullable Double lambdaPerVolt, double tolerance) {
        Optional<GroundPlan.Cost> cost = ground.cost();
        String subject = "Ground shift";
        if (cost.isEmpty()) {
            return new Finding(WireCheck.GROUND, subject, Verdict.UNKNOWN, null, null,
                    ground.school() == null
                            ? "Say where the grounds are taken."
                            : "Enter length, size and heater current of the ground wire.",
                    null, "the ground network solved by Ohm's and Kirchhoff's laws", COPPER)
                    .asking(unmeasured(ground));
        }
        double volts = cost.get().shift();
        Measure figure = new Measure(volts, Unit.VOLT.dimension(), 3);
        Message working = working(ground, cost.get());
        if (lambdaPerVolt == null) {
            boolean none = Math.abs(volts) < 5e-4;
            return new Finding(WireCheck.GROUND, subject, none ? Verdict.PASS : Verdict.UNKNOWN, figure, null,
                    none
                            ? "The heater's return keeps out of the signal."
                            : "Choose a law at Scale to see what it costs.",
                    null, working, COPPER).asking(ScaleField.LAW.address());
        }
        double lambda = volts * lambdaPerVolt;
        Limit limit = new Limit(AT_MOST,
                new Measure(tolerance / Math.abs(lambdaPerVolt), Unit.VOLT.dimension(), 3));
        boolean kept = Math.abs(lambda) <= tolerance;
        Verdict verdict = !kept
                ? Verdict.FAIL
                : ground.throughSensorGround(cost.get().school()) ? Verdict.WARN : Verdict.PASS;
        Message says = cure(ground, lambdaPerVolt, tolerance).map(c -> Message.of(kept
                ? "The heater's amperes go through the reader's sensor ground and shift every sensor on it. {0}"
                : "The reader is fed shifted volts. {0}", c.text()))
                .orElse(Message.plain("Inside the trade's tolerance."));
        return new Finding(WireCheck.GROUND, subject, verdict, figure, limit, says, lambda,
                Message.of("{0} × {1} λ/V", working, Measure.of(lambdaPerVolt, Unit.ONE, 3)), COPPER)
                .asking(WireField.SCHOOL.address());
    }

    /** What mends the ground; empty where nothing has to be mended, or where the volts are not known to cost anything. */
    public static Optional<GroundCure> cure(GroundPlan ground, @Nullable Double lambdaPerVolt, double tolerance) {
        return lambdaPerVolt == null ? Optional.empty() : GroundCure.of(ground, tolerance / Math.abs(lambdaPerVolt));
    }

    /** What the shift waits for. */
    private static List<Address> unmeasured(GroundPlan ground) {
        GroundPlan.School school = ground.school();
        if (school == null) {
            return List.of(WireField.SCHOOL.address());
        }
        List<Address> asks = new ArrayList<>();
        if (ground.length(school) == null) {
            asks.add(switch (school) {
                case BATTERY -> WireField.TO_BATTERY.address();
                case CHASSIS, SAME_POINT -> WireField.TO_CHASSIS.address();
                case READER -> WireField.TO_READER.address();
            });
        }
        if (ground.section() == null) {
            asks.add(WireField.SECTION.address());
        }
        if (ground.mean() == null) {
            asks.add(WireField.MEAN.address());
        }
        return asks;
    }

    private static Message working(GroundPlan ground, GroundPlan.Cost cost) {
        if (cost.measured()) {
            return Message.plain("measured between the two grounds, the heater working");
        }
        Measure ripple = Measure.of(1000 * cost.ripple(), Unit.ONE, 1);
        Double mean = ground.mean();
        Double display = ground.display();
        return ground.twoWires() || mean == null
                ? Message.of("the signal's ground has a wire of its own; ripple {0} mV", ripple)
                : Message.of("{0} × {1} of ground wire, network solved: {2} mV, ripple {3} mV",
                        Measure.of(mean + (display == null ? 0 : display), Unit.AMPERE, 2),
                        Measure.of(ground.wire(cost.school()), Unit.OHM, 4),
                        Measure.of(1000 * cost.shift(), Unit.ONE, 1), ripple);
    }
}
