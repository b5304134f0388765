package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Job;
import amberheron.core.wiring.WireField;
import amberheron.io.book.JobBook;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Whoever quits in the middle of a field has typed it all the same. */
class QuittingTest extends WindowTest {
    private void beginTyping(String field, String words) {
        find("job SB-015");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.interact(() -> session.focus(field));
        hands.push(KeyCode.CONTROL, KeyCode.A);
        hands.write(words);
    }

    private Job inTheBook() {
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            return book.load("SB-015").orElseThrow().document().job();
        }
    }

    @Test
    void theFieldBeingTypedInIsKept() {
        beginTyping("wire.mean", "1.37 A");
        hands.interact(session::close);
        assertThat(inTheBook().wiring().ground().loads().mean()).isEqualTo(1.37);
    }

    @Test
    void whatCannotBeUsedIsKeptAsTyped() {
        beginTyping("wire.mean", "about two");
        hands.interact(session::close);
        assertThat(inTheBook().entries().draft(WireField.MEAN.address())).hasValue("about two");
    }

    /** The window goes before the session ends, as its own cross has it. */
    @Test
    void wordsAreKeptWhenTheWindowIsClosed() {
        beginTyping("wire.point", "bare stud by the strap");
        hands.close(session::close);
        assertThat(inTheBook().wiring().groundPoint()).isEqualTo("bare stud by the strap");
    }

    @Test
    void openingAnotherJobKeepsItWithItsOwnJob() {
        beginTyping("wire.mean", "1.37 A");
        hands.interact(() -> session.open("SB-016"));
        hands.interact(session::close);
        assertThat(inTheBook().wiring().ground().loads().mean()).isEqualTo(1.37);
    }
}
