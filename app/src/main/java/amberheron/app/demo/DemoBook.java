package amberheron.app.demo;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.bench.AirFault;
import amberheron.bench.AirTrial;
import amberheron.bench.DriveTrial;
import amberheron.bench.SimulatedBench;
import amberheron.bench.SimulatedController;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.display.Display;
import amberheron.core.display.DisplaySetting;
import amberheron.core.display.PickUp;
import amberheron.core.drivelog.Drive;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Route;
import amberheron.core.job.Job;
import amberheron.core.job.JobSummary;
import amberheron.core.job.LastingIds;
import amberheron.core.job.Progress;
import amberheron.core.job.Waiting;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Candidate.Hole;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Engine.FuelSystem;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.Material;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.WireEffect;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.OpenBook;
import amberheron.io.book.ShopHabits;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import amberheron.io.log.DriveLog;
import amberheron.io.log.LogFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The book of Saltmarsh Bay, a shop that does not exist: one job proven end to end, one half done, one with a link that
 * lies. Every reading comes from the simulated instruments.
 */
public final class DemoBook {
    /** Rows by which the reader is late. */
    private static final int LATE = 2;
    private static final String DAY = "demo.day";

    private DemoBook() {
    }

    /**
     * Adds the three jobs.
     *
     * @param home where the proving log is written, so that it can be read again by hand
     */
    public static void fill(OpenBook book, Catalogue catalogue, Path home, LocalDate today) {
        for (Job job : List.of(harbourVan(catalogue, home, today), utility(catalogue, today),
                sidecar(catalogue, today))) {
            Iterator<String> ids = IntStream.iterate(1, i -> i + 1).mapToObj(i -> "p" + i).iterator();
            book.add(JobDocument.of(LastingIds.given(Job.empty(job.id()), job, ids::next)));
        }
        book.note(List.of(new SensorLife("V-07", life(today))));
        book.prefer("job", "SB-016");
        book.prefer(ShopHabits.DEMO, "yes");
        book.prefer(DAY, today.toString());
    }

    /** Moves every date of the book along with the day it is opened on: the demo is always of this week. */
    public static void shift(OpenBook book, LocalDate today) {
        String kept = book.preferences().get(DAY);
        if (kept == null || kept.equals(today.toString())) {
            return;
        }
        long days = ChronoUnit.DAYS.between(LocalDate.parse(kept), today);
        for (JobSummary job : book.jobs()) {
            book.load(job.id()).ifPresent(
                    k -> book.save(k.document().with(shifted(k.document().job(), days)), k.revision()));
        }
        book.prefer(DAY, today.toString());
    }

    private static Job shifted(Job job, long days) {
        UnaryOperator<@Nullable LocalDate> moved = day -> day == null ? null : day.plusDays(days);
        AsWired wired = job.wiring().harness().asWired();
        return job.withProgress(job.progress().withDay(moved.apply(job.progress().day())))
                .withPlacing(job.placing().withFitted(
                        job.placing().fitted().withDate(moved.apply(job.placing().fitted().date()))))
                .withWiring(job.wiring().withHarness(
                        job.wiring().harness().withAsWired(wired.withDate(moved.apply(wired.date())))))
                .withAir(job.air().withDate(moved.apply(job.air().date())))
                .withHandOver(job.handOver().withDate(moved.apply(job.handOver().date())));
    }

    /** A sensor that came from another job and was moved to the van. */
    private static List<SensorNote> life(LocalDate today) {
        return List.of(new SensorNote(today.minusDays(430), SensorNote.Kind.HOURS, 0, "SB-003"),
                new SensorNote(today.minusDays(430), SensorNote.Kind.GAIN, 1.004, "SB-003"),
                new SensorNote(today.minusDays(240), SensorNote.Kind.HOURS, 260, "SB-003"),
                new SensorNote(today.minusDays(240), SensorNote.Kind.GAIN, 0.991, "SB-003"),
                new SensorNote(today.minusDays(240), SensorNote.Kind.KEY_ON, 14, "SB-003"),
                new SensorNote(today.minusDays(60), SensorNote.Kind.HOURS, 520, "SB-014"),
                new SensorNote(today.minusDays(60), SensorNote.Kind.GAIN, 0.969, "SB-014"));
    }

    private static ControllerSheet controller(Catalogue catalogue, String id) {
        return catalogue.controllers().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    /** A calibration as the coach leads it, of a controller that does not exist. */
    private static FreeAirCheck coached(Catalogue catalogue, String controller, AirOfDay today, LocalDate day,
            String sensor) {
        ControllerSheet sheet = controller(catalogue, controller);
        Coach coach = AirTrial.coached(new SimulatedController(sheet, today.air().orElseThrow(), AirFault.NONE, 0, 14),
                sheet);
        Instant when = day.atTime(10, 30).toInstant(ZoneOffset.UTC);
        return FreeAirCheck.NONE.withController(sheet).withToday(today).withConditions(coach.conditions())
                .withCoaching(new Coaching(CoachStep.RECORDED, when, Coaching.Trouble.NONE, null)).withSensor(sensor)
                .recorded(coach.result().orElseThrow(), day);
    }

    private static Origin simulated(LocalDate day) {
        return new Origin(Origin.Kind.SIMULATED, "simulated instruments", day.atTime(9, 30).toInstant(ZoneOffset.UTC),
                "");
    }

    private static PowerSource source(LocalDate day, String id, String place, double... volts) {
        KeyState[] states = {KeyState.OFF, KeyState.ON, KeyState.CRANKING, KeyState.RUNNING, KeyState.LAMPS,
                KeyState.INDICATORS};
        PowerSource source = PowerSource.named(id).withPlace(place);
        for (int i = 0; i < states.length; i++) {
            source = source.withReading(states[i], volts[i], simulated(day));
        }
        return source;
    }

    private static double rad(double degrees) {
        return Math.toRadians(degrees);
    }

    /** Proven end to end. */
    private static Job harbourVan(Catalogue catalogue, Path home, LocalDate today) {
        Intake intake = Intake.BLANK.withVehicle("Harbour van, turbo three").withDisplacement(0.66e-3).withCylinders(3)
                .withEngine(e -> e.withFuelSystem(FuelSystem.INJECTION).withAspiration(Engine.Aspiration.TURBO)
                        .withCycle(Engine.Cycle.FOUR_STROKE).withSupply(Engine.Supply.TWELVE))
                .withFuel(catalogue.fuel("e85"))
                .withMaterial(Material.MILD_STEEL)
                .withCondition(Condition.SOUND).withReaders(Set.of(ReaderKind.ECU, ReaderKind.GAUGE))
                .withExhaust(new Exhaust(List.of(
                        new Segment(Line.ALL, Kind.MANIFOLD, 0.14, 0.034, 0.003, rad(-8), null, 0),
                        new Segment(Line.ALL, Kind.TURBINE, 0.08, 0.06, 0.006, rad(-8), null, 0),
                        new Segment(Line.ALL, Kind.PIPE, 0.34, 0.0381, 0.0012, rad(-38), rad(-4), 0),
                        new Segment(Line.ALL, Kind.PIPE, 0.64, 0.0381, 0.0012, rad(-4), null, 0),
                        new Segment(Line.ALL, Kind.CATALYST, 0.24, 0.095, null, rad(-2), null, 0),
                        new Segment(Line.ALL, Kind.PIPE, 0.42, 0.0381, 0.0012, rad(-2), rad(6), 0),
                        new Segment(Line.ALL, Kind.MUFFLER, 0.3, 0.13, null, rad(2), null, 0)),
                        List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0.3, 2.0, 0.088),
                                new Neighbour(Neighbour.Kind.FUEL_LINE, Neighbour.Side.LEFT, 0.4, 1.6, 0.18),
                                new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0.2, 2.0, 0.16)),
                        new Attitude(0, rad(1))));
        OutputLaw law = catalogue.law("straight-lambda");
        Reader reader = catalogue.reader("ecu-lambda-two-point-10");
        ReaderSetting setting = SettingFinder.find(law, reader).orElseThrow();
        Job job = Job.empty("SB-014").withIntake(intake)
                .withProgress(Progress.NONE.withBay("1").withDay(today.minusDays(8)))
                .withPlacing(Placing.NONE.withCandidates(List.of(
                        new Candidate("A", "A", "elbow behind the turbine", Line.ALL, 0.22, rad(20), null, 0, Hole.NONE,
                                null),
                        new Candidate("B", "B", "straight before the catalyst", Line.ALL, 0.61, rad(56), null, 0,
                                Hole.NONE,
                                null),
                        new Candidate("C", "C", "behind the catalyst", Line.ALL, 1.42, rad(-48), null, 0,
                                Hole.SECOND_SENSOR, null)))
                        .withChosen("B").withProbe(new Probe(0.082, 0.9, 1.4))
                        .withFitted(new AsFitted(0.614, rad(36), rad(3), rad(2), today.minusDays(8), true,
                                List.of())))
                .withWiring(DemoWiring.harbourVan(List.of(
                        source(today, "A", "fuse 7, ignition coil feed", 0.02, 12.4, 9.7, 14.1, 13.9, 14.0)
                                .withHostFuse(15.0)
                                .withHostLoad(6.0),
                        source(today, "B", "cigar lighter", 12.5, 12.5, 9.8, 14.1, 13.8, 14.0)), today.minusDays(8)))
                .withAir(coached(catalogue, "learner", AirOfDay.of(291.15, 0.62, 4), today.minusDays(8), "V-07"))
                .withLaw(law).withReader(reader.withSetting(setting));
        job = job.withEntries(job.entries().entered(AirField.SHOWN.address(), simulated(today.minusDays(8))));
        job = withPoints(job, today.minusDays(8), setting, new double[]{0.25, 2.75, 4.75}, 1.5, 4.25);
        Path log = home.resolve("logs").resolve("SB-014-drive.csv");
        write(log, driveLog(new SignalChain(law, WireEffect.NONE, reader, setting)));
        driven(log, today.minusDays(7));
        job = job.withProving(DriveLog.read(job, LogFile.of(log), Map.of(), part -> {
        }).proved(job, simulated(today.minusDays(7))).proving())
                .withDisplay(Display.UNTOLD.withPickUp(PickUp.ONE_COIL).withKnowsLoad(true)
                        .withDimmer(Display.Dimmer.LAMPS).withTold(DisplaySetting.LEAN, 0.86)
                        .withTold(DisplaySetting.LEAN_DELAY, 0.5)
                        .withTold(DisplaySetting.RICH, 0.70).withTold(DisplaySetting.RICH_DELAY, 5.0)
                        .withTold(DisplaySetting.FILTER, 0.2)
                        .withTold(DisplaySetting.PULSES, 1.5))
                .withHandOver(new Job.HandOver("Catalyst heat shield not refitted: a new one is on order.",
                        today.minusDays(7)));
        return job.withDone(JobPlan.of(intake).steps().stream().map(Step::key).collect(Collectors.toSet()));
    }

    /** Half done: placed and partly wired, the rest open. */
    private static Job utility(Catalogue catalogue, LocalDate today) {
        Intake intake = Intake.BLANK.withVehicle("Straight-six utility, 1970s").withDisplacement(4.1e-3)
                .withCylinders(6)
                .withEngine(e -> e.withFuelSystem(FuelSystem.CARBURETTOR).withAspiration(Engine.Aspiration.NATURAL)
                        .withCycle(Engine.Cycle.FOUR_STROKE).withSupply(Engine.Supply.TWELVE))
                .withFuel(catalogue.fuel("propane"))
                .withCondition(Condition.SOUND).withFit(Fit.CLAMP).withReaders(Set.of(ReaderKind.GAUGE))
                .withFixedHarness(false)
                .withExhaust(new Exhaust(List.of(
                        new Segment(Line.ALL, Kind.MANIFOLD, 0.3, 0.06, 0.005, 0.0, null, 0),
                        new Segment(Line.ALL, Kind.PIPE, 0.42, 0.057, 0.0016, rad(-70), rad(-12), 0),
                        new Segment(Line.ALL, Kind.PIPE, 1.5, 0.057, 0.0016, rad(-12), rad(2), 0),
                        new Segment(Line.ALL, Kind.MUFFLER, 0.55, 0.16, null, 0.0, null, 0)),
                        List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0.45, 2.4, 0.14),
                                new Neighbour(Neighbour.Kind.GEARBOX, Neighbour.Side.LEFT, 0.2, 0.9, 0.11),
                                new Neighbour(Neighbour.Kind.DRIVESHAFT, Neighbour.Side.LEFT, 0.9, 2.4, 0.13),
                                new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0.4, 2.4, 0.21)),
                        Attitude.LEVEL));
        return Job.empty("SB-015").withIntake(intake)
                .withProgress(Progress.NONE.withBay("2, lift").withDay(today).withHold(Waiting.PARTS)
                        .withInHand(Set.of("soapy water", "gauge or controller with display", "extension harness 2.4 m",
                                "grommet", "no-weld clamp kit", "sensor")))
                .withPlacing(Placing.NONE.withCandidates(List.of(
                        new Candidate("A", "A", "down pipe, beside the gearbox", Line.ALL, 0.72, rad(35), null, 0,
                                Hole.NONE, null),
                        new Candidate("B", "B", "under the floor", Line.ALL, 1.9, rad(78), null, 0, Hole.NONE, null)))
                        .withChosen("A").withProbe(new Probe(0.085, 0.7, 1.6))
                        .withFitted(new AsFitted(0.715, rad(47), rad(5), rad(-2), today, true,
                                List.of())))
                .withWiring(Wiring.UNMEASURED
                        .withSources(List.of(
                                PowerSource.named("A").withPlace("radio feed")
                                        .withReading(KeyState.OFF, 0.0, simulated(today))
                                        .withReading(KeyState.ON, 12.1, simulated(today))))
                        .withTaken("A").withFuse(5.0).withHarness(Harness.NONE
                                .withRoute(Route.UNMEASURED.withLengths(p -> p.withLead(0.4))
                                        .withLengths(p -> p.withExtension(2.4)))))
                .withAir(FreeAirCheck.NONE.withController(controller(catalogue, "trimmed"))
                        .withToday(AirOfDay.of(303.15, 0.8, 4).withDrivenHeight(600.0))
                        .withConditions(Set.of(amberheron.core.freeair.Condition.OUT_OF_PIPE,
                                amberheron.core.freeair.Condition.CAP_OFF)))
                .withDone(Set.of("leaks", "display", "place", "run", "drill", "clamp", "tight"));
    }

    /** The ground wire is shared with the heater, so the logger reads lean. */
    private static Job sidecar(Catalogue catalogue, LocalDate today) {
        Intake intake = Intake.BLANK.withVehicle("Flat-twin sidecar outfit").withDisplacement(0.75e-3).withCylinders(2)
                .withBanks(2)
                .withEngine(e -> e.withFuelSystem(FuelSystem.CARBURETTOR).withAspiration(Engine.Aspiration.NATURAL)
                        .withCycle(Engine.Cycle.FOUR_STROKE).withSupply(Engine.Supply.TWELVE))
                .withFuel(catalogue.fuel("e5"))
                .withCondition(Condition.SOUND).withFit(Fit.EXISTING_HOLE)
                .withReaders(Set.of(ReaderKind.LOGGER, ReaderKind.GAUGE)).withPermanent(false)
                .withExhaust(new Exhaust(List.of(
                        new Segment(Line.FIRST, Kind.PIPE, 0.26, 0.038, 0.0012, rad(-50), rad(-6), rad(-20)),
                        new Segment(Line.FIRST, Kind.PIPE, 0.22, 0.038, 0.0012, rad(-6), rad(-1), rad(18)),
                        new Segment(Line.SECOND, Kind.PIPE, 0.24, 0.038, 0.0012, rad(-50), rad(-8), rad(20)),
                        new Segment(Line.SECOND, Kind.PIPE, 0.24, 0.038, 0.0012, rad(-8), rad(-1), rad(-18)),
                        new Segment(Line.ALL, Kind.MERGE, 0.08, 0.045, 0.0015, rad(-1), null, 0),
                        new Segment(Line.ALL, Kind.PIPE, 0.36, 0.042, 0.0012, rad(3), null, 0),
                        new Segment(Line.ALL, Kind.MUFFLER, 0.4, 0.1, null, rad(5), null, 0)),
                        List.of(new Neighbour(Neighbour.Kind.GEARBOX, Neighbour.Side.ABOVE, 0.3, 0.75, 0.13),
                                new Neighbour(Neighbour.Kind.BODYWORK, Neighbour.Side.RIGHT, 0.4, 1.2, 0.12),
                                new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0.3, 1.3, 0.15)),
                        new Attitude(0, rad(-2))));
        OutputLaw law = catalogue.law("straight-afr");
        Reader reader = catalogue.reader("logger-slope-offset-12");
        Job job = Job.empty("SB-016").withIntake(intake)
                .withProgress(Progress.NONE.withBay("3").withDay(today))
                .withPlacing(Placing.NONE.withCandidates(List.of(
                        new Candidate("A", "A", "after the H-pipe, sees both banks", Line.FIRST, 0.62, rad(-30), null,
                                0,
                                Hole.SPARE, null),
                        new Candidate("B", "B", "first bank, close and quick", Line.FIRST, 0.465, rad(25), null, 0,
                                Hole.NONE, null)))
                        .withChosen("A").withProbe(new Probe(0.08, 0.5, 1.2))
                        .withFitted(new AsFitted(0.62, rad(61), 0, 0, today.minusDays(1), true, List.of())))
                .withWiring(DemoWiring
                        .sidecar(List
                                .of(source(today, "A", "horn feed under the tank", 0.01, 12.6, 8.9, 13.9, 13.8, 13.7)
                                        .withHostFuse(7.5).withHostLoad(1.0))))
                .withAir(coached(catalogue, "factory", AirOfDay.of(294.15, 0.55, 4), today.minusDays(1), ""))
                .withLaw(law).withReader(reader)
                .withDisplay(Display.UNTOLD.withPickUp(PickUp.PAIR_COIL).withKnowsLoad(false)
                        .withDimmer(Display.Dimmer.GROUND).withTold(DisplaySetting.LEAN, 1.2)
                        .withTold(DisplaySetting.PULSES, 2.0));
        job = job.withEntries(job.entries().entered(AirField.SHOWN.address(), simulated(today.minusDays(1))));
        job = withPoints(job, today.minusDays(1), SettingFinder.find(law, reader).orElseThrow(),
                new double[]{0.5, 2.75},
                1.5, 4.25);
        return job.withDone(Set.of("leaks", "display", "source", "place", "run", "splice", "battery", "feed", "free",
                "tight", "on", "air", "sensor", "connect", "ground", "route", "scale"));
    }

    private static Job withPoints(Job job, LocalDate day, ReaderSetting setting, double[] off, double... running) {
        OutputLaw law = java.util.Objects.requireNonNull(job.law());
        SimulatedBench bench = new SimulatedBench(
                new SignalChain(law,
                        WireRules.effect(job.wiring(), job.intake().readers()),
                        java.util.Objects.requireNonNull(job.reader()), setting),
                job.id().hashCode());
        Job with = job;
        for (int i = 0; i < off.length + running.length; i++) {
            boolean ran = i >= off.length;
            var reading = bench.take(ran ? running[i - off.length] : off[i]);
            // With the engine running the controller's own display is read as well.
            Double truth = ran
                    ? Double.valueOf(CheckPoint.read(law.scale().fromLambda(law.lambdaAt(reading.volts()))))
                    : null;
            with = with.withPoint(new CheckPoint(reading.volts(), truth, reading.shown(), "", simulated(day),
                    ran ? CheckPoint.Engine.RUNNING : CheckPoint.Engine.OFF));
        }
        return with;
    }

    /** A made-up drive: what the engine did, what the controller showed, and what the reader made of it a moment later. */
    private static String driveLog(SignalChain chain) {
        Drive drive = DriveTrial.of(14, 14, new DriveTrial.Fault(0, 1, 0, 0, 0, 0, 0)).drive();
        Random random = new Random(14);
        StringBuilder csv = new StringBuilder(
                "time s,engine speed rpm,road speed km/h,MAP kPa,throttle %,coolant °C,stock narrowband V,controller lambda,logger lambda\n");
        for (int i = 0; i < drive.time().length; i++) {
            double held = Math.clamp(fuelled(drive, i), chain.law().richest(), chain.law().leanest());
            double before = Math.clamp(fuelled(drive, Math.max(0, i - LATE)), chain.law().richest(),
                    chain.law().leanest());
            double narrowband = 0.45 - 0.4 * Math.tanh((held - 1) / 0.006) + 0.01 * random.nextGaussian();
            double shown = chain.reader().scale().toLambda(chain.shown(before)) + 0.0008 * random.nextGaussian();
            csv.append(
                    fixed("%.2f,%.0f,%.1f,%.1f,%.1f,%.1f,%.3f,%.3f,%.3f%n", drive.time()[i], at(drive.engineSpeed(), i),
                            3.6 * at(drive.speed(), i), at(drive.pressure(), i) / 1000, 100 * at(drive.throttle(), i),
                            at(drive.temperature(), i) - 273.15, narrowband, held, shown));
        }
        return csv.toString().replace("\r", "");
    }

    /** The mixture, a little lean about one corner of the map and a little rich about another. */
    private static double fuelled(Drive drive, int i) {
        double lambda = drive.controller()[i];
        boolean cut = lambda > 1.2;
        double speed = at(drive.engineSpeed(), i);
        double load = at(drive.pressure(), i) / 1000;
        return cut
                ? lambda
                : lambda + 0.027 * Math.exp(-Math.pow((speed - 2760) / 60, 2) - Math.pow((load - 50) / 10, 2))
                        - 0.04 * Math.exp(-Math.pow((speed - 3600) / 500, 2) - Math.pow((load - 66) / 12, 2));
    }

    private static double at(float @Nullable [] channel, int i) {
        return channel == null ? 0 : channel[i];
    }

    /** Gives the log the time at which its logger would have closed it. */
    private static void driven(Path log, LocalDate day) {
        try {
            Files.setLastModifiedTime(log, FileTime.from(day.atTime(9, 15).toInstant(ZoneOffset.UTC)));
        } catch (IOException e) {
            // Then it was driven before it was read.
        }
    }

    private static void write(Path file, String text) {
        try {
            TextFiles.replace(file, text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "",
                    say("cannot be written: %s; expected a folder with room", TextFiles.reason(e)));
        }
    }
}
