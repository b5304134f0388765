package amberheron.app.demo;

import amberheron.app.Desktop;
import amberheron.app.shell.Session;
import amberheron.app.shell.Shell;
import amberheron.core.job.Station;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Every main view of the demo jobs as a PNG, drawn offscreen. */
public final class Pictures {
    private Pictures() {
    }

    private record View(String name, String job, Station station) {
    }

    private static final List<View> VIEWS = List.of(new View("plan", "SB-015", Station.PLAN),
            new View("place", "SB-014", Station.PLACE), new View("wire", "SB-016", Station.WIRE),
            new View("air", "SB-014", Station.AIR), new View("scale", "SB-016", Station.SCALE),
            new View("prove", "SB-014", Station.PROVE), new View("hand-over", "SB-014", Station.HAND_OVER));

    /** Writes the pictures; the toolkit must run, and this must not be its thread. */
    public static List<Path> write(Session session, Path folder, double width, double height) {
        CompletableFuture<List<Path>> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            try {
                done.complete(draw(session, folder, width, height));
            } catch (IOException e) {
                done.completeExceptionally(new UnusableInput(folder.toString(), "",
                        "the pictures cannot be written: %s; expected a folder with room".formatted(
                                TextFiles.reason(e))));
            } catch (RuntimeException e) {
                done.completeExceptionally(e);
            }
        });
        try {
            return done.join();
        } catch (java.util.concurrent.CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    private static List<Path> draw(Session session, Path folder, double width, double height) throws IOException {
        Desktop.loadFonts();
        Stage stage = new Stage();
        Scene scene = new Shell(session).scene(width, height);
        stage.setScene(scene);
        stage.setWidth(width);
        stage.setHeight(height);
        stage.show();
        List<Path> files = new ArrayList<>();
        session.showJobs();
        files.add(snap(scene, folder.resolve("jobs.png")));
        for (View view : VIEWS) {
            session.open(view.job());
            session.go(view.station());
            session.cursor(0.85);
            files.add(snap(scene, folder.resolve(view.name() + ".png")));
        }
        session.open("SB-016");
        session.go(Station.SCALE);
        press(scene, KeyCode.K, true);
        files.add(snap(scene, folder.resolve("find-or-do.png")));
        press(scene, KeyCode.ESCAPE, false);
        session.dark(true);
        files.add(snap(scene, folder.resolve("scale-dark.png")));
        press(scene, KeyCode.F11, false);
        session.dark(false);
        files.add(snap(scene, folder.resolve("arms-length.png")));
        press(scene, KeyCode.F11, false);
        stage.hide();
        return List.copyOf(files);
    }

    private static void press(Scene scene, KeyCode code, boolean shortcut) {
        var target = scene.getFocusOwner() == null ? scene.getRoot() : scene.getFocusOwner();
        Event.fireEvent(target, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, shortcut, false, false));
    }

    private static Path snap(Scene scene, Path file) throws IOException {
        for (int i = 0; i < 3; i++) {
            scene.getRoot().applyCss();
            scene.getRoot().layout();
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(SwingFXUtils.fromFXImage(scene.snapshot(null), null), "png", out);
        TextFiles.replace(file, out.toByteArray());
        return file;
    }
}
