package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import org.junit.jupiter.api.Test;

class TasksTest {
    private final List<Runnable> queued = new ArrayList<>();
    private boolean ended;
    private final Executor worker = work -> {
        if (ended) {
            throw new RejectedExecutionException("the threads are gone");
        }
        queued.add(work);
    };
    private final Tasks tasks = new Tasks(worker, Runnable::run, () -> {
    });

    /** The book may answer after the window was put away; what would follow is not begun. */
    @Test
    void nothingIsBegunAfterTheEnd() {
        List<String> said = new ArrayList<>();
        tasks.start("early", progress -> "early", said::add, said::add);
        tasks.close();
        ended = true;
        tasks.start("late", progress -> "late", said::add, said::add);
        queued.forEach(Runnable::run);
        assertThat(said).as("what ran already is stopped, what came late never begins").isEmpty();
        assertThat(tasks.busy()).isFalse();
    }

    /** One that failed stays in the list with its reason, and nothing is busy with it. */
    @Test
    void whateverIsThrownEndsTheWork() {
        List<String> said = new ArrayList<>();
        tasks.start("memory", progress -> {
            throw new OutOfMemoryError("heap");
        }, taken -> said.add("taken"), said::add);
        tasks.start("classes", progress -> {
            throw new NoClassDefFoundError("gone");
        }, taken -> said.add("taken"), said::add);
        queued.forEach(Runnable::run);
        ended = true;
        tasks.start("no thread", progress -> "", taken -> said.add("taken"), said::add);
        assertThat(said).containsExactly("memory failed: heap", "classes failed: gone",
                "no thread failed: the threads are gone");
        assertThat(tasks.busy()).isFalse();
    }

    @Test
    void failuresOfOneKindAreOneUntilItIsDoneAfterAll() {
        List<String> said = new ArrayList<>();
        boolean[] there = {false};
        for (int i = 0; i < 4; i++) {
            tasks.start("Reading the log", progress -> {
                if (!there[0]) {
                    throw new IllegalStateException("no such file");
                }
                return "read";
            }, said::add, said::add);
            queued.removeFirst().run();
        }
        assertThat(tasks.all()).hasSize(1);
        assertThat(tasks.all().getFirst().failed()).isEqualTo("Reading the log failed 4 times: no such file");
        tasks.start("Reading the chart", progress -> "another", said::add, said::add);
        queued.removeFirst().run();
        assertThat(tasks.all()).as("another kind mends nothing of it").hasSize(1);
        there[0] = true;
        tasks.start("Reading the log", progress -> "read", said::add, said::add);
        queued.removeFirst().run();
        assertThat(tasks.all()).isEmpty();
    }
}
