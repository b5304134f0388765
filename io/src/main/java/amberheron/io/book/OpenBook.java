package amberheron.io.book;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.JobSummary;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * An open book that answers at once, wherever it is kept. A call that fails with {@link BookProblem} left the book as it
 * was. After {@link BookUnreachable} the outcome is unknown, and the same call may be made again without harm.
 */
public sealed interface OpenBook extends AutoCloseable permits JobBook, SharedBook {
    /**
     * Opens the book at an address.
     *
     * @param home where a bay keeps its copy of a shared one
     */
    static OpenBook at(BookAddress address, Path home) {
        return switch (address) {
            case BookAddress.OfFile file -> JobBook.open(file.file());
            case BookAddress.OfServer server -> SharedBook.open(server, home);
        };
    }

    /**
     * Preferences of the shop, read without opening its book for writing; none when there is no book.
     *
     * @param home where a bay keeps its copy of a shared one
     * @throws BookProblem when it is not a book or is damaged
     */
    static Map<String, String> habits(BookAddress address, Path home) {
        if (address instanceof BookAddress.OfFile file) {
            return SqliteFile.habits(file.file());
        }
        try (OpenBook book = at(address, home)) {
            return book.preferences();
        }
    }

    /**
     * Looks at another book and, where it answers, has it opened from the next start on.
     *
     * @param password of the book where the surroundings say it; it is not kept with the address
     * @param likes what this bay likes, where the other book does not know it yet; what the shop holds with is not carried over
     * @return it and how many jobs it has, in a few words
     * @throws amberheron.io.UnusableInput when it is not an address, or the choice cannot be kept
     * @throws BookProblem when it cannot be opened or does not answer; what was chosen before stays
     */
    static String choose(String address, Optional<String> password, Path home, Map<String, String> likes) {
        try (OpenBook book = at(BookAddress.parse(address).with(password), home)) {
            int jobs = book.jobs().size();
            if (!book.inReach()) {
                throw new BookUnreachable(book.name());
            }
            Map<String, String> known = book.preferences();
            likes.forEach((name, value) -> {
                if (!ShopHabits.isOfShop(name) && !name.equals("job") && !known.containsKey(name)) {
                    book.prefer(name, value);
                }
            });
            BookAddress.choose(home, address);
            return say("%s: %s", book.name(), count("1 job", "%d jobs", jobs));
        }
    }

    /** How messages call it; without a password. */
    String name();

    /** Notice on the state in which it was found when it was opened; empty where all was in order. */
    Optional<String> said();

    /** Whether the last answer came from the book itself, and not from a copy of it. */
    boolean inReach();

    /** The jobs, by number, as they were last judged. */
    List<JobSummary> jobs();

    /** Some of the jobs, as they were last judged; without those that the book does not have. */
    List<JobSummary> jobs(Collection<String> ids);

    /**
     * A job; empty when the book has none of this number.
     *
     * @throws BookProblem when its document is not the one that was kept
     * @throws amberheron.io.UnusableInput when its document cannot be read
     */
    Optional<Kept> load(String id);

    /**
     * Adds a job.
     *
     * @param judged null for one that is judged later
     * @param keys names of the entry, and of those that it holds; an entry whose name the book knows is not taken twice
     * @return the job with the revision in which it was added
     * @throws BookProblem when the book has one of this number already, or one whose files would be the same
     */
    Kept add(JobDocument document, @Nullable Judged judged, List<EntryKey> keys);

    /** Adds a job by an entry without a name. */
    default Kept add(JobDocument document, @Nullable Judged judged) {
        return add(document, judged, List.of());
    }

    /** Adds a job that is judged later. */
    default Kept add(JobDocument document) {
        return add(document, null);
    }

    /**
     * Keeps a change.
     *
     * @param judged null for one that is judged later
     * @param basedOn the revision that was changed
     * @param keys names of the entry, and of those that it holds; an entry whose name the book knows is not taken twice
     * @return the revision that the entry made
     * @throws BookConflict when another program changed the job in between; its change stays
     */
    long save(JobDocument document, @Nullable Judged judged, long basedOn, List<EntryKey> keys);

    /** Keeps a change by an entry without a name. */
    default long save(JobDocument document, @Nullable Judged judged, long basedOn) {
        return save(document, judged, basedOn, List.of());
    }

    /** Returns which of these entries into a job the book has taken, in their order. */
    List<EntryKey> taken(String job, List<EntryKey> keys);

    /** Identity of this book, wherever it is moved; empty where that is not known out of reach. */
    String identity();

    /** Keeps a change of a job that is judged later. */
    default long save(JobDocument document, long basedOn) {
        return save(document, null, basedOn);
    }

    /** Numbers of the jobs that were judged by other habits than these, or never. */
    List<String> unjudged(String by);

    /** Keeps what the list shows of a job, unless the job has been changed since that revision. */
    void judge(Judged judged, long revision);

    /** Keeps that a job cannot be read, and why. */
    void judgeUnreadable(String id, String why, String by);

    /** Puts a copy of the whole book beside it, one for a day. */
    void copy(LocalDate day);

    /** A photo that is in the book, by the SHA-256 of its bytes; empty where it has none or is out of reach. */
    Optional<byte[]> photo(String digest);

    /**
     * Returns whether a photo has to be put in for others to see it. A book in a file leaves photos where they lie beside
     * it, since each day's copy of it would hold them again.
     */
    boolean lacks(String digest);

    /** Puts a photo in; one that is in already stays. */
    void keep(String digest, byte[] photo);

    /** Preferences of the shop, by name. */
    Map<String, String> preferences();

    /** Keeps a preference. */
    void prefer(String name, String value);

    /** The life of a sensor; without notes for one that is not known. */
    SensorLife life(String number);

    /** The lives of all sensors that something was noted of. */
    List<SensorLife> lives();

    /** Notes something of sensors, all of it or nothing; what was noted of the same day, kind and job is replaced. */
    void note(List<SensorLife> lives);

    /** Takes a note back. */
    void forget(String number, SensorNote note);

    /** Tells, on a thread of its own, what is changed from now on, until the book is closed. To be called once. */
    void watch(Consumer<BookEvent> listener);

    @Override
    void close();
}
