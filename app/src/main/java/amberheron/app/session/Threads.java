package amberheron.app.session;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * Where work runs.
 *
 * @param ui the screen's thread; all that a session tells is told there
 * @param worker slow work that a person asked for
 * @param reviewer what follows from the open job, one change after the other
 * @param end lets the threads go
 */
public record Threads(Executor ui, Executor worker, Executor reviewer, Runnable end) {
    /** Threads beside the screen's. */
    public static Threads beside(Executor ui) {
        ExecutorService worker = Executors
                .newThreadPerTaskExecutor(Thread.ofPlatform().daemon().name("work-", 1).factory());
        ExecutorService reviewer = Executors
                .newSingleThreadExecutor(Thread.ofPlatform().daemon().name("review").factory());
        return new Threads(ui, worker, reviewer, () -> {
            worker.shutdown();
            reviewer.shutdown();
        });
    }

    /** Everything at once, for callers without a screen. */
    public static Threads direct() {
        return new Threads(Runnable::run, Runnable::run, Runnable::run, () -> {
        });
    }
}
