package amberheron.app.session;

import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Jobs that could not be brought into the book, kept beside it as documents until they are in. */
final class Unsaved {
    private static final Logger LOG = Logger.getLogger(Unsaved.class.getName());

    private final Path folder;

    Unsaved(Path home) {
        this.folder = home.resolve("unsaved");
    }

    /** A job as it was entered, and the book's revision that it was based on. */
    record Entry(JobDocument document, long revision) {
    }

    private Path file(String id, String ending) {
        return folder.resolve(JobNumber.stem(id) + ending);
    }

    /** Keeps a job in place of what was kept of it before. */
    void keep(JobDocument document, long revision) {
        String id = document.job().id();
        try {
            TextFiles.replace(file(id, ".json"), document.bytes());
            TextFiles.replace(file(id, ".revision"),
                    String.valueOf(revision).getBytes(java.nio.charset.StandardCharsets.UTF_8));
        } catch (IOException e) {
            // The disk is full as well: it stays on the screen, and is tried again with the next entry.
            LOG.log(Level.WARNING, "nor beside the book: " + id, e);
        }
    }

    /** What is kept of a job. */
    Optional<Entry> of(String id) {
        Path file = file(id, ".json");
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            String revision = Files.exists(file(id, ".revision"))
                    ? Files.readString(file(id, ".revision")).strip()
                    : "";
            JobDocument document = JobDocument.read(file);
            return document.job().id().equals(id)
                    ? Optional.of(new Entry(document, revision.matches("\\d{1,18}") ? Long.parseLong(revision) : -1))
                    : Optional.empty();
        } catch (IOException | UnusableInput e) {
            LOG.log(Level.WARNING, "left as it is: " + file, e);
            return Optional.empty();
        }
    }

    /** Forgets a job that is in the book now. */
    void drop(String id) {
        try {
            Files.deleteIfExists(file(id, ".revision"));
            Files.deleteIfExists(file(id, ".json"));
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not deleted: " + id, e);
        }
    }

    /** Keeps what was not chosen under a name of its own. */
    void putAside(JobDocument document) {
        String id = document.job().id();
        try {
            byte[] bytes = document.bytes();
            TextFiles.replace(file(id, "-not-taken-" + TextFiles.digest(bytes).substring(0, 8) + ".json"), bytes);
            drop(id);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not put aside: " + id, e);
        }
    }
}
