package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.io.book.JobBook;
import java.io.IOException;
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
    void theReasonStandsInTheWindow(@TempDir Path home) throws IOException {
        Path book = Files.writeString(home.resolve("book.db"), "not a book");
        Desktop.prepare(CompletableFuture.supplyAsync(() -> {
            JobBook.open(book).close();
            throw new AssertionError("opened what is not a book");
        }), () -> Demo.empty(home), () -> Demo.empty(home), false);
        Hands hands = Hands.on(() -> true, stage -> new Desktop().start(stage));
        Label says = (Label) hands.find(n -> "trouble".equals(n.getId())).orElseThrow();
        assertThat(says.getText()).contains("is not a job book").contains("left as it is").contains(book.toString());
        assertThat(book).hasContent("not a book");
        hands.close(() -> {
        });
    }
}
