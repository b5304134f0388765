package amberheron.app.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.api.parallel.Resources;

/** Commands run as a script runs them, on files of a folder; what they say is caught, so that they take turns. */
@ResourceLock(Resources.SYSTEM_OUT)
abstract class CommandTest {
    @TempDir
    Path folder = Path.of("");

    static Ran run(String... args) {
        return Ran.of(Path.of("target", "nowhere"), args);
    }

    static Ran run(Path home, String... args) {
        return Ran.of(home, args);
    }

    final String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    final String at(String name) {
        return folder.resolve(name).toString();
    }
}
