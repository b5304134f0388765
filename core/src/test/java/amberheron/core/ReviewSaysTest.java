package amberheron.core;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.Drives;
import amberheron.core.finding.Check;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Source;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.Controllers;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.job.Changes;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Output;
import amberheron.core.job.Progress;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.KeyState;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * How every link of a job that is proven stands when one thing is changed, why, what is next, and the trust figure with
 * what makes most of it. Kept beside the test as a text, as what the rules say is.
 */
class ReviewSaysTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 1);
    private static final Instant THEN = Instant.parse("2026-05-01T10:00:00Z");
    private static final Origin TYPED = new Origin(Origin.Kind.TYPED, "", THEN, "X");
    private static final Source MADE_UP = Source.practice("made up for the test");
    private static final Reader READER = new Reader("logger", "logger", Reader.Form.SLOPE_OFFSET,
            MixtureScale.afr(14.7), 3, new ReaderInput(0, 5, 10), null, null, MADE_UP);

    private final StringBuilder said = new StringBuilder();
    /** What is said of the job that is proven: of the others only what differs is told. */
    private List<String> proven = List.of();

    private static Job proven() {
        Intake intake = Intake.BLANK.withVehicle("van").withDisplacement(2e-3).withCylinders(4)
                .withEngine(e -> e.withFuelSystem(Engine.FuelSystem.INJECTION)
                        .withAspiration(Engine.Aspiration.NATURAL).withSupply(Engine.Supply.TWELVE))
                .withFuel(new Fuel("e5", "E5", 14.7, MADE_UP))
                .withCondition(Intake.Condition.SOUND).withExhaust(RulesSayTest.RUN)
                .withReaders(Set.of(ReaderKind.LOGGER)).withMaterial(Intake.Material.MILD_STEEL);
        Job job = Job.empty("X").withIntake(intake).withWiring(RulesSayTest.wiring())
                .withPlacing(Placing.NONE
                        .withCandidates(List.of(Candidate.named("A").withDistance(0.6).withClock(Math.toRadians(40))))
                        .withChosen("A").withProbe(new Probe(0.085, 1.0, 1.0))
                        .withFitted(new AsFitted(0.6, Math.toRadians(50), 0, 0, DAY, true, List.of())))
                .withAir(Controllers.check(Controllers.LEARNS, 0.2068, null, 90.0, DAY, "V-1"))
                .withLaw(RulesSayTest.LAW).withReader(READER)
                .withPoints(List.of(point(1), point(4), running(1), running(4)))
                .withProving(new Output.Proving("drive.csv", "ab", TYPED,
                        RulesSayTest.log(600, 120, 1, 0.001, 0.002, 0.2), Drives.LONG))
                .withHandOver(new Job.HandOver("", DAY));
        return job.withEntries(job.entries().entered(AirField.SHOWN.address(), TYPED)).withDone(
                JobPlan.of(intake).steps().stream().map(Step::key).collect(Collectors.toSet()));
    }

    private static CheckPoint point(double volts) {
        return new CheckPoint(volts, null, 2 * volts + 10, "", TYPED, CheckPoint.Engine.OFF);
    }

    private static CheckPoint running(double volts) {
        return new CheckPoint(volts, 2 * volts + 10, 2 * volts + 10, "", TYPED, CheckPoint.Engine.RUNNING);
    }

    private void reviewed(String title, Job job) {
        reviewed(title, job, Shop.of(List.of(RulesSayTest.LAW)).on(DAY.plusDays(45)));
    }

    private void reviewed(String title, Job job, Shop shop) {
        JobReview review = new JobReview(job, shop);
        List<String> lines = new ArrayList<>();
        for (Station station : Station.values()) {
            lines.add(say("%s: %s %s", station, review.state(station),
                    review.because(station).stream().map(Check::key).collect(Collectors.joining(", "))));
        }
        review.next().ifPresent(n -> lines.add(say("next at %s: %s", n.station(), n.text().metric())));
        review.stale().forEach(s -> lines.add("stale: " + s.text().metric()));
        lines.add(review.trust().map(t -> say("trust: %s, %s",
                t.at().stream().map(a -> say("%.2f ± %.5f", a.lambda(), a.analytic()))
                        .collect(Collectors.joining(", ")),
                t.largest().map(s -> say("%s %.3f", s.by(), s.share())).orElse("")))
                .orElse("trust: cannot be told"));
        review.chain().ifPresent(c -> lines.add(say("%s, shows %.3f at 0.85", c.basis(), c.shownLambda(0.85))));
        review.groundCure().ifPresent(c -> lines.add("cure: " + c.text().metric()));
        JobSummary summary = JobSummary.of(review);
        lines.add(say("board: %s, %s", summary.on(), summary.detail()));
        lines.add("have ready: " + review.plan().lacking(Set.of(), Set.of()).stream().map(Step.Item::name)
                .collect(Collectors.joining("; ")));
        said.append("# ").append(title).append('\n');
        lines.stream().filter(l -> !proven.contains(l)).forEach(l -> said.append(l.strip()).append('\n'));
        proven = proven.isEmpty() ? lines : proven;
    }

    private void changed(String title, UnaryOperator<Job> change) {
        reviewed(title, change.apply(proven()));
    }

    /** Edited an hour after everything was read. */
    private void edited(String title, UnaryOperator<Job> change) {
        reviewed(title, Changes.noted(proven(), change.apply(proven()), THEN.plusSeconds(3600)));
    }

    @Test
    void everyLinkStandsAsItIsKnownToStand() throws IOException {
        reviewed("proven", proven());
        reviewed("a year later", proven(), Shop.of(List.of(RulesSayTest.LAW)).on(DAY.plusMonths(13)));
        reviewed("nothing", Job.empty("X"));
        changed("rotten", j -> j.withIntake(j.intake().withCondition(Intake.Condition.ROTTEN)));
        changed("fuel not said", j -> j.withIntake(j.intake().withFuel(null)));
        changed("steps left", j -> j.withDone(Set.of("leaks", "place")));
        changed("on hold", j -> j.withDone(Set.of("leaks")).withProgress(
                Progress.NONE.withDone(Set.of("leaks")).withHold(Waiting.CUSTOMER)));
        changed("weld is next",
                j -> j.withDone(Set.of("leaks", "display", "place", "run", "source", "splice", "battery",
                        "feed", "ground", "drill")).withProgress(j.progress().withInHand(Set.of("bung and plug"))
                                .withDone(Set.of("leaks", "display", "place", "run", "source", "splice", "battery",
                                        "feed",
                                        "ground", "drill"))));
        changed("not fitted", j -> j.withPlacing(j.placing().withFitted(AsFitted.NOTHING)));
        changed("not tested tight", j -> j.withPlacing(j.placing().withFitted(
                j.placing().fitted().withAirtight(null))));
        changed("no place taken", j -> j.withPlacing(j.placing().withChosen(null)));
        changed("source constant", j -> j.withWiring(j.wiring().withSource("A", s -> s.withVolts(KeyState.OFF, 12.5))));
        changed("shared ground", j -> j.withWiring(j.wiring().withGround(
                j.wiring().ground().withTwoWires(false).withSchool(GroundSchool.SAME_POINT)
                        .withWires(w -> w.withToChassis(3.0)))));
        changed("shared ground, no points", j -> j.withPoints(List.of()).withWiring(j.wiring().withGround(
                j.wiring().ground().withTwoWires(false).withSchool(GroundSchool.SAME_POINT)
                        .withWires(w -> w.withToChassis(3.0)))));
        changed("pull-up, no points", j -> j.withPoints(List.of()).withWiring(j.wiring().withSignals(
                j.wiring().signals().with(ReaderKind.LOGGER, h -> h.withPullUpOhms(30_000.0).withPullUpVolts(5.0)))));
        changed("air not checked", j -> j.withAir(j.air().withShownOxygen(null, null)));
        changed("air checked months ago", j -> j.withAir(j.air().withDate(DAY.minusMonths(2))));
        changed("air checked months ago, and the sensor's life tells that it ages fast", j -> j.withAir(
                j.air().withDate(DAY.minusMonths(2)).withAgeing(0.02)));
        changed("air off", j -> j.withAir(j.air().withShownOxygen(0.19, DAY)));
        changed("air's weather not known", j -> j.withAir(j.air().withToday(j.air().today().withHumidity(null))));
        changed("no law", j -> j.withLaw(null));
        changed("no reader", j -> j.withReader(null));
        changed("no points, no grounds", j -> j.withPoints(List.of()).withWiring(j.wiring().withGround(
                j.wiring().ground().withSchool(null))));
        changed("one point", j -> j.withPoints(List.of(point(1))));
        changed("points beside one another", j -> j.withPoints(List.of(point(1), point(1.1))));
        changed("points undated", j -> j.withPoints(List.of(new CheckPoint(1.0, null, 12, ""),
                new CheckPoint(4.0, null, 18, ""))));
        changed("points shifted", j -> j.withPoints(List.of(new CheckPoint(1.0, null, 12.4, "", TYPED),
                new CheckPoint(2.5, null, 15.4, "", TYPED), new CheckPoint(4.0, null, 18.4, "", TYPED))));
        changed("another setting noted", j -> j.withReader(
                READER.withSetting(new ReaderSetting.SlopeOffset(2.375, 7.3125))));
        changed("law that nobody read", j -> j.withPoints(j.points().stream().map(p -> new CheckPoint(p.volts(), null,
                p.shown(), "", p.origin(), p.engine())).toList()));
        changed("24 V", j -> j.withIntake(j.intake().withEngine(e -> e.withSupply(Engine.Supply.TWENTY_FOUR))));
        changed("28 V with the engine running",
                j -> j.withWiring(j.wiring().withSource("A", s -> s.withVolts(KeyState.RUNNING, 28.1))));
        changed("kick start, no lamps", j -> j.withWiring(j.wiring().withLacks(KeyState.CRANKING, true)
                .withLacks(KeyState.LAMPS, true).withSource("A", s -> s.withVolts(KeyState.CRANKING, null)
                        .withVolts(KeyState.LAMPS, null))));
        changed("accessory live too, a longer way for the gas", j -> j.withWiring(j.wiring().withSource("A",
                s -> s.withVolts(KeyState.ACCESSORY, 12.2))));
        changed("a fuse of 30 A", j -> j.withWiring(j.wiring().withFuse(30.0)
                .withFeed(j.wiring().feed().withCrossSection(4e-6))));
        changed("engine never ran", j -> j.withPoints(List.of(point(1), point(4))));
        changed("a second reader, never checked", j -> j.withOutputs(
                j.outputs().oneMore().with(j.outputs().oneMore().active().withReader(READER)).facing("1")));
        changed("no drive", j -> j.withProving(null));
        changed("drive undated", j -> j.withProving(new Output.Proving("d", "ab", Origin.UNRECORDED,
                RulesSayTest.log(600, 120, 1, 0.001, 0.002, 0.2), Drives.LONG)));
        changed("drive simulated", j -> j.withProving(new Output.Proving("d", "ab",
                new Origin(Origin.Kind.SIMULATED, "", THEN, "X"), RulesSayTest.log(600, 120, 1, 0.001, 0.002, 0.2),
                Drives.LONG)));
        changed("drive lean", j -> j.withProving(new Output.Proving("d", "ab", TYPED,
                RulesSayTest.log(600, 120, 1, 0.02, 0.002, 0.2), Drives.LONG)));
        changed("read by a link", j -> j.withLaw(null).withReader(null).withPoints(List.of()).withIntake(
                j.intake().withReaders(Set.of(ReaderKind.SOFTWARE)).withLink(Intake.Link.CAN)));
        changed("not handed over", j -> j.withHandOver(new Job.HandOver("shield missing", null)));
        changed("tuning days", j -> j.withIntake(j.intake().withPermanent(false)));
        changed("kit, relay, its own way", j -> j.withWiring(j.wiring().withFeed(j.wiring().feed().withRelay(true))
                .withHeater(HeaterTiming.OPEN).withFuse(7.5).withHarness(j.wiring().harness()
                        .withJoints(Joints.NONE.joinedBy(Joints.JointSchool.PLUGGED))
                        .withRoute(j.wiring().harness().route()
                                .withLengths(p -> p.withExtension(0.0))
                                .withFirewall(p -> p.withPassage(Route.Passage.NONE))))));
        changed("soldered, fuse not known", j -> j.withWiring(j.wiring().withFuse(null).withHarness(j.wiring().harness()
                .withJoints(Joints.NONE.joinedBy(Joints.JointSchool.SOLDERED)).withRoute(Route.UNMEASURED))));
        edited("another controller", j -> j.withAir(j.air().withController(Controllers.FACTORY)));
        edited("sensor changed", j -> j.withAir(j.air().withSensor("V-2")));
        edited("calibrated anew", j -> j.withAir(j.air().withShownOxygen(0.207, DAY)));
        edited("grounds moved", j -> j.withWiring(j.wiring().withGroundPoint("elsewhere")
                .withGround(j.wiring().ground().withSchool(GroundSchool.BATTERY))));
        edited("hooked up anew", j -> j.withWiring(j.wiring().withSignals(
                j.wiring().signals().with(ReaderKind.LOGGER, h -> h.withInputOhms(2e6)))));
        edited("place moved", j -> j.withPlacing(j.placing().withCandidates(List.of(
                Candidate.named("A").withDistance(0.6).withClock(Math.toRadians(40)), Candidate.named("B")))
                .withChosen("B")));
        edited("setting typed anew", j -> j.withReader(READER.withSetting(new ReaderSetting.SlopeOffset(2, 10))));
        RulesSayTest.heldTo("review-says.txt", said);
    }
}
