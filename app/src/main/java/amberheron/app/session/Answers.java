package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.io.UnusableInput;
import amberheron.io.book.BookProblem;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/** Brings answers that come later back to the screen's thread. */
final class Answers {
    private static final Logger LOG = Logger.getLogger(Answers.class.getName());

    private Answers() {
    }

    /** Calls back with the answer, or with why there is none. */
    @SuppressWarnings("FutureReturnValueIgnored") // whatever fails is given to the listener
    static <T> void on(Executor ui, CompletableFuture<T> asked, BiConsumer<@Nullable T, @Nullable Throwable> then) {
        asked.whenComplete((answer, e) -> ui.execute(() -> then.accept(answer,
                e instanceof CompletionException && e.getCause() != null ? e.getCause() : e)));
    }

    /** Asks for work elsewhere; that no thread can be had for it is an answer too. */
    static <T> CompletableFuture<T> of(Supplier<T> work, Executor worker) {
        try {
            return CompletableFuture.supplyAsync(work, worker);
        } catch (Throwable e) {
            return CompletableFuture.failedFuture(e);
        }
    }

    /** Why there was no answer, in words; what nobody foresaw is logged. */
    static String reason(@Nullable Throwable why) {
        if (!(why instanceof BookProblem) && !(why instanceof UnusableInput)) {
            LOG.log(Level.WARNING, "the book did not answer", why);
        }
        return why == null ? say("The book did not answer.") : String.valueOf(why.getMessage());
    }
}
