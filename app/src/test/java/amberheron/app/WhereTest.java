package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.session.LeafId;
import amberheron.app.session.Navigation;
import amberheron.core.job.Station;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A person comes back to where they were. */
class WhereTest extends WindowTest {
    private String focused() {
        return Hands.onScreen(() -> {
            Node owner = hands.scene().getFocusOwner();
            return owner == null || owner.getId() == null ? "" : owner.getId();
        });
    }

    @Test
    void eachJobIsLeftAndFoundWhereItWasAlsoAfterARestart() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.grounds"));
        hands.interact(() -> session.focus("wire.section"));
        find("job SB-016");
        assertThat(session.at().station()).as("never open here").isEqualTo(Station.PLAN);
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        find("job SB-014");
        hands.settle();
        assertThat(session.at().station()).isEqualTo(Station.WIRE);
        assertThat(session.at().leaf()).contains(LeafId.WIRE_GROUNDS);
        assertThat(focused()).isEqualTo("wire.section");
        hands.interact(session::close);
        try (var again = Demo.beside(home)) {
            assertThat(again.where().of("SB-014").orElseThrow().field()).isEqualTo("wire.section");
            assertThat(again.where().of("SB-016").orElseThrow().station()).isEqualTo(Station.AIR);
        }
    }

    @Test
    void aStationIsEnteredInTheFieldThatWasTypedIntoLast() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        assertThat(focused()).as("the first of its leaf").isNotEmpty();
        hands.interact(() -> session.focus("air.humidity"));
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        assertThat(focused()).startsWith("scale.");
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        assertThat(focused()).isEqualTo("air.humidity");
    }

    @Test
    void whatIsTypedAtTheJobsFilters() {
        find("job SB-014");
        hands.push(KeyCode.CONTROL, KeyCode.J);
        hands.write("016");
        assertThat(session.at().view()).isEqualTo(Navigation.View.JOBS);
        assertThat(text("jobs.words")).isEqualTo("016");
        hands.push(KeyCode.ENTER).push(KeyCode.ENTER);
        assertThat(session.job().id()).isEqualTo("SB-016");
    }
}
