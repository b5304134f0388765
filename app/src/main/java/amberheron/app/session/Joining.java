package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.io.Photos;
import amberheron.io.UnusableInput;
import amberheron.io.book.Book;
import amberheron.io.book.BookProblem;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Merge;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Brings jobs that are kept beside the book into it, once it answers again. */
final class Joining {
    private final Book book;
    private final Unsaved unsaved;
    private final Path home;

    Joining(Book book, Unsaved unsaved, Path home) {
        this.book = book;
        this.unsaved = unsaved;
        this.home = home;
    }

    /**
     * What came of a job.
     *
     * @param summary what the list of jobs shows of it now
     * @param says what a person should know; empty where it simply went in
     */
    record Outcome(JobSummary summary, String says) {
    }

    /**
     * Tries each job; slow, so never on the screen's thread.
     *
     * @param open jobs that are left out, since who has them open looks after them
     */
    List<Outcome> bring(Set<String> open, Shop shop) {
        List<Outcome> all = new ArrayList<>();
        for (String id : unsaved.ids()) {
            if (!open.contains(id)) {
                bring(id, shop).ifPresent(all::add);
            }
        }
        return all;
    }

    /** Tries one job; empty when nothing is kept of it. */
    Optional<Outcome> bring(String id, Shop shop) {
        return unsaved.of(id).map(e -> bring(e, shop));
    }

    private Outcome bring(Unsaved.Entry entry, Shop shop) {
        String id = entry.document().job().id();
        try {
            photos(entry.document().job());
            return entry.revision() == 0 ? added(entry.document(), shop) : saved(entry, shop);
        } catch (BookUnreachable e) {
            return new Outcome(judged(entry.document(), shop).summary(), "");
        } catch (BookProblem e) {
            return new Outcome(judged(entry.document(), shop).summary(),
                    say("%s is still kept beside the book: %s", id, e.getMessage()));
        }
    }

    /** Before the job that shows them, so that whoever sees the one finds the other. */
    private void photos(Job job) {
        try {
            Photos.follow(job, home, book.itself());
        } catch (UnusableInput e) {
            // The job matters more; its sheet says which photo is missing.
            Logger.getLogger(Joining.class.getName()).log(Level.WARNING, "photos of " + job.id(), e);
        }
    }

    private Outcome added(JobDocument document, Shop shop) {
        String id = document.job().id();
        try {
            Judged judged = judged(document, shop);
            answer(book.add(document, judged));
            unsaved.drop(id);
            return new Outcome(judged.summary(), "");
        } catch (BookUnreachable e) {
            throw e;
        } catch (BookProblem e) {
            Optional<Kept> there = answer(book.load(id));
            if (there.isPresent() && there.get().document().job().equals(document.job())) {
                // It was taken, and the answer got lost on the line.
                unsaved.drop(id);
                return new Outcome(judged(document, shop).summary(), "");
            }
            for (int i = 2; there.isPresent(); i++) {
                String other = id + "-" + i;
                if (answer(book.load(other)).isEmpty()) {
                    Judged judged = judged(document.numbered(other), shop);
                    answer(book.add(document.numbered(other), judged));
                    unsaved.drop(id);
                    return new Outcome(judged.summary(),
                            say("Another bay has begun a job %s meanwhile: the one begun here is %s now.", id, other));
                }
            }
            throw e;
        }
    }

    private Outcome saved(Unsaved.Entry entry, Shop shop) {
        JobDocument ours = entry.document();
        String id = ours.job().id();
        Optional<Kept> found = answer(book.load(id));
        if (found.isEmpty()) {
            return new Outcome(judged(ours, shop).summary(),
                    say("%s is not in the book any more; what was entered is kept in %s.", id, unsaved));
        }
        Kept theirs = found.get();
        JobDocument base = entry.base();
        if (theirs.revision() != entry.revision()) {
            Merge merge = base == null ? null : Merge.of(base, ours, theirs.document());
            if (merge == null || !merge.clashes().isEmpty()) {
                return new Outcome(judged(theirs.document(), shop).summary(),
                        say("%s was changed here and in another bay: open it and choose.", id));
            }
            ours = merge.ours();
        }
        Judged judged = judged(ours, shop);
        answer(book.save(ours, judged, theirs.revision()));
        unsaved.drop(id);
        return new Outcome(judged.summary(), "");
    }

    private static Judged judged(JobDocument document, Shop shop) {
        return Jobs.judged(document.job(), shop);
    }

    private static <T> T answer(CompletableFuture<T> asked) {
        try {
            return asked.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof BookProblem known ? known : e;
        }
    }
}
