package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.io.book.Book;
import amberheron.io.book.BookConflict;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.json.JobDocument;
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
    private final Runnable told;

    private @Nullable Entry latest;
    private @Nullable CompletableFuture<Long> onItsWay;
    private long revision;
    private boolean asked;
    private boolean closed;
    private @Nullable String failure;
    private @Nullable Conflict conflict;
    private Duration pause = FIRST_PAUSE;

    /** What is to be kept, and what the list of jobs then shows. */
    private record Entry(JobDocument document, Judged judged) {
    }

    /** What the book has and what was entered here, when they went apart. */
    public record Conflict(JobDocument ours, JobDocument theirs, long revision) {
    }

    /**
     * A saver of one job.
     *
     * @param basedOn the revision that the book has
     * @param told called when something was saved, or was not
     */
    Saver(Book book, Unsaved unsaved, Executor ui, long basedOn, Runnable told) {
        this.book = book;
        this.unsaved = unsaved;
        this.ui = ui;
        this.told = told;
        this.revision = basedOn;
    }

    /** Brings a change in; only the latest counts when several wait. */
    void save(JobDocument document, Judged judged) {
        latest = new Entry(document, judged);
        if (failure != null) {
            unsaved.keep(document, revision);
        }
        go();
    }

    private void go() {
        Entry next = latest;
        if (next == null || onItsWay != null || conflict != null || closed) {
            return;
        }
        CompletableFuture<Long> answer = send(next);
        onItsWay = answer;
        Answers.on(ui, answer, (now, e) -> answered(next, now, e));
    }

    private CompletableFuture<Long> send(Entry next) {
        try {
            return book.save(next.document(), next.judged(), revision);
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
            } else {
                again();
            }
        }
        told.run();
    }

    private void kept(Entry sent, long now) {
        revision = now;
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
        Logger.getLogger(Saver.class.getName()).log(Level.WARNING, "not saved: " + sent.document().job().id(), why);
        unsaved.keep(latest == null ? sent.document() : latest.document(), revision);
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

    /** Fetches what the book has, so that both can be shown. */
    private void part(String id) {
        Answers.on(ui, book.load(id), (kept, e) -> {
            Entry ours = latest;
            if (kept != null && kept.isPresent() && ours != null) {
                conflict = new Conflict(ours.document(), kept.get().document(), kept.get().revision());
            } else {
                again();
            }
            told.run();
        });
    }

    /** Both sides, while a person has to choose. */
    Optional<Conflict> conflict() {
        Conflict now = conflict;
        Entry ours = latest;
        return now == null || ours == null
                ? Optional.empty()
                : Optional.of(new Conflict(ours.document(), now.theirs(), now.revision()));
    }

    /** A difference that stood already when the job was opened. */
    void found(Conflict between, Judged judged) {
        latest = new Entry(between.ours(), judged);
        conflict = between;
        failure = say("Job %s was changed elsewhere since it was opened.", between.ours().job().id());
    }

    /** Goes on with what was entered here. */
    void keepOurs() {
        Conflict now = conflict;
        if (now != null) {
            conflict = null;
            revision = now.revision();
            go();
        }
    }

    /** Goes on with what the book has; what was entered here is put aside, not thrown away. */
    JobDocument takeTheirs() {
        Conflict now = Objects.requireNonNull(conflict);
        if (latest != null) {
            unsaved.putAside(latest.document());
        }
        latest = null;
        conflict = null;
        failure = null;
        revision = now.revision();
        return now.theirs();
    }

    /** Whether something that was entered is not in the book yet. */
    boolean owes() {
        return latest != null;
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
            if (conflict == null) {
                send(left).get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
                unsaved.drop(left.document().job().id());
                return;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            Logger.getLogger(Saver.class.getName()).log(Level.WARNING, "left beside the book", e);
        }
        unsaved.keep(left.document(), revision);
    }
}
