package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.units.TextLimit;
import amberheron.io.pack.ShopCard;
import amberheron.io.pack.Visits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The leaves of the hand-over, worked by keys and clicks. */
class HandOverLeavesTest extends WindowTest {
    @BeforeEach
    void handOver() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT7);
    }

    private void enter(String field, String words) {
        hands.interact(() -> session.focus(field));
        type(words);
    }

    @Test
    void eachSheetIsSeenAsItWouldBePrinted() {
        hands.settle();
        assertThat(((ImageView) byId("handover.page")).getImage()).isNotNull();
        assertThat(shows("page 1 of 1")).isTrue();
        hands.clickOn(byId("handover.for.2"));
        hands.settle();
        assertThat(shows("page 1 of 3")).isTrue();
        hands.clickOn(byId("handover.on"));
        assertThat(shows("page 2 of 3")).isTrue();
    }

    /** The key for printing prints, and dates nothing; a pack is written once it was said what it would say first. */
    @Test
    void printingIsNoHandOverAndAPackSaysFirstWhatIsStale() throws IOException {
        find("job SB-015");
        hands.push(KeyCode.CONTROL, KeyCode.P);
        hands.settle();
        assertThat(session.job().handOver().date()).isNull();
        assertThat(home.resolve("prints/SB-015-owner.pdf")).isNotEmptyFile();
        assertThat(home.resolve("packs")).doesNotExist();
        hands.clickOn(byId("handover.copy"));
        String[] text = {""};
        hands.interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
        assertThat(text[0]).contains("SB-015", "Sensor").doesNotContain("<");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.push(KeyCode.CONTROL, KeyCode.K);
        hands.write("hand-over pack");
        hands.push(KeyCode.ENTER);
        hands.settle();
        assertThat(session.job().handOver().date()).as("first it is said").isNull();
        assertThat(shows("Steps not ticked: ")).isTrue();
        hands.clickOn(byId("handover.write"));
        hands.settle();
        assertThat(session.job().handOver().date()).isNotNull();
    }

    private void paste(String words) {
        hands.interact(() -> {
            session.focus("handover.notDone");
            Clipboard.getSystemClipboard().setContent(Map.of(DataFormat.PLAIN_TEXT, words));
        });
        hands.push(KeyCode.CONTROL, KeyCode.V);
    }

    /** What is too long is said and not taken: what stood there stays, whole; what no file may hold is a mark. */
    @Test
    void aPasteThatIsTooLongIsSaidAndNothingIsCutOff() {
        String before = session.job().handOver().notDone();
        paste("x".repeat(TextLimit.NOTE.most() + 1));
        assertThat(session.notice()).contains("What was not done: found ", "expected at most 4000", "stays");
        hands.interact(() -> byId("handover.by").requestFocus());
        assertThat(session.job().handOver().notDone()).isEqualTo(before);
        paste("y".repeat(3000) + "\u202E\u0007");
        hands.push(KeyCode.TAB);
        hands.interact(() -> byId("handover.by").requestFocus());
        assertThat(session.job().handOver().notDone()).hasSize(3002).endsWith("\uFFFD\uFFFD")
                .doesNotContain("x");
    }

    @Test
    void whatWasGivenIsKeptAndWhatChangedSinceIsSaid() throws IOException {
        hands.clickOn(byId("handover.leaf.pack"));
        enter("handover.shop", "Saltmarsh Bay");
        hands.clickOn(byId("handover.paper.1"));
        assertThat(session.preferences().card().name()).isEqualTo("Saltmarsh Bay");
        assertThat(session.preferences().card().paper()).isEqualTo(ShopCard.Paper.LETTER);
        hands.clickOn(byId("handover.write"));
        hands.settle();
        Path folder = home.resolve("packs/SB-014");
        Path pack = Visits.in(folder).getFirst().folder();
        assertThat(Files.readString(pack.resolve("SB-014-owner.html"))).contains("Saltmarsh Bay", "size: letter");
        hands.clickOn(byId("handover.again"));
        assertThat(session.review().state(Station.HAND_OVER)).isNotEqualTo(LinkState.PROVEN);
        enter("handover.by", "K");
        hands.clickOn(byId("handover.leaf.proof"));
        hands.settle();
        assertThat(shows("✓ Whole: ")).isTrue();
        assertThat(shows("2 values changed")).isTrue();
        assertThat(shows("Hand over: initials of who hands over")).isTrue();
        hands.clickOn(byId("handover.leaf.pack"));
        hands.clickOn(byId("handover.write"));
        hands.settle();
        assertThat(Visits.in(folder)).as("nothing given is written over").hasSize(2);
        Files.writeString(pack.resolve("SB-014-owner.html"), "touched");
        hands.clickOn(byId("handover.leaf.proof"));
        hands.clickOn(byId("handover.look"));
        hands.settle();
        hands.clickOn(byId("handover.visit.1"));
        assertThat(shows("▲ Not as it was written.")).isTrue();
        assertThat(shows("SB-014-owner.html: changed since the pack was made")).isTrue();
    }
}
