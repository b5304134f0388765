package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.desktop.Desktop;
import amberheron.app.session.Session;
import amberheron.io.book.JobBook;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import javafx.scene.control.Label;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A book that cannot be opened is said in the window, where the person looks, and left as it was. */
@ResourceLock(Hands.SCREEN)
class TroubleTest {
    @Test
    void theReasonStandsInTheWindow(@TempDir Path home) throws Exception {
        Path book = Files.writeString(home.resolve("book.db"), "not a book");
        Desktop.prepare(CompletableFuture.supplyAsync(() -> {
            JobBook.open(book).close();
            throw new AssertionError("opened what is not a book");
        }), () -> Demo.empty(home), () -> Demo.empty(home), false);
        Hands hands = Hands.on(() -> true, stage -> new Desktop().start(stage));
        hands.waitUntil(() -> said(hands).contains("is not a job book"));
        assertThat(said(hands)).contains("left as it is").contains(book.toString());
        assertThat(book).hasContent("not a book");
        hands.close(() -> {
        });
    }

    @Test
    void aBookThatKeepsOneWaitingSaysSo(@TempDir Path home) throws Exception {
        CompletableFuture<Session> slow = new CompletableFuture<>();
        Desktop desktop = new Desktop();
        Desktop.prepare(slow, () -> Demo.empty(home), () -> Demo.empty(home), false);
        Hands hands = Hands.on(() -> true, desktop::start);
        assertThat(hands.stage().isShowing()).as("most books are open before it is worth saying").isFalse();
        hands.waitUntil(hands.stage()::isShowing);
        assertThat(said(hands)).contains("does not answer");
        slow.complete(Demo.beside(home));
        hands.waitUntil(() -> hands.find(n -> "first.begin".equals(n.getId())).isPresent());
        assertThat(said(hands)).isEmpty();
        hands.close(desktop::stop);
    }

    private static String said(Hands hands) {
        return hands.find(n -> "trouble".equals(n.getId())).map(n -> ((Label) n).getText()).orElse("");
    }
}
