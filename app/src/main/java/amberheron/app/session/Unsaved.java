package amberheron.app.session;

import amberheron.io.JobNumber;
import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Entries that could not be brought into the book, kept beside it until they are in. Each window keeps its own under a name
 * of its own, and holds a lock for as long as it lives; what a window left that lives no more anyone may bring in. Safe for
 * several threads.
 */
final class Unsaved implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(Unsaved.class.getName());
    private static final Pattern FILE = Pattern.compile(".+\\.([a-z0-9]{1,40})\\.entry");
    private static final String LOCK = ".lock";
    private static final String REVISION = ".revision";

    private final Path folder;
    private final String book;
    private final String writer = NewIds.next();
    /** Locks by writer, of windows that ended and this one's own; null where the system knows no locks. */
    private final Map<String, @Nullable FileChannel> locks = new HashMap<>();
    private long made;

    /**
     * The entries left beside a book.
     *
     * @param book identity of the book that is open; entries of another are left as they are
     */
    Unsaved(Path home, String book) {
        this.folder = home.resolve("unsaved");
        this.book = book;
    }

    /** Returns the name of this window's next entry. */
    synchronized EntryKey next() {
        return new EntryKey(writer, ++made);
    }

    /** An entry of this window, as it is kept. */
    LeftEntry entry(EntryKey key, JobDocument document, long revision, @Nullable JobDocument base,
            List<LeftEntry.Sent> sent) {
        return new LeftEntry(book, key, document, revision, base, sent);
    }

    /** Keeps an entry in place of what this window kept of the same job before; whether the disk took it. */
    synchronized boolean keep(LeftEntry entry) {
        try {
            PrivateFile.folder(folder);
            holds(entry.key().writer());
            TextFiles.replacePrivate(file(entry), entry.bytes());
            return true;
        } catch (IOException | RuntimeException | Error e) {
            // The disk is full as well, or the machine out of memory: it stays on the screen, and is tried again.
            LOG.log(Level.WARNING, "nor beside the book: " + entry.id(), e);
            return false;
        }
    }

    private Path file(LeftEntry entry) {
        return folder.resolve(JobNumber.stem(entry.id()) + "." + entry.key().writer() + ".entry");
    }

    /** Whether this window alone works with a writer's entries. */
    private boolean holds(String of) {
        if (locks.containsKey(of)) {
            return true;
        }
        FileChannel lock = null;
        try {
            Path file = folder.resolve(of + LOCK);
            PrivateFile.create(file);
            lock = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            if (lock.tryLock() == null) {
                lock.close();
                return false;
            }
        } catch (OverlappingFileLockException e) {
            close(lock);
            return false;
        } catch (IOException e) {
            // A folder that knows no locks: better twice at the book, which knows an entry again, than never.
            LOG.log(Level.FINE, "no lock: " + of, e);
            close(lock);
            lock = null;
        }
        locks.put(of, lock);
        return true;
    }

    /** Every entry that no other window looks after. */
    synchronized List<LeftEntry> left() {
        files().stream().filter(f -> TextFiles.name(f).endsWith(REVISION)).forEach(this::takeOver);
        List<LeftEntry> all = new ArrayList<>();
        for (Path each : files()) {
            Matcher name = FILE.matcher(TextFiles.name(each));
            if (name.matches() && holds(name.group(1))) {
                read(each).filter(e -> e.book().isEmpty() || book.isEmpty() || e.book().equals(book))
                        .ifPresent(all::add);
            }
        }
        return all;
    }

    /** Brings an entry of earlier versions, which was three files, into one, always under the same name. */
    private void takeOver(Path revision) {
        String stem = TextFiles.name(revision).substring(0, TextFiles.name(revision).length() - REVISION.length());
        Path document = folder.resolve(stem + ".json");
        Path base = folder.resolve(stem + ".base");
        try {
            String number = Files.readString(revision).strip();
            JobDocument entered = JobDocument.read(document);
            EntryKey key = new EntryKey("old" + TextFiles.digest(entered.bytes()).substring(0, 9), 1);
            LeftEntry entry = new LeftEntry("", key, entered, number.matches("\\d{1,18}") ? Long.parseLong(number) : -1,
                    Files.exists(base) ? JobDocument.read(base) : null, List.of());
            TextFiles.replacePrivate(file(entry), entry.bytes());
            Files.delete(revision);
            Files.deleteIfExists(base);
            Files.delete(document);
        } catch (IOException | UnusableInput e) {
            LOG.log(Level.WARNING, "left as it is: " + document, e);
        }
    }

    private List<Path> files() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.sorted().toList();
        } catch (IOException e) {
            LOG.log(Level.WARNING, "cannot be listed: " + folder, e);
            return List.of();
        }
    }

    private static Optional<LeftEntry> read(Path file) {
        try {
            return Optional.of(LeftEntry.read(file));
        } catch (UnusableInput e) {
            LOG.log(Level.WARNING, "left as it is: " + file, e);
            return Optional.empty();
        }
    }

    /** Returns the entries kept of a job, this window's own and those that others left. */
    List<LeftEntry> of(String id) {
        return left().stream().filter(e -> e.id().equals(id)).toList();
    }

    /** Whether something is kept that no other window looks after. */
    boolean any() {
        return !left().isEmpty();
    }

    /** Forgets an entry that is in the book now, unless a later one of the same window has taken its place. */
    synchronized void drop(LeftEntry entry) {
        Path file = file(entry);
        try {
            if (!Files.exists(file) || LeftEntry.read(file).key().number() > entry.key().number()) {
                return;
            }
            Files.delete(file);
        } catch (IOException | UnusableInput e) {
            // The book knows its name: it is not taken twice.
            LOG.log(Level.WARNING, "not deleted: " + file, e);
        }
    }

    /** Keeps what was not chosen under a name of its own. */
    synchronized void putAside(JobDocument document) {
        byte[] bytes = document.bytes();
        try {
            TextFiles.replacePrivate(folder.resolve(JobNumber.stem(document.job().id()) + "-not-taken-"
                    + TextFiles.digest(bytes).substring(0, 8) + ".json"), bytes);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not put aside: " + document.job().id(), e);
        }
    }

    /** Lets go of what it holds; a lock without entries goes with it. */
    @Override
    public synchronized void close() {
        List<Path> files = files();
        // What a window left that was killed with nothing to bring in, too.
        files.stream().map(TextFiles::name).filter(n -> n.endsWith(LOCK))
                .forEach(n -> holds(n.substring(0, n.length() - LOCK.length())));
        locks.forEach((of, lock) -> {
            try {
                if (files.stream().noneMatch(f -> TextFiles.name(f).endsWith("." + of + ".entry"))) {
                    Files.deleteIfExists(folder.resolve(of + LOCK));
                }
            } catch (IOException e) {
                LOG.log(Level.FINE, "not deleted: " + of, e);
            }
            close(lock);
        });
        locks.clear();
    }

    private static void close(@Nullable FileChannel lock) {
        if (lock != null) {
            try {
                lock.close();
            } catch (IOException e) {
                LOG.log(Level.FINE, "not closed", e);
            }
        }
    }

    @Override
    public String toString() {
        return folder.toString();
    }
}
