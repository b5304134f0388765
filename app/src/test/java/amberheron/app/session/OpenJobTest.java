package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.io.book.BookThread;
import amberheron.io.book.JobBook;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OpenJobTest {
    private static final Shop SHOP = Shop.of(List.of());

    @TempDir
    private Path home = Path.of("");
    private final List<String> said = new ArrayList<>();
    /** Thrown by the next reviews. */
    private @Nullable Throwable broken;
    /** Whether the machine has no more threads. */
    private boolean exhausted;
    private JobBook file;
    private OpenJob open;

    private final class Listening implements OpenJob.Host {
        @Override
        public void changed() {
            // Nothing is drawn here.
        }

        @Override
        public void touched() {
            // Nothing is drawn here.
        }

        @Override
        public void saved() {
            // Nothing is drawn here.
        }

        @Override
        public void notice(String notice) {
            said.add(notice);
        }

        @Override
        public void shown(JobSummary job) {
            // There is no list here.
        }

        @Override
        public void taken(String id) {
            throw new AssertionError(id);
        }

        @Override
        public Shop shop() {
            return SHOP;
        }

        @Override
        public String mark() {
            return "habits";
        }

        @Override
        public Instant now() {
            return Instant.EPOCH;
        }
    }

    @SuppressWarnings("TypeParameterUnusedInFormals")
    private static <T extends Throwable> void sneak(Throwable e) throws T {
        @SuppressWarnings("unchecked")
        T unseen = (T) e;
        throw unseen;
    }

    private JobReview review(Job job, Shop shop, JobReview before) {
        if (broken != null) {
            OpenJobTest.<RuntimeException>sneak(broken);
        }
        return new JobReview(job, shop, before);
    }

    @BeforeEach
    void aJobIsOpen() {
        file = JobBook.open(home.resolve("book.db"));
        Executor reviewer = work -> {
            if (exhausted) {
                throw new OutOfMemoryError("unable to create native thread");
            }
            work.run();
        };
        Threads direct = Threads.direct();
        open = new OpenJob(BookThread.direct(file), new Unsaved(home, file.identity()),
                new Threads(direct.ui(), direct.worker(), reviewer, direct.end(), direct.clock()), this::review,
                new Listening());
        JobBook.Kept kept = file.add(JobDocument.of(Job.empty("SB-1")),
                Jobs.judged(Job.empty("SB-1"), SHOP), List.of());
        open.show(kept, new JobReview(kept.document().job(), SHOP), SHOP, List.of());
    }

    @AfterEach
    void theBookIsClosed() {
        open.end();
        file.close();
    }

    private void vehicle(String name) {
        open.edit("vehicle", j -> j.withIntake(j.intake().withVehicle(name)));
    }

    private String inTheBook() {
        return file.load("SB-1").orElseThrow().document().job().intake().vehicle();
    }

    private static Throwable named(String name) throws ReflectiveOperationException {
        return (Throwable) Class.forName(name).getConstructor(String.class).newInstance("of the test");
    }

    @ParameterizedTest
    @ValueSource(strings = {"java.lang.OutOfMemoryError", "java.lang.NoClassDefFoundError", "java.lang.InternalError",
            "java.lang.AssertionError", "java.io.IOException"})
    void whateverAReviewThrowsEntriesGoOnBeingKept(String error) throws ReflectiveOperationException {
        broken = error.endsWith("AssertionError") ? new AssertionError("of the test") : named(error);
        vehicle("one");
        vehicle("two");
        assertThat(inTheBook()).isEqualTo("two");
        assertThat(open.saving().busy()).isFalse();
        assertThat(said).isNotEmpty().allSatisfy(s -> assertThat(s).contains("of the test"));
        broken = null;
        said.clear();
        vehicle("three");
        assertThat(inTheBook()).isEqualTo("three");
        assertThat(open.review().job().intake().vehicle()).as("the next entry is reviewed again").isEqualTo("three");
        assertThat(said).isEmpty();
    }

    @Test
    void anErrorOfTheMachineIsSaidOnceAndTheJobIsLookedAtAgain() {
        broken = new OutOfMemoryError("of the test");
        vehicle("one");
        vehicle("two");
        assertThat(said).hasSize(1);
        assertThat(file.unjudged("habits")).containsExactly("SB-1");
    }

    @Test
    void withoutAThreadForTheReviewTheEntryIsKept() {
        exhausted = true;
        vehicle("one");
        assertThat(inTheBook()).isEqualTo("one");
        assertThat(open.reviewing()).isFalse();
    }
}
