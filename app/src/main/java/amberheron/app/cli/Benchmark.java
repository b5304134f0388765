package amberheron.app.cli;

import amberheron.app.Desktop;
import amberheron.app.shell.Session;
import amberheron.app.shell.Shell;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.scaling.Diagnostician;
import amberheron.io.UnusableInput;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** Measures what a person waits for: a diagnosis, a frame while the rule is dragged, the first window. */
@Command(name = "benchmark", mixinStandardHelpOptions = true, description = "Diagnosis, dragging the rule, and start, each against its aim.")
final class Benchmark implements Callable<Integer> {
    private static final int WARM = 3000;
    private static final int MEASURED = 3000;
    private static final int FRAMES = 600;
    private static final int STARTS = 7;

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        List<String> inherited = ManagementFactory.getRuntimeMXBean().getInputArguments();
        double[] diagnosis = DemoCommands.withDemo(session -> {
            double[] times = diagnose(session);
            report(out, "diagnosis of one check set, warm", times, "aim: under 5 ms");
            dragged(out, session);
            return times;
        });
        out.flush();
        double own = start(out, "first window", inherited, "amberheron.app.Heron", "--first-frame");
        double bare = start(out, "bare window, own start-up cache", inherited, BareWindow.class.getName(), "");
        out.printf("%-44s %8.2f          aim: at most 1.3%n", "first window over bare window", own / bare);
        out.flush();
        return median(diagnosis) < 5 && own / bare <= 1.3 ? 0 : HeronCommand.OUT;
    }

    private static double[] diagnose(Session session) {
        session.open("SB-016");
        Job job = session.job();
        double[] times = new double[MEASURED];
        for (int i = -WARM; i < MEASURED; i++) {
            long begun = System.nanoTime();
            Diagnostician.diagnose(Objects.requireNonNull(job.law()), Objects.requireNonNull(job.reader()),
                    job.points(), new Diagnostician.Surroundings(session.catalogue().laws(), job.stoich()));
            if (i >= 0) {
                times[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        return times;
    }

    /** Moves the cursor on every pulse; a frame that takes too long to lay out or draw makes the next pulse late. */
    private static void dragged(PrintWriter out, Session session) {
        CompletableFuture<double[][]> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            Desktop.loadFonts();
            Stage stage = new Stage();
            stage.setScene(new Shell(session).scene(1280, 800));
            session.go(Station.SCALE);
            stage.show();
            new AnimationTimer() {
                private final double[][] times = new double[2][FRAMES];
                private int frame = -60;
                private long last;

                @Override
                public void handle(long now) {
                    long begun = System.nanoTime();
                    session.cursor(0.95 + 0.25 * Math.sin(frame / 20.0));
                    stage.getScene().getRoot().applyCss();
                    stage.getScene().getRoot().layout();
                    if (frame >= 0 && frame < FRAMES) {
                        times[0][frame] = (System.nanoTime() - begun) / 1e6;
                        times[1][frame] = (begun - last) / 1e6;
                    }
                    last = begun;
                    if (++frame == FRAMES) {
                        stop();
                        stage.hide();
                        done.complete(times);
                    }
                }
            }.start();
        });
        double[][] times = done.join();
        report(out, "rule dragged: work for one move", times[0], "");
        report(out, "rule dragged: from frame to frame", times[1], "aim: 16.7 ms, 60 frames a second");
    }

    private static double start(PrintWriter out, String what, List<String> inherited, String main, String argument)
            throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("heron-start");
        Path cache = home.resolve("start.aot");
        List<String> flags = new ArrayList<>(inherited);
        flags.removeIf(f -> f.startsWith("-XX:AOT") || f.startsWith("-Dglass") || f.startsWith("-Dprism"));
        flags.addAll(List.of("-Dglass.platform=Headless", "-Dprism.order=sw"));
        // Twice: the first run makes the book, so that the second trains on an ordinary start.
        launch(home, flags, main, argument);
        launch(home, with(flags, "-XX:AOTCacheOutput=" + cache), main, argument);
        double[] times = new double[STARTS];
        for (int i = 0; i < STARTS; i++) {
            times[i] = launch(home, with(flags, "-XX:AOTCache=" + cache), main, argument);
        }
        report(out, what, times, "");
        return median(times);
    }

    private static List<String> with(List<String> flags, String more) {
        List<String> all = new ArrayList<>(flags);
        all.add(more);
        return all;
    }

    private static double launch(Path home, List<String> flags, String main, String argument)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), main));
        if (!argument.isEmpty()) {
            command.add(argument);
        }
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().put("HERON_HOME", home.toString());
        long begun = System.nanoTime();
        Process process = builder.start();
        double took = Double.NaN;
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.equals(Desktop.FIRST_FRAME)) {
                    took = (System.nanoTime() - begun) / 1e6;
                }
            }
        }
        process.waitFor();
        if (Double.isNaN(took)) {
            throw new UnusableInput(main, "", "no first frame seen; expected a window (is the build complete?)");
        }
        return took;
    }

    private static void report(PrintWriter out, String what, double[] times, String aim) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        out.printf("%-44s %8.2f ms median %8.2f ms at 95 %%   %s%n", what, median(times),
                sorted[(int) (0.95 * (sorted.length - 1))], aim);
    }

    private static double median(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
