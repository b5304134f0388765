package amberheron.core.harness;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Judges chart, route, joints and what was found when they were done. */
public final class HarnessRules {
    /** Greatest loss between source and controller, both ways, the heater on, V; from memory. */
    static final double DROP = 0.5;
    private static final Source DROPS = Source
            .memory("drop measured under load, both ways together: half a volt at most");

    private HarnessRules() {
    }

    /**
     * Currents that the heater asks of the wires.
     *
     * @param mean current, A
     * @param peak current while it is on, A
     * @param ground resistance of its ground wire by length and size, Ω; null while they are not known
     */
    public record Heater(double mean, double peak, @Nullable Double ground) {
        /** Returns the greatest resistance that a wire carrying it may have, Ω: half a volt is lost in it. */
        double mostOhms() {
            return DROP / peak;
        }
    }

    /**
     * Every check of a harness.
     *
     * @param needed the lines this job cannot do without
     * @param chosen those of them of which it was said where they go
     */
    public static List<Finding> judge(Harness harness, List<Wire> needed, List<Wire> chosen, Heater heater) {
        List<Finding> findings = new ArrayList<>(ChartRules.judge(harness.chart(), needed, chosen, heater));
        findings.addAll(JointRules.judge(harness.joints(), heater.mean()));
        JointRules.ofNoWire(harness.joints(), harness.chart()).ifPresent(findings::add);
        findings.addAll(RouteRules.judge(harness.route()));
        findings.add(drop(harness.asWired()));
        return List.copyOf(findings);
    }

    private static Finding drop(AsWired wired) {
        Double source = wired.atSource();
        Double there = wired.atController();
        Limit limit = new Limit(AT_MOST, new Measure(DROP, Dimension.VOLTAGE, 2));
        Message working = Message.plain(
                "volts at the source less volts between the controller's own pins, the heater on");
        if (source == null || there == null) {
            return new Finding(HarnessCheck.WIRED_DROP, "Supply lost on the way", Verdict.UNKNOWN, null, limit,
                    "Once wired: measure at the source and at the controller, the heater on.", null, working, DROPS)
                    .asking(Stream.of(HarnessField.AT_SOURCE, HarnessField.AT_CONTROLLER)
                            .filter(f -> (f == HarnessField.AT_SOURCE ? source : there) == null)
                            .map(HarnessField::address).toList());
        }
        double drop = source - there;
        boolean negative = drop < -0.05;
        boolean kept = limit.keptBy(drop) && !negative;
        return new Finding(HarnessCheck.WIRED_DROP, "Supply lost on the way", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(drop, Dimension.VOLTAGE, 2), limit,
                kept
                        ? "Joints, fuse and ground carry it."
                        : negative
                                ? "More at the controller than at the source: not the same moment, or not the same circuit."
                                : "A joint, the fuse holder or the ground loses it: measure along the way.",
                null,
                Message.of("{0}: {1} − {2}", working, Measure.of(source, Unit.ONE, 2), Measure.of(there, Unit.VOLT, 2)),
                DROPS).asking(HarnessField.AT_CONTROLLER.address(), HarnessField.AT_SOURCE.address());
    }
}
