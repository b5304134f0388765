package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.desktop.Desktop;
import amberheron.app.session.Session;
import amberheron.app.session.Threads;
import amberheron.core.job.Job;
import amberheron.io.book.BookAddress;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Server;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A window that goes from one book to another and stays the same window. */
@ResourceLock(Hands.SCREEN)
class DesktopTest {
    @TempDir
    private Path home = Path.of("");

    private Session open() {
        return Session.on(OpenBook.at(BookAddress.of(home, Optional.empty()), home),
                Catalogue.withShop(home.resolve("catalogue")), home, Threads.beside(Platform::runLater));
    }

    private static Node byId(Hands hands, String id) {
        return hands.find(n -> id.equals(n.getId())).orElseThrow(() -> new AssertionError("nothing called " + id));
    }

    private static boolean shows(Hands hands, String words) {
        return hands.find(n -> n instanceof Labeled l && l.isVisible() && l.getText() != null
                && l.getText().contains(words)).isPresent();
    }

    private static void use(Hands hands, String address) {
        hands.push(KeyCode.CONTROL, KeyCode.K).write("The book: where").push(KeyCode.ENTER);
        hands.clickOn(byId(hands, "book.other")).push(KeyCode.CONTROL, KeyCode.A);
        hands.write(address);
        hands.clickOn(byId(hands, "book.use"));
    }

    @Test
    void anotherBookIsOpenedInTheSameWindow() throws Exception {
        try (Server server = new Server(); OpenBook shared = server.bay(home.resolve("office"))) {
            String there = "127.0.0.1:" + server.address().port() + "/" + server.address().database();
            shared.add(JobDocument.of(Job.empty("OF-1")));
            try (OpenBook own = OpenBook.at(BookAddress.of(home, Optional.empty()), home)) {
                own.add(JobDocument.of(Job.empty("MY-1")));
                own.prefer("tour", "seen");
                own.prefer("paper", "dark");
            }
            Desktop desktop = new Desktop();
            CompletableFuture<Session> first = CompletableFuture.supplyAsync(this::open);
            Desktop.prepare(first, this::open, () -> Demo.empty(home), false);
            Hands hands = Hands.on(() -> true, desktop::start);
            hands.waitUntil(() -> shows(hands, "MY-1"));

            use(hands, "postgresql://nobody:wrong@" + there);
            hands.waitUntil(() -> shows(hands, "failed: "));
            assertThat(shows(hands, "wrong@")).isFalse();

            use(hands, "postgresql://postgres:postgres@" + there);
            hands.waitUntil(() -> shows(hands, "OF-1"));
            assertThat(shows(hands, "MY-1")).as("it stays in the book it is in").isFalse();
            Session now = open();
            assertThat(now.preferences().dark()).as("what this bay likes it likes there too").isTrue();
            now.close();
            hands.close(desktop::stop);
        }
    }
}
