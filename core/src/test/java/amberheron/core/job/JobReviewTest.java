package amberheron.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Source;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Route;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.Cause;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class JobReviewTest {
    private static final Source PRACTICE = Source.practice("made up for the test");
    private static final OutputLaw LAW = new OutputLaw("two-v", "2·V + 10", OutputLaw.Kind.LINEAR,
            MixtureScale.afr(14.7), List.of(new OutputLaw.Point(0, 10), new OutputLaw.Point(5, 20)), 0, 5, PRACTICE);
    private static final Reader LOGGER = new Reader("logger", "logger", Reader.Form.SLOPE_OFFSET,
            MixtureScale.afr(14.7), 3, new ReaderInput(0, 5, 10), null, null, PRACTICE);

    private static Intake intake() {
        return Job.empty("X").intake().withVehicle("van").withDisplacement(0.66e-3).withCylinders(3)
                .withEngine(e -> e.withAspiration(Engine.Aspiration.TURBO).withSupply(Engine.Supply.TWELVE))
                .withFuel(new Fuel("e85", "E85", 9.81, PRACTICE)).withReaders(Set.of(ReaderKind.LOGGER))
                .withCondition(Intake.Condition.SOUND).withExhaust(new Exhaust(List.of(
                        Segment.straight(Line.ALL, Kind.TURBINE, 0.1, 0.05, 0.0),
                        Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.04, 0.0)),
                        List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 2, 0.2)), Attitude.LEVEL));
    }

    private static Job shared(Job job) {
        return job.withWiring(Wiring.UNMEASURED.withFuse(5.0).withDraw(3.0).withGroundPoint("strap")
                .withGround(GroundPlan.UNMEASURED.withSchool(GroundPlan.GroundSchool.SAME_POINT)
                        .withWires(w -> w.withToChassis(3.0))
                        .withWires(w -> w.withSection(WireGauge.crossSection(18))).withLoads(l -> l.withMean(1.2))));
    }

    private static JobReview review(Job job) {
        return new JobReview(job, Shop.of(List.of(LAW)));
    }

    @Test
    void anEmptyJobIsOpenEverywhereAndProvesNothing() {
        JobReview review = review(Job.empty("X"));
        for (Station station : Station.values()) {
            assertThat(review.state(station)).as(station.title()).isEqualTo(LinkState.OPEN);
        }
        assertThat(review.chain()).isEmpty();
    }

    @Test
    void rotIsOutOfToleranceBeforeAnythingElse() {
        Job rotten = Job.empty("X").withIntake(intake().withCondition(Intake.Condition.ROTTEN));
        assertThat(review(rotten).state(Station.PLAN)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        assertThat(review(Job.empty("X").withIntake(intake())).state(Station.PLAN)).isEqualTo(LinkState.BEGUN);
    }

    @Test
    void aPlaceIsBegunUntilOneIsChosen() {
        Placing placing = Placing.NONE.withProbe(new Probe(0.08, 0.5, 1.0))
                .withCandidates(List.of(Candidate.named("A").withDistance(0.6).withClock(0.5)));
        Job job = Job.empty("X").withIntake(intake()).withPlacing(placing).withWiring(Wiring.UNMEASURED
                .withHarness(Harness.NONE.withRoute(
                        Route.UNMEASURED.withLengths(p -> p.withLead(0.6)).withLengths(p -> p.withExtension(2.4)))));
        assertThat(review(job).state(Station.PLACE)).isEqualTo(LinkState.BEGUN);
        assertThat(review(job.withPlacing(placing.withChosen("A"))).state(Station.PLACE)).as("on paper only")
                .isEqualTo(LinkState.BEGUN);
        assertThat(review(job.withPlacing(placing.withChosen("A").withFitted(
                new AsFitted(0.6, Math.PI / 2 - 0.5, 0, 0, LocalDate.of(2026, 5, 1), true, List.of()))))
                .state(Station.PLACE)).as("wet when the heater is hot").isEqualTo(LinkState.RESERVED);
        assertThat(review(job.withPlacing(placing.withCandidate("A", c -> c.withClock(1.6)).withChosen("A")))
                .state(Station.PLACE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        assertThat(review(job.withPlacing(placing.withChosen("A").withFitted(AsFitted.NOTHING.withAirtight(true))))
                .state(Station.PLACE)).as("fitted, but not measured").isEqualTo(LinkState.BEGUN);
    }

    @Test
    void theWiringsShiftIsSeenOnTheRuleBeforeAnythingIsMeasured() {
        ChainNow chain = review(shared(Job.empty("X").withLaw(LAW).withReader(LOGGER))).chain()
                .orElseThrow();
        assertThat(chain.basis()).isEqualTo(ChainNow.Basis.WIRING);
        assertThat(chain.shownLambda(1) - 1).isCloseTo(0.15 / 14.7, within(5e-4));
    }

    @Test
    void checkPointsOverruleTheWiring() {
        Job job = shared(Job.empty("X").withLaw(LAW).withReader(LOGGER))
                .withPoint(new CheckPoint(1.0, null, 12.0, "")).withPoint(new CheckPoint(4.0, null, 18.0, ""));
        JobReview review = review(job);
        assertThat(review.chain().orElseThrow().basis()).isEqualTo(ChainNow.Basis.MEASURED);
        assertThat(review.chain().orElseThrow().shownLambda(1)).isCloseTo(1, within(1e-3));
    }

    @Test
    void oneAgreeingPointDoesNotProveTheScale() {
        Job job = Job.empty("X").withLaw(LAW).withReader(LOGGER).withPoint(new CheckPoint(2.35, null, 14.7, ""));
        assertThat(review(job).state(Station.SCALE)).isEqualTo(LinkState.BEGUN);
    }

    @Test
    void aLyingLinkIsOutOfToleranceAndTheRuleShowsTheLie() {
        Job job = Job.empty("X").withLaw(LAW).withReader(LOGGER);
        for (double v : new double[]{0.5, 1.5, 2.5, 3.5, 4.5}) {
            job = job.withPoint(new CheckPoint(v, null, Math.round((2 * (v + 0.075) + 10) * 100) / 100.0, ""));
        }
        JobReview review = review(job);
        assertThat(review.state(Station.SCALE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        assertThat(review.diagnosis().orElseThrow().best().fault().cause()).isEqualTo(Cause.GROUND_SHIFT);
        assertThat(review.chain().orElseThrow().shownLambda(0.9) - 0.9).isCloseTo(0.15 / 14.7, within(1e-3));
    }

    /** A review that takes over what has not changed says the same as one from the beginning, whatever was changed. */
    @Test
    void aReviewTakenOverSaysTheSameAsAFreshOne() {
        List<UnaryOperator<Job>> changes = List.of(
                j -> shared(j), j -> j.withLaw(LAW), j -> j.withReader(LOGGER),
                j -> j.withPoint(new CheckPoint(1.0, null, 12.2, "")),
                j -> j.withPoint(new CheckPoint(4.0, null, 18.2, "")),
                j -> j.withIntake(j.intake().withBanks(2)), j -> j.withIntake(j.intake().withFuel(null)),
                j -> j.withWiring(j.wiring().withFuse(2.0)), j -> j.withLaw(null), j -> j.withPoints(List.of()),
                j -> j.withIntake(j.intake().withCondition(Intake.Condition.ROTTEN)), j -> j.withReader(null));
        Random random = new Random(5);
        Shop shop = Shop.of(List.of(LAW));
        Job job = Job.empty("X").withIntake(intake());
        JobReview kept = new JobReview(job, shop);
        for (int i = 0; i < 200; i++) {
            job = changes.get(random.nextInt(changes.size())).apply(job);
            JobReview fresh = new JobReview(job, shop);
            kept = new JobReview(job, shop, kept);
            assertThat(kept.diagnosis().map(d -> d.best().fault().cause()))
                    .isEqualTo(fresh.diagnosis().map(d -> d.best().fault().cause()));
            assertThat(kept.scale().map(r -> r.worst())).isEqualTo(fresh.scale().map(r -> r.worst()));
            assertThat(kept.plan().steps()).isEqualTo(fresh.plan().steps());
            for (Station station : Station.values()) {
                assertThat(kept.findings(station)).isEqualTo(fresh.findings(station));
                assertThat(kept.state(station)).isEqualTo(fresh.state(station));
            }
        }
    }

    /** Whatever keeps a link from being proven is named. */
    @Test
    void whatIsNotProvenSaysWhy() {
        JobReview review = new JobReview(shared(Job.empty("X").withIntake(intake())), Shop.of(List.of()));
        for (Station station : Station.values()) {
            assertThat(review.because(station).isEmpty()).as(station.title())
                    .isEqualTo(review.state(station) == LinkState.PROVEN);
        }
        assertThat(review.next().orElseThrow().station()).isEqualTo(Station.PLACE);
        assertThat(new JobReview(Job.empty("X"), Shop.of(List.of())).next().orElseThrow().text().metric())
                .startsWith("Enter: vehicle.");
    }
}
