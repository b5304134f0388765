package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Changes;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.LastingIds;
import amberheron.core.job.Shop;
import amberheron.io.book.Book;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import amberheron.io.json.Merge;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The job that is open: its changes with their undo, its review, its saving, and what other bays enter into it. Used on the
 * screen's thread only.
 */
public final class OpenJob {
    private final Book book;
    private final Unsaved unsaved;
    private final Threads threads;
    private final Host host;
    private final Undo undo = new Undo();
    private final Reviews reviews;
    /** Savers of jobs that were left before everything was in the book, by number. */
    private final Map<String, Saver> left = new LinkedHashMap<>();

    private @Nullable JobDocument document;
    /** Id of the output that is worked on in this window; null for the first. */
    private @Nullable String active;
    private @Nullable Saver saver;
    /** Whether the last review ended in an error that was none of the job's. */
    private boolean machineFailed;

    /**
     * How the last save went.
     *
     * @param lost whether it could not be kept beside the book either
     */
    public record Saving(boolean busy, @Nullable String failure, boolean lost) {
    }

    /** Whom it tells, and by what it is judged. */
    interface Host {
        /** Job or review changed. */
        void changed();

        /** The job changed, and its review is still to come. */
        void touched();

        /** A save has gone on. */
        void saved();

        /** Something for the person, shown with the next change. */
        void notice(String notice);

        /** How the list of jobs shows a job now. */
        void shown(JobSummary job);

        /** Another bay has taken the number of a job that was begun here. */
        void taken(String id);

        Shop shop();

        /** Short form of what jobs are judged by, to tell one from another. */
        String mark();

        Instant now();
    }

    /**
     * A desk on which no job lies yet.
     *
     * @param how works out what follows from a job
     */
    OpenJob(Book book, Unsaved unsaved, Threads threads, Reviews.Review how, Host host) {
        this.book = book;
        this.unsaved = unsaved;
        this.threads = threads;
        this.host = host;
        this.reviews = new Reviews(threads.reviewer(), threads.ui(), host.shop(), how, this::reviewed);
    }

    boolean isOpen() {
        return document != null;
    }

    /** The open job; an empty one when none is open. */
    Job job() {
        return document == null ? review().job() : faced(document.job());
    }

    private Job faced(Job kept) {
        return kept.outputs().all().stream().filter(o -> o.id().equals(active)).findFirst()
                .map(o -> kept.withOutputs(kept.outputs().facing(o.id()))).orElse(kept);
    }

    /** Works on another output from now on, in this window only; nothing of the job is changed by that. */
    public void face(String output) {
        active = output;
        host.touched();
        reviews.of(job(), host.shop());
    }

    /** Review of the job, as last worked out; a moment behind {@link #job} after a change. */
    JobReview review() {
        return reviews.latest();
    }

    JobDocument document() {
        return Objects.requireNonNullElseGet(document, () -> JobDocument.of(job()));
    }

    /** Whether what follows from the last change is still being worked out. */
    boolean reviewing() {
        return reviews.busy();
    }

    private boolean is(String id) {
        return isOpen() && id.equals(job().id());
    }

    private Saver saver() {
        return Objects.requireNonNull(saver, "no job is open");
    }

    /**
     * Shows a job of the book, or at revision 0 one that it never had; the one before must have been left.
     *
     * @param entries what is kept of it beside the book, and is not in the book yet as far as is known
     */
    void show(Kept found, JobReview review, Shop by, List<LeftEntry> entries) {
        String id = found.document().job().id();
        active = null;
        undo.clear();
        Saver before = left.remove(id);
        Optional<JobDocument> owed = before == null ? Optional.empty() : before.owed();
        if (before != null && owed.isPresent()) {
            // What is on its way goes on: nobody waits for it.
            saver = before;
            document = owed.get();
            reviews.set(review, by);
            reviews.of(document.job(), by);
            return;
        }
        document = found.document();
        saver = new Saver(book, unsaved, threads.ui(), found, listener(id));
        reviews.set(review, by);
        if (found.revision() == 0) {
            entries.forEach(e -> saver().hold(e, found.document()));
            saver.save(found.document(), Jobs.judged(found.document().job(), host.shop()));
        } else {
            takeUp(entries, found);
        }
    }

    private Saver.Listener listener(String id) {
        return new Saver.Listener() {
            @Override
            public void told() {
                keepAtOnce();
                host.saved();
            }

            @Override
            public void taken() {
                host.taken(id);
            }

            @Override
            public void merged(JobDocument ours, Merge both) {
                together(ours, both.ours(), Saver.said(both));
            }
        };
    }

    /**
     * Takes up entries that could not be saved last time and merges them with what another bay entered. Where they clash a
     * person chooses; the other entries wait until then.
     */
    private void takeUp(List<LeftEntry> entries, Kept found) {
        Job before = found.document().job();
        JobDocument now = found.document();
        for (LeftEntry entry : entries) {
            if (entry.document().job().equals(before)) {
                unsaved.drop(entry);
                continue;
            }
            JobDocument base = entry.base();
            Merge merge = base == null
                    ? entry.revision() == found.revision() ? Merge.of(found.document(), entry.document(), now) : null
                    : Merge.of(base, entry.document(), now);
            if (merge != null && merge.clashes().isEmpty()) {
                now = merge.ours();
                saver().hold(entry, now);
            } else if (now.job().equals(before)) {
                document = entry.document();
                JobReview review = new JobReview(document.job(), host.shop());
                reviews.set(review, host.shop());
                saver().found(entry, base, found, new Judged(JobSummary.of(review), host.mark()));
                undo.remember(say("what another bay entered"), before, document.job());
                return;
            }
        }
        if (!now.job().equals(before)) {
            document = now;
            undo.remember(say("what was not saved last time"), before, now.job());
            host.notice(say("What could not be saved last time is back, and goes into the book now. Ctrl+Z "
                    + "takes it out."));
            put(now.job());
        }
    }

    /**
     * Leaves the job: its last entry is saved although it is still being reviewed, and what is not in yet is saved in the
     * background.
     */
    void leave() {
        if (document != null && saver != null) {
            if (reviews.busy()) {
                saver.save(document, Jobs.judged(document.job(), host.shop()));
            }
            if (saver.owes()) {
                left.put(document.job().id(), saver);
            }
        }
    }

    /** Whether all that was entered is in the book. */
    boolean settled() {
        return saver != null && !saver.owes() && !reviews.busy();
    }

    /** Closes the job, which has to have been left before. */
    void close() {
        document = null;
        saver = null;
        undo.clear();
    }

    /** Waits for what is on its way; what still is not in stays beside the book. */
    void end() {
        close();
        left.values().forEach(Saver::close);
    }

    /** Changes the job; what for is told to undo in a few words. */
    void edit(String what, UnaryOperator<Job> change) {
        Job before = job();
        Job changed = LastingIds.given(before, change.apply(before), NewIds::next);
        Job after = Changes.noted(before, changed, host.now());
        if (document == null || after.equals(before)) {
            return;
        }
        undo.remember(what, before, after);
        active = after.outputs().activeId();
        put(after);
    }

    /** Takes back the last change. */
    public void undo() {
        undo.back(job()).ifPresent(c -> swap(c, say("Taken back: ")));
    }

    /** Does again what was taken back. */
    public void redo() {
        undo.forth(job()).ifPresent(c -> swap(c, say("Done again: ")));
    }

    private void swap(Undo.Swapped change, String said) {
        change.job().ifPresentOrElse(job -> {
            host.notice(said + change.what());
            put(job);
        }, () -> {
            host.notice(say("“%s” cannot be taken back: another bay has changed the same since.", change.what()));
            host.changed();
        });
    }

    /** The change that undo would take back, in a few words. */
    public Optional<String> undoable() {
        return undo.next();
    }

    private void put(Job job) {
        document = document().with(job);
        try {
            host.touched();
        } finally {
            // The screen is told when what follows from the change is known: it is drawn once for each.
            reviews.of(job(), host.shop());
            keepAtOnce();
        }
    }

    /** Keeps an entry beside the book at once, without waiting for its review. */
    private void keepAtOnce() {
        JobDocument entered = document;
        if (entered != null && saver != null && saver.waits() && reviews.busy()
                && saver.owed().filter(o -> o.job().equals(entered.job())).isEmpty()) {
            saver.save(entered, new Judged(JobSummary.of(review()), ""));
        }
    }

    /** Judges it by other habits of the shop. */
    void judgeBy(Shop habits) {
        reviews.of(job(), habits);
    }

    /** Saves a job as soon as it was reviewed, a moment after every entry. */
    private void reviewed(Reviews.Outcome outcome) {
        if (document != null && job().equals(outcome.job())) {
            // An error of the machine says nothing of the job: it is judged anew later.
            saver().save(document, new Judged(outcome.summary(), outcome.machineFailed() ? "" : host.mark()));
            host.shown(outcome.summary());
            tellFault(outcome);
        }
        host.changed();
    }

    private void tellFault(Reviews.Outcome outcome) {
        boolean failedBefore = machineFailed;
        machineFailed = outcome.machineFailed();
        if (machineFailed && !failedBefore) {
            host.notice(say("What you enter is kept, but what follows from it cannot be worked out: an error "
                    + "of the program (%s). The next entry tries again; if this stays, start the "
                    + "program again.", outcome.fault()));
        } else if (outcome.fault() != null && !machineFailed) {
            host.notice(say("This entry was kept, but with it the job cannot be worked out: take it back "
                    + "(Ctrl+Z). %s", outcome.summary().fault()));
        }
    }

    /** How the last save went. */
    public Saving saving() {
        return saver == null
                ? new Saving(false, null, false)
                : new Saving(reviews.busy() || saver.busy(), saver.failure(), saver.lost());
    }

    /** The book's and our own version of the job, while a person has to choose. */
    public Optional<Saver.Conflict> conflict() {
        return saver == null ? Optional.empty() : saver.conflict();
    }

    /** Keeps what was entered here, and what only another bay has changed. */
    public void keepOurs() {
        host.notice(saver().conflict().orElseThrow().said());
        chosen(say("what only another bay changed"), saver().keepOurs());
    }

    /** Takes what another bay has entered, and what was changed only here; our version is put aside beside the book. */
    public void takeTheirs() {
        host.notice(saver().conflict().orElseThrow().said());
        chosen(say("what another bay entered, taken"), saver().takeTheirs());
    }

    private void chosen(String what, JobDocument taken) {
        Job before = job();
        document = taken;
        if (!before.equals(job())) {
            undo.remember(what, before, job());
        }
        reviews.of(job(), host.shop());
        host.changed();
    }

    /** The book answers again: all that waits is tried at once. */
    void retry() {
        left.values().forEach(Saver::retry);
        if (saver != null) {
            saver.retry();
        }
    }

    /** The jobs that are looked after here: the open one, and those that were left with something still to be saved. */
    Set<String> own() {
        Set<String> ids = new LinkedHashSet<>(left.keySet());
        if (isOpen()) {
            ids.add(job().id());
        }
        return ids;
    }

    /** Whether it is what was entered here, or is still on its way from here and is brought together when it arrives. */
    boolean isOurs(String id, long revision) {
        Saver before = left.get(id);
        if (before != null) {
            return before.owes() || revision <= before.revision();
        }
        return saver != null && is(id)
                && (saver.owes() || saver.busy() || reviews.busy() || (revision > 0 && revision <= saver.revision()));
    }

    /** Takes in what another bay has entered into the open job, where nothing was entered here meanwhile. */
    void takeIn() {
        String id = job().id();
        Answers.on(threads.ui(), book.load(id), (found, e) -> {
            if (found != null && found.isPresent() && is(id) && !isOurs(id, found.get().revision())) {
                JobDocument before = document();
                saver().follow(found.get());
                together(before, found.get().document(), "");
            }
        });
    }

    /** Merges what two bays entered, including what was typed here a moment ago. */
    private void together(JobDocument ours, JobDocument both, String said) {
        if (document == null || !is(both.job().id())) {
            return;
        }
        document = document.job().equals(ours.job()) ? both : Merge.of(ours, document, both).ours();
        host.notice(("What another bay entered is here too. " + said).strip());
        host.touched();
        reviews.of(job(), host.shop());
    }
}
