package amberheron.app.demo;

import amberheron.app.drivelog.ProveModel;
import amberheron.bench.SimulatedBench;
import amberheron.bench.SimulatedDrive;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Job;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Exhaust.Catalyst;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
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
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The book of Saltmarsh Bay, a shop that does not exist: one job proven end to end, one half done, one with a link that
 * lies. Every reading comes from the simulated instruments.
 */
public final class DemoBook {
    private static final double TIME_STEP = 0.25;

    private DemoBook() {
    }

    /**
     * Adds the three jobs.
     *
     * @param home where the proving log is written, so that it can be read again by hand
     */
    public static void fill(JobBook book, Catalogue catalogue, Path home) {
        book.add(JobDocument.of(harbourVan(catalogue, home)));
        book.add(JobDocument.of(utility(catalogue)));
        book.add(JobDocument.of(sidecar(catalogue)));
        book.prefer("job", "SB-016");
    }

    private static double rad(double degrees) {
        return Math.toRadians(degrees);
    }

    /** Proven end to end. */
    private static Job harbourVan(Catalogue catalogue, Path home) {
        Intake intake = new Intake("Harbour van, turbo three", 0.66e-3, 3, 1, catalogue.fuel("e85"),
                new Exhaust(true, 0.0508, Catalyst.FITTED, 0.98, rad(1)), Condition.SOUND, Fit.WELD_IN,
                Set.of(ReaderKind.ECU, ReaderKind.GAUGE), true, true);
        OutputLaw law = catalogue.law("afr-8.5-18");
        Reader reader = catalogue.reader("ecu-lambda-two-point-10");
        ReaderSetting setting = SettingFinder.find(law, reader).orElseThrow();
        Job job = Job.empty("SB-014").withIntake(intake)
                .withCandidates(List.of(new Candidate("A", "elbow behind the turbine", 0.22, rad(20), rad(-35), 0),
                        new Candidate("B", "straight before the catalyst", 0.61, rad(56), rad(-4), 0),
                        new Candidate("C", "second sensor's hole", 1.32, rad(-48), 0, 0)))
                .withChosen("B")
                .withWiring(new Wiring(new Wiring.SourceVolts(0.0, 12.4, 9.7), 5.0, 2.8,
                        new Wiring.Ground(false, null, null, null),
                        "signal at the ECU's sensor ground, heater at the battery"))
                .withAir(new FreeAirCheck(FreeAirCheck.School.CLEAR_THEN_LEARN, 291.15, 0.62, 4.0, 0.2064, null, 74.0,
                        LocalDate.of(2026, 5, 12)))
                .withLaw(law).withReader(reader.withSetting(setting));
        job = withPoints(job, setting, 0.5, 1.5, 2.75, 4.25);
        Path log = home.resolve("logs").resolve("SB-014-drive.csv");
        write(log, driveLog(new SignalChain(law, WireEffect.NONE, reader, setting), 300));
        job = job.withProving(ProveModel.proving(ProveModel.read(job, log)))
                .withHandOver(new Job.HandOver("Catalyst heat shield not refitted: a new one is on order.",
                        LocalDate.of(2026, 5, 13)));
        return job.withDone(JobPlan.of(intake).steps().stream().map(Step::id).collect(Collectors.toSet()));
    }

    /** Half done: placed and partly wired, the rest open. */
    private static Job utility(Catalogue catalogue) {
        Intake intake = new Intake("Straight-six utility, 1970s", 4.1e-3, 6, 1, catalogue.fuel("propane"),
                new Exhaust(false, 0.057, Catalyst.NONE, null, 0), Condition.SOUND, Fit.CLAMP,
                Set.of(ReaderKind.GAUGE), true, false);
        return Job.empty("SB-015").withIntake(intake)
                .withCandidates(List.of(new Candidate("A", "down pipe, beside the gearbox", 0.72, rad(35), rad(-12), 0),
                        new Candidate("B", "under the floor", 1.9, rad(78), rad(2), 0)))
                .withChosen("A")
                .withWiring(new Wiring(new Wiring.SourceVolts(0.0, 12.1, null), 5.0, null,
                        new Wiring.Ground(null, null, null, null), ""))
                .withDone(Set.of("leaks", "display", "place", "run"));
    }

    /** The ground wire is shared with the heater, so the logger reads lean. */
    private static Job sidecar(Catalogue catalogue) {
        Intake intake = new Intake("Flat-twin sidecar outfit", 0.75e-3, 2, 2, catalogue.fuel("e5"),
                new Exhaust(false, 0.038, Catalyst.NONE, null, rad(-2)), Condition.SOUND, Fit.EXISTING_HOLE,
                Set.of(ReaderKind.LOGGER, ReaderKind.GAUGE), false, true);
        OutputLaw law = catalogue.law("afr-2v-10");
        Reader reader = catalogue.reader("logger-slope-offset-12");
        Job job = Job.empty("SB-016").withIntake(intake)
                .withCandidates(List.of(
                        new Candidate("A", "spare bung after the H-pipe, sees both banks", 0.58, rad(-30), rad(3), 0)))
                .withChosen("A")
                .withWiring(new Wiring(new Wiring.SourceVolts(0.0, 12.6, 8.9), 5.0, 2.6,
                        new Wiring.Ground(true, 3.0, WireGauge.crossSection(18), 1.2),
                        "one black wire under the seat, gauge and logger together"))
                .withAir(new FreeAirCheck(FreeAirCheck.School.FACTORY_TRIMMED, 294.15, 0.55, 4.0, 0.2068, null, 90.0,
                        LocalDate.of(2026, 5, 19)))
                .withLaw(law).withReader(reader);
        job = withPoints(job, SettingFinder.find(law, reader).orElseThrow(), 0.5, 1.5, 2.75, 4.25);
        return job.withDone(Set.of("leaks", "display", "source", "place", "run", "splice", "battery", "free", "tight",
                "air", "sensor", "connect", "ground", "route", "scale"));
    }

    private static Job withPoints(Job job, ReaderSetting setting, double... volts) {
        SimulatedBench bench = new SimulatedBench(
                new SignalChain(java.util.Objects.requireNonNull(job.law()),
                        WireEffect.shift(WireRules.shift(job.wiring().ground()).orElse(0.0)),
                        java.util.Objects.requireNonNull(job.reader()), setting),
                job.id().hashCode());
        Job with = job;
        for (double v : volts) {
            var reading = bench.take(v);
            with = with.withPoint(new CheckPoint(reading.volts(), null, reading.shown(), bench.name()));
        }
        return with;
    }

    private static String driveLog(SignalChain chain, int seconds) {
        SimulatedDrive drive = new SimulatedDrive();
        Random random = new Random(14);
        StringBuilder csv = new StringBuilder("time,controller_lambda,reader_lambda\n");
        for (double t = 0; t <= seconds; t += TIME_STEP) {
            double lambda = drive.lambda(t + 5).orElseThrow();
            double held = Math.clamp(lambda, chain.law().richest(), chain.law().leanest());
            double shown = chain.reader().scale().toLambda(chain.shown(held)) + 0.0008 * random.nextGaussian();
            csv.append(String.format(Locale.ROOT, "%.2f,%.3f,%.3f%n", t, held, shown));
        }
        return csv.toString().replace("\r", "");
    }

    private static void write(Path file, String text) {
        try {
            TextFiles.replace(file, text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "",
                    "cannot be written: %s; expected a folder with room".formatted(TextFiles.reason(e)));
        }
    }
}
