package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.io.book.JobBook;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The whole slice, walked by clicks and keys. */
class SliceTest extends WindowTest {
    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Test
    void aNewJobFromIntakeToHandOverByKeysAndClicks(FxRobot robot) throws Exception {
        // Jobs → Plan
        robot.push(KeyCode.CONTROL, KeyCode.N);
        type(robot, "T-1");
        assertThat(text(robot, "reasons.next")).isEqualTo("Enter: vehicle.");
        next(robot);
        type(robot, "Test van");
        type(robot, "660 cc");
        type(robot, "3");
        find(robot, "fuel e85");
        for (String question : new String[]{"aspiration", "what reads the signal", "state of the exhaust"}) {
            assertThat(text(robot, "reasons.next")).isEqualTo("Enter: " + question + ".");
            next(robot);
            robot.push(KeyCode.SPACE);
        }
        assertThat(text(robot, "reasons.next")).isEqualTo("Check the exhaust for leaks and rust.");
        next(robot);
        assertThat(shows(robot, "1 of 18 steps")).isTrue();

        // Place: a wrong entry is said in place, kept, then mended; what is missing is asked for one by one
        robot.push(KeyCode.ALT, KeyCode.DIGIT2);
        next(robot);
        next(robot);
        type(robot, "1:52");
        next(robot);
        type(robot, "wide");
        assertThat(shows(robot, "found “wide”, expected a length such as")).isTrue();
        assertThat(session.job().drafts()).containsEntry("place.A.distance", "wide");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "2 ft");
        assertThat(session.job().drafts()).isEmpty();
        assertThat(text(robot, "reasons.next")).isEqualTo("A: Enter the pipe's slope there.");
        next(robot);
        type(robot, "0");
        next(robot);
        robot.push(KeyCode.SPACE);
        type(robot, "120 mm");
        for (String entry : new String[]{"2.4 m", "600", "1.5 m", "50.8"}) {
            next(robot);
            type(robot, entry);
        }
        assertThat(text(robot, "reasons.next")).isEqualTo("Take A.");
        next(robot);
        assertThat(text(robot, "reasons.next")).isEqualTo("Print the hole and cope template for A.");
        next(robot);
        waitUntil(() -> home.resolve("templates/T-1-marking-out.pdf").toFile().length() > 0);
        assertThat(shows(robot, "A: 610 mm on · 34° up")).isTrue();
        robot.clickOn(byId(robot, "unit.in"));
        assertThat(shows(robot, "A: 24.00 in on · 34° up")).isTrue();
        robot.clickOn(byId(robot, "unit.mm"));

        // Wire: the shared ground costs what Ohm's law says
        robot.push(KeyCode.ALT, KeyCode.DIGIT3);
        next(robot);
        type(robot, "fuse 7");
        for (String entry : new String[]{"0", "12.4", "9.7", "14.1", "13.9", "14", "5", "1.5 m", "1 mm²"}) {
            next(robot);
            type(robot, entry);
        }
        next(robot);
        robot.interact(() -> byId(robot, "wire.school.row.SAME_POINT").requestFocus());
        robot.push(KeyCode.SPACE);
        for (String entry : new String[]{"3 m", "18 awg", "1.2"}) {
            next(robot);
            type(robot, entry);
        }
        assertThat(shows(robot, "0.075 V ground shift")).isTrue();

        // Air
        robot.push(KeyCode.ALT, KeyCode.DIGIT4);
        for (String entry : new String[]{"20 °C", "50", "0", "20.7", "90"}) {
            next(robot);
            type(robot, entry);
        }
        assertThat(shows(robot, "20.70 % O₂ · held 90 s")).isTrue();
        assertThat(text(robot, "reasons.next")).isEqualTo("Scale the reader next.");

        // Scale: choose, take readings, see the lie and its cause
        next(robot);
        find(robot, "law + 10");
        find(robot, "reader logger");
        takeReadings(robot);
        assertThat(shows(robot, "lean at")).isTrue();
        assertThat(shows(robot, "Ground shift +7")).isTrue();
        assertThat(shows(robot, "predicts 75 mV")).isTrue();

        // Mend the ground, check again: now it agrees
        next(robot);
        next(robot);
        robot.push(KeyCode.ALT, KeyCode.DIGIT5);
        for (int left = session.job().points().size(); left > 0; left--) {
            robot.clickOn(byId(robot, "scale.remove.0"));
        }
        assertThat(session.job().points()).isEmpty();
        takeReadings(robot);
        assertThat(shows(robot, "agrees within")).isTrue();

        // Prove
        robot.push(KeyCode.ALT, KeyCode.DIGIT6);
        next(robot);
        type(robot, home.resolve("nowhere.csv").toString());
        waitUntil(() -> shows(robot, "no such file"));
        robot.push(KeyCode.CONTROL, KeyCode.A);
        type(robot, home.resolve("logs/SB-014-drive.csv").toString());
        waitUntil(() -> session.job().proving() != null);
        assertThat(shows(robot, "λ over 5 min")).isTrue();

        // Hand over
        robot.push(KeyCode.ALT, KeyCode.DIGIT7);
        robot.clickOn(byId(robot, "handover.write"));
        waitUntil(() -> text(robot, "notice").startsWith("Written to"));
        assertThat(home.resolve("packs/T-1/T-1-hand-over.pdf")).isNotEmptyFile();
        assertThat(home.resolve("packs/T-1/T-1.json")).isNotEmptyFile();

        // All of it is in the book
        session.flush();
        try (JobBook again = JobBook.open(home.resolve("book.db"))) {
            assertThat(again.load("T-1").orElseThrow().document().job().equals(session.job())).isTrue();
        }
    }

    @Test
    void typeOrDragOneScaleAndAllOthersFollow(FxRobot robot) {
        find(robot, "SB-016");
        robot.clickOn(byId(robot, "rule.lambda")).push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "0.9");
        assertThat(text(robot, "rule.volts")).as("(0.9·14.7 − 10)/2").isEqualTo("1.615");
        assertThat(Double.parseDouble(text(robot, "rule.shown"))).as("0.9·14.7 + 0.15").isCloseTo(13.38, within(0.011));
        robot.clickOn(byId(robot, "rule.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "2.35");
        assertThat(text(robot, "rule.lambda")).isEqualTo("1.000");
        robot.push(KeyCode.RIGHT);
        assertThat(text(robot, "rule.lambda")).isEqualTo("1.005");
        Node rule = byId(robot, "rule");
        var middle = rule.localToScreen(rule.getBoundsInLocal());
        robot.moveTo(middle.getMinX() + 400, middle.getCenterY()).press(MouseButton.PRIMARY).moveBy(200, 0)
                .release(MouseButton.PRIMARY);
        double lambda = Double.parseDouble(text(robot, "rule.lambda"));
        assertThat(lambda).isGreaterThan(0.8).isNotCloseTo(1.005, within(1e-9));
        assertThat(Double.parseDouble(text(robot, "rule.volts"))).isCloseTo((lambda * 14.7 - 10) / 2, within(0.005));
        robot.clickOn(byId(robot, "rule.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "lots");
        assertThat(text(robot, "notice")).contains("found “lots”, expected a number");
    }

    @Test
    void everyNumberCanBeAskedWhyAndEveryChangeTakenBack(FxRobot robot) {
        find(robot, "SB-016");
        robot.push(KeyCode.ALT, KeyCode.DIGIT3);
        robot.clickOn(byId(robot, "why.ground"));
        assertThat(shows(robot, "Why: Ground shift")).isTrue();
        assertThat(
                shows(robot, "1.20 A × 0.0628 Ω of ground wire, network solved: 75.4 mV, ripple 163.4 mV × 0.136 λ/V"))
                .isTrue();
        next(robot);
        assertThat(shows(robot, "0.010 V ground shift")).isTrue();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shows(robot, "0.075 V ground shift")).isTrue();
        assertThat(text(robot, "notice")).contains("Signal at the reader's sensor ground");
    }
}
