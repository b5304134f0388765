package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.harness.Route.Waypoint;
import java.util.List;
import java.util.Map;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Cells pasted from a table of the shop's. */
class PasteTest extends WindowTest {
    @BeforeEach
    void route() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.route"));
    }

    private List<Waypoint> places() {
        return session.job().wiring().harness().route().points();
    }

    private void paste(String field, String text) {
        hands.interact(() -> {
            session.focus(field);
            Clipboard.getSystemClipboard().setContent(Map.of(DataFormat.PLAIN_TEXT, text));
        });
        hands.push(KeyCode.CONTROL, KeyCode.V);
    }

    private String length(int place) {
        return "wire.route." + places().get(place).id() + ".length";
    }

    @Test
    void cellsGoToTheRightAndBelowAndAreTakenBackAsOneStep() {
        List<Waypoint> before = places();
        assertThat(before).hasSize(4);
        paste(length(3), "300\t45 mm\t\t120\n0.25 m\t50\t200\t90\tsleeved\n");
        assertThat(places()).hasSize(5).startsWith(before.get(0), before.get(1), before.get(2));
        Waypoint fourth = places().get(3);
        assertThat(fourth.length()).isEqualTo(0.3);
        assertThat(fourth.bend()).isEqualTo(0.045);
        assertThat(fourth.hot()).as("an empty cell leaves what was there").isEqualTo(before.get(3).hot());
        assertThat(places().get(4)).extracting(Waypoint::length, Waypoint::hot, Waypoint::sleeved)
                .containsExactly(0.25, 0.2, true);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(places()).isEqualTo(before);
    }

    @Test
    void aCellThatDoesNotFitTakesNothing() {
        List<Waypoint> before = places();
        paste(length(0), "300\t45\n300\tfar away\n");
        assertThat(places()).isEqualTo(before);
        assertThat(session.notice()).contains("Nothing was pasted", "Row 2", "Bend");
    }

    @Test
    void twoCellsAreNotOneNumber() {
        Double was = session.job().wiring().harness().route().lengths().extension();
        paste("wire.route.extension", "30\t45");
        hands.push(KeyCode.ENTER);
        assertThat(session.job().wiring().harness().route().lengths().extension()).isEqualTo(was);
        assertThat(session.notice()).contains("30 | 45");
    }
}
