package amberheron.app.session;

import java.time.InstantSource;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * Where work runs, and by which clock.
 *
 * @param ui the screen's thread; all that a session tells is told there
 * @param worker slow work that a person asked for
 * @param reviewer what follows from the open job, one change after the other
 * @param end lets the threads go
 * @param clock what time it is
 */
public record Threads(Executor ui, Executor worker, Executor reviewer, Runnable end,
        InstantSource clock) {
    /** Threads beside the screen's. */
    public static Threads beside(Executor ui) {
        ExecutorService worker = Executors
                .newThreadPerTaskExecutor(Thread.ofPlatform().daemon().name("work-", 1).factory());
        ExecutorService reviewer = Executors
                .newSingleThreadExecutor(Thread.ofPlatform().daemon().name("review").factory());
        return new Threads(ui, worker, reviewer, () -> {
            worker.shutdown();
            reviewer.shutdown();
        }, InstantSource.system());
    }

    /** Everything at once, for callers without a screen. */
    public static Threads direct() {
        return new Threads(Runnable::run, Runnable::run, Runnable::run, () -> {
        }, InstantSource.system());
    }

    /** The same by another clock. */
    public Threads by(InstantSource other) {
        return new Threads(ui, worker, reviewer, end, other);
    }
}
