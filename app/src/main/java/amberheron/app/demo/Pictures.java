package amberheron.app.demo;

import static amberheron.core.units.Phrase.say;

import amberheron.app.desktop.Desktop;
import amberheron.app.desktop.Stations;
import amberheron.app.parts.StationPlug;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.shell.Shell;
import amberheron.core.job.Station;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Every main view of the demo jobs as a PNG, drawn offscreen. */
public final class Pictures {
    private Pictures() {
    }

    /** Frames until a change has been laid out and drawn. */
    private static final int PULSES = 4;

    /** Writes the pictures; the toolkit must run, and this must not be its thread. */
    public static List<Path> write(Session session, Path folder, double width, double height) {
        List<StationPlug<?>> stations = Stations.all();
        Scene scene = onScreen(() -> {
            Desktop.loadFonts();
            Stage stage = new Stage();
            stage.setScene(new Shell(session, stations).scene(width, height));
            stage.setWidth(width);
            stage.setHeight(height);
            stage.show();
            return stage.getScene();
        });
        List<Path> files = new ArrayList<>();
        files.add(snap(session, scene, folder.resolve("jobs.png"), () -> {
            session.listJobs();
            session.at().showJobs();
        }));
        for (StationPlug<?> plug : stations) {
            for (StationPlug.Picture picture : plug.pictures()) {
                wait(session, () -> session.open(picture.job()));
                files.add(snap(session, scene, folder.resolve(picture.name() + ".png"), () -> {
                    session.at().go(plug.station());
                    session.at().cursor(0.85);
                    session.focus(picture.leaf());
                }));
            }
        }
        Runnable find = key(scene, "Ctrl+K");
        wait(session, () -> session.open("SB-016"));
        files.add(snap(session, scene, folder.resolve("find-or-do.png"), () -> {
            session.at().go(Station.SCALE);
            find.run();
        }));
        files.add(snap(session, scene, folder.resolve("scale-dark.png"), () -> {
            press(scene, KeyCode.ESCAPE);
            session.focus(LeafId.SCALE_LINK);
            session.preferences().dark(true);
        }));
        Runnable arm = key(scene, "F11");
        files.add(snap(session, scene, folder.resolve("arms-length.png"), () -> {
            session.preferences().dark(false);
            session.focus(LeafId.SCALE_CHECK);
            arm.run();
        }));
        onScreen(() -> {
            arm.run();
            scene.getWindow().hide();
            return "";
        });
        return List.copyOf(files);
    }

    private static Runnable key(Scene scene, String keys) {
        return Objects.requireNonNull(
                scene.getAccelerators().get(KeyCombination.keyCombination(keys.replace("Ctrl", "Shortcut"))));
    }

    private static void press(Scene scene, KeyCode code) {
        var target = scene.getFocusOwner() == null ? scene.getRoot() : scene.getFocusOwner();
        Event.fireEvent(target, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false));
    }

    /** Changes what is shown and takes the picture. */
    private static Path snap(Session session, Scene scene, Path file, Runnable change) {
        wait(session, change);
        return onScreen(() -> {
            try {
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                ImageIO.write(SwingFXUtils.fromFXImage(scene.snapshot(null), null), "png", out);
                TextFiles.replace(file, out.toByteArray());
                return file;
            } catch (IOException e) {
                throw new UnusableInput(file.toString(), "",
                        say("the picture cannot be written: %s; expected a folder with room", TextFiles.reason(e)));
            }
        });
    }

    /** Changes what is shown and lets everything that follows from it be worked out, laid out and drawn. */
    private static void wait(Session session, Runnable change) {
        onScreen(() -> {
            change.run();
            return "";
        });
        CompletableFuture<Boolean> drawn = new CompletableFuture<>();
        onScreen(() -> {
            new AnimationTimer() {
                private int pulses;

                @Override
                public void handle(long now) {
                    // What follows from a change is worked out beside the screen.
                    pulses = session.idle() ? pulses + 1 : 0;
                    if (pulses == PULSES) {
                        stop();
                        drawn.complete(true);
                    }
                }
            }.start();
            return "";
        });
        drawn.join();
    }

    /** Runs on the screen's thread and waits for it. */
    public static <T> T onScreen(Supplier<T> work) {
        CompletableFuture<T> done = CompletableFuture.supplyAsync(work, Platform::runLater);
        try {
            return done.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }
}
