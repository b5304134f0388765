package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.io.UnusableInput;
import amberheron.io.book.Book;
import amberheron.io.book.BookProblem;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.book.ShopHabits;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletionException;
import java.util.logging.Level;
import java.util.logging.Logger;

/** The list of jobs as the screen shows it: a copy that follows the book, never a question that is waited for. */
final class Jobs {
    private static final Logger LOG = Logger.getLogger(Jobs.class.getName());

    private final Book book;
    private List<JobSummary> all = List.of();

    Jobs(Book book) {
        this.book = book;
    }

    List<JobSummary> all() {
        return all;
    }

    void set(List<JobSummary> jobs) {
        all = List.copyOf(jobs);
    }

    /** Shows a job as it is now. */
    void show(JobSummary job) {
        List<JobSummary> next = new ArrayList<>(all.size() + 1);
        all.stream().filter(j -> !j.id().equals(job.id())).forEach(next::add);
        next.add(job);
        next.sort(Comparator.comparing(JobSummary::id));
        all = List.copyOf(next);
    }

    /** Judges a job at once, also one that cannot be worked out; for callers that nobody waits on. */
    static Judged judged(Job job, Shop shop) {
        JobSummary summary;
        try {
            summary = JobSummary.of(new JobReview(job, shop));
        } catch (Throwable e) {
            LOG.log(Level.WARNING, "cannot be reviewed: " + job.id(), e);
            summary = JobSummary.unreadable(job.id(), job.intake().vehicle(), say("it cannot be worked out"));
        }
        return new Judged(summary, ShopHabits.mark(shop));
    }

    /**
     * Looks at every job that was judged by other habits of the shop, or never; slow, so never on the screen's thread. One
     * that cannot be read keeps a line that says so.
     *
     * @return how many were looked at
     */
    int judge(Shop shop, Tasks.Progress progress) {
        String by = ShopHabits.mark(shop);
        List<String> left = book.unjudged(by).join();
        for (int i = 0; i < left.size(); i++) {
            progress.at((double) i / left.size());
            String id = left.get(i);
            try {
                Optional<Kept> kept = book.load(id).join();
                if (kept.isPresent()) {
                    JobSummary summary = JobSummary.of(new JobReview(kept.get().document().job(), shop));
                    book.judge(new Judged(summary, by), kept.get().revision()).join();
                }
            } catch (CompletionException e) {
                if (e.getCause() instanceof BookProblem || e.getCause() instanceof UnusableInput) {
                    book.judgeUnreadable(id, String.valueOf(e.getCause().getMessage()), by).join();
                } else {
                    throw e;
                }
            } catch (RuntimeException | StackOverflowError e) {
                book.judgeUnreadable(id, say("it cannot be worked out: %s", e.getMessage()), by).join();
            }
        }
        return left.size();
    }
}
