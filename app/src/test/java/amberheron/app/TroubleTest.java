package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.io.book.JobBook;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** A book that cannot be opened is said in the window, where the person looks, and left as it was. */
@ExtendWith(ApplicationExtension.class)
class TroubleTest {
    private Path book = Path.of("");

    @Start
    void start(Stage stage) throws IOException {
        book = Files.writeString(Files.createTempDirectory("heron-trouble").resolve("book.db"), "not a book");
        Desktop.prepare(CompletableFuture.supplyAsync(() -> {
            JobBook.open(book).close();
            throw new AssertionError("opened what is not a book");
        }), false);
        new Desktop().start(stage);
    }

    @Test
    void theReasonStandsInTheWindow(FxRobot robot) {
        Label says = (Label) robot.lookup((Node n) -> "trouble".equals(n.getId())).query();
        assertThat(says.getText()).contains("is not a job book").contains("left as it is").contains(book.toString());
        assertThat(book).hasContent("not a book");
    }
}
