package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * Slow work off the screen's thread: several at once, each with its progress and a way to stop it. A failure stays in the
 * list until it is put away, or until the same is done after all; several failures of one kind are one. Used on the screen's thread only, but for the work itself.
 */
public final class Tasks {
    private static final Logger LOG = Logger.getLogger(Tasks.class.getName());

    private final Executor worker;
    private final Executor ui;
    private final Runnable told;
    private final List<Running> all = new ArrayList<>();
    private boolean closed;

    Tasks(Executor worker, Executor ui, Runnable told) {
        this.worker = worker;
        this.ui = ui;
        this.told = told;
    }

    /** Progress of a piece of work while it runs. */
    public interface Progress {
        /**
         * Says how far it is; ends the work when it was stopped.
         *
         * @param part from 0 to 1
         * @throws CancellationException when the work was stopped
         */
        void at(double part);
    }

    /** A piece of work. */
    public static final class Running {
        private final String what;
        private volatile double part = Double.NaN;
        private volatile boolean stopped;
        private @Nullable String failure;
        private int times = 1;

        Running(String what) {
            this.what = what;
        }

        /** Name in the words of the person who asked for it. */
        public String what() {
            return what;
        }

        /** How far it is, from 0 to 1; NaN while that is not known. */
        public double part() {
            return part;
        }

        /** Why it failed; null while it runs. */
        public @Nullable String failure() {
            return failure;
        }

        /** That it failed and why; empty while it runs. */
        public String failed() {
            return failure == null
                    ? ""
                    : times == 1
                            ? say("%s failed: %s", what, failure)
                            : say("%s failed %d times: %s", what, times, failure);
        }

        /** Ends the work at its next step. */
        public void stop() {
            stopped = true;
        }
    }

    /**
     * Starts work.
     *
     * @param work runs elsewhere
     * @param then takes what came of it, on the screen's thread
     * @param failed takes that it failed and why, on the screen's thread
     */
    <T> Running start(String what, Function<Progress, T> work, Consumer<T> then, Consumer<String> failed) {
        Running running = new Running(what);
        if (closed) {
            // An answer that came after the window was put away asks for nothing more.
            running.stop();
            return running;
        }
        all.add(running);
        Progress progress = part -> {
            if (running.stopped) {
                throw new CancellationException();
            }
            boolean seen = Double.isNaN(running.part) || Math.abs(part - running.part) >= 0.01;
            if (seen) {
                running.part = part;
                ui.execute(told);
            }
        };
        Consumer<Throwable> ended = e -> ui.execute(() -> {
            running.failure = String.valueOf(e.getMessage());
            running.times += mended(running).stream().mapToInt(r -> r.times).sum();
            all.removeAll(mended(running));
            failed.accept(running.failed());
            told.run();
        });
        try {
            worker.execute(() -> work(running, () -> work.apply(progress), then, ended));
        } catch (Throwable e) {
            LOG.log(Level.WARNING, what, e);
            ended.accept(e);
        }
        return running;
    }

    /** Does the work; whatever is thrown, it does not run on. */
    private <T> void work(Running running, Supplier<T> work, Consumer<T> then, Consumer<Throwable> ended) {
        try {
            T result = work.get();
            ui.execute(() -> {
                all.remove(running);
                all.removeAll(mended(running));
                try {
                    if (!running.stopped) {
                        then.accept(result);
                    }
                } finally {
                    told.run();
                }
            });
        } catch (CancellationException e) {
            ui.execute(() -> {
                all.remove(running);
                told.run();
            });
        } catch (Throwable e) {
            LOG.log(Level.WARNING, running.what(), e);
            ended.accept(e);
        }
    }

    /** Failures of the same kind before. */
    private List<Running> mended(Running by) {
        return all.stream().filter(r -> r != by && r.failure() != null && r.what().equals(by.what())).toList();
    }

    /** Tasks that run now, and those that failed and were not put away. */
    public List<Running> all() {
        return List.copyOf(all);
    }

    /** Whether anything runs. */
    boolean busy() {
        return all.stream().anyMatch(r -> r.failure() == null);
    }

    /** Puts a failure away. */
    public void putAway(Running failed) {
        all.remove(failed);
        told.run();
    }

    /** Stops all of it. */
    void close() {
        closed = true;
        all.forEach(Running::stop);
    }
}
