package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.core.units.Unusable;
import amberheron.io.JobNumber;
import amberheron.io.UnusableInput;
import amberheron.io.book.Book;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Opens jobs of the book, begins new ones, and takes in those that were mailed. Asked on the screen's thread. */
final class Opening {
    private final Book book;
    private final Unsaved unsaved;
    private final Jobs jobs;
    private final Threads threads;
    private final Host host;
    private int asked;
    private boolean busy;

    /** Callbacks by which it reaches the session. */
    interface Host {
        /** Shows a job that was opened, reviewed for a shop. */
        void show(Opened opened, Shop by);

        void tell(String said);

        /** Whether the book does not answer now. */
        boolean away();

        /** Habits by which the jobs in the list are judged. */
        String mark();

        Shop shop();
    }

    /**
     * A job of the book, reviewed.
     *
     * @param entries what is kept of it beside the book, and is not in the book yet as far as is known
     */
    record Opened(Kept kept, JobReview review, List<LeftEntry> entries) {
        static Opened of(Kept kept, Shop by, List<LeftEntry> entries) {
            return new Opened(kept, new JobReview(kept.document().job(), by), entries);
        }
    }

    Opening(Book book, Unsaved unsaved, Jobs jobs, Threads threads, Host host) {
        this.book = book;
        this.unsaved = unsaved;
        this.jobs = jobs;
        this.threads = threads;
        this.host = host;
    }

    /** Whether a job is being opened. */
    boolean busy() {
        return busy;
    }

    /** Opens a job of the book. */
    void open(String id) {
        Shop by = host.shop();
        int turn = ++asked;
        busy = true;
        Answers.on(threads.ui(), book.load(id).thenApply(found -> found.map(k -> Opened.of(k, by, left(id)))),
                (found, e) -> {
                    if (turn != asked) {
                        // Another job was asked for meanwhile.
                        return;
                    }
                    busy = false;
                    if (found == null) {
                        host.tell(Answers.reason(e));
                    } else {
                        found.or(() -> neverIn(id, by)).ifPresentOrElse(o -> host.show(o, by),
                                () -> host.tell(host.away()
                                        ? say("%s is not in the copy on this machine; the shared book does not answer.",
                                                id)
                                        : say("The book has no job %s.", id)));
                    }
                });
    }

    /** Returns the entries of a job kept beside the book, without those that the book says it has. */
    List<LeftEntry> left(String id) {
        List<LeftEntry> all = unsaved.of(id);
        if (all.isEmpty()) {
            return all;
        }
        try {
            List<EntryKey> known = book.itself().taken(id, all.stream().map(LeftEntry::key).toList());
            all.stream().filter(e -> known.contains(e.key())).forEach(unsaved::drop);
            return all.stream().filter(e -> !known.contains(e.key())).toList();
        } catch (BookUnreachable e) {
            // It is asked again before it goes in.
            return all;
        }
    }

    /** A job that was begun while the book was out of reach. */
    private Optional<Opened> neverIn(String id, Shop by) {
        return unsaved.of(id).stream().filter(e -> e.revision() == 0).findFirst()
                .map(e -> Opened.of(new Kept(e.document(), 0), by, List.of(e)));
    }

    /** Begins a job under a number of the shop's. */
    void begin(String id) {
        try {
            add(JobDocument.of(Job.empty(JobNumber.of(id))));
        } catch (Unusable e) {
            host.tell(String.valueOf(e.getMessage()));
        }
    }

    /** Takes a job document that was mailed into the book; one that cannot be worked out is refused. */
    void take(Path file) {
        Shop by = host.shop();
        Answers.on(threads.ui(), Answers.of(() -> {
            JobDocument read = JobDocument.read(file);
            try {
                JobSummary.of(new JobReview(read.job(), by));
                return read;
            } catch (RuntimeException | StackOverflowError e) {
                throw new UnusableInput(String.valueOf(file.getFileName()), "",
                        say("its figures cannot be worked out (%s), expected a job that can be", e.getMessage()));
            }
        }, threads.worker()), (read, e) -> {
            if (read == null) {
                host.tell(Answers.reason(e));
            } else {
                add(read);
            }
        });
    }

    private void add(JobDocument added) {
        Shop by = host.shop();
        JobReview review = new JobReview(added.job(), by);
        JobSummary summary = JobSummary.of(review);
        busy = true;
        EntryKey key = unsaved.next();
        Answers.on(threads.ui(), book.add(added, new Judged(summary, host.mark()), List.of(key)), (made, e) -> {
            busy = false;
            if (e instanceof BookUnreachable) {
                LeftEntry left = unsaved.entry(key, added, 0, null, List.of());
                unsaved.keep(left);
                jobs.show(summary);
                host.show(new Opened(new Kept(added, 0), review, List.of(left)), by);
            } else if (made == null) {
                host.tell(Answers.reason(e));
            } else {
                jobs.show(summary);
                host.show(new Opened(made, review, List.of()), by);
            }
        });
    }
}
