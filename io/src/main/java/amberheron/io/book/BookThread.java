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
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** An open book, worked by one thread of its own. */
public final class BookThread implements Book {
    private final OpenBook book;
    private final Executor thread;
    /** Executor for long work that need not wait its turn. */
    private final Executor aside;
    private final Runnable end;

    private BookThread(OpenBook book, Executor thread, Executor aside, Runnable end) {
        this.book = book;
        this.thread = thread;
        this.aside = aside;
        this.end = end;
    }

    /** Opens a book on a thread of its own. */
    public static BookThread of(OpenBook book) {
        ExecutorService one = daemon("book");
        ExecutorService aside = daemon("book's copy");
        return new BookThread(book, one, aside, () -> {
            // A copy that is being looked through is made anew the next time.
            aside.shutdownNow();
            one.close();
        });
    }

    /** Opens a book that does everything at once, for callers that wait anyway. */
    public static BookThread direct(OpenBook book) {
        return new BookThread(book, Runnable::run, Runnable::run, () -> {
        });
    }

    private static ExecutorService daemon(String name) {
        return Executors.newSingleThreadExecutor(r -> {
            Thread made = new Thread(r, name);
            made.setDaemon(true);
            return made;
        });
    }

    private <T> CompletableFuture<T> ask(Supplier<T> what) {
        return CompletableFuture.supplyAsync(what, thread);
    }

    private CompletableFuture<Void> tell(Runnable what) {
        return CompletableFuture.runAsync(what, thread);
    }

    @Override
    public CompletableFuture<List<JobSummary>> jobs() {
        return ask(book::jobs);
    }

    @Override
    public OpenBook itself() {
        return book;
    }

    @Override
    public CompletableFuture<List<JobSummary>> jobs(Collection<String> ids) {
        return ask(() -> book.jobs(ids));
    }

    @Override
    public CompletableFuture<Void> watch(Consumer<BookEvent> listener) {
        return tell(() -> book.watch(listener));
    }

    @Override
    public CompletableFuture<Optional<Kept>> load(String id) {
        return ask(() -> book.load(id));
    }

    @Override
    public CompletableFuture<Kept> add(JobDocument document, Judged judged, List<EntryKey> keys) {
        return ask(() -> book.add(document, judged, keys));
    }

    @Override
    public CompletableFuture<Long> save(JobDocument document, Judged judged, long basedOn, List<EntryKey> keys) {
        return ask(() -> book.save(document, judged, basedOn, keys));
    }

    @Override
    public CompletableFuture<List<String>> unjudged(String by) {
        return ask(() -> book.unjudged(by));
    }

    @Override
    public CompletableFuture<Void> judge(Judged judged, long revision) {
        return tell(() -> book.judge(judged, revision));
    }

    @Override
    public CompletableFuture<Void> judgeUnreadable(String id, String why, String by) {
        return tell(() -> book.judgeUnreadable(id, why, by));
    }

    @Override
    public CompletableFuture<SensorLife> sensor(String number) {
        return ask(() -> book.life(number));
    }

    @Override
    public CompletableFuture<List<SensorLife>> sensors() {
        return ask(book::lives);
    }

    @Override
    public CompletableFuture<Void> note(List<SensorLife> lives) {
        return tell(() -> book.note(lives));
    }

    @Override
    public CompletableFuture<Void> forget(String number, SensorNote note) {
        return tell(() -> book.forget(number, note));
    }

    @Override
    public CompletableFuture<Void> prefer(Map<String, String> preferences) {
        return tell(() -> preferences.forEach(book::prefer));
    }

    @Override
    public CompletableFuture<Void> copy(LocalDate day) {
        return CompletableFuture.runAsync(() -> book.copy(day), aside);
    }

    @Override
    public void close() {
        end.run();
        book.close();
    }
}
