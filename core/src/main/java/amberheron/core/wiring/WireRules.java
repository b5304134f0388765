package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.HarnessRules;
import amberheron.core.parts.Address;
import amberheron.core.placement.Estimate;
import amberheron.core.plan.Engine.Supply;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.ScaleField;
import amberheron.core.scaling.WireEffect;
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
     * Facts of the rest of the job that the checks need.
     *
     * @param readers what reads the signal
     * @param law the controller's output law; null until chosen
     * @param dry time until the pipe is dry at the place taken, s; null while that is not known
     * @param supply what the vehicle's electrics give; null while that was not asked
     * @param tolerance what the trade lets gauge and reader differ by, λ
     */
    public record Installation(Set<ReaderKind> readers, @Nullable OutputLaw law, @Nullable Estimate dry,
            @Nullable Supply supply, double tolerance) {
        /** Steepest slope of the law that is used, λ/V; null without a law. */
        public @Nullable Double lambdaPerVolt() {
            return law == null ? null : law.lambdaPerVolt();
        }
    }

    /** Every check of the station. */
    public static List<Finding> judge(Wiring wiring, Installation at) {
        List<Finding> findings = new ArrayList<>(
                PowerRules.judge(wiring.source().orElse(null), wiring.feed(), wiring.fuse(), wiring.draw(),
                        wiring.electrics(at.supply())));
        boolean felt = wiring.signals().feelGround(at.readers());
        findings.add(groundShift(wiring.ground(), felt, at.lambdaPerVolt(), at.tolerance()));
        if (felt) {
            ripple(wiring.ground(), at.lambdaPerVolt(), at.tolerance()).ifPresent(findings::add);
        }
        findings.add(wiring.heater().judge(at.dry()));
        findings.addAll(SignalRules.judge(wiring.signals(), at.readers(), at.law(), at.tolerance()));
        findings.addAll(HarnessRules.judge(wiring.harness(), wiring.needed(at.readers()), wiring.chosen(at.readers()),
                heater(wiring)));
        return List.copyOf(findings);
    }

    private static HarnessRules.Heater heater(Wiring wiring) {
        GroundPlan ground = wiring.ground();
        Double peak = ground.loads().peak() == null ? wiring.draw() : ground.loads().peak();
        return new HarnessRules.Heater(ground.loads().mean() == null ? PowerRules.WARM : ground.loads().mean(),
                peak == null || peak == 0 ? PowerRules.DRAW : peak, ground.heaterWire());
    }

    /** How far the ground moves what a reader is fed, V; empty until it can be told. */
    public static Optional<Double> shift(Wiring wiring, Set<ReaderKind> readers) {
        return wiring.ground().cost().filter(c -> !wiring.ground().unproven())
                .map(c -> wiring.signals().feelGround(readers) ? c.shift() : 0);
    }

    /** Effect of grounds and input on the volts on their way to the reader; none while it is not known. */
    public static WireEffect effect(Wiring wiring, Set<ReaderKind> readers) {
        WireEffect loading = wiring.signals().loading(readers);
        return WireEffect.linear(loading.gain(), loading.shift() + shift(wiring, readers).orElse(0.0));
    }

    /** The heater pulses, and with it the ground: the mean is right, and the number dances about it. */
    private static Optional<Finding> ripple(GroundPlan ground, @Nullable Double lambdaPerVolt, double tolerance) {
        Double ripple = ground.cost().map(GroundPlan.Cost::ripple).orElse(null);
        if (ripple == null || lambdaPerVolt == null) {
            return Optional.empty();
        }
        double swing = ripple / 2 * lambdaPerVolt;
        boolean kept = Math.abs(swing) <= tolerance;
        return Optional.of(new Finding(WireCheck.RIPPLE, "Ground ripple", kept ? Verdict.PASS : Verdict.WARN,
                new Measure(Math.abs(ripple), Unit.VOLT.dimension(), 3),
                new Limit(AT_MOST, new Measure(2 * tolerance / Math.abs(lambdaPerVolt), Unit.VOLT.dimension(), 3)),
                kept
                        ? "The heater's pulses stay inside the trade's tolerance."
                        : "The number dances with the heater's pulses: part the grounds, or let the reader average over a second.",
                swing, "heater on less heater off, network solved; half of it to each side", COPPER)
                .asking(WireField.SCHOOL.address()));
    }

    private static Finding groundShift(GroundPlan ground, boolean felt, @Nullable Double lambdaPerVolt,
            double tolerance) {
        Optional<GroundPlan.Cost> cost = ground.cost();
        String subject = "Ground shift";
        if (!felt && ground.school() != null && !ground.throughSensorGround(ground.school())) {
            return new Finding(WireCheck.GROUND, subject, Verdict.PASS, null, null,
                    "It does not reach a reader that gets numbers, or the difference of two wires.", null,
                    "no reader measures volts against its own ground", COPPER).asking(WireField.SCHOOL.address());
        }
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
        double lambda = felt ? volts * lambdaPerVolt : 0;
        if (ground.unproven()) {
            return new Finding(WireCheck.GROUND, subject, Verdict.UNKNOWN, null, null,
                    "Rewired: measure between the two grounds again, engine running.", null, working, COPPER)
                    .asking(WireField.MEASURED.address());
        }
        Limit limit = new Limit(AT_MOST,
                new Measure(tolerance / Math.abs(lambdaPerVolt), Unit.VOLT.dimension(), 3));
        boolean kept = Math.abs(lambda) <= tolerance;
        Verdict verdict = !kept
                ? Verdict.FAIL
                : ground.throughSensorGround(cost.get().school()) ? Verdict.WARN : Verdict.PASS;
        Message says = cure(ground, felt, lambdaPerVolt, tolerance).map(c -> Message.of(kept
                ? "The heater's amperes go through the reader's sensor ground and shift every sensor on it. {0}"
                : "The reader is fed shifted volts. {0}", c.text()))
                .orElse(Message.plain("Inside the trade's tolerance."));
        return new Finding(WireCheck.GROUND, subject, verdict, figure, limit, says, lambda,
                Message.of("{0} × {1} λ/V", working, Measure.of(lambdaPerVolt, Unit.ONE, 3)), COPPER)
                .asking(WireField.SCHOOL.address());
    }

    /** Returns the cure of the ground; empty where nothing has to be mended, or where the volts are not known to cost anything. */
    public static Optional<GroundCure> cure(Wiring wiring, Installation at) {
        return cure(wiring.ground(), wiring.signals().feelGround(at.readers()), at.lambdaPerVolt(), at.tolerance());
    }

    private static Optional<GroundCure> cure(GroundPlan ground, boolean felt, @Nullable Double lambdaPerVolt,
            double tolerance) {
        return lambdaPerVolt == null
                ? Optional.empty()
                : GroundCure.of(ground, felt ? tolerance / Math.abs(lambdaPerVolt) : Double.MAX_VALUE);
    }

    /** Measures that the shift waits for. */
    private static List<Address> unmeasured(GroundPlan ground) {
        GroundPlan.GroundSchool school = ground.school();
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
        if (ground.wires().section() == null) {
            asks.add(WireField.SECTION.address());
        }
        if (ground.loads().mean() == null) {
            asks.add(WireField.MEAN.address());
        }
        return asks;
    }

    private static Message working(GroundPlan ground, GroundPlan.Cost cost) {
        if (cost.measured()) {
            return Message.plain("measured between the two grounds, the heater working");
        }
        Double mean = ground.loads().mean();
        Double display = ground.loads().display();
        return ground.twoWires() || mean == null
                ? Message.plain("the signal's ground has a wire of its own, network solved")
                : Message.of("{0} × {1} of ground wire, network solved: {2} mV",
                        Measure.of(mean + (display == null ? 0 : display), Unit.AMPERE, 2),
                        Measure.of(ground.wire(cost.school()), Unit.OHM, 4),
                        Measure.of(1000 * cost.shift(), Unit.ONE, 1));
    }
}
