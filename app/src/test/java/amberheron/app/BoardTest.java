package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.demo.DemoBook;
import amberheron.core.job.JobSummary;
import amberheron.io.book.JobBook;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The list of jobs: what each waits on, found by group or by words. */
class BoardTest extends WindowTest {
    private List<String> listed() {
        TableView<?> list = (TableView<?>) byId("jobs.list");
        return list.getItems().stream().map(j -> ((JobSummary) j).id()).toList();
    }

    private void board() {
        hands.push(KeyCode.CONTROL, KeyCode.J);
    }

    @Test
    void finishedJobsAreFoldedAwayUntilTheyAreAskedFor() {
        board();
        assertThat(listed()).containsExactly("SB-015", "SB-016");
        assertThat(((Labeled) byId("jobs.group.FINISHED")).getText()).isEqualTo("Finished 1");
        hands.clickOn(byId("jobs.group.FINISHED"));
        assertThat(listed()).containsExactly("SB-014");
        hands.clickOn(byId("jobs.group.WAITING"));
        assertThat(listed()).containsExactly("SB-015");
        hands.clickOn(byId("jobs.group.WAITING"));
        assertThat(listed()).containsExactly("SB-015", "SB-016");
    }

    /** A column sorts, numbers by their value, and the other way round when it is asked again. */
    @Test
    void columnsSortInNaturalOrder() {
        hands.interact(() -> session.begin("SB-9"));
        board();
        assertThat(listed()).containsExactly("SB-015", "SB-016", "SB-9");
        hands.push(KeyCode.DOWN);
        hands.write("1");
        assertThat(listed()).containsExactly("SB-9", "SB-015", "SB-016");
        hands.write("1");
        assertThat(listed()).containsExactly("SB-016", "SB-015", "SB-9");
    }

    /** Words find a finished job too, and Enter goes on to the list. */
    @Test
    void typingFindsAJobByAnyOfItsWords() {
        board();
        hands.clickOn(byId("jobs.words"));
        hands.write("turbo harbour");
        assertThat(listed()).containsExactly("SB-014");
        hands.push(KeyCode.ENTER).push(KeyCode.ENTER);
        assertThat(session.job().id()).isEqualTo("SB-014");
    }

    /** A book of a week ago, opened today: every date has come along, and nothing else has changed. */
    @Test
    void theDemoIsAlwaysOfThisWeek() {
        hands.interact(session::close);
        LocalDate today = Demo.DAY.plusDays(7);
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            var before = book.load("SB-014").orElseThrow().document().job();
            DemoBook.shift(book, today);
            DemoBook.shift(book, today);
            var after = book.load("SB-014").orElseThrow().document().job();
            assertThat(after.handOver().date())
                    .isEqualTo(Objects.requireNonNull(before.handOver().date()).plusDays(7));
            assertThat(after.air().date()).isEqualTo(Objects.requireNonNull(before.air().date()).plusDays(7));
            assertThat(after.wiring().withHarness(before.wiring().harness())).isEqualTo(before.wiring());
            assertThat(JobSummary.onDay(book.jobs(), today)).isEmpty();
            assertThat(book.load("SB-016").orElseThrow().document().job().progress().day()).isEqualTo(today);
        }
    }
}
