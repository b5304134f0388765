package amberheron.app.session;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * What follows from the open job, worked out off the screen's thread. Of several changes in a row only the last is
 * reviewed; a result that a later change has overtaken is dropped. Used on the screen's thread only.
 */
final class Reviews {
    private final Executor reviewer;
    private final Executor ui;
    private final Consumer<Outcome> told;
    private JobReview latest;
    private long wanted;
    private long running;
    private Job next;
    private Shop shop;

    Reviews(Executor reviewer, Executor ui, Shop shop, Consumer<Outcome> told) {
        this.reviewer = reviewer;
        this.ui = ui;
        this.told = told;
        this.shop = shop;
        this.next = Job.empty("");
        this.latest = new JobReview(next, shop);
    }

    /**
     * What came of looking at a job.
     *
     * @param fault why it could not be reviewed; empty when it could
     */
    record Outcome(Job job, JobReview review, String fault) {
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
        reviewer.execute(review::workOut);
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
        reviewer.execute(() -> {
            Outcome outcome;
            try {
                outcome = new Outcome(job, new JobReview(job, by, before), "");
                outcome.review().workOut();
            } catch (RuntimeException | StackOverflowError e) {
                Logger.getLogger(Reviews.class.getName()).log(Level.SEVERE, "cannot be reviewed: " + job.id(), e);
                outcome = new Outcome(job, before, "it cannot be worked out: " + e.getMessage());
            }
            Outcome done = outcome;
            ui.execute(() -> done(done));
        });
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
