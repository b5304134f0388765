package amberheron.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Job;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.ReaderKind;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class JobPlanTest {
    private static final Intake WELDED = Job.empty("X").intake();

    private static List<String> ids(JobPlan plan) {
        return plan.steps().stream().map(Step::id).toList();
    }

    /** Whatever the intake, free air comes before the sensor is screwed in, and a step never precedes what it waits on. */
    @Property(tries = 100)
    void everyPlanKeepsTheOrder(@ForAll Fit fit, @ForAll Set<ReaderKind> readers, @ForAll boolean permanent,
            @ForAll boolean fixedHarness) {
        JobPlan plan = JobPlan
                .of(WELDED.withFit(fit).withReaders(readers).withPermanent(permanent).withFixedHarness(fixedHarness));
        List<String> order = ids(plan);
        assertThat(order).containsSubsequence("leaks", "place", "tight", "air", "sensor", "prove", "sheet");
        for (Step step : plan.steps()) {
            assertThat(order.subList(0, order.indexOf(step.id()))).containsAll(step.after());
        }
        assertThat(order.contains("weld")).isEqualTo(fit == Fit.WELD_IN);
        assertThat(order.contains("narrowband")).isEqualTo(readers.contains(ReaderKind.STOCK_ECU));
        assertThat(order.indexOf("sensor") < order.indexOf("connect")).as("fixed harness: sensor first")
                .isEqualTo(fixedHarness);
    }

    @Test
    void undoingAStepTakesWhatStoodOnIt() {
        JobPlan plan = JobPlan.of(WELDED);
        Set<String> done = Set.of("leaks", "source", "battery", "place", "drill");
        Step place = plan.steps().stream().filter(s -> s.id().equals("place")).findFirst().orElseThrow();
        assertThat(plan.dependants(place, done)).extracting(Step::id).containsExactly("drill");
        assertThat(plan.next(done)).map(Step::id).hasValue("display");
        assertThat(plan.minutesLeft(done)).isEqualTo(
                plan.minutesLeft(Set.of()) - 10 - 15 - 3 - 20 - 20);
    }

    @Test
    void missingAnswersAreNamed() {
        assertThat(WELDED.missing()).contains("vehicle", "fuel", "state of the exhaust");
        assertThat(WELDED.withVehicle("van").missing()).doesNotContain("vehicle");
    }
}
