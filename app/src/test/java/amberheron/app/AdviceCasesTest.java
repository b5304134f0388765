package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.drivelog.ProveModel;
import amberheron.app.placement.PlaceModel;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.app.wiring.WireModel;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.LinkReading;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.drivelog.Witness;
import amberheron.core.finding.Origin;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Joints;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.RoadTest;
import amberheron.core.job.Station;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Exhaust;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.wiring.KeyState;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each case of what is next at a station: a job that was in order, but for one thing. */
class AdviceCasesTest {
    @TempDir
    private Path home = Path.of("");

    private static Arguments at(StationModel model, Station station, String next, String why,
            UnaryOperator<Job> change) {
        return Arguments.of(model, station, next, why, change);
    }

    private static Job points(Job job, UnaryOperator<CheckPoint> change) {
        return job.withPoints(job.points().stream().map(change).toList());
    }

    private static CheckPoint lean(CheckPoint p) {
        return new CheckPoint(p.volts(), p.truth(), p.shown() + 0.8, p.note(), p.origin(), p.engine(), p.id());
    }

    private static Job reader(Job job, UnaryOperator<Reader> change) {
        return job.withReader(change.apply(Objects.requireNonNull(job.reader())));
    }

    private static Job driven(Job job, double truth, double shown, Origin origin) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            samples.add(new Sample(i, truth, shown));
        }
        return job.withProving(new Output.Proving("x.csv", "00", origin, LogComparison.of(Drive.of(samples)), null));
    }

    static Stream<Arguments> cases() {
        ScaleModel scale = new ScaleModel();
        ProveModel prove = new ProveModel();
        PlaceModel place = new PlaceModel();
        WireModel wire = new WireModel();
        return Stream.of(
                at(scale, Station.SCALE, "Choose the controller's output law from its sheet.",
                        "Every controller has its own law; another maker's", j -> j.withLaw(null)),
                at(scale, Station.SCALE, "Choose what reads the volts, and in which form it is told.",
                        "The same law is typed as slope and offset, two", j -> j.withReader(null)),
                at(scale, Station.SCALE, "Choose another input: law and input share no volts.", "Nothing that is typed",
                        j -> reader(j, r -> r.withSetting(null).withInput(new ReaderInput(8, 12, 10, null)))),
                at(scale, Station.SCALE, "Finish the wiring, then check it here.",
                        "What the reader shows says something about the", j -> j.withPoints(List.of())
                                .withWiring(j.wiring().withGround(j.wiring().ground().withSchool(null)))),
                at(scale, Station.SCALE, "Type the setting; engine off, apply 0.65 V and note what",
                        "Agreement at one point proves nothing about slope:", j -> j.withPoints(List.of())),
                at(scale, Station.SCALE, "Engine off: apply 4.35 V and note what the reader shows.",
                        "One agreeing point proves nothing about slope: many",
                        j -> j.withPoints(j.points().subList(0, 1))),
                at(scale, Station.SCALE, "Type the setting for this controller's law.",
                        "The reader was told another controller's law. It", j -> points(j, AdviceCasesTest::lean)),
                at(scale, Station.SCALE, "Type the setting; engine off, apply 0.65 V and note what",
                        "The check points: the reader or its setting changed",
                        j -> reader(j, r -> r.withSetting(null))),
                at(scale, Station.SCALE, "Nobody has read the controller's own number: at one check point",
                        "Volts are turned into a mixture by the law",
                        j -> points(j, p -> new CheckPoint(p.volts(), null, p.shown(), p.note(), p.origin(),
                                p.engine(), p.id()))),
                at(scale, Station.SCALE, "Mend the wiring first.",
                        "Source, engine running: More than a controller stands",
                        j -> j.withWiring(j.wiring().withSources(j.wiring().sources().stream()
                                .map(s -> s.withVolts(KeyState.RUNNING, 17.2)).toList()))),
                at(scale, Station.SCALE, "Write the sheet.", "there is nothing to scale",
                        j -> byLink(j, 14.7)),
                at(scale, Station.SCALE, "Write the sheet.", "Shown agrees with true at 5 points over the range.",
                        j -> j),
                at(prove, Station.PROVE, "Write the sheet.", "What this reader shows cannot be logged.",
                        j -> j.withOutputs(j.outputs().with(j.outputs().active().withLogged(false))).withProving(null)),
                at(prove, Station.PROVE, "Drive with the log running, then read it here.",
                        "A cold start is rich and says nothing yet; wait for", j -> j.withProving(null)),
                at(prove, Station.PROVE, "Drive again with the log running.", "changed since",
                        j -> reader(j, r -> r.withSetting(null))),
                at(prove, Station.PROVE, "Go back to Scale: the reader is off on the road.",
                        "The reader reads lean: the tuner would add fuel",
                        j -> driven(j, 1, 1.03, j.points().getFirst().origin())),
                at(prove, Station.PROVE, "Go back to Air: the controller itself is off.",
                        "The controller shows rich of what is burnt",
                        j -> witness(j, w -> w.withGas(new GasAnalysis(0.145, 0.004, 1.2e-4, 0.006, null))
                                .withShown(0.9))),
                at(prove, Station.PROVE, "Look into it: Change: choke pulled half.", "The number moved the wrong way",
                        j -> witness(j, w -> w.withAct(Witness.Act.CHOKE_ON).withBefore(0.9).withAfter(1.0))),
                at(prove, Station.PROVE, "Set right what comes by the link.", "It shows AFR by 9.80 at λ 1",
                        j -> byLink(j, 9.8)),
                at(prove, Station.PROVE, "Compare the reader with the controller's display at two mixtures.",
                        "At two mixtures", j -> byLink(j, 9.8).withRoadTest(RoadTest.NONE)),
                at(prove, Station.PROVE, "Drive on with the log running, then read it here.",
                        "The mixture hardly moved: log a pull and a lift-off",
                        j -> driven(j, 1, 1, j.points().getFirst().origin())),
                at(prove, Station.PROVE, "Write the sheet.", "Gauge and reader agree over the whole drive.", j -> j),
                at(place, Station.PLACE, "Say at Plan whether it has a turbo; then enter the pieces",
                        "Distances count from the turbine, or from the",
                        j -> j.withIntake(j.intake().withExhaust(Exhaust.UNMEASURED))),
                at(place, Station.PLACE, "Name a place where the bung could go.",
                        "Look for a hole that is there before cutting a new",
                        j -> j.withPlacing(j.placing().withCandidates(List.of()).withFitted(AsFitted.NOTHING))),
                at(place, Station.PLACE, "Take B.", "B keeps every rule. A: Too near the turbine: heat",
                        j -> j.withPlacing(j.placing().withChosen(null).withFitted(AsFitted.NOTHING))),
                at(place, Station.PLACE, "As fitted it does not keep the rules: No clock position",
                        "Better moved now than after the first cracked",
                        j -> j.withPlacing(j.placing().withFitted(j.placing().fitted().withReading(1.5)))),
                at(place, Station.PLACE, "Print the hole and cope template for B.", "B keeps every rule.",
                        j -> j.withDone(Set.of()).withPlacing(j.placing().withFitted(AsFitted.NOTHING))),
                at(place, Station.PLACE, "Measure B as it was fitted.",
                        "Welding pulls; what counts is where it ended up.",
                        j -> j.withPlacing(j.placing().withFitted(AsFitted.NOTHING))),
                at(place, Station.PLACE, "Write the sheet.", "B keeps every rule. A: Too near the turbine: heat",
                        j -> j),
                at(wire, Station.WIRE, "Name a place where the power could come from.",
                        "It has to follow the key; prove it with a meter.",
                        j -> j.withWiring(j.wiring().withSources(List.of()).withTaken(null))),
                at(wire, Station.WIRE, "Take source A.", "A proper source: take it.",
                        j -> j.withWiring(j.wiring().withTaken(null))),
                at(wire, Station.WIRE, "Fuse: Not above the draw while heating: it will blow on a",
                        "draw 2.8 A < fuse ≤ 7.5 A", j -> j.withWiring(j.wiring().withFuse(0.5))),
                at(wire, Station.WIRE, "Enter the fuse.", "A reading that is missing never counts as a pass.",
                        j -> j.withWiring(j.wiring().withFuse(null))),
                at(wire, Station.WIRE, "No line yet for: power, switched to power source; heater",
                        "Drawn up before anything is cut; colours are",
                        j -> j.withWiring(j.wiring().withHarness(j.wiring().harness().withChart(Chart.EMPTY)
                                .withJoints(Joints.NONE)))),
                at(wire, Station.WIRE, "Measure: engine running.", "A reading that is missing never counts as a pass.",
                        j -> j.withWiring(j.wiring().withSources(
                                j.wiring().sources().stream().map(s -> s.withVolts(KeyState.RUNNING, null)).toList()))),
                at(wire, Station.WIRE, "Write the sheet.", "Source, fuse, ground, signal and every wire have", j -> j));
    }

    @ParameterizedTest(name = "{1}: {2}")
    @MethodSource("cases")
    void isSaidWithItsReason(StationModel model, Station station, String next, String why,
            UnaryOperator<Job> change) {
        try (Session session = Demo.session(home)) {
            session.open("SB-014");
            session.at().go(station);
            session.edit("one thing", change);
            Advice advice = model.advice(session);
            assertThat(advice.next().metric()).startsWith(next);
            assertThat(advice.why().metric()).contains(why);
        }
    }

    private static Job witness(Job job, UnaryOperator<Witness> change) {
        return job.withRoadTest(job.roadTest().withWitness(change.apply(job.roadTest().witness())));
    }

    /** Read by a link too, which shows AFR by a ratio where 14.70 is said. */
    private static Job byLink(Job job, double ratio) {
        MixtureScale own = job.shownByGauge();
        return job.withIntake(job.intake().withReaders(Set.of(ReaderKind.SOFTWARE)).withLink(Intake.Link.CAN))
                .withRoadTest(job.roadTest().withLink(new LinkReading(MixtureScale.afr(14.7),
                        new LinkReading.Pair(own.fromLambda(1), ratio),
                        new LinkReading.Pair(own.fromLambda(0.85), 0.85 * ratio))));
    }
}
