package amberheron.app.session;

import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Jobs that could not be brought into the book, kept beside it as documents until they are in. */
final class Unsaved {
    private static final Logger LOG = Logger.getLogger(Unsaved.class.getName());

    private static final String REVISION = ".revision";
    private static final String BASE = ".base";

    private final Path folder;

    Unsaved(Path home) {
        this.folder = home.resolve("unsaved");
    }

    /**
     * A job as it was entered.
     *
     * @param revision the book's revision that it was based on; 0 for a job that the book never had
     * @param base the job in that revision; null where that was not kept
     */
    record Entry(JobDocument document, long revision, @Nullable JobDocument base) {
    }

    /** Whether something is kept. */
    boolean any() {
        return !revisions().isEmpty();
    }

    /** The numbers of the jobs that something is kept of; reads each of them. */
    List<String> ids() {
        List<String> found = new ArrayList<>();
        for (Path each : revisions()) {
            String stem = TextFiles.name(each);
            read(folder.resolve(stem.substring(0, stem.length() - REVISION.length()) + ".json"))
                    .ifPresent(d -> found.add(d.job().id()));
        }
        return found;
    }

    private List<Path> revisions() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(f -> TextFiles.name(f).endsWith(REVISION)).sorted().toList();
        } catch (IOException e) {
            LOG.log(Level.WARNING, "cannot be listed: " + folder, e);
            return List.of();
        }
    }

    private Path file(String id, String ending) {
        return folder.resolve(JobNumber.stem(id) + ending);
    }

    /** Keeps a job in place of what was kept of it before. */
    void keep(JobDocument document, long revision, @Nullable JobDocument base) {
        String id = document.job().id();
        try {
            TextFiles.replace(file(id, ".json"), document.bytes());
            if (base != null) {
                TextFiles.replace(file(id, BASE), base.bytes());
            }
            TextFiles.replace(file(id, REVISION), String.valueOf(revision).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            // The disk is full as well: it stays on the screen, and is tried again with the next entry.
            LOG.log(Level.WARNING, "nor beside the book: " + id, e);
        }
    }

    /** What is kept of a job. */
    Optional<Entry> of(String id) {
        return read(file(id, ".json")).filter(d -> d.job().id().equals(id))
                .map(d -> new Entry(d, revision(id), read(file(id, BASE)).orElse(null)));
    }

    private long revision(String id) {
        try {
            String text = Files.exists(file(id, REVISION)) ? Files.readString(file(id, REVISION)).strip() : "";
            return text.matches("\\d{1,18}") ? Long.parseLong(text) : -1;
        } catch (IOException e) {
            LOG.log(Level.WARNING, "left as it is: " + id, e);
            return -1;
        }
    }

    private static Optional<JobDocument> read(Path file) {
        try {
            return Files.exists(file) ? Optional.of(JobDocument.read(file)) : Optional.empty();
        } catch (UnusableInput e) {
            LOG.log(Level.WARNING, "left as it is: " + file, e);
            return Optional.empty();
        }
    }

    /** Forgets a job that is in the book now. */
    void drop(String id) {
        try {
            Files.deleteIfExists(file(id, REVISION));
            Files.deleteIfExists(file(id, BASE));
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

    @Override
    public String toString() {
        return folder.toString();
    }
}
