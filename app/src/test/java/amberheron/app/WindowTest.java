package amberheron.app;

import amberheron.app.shell.Session;
import amberheron.app.shell.Shell;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on a fresh demo book, driven by clicks and keys without a screen. */
@ExtendWith(ApplicationExtension.class)
abstract class WindowTest {
    final Path home = folder();
    Session session = Demo.session(home);

    private static Path folder() {
        try {
            return Files.createTempDirectory("heron-window");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The extension looks for its start method in the test class itself; each calls this. */
    final void open(Stage stage) {
        session.close();
        session = new Session(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home, Platform::runLater);
        Desktop.loadFonts();
        stage.setScene(new Shell(session).scene(1280, 800));
        // The window is the same in every test; one of them may have left it smaller.
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.show();
    }

    @AfterEach
    void close() {
        session.close();
    }

    static Node byId(FxRobot robot, String id) {
        WaitForAsyncUtils.waitForFxEvents();
        return robot.lookup((Node n) -> id.equals(n.getId())).query();
    }

    static String text(FxRobot robot, String id) {
        Node node = byId(robot, id);
        return node instanceof TextInputControl field ? field.getText() : ((Labeled) node).getText();
    }

    /** Whether any words on screen contain these. */
    static boolean shows(FxRobot robot, String words) {
        WaitForAsyncUtils.waitForFxEvents();
        return robot.lookup((Node n) -> n instanceof Labeled l && l.isVisible() && l.getText() != null
                && l.getText().contains(words)).tryQuery().isPresent();
    }

    static void type(FxRobot robot, String words) {
        robot.write(words).push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Does what is next. */
    static void next(FxRobot robot) {
        robot.push(KeyCode.F2);
        WaitForAsyncUtils.waitForFxEvents();
    }

    static void find(FxRobot robot, String words) {
        robot.push(KeyCode.CONTROL, KeyCode.K);
        type(robot, words);
    }

    /** As long as a reading is what is next. */
    static void takeReadings(FxRobot robot) {
        for (int i = 0; i < 8 && text(robot, "reasons.next").contains(" V and note"); i++) {
            next(robot);
        }
    }

    static void waitUntil(Callable<Boolean> is) throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, is);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
