package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.io.UnusableInput;
import amberheron.io.book.Book;
import amberheron.io.book.BookProblem;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.book.Photos;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import amberheron.io.json.LeftEntry.Sent;
import amberheron.io.json.Merge;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;

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
     * Result for a job.
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
        return bring(unsaved.left().stream().filter(e -> !open.contains(e.id())).toList(), shop);
    }

    /** Tries what is kept of one job. */
    List<Outcome> bring(String id, Shop shop) {
        return bring(unsaved.of(id), shop);
    }

    private List<Outcome> bring(List<LeftEntry> entries, Shop shop) {
        return entries.stream().flatMap(e -> bring(e, shop).stream()).toList();
    }

    private Optional<Outcome> bring(LeftEntry entry, Shop shop) {
        String id = entry.id();
        try {
            photos(entry.document().job());
            return entry.revision() == 0 ? added(entry, shop) : saved(entry, shop);
        } catch (BookUnreachable e) {
            return Optional.of(new Outcome(judged(entry.document(), shop).summary(), ""));
        } catch (BookProblem e) {
            return Optional.of(new Outcome(judged(entry.document(), shop).summary(),
                    say("%s is still kept beside the book: %s", id, e.getMessage())));
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

    /** Whether the book has taken the entry already, whatever became of it since. */
    private boolean isIn(LeftEntry entry, String under) {
        return !book.itself().taken(under, List.of(entry.key())).isEmpty();
    }

    private Optional<Outcome> added(LeftEntry entry, Shop shop) {
        JobDocument document = entry.document();
        String id = entry.id();
        String under = id;
        for (int i = 2; !isIn(entry, under); i++) {
            Optional<Kept> there = answer(book.load(under));
            if (there.isEmpty()) {
                JobDocument numbered = under.equals(id) ? document : document.numbered(under);
                Judged judged = judged(numbered, shop);
                answer(book.add(numbered, judged, keys(entry)));
                unsaved.drop(entry);
                return Optional.of(new Outcome(judged.summary(), under.equals(id)
                        ? ""
                        : say("Another bay has begun a job %s meanwhile: the one begun here is %s now.", id, under)));
            }
            List<EntryKey> earlier = book.itself().taken(under, entry.sent().stream().map(Sent::key).toList());
            if (!earlier.isEmpty()) {
                // It was begun, no answer came, and more was entered since.
                return saved(new LeftEntry(entry.book(), entry.key(), document, there.get().revision(),
                        Both.grown(null, entry.sent(), earlier), entry.sent()), shop);
            }
            under = id + "-" + i;
        }
        unsaved.drop(entry);
        return Optional.empty();
    }

    private static List<EntryKey> keys(LeftEntry entry) {
        return Stream.concat(Stream.of(entry.key()), entry.sent().stream().map(Sent::key)).toList();
    }

    private Optional<Outcome> saved(LeftEntry entry, Shop shop) {
        JobDocument ours = entry.document();
        String id = entry.id();
        List<EntryKey> known = book.itself().taken(id, keys(entry));
        if (known.contains(entry.key())) {
            unsaved.drop(entry);
            return Optional.empty();
        }
        Optional<Kept> found = answer(book.load(id));
        if (found.isEmpty()) {
            return Optional.of(new Outcome(judged(ours, shop).summary(),
                    say("%s is not in the book any more; what was entered is kept in %s.", id, unsaved)));
        }
        Kept theirs = found.get();
        JobDocument base = Both.grown(entry.base(), entry.sent(), known);
        String said = "";
        if (theirs.revision() != entry.revision() || !known.isEmpty()) {
            Merge merge = base == null ? null : Merge.of(base, ours, theirs.document());
            if (merge == null || !merge.clashes().isEmpty()) {
                return Optional.of(new Outcome(judged(theirs.document(), shop).summary(),
                        say("%s was changed here and in another bay: open it and choose.", id)));
            }
            ours = merge.ours();
            said = merge.renamed().isEmpty() ? "" : id + ": " + Saver.said(merge);
        }
        Judged judged = judged(ours, shop);
        if (!ours.job().equals(theirs.document().job())) {
            answer(book.save(ours, judged, theirs.revision(), keys(entry)));
        }
        unsaved.drop(entry);
        return Optional.of(new Outcome(judged.summary(), said));
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
