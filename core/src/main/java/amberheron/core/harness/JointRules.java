package amberheron.core.harness;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Joints.JointSchool;
import amberheron.core.harness.Joints.Test;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Judges the joints. */
public final class JointRules {
    /** Greatest resistance of a sound joint, Ω; from memory. */
    static final double OHMS = 0.005;
    /** Sections and the pull a crimp on them stands, m² and N: 22 to 12 AWG. */
    private static final double[][] PULLS = {{0.326e-6, 36}, {0.518e-6, 58}, {0.823e-6, 89}, {1.31e-6, 133},
            {2.08e-6, 222}, {3.31e-6, 311}};
    private static final Source PULL = Source
            .memory("pull strengths of crimped terminals by wire size, 36 N at 22 AWG to 311 N at 12 AWG");
    private static final Source RESISTANCE = Source.memory("a sound joint adds under 5 mΩ");

    private JointRules() {
    }

    /**
     * Every check of the joints.
     *
     * @param heater mean current while the volts across a joint are read, A
     */
    public static List<Finding> judge(Joints joints, double heater) {
        List<Finding> findings = new ArrayList<>();
        findings.add(steps(joints));
        JointSchool school = joints.school();
        if (school != null && school.pulled()) {
            findings.add(pull(joints));
        }
        if (school != null && school.made()) {
            findings.add(drop(joints, heater));
        }
        return List.copyOf(findings);
    }

    /** Judges joints that name a wire which the chart does not have; empty where all are of a wire that is there. */
    static Optional<Finding> ofNoWire(Joints joints, Chart chart) {
        List<Test> lost = joints.tested().stream().filter(t -> !t.wire().isBlank())
                .filter(t -> chart.wires().stream().noneMatch(w -> w.tag().equalsIgnoreCase(t.wire().strip())))
                .toList();
        return lost.isEmpty()
                ? Optional.empty()
                : Optional.of(new Finding(HarnessCheck.JOINT_WIRE, "Wire joints on a wire that is not in the chart",
                        Verdict.FAIL, new Measure(lost.size(), Dimension.NUMBER, 0),
                        new Limit(AT_MOST, new Measure(0, Dimension.NUMBER, 0)),
                        Message.of("No line for {0}: write it into the chart, or the joint's right wire.",
                                Message.joined(", ", lost.stream().map(t -> Message.plain(t.wire())).toList())),
                        null, Message.plain("tags of tested joints that no line of the chart has"), Joints.SOURCE)
                        .asking(HarnessField.JOINT_WIRE.of(lost.getFirst().id())));
    }

    /** Returns the pull that a joint has to stand, N, interpolated between the wire sizes of the table. */
    public static double leastPull(double section) {
        if (section <= PULLS[0][0]) {
            return PULLS[0][1] * section / PULLS[0][0];
        }
        for (int i = 1; i < PULLS.length; i++) {
            if (section <= PULLS[i][0]) {
                double part = (section - PULLS[i - 1][0]) / (PULLS[i][0] - PULLS[i - 1][0]);
                return PULLS[i - 1][1] + part * (PULLS[i][1] - PULLS[i - 1][1]);
            }
        }
        return PULLS[PULLS.length - 1][1];
    }

    private static Finding steps(Joints joints) {
        JointSchool school = joints.school();
        if (school == null) {
            return new Finding(HarnessCheck.JOINT_STEPS, "Wire joints, steps not done", Verdict.UNKNOWN, null, null,
                    "Say how the wires are joined. Never twisted and taped, no scissor splice on a sensor lead.", null,
                    "steps of the way taken that are not ticked", Joints.SOURCE)
                    .asking(HarnessField.JOINT_SCHOOL.address());
        }
        long open = school.steps().size()
                - joints.done().stream().filter(s -> s >= 0 && s < school.steps().size()).count();
        return new Finding(HarnessCheck.JOINT_STEPS, "Wire joints, steps not done",
                open == 0 ? Verdict.PASS : Verdict.UNKNOWN,
                new Measure(open, Dimension.NUMBER, 0),
                new Limit(AT_MOST, new Measure(0, Dimension.NUMBER, 0)),
                open == 0
                        ? Message.of("Done as {0}.", Message.plain(school.words()))
                        : Message.plain("Tick each step as it is done."),
                null, Message.plain("steps of the way taken that are not ticked"), Joints.SOURCE)
                .asking(HarnessField.JOINT_STEP.of(String.valueOf(IntStream.range(0, school.steps().size())
                        .filter(s -> !joints.done().contains(s)).findFirst().orElse(0))));
    }

    private static Finding pull(Joints joints) {
        Optional<Test> worst = joints.tested().stream().filter(t -> t.pull() != null && t.section() != null)
                .min(Comparator.comparingDouble(
                        t -> Objects.requireNonNull(t.pull()) / leastPull(Objects.requireNonNull(t.section()))));
        if (worst.isEmpty()) {
            return new Finding(HarnessCheck.JOINT_PULL, "Pull test", Verdict.UNKNOWN, null, null,
                    "Pull a joint of each size, with the wire's size beside it.", null, "least pull for its size",
                    PULL).asking(lacking(joints, HarnessField.JOINT_PULL, Test::pull));
        }
        Test test = worst.get();
        double pull = Objects.requireNonNull(test.pull());
        Limit limit = new Limit(AT_LEAST,
                new Measure(leastPull(Objects.requireNonNull(test.section())), Dimension.FORCE, 0));
        boolean kept = limit.keptBy(pull);
        return new Finding(HarnessCheck.JOINT_PULL, "Pull test", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(pull, Dimension.FORCE, 0), limit,
                kept
                        ? Message.of("{0} is the weakest for its size.", named(test))
                        : Message.of("{0} pulled out: wrong die or too few strands; make it again.", named(test)),
                null, Message.plain("the joint that stood least for its size"), PULL)
                .asking(HarnessField.JOINT_PULL.of(test.id()));
    }

    /** The joint by its wire's tag, where that is written. */
    private static Message named(Test test) {
        return test.wire().isBlank() ? Message.plain("A joint") : Message.of("Wire {0}", Message.plain(test.wire()));
    }

    /** Returns the address of the value in the first joint that lacks it; of a joint to begin with where there is none. */
    private static Address lacking(Joints joints, HarnessField field, Function<Test, @Nullable Double> value) {
        // Only a pull is held to the wire's size.
        boolean sized = field == HarnessField.JOINT_PULL;
        return joints.tested().stream().filter(t -> value.apply(t) == null || (sized && t.section() == null))
                .findFirst().map(t -> (value.apply(t) == null ? field : HarnessField.JOINT_SECTION).of(t.id()))
                .orElse(HarnessField.JOINTS.address());
    }

    private static Finding drop(Joints joints, double heater) {
        Optional<Test> worst = joints.tested().stream().filter(t -> t.drop() != null)
                .max(Comparator.comparing(Test::drop));
        Limit limit = new Limit(AT_MOST, new Measure(OHMS * heater, Dimension.VOLTAGE, 4));
        Message working = Message.of("the highest read; {0} at {1}", new Measure(OHMS, Dimension.RESISTANCE, 3),
                new Measure(heater, Dimension.CURRENT, 1));
        if (worst.isEmpty()) {
            return new Finding(HarnessCheck.JOINT_DROP, "Volts across a joint", Verdict.UNKNOWN, null, limit,
                    Message.plain("Meter on millivolts across a joint that carries the heater, the heater working."),
                    null,
                    working, RESISTANCE).asking(lacking(joints, HarnessField.JOINT_DROP, Test::drop));
        }
        double drop = Objects.requireNonNull(worst.get().drop());
        boolean kept = limit.keptBy(drop);
        return new Finding(HarnessCheck.JOINT_DROP, "Volts across a joint", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(drop, Dimension.VOLTAGE, 4), limit,
                kept
                        ? Message.of("{0} is the highest.", named(worst.get()))
                        : Message.of("{0} is soldered cold or crimped loose: it warms, and gets worse.",
                                named(worst.get())),
                null, working, RESISTANCE).asking(HarnessField.JOINT_DROP.of(worst.get().id()));
    }
}
