package amberheron.io.book;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.JobSummary;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;

/**
 * The job book as the desktop sees it, whatever database is behind it. Every question is answered later, in the order
 * asked. An answer fails with {@link BookProblem} when the book cannot do it.
 */
public interface Book extends AutoCloseable {
    /** Every job, by number, without its document. */
    CompletableFuture<List<JobSummary>> jobs();

    /** The open book itself, for long work on a thread of its own; what is asked here meanwhile is answered between. */
    OpenBook itself();

    /** Some of the jobs, by number, without their documents. */
    CompletableFuture<List<JobSummary>> jobs(Collection<String> ids);

    /** Calls back, on a thread of its own, with every change made here or elsewhere from now on. To be called once. */
    CompletableFuture<Void> watch(Consumer<BookEvent> listener);

    /** A job; empty when the book has none of this number. */
    CompletableFuture<Optional<Kept>> load(String id);

    /** Adds a job. */
    CompletableFuture<Kept> add(JobDocument document, Judged judged, List<EntryKey> keys);

    /** Keeps a change that is based on a revision, and answers the new one; fails with {@link BookConflict}. */
    CompletableFuture<Long> save(JobDocument document, Judged judged, long basedOn, List<EntryKey> keys);

    /** Numbers of the jobs that were judged by other habits of the shop, or never. */
    CompletableFuture<List<String>> unjudged(String by);

    /** Keeps what the list shows of a job, unless it has been changed since that revision. */
    CompletableFuture<Void> judge(Judged judged, long revision);

    /** Keeps that a job cannot be read, and why. */
    CompletableFuture<Void> judgeUnreadable(String id, String why, String by);

    /** The life of a sensor by its number; without notes for one that is not known. */
    CompletableFuture<SensorLife> sensor(String number);

    /** The lives of all sensors that something was noted of. */
    CompletableFuture<List<SensorLife>> sensors();

    /** Notes something in the lives of sensors; what was noted of the same day, kind and job is replaced. */
    CompletableFuture<Void> note(List<SensorLife> lives);

    /** Removes a note. */
    CompletableFuture<Void> forget(String number, SensorNote note);

    /** Keeps preferences. */
    CompletableFuture<Void> prefer(Map<String, String> preferences);

    /** Puts a copy of the book beside it, unless the day has one. */
    CompletableFuture<Void> copy(LocalDate day);

    /** Waits until everything asked is done, then releases the book. */
    @Override
    void close();
}
