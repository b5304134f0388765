package amberheron.app.cli;

import amberheron.app.desktop.Desktop;
import amberheron.bench.DayOfStream;
import amberheron.core.job.Job;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.PlaceSearch;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Site;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.io.UnusableInput;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Measures what a person waits for: a diagnosis, the search of a run, a frame while something is dragged, the first window. */
@Command(name = "benchmark", mixinStandardHelpOptions = true, description = "Diagnosis, search, dragging, and start, each against its aim.")
final class Benchmark implements Callable<Integer> {
    private static final String ALL = "all";
    private static final int DIAGNOSES = 1000;
    private static final int SEARCHES = 60;
    private static final int STARTS = 7;
    private static final int DAY_LINES = 8_640_000;

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Option(names = "--part", hidden = true, defaultValue = ALL)
    private String part = "";

    @Option(names = "--only", paramLabel = "PART", split = ",", description = "only what is judged, against trials that nobody told it of: judgement for all of it, or ${COMPLETION-CANDIDATES}", completionCandidates = JudgementBenchmark.Parts.class)
    private List<String> only = List.of();

    @Option(names = "--shared", paramLabel = "ADDRESS", description = "measure a shared book on this server instead: a job of its own is put in and taken out again")
    private String shared = "";

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        if (!shared.isEmpty()) {
            SharedBenchmark.run(shared, out);
            out.flush();
            return 0;
        }
        if (!only.isEmpty()) {
            JudgementBenchmark.run(only, out);
            out.flush();
            return 0;
        }
        boolean screen = System.getenv("DISPLAY") != null;
        if (!part.equals(ALL)) {
            switch (part) {
                case "logs" -> DriveBenchmark.logs(out);
                case "plot" -> WindowBenchmark.plotted(out);
                case "drag" -> WindowBenchmark.dragged(out);
                case "edit" -> WindowBenchmark.edited(out);
                default -> throw new UnusableInput("--part", "", "expected logs, plot, drag or edit");
            }
            out.flush();
            return 0;
        }
        // The windows measured below are programs of their own.
        DemoCommands.offscreen();
        double[][] pure = DemoCommands.withDemo(demo -> new double[][]{diagnose(demo, 8, DIAGNOSES), search(demo),
                diagnose(demo, 500, DIAGNOSES / 5)});
        double[] diagnosis = pure[0];
        double[] search = pure[1];
        double[] many = pure[2];
        report(out, "diagnosis of 8 points, warm", diagnosis, "aim: under 5 ms");
        report(out, "diagnosis of 500 points, warm", many, "aim: under 50 ms");
        report(out, "search of a whole run, 1 mm by 1°, warm", search, "aim: under 50 ms");
        JudgementBenchmark.run(List.of(), out);
        DriveBenchmark.run(out);
        stream(out);
        List<String> flags = new ArrayList<>(ManagementFactory.getRuntimeMXBean().getInputArguments());
        flags.removeIf(f -> f.startsWith("-XX:AOT"));
        if (!screen) {
            // Without a screen the toolkit copies every pixel in Java, which only the full compiler makes fast.
            out.println("(no display: frames are drawn offscreen)");
            flags.removeIf(f -> f.startsWith("-XX:TieredStopAtLevel"));
            flags.addAll(List.of("-Dglass.platform=Headless", "-Dprism.order=sw"));
        }
        out.println("(a log, as the window reads it, and as the command does, for which the full compiler works)");
        List<String> full = new ArrayList<>(flags);
        full.removeIf(f -> f.startsWith("-XX:TieredStopAtLevel"));
        for (List<String> how : List.of(flags, full)) {
            out.flush();
            launch(Path.of("."), how, out, "amberheron.app.Heron", "benchmark", "--part", "logs");
        }
        launch(Path.of("."), flags, out, "amberheron.app.Heron", "benchmark", "--part", "drag");
        launch(Path.of("."), flags, out, "amberheron.app.Heron", "benchmark", "--part", "edit");
        launch(Path.of("."), flags, out, "amberheron.app.Heron", "benchmark", "--part", "plot");
        flags = new ArrayList<>(ManagementFactory.getRuntimeMXBean().getInputArguments());
        flags.removeIf(f -> f.startsWith("-XX:AOT"));
        flags.addAll(screen ? List.of() : List.of("-Dglass.platform=Headless", "-Dprism.order=sw"));
        double own = start(out, "first usable window, the last job open", Benchmark::smallHome, flags, true,
                "amberheron.app.Heron",
                "--first-frame");
        double big = start(out, "the same, " + BigBook.JOBS + " jobs in the book", Benchmark::bigHome, flags,
                true, "amberheron.app.Heron", "--first-frame");
        double[][] book = BigBook.measure(bigHome());
        report(out, "list of " + BigBook.JOBS + " jobs", book[0], "aim: under 100 ms");
        report(out, "answer of find or do among them", book[1], "aim: under 100 ms");
        report(out, "a job of them opened and reviewed", book[2], "aim: under 150 ms");
        double bare = start(out, "bare window, as java starts it", Benchmark::emptyHome, flags, false,
                BareWindow.class.getName());
        double cached = start(out, "bare window, with a start-up cache of its own", Benchmark::emptyHome, flags, true,
                BareWindow.class.getName());
        out.printf(Locale.ROOT, "%-46s %8.2f          aim: at most 1.3%n", "first usable window over bare window",
                own / bare);
        out.printf(Locale.ROOT, "%-46s %8.2f          aim: at most 1.5%n", "the same over a bare window with a cache",
                own / cached);
        out.printf(Locale.ROOT, "%-46s %8.2f          aim: at most 1.2%n", "a full book over one of three jobs",
                big / own);
        out.flush();
        return median(diagnosis) < 5 && median(search) < 50 && own / bare <= 1.3 ? 0 : HeronCommand.OUT;
    }

    /** A day of a controller that sends a hundred lines a second, as fast as it is read. */
    private static void stream(PrintWriter out) {
        DayOfStream day = DayOfStream.read(DAY_LINES);
        out.printf(Locale.ROOT, "%-46s %8.1f s        %d lines, %.1f MB more on the heap%n",
                "a day of a controller's stream",
                day.seconds(), day.lines(), day.grown() / 1e6);
    }

    /**
     * Times a diagnosis of the demo's lying chain, with a number of points over the range as a noisy bench would take them.
     */
    private static double[] diagnose(DemoCommands.Ready demo, int points, int measured) {
        Job job = demo.job("SB-016");
        OutputLaw law = Objects.requireNonNull(job.law());
        Random random = new Random(1);
        List<CheckPoint> taken = IntStream.range(0, points).mapToObj(i -> {
            double volts = 0.3 + 4.3 * i / (points - 1);
            double shown = 2 * (volts + 0.075 + 0.003 * random.nextGaussian()) + 9;
            return new CheckPoint(volts, null, Math.rint(100 * shown) / 100, "");
        }).toList();
        double[] times = new double[measured];
        for (int i = -measured / 5; i < measured; i++) {
            long begun = System.nanoTime();
            Diagnostician.diagnose(law, Objects.requireNonNull(job.reader()), taken,
                    new Diagnostician.KnownLaws(demo.catalogue().laws(), job.stoich()));
            if (i >= 0) {
                times[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        return times;
    }

    /** Every rule at every millimetre and degree of the demo's van, and the best place of all. */
    private static double[] search(DemoCommands.Ready demo) {
        Site site = demo.job("SB-014").site(PlaceSchools.OURS);
        double[] times = new double[SEARCHES];
        for (int i = -SEARCHES; i < SEARCHES; i++) {
            long begun = System.nanoTime();
            boolean found = PlaceSearch.best(site, Segment.Line.ALL).isPresent();
            if (i >= 0 && found) {
                times[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        return times;
    }

    private static Path emptyHome() {
        try {
            return Files.createTempDirectory("heron-start");
        } catch (IOException e) {
            throw new UnusableInput("temporary folder", "", "cannot be made: " + e.getMessage());
        }
    }

    /** A book of three jobs, one of them open last. */
    private static Path smallHome() {
        Path home = emptyHome();
        BigBook.fill(home);
        return home;
    }

    private static Path bigHome() {
        Path home = emptyHome();
        BigBook.make(home);
        return home;
    }

    private static double start(PrintWriter out, String what, Supplier<Path> made, List<String> flags, boolean cached,
            String... command) throws IOException, InterruptedException {
        Path home = made.get();
        List<String> used = flags;
        // Once to make the book, so that the next trains on an ordinary start.
        launch(home, used, out, command);
        if (cached) {
            Path cache = home.resolve("start.aot");
            // As ./heron makes it.
            launch(home, with(flags, "-XX:+UnlockDiagnosticVMOptions", "-XX:-AOTRecordTraining",
                    "-XX:AOTCacheOutput=" + cache), out, command);
            used = with(flags, "-XX:AOTCache=" + cache);
        }
        double[] times = new double[STARTS];
        for (int i = 0; i < STARTS; i++) {
            times[i] = launch(home, used, out, command);
            if (Double.isNaN(times[i])) {
                throw new UnusableInput(command[0], "",
                        "no first frame seen; expected a window (is the build complete?)");
            }
        }
        report(out, what, times, "");
        return median(times);
    }

    private static List<String> with(List<String> flags, String... more) {
        List<String> all = new ArrayList<>(flags);
        all.addAll(List.of(more));
        return all;
    }

    /** Runs a program and gives the time to its first frame, ms; what else it prints is passed on. */
    private static double launch(Path home, List<String> flags, PrintWriter out, String... program)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(List.of("-cp", System.getProperty("java.class.path")));
        command.addAll(List.of(program));
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().put("HERON_HOME", home.toString());
        long begun = System.nanoTime();
        Process process = builder.start();
        double took = Double.NaN;
        try (BufferedReader in = process.inputReader(StandardCharsets.UTF_8)) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.equals(Desktop.FIRST_FRAME)) {
                    took = (System.nanoTime() - begun) / 1e6;
                } else if (List.of(program).contains("--part")) {
                    out.println(line);
                    out.flush();
                }
            }
        }
        process.waitFor();
        return took;
    }

    static void report(PrintWriter out, String what, double[] times, String aim) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        out.printf(Locale.ROOT, "%-46s %8.2f ms median %8.2f ms at 95 %%   %s%n", what, median(times),
                sorted[(int) (0.95 * (sorted.length - 1))], aim);
    }

    private static double median(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
