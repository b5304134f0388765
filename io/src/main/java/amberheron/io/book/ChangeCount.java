package amberheron.io.book;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * Number of changes that a book in a file has taken, kept in a small file beside it. The database silently drops a
 * write-ahead log that is damaged or was deleted; a book that then has fewer changes than were counted has lost some.
 */
final class ChangeCount implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(ChangeCount.class.getName());
    private static final String LOG_ENDING = "-wal";

    private final Path book;
    private final Path file;
    private final Path log;
    private final Path logBefore;
    private final long expected;
    private @Nullable FileChannel channel;

    private ChangeCount(Path book) {
        this.book = book;
        this.file = beside("-count");
        this.log = beside(LOG_ENDING);
        this.logBefore = beside(LOG_ENDING + ".before");
        this.expected = read();
    }

    private Path beside(String ending) {
        return book.resolveSibling(TextFiles.name(book) + ending);
    }

    /** Looks at a book before the database does, and remembers a log that was not brought in as it lies there. */
    static ChangeCount before(Path book) {
        ChangeCount count = new ChangeCount(book);
        try {
            if (count.expected > 0 && Files.exists(count.log) && Files.size(count.log) > 0) {
                Files.deleteIfExists(count.logBefore);
                PrivateFile.create(count.logBefore);
                Files.write(count.logBefore, Files.readAllBytes(count.log));
            }
        } catch (IOException e) {
            LOG.log(Level.FINE, "not remembered: " + count.log, e);
        }
        return count;
    }

    private long read() {
        try {
            String text = Files.exists(file) ? Files.readString(file, StandardCharsets.US_ASCII).strip() : "";
            return text.matches("\\d{1,18}") ? Long.parseLong(text) : 0;
        } catch (IOException e) {
            LOG.log(Level.FINE, "not read: " + file, e);
            return 0;
        }
    }

    /**
     * Compares with what the database found; where it has lost changes, book and log are set aside whole.
     *
     * @param found changes in the book as it was opened
     * @param now when, to name the folder
     * @return what a person has to know; empty where nothing is missing
     */
    Optional<String> after(long found, Instant now) {
        Optional<String> said = Optional.empty();
        try {
            if (found < expected) {
                Path aside = PrivateFile.folder(PrivateFile.folder(book.resolveSibling("set-aside"))
                        .resolve(now.toString().replaceAll("[^0-9T]", "-")));
                Files.copy(book, aside.resolve(TextFiles.name(book)));
                if (Files.exists(logBefore)) {
                    Files.copy(logBefore, aside.resolve(TextFiles.name(log)));
                }
                said = Optional.of(say(
                        "%s has lost %s: what was still to be written into it "
                                + "is damaged or gone. What could be read is here; all of it as it was found was set aside in "
                                + "%s. Look at the jobs that were worked on last; copies of the days before are in %s.",
                        book,
                        count("the last change that it had", "the last %d changes that it had", expected - found),
                        aside, book.resolveSibling("copies")));
                note(found);
            }
            Files.deleteIfExists(logBefore);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not set aside: " + book, e);
        }
        return said;
    }

    /** Notes how many changes the book has now. */
    void note(long changes) {
        try {
            FileChannel to = channel;
            if (to == null) {
                PrivateFile.create(file);
                to = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                channel = to;
            }
            // One short write, in place: a kill leaves the one number or the other.
            to.write(
                    ByteBuffer.wrap(String.format(Locale.ROOT, "%018d\n", changes).getBytes(StandardCharsets.US_ASCII)),
                    0);
        } catch (IOException e) {
            LOG.log(Level.FINE, "not counted: " + file, e);
        }
    }

    @Override
    public void close() {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            LOG.log(Level.FINE, "not closed: " + file, e);
        }
    }
}
