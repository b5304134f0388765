package amberheron.app.home;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;

@Isolated("the log belongs to the whole program")
class HomeLogTest {
    @TempDir
    Path home;
    @TempDir
    Path next;

    /** The file that a person is sent to is the one that holds the error, whatever was logged before it. */
    @Test
    void anErrorStandsInTheFileThatIsNamedForIt() throws IOException {
        HomeLog.startWhenNeeded(home);
        Logger.getLogger("book").warning("the server is away");
        HomeLog.error(home, "uncaught", new IllegalStateException("no such row"));

        assertThat(HomeLog.file(home)).content().contains("the server is away", "uncaught", "no such row");
        HomeLog.startWhenNeeded(next);
        HomeLog.end();
        Logger.getLogger("book").warning("said after the command was done");
        assertThat(next.resolve("logs")).doesNotExist();
        try (Stream<Path> files = Files.list(home.resolve("logs"))) {
            assertThat(files).as("closed, and nothing written beside it").containsExactly(HomeLog.file(home));
        }
    }
}
