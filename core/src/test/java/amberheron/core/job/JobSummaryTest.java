package amberheron.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Source;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.mixture.Fuel;
import amberheron.core.placement.Exhaust;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class JobSummaryTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Intake ASKED = Intake.BLANK.withVehicle("van").withDisplacement(1e-3).withCylinders(4)
            .withEngine(e -> e.withAspiration(Engine.Aspiration.NATURAL).withSupply(Engine.Supply.TWELVE))
            .withFuel(new Fuel("e5", "E5", 14.4, Source.practice("made up for the test")))
            .withReaders(Set.of(ReaderKind.GAUGE)).withCondition(Intake.Condition.SOUND)
            .withExhaust(Exhaust.UNMEASURED.withSegments(Exhaust.usual(false, 1)));

    private static Job job(String... open) {
        Set<String> done = new TreeSet<>(JobPlan.of(ASKED).steps().stream().map(Step::key).toList());
        done.removeAll(Set.of(open));
        Set<String> all = JobPlan.of(ASKED).items().stream().map(r -> r.item().name()).collect(Collectors.toSet());
        return Job.empty("J").withIntake(ASKED).withProgress(Progress.NONE.withDone(done).withInHand(all));
    }

    private static JobSummary line(Job job) {
        return JobSummary.of(new JobReview(job, Shop.of(List.of())));
    }

    private static FreeAirCheck checkedOn(LocalDate date) {
        return FreeAirCheck.NONE.withDate(date);
    }

    @Test
    void eachJobWaitsOnWhatItsNextStepNeeds() {
        assertThat(line(job()).on()).isEqualTo(Waiting.FINISHED);
        assertThat(line(job("weld")).on()).isEqualTo(Waiting.WELDER);
        assertThat(line(job("prove")).on()).isEqualTo(Waiting.PROVING_DRIVE);
        assertThat(line(job("ground")).on()).isEqualTo(Waiting.NOTHING);
        Job lacking = job("weld");
        lacking = lacking.withProgress(lacking.progress().withInHand(Set.of()));
        assertThat(line(lacking).on()).isEqualTo(Waiting.PARTS);
        assertThat(line(lacking).detail()).contains("bung and plug");
    }

    @Test
    void theCustomerIsAskedBeforeAnythingIsDone() {
        Job silent = job("weld").withIntake(ASKED.withFuel(null));
        assertThat(line(silent).on()).isEqualTo(Waiting.CUSTOMER);
        assertThat(line(silent).detail()).isEqualTo("not said yet: fuel");
        Job rotten = job("weld").withIntake(ASKED.withCondition(Intake.Condition.ROTTEN));
        assertThat(line(rotten).on()).isEqualTo(Waiting.CUSTOMER);
        Job held = job("ground");
        held = held.withProgress(held.progress().withHold(Waiting.PARTS));
        assertThat(line(held).on()).isEqualTo(Waiting.PARTS);
    }

    @Test
    void aCalibrationIsDueAgainAfterTheShopsMonths() {
        Job checked = job().withAir(checkedOn(LocalDate.of(2025, 12, 1)));
        assertThat(line(checked).due(6)).hasValue(TODAY);
        assertThat(line(checked).overdue(6, TODAY)).as("due today is not yet overdue").isFalse();
        assertThat(line(checked.withAir(checkedOn(LocalDate.of(2025, 11, 30)))).overdue(6, TODAY)).isTrue();
        assertThat(line(job()).overdue(6, TODAY)).as("never checked is open at Air, not overdue").isFalse();
    }

    @Test
    void theDaysBaysInOrder() {
        Job second = job("ground");
        second = second.withProgress(second.progress().withBay("2").withDay(TODAY));
        Job first = job("ground");
        first = first.withProgress(first.progress().withBay("1").withDay(TODAY));
        Job other = job("ground");
        other = other.withProgress(other.progress().withBay("0").withDay(TODAY.plusDays(1)));
        assertThat(JobSummary.onDay(List.of(line(second), line(first), line(other)), TODAY))
                .extracting(JobSummary::bay).containsExactly("1", "2");
    }
}
