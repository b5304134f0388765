package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.freeair.AirField;
import amberheron.core.freeair.Condition;
import amberheron.io.book.JobBook;
import amberheron.io.pack.PackCheck;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;

/** The whole slice, walked by clicks and keys. */
class SliceTest extends WindowTest {
    @Test
    void aNewJobFromIntakeToHandOverByKeysAndClicks() throws Exception {
        // Jobs → Plan
        hands.push(KeyCode.CONTROL, KeyCode.N);
        type("T-1");
        assertThat(text("reasons.next")).isEqualTo("Enter: vehicle.");
        next();
        type("Test van");
        type("660 cc");
        type("3");
        find("fuel e85");
        for (String question : new String[]{"aspiration", "volts of the electrical system", "what reads the signal",
                "state of the exhaust"}) {
            assertThat(text("reasons.next")).isEqualTo("Enter: " + question + ".");
            next();
            hands.push(KeyCode.SPACE);
        }
        assertThat(text("reasons.next")).isEqualTo("Check the exhaust for leaks and rust.");
        vouch();
        assertThat(shows("1 of 21 steps")).isTrue();

        // Place: the pipe first; a wrong entry is said in place, kept, then mended; what is missing is asked for one by one
        hands.push(KeyCode.ALT, KeyCode.DIGIT2);
        next();
        type("wide");
        assertThat(shows("found “wide”, expected a length such as")).isTrue();
        assertThat(session.job().entries().drafts()).containsValue("wide");
        hands.push(KeyCode.CONTROL, KeyCode.A);
        type("250 mm");
        assertThat(session.job().entries().drafts()).isEmpty();
        assertThat(text("reasons.next")).isEqualTo("Measure: diameter of the piece, manifold.");
        for (String entry : new String[]{"42", "1.5 m", "50.8", "0"}) {
            next();
            type(entry);
        }
        next();
        hands.push(KeyCode.SPACE);
        type("120 mm");
        for (String entry : new String[]{"80", "2.4 m", "600", "1.5 m"}) {
            next();
            type(entry);
        }
        hands.clickOn(byId("place.leaf.choose"));
        hands.clickOn(byId("place.add"));
        for (String entry : new String[]{"1:52", "2 ft"}) {
            next();
            type(entry);
        }
        assertThat(text("reasons.next")).isEqualTo("Take A.");
        next();
        assertThat(text("reasons.next")).isEqualTo("Print the hole and cope template for A.");
        next();
        waitUntil(() -> home.resolve("templates/T-1-marking-out.pdf").toFile().length() > 0);
        assertThat(shows("A: 610 mm on · 34° up")).isTrue();
        hands.clickOn(byId("unit.in"));
        assertThat(shows("A: 24.00 in on · 34° up")).isTrue();
        hands.clickOn(byId("unit.mm"));

        // Wire: the shared ground costs what Ohm's law says
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        next();
        type("fuse 7");
        for (String entry : new String[]{"0", "12.4", "9.7", "14.1", "13.9", "14", "15", "4", "5", "0.75 mm²", "1 mm²",
                "1.5 m"}) {
            next();
            type(entry);
        }
        next();
        hands.interact(() -> byId("wire.school.row.SAME_POINT").requestFocus());
        hands.push(KeyCode.SPACE);
        for (String entry : new String[]{"3 m", "18 awg", "1.2"}) {
            next();
            type(entry);
        }
        assertThat(shows("0.075 V ground shift")).isTrue();

        // Air
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        for (String entry : new String[]{"20 °C", "50", "0"}) {
            next();
            type(entry);
        }
        next();
        hands.push(KeyCode.DOWN).push(KeyCode.ENTER);
        for (Condition condition : Condition.values()) {
            assertThat(text("reasons.next")).isEqualTo(condition.words() + "?");
            vouch();
        }
        assertThat(text("reasons.action")).as("the supply is proved: the coach would lead").startsWith("Begin");
        // Read off the display by hand, as one may.
        hands.interact(() -> session.seek(AirField.SHOWN.address()));
        type("20.7");
        next();
        type("90");
        assertThat(shows("20.71 % O₂ · held 90 s")).isTrue();
        assertThat(text("reasons.next")).isEqualTo("Enter the sensor's number, or a mark you make on it.");
        next();
        type("V-1");
        assertThat(text("reasons.next")).isEqualTo("Wire it next.");

        // Scale: choose, take readings, see the lie and its cause
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        find("law 9.3");
        find("reader logger");
        takeReadings();
        assertThat(shows("lean at")).isTrue();
        assertThat(shows("Ground shift +7")).isTrue();
        assertThat(shows("predicts 75 mV")).isTrue();

        // Mend the ground, wire the rest that the reading hangs on, check again: now it agrees
        next();
        vouch();
        assertThat(text("reasons.next")).isEqualTo("Enter length, size and heater current of the ground wire.");
        next();
        type("0.4 m");
        assertThat(text("reasons.next")).startsWith("Rewired: measure between the two grounds again");
        next();
        type("0 V");
        find("heater timing");
        for (String question : new String[]{"Say when the heater gets its power.", "Say how the signal gets there."}) {
            assertThat(text("reasons.next")).isEqualTo(question);
            next();
            hands.push(KeyCode.DOWN).push(KeyCode.ENTER);
        }
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        for (int left = session.job().points().size(); left > 0; left--) {
            hands.clickOn(byId("scale.remove.0"));
        }
        assertThat(session.job().points()).isEmpty();
        takeReadings();
        assertThat(shows("agrees within")).isTrue();

        // Prove
        hands.push(KeyCode.ALT, KeyCode.DIGIT6);
        next();
        type(home.resolve("nowhere.csv").toString());
        waitUntil(() -> shows("no such file"));
        hands.push(KeyCode.CONTROL, KeyCode.A);
        // Driven after the setting was typed.
        Files.setLastModifiedTime(home.resolve("logs/SB-014-drive.csv"),
                FileTime.from(Instant.now().plus(Duration.ofDays(1))));
        type(home.resolve("logs/SB-014-drive.csv").toString());
        waitUntil(() -> session.job().proving() != null);
        assertThat(shows("λ over 18 min")).isTrue();

        // Hand over
        hands.push(KeyCode.ALT, KeyCode.DIGIT7);
        hands.clickOn(byId("handover.leaf.pack"));
        hands.clickOn(byId("handover.write"));
        waitUntil(() -> text("notice").startsWith("Written to"));
        Path pack = home.resolve("packs/T-1").resolve(session.today().toString());
        assertThat(pack.resolve("T-1-mechanic.pdf")).isNotEmptyFile();
        assertThat(PackCheck.of(pack, session.document(), session.preferences().shop().laws()).agrees()).isTrue();

        // All of it is in the book
        try (JobBook again = JobBook.open(home.resolve("book.db"))) {
            assertThat(again.load("T-1").orElseThrow().document().job().equals(session.job())).isTrue();
        }
    }

    @Test
    void typeOrDragOneScaleAndAllOthersFollow() {
        find("SB-016");
        hands.push(KeyCode.F6);
        hands.clickOn(byId("rule.lambda")).push(KeyCode.CONTROL, KeyCode.A);
        type("0.9");
        assertThat(text("rule.volts")).as("0.35 + (0.9·14.7 − 9.3)·4.3/9.6").isEqualTo("2.110");
        assertThat(Double.parseDouble(text("rule.shown"))).as("0.9·14.7 + 0.17").isCloseTo(13.398, within(0.011));
        hands.clickOn(byId("rule.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type("2.769");
        assertThat(text("rule.lambda")).isEqualTo("1.000");
        hands.push(KeyCode.RIGHT);
        assertThat(text("rule.lambda")).isEqualTo("1.005");
        Node rule = byId("rule");
        var middle = rule.localToScreen(rule.getBoundsInLocal());
        hands.moveTo(middle.getMinX() + 400, middle.getCenterY()).press(MouseButton.PRIMARY).moveBy(200, 0)
                .release(MouseButton.PRIMARY);
        double lambda = Double.parseDouble(text("rule.lambda"));
        assertThat(lambda).isGreaterThan(0.8).isNotCloseTo(1.005, within(1e-9));
        assertThat(Double.parseDouble(text("rule.volts"))).isCloseTo(0.35 + (lambda * 14.7 - 9.3) * 4.3 / 9.6,
                within(0.005));
        hands.clickOn(byId("rule.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type("lots");
        assertThat(text("notice")).contains("found “lots”, expected a number");
    }

    @Test
    void everyNumberCanBeAskedWhyAndEveryChangeTakenBack() {
        find("SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        find("grounds and ways to take them");
        hands.clickOn(byId("why.ground"));
        assertThat(shows("Why: Ground shift")).isTrue();
        assertThat(
                shows("1.20 A × 0.0628 Ω of ground wire, network solved: 75.4 mV × 0.152 λ/V"))
                .isTrue();
        vouch();
        assertThat(text("reasons.next")).startsWith("Rewired: measure between the two grounds again");
        assertThat(shows("0.075 V ground shift")).isFalse();
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shows("0.075 V ground shift")).isTrue();
        assertThat(text("notice")).contains("ground rewired");
    }
}
