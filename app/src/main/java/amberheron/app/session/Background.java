package amberheron.app.session;

import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;

/** Slow work that a person asked for: done off the screen's thread, and said what came of it. */
public final class Background {
    private final Tasks tasks;
    private final Consumer<String> tell;
    private final Supplier<String> openJob;

    /**
     * Work by tasks.
     *
     * @param tell says something to the person
     * @param openJob the number of the job that is open
     */
    Background(Tasks tasks, Consumer<String> tell, Supplier<String> openJob) {
        this.tasks = tasks;
        this.tell = tell;
        this.openJob = openJob;
    }

    /**
     * Does slow work.
     *
     * @param work gives what to say; what it throws for bad input is said instead
     */
    public void run(String what, Supplier<String> work) {
        run(what, work, said -> said);
    }

    /**
     * Does slow work.
     *
     * @param work what it throws for bad input is said
     * @param then takes what came of it, on the screen's thread, and gives what to say
     */
    public <T> void run(String what, Supplier<T> work, Function<T, String> then) {
        run(what, progress -> work.get(), then);
    }

    /** The same for work that says how far it is, and can be stopped. */
    public <T> void run(String what, Function<Tasks.Progress, T> work, Function<T, String> then) {
        tell.accept(what + "…");
        tasks.start(what, work, result -> tell.accept(then.apply(result)), tell);
    }

    /**
     * The same for work whose result belongs into the job that is open now, and into no other that may be open by then.
     *
     * @param elsewhere what is said when it is not open any more, of its number and the result
     */
    public <T> void intoJob(String what, Function<Tasks.Progress, T> work, BiFunction<String, T, String> elsewhere,
            Function<T, String> then) {
        String id = openJob.get();
        run(what, work, result -> openJob.get().equals(id) ? then.apply(result) : elsewhere.apply(id, result));
    }

    /** The same for what nobody asked for in so many words: nothing is said unless it fails. */
    <T> void quietly(String what, Supplier<T> work, Consumer<T> then, Runnable failed) {
        tasks.start(what, progress -> work.get(), then, said -> {
            failed.run();
            tell.accept(said);
        });
    }
}
