package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The folder that a command writes into, looked at before the work begins. */
final class OutFolder {
    private OutFolder() {
    }

    /**
     * Returns the folder, made where there is none.
     *
     * @throws UnusableInput when none was named, or nothing can be written there
     */
    static Path ready(Path folder) {
        if (folder.toString().isBlank()) {
            throw new UnusableInput("--out", "", say("found nothing, expected a folder"));
        }
        try {
            Files.createDirectories(folder);
            Files.delete(Files.createTempFile(folder, "heron", ".try"));
            return folder;
        } catch (IOException e) {
            throw new UnusableInput("--out", "",
                    say("%s cannot be written: %s", folder, TextFiles.reason(e)));
        }
    }
}
