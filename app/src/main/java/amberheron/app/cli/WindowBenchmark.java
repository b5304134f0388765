package amberheron.app.cli;

import amberheron.app.desktop.Desktop;
import amberheron.app.desktop.Stations;
import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.Tasks;
import amberheron.app.shell.Shell;
import amberheron.core.job.Station;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.function.BiConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.stage.Stage;

/** Frames of a real window while it is worked: an entry at each station, rule and place dragged, a long log zoomed. */
final class WindowBenchmark {
    private static final int FRAMES = 600;
    private static final int EDITS = 200;
    private static final int PLOT_FRAMES = 200;
    /** Frames for each key: ten keys a second, as fast as anybody types. */
    private static final int FRAMES_A_KEY = 6;
    private static final int FRAMES_A_FOLD = 30;

    private WindowBenchmark() {
    }

    /** Entries at each station that is typed into: as fast as anybody types, and on every frame; the rule folded. */
    static void edited(PrintWriter out) {
        inWindow((window, session) -> {
            Edits.STATIONS.forEach(edit -> {
                String at = " at " + edit.station().title();
                double[][] typed = frames(window, session, edit.station(), EDITS, (scene, frame) -> {
                    if (frame % FRAMES_A_KEY == 0) {
                        session.edit("benchmark", j -> edit.change().apply(j, EDITS + frame));
                    }
                    return true;
                });
                Benchmark.report(out, "typed" + at + ": from frame to frame", typed[1], "aim: 95 % within 16.7 ms");
                double[][] times = frames(window, session, edit.station(), EDITS, (scene, frame) -> {
                    session.edit("benchmark", j -> edit.change().apply(j, frame));
                    return true;
                });
                Benchmark.report(out, "an entry on every frame" + at + ": work for it", times[0],
                        "aim: 95 % within 16.7 ms");
                Benchmark.report(out, "an entry on every frame" + at + ": to the next", times[1], "");
            });
            double[][] folded = frames(window, session, Station.SCALE, EDITS, (scene, frame) -> {
                if (frame % FRAMES_A_FOLD == 0) {
                    session.preferences().folded(Station.SCALE, !session.preferences().folded(Station.SCALE));
                }
                return true;
            });
            Benchmark.report(out, "rule folded and unfolded: from frame to frame", folded[1],
                    "aim: 95 % within 16.7 ms");
        });
    }

    /** Rule and place dragged. */
    static void dragged(PrintWriter out) {
        inWindow((window, session) -> {
            ruleDragged(out, window, session);
            placeDragged(out, window, session);
        });
    }

    /** A log of ten million rows read and zoomed. */
    static void plotted(PrintWriter out) throws IOException {
        Path log = DriveBenchmark.log(DriveBenchmark.PLOTTED);
        try {
            inWindow((window, session) -> plotted(out, window, session, log));
        } finally {
            Files.deleteIfExists(log);
        }
    }

    private static void ruleDragged(PrintWriter out, Stage window, Session session) {
        double[][] times = frames(window, session, Station.SCALE, FRAMES,
                (scene, frame) -> {
                    session.at().cursor(0.95 + 0.25 * Math.sin(frame / 20.0));
                    return true;
                });
        Benchmark.report(out, "rule dragged: work for one move", times[0], "");
        Benchmark.report(out, "rule dragged: from frame to frame", times[1], "aim: 16.7 ms, 60 frames a second");
    }

    private static MouseEvent mouse(EventType<MouseEvent> what, double x, double y) {
        return new MouseEvent(what, x, y, x, y, MouseButton.PRIMARY, 1, false, false, false, false, true, false, false,
                false, false, true, null);
    }

    /** The place looked at, dragged along the pipe: every rule judged anew and everything drawn. */
    private static void placeDragged(PrintWriter out, Stage window, Session session) {
        Platform.runLater(() -> session.open("SB-014"));
        double[][] times = frames(window, session, Station.PLACE, FRAMES, (scene, frame) -> {
            Node run = Parts.find(scene.getRoot(), "place.run");
            if (run == null) {
                // Another leaf is in front while the job is being opened.
                if (session.idle() && session.at().station() != Station.PLACE) {
                    // A job that is opened begins at its first station.
                    session.at().go(Station.PLACE);
                }
                session.focus(LeafId.PLACE_CHOOSE);
                return false;
            }
            Node pin = run.lookup(".pin-looked");
            if (frame == 0 && pin != null) {
                Bounds at = pin.getBoundsInParent();
                run.fireEvent(mouse(MouseEvent.MOUSE_PRESSED, at.getCenterX(), at.getCenterY()));
            }
            run.fireEvent(mouse(MouseEvent.MOUSE_DRAGGED, 280 + 120 * Math.sin(frame / 30.0), 90));
            return true;
        });
        Benchmark.report(out, "place dragged: work for one move", times[0], "");
        Benchmark.report(out, "place dragged: from frame to frame", times[1], "aim: 16.7 ms, 60 frames a second");
    }

    /** A long log read by its field while the rule is moved; then zoomed into and out of by the wheel. */
    private static void plotted(PrintWriter out, Stage window, Session session, Path log) {
        double[][] meanwhile = frames(window, session, Station.PROVE, PLOT_FRAMES, (scene, frame) -> {
            session.at().cursor(0.95 + 0.25 * Math.sin(frame / 20.0));
            return reads(session, scene, log);
        });
        Benchmark.report(out, "the rule moved while 10 M rows are read", meanwhile[1], "aim: 16.7 ms");
        session.tasks().all().forEach(Tasks.Running::stop);
        boolean[] shown = new boolean[2];
        double[][] times = frames(window, session, Station.PROVE, PLOT_FRAMES, (scene, frame) -> {
            shown[0] = shown[0] || reads(session, scene, log);
            if (!shown[0] || !session.idle()) {
                return false;
            }
            if (!shown[1]) {
                session.focus(LeafId.PROVE_DRIVE);
                shown[1] = true;
                return false;
            }
            Node plot = Parts.find(scene.getRoot(), "prove.trace");
            if (plot == null) {
                return false;
            }
            double by = frame < PLOT_FRAMES / 2 ? 2 : -2;
            plot.fireEvent(new ScrollEvent(ScrollEvent.SCROLL, 300, 60, 300, 60, false, false, false, false, false,
                    false, 0, by, 0, by, ScrollEvent.HorizontalTextScrollUnits.NONE, 0,
                    ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null));
            return true;
        });
        Benchmark.report(out, "10 M rows zoomed: work for one frame", times[0], "aim: under 8 ms");
        Benchmark.report(out, "10 M rows zoomed: from frame to frame", times[1], "aim: 16.7 ms, 60 frames a second");
    }

    /** Whether the reading of a log was begun, through its field. */
    private static boolean reads(Session session, Scene scene, Path log) {
        if (!(Parts.find(scene.getRoot(), "prove.file") instanceof TextField field)) {
            session.focus(LeafId.PROVE_CHANNELS);
            return false;
        }
        if (!field.getText().equals(log.toString())) {
            field.setText(log.toString());
            field.fireEvent(new ActionEvent());
        }
        return true;
    }

    /**
     * Measures in one window on the demo book, since each window listens to its session for good and several would all
     * follow it.
     */
    private static void inWindow(BiConsumer<Stage, Session> measure) {
        DemoCommands.withDemo(demo -> {
            CompletableFuture<Stage> shown = new CompletableFuture<>();
            Platform.runLater(() -> {
                Desktop.loadFonts();
                Stage window = new Stage();
                window.setScene(new Shell(demo.session(), Stations.all()).scene(1280, 800));
                window.show();
                shown.complete(window);
            });
            Stage window = shown.join();
            measure.accept(window, demo.session());
            Platform.runLater(window::hide);
            return 0;
        });
    }

    /** Work of a pulse. */
    private interface Move {
        /** Whether it was done: a frame in which something else has to come first is not counted. */
        boolean on(Scene scene, int frame);
    }

    /** Moves something on every pulse; a frame that takes too long to lay out or draw makes the next pulse late. */
    private static double[][] frames(Stage window, Session session, Station station, int count, Move move) {
        CompletableFuture<double[][]> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            session.at().go(station);
            new AnimationTimer() {
                private final double[][] times = new double[2][count];
                private int frame = -60;
                private boolean counted;
                private long begun;

                // One object, so that it can be taken out again.
                private final Runnable laidOut = this::laidOut;

                {
                    window.getScene().addPostLayoutPulseListener(laidOut);
                }

                // The pulse lays out what the move asked for; only then is its work done.
                private void laidOut() {
                    if (frame >= 0 && counted) {
                        times[0][frame] = (System.nanoTime() - begun) / 1e6;
                    }
                }

                @Override
                public void handle(long now) {
                    long last = begun;
                    begun = System.nanoTime();
                    if (frame >= 0 && counted) {
                        times[1][frame] = (begun - last) / 1e6;
                    }
                    if (frame < count - 1 || !counted) {
                        frame += counted ? 1 : 0;
                        counted = move.on(window.getScene(), frame);
                    } else {
                        stop();
                        window.getScene().removePostLayoutPulseListener(laidOut);
                        done.complete(times);
                    }
                }
            }.start();
        });
        return done.join();
    }
}
