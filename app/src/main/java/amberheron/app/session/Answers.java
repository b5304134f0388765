package amberheron.app.session;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/** Brings answers that come later back to the screen's thread. */
final class Answers {
    private Answers() {
    }

    /** Calls back with the answer, or with why there is none. */
    @SuppressWarnings("FutureReturnValueIgnored") // whatever fails is given to the listener
    static <T> void on(Executor ui, CompletableFuture<T> asked, BiConsumer<@Nullable T, @Nullable Throwable> then) {
        asked.whenComplete((answer, e) -> ui.execute(() -> then.accept(answer,
                e instanceof CompletionException && e.getCause() != null ? e.getCause() : e)));
    }
}
