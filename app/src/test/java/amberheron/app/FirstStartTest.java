package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.desktop.Desktop;
import amberheron.app.desktop.Stations;
import amberheron.app.session.Session;
import amberheron.app.shell.Shell;
import amberheron.core.job.Station;
import java.lang.ref.WeakReference;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;

/** An empty book, for the first time. */
@ResourceLock(Hands.SCREEN)
class FirstStartTest {
    @TempDir
    private Path home = Path.of("");

    @Test
    void theTourIsShownOnceAndAJobOrTheDemoIsOffered() {
        AtomicInteger looked = new AtomicInteger();
        Session session = Demo.beside(home);
        Desktop.loadFonts();
        Hands hands = Hands.on(session::idle, stage -> {
            Shell shell = new Shell(session, Stations.all(), looked::incrementAndGet, Hands::later);
            shell.welcome();
            stage.setScene(shell.scene(1280, 800));
            stage.show();
            session.listJobs();
        });
        assertThat(title(hands, "tour.next")).isEqualTo("Next");
        hands.push(KeyCode.ENTER).push(KeyCode.ENTER);
        assertThat(title(hands, "tour.next")).isEqualTo("Begin");
        hands.push(KeyCode.ENTER);
        assertThat(session.preferences().toured()).as("not shown again").isTrue();
        hands.clickOn(named(hands, "first.demo"));
        assertThat(looked).hasValue(1);
        hands.push(KeyCode.F2).write("J-1").push(KeyCode.ENTER);
        assertThat(session.job().id()).isEqualTo("J-1");
        hands.push(KeyCode.CONTROL, KeyCode.J);
        assertThat(named(hands, "first.begin").getParent().getParent().isVisible()).as("no longer empty").isFalse();
        hands.push(KeyCode.CONTROL, KeyCode.K).write("three steps").push(KeyCode.ENTER);
        assertThat(title(hands, "tour.next")).as("called again").isEqualTo("Next");
        hands.push(KeyCode.ESCAPE);
        hands.close(session::close);
    }

    /** What beats by itself would keep the whole window, and go on with a book that is closed. */
    @Test
    void aWindowThatWasClosedIsForgotten() throws Exception {
        WeakReference<Session> closed = new WeakReference<>(seenAndClosed());
        Hands other = Hands.on(() -> true, stage -> {
            stage.setScene(new Scene(new Region()));
            stage.show();
        });
        other.waitUntil(() -> {
            System.gc();
            return closed.refersTo(null);
        });
        other.close(() -> {
        });
    }

    private Session seenAndClosed() {
        Demo.copy(home);
        Session session = Demo.beside(home);
        Hands hands = Hands.on(session::idle, stage -> {
            stage.setScene(new Shell(session, Stations.all(), null, Hands::later).scene(1280, 800));
            stage.show();
            session.listJobs();
        });
        for (Station station : Station.values()) {
            hands.interact(() -> session.at().go(station));
        }
        // Prove's leaf of channels, which looks whether a recording grows, and the rule that follows what is on the desk.
        hands.interact(() -> session.at().go(Station.PROVE));
        hands.push(KeyCode.F8);
        hands.close(session::close);
        return session;
    }

    private static Node named(Hands hands, String id) {
        return hands.find(n -> id.equals(n.getId())).orElseThrow();
    }

    private static String title(Hands hands, String id) {
        return ((Labeled) named(hands, id)).getText();
    }
}
