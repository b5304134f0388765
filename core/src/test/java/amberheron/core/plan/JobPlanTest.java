package amberheron.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.Link;
import amberheron.core.plan.Intake.Question;
import amberheron.core.plan.Intake.ReaderKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class JobPlanTest {
    private static final Intake WELDED = Intake.BLANK;

    private static List<String> ids(JobPlan plan) {
        return plan.steps().stream().map(Step::key).toList();
    }

    private static Step step(JobPlan plan, String id) {
        return plan.steps().stream().filter(s -> s.key().equals(id)).findFirst().orElseThrow();
    }

    private static void keepsItsOrder(JobPlan plan) {
        List<String> order = ids(plan);
        for (Step step : plan.steps()) {
            assertThat(order.subList(0, order.indexOf(step.key())))
                    .containsAll(step.after().stream().map(StepId::key).toList());
        }
    }

    /** Whatever the intake, free air comes before the sensor is screwed in, and a step never precedes what it waits on. */
    @Property(tries = 100)
    void everyPlanKeepsTheOrder(@ForAll Fit fit, @ForAll Set<ReaderKind> readers, @ForAll boolean permanent,
            @ForAll boolean fixedHarness) {
        JobPlan plan = JobPlan
                .of(WELDED.withFit(fit).withReaders(readers).withPermanent(permanent).withFixedHarness(fixedHarness));
        List<String> order = ids(plan);
        assertThat(order).containsSubsequence("leaks", "display", "run", "source", "battery", "ground", "on", "air",
                "sensor",
                "shift", "prove", "sheet");
        assertThat(order).endsWith("sheet");
        if (readers.equals(Set.of(ReaderKind.OWN))) {
            assertThat(order).as("its own display has nothing to be compared with").doesNotContain("points");
        } else {
            assertThat(order).containsSubsequence("shift", "points", "prove");
        }
        if (fit != Fit.TAILPIPE_PROBE) {
            assertThat(order).containsSubsequence("place", "tight", "sensor");
        }
        keepsItsOrder(plan);
        assertThat(order.contains("weld")).isEqualTo(fit == Fit.WELD_IN);
        assertThat(order.contains("narrowband")).isEqualTo(readers.contains(ReaderKind.STOCK_ECU));
        assertThat(order.indexOf("sensor") < order.indexOf("connect")).as("fixed harness: sensor first")
                .isEqualTo(fixedHarness);
    }

    /** An order from another intake, or from nonsense, bends to what each step waits on. */
    @Property(tries = 100)
    void anyOrderAskedForIsKeptOnlyWhereItCan(@ForAll Fit fit, @ForAll long seed) {
        List<String> order = new ArrayList<>(ids(JobPlan.of(WELDED.withFit(Fit.WELD_IN))));
        Collections.shuffle(order, new Random(seed));
        JobPlan plan = JobPlan.of(WELDED.withFit(fit), order, Map.of());
        keepsItsOrder(plan);
        assertThat(ids(plan)).containsExactlyInAnyOrderElementsOf(ids(JobPlan.of(WELDED.withFit(fit))));
    }

    @Test
    void aStepThatWaitsOnNothingBetweenMayMove() {
        JobPlan plan = JobPlan.of(WELDED);
        int source = ids(plan).indexOf("source");
        JobPlan.Move move = plan.move("splice", source);
        assertThat(move).isInstanceOfSatisfying(JobPlan.Move.Done.class, done -> {
            assertThat(ids(JobPlan.of(WELDED, done.order(), Map.of()))).as("and stays moved").isEqualTo(done.order())
                    .containsSubsequence("splice", "source");
        });
    }

    @Test
    void movingAStepAgainstWhatItWaitsOnIsRefusedWithTheWholeReason() {
        JobPlan plan = JobPlan.of(WELDED);
        assertThat(plan.move("weld", ids(plan).indexOf("place"))).isInstanceOfSatisfying(JobPlan.Move.Refused.class,
                r -> assertThat(r.reason()).contains("“Cope, tack, check the angle, weld” cannot come before")
                        .contains("waits on “Pilot, step-drill").contains("which waits on “Choose and mark")
                        .contains("weld heat and spatter kill it"));
        assertThat(plan.move("air", 99)).isInstanceOfSatisfying(JobPlan.Move.Refused.class,
                r -> assertThat(r.reason())
                        .contains("“Screw the sensor in” cannot come before “Calibrate in free air”"));
    }

    @Test
    void undoingAStepTakesWhatStoodOnIt() {
        JobPlan plan = JobPlan.of(WELDED);
        Set<String> done = Set.of("leaks", "place", "drill");
        assertThat(plan.dependants(step(plan, "place"), done)).extracting(Step::key).containsExactly("drill");
        assertThat(plan.next(done)).map(Step::key).hasValue("display");
        assertThat(plan.minutesLeft(Set.of()) - plan.minutesLeft(Set.of("leaks"))).as("(5 + 4·10 + 25)/6").isBetween(11,
                12);
    }

    /** Critical path by hand: the longest row of likely times, and every step on it waits on the one before. */
    @Property(tries = 30)
    void theCriticalPathIsTheLongestRow(@ForAll Fit fit) {
        JobPlan plan = JobPlan.of(WELDED.withFit(fit));
        List<Step> path = plan.criticalPath(Set.of());
        assertThat(path.getFirst().id()).isEqualTo(StepId.LEAKS);
        for (int i = 1; i < path.size(); i++) {
            assertThat(path.get(i).after()).contains(path.get(i - 1).id());
        }
        int length = path.stream().mapToInt(s -> s.time().likely()).sum();
        assertThat(length).isEqualTo(plan.steps().stream().mapToInt(s -> longest(plan, s)).max().orElseThrow());
    }

    private static int longest(JobPlan plan, Step step) {
        return step.time().likely()
                + step.after().stream().mapToInt(id -> longest(plan, step(plan, id.key()))).max().orElse(0);
    }

    /** Nobody does two things at once, the lift takes one step at a time, and no step begins before what it waits on. */
    @Property(tries = 40)
    void aScheduleIsOneThatPeopleCouldWork(@ForAll Fit fit, @ForAll boolean fixedHarness) {
        JobPlan plan = JobPlan.of(WELDED.withFit(fit).withFixedHarness(fixedHarness));
        for (int people = 1; people <= 2; people++) {
            Schedule schedule = Schedule.of(plan, Set.of(), people);
            assertThat(schedule.slots()).hasSize(plan.steps().size());
            for (Schedule.Slot a : schedule.slots()) {
                for (Schedule.Slot b : schedule.slots()) {
                    boolean apart = a.to() <= b.from() + 1e-9 || b.to() <= a.from() + 1e-9;
                    boolean sameLift = (a.step().where() == Step.Where.UNDER || a.step().engine())
                            && (b.step().where() == Step.Where.UNDER || b.step().engine());
                    assertThat(a.equals(b) || apart || (a.person() != b.person() && !sameLift)).isTrue();
                    if (a.step().after().contains(b.step().id())) {
                        assertThat(a.from()).isGreaterThanOrEqualTo(b.to() - 1e-9);
                    }
                }
            }
            assertThat(schedule.early()).isLessThan(schedule.likely());
            assertThat(schedule.late()).isGreaterThan(schedule.likely());
        }
    }

    /** One person does one thing after the other: the mean of all is the sum of the means. */
    @Test
    void oneAloneTakesTheSumAndTwoAreQuickerButNotTwice() {
        JobPlan plan = JobPlan.of(WELDED);
        Schedule one = Schedule.of(plan, Set.of(), 1);
        Schedule two = Schedule.of(plan, Set.of(), 2);
        double sum = plan.steps().stream().mapToDouble(s -> s.time().mean()).sum();
        assertThat(one.likely()).isCloseTo(sum, within(0.02 * sum));
        assertThat(two.likely()).isLessThan(0.95 * one.likely()).isGreaterThan(one.likely() / 2);
        int path = plan.criticalPath(Set.of()).stream().mapToInt(s -> s.time().likely()).sum();
        assertThat(two.slots().stream().mapToDouble(Schedule.Slot::to).max().orElseThrow())
                .as("no number of people beats the critical path").isGreaterThanOrEqualTo(path);
    }

    @Test
    void onlyWhatTheJobNeedsIsAsked() {
        assertThat(WELDED.missing()).contains(Question.VEHICLE, Question.FUEL, Question.CONDITION, Question.ASPIRATION);
        assertThat(WELDED.withVehicle("van").missing()).doesNotContain(Question.VEHICLE);
        assertThat(WELDED.withCylinders(1).asks(Question.BANKS)).isFalse();
        assertThat(WELDED.withCylinders(2).asks(Question.BANKS)).isTrue();
        Intake software = WELDED.withReaders(Set.of(ReaderKind.SOFTWARE));
        assertThat(WELDED.missing()).doesNotContain(Question.LINK);
        assertThat(software.missing()).contains(Question.LINK);
        assertThat(software.withLink(Link.CAN).missing()).doesNotContain(Question.LINK);
        assertThat(software.withLink(Link.CAN).follows())
                .anyMatch(t -> t.metric().startsWith("CAN: two wires twisted"));
        assertThat(WELDED.asks(Question.MATERIAL)).isTrue();
        assertThat(WELDED.withFit(Fit.CLAMP).asks(Question.MATERIAL)).isFalse();
    }

    @Test
    void everyPartIsListedOnceWithTheStepsThatNeedIt() {
        JobPlan plan = JobPlan.of(WELDED.withPermanent(false));
        assertThat(plan.items()).extracting(r -> r.item().name()).doesNotHaveDuplicates().contains("bung plug");
        assertThat(plan.items()).filteredOn(r -> r.item().name().equals("sensor")).singleElement()
                .satisfies(r -> assertThat(r.steps()).extracting(Step::key).containsExactly("air", "sensor"));
        assertThat(plan.lacking(Set.of(), Set.of("sensor"))).extracting(Step.Item::name).contains("grommet")
                .doesNotContain("sensor", "multimeter");
        assertThat(plan.lacking(Set.of("leaks", "tight"), Set.of())).extracting(Step.Item::name)
                .doesNotContain("soapy water");
    }

    /** λ + f·(1 + λ·AFRst)/AFRst: one per cent of air at λ 1 of petrol adds 0.0107; a hole twice as wide draws four times as much. */
    @Test
    void aLeakReadsLean() {
        assertThat(LeakEstimate.ofPart(0.01, 14.7).shown()).isCloseTo(1 + 0.01 * 15.7 / 14.7, within(1e-12));
        LeakEstimate small = LeakEstimate.of(0.002, 2e-3, 14.7);
        assertThat(LeakEstimate.of(0.004, 2e-3, 14.7).part()).isCloseTo(4 * small.part(), within(1e-12));
        assertThat(LeakEstimate.of(0.002, 1e-3, 14.7).part()).isCloseTo(2 * small.part(), within(1e-12));
        assertThat(small.part()).isBetween(0.001, 0.02);
        Intake vee = WELDED.withDisplacement(2e-3).withBanks(2).withExhaust(WELDED.exhaust().withSegments(
                List.of(Segment.straight(Line.FIRST, Kind.PIPE, 0.5, 0.05, 0.0),
                        Segment.straight(Line.SECOND, Kind.PIPE, 0.5, 0.05, 0.0))));
        assertThat(LeakEstimate.of(0.002, vee, 14.7).orElseThrow().part()).as("half the engine blows through each")
                .isCloseTo(2 * small.part(), within(1e-12));
        assertThat(LeakEstimate.of(0.002, vee.withDisplacement(null), 14.7)).isEmpty();
    }
}
