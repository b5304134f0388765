package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.State;
import amberheron.core.display.Display;
import amberheron.core.display.DisplaySetting;
import amberheron.core.display.PickUp;
import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.Crossings;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Held;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LinkReading;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Sample;
import amberheron.core.drivelog.Witness;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Photo;
import amberheron.core.finding.Source;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.PressureReading;
import amberheron.core.freeair.Steadiness;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.job.Changes;
import amberheron.core.job.Entries;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.Progress;
import amberheron.core.job.RestsOn;
import amberheron.core.job.RoadTest;
import amberheron.core.job.Waiting;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Bung;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.trim.TrimSheet;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundLoads;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundTrial;
import amberheron.core.wiring.GroundWires;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.Wiring;
import amberheron.io.catalogue.Catalogue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jspecify.annotations.Nullable;

/** Whatever a job holds: written, checked against the schema and read, it is the same job. */
class JobDocumentProperties {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    private static Signals signals(Random random) {
        return new Signals(maybe(random, 500),
                List.of(new Hookup(any(random, Intake.ReaderKind.values()), perhaps(random, Hookup.Form.values()),
                        random.nextBoolean(), maybe(random, 1e6), maybe(random, 1e4), maybe(random, 5),
                        maybe(random, 5))));
    }

    private static FreeAirCheck air(Random random) {
        boolean factory = random.nextBoolean();
        ControllerSheet sheet = new ControllerSheet(words(random), words(random),
                factory ? CalibrationSchool.FACTORY_TRIMMED : CalibrationSchool.CLEAR_THEN_LEARN,
                1 + random.nextInt(900), maybe(random, 2),
                factory
                        ? new InAir(InAir.Kind.TOP, maybe(random, 2))
                        : new InAir(InAir.Kind.LEARNED, 0.1 + 0.2 * random.nextDouble()),
                List.of(new ControllerSheet.Sign(words(random), any(random, State.values()))), List.of(words(random)),
                Source.memory("nobody"));
        return new FreeAirCheck(random.nextBoolean() ? null : sheet,
                new AirOfDay(random.nextInt(4) == 0 ? null : 250 + 70 * random.nextDouble(), maybe(random, 1),
                        maybe(random, 2000), random.nextBoolean() ? null : 80_000 + 30_000 * random.nextDouble(),
                        perhaps(random, PressureReading.values()), maybe(random, 2000)),
                random.nextBoolean() ? Set.of() : EnumSet.of(any(random, Condition.values())), maybe(random, 0.21),
                maybe(random, 1.4), maybe(random, 1.4), maybe(random, 120),
                random.nextBoolean()
                        ? null
                        : new Steadiness(3 + random.nextInt(900), 75.5, random.nextGaussian(), random.nextDouble(),
                                random.nextDouble(), random.nextInt(9)),
                random.nextBoolean()
                        ? Coaching.NONE
                        : new Coaching(any(random, CoachStep.values()),
                                Instant.EPOCH.plusSeconds(random.nextInt(1 << 30)),
                                any(random, Coaching.Trouble.values()), perhaps(random, CoachStep.values())),
                random.nextBoolean() ? null : LocalDate.of(2026, 1 + random.nextInt(12), 1), words(random),
                maybe(random, 0.02));
    }

    private static Harness harness(Random random) {
        List<Wire> wires = new ArrayList<>();
        for (int i = random.nextInt(6); i > 0; i--) {
            wires.add(new Wire("w" + i, "T" + i, perhaps(random, Work.values()), any(random, Device.values()),
                    words(random),
                    colour(random), colour(random), perhaps(random, Device.values()), words(random), colour(random),
                    random.nextBoolean(), perhaps(random, Wire.Left.values()), maybe(random, 2)));
        }
        Route route = new Route(
                List.of(new Route.Waypoint(words(random), maybe(random, 1), maybe(random, 1), random.nextBoolean(),
                        maybe(random, 1), maybe(random, 1))),
                new Route.Lengths(maybe(random, 1), maybe(random, 3), maybe(random, 0.2), maybe(random, 0.2)),
                maybe(random, 0.01),
                new Route.Firewall(maybe(random, 0.03), maybe(random, 0.03), perhaps(random, Route.Passage.values()),
                        random.nextBoolean()),
                new Route.Spray(perhaps(random, Route.Facing.values()), random.nextBoolean(),
                        perhaps(random, Route.Seat.values())));
        Joints joints = new Joints(perhaps(random, Joints.JointSchool.values()), Set.of(random.nextInt(6)),
                List.of(new Joints.Test(words(random), maybe(random, 1e-6), maybe(random, 90), maybe(random, 0.01))));
        AsWired wired = new AsWired(maybe(random, 12), maybe(random, 12),
                random.nextBoolean() ? null : LocalDate.of(2026, 6, 1 + random.nextInt(28)), words(random),
                List.of(new Photo(words(random), "cd", words(random))));
        return new Harness(new Chart(wires), route, joints, wired);
    }

    private static @Nullable WireColour colour(Random random) {
        WireColour.Hue base = perhaps(random, WireColour.Hue.values());
        return base == null ? null : new WireColour(base, perhaps(random, WireColour.Hue.values()));
    }

    private static @Nullable Double maybe(Random random, double most) {
        return random.nextInt(4) == 0 ? null : (0.01 + 0.99 * random.nextDouble()) * most;
    }

    private static <T> T any(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }

    private static String words(Random random) {
        StringBuilder words = new StringBuilder();
        for (int i = random.nextInt(12); i > 0; i--) {
            words.append("aλ“\"\\</ \t\n{é—𝜆".codePointAt(Math.min(12, random.nextInt(13))) > 0xFFFF
                    ? "𝜆"
                    : String.valueOf("aλ“\"\\</ \t\n{é".charAt(random.nextInt(12))));
        }
        return words.toString();
    }

    private static <T> @Nullable T perhaps(Random random, T[] values) {
        return random.nextInt(3) == 0 ? null : any(random, values);
    }

    private static Exhaust exhaust(Random random) {
        List<Segment> pieces = new ArrayList<>();
        List<Neighbour> beside = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            pieces.add(new Segment(any(random, Segment.Line.values()), any(random, Segment.Kind.values()),
                    maybe(random, 2), maybe(random, 0.1), null, maybe(random, 1), maybe(random, 1),
                    random.nextGaussian()));
            double from = random.nextGaussian();
            beside.add(new Neighbour(any(random, Neighbour.Kind.values()), any(random, Neighbour.Side.values()), from,
                    from + 0.1 + random.nextDouble(), maybe(random, 0.3)));
        }
        return new Exhaust(pieces, beside, new Attitude(random.nextGaussian(), random.nextGaussian()));
    }

    static Job job(Random random) {
        Job empty = Job.empty("J-" + random.nextInt(1000));
        Set<Intake.ReaderKind> kinds = new TreeSet<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            kinds.add(any(random, Intake.ReaderKind.values()));
        }
        Intake intake = new Intake(words(random), maybe(random, 0.01),
                random.nextBoolean() ? null : 1 + random.nextInt(12), 1 + random.nextInt(2),
                new Engine(perhaps(random, Engine.FuelSystem.values()), perhaps(random, Engine.Aspiration.values()),
                        perhaps(random, Engine.Cycle.values()), perhaps(random, Engine.Supply.values())),
                random.nextBoolean() ? null : CATALOGUE.fuels().get(random.nextInt(CATALOGUE.fuels().size())),
                exhaust(random), perhaps(random, Intake.Material.values()), any(random, Intake.Condition.values()),
                maybe(random, 0.01), any(random, Intake.Fit.values()), kinds, perhaps(random, Intake.Link.values()),
                random.nextBoolean(), random.nextBoolean());
        List<Candidate> places = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            places.add(new Candidate("p" + i, "P" + i, words(random), any(random, Segment.Line.values()),
                    maybe(random, 4),
                    maybe(random, 3), maybe(random, 1), random.nextGaussian(), any(random, Candidate.Hole.values()),
                    random.nextBoolean() ? null : 900 + 300 * random.nextDouble()));
        }
        Placing placing = new Placing(places, random.nextBoolean() ? null : "P1",
                new Probe(maybe(random, 0.1), maybe(random, 2), maybe(random, 2)),
                new Bung(0.03, 0.022, random.nextBoolean()),
                new AsFitted(maybe(random, 2), maybe(random, 1), random.nextDouble() / 4, random.nextDouble() / 4,
                        random.nextBoolean() ? null : LocalDate.of(2026, 3, 4),
                        random.nextBoolean() ? null : random.nextBoolean(),
                        List.of(new Photo(words(random), "ab", words(random)))));
        Progress progress = new Progress(Set.of("leaks", "place"), List.of("place", "leaks"), Set.of(words(random)),
                words(random), random.nextBoolean() ? null : LocalDate.of(2026, 5, 6),
                perhaps(random, Waiting.values()));
        List<PowerSource> sources = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            PowerSource source = PowerSource.named("S" + i).withPlace(words(random)).withHostFuse(maybe(random, 20))
                    .withHostLoad(maybe(random, 9));
            for (KeyState state : KeyState.values()) {
                source = source.withVolts(state, maybe(random, 14));
            }
            sources.add(source);
        }
        Wiring wiring = new Wiring(sources, random.nextBoolean() ? null : "S1",
                new Feed(maybe(random, 5), maybe(random, 1e-5), random.nextBoolean(), maybe(random, 90),
                        maybe(random, 14), maybe(random, 0.1), maybe(random, 12), maybe(random, 1e-6)),
                maybe(random, 20), maybe(random, 5),
                new GroundPlan(perhaps(random, GroundPlan.GroundSchool.values()), random.nextBoolean(),
                        new GroundWires(maybe(random, 5), maybe(random, 5), maybe(random, 5), maybe(random, 1e-5),
                                maybe(random, 0.1), maybe(random, 0.01)),
                        new GroundLoads(maybe(random, 3), maybe(random, 3), maybe(random, 90), maybe(random, 1),
                                maybe(random, 3)),
                        Map.of(GroundPlan.GroundSchool.CHASSIS, random.nextGaussian()),
                        GroundTrial.NONE.withLamps(maybe(random, 9)).with(any(random, GroundTrial.On.values()),
                                maybe(random, 0.1)),
                        random.nextBoolean()),
                words(random), signals(random),
                new HeaterTiming(perhaps(random, HeaterTiming.HeaterSchool.values()), maybe(random, 60)),
                harness(random), random.nextBoolean() ? Set.of() : Set.of(KeyState.CRANKING, KeyState.LAMPS));
        FreeAirCheck air = air(random);
        Job job = empty.withIntake(intake).withPlacing(placing).withProgress(progress).withWiring(wiring).withAir(air)
                .withEntries(Entries.NONE.drafted(PlaceField.PIECE_WALL.of("b"), words(random))
                        .entered(AirField.HEIGHT.address(), origin(random)))
                .withHandOver(new Job.HandOver(words(random), LocalDate.of(2026, 2, 3), words(random)))
                .withDisplay(new Display(perhaps(random, PickUp.values()), random.nextBoolean() ? null : 58,
                        random.nextBoolean(), random.nextBoolean() ? null : random.nextBoolean(),
                        perhaps(random, Display.Dimmer.values()),
                        random.nextBoolean()
                                ? Map.of()
                                : Map.of(any(random, DisplaySetting.values()), random.nextDouble())))
                .withGauge(random.nextBoolean() ? null : MixtureScale.afr(1 + random.nextInt(30)))
                .withChanges(new Changes(Map.of(any(random, RestsOn.values()), Instant.EPOCH)).of(false));
        if (random.nextBoolean()) {
            var law = CATALOGUE.laws().get(random.nextInt(CATALOGUE.laws().size()));
            var reader = CATALOGUE.readers().get(random.nextInt(CATALOGUE.readers().size()));
            ReaderSetting setting = SettingFinder.find(law, reader).orElse(null);
            job = job.withLaw(law).withReader(random.nextBoolean() ? reader : reader.withSetting(setting))
                    .withPoint(new CheckPoint(maybe(random, 5), 14.7, random.nextDouble() * 20, words(random),
                            origin(random), perhaps(random, CheckPoint.Engine.values())))
                    .withProving(new Output.Proving(words(random), "ab12", origin(random),
                            LogComparison.of(Drive.of(List.of(new Sample(0, 1, 1.01), new Sample(0.5, 0.9, 0.91)))),
                            random.nextBoolean() ? null : found(random)));
        }
        job = job.withRoadTest(roadTest(random));
        return random.nextBoolean()
                ? job
                : job.withOutputs(job.outputs().oneMore()
                        .with(job.outputs().oneMore().active().withLogged(random.nextBoolean())
                                .withChanges(new Changes(Map.of(RestsOn.LAW, Instant.EPOCH))))
                        .facingFirst());
    }

    private static DriveFound found(Random random) {
        Agreement agreement = new Agreement(0.001, -0.001, 0.002, perhapsOne(random), 0.99, 1.01, perhapsOne(random),
                perhapsOne(random), 100,
                List.of(new Agreement.Bin(0.9, 0.901, 20)));
        return new DriveFound(random.nextBoolean() ? null : agreement, random.nextInt(9), random.nextInt(9),
                random.nextBoolean() ? null : random.nextInt(9),
                List.of(new Regime(any(random, Regime.Kind.values()), 1, 2.5, 0.9, perhapsOne(random), 1.02)),
                Set.of(any(random, Regime.Kind.values())),
                List.of(new DriveEvent(any(random, DriveEvent.Kind.values()), 3, 4, 1.1, perhapsOne(random))),
                List.of(new DriveFound.Column(any(random, LogChannel.values()), words(random), "λ", "by its name")),
                random.nextBoolean() ? null : new Held(random.nextDouble(), 3.5),
                random.nextBoolean() ? null : new Crossings(random.nextInt(99), 1.003, 0.007),
                random.nextBoolean()
                        ? null
                        : new Fuelling(any(random, LoadAxis.values()),
                                List.of(new Fuelling.Spot(2500, 52500, 4.5, 2, 0.987, 0.012)),
                                Map.of(any(random, Fuelling.Gate.values()), 12.5), perhapsOne(random),
                                random.nextBoolean() ? null : 358.5),
                random.nextBoolean()
                        ? null
                        : new Joined(words(random), "ab", new Clocks(any(random, LogChannel.values()),
                                -12.5, 0.00012, 0.004)));
    }

    private static RoadTest roadTest(Random random) {
        return new RoadTest(new Witness(
                new GasAnalysis(perhapsOne(random), perhapsOne(random), perhapsOne(random), perhapsOne(random), null),
                perhapsOne(random), perhaps(random, Witness.Act.values()), perhapsOne(random), perhapsOne(random)),
                new LinkReading(random.nextBoolean() ? null : MixtureScale.afr(1 + 30 * random.nextDouble()),
                        new LinkReading.Pair(perhapsOne(random), perhapsOne(random)),
                        new LinkReading.Pair(perhapsOne(random), perhapsOne(random))),
                random.nextBoolean()
                        ? TrimSheet.NONE
                        : new TrimSheet(List.of(800.0, 1234.5), List.of(0.1, 0.25),
                                List.of(new TrimSheet.BinTarget(800, 0.1, perhapsOne(random), perhapsOne(random))),
                                random.nextBoolean()));
    }

    private static @Nullable Double perhapsOne(Random random) {
        return random.nextBoolean() ? null : Double.valueOf(random.nextDouble());
    }

    private static Origin origin(Random random) {
        return new Origin(any(random, Origin.Kind.values()), words(random), Instant.ofEpochSecond(random.nextInt()),
                words(random));
    }

    @Property(tries = 200)
    void comesBackAsItWasAndTheSchemaAgrees(@ForAll long seed) {
        Job job = job(new Random(seed));
        String text = JobDocument.of(job).text();
        JobSchema.check("any", Json.parse("any", text));
        assertThat(JobDocument.parse("any", text).job()).isEqualTo(job);
        assertThat(JobDocument.parse("any", text).with(job).text()).isEqualTo(text);
    }

    /** One job's document after being edited into another is the other's document: nothing of the first sticks. */
    @Property(tries = 100)
    void anEditLeavesNothingBehind(@ForAll long first, @ForAll long second) {
        Job before = job(new Random(first));
        Job after = job(new Random(second));
        assertThat(JobDocument.parse("x", JobDocument.of(before).text()).with(after).job()).isEqualTo(after);
        assertThat(JobDocument.parse("y", JobDocument.of(before).with(after).text()).job()).isEqualTo(after);
    }
}
