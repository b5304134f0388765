package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.io.book.Book;
import amberheron.io.book.BookConflict;
import amberheron.io.book.BookProblem;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Merge;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * Brings every change of one job into the book. What could not be brought in is kept beside the book at once, tried again
 * after a growing pause, and never given up; what another bay changed meanwhile is left to a person. Used on the screen's
 * thread only.
 */
public final class Saver {
    private static final Duration FIRST_PAUSE = Duration.ofMillis(500);
    private static final Duration LONGEST_PAUSE = Duration.ofSeconds(30);
    /** How long closing waits for the book. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final Book book;
    private final Unsaved unsaved;
    private final Executor ui;
    private final Listener listener;

    private @Nullable Entry latest;
    private @Nullable CompletableFuture<Long> onItsWay;
    /** As the book last had it, to tell what was changed here from what was changed there. */
    private @Nullable JobDocument base;
    private long revision;
    private boolean asked;
    private boolean closed;
    private @Nullable String failure;
    private @Nullable Kept parted;
    private @Nullable Conflict conflict;
    private Duration pause = FIRST_PAUSE;

    /** What is to be kept, and what the list of jobs then shows. */
    private record Entry(JobDocument document, Judged judged) {
    }

    /** What was entered here and in another bay, where they went apart; all that only one of them changed is in both. */
    public record Conflict(JobDocument ours, JobDocument theirs) {
        private static Conflict of(Both both) {
            Merge merge = both.merge();
            return merge == null
                    ? new Conflict(both.ours().document(), both.theirs().document())
                    : new Conflict(merge.ours(), merge.theirs());
        }
    }

    /** Hears how it goes. */
    interface Listener {
        /** Something was saved, or was not. */
        void told();

        /** The book has another job of this number, so that this one cannot be added; it is kept beside the book. */
        void taken();

        /** What was entered here was brought together with what another bay entered. */
        void merged(JobDocument ours, JobDocument both);
    }

    /**
     * A saver of one job.
     *
     * @param from the job as the book has it, or at revision 0 as it is to be added
     */
    Saver(Book book, Unsaved unsaved, Executor ui, Kept from, Listener listener) {
        this.book = book;
        this.unsaved = unsaved;
        this.ui = ui;
        this.listener = listener;
        this.revision = from.revision();
        this.base = revision == 0 ? null : from.document();
    }

    /** Brings a change in; only the latest counts when several wait. */
    void save(JobDocument document, Judged judged) {
        if (latest == null && base != null && base.job().equals(document.job())) {
            // Nothing that the book does not have: else two bays would hear of each other without end.
            return;
        }
        latest = new Entry(document, judged);
        conflict = null;
        if (failure != null) {
            unsaved.keep(document, revision, base);
        }
        go();
    }

    /** The revision that the book has, as far as it is known here. */
    long revision() {
        return revision;
    }

    /** Goes on from what another bay has entered, while nothing was entered here. */
    void follow(Kept now) {
        base = now.document();
        revision = now.revision();
    }

    /** Tries at once what waits for its next turn. */
    void retry() {
        pause = FIRST_PAUSE;
        go();
    }

    private void go() {
        Entry next = latest;
        if (next == null || onItsWay != null || parted != null || closed) {
            return;
        }
        CompletableFuture<Long> answer = send(next);
        onItsWay = answer;
        Answers.on(ui, answer, (now, e) -> answered(next, now, e));
    }

    private CompletableFuture<Long> send(Entry next) {
        try {
            return revision == 0
                    ? book.add(next.document(), next.judged()).thenApply(Kept::revision)
                    : book.save(next.document(), next.judged(), revision);
        } catch (RuntimeException e) {
            // The book's thread is gone.
            return CompletableFuture.failedFuture(e);
        }
    }

    private void answered(Entry sent, @Nullable Long now, @Nullable Throwable e) {
        onItsWay = null;
        if (closed) {
            return;
        }
        String id = sent.document().job().id();
        if (e == null && now != null) {
            kept(sent, now);
            go();
        } else {
            failed(sent, e);
            if (e instanceof BookConflict) {
                part(id);
            } else if (revision == 0 && e instanceof BookProblem && !(e instanceof BookUnreachable)) {
                closed = true;
                listener.taken();
            } else {
                again();
            }
        }
        listener.told();
    }

    private void kept(Entry sent, long now) {
        revision = now;
        base = sent.document();
        if (failure != null) {
            unsaved.drop(sent.document().job().id());
        }
        failure = null;
        pause = FIRST_PAUSE;
        if (sent.equals(latest)) {
            latest = null;
        }
    }

    private void failed(Entry sent, @Nullable Throwable why) {
        failure = why == null ? "no answer from the book" : String.valueOf(why.getMessage());
        // Out of reach it is tried for as long as that lasts: once is enough in the log, and the watch says it.
        Logger.getLogger(Saver.class.getName()).log(why instanceof BookUnreachable ? Level.FINE : Level.WARNING,
                "not saved: " + sent.document().job().id(), why);
        unsaved.keep(latest == null ? sent.document() : latest.document(), revision, base);
    }

    private void again() {
        if (asked || closed) {
            return;
        }
        asked = true;
        CompletableFuture.delayedExecutor(pause.toMillis(), TimeUnit.MILLISECONDS, ui).execute(() -> {
            asked = false;
            go();
        });
        Duration longer = pause.multipliedBy(2);
        pause = longer.compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : longer;
    }

    /** What came of bringing both together, off the screen's thread. */
    private record Both(Entry ours, Kept theirs, @Nullable Merge merge) {
        static Both of(@Nullable JobDocument from, Entry ours, Kept theirs) {
            return new Both(ours, theirs, from == null ? null : Merge.of(from, ours.document(), theirs.document()));
        }
    }

    /** Fetches what the book has, and brings both together; what both changed is left to a person. */
    private void part(String id) {
        Entry ours = latest;
        JobDocument from = base;
        if (ours == null) {
            return;
        }
        Answers.on(ui, book.load(id).thenApply(kept -> kept.map(k -> Both.of(from, ours, k))), (found, e) -> {
            if (found == null || found.isEmpty() || closed) {
                if (found != null && found.isEmpty()) {
                    failure = say(
                            "Job %s is not in the book any more: it was moved to another. What was entered "
                                    + "is kept beside the book.",
                            id);
                }
                again();
            } else if (!ours.equals(latest)) {
                part(id);
            } else {
                met(found.get());
            }
            listener.told();
        });
    }

    private void met(Both both) {
        Merge merge = both.merge();
        if (merge == null || !merge.clashes().isEmpty()) {
            parted = both.theirs();
            conflict = Conflict.of(both);
            return;
        }
        together(both.ours(), merge.ours(), both.theirs());
        listener.merged(both.ours().document(), merge.ours());
    }

    /** Goes on with both, on the book's revision; what the list shows of it is worked out anew when it is looked at. */
    private void together(Entry ours, JobDocument both, Kept theirs) {
        follow(theirs);
        latest = new Entry(both, new Judged(ours.judged().summary(), ""));
        go();
    }

    /** Both sides, while a person has to choose. */
    Optional<Conflict> conflict() {
        Kept theirs = parted;
        Entry ours = latest;
        if (theirs == null || ours == null) {
            return Optional.empty();
        }
        if (conflict == null) {
            // Something was entered since.
            conflict = Conflict.of(Both.of(base, ours, theirs));
        }
        return Optional.of(conflict);
    }

    /**
     * A difference that stood already when the job was opened.
     *
     * @param from the job that both grew from; null where that is not known
     */
    void found(JobDocument ours, @Nullable JobDocument from, Kept theirs, Judged judged) {
        latest = new Entry(ours, judged);
        base = from;
        parted = theirs;
        failure = say("Job %s was changed elsewhere since it was opened.", ours.job().id());
    }

    /** Goes on with what was entered here, and with what only the other bay changed. */
    JobDocument keepOurs() {
        Conflict now = conflict().orElseThrow();
        Kept theirs = Objects.requireNonNull(parted);
        Entry ours = Objects.requireNonNull(latest);
        parted = null;
        conflict = null;
        together(ours, now.ours(), theirs);
        return now.ours();
    }

    /**
     * Goes on with what the book has, and with what was changed only here; what was entered here is put aside, not thrown
     * away.
     */
    JobDocument takeTheirs() {
        Conflict now = conflict().orElseThrow();
        unsaved.putAside(Objects.requireNonNull(latest).document());
        follow(Objects.requireNonNull(parted));
        latest = null;
        parted = null;
        conflict = null;
        failure = null;
        return now.theirs();
    }

    /** Whether something that was entered is not in the book yet. */
    boolean owes() {
        return latest != null;
    }

    /** What was entered and is not in the book yet. */
    Optional<JobDocument> owed() {
        return Optional.ofNullable(latest).map(Entry::document);
    }

    /** Whether something is on its way. */
    boolean busy() {
        return onItsWay != null;
    }

    /** Why the last try did not succeed; null when it did. */
    @Nullable
    String failure() {
        return failure;
    }

    /** Waits for what is on its way, tries what is left once more, and leaves what still is not in beside the book. */
    void close() {
        closed = true;
        Entry left = latest;
        if (left == null) {
            return;
        }
        try {
            if (onItsWay != null) {
                revision = onItsWay.get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
            }
            if (parted == null) {
                send(left).get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
                unsaved.drop(left.document().job().id());
                return;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            Logger.getLogger(Saver.class.getName()).log(Level.WARNING, "left beside the book", e);
        }
        unsaved.keep(left.document(), revision, base);
    }
}
