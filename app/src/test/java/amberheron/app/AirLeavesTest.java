package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Condition;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The coach and the leaves about it, worked by keys as at the car, with a stand-in on its real line. */
class AirLeavesTest extends WindowTest {
    private CoachStep step() {
        return session.job().air().coaching().step();
    }

    private void coach() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        find("coach for the calibration");
    }

    @Test
    void theCoachLeadsByOneKeyAndHearsTheController() throws Exception {
        coach();
        assertThat(text("air.now")).isEqualTo("Recorded.");
        assertThat(session.review().state(Station.AIR)).isEqualTo(LinkState.PROVEN);
        hands.clickOn(byId("air.again"));
        for (Condition condition : Condition.values()) {
            assertThat(((CheckBox) byId(condition.path())).isSelected()).isFalse();
            next();
            next();
            hands.push(KeyCode.ENTER);
            assertThat(((CheckBox) byId(condition.path())).isSelected()).as("it is for a person to say").isFalse();
            vouch();
            assertThat(((CheckBox) byId(condition.path())).isSelected()).isTrue();
        }
        vouch();
        assertThat(step()).isEqualTo(CoachStep.CLEAR);
        assertThat(session.job().air().reading()).as("it forgets what it was taught").isEmpty();
        hands.clickOn(byId("air.simulate"));
        hands.clickOn(byId("air.key.unplug"));
        hands.clickOn(byId("air.key.on"));
        hands.waitUntil(() -> step() == CoachStep.HOLD);
        hands.push(KeyCode.F11);
        hands.waitUntil(() -> text("arm.figure").matches("0:[12]\\d"));
        assertThat(((Label) byId("arm.figure")).getFont().getSize()).as("read from the car").isGreaterThan(100);
        assertThat(text("arm.next")).startsWith("Hold it like that");
        hands.push(KeyCode.F11);
        hands.clickOn(byId("air.key.plug"));
        hands.waitUntil(() -> step() == CoachStep.CLEAR);
        assertThat(shows("▲ It sees its sensor")).isTrue();
        hands.clickOn(byId("air.again"));
        assertThat(step()).isEqualTo(CoachStep.STOPPED);
        assertThat(session.review().state(Station.AIR)).as("nothing was recorded").isEqualTo(LinkState.BEGUN);
    }

    @Test
    void anAddressThatIsNoneIsSaidAndKept() {
        coach();
        hands.interact(() -> byId("air.address").requestFocus());
        type("nowhere at all");
        assertThat(text("notice")).contains("nowhere at all").contains("expected an address such as");
        assertThat(((TextField) byId("air.address")).getText()).isEqualTo("nowhere at all");
        assertThat(session.controller().connected()).isFalse();
    }

    /** A first number, after something was read without one, may be that of another sensor: that is asked. */
    @Test
    void aFirstNumberIsAskedAbout() {
        find("job SB-016");
        find("sensor book");
        assertThat(shows("Is it the sensor that was calibrated")).isFalse();
        hands.interact(() -> session.focus("air.sensor"));
        type("V-21");
        assertThat(session.review().stale(Station.AIR)).as("until it is said").isEmpty();
        hands.clickOn(byId("air.sensor.another"));
        assertThat(session.review().stale(Station.AIR).orElseThrow().changed()).isEqualTo("the sensor changed since");
        assertThat(shows("Is it the sensor that was calibrated")).as("asked once").isFalse();
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.review().stale(Station.AIR)).isEmpty();
    }

    /** What is noted of a sensor goes into the book under its number, and is found there in another job. */
    @Test
    void aSensorsLifeGoesFromJobToJob() throws Exception {
        find("job SB-016");
        find("sensor book");
        hands.interact(() -> session.focus("air.sensor"));
        type("V-07");
        hands.waitUntil(() -> shows("replace about"));
        hands.interact(() -> byId("air.note.value").requestFocus());
        type("9");
        assertThat(shows("found “9”, expected between 0.05 and 2")).as("no sensor gives that").isTrue();
        hands.push(KeyCode.CONTROL, KeyCode.A);
        type("0.95");
        hands.waitUntil(() -> shows("0.950"));
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        find("sensor book");
        hands.waitUntil(() -> shows("0.950"));
        hands.clickOn(byId("air.note.forget"));
        hands.waitUntil(() -> !shows("0.950"));
    }
}
