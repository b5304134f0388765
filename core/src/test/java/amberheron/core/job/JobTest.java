package amberheron.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.display.Display;
import amberheron.core.display.DisplaySetting;
import amberheron.core.display.PickUp;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.finding.Source;
import amberheron.core.mixture.Fuel;
import amberheron.core.parts.Address;
import amberheron.core.placement.Bung;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Question;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class JobTest {
    private static final Address DRAFT = PlaceField.PIECE_WALL.of("3");
    private static final Job EMPTY = Job.empty("J");

    /** Every change leaves all the rest as it was; a with-method that drops a neighbour would lose somebody's work. */
    @Test
    void aChangeTouchesNothingElse() {
        Job job = EMPTY.withIntake(EMPTY.intake().withVehicle("van")).withDone(Set.of("leaks"))
                .withPlacing(Placing.NONE
                        .withCandidates(List.of(Candidate.named("A").withDistance(0.6).withClock(0.5))).withChosen("A"))
                .withProgress(Progress.NONE.withBay("2").withOrder(List.of("leaks")).withInHand(Set.of("sensor")))
                .withDone(Set.of("leaks"))
                .withWiring(EMPTY.wiring().withFuse(5.0).withGroundPoint("strap"))
                .withAir(EMPTY.air().withToday(EMPTY.air().today().withTemperature(290.0)))
                .withPoint(new CheckPoint(1.0, null, 12, ""))
                .withHandOver(new Job.HandOver("shield", LocalDate.of(2026, 1, 2)))
                .withEntries(Entries.NONE.drafted(DRAFT, "y"));
        List<Job> changed = List.of(job.withDone(Set.of()).withDone(job.done()),
                job.withPlacing(job.placing().withChosen(null)).withPlacing(job.placing().withChosen("A")),
                job.withProgress(job.progress().withBay("1").withHold(Waiting.PARTS).withDay(LocalDate.EPOCH))
                        .withProgress(job.progress()),
                job.withPoints(List.of()).withPoints(job.points()),
                job.withEntries(job.entries().cleared(DRAFT).drafted(DRAFT, "y")),
                job.withLaw(null).withReader(null).withProving(null),
                job.withIntake(job.intake().withBanks(2)).withIntake(job.intake()),
                job.withPlacing(job.placing().withCandidate("A", c -> c.withLean(1)))
                        .withPlacing(job.placing().withProbe(Probe.UNMEASURED).withBung(Bung.USUAL)),
                job.withWiring(job.wiring().withFuse(3.0)).withWiring(job.wiring()),
                job.withAir(job.air().withToday(job.air().today().withHumidity(0.1))).withAir(job.air()),
                job.withHandOver(new Job.HandOver("", null)).withHandOver(job.handOver()));
        assertThat(changed).allMatch(job::equals);
    }

    @Test
    void aDriveIsJudgedByTheEngineThatWasEntered() {
        Intake plain = EMPTY.intake().withExhaust(Exhaust.UNMEASURED.withSegments(Exhaust.usual(false, 1)));
        Intake blown = plain.withExhaust(Exhaust.UNMEASURED.withSegments(Exhaust.usual(true, 1)))
                .withEngine(e -> e.withFuelSystem(Engine.FuelSystem.CARBURETTOR));

        assertThat(
                EMPTY.withIntake(plain.withEngine(e -> e.withFuelSystem(Engine.FuelSystem.INJECTION))).engineTraits())
                .isEmpty();
        assertThat(EMPTY.withIntake(blown).engineTraits()).containsExactly(EngineTrait.BOOSTED,
                EngineTrait.CARBURETTOR);
        assertThat(EMPTY.withIntake(plain.withEngine(e -> e.withAspiration(Engine.Aspiration.SUPERCHARGER)))
                .engineTraits()).as("boost without a turbine").containsExactly(EngineTrait.BOOSTED);
    }

    /** It fires in every turn: its gas comes in half the time, and its pulses are twice as many. */
    @Test
    void aTwoStrokeBreathesTwiceAsOften() {
        Job four = EMPTY
                .withIntake(EMPTY.intake().withDisplacement(0.5e-3).withCylinders(2)
                        .withEngine(e -> e.withCycle(Engine.Cycle.FOUR_STROKE)))
                .withDisplay(Display.UNTOLD.withPickUp(PickUp.ONE_COIL).withTwoStroke(true));
        Job two = four.withIntake(four.intake().withEngine(e -> e.withCycle(Engine.Cycle.TWO_STROKE)));
        assertThat(two.site(PlaceSchools.OURS).displacement()).isEqualTo(1e-3);
        assertThat(four.site(PlaceSchools.OURS).displacement()).isEqualTo(0.5e-3);
        assertThat(pulses(four)).as("what the intake says counts").isEqualTo(1.0);
        assertThat(pulses(two)).isEqualTo(2.0);
    }

    private static @Nullable Double pulses(Job job) {
        return job.displaySetUp(PlaceSchools.OURS).lines().stream().filter(l -> l.what() == DisplaySetting.PULSES)
                .findFirst().orElseThrow().ought();
    }

    @Test
    void theIntakeChangesOneAnswerAtATime() {
        Intake intake = EMPTY.intake().withVehicle("v").withDisplacement(1e-3).withCylinders(4)
                .withReaders(Set.of(Intake.ReaderKind.LOGGER)).withFit(Intake.Fit.CLAMP).withPermanent(false)
                .withFixedHarness(false).withBanks(2).withCondition(Intake.Condition.SOUND)
                .withFuel(new Fuel("e5", "E5", 14.4, Source.practice("made up for the test")))
                .withExhaust(Exhaust.UNMEASURED.withSegments(Exhaust.usual(true, 2)))
                .withEngine(e -> e.withFuelSystem(Engine.FuelSystem.INJECTION).withCycle(Engine.Cycle.ROTARY)
                        .withAspiration(Engine.Aspiration.TURBO).withSupply(Engine.Supply.SIX))
                .withMaterial(Intake.Material.COATED)
                .withLeak(0.001)
                .withLink(Intake.Link.CAN);
        assertThat(intake.missing()).isEmpty();
        assertThat(intake.withFuel(null).missing()).containsExactly(Question.FUEL);
        assertThat(intake.withCylinders(null).withDisplacement(null).missing()).containsExactly(Question.DISPLACEMENT,
                Question.CYLINDERS);
        assertThat(intake.withVehicle("w").withLeak(0.2).withLink(null).withBanks(1).withVehicle("v").withLeak(0.001)
                .withLink(Intake.Link.CAN).withBanks(2)).isEqualTo(intake);
        assertThat(intake.withReaders(Set.of()).withFuel(intake.fuel()).fit()).isEqualTo(Intake.Fit.CLAMP);
    }

    @Test
    void aJobCannotBeChangedBehindItsBack() {
        Set<String> done = new HashSet<>(Set.of("leaks"));
        Job job = EMPTY.withDone(done);
        done.add("weld");
        assertThat(job.done()).containsExactly("leaks");
        assertThatThrownBy(() -> job.entries().drafts().put("a", "b"))
                .isInstanceOf(UnsupportedOperationException.class);
        assertThatThrownBy(() -> job.points().clear()).isInstanceOf(UnsupportedOperationException.class);
    }

    @Test
    void aChosenPlaceThatIsGoneIsNoPlace() {
        assertThat(EMPTY.withPlacing(Placing.NONE.withChosen("Z")).chosenPlace()).isEmpty();
        assertThat(EMPTY.stoich()).as("pump petrol until a fuel is named").isEqualTo(14.7);
    }

    @Test
    void theWiringKeepsWhatWasNotChanged() {
        Wiring wiring = EMPTY.wiring().withDraw(2.5).withFuse(5.0).withGroundPoint("p")
                .withSources(List.of(PowerSource.named("A"))).withTaken("A").withFeed(Feed.UNMEASURED.withRelay(true))
                .withGround(GroundPlan.UNMEASURED.withTwoWires(true).withLoads(l -> l.withPeak(2.0)));
        assertThat(wiring.withFuse(3.0).withFuse(5.0)).isEqualTo(wiring);
        assertThat(wiring.draw()).isEqualTo(2.5);
        assertThat(wiring.groundPoint()).isEqualTo("p");
    }
}
