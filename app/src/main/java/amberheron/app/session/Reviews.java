package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * Reviews of the open job, worked out off the screen's thread. Of several changes in a row only the last is
 * reviewed; a result that a later change has overtaken is dropped. Used on the screen's thread only.
 */
final class Reviews {
    private static final Logger LOG = Logger.getLogger(Reviews.class.getName());

    private final Executor reviewer;
    private final Executor ui;
    private final Review how;
    private final Consumer<Outcome> told;
    private JobReview latest;
    private long wanted;
    private long running;
    private Job next;
    private Shop shop;

    /**
     * Reviews of one job after the other.
     *
     * @param how works a review out
     * @param told hears of every review, on the screen's thread
     */
    Reviews(Executor reviewer, Executor ui, Shop shop, Review how, Consumer<Outcome> told) {
        this.reviewer = reviewer;
        this.ui = ui;
        this.how = how;
        this.told = told;
        this.shop = shop;
        this.next = Job.empty("");
        this.latest = new JobReview(next, shop);
    }

    /** Works out what follows from a job. */
    @FunctionalInterface
    interface Review {
        /**
         * Reviews a job.
         *
         * @param before the review before; what the change does not touch is taken over from it
         */
        JobReview of(Job job, Shop shop, JobReview before);
    }

    /**
     * Result of one review.
     *
     * @param review the review; the one before where this job could not be reviewed
     * @param summary the job's line in the list of jobs
     * @param fault why the job could not be reviewed; null when it could
     */
    record Outcome(Job job, JobReview review, JobSummary summary, @Nullable Throwable fault) {
        /** Whether the machine failed rather than the job: the next review of the same job may well succeed. */
        boolean machineFailed() {
            return fault instanceof Error && !(fault instanceof StackOverflowError);
        }
    }

    /** The last review that is finished. */
    JobReview latest() {
        return latest;
    }

    /** Whether a later one is being worked out. */
    boolean busy() {
        return running > 0;
    }

    /** Takes a review that was worked out elsewhere, as when a job is opened. */
    void set(JobReview review, Shop by) {
        wanted++;
        latest = review;
        next = review.job();
        shop = by;
        // Not needed for the first screen, but before the place is looked at.
        try {
            reviewer.execute(review::workOut);
        } catch (Throwable e) {
            LOG.log(Level.WARNING, "not worked out ahead: " + next.id(), e);
        }
    }

    /** Asks for a review. */
    void of(Job job, Shop by) {
        wanted++;
        next = job;
        shop = by;
        if (running == 0) {
            go();
        }
    }

    private void go() {
        running = wanted;
        Job job = next;
        Shop by = shop;
        JobReview before = latest;
        try {
            reviewer.execute(() -> {
                Outcome outcome = worked(job, by, before);
                ui.execute(() -> done(outcome));
            });
        } catch (Throwable e) {
            // No thread could be had for it.
            done(failed(job, before, e));
        }
    }

    /** Whatever is thrown, there is an outcome: an entry waits for it to be saved. */
    private Outcome worked(Job job, Shop by, JobReview before) {
        try {
            JobReview review = how.of(job, by, before);
            review.workOut();
            return new Outcome(job, review, JobSummary.of(review), null);
        } catch (Throwable e) {
            return failed(job, before, e);
        }
    }

    private static Outcome failed(Job job, JobReview before, Throwable e) {
        LOG.log(Level.SEVERE, "cannot be reviewed: " + job.id(), e);
        return new Outcome(job, before, JobSummary.unreadable(job.id(), job.intake().vehicle(),
                say("it cannot be worked out: %s", e.getMessage())), e);
    }

    private void done(Outcome outcome) {
        boolean current = running == wanted;
        running = 0;
        if (current) {
            latest = outcome.review();
            told.accept(outcome);
        } else {
            go();
        }
    }
}
