package amberheron.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Source;
import amberheron.core.mixture.Fuel;
import amberheron.core.placement.Candidate;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class JobTest {
    private static final Job EMPTY = Job.empty("J");

    /** Every change leaves all the rest as it was; a with-method that drops a neighbour would lose somebody's work. */
    @Test
    void aChangeTouchesNothingElse() {
        Job job = EMPTY.withIntake(EMPTY.intake().withVehicle("van")).withDone(Set.of("leaks"))
                .withCandidates(List.of(new Candidate("A", "", 0.6, 0.5, 0, 0))).withChosen("A")
                .withWiring(EMPTY.wiring().withFuse(5.0).withGroundPoint("strap"))
                .withAir(EMPTY.air().withTemperature(290.0)).withPoint(new CheckPoint(1.0, null, 12, ""))
                .withHandOver(new Job.HandOver("shield", LocalDate.of(2026, 1, 2))).withDraft("x", "y");
        List<Job> changed = List.of(job.withDone(Set.of()).withDone(job.done()),
                job.withChosen(null).withChosen("A"), job.withPoints(List.of()).withPoints(job.points()),
                job.withDraft("x", null).withDraft("x", "y"), job.withLaw(null).withReader(null).withProving(null),
                job.withIntake(job.intake().withBanks(2)).withIntake(job.intake()),
                job.withCandidate("A", c -> c.withLean(1)).withCandidate("A", c -> c.withLean(0)),
                job.withWiring(job.wiring().withFuse(3.0)).withWiring(job.wiring()),
                job.withAir(job.air().withHumidity(0.1)).withAir(job.air()),
                job.withHandOver(new Job.HandOver("", null)).withHandOver(job.handOver()));
        assertThat(changed).allMatch(job::equals);
    }

    @Test
    void theIntakeChangesOneAnswerAtATime() {
        Intake intake = EMPTY.intake().withVehicle("v").withDisplacement(1e-3).withCylinders(4)
                .withReaders(Set.of(Intake.ReaderKind.LOGGER)).withFit(Intake.Fit.CLAMP).withPermanent(false)
                .withFixedHarness(false).withBanks(2).withCondition(Intake.Condition.SOUND)
                .withFuel(new Fuel("e5", "E5", 14.4, Source.practice("made up for the test")));
        assertThat(intake.missing()).isEmpty();
        assertThat(intake.withFuel(null).missing()).containsExactly("fuel");
        assertThat(intake.withCylinders(null).withDisplacement(null).missing()).containsExactly("displacement",
                "cylinders");
        assertThat(intake.withReaders(Set.of()).withFuel(intake.fuel()).fit()).isEqualTo(Intake.Fit.CLAMP);
    }

    @Test
    void aJobCannotBeChangedBehindItsBack() {
        Set<String> done = new HashSet<>(Set.of("leaks"));
        Job job = EMPTY.withDone(done);
        done.add("weld");
        assertThat(job.done()).containsExactly("leaks");
        assertThatThrownBy(() -> job.drafts().put("a", "b")).isInstanceOf(UnsupportedOperationException.class);
        assertThatThrownBy(() -> job.points().clear()).isInstanceOf(UnsupportedOperationException.class);
    }

    @Test
    void aChosenPlaceThatIsGoneIsNoPlace() {
        assertThat(EMPTY.withChosen("Z").chosenPlace()).isEmpty();
        assertThat(EMPTY.stoich()).as("pump petrol until a fuel is named").isEqualTo(14.7);
    }

    @Test
    void theWiringKeepsWhatWasNotChanged() {
        Wiring wiring = EMPTY.wiring().withDraw(2.5).withFuse(5.0).withGroundPoint("p")
                .withVolts(new Wiring.SourceVolts(0.0, 12.0, 9.0))
                .withGround(new Wiring.Ground(true, 1.0, 1e-6, 1.0));
        assertThat(wiring.withFuse(3.0).withFuse(5.0)).isEqualTo(wiring);
        assertThat(wiring.draw()).isEqualTo(2.5);
        assertThat(wiring.groundPoint()).isEqualTo("p");
    }
}
