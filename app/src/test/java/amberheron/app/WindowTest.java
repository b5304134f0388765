package amberheron.app;

import amberheron.app.desktop.Desktop;
import amberheron.app.desktop.Stations;
import amberheron.app.session.Session;
import amberheron.app.shell.Shell;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;

/** The real window on a fresh demo book, driven by clicks and keys without a screen. */
@ResourceLock(Hands.SCREEN)
abstract class WindowTest {
    @TempDir
    Path home = Path.of("");
    Session session;
    Hands hands;

    @BeforeEach
    final void open() {
        Demo.copy(home);
        session = Demo.beside(home);
        Desktop.loadFonts();
        hands = Hands.on(session::idle, stage -> {
            stage.setScene(new Shell(session, Stations.all(), null, Hands::later).scene(1280, 800));
            stage.setWidth(1280);
            stage.setHeight(800);
            stage.show();
            session.listJobs();
        });
    }

    @AfterEach
    final void close() {
        hands.close(session::close);
    }

    final Node byId(String id) {
        return hands.find(n -> id.equals(n.getId())).orElseThrow(() -> new AssertionError("nothing called " + id));
    }

    final String text(String id) {
        Node node = byId(id);
        return node instanceof TextInputControl field ? field.getText() : ((Labeled) node).getText();
    }

    /** Whether any words on screen contain these. */
    final boolean shows(String words) {
        return hands.find(n -> n instanceof Labeled l && l.isVisible() && l.getText() != null
                && l.getText().contains(words)).isPresent();
    }

    final void type(String words) {
        hands.write(words).push(KeyCode.ENTER);
    }

    /** Does what is next. */
    final void next() {
        hands.push(KeyCode.F2);
    }

    /** What a person vouches for: the key for what is next only brings it, a letter of its own keeps it. */
    final void vouch() {
        next();
        hands.write(((Labeled) ((Labeled) byId("reasons.action")).getGraphic()).getText());
    }

    final void find(String words) {
        hands.push(KeyCode.CONTROL, KeyCode.K);
        type(words);
    }

    /** As long as a reading is what is next. */
    final void takeReadings() {
        for (int i = 0; i < 8 && text("reasons.next").contains(" V and note"); i++) {
            next();
        }
    }

    final void waitUntil(Callable<Boolean> is) throws Exception {
        hands.waitUntil(is);
    }
}
