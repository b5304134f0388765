package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.io.Backoff;
import amberheron.io.book.Book;
import amberheron.io.book.BookConflict;
import amberheron.io.book.BookProblem;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import amberheron.io.json.Merge;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Saves every change of one job to the book. A change that could not be saved is kept beside the book at once, retried
 * after a growing pause, and never given up. What another bay changed in the meantime is merged or left to a person. Used
 * on the screen's thread only.
 */
public final class Saver {
    /** How long closing waits for the book. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final Book book;
    private final Unsaved unsaved;
    private final Executor ui;
    private final Listener listener;

    /** States that were sent without an answer, and entries of earlier windows that the job holds: the book may know them. */
    private final List<LeftEntry.Sent> sent = new ArrayList<>();
    /** Entries of earlier windows that go in with the next one. */
    private final List<LeftEntry> held = new ArrayList<>();

    private @Nullable Entry latest;
    private @Nullable CompletableFuture<Long> onItsWay;
    private @Nullable Entry flying;
    /** Whether it was asked which entries of earlier windows the book has. */
    private boolean looked;
    /** Whether the last entry is to be kept beside the book. */
    private boolean beside;
    /** Whether it could not be kept there either. */
    private boolean lost;
    /** Whether the book's version is being fetched. */
    private boolean fetching;
    /** As the book last had it, to tell what was changed here from what was changed there. */
    private @Nullable JobDocument base;
    private long revision;
    private boolean asked;
    private boolean closed;
    private @Nullable String failure;
    private @Nullable Kept conflicting;
    private @Nullable Conflict conflict;
    private final Backoff pauses = new Backoff(Duration.ofMillis(500), Duration.ofSeconds(30));

    /** Document to be kept, and its line in the list of jobs. */
    record Entry(JobDocument document, Judged judged, EntryKey key) {
    }

    /**
     * Two versions of a job that a person has to choose between; everything that only one side changed is in both.
     *
     * @param said what a person has to know of what was entered here, whichever is chosen; may be empty
     */
    public record Conflict(JobDocument ours, JobDocument theirs, String said) {
        private static Conflict of(Both both) {
            Merge merge = both.merge();
            return merge == null
                    ? new Conflict(both.ours().document(), both.theirs().document(), "")
                    : new Conflict(merge.ours(), merge.theirs(), Saver.said(merge));
        }
    }

    /** Says which parts are called otherwise now; empty where none is. */
    static String said(Merge merge) {
        return String.join(" ", merge.renamed().stream().map(Merge.Renamed::said).toList());
    }

    /** Hears how it goes. */
    interface Listener {
        /** Something was saved, or was not. */
        void told();

        /** The book has another job of this number, so that this one cannot be added; it is kept beside the book. */
        void taken();

        /** Entries from here were merged with those of another bay. */
        void merged(JobDocument ours, Merge both);
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
        latest = new Entry(document, judged, unsaved.next());
        conflict = null;
        if (waits() || !held.isEmpty()) {
            keep(latest);
        }
        go();
    }

    /** Keeps an entry beside the book, with all that is needed to know later which of it was saved. */
    private boolean keep(Entry entry) {
        beside = true;
        lost = !unsaved.keep(left(entry));
        return !lost;
    }

    /** The last entry is in the book. */
    private void forget(Entry entry) {
        if (beside) {
            unsaved.drop(left(entry));
            beside = false;
            lost = false;
        }
    }

    private LeftEntry left(Entry entry) {
        return unsaved.entry(entry.key(), entry.document(), revision, base, sent);
    }

    /**
     * An entry of an earlier window is in the job now, and goes in with the next entry.
     *
     * @param with the job right after it was brought in
     */
    void hold(LeftEntry entry, JobDocument with) {
        held.add(entry);
        sent.add(new LeftEntry.Sent(entry.key(), with));
        entry.sent().forEach(s -> sent.add(new LeftEntry.Sent(s.key(), with)));
    }

    /** The revision that the book has, as far as it is known here. */
    long revision() {
        return revision;
    }

    /** Continues from what another bay has entered, while nothing was entered here. */
    void follow(Kept now) {
        base = now.document();
        revision = now.revision();
    }

    /** Tries at once what waits for its next turn. */
    void retry() {
        pauses.reset();
        go();
    }

    private void go() {
        Entry next = latest;
        if (next == null || onItsWay != null || conflicting != null || fetching || closed) {
            return;
        }
        if (revision > 0 && !held.isEmpty() && !looked) {
            part(next.document().job().id());
            return;
        }
        CompletableFuture<Long> answer = send(next);
        onItsWay = answer;
        flying = next;
        Answers.on(ui, answer, (now, e) -> answered(next, now, e));
    }

    private CompletableFuture<Long> send(Entry next) {
        List<EntryKey> keys = Stream.concat(Stream.of(next.key()), sent.stream().map(LeftEntry.Sent::key)).toList();
        try {
            return revision == 0
                    ? book.add(next.document(), next.judged(), keys).thenApply(Kept::revision)
                    : book.save(next.document(), next.judged(), revision, keys);
        } catch (Throwable e) {
            // The book's thread is gone, or there is no memory for another.
            return CompletableFuture.failedFuture(e);
        }
    }

    private void answered(Entry sent, @Nullable Long now, @Nullable Throwable e) {
        if (closed) {
            return;
        }
        onItsWay = null;
        flying = null;
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

    private void kept(Entry done, long now) {
        revision = now;
        base = done.document();
        sent.clear();
        Entry later = latest;
        if (done.equals(later)) {
            latest = null;
        } else if (later != null && beside) {
            // The same file, with what is still to go in.
            keep(later);
        }
        if (latest == null) {
            forget(done);
        }
        held.forEach(unsaved::drop);
        held.clear();
        failure = null;
        pauses.reset();
    }

    /** Notes that nothing is left to be saved. */
    private void settled(Entry ours) {
        latest = null;
        failure = null;
        pauses.reset();
        forget(ours);
        held.forEach(unsaved::drop);
        held.clear();
        sent.clear();
    }

    private void failed(Entry tried, @Nullable Throwable why) {
        if (!(why instanceof BookProblem) || (why instanceof BookUnreachable line && line.asked())) {
            // It may be in, and the answer got lost.
            sent.removeIf(s -> s.key().equals(tried.key()));
            sent.add(new LeftEntry.Sent(tried.key(), tried.document()));
        }
        failure = why == null ? say("no answer from the book") : String.valueOf(why.getMessage());
        // Out of reach it is tried for as long as that lasts: once is enough in the log, and the watch says it.
        Logger.getLogger(Saver.class.getName()).log(why instanceof BookUnreachable ? Level.FINE : Level.WARNING,
                "not saved: " + tried.document().job().id(), why);
        keep(latest == null ? tried : latest);
    }

    private void again() {
        if (asked || closed) {
            return;
        }
        asked = true;
        CompletableFuture.delayedExecutor(pauses.next().toMillis(), TimeUnit.MILLISECONDS, ui).execute(() -> {
            asked = false;
            go();
        });
    }

    /** Fetches what the book has, and brings both together; what both changed is left to a person. */
    private void part(String id) {
        Entry ours = latest;
        JobDocument from = base;
        List<LeftEntry.Sent> maybe = List.copyOf(sent);
        if (ours == null) {
            return;
        }
        fetching = true;
        Answers.on(ui, book.load(id).thenApply(kept -> kept.map(k -> {
            List<EntryKey> known = book.itself().taken(id, maybe.stream().map(LeftEntry.Sent::key).toList());
            return Both.of(Both.grown(from, maybe, known), ours, k, known);
        })), (found, e) -> {
            fetching = false;
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
                bring(found.get());
            }
            listener.told();
        });
    }

    private void bring(Both both) {
        Merge merge = both.merge();
        base = both.from();
        looked = true;
        sent.removeIf(s -> both.known().contains(s.key()));
        if (merge == null || !merge.clashes().isEmpty()) {
            conflicting = both.theirs();
            conflict = Conflict.of(both);
            keep(both.ours());
            return;
        }
        together(both.ours(), merge.ours(), both.theirs());
        listener.merged(both.ours().document(), merge);
    }

    /**
     * Continues with the merged job on the book's revision; its line in the list is worked out when it is next looked at.
     */
    private void together(Entry ours, JobDocument both, Kept theirs) {
        follow(theirs);
        if (both.job().equals(theirs.document().job())) {
            // All of ours is in it.
            settled(ours);
            return;
        }
        latest = new Entry(both, new Judged(ours.judged().summary(), ""), unsaved.next());
        keep(latest);
        go();
    }

    /** Both sides, while a person has to choose. */
    Optional<Conflict> conflict() {
        Kept theirs = conflicting;
        Entry ours = latest;
        if (theirs == null || ours == null) {
            return Optional.empty();
        }
        if (conflict == null) {
            // Something was entered since.
            conflict = Conflict.of(Both.of(base, ours, theirs, List.of()));
        }
        return Optional.of(conflict);
    }

    /**
     * Handles a difference that stood already when the job was opened.
     *
     * @param from the job that both grew from; null where that is not known
     */
    void found(LeftEntry ours, @Nullable JobDocument from, Kept theirs, Judged judged) {
        latest = new Entry(ours.document(), judged, unsaved.next());
        hold(ours, ours.document());
        base = from;
        conflicting = theirs;
        failure = say("Job %s was changed elsewhere since it was opened.", ours.id());
    }

    /** Keeps what was entered here, and what only the other bay changed. */
    JobDocument keepOurs() {
        Conflict now = conflict().orElseThrow();
        Kept theirs = Objects.requireNonNull(conflicting);
        Entry ours = Objects.requireNonNull(latest);
        conflicting = null;
        conflict = null;
        together(ours, now.ours(), theirs);
        return now.ours();
    }

    /** Takes what the book has, and what was changed only here; what was entered here is put aside, not thrown away. */
    JobDocument takeTheirs() {
        Conflict now = conflict().orElseThrow();
        Kept theirs = Objects.requireNonNull(conflicting);
        Entry ours = Objects.requireNonNull(latest);
        unsaved.putAside(ours.document());
        conflicting = null;
        conflict = null;
        together(ours, now.theirs(), theirs);
        return now.theirs();
    }

    /** Whether something that was entered is not in the book yet. */
    boolean owes() {
        return latest != null;
    }

    /** The latest entry that is not in the book yet. */
    Optional<JobDocument> owed() {
        return Optional.ofNullable(latest).map(Entry::document);
    }

    /** Whether what is entered now stays beside the book for a while. */
    boolean waits() {
        return failure != null || conflicting != null;
    }

    /** Whether it could not be kept beside the book either: it is on the screen only. */
    boolean lost() {
        return failure != null && lost;
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
        Entry last = latest;
        if (last == null) {
            return;
        }
        boolean in = arrived();
        if (conflicting == null && (revision == 0 || held.isEmpty() || looked) && !(in && last.equals(flying))) {
            flying = last;
            onItsWay = send(last);
            in = arrived();
        }
        if (in && last.equals(flying)) {
            forget(last);
        } else {
            in = keep(last);
        }
        if (in) {
            held.forEach(unsaved::drop);
        }
    }

    /** Waits for what is on its way; whether it is in. */
    private boolean arrived() {
        Entry sending = flying;
        CompletableFuture<Long> answer = onItsWay;
        if (sending == null || answer == null) {
            return false;
        }
        try {
            revision = answer.get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
            base = sending.document();
            sent.clear();
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            Logger.getLogger(Saver.class.getName()).log(Level.WARNING, "left beside the book", e);
        }
        sent.add(new LeftEntry.Sent(sending.key(), sending.document()));
        return false;
    }
}
