package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.shell.Session;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Station;
import amberheron.core.plan.Step;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.book.JobBook;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Each station's own handling, and what holds for all of them. */
class StationsTest extends WindowTest {
    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static void go(FxRobot robot, String job, KeyCode station) {
        find(robot, "job " + job);
        robot.push(KeyCode.ALT, station);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static Bounds onScreen(Node node) {
        return node.localToScreen(node.getBoundsInLocal());
    }

    @Test
    void aPlaceIsDraggedAlongThePipeAndAroundTheClock(FxRobot robot) {
        go(robot, "SB-014", KeyCode.DIGIT2);
        Bounds run = onScreen(byId(robot, "place.run"));
        robot.moveTo(run.getMinX() + 280, run.getMinY() + 100).press(MouseButton.PRIMARY).moveBy(-90, 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shows(robot, "Too near the turbine")).as("judged while the hand holds it").isTrue();
        assertThat(session.job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
        robot.moveBy(80, 0).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        double metres = Objects.requireNonNull(session.job().chosenPlace().orElseThrow().distance());
        assertThat(metres).isNotEqualTo(0.61).isBetween(0.5, 0.8);
        Node face = byId(robot, "place.clock.face");
        robot.moveTo(face).moveBy(60, 6).press(MouseButton.PRIMARY).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        double clock = Objects.requireNonNull(session.job().chosenPlace().orElseThrow().clock());
        assertThat(Math.toDegrees(clock)).as("pressed at 3 o'clock").isCloseTo(90, within(2.0));
        assertThat(shows(robot, "Condensed water reaches the hot ceramic")).isTrue();
        robot.push(KeyCode.CONTROL, KeyCode.Z).push(KeyCode.CONTROL, KeyCode.Z);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
    }

    @Test
    void placesAreAddedLookedAtTakenAndRemovedByPressing(FxRobot robot) {
        go(robot, "SB-014", KeyCode.DIGIT2);
        for (String id : List.of("place.letter.C", "place.take")) {
            robot.interact(() -> byId(robot, id).requestFocus());
            robot.push(KeyCode.SPACE);
        }
        assertThat(session.job().placing().chosen()).isEqualTo("C");
        assertThat(shows(robot, "C, taken")).isTrue();
        robot.interact(() -> byId(robot, "place.remove").requestFocus());
        robot.push(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().candidates()).hasSize(2);
        assertThat(session.job().placing().chosen()).isNull();
    }

    /** What cannot be is refused where it is typed, with the reason, and kept as typed. */
    @Test
    void whatCannotBeIsRefusedWhereItIsTyped(FxRobot robot) {
        go(robot, "SB-014", KeyCode.DIGIT2);
        robot.clickOn(byId(robot, "place.leaf.pipe"));
        robot.interact(() -> byId(robot, "place.piece.3").requestFocus());
        robot.push(KeyCode.SPACE);
        robot.interact(() -> session.focus("place.piece.3.wall"));
        type(robot, "20");
        assertThat(shows(robot, "Wall 20.0 mm in a pipe of 38.1 mm leaves no bore; expected less than 19.1 mm"))
                .isTrue();
        assertThat(session.job().drafts()).containsEntry("place.piece.3.wall", "20");
        robot.interact(() -> session.focus("place.piece.3.length"));
        type(robot, "-640");
        assertThat(shows(robot, "Length: found “-640”, expected between 1 mm and")).isTrue();
        robot.interact(() -> session.focus("place.B.distance"));
        type(robot, "3 m");
        assertThat(shows(robot, "3000 mm is past the end of the run at 1940 mm")).isTrue();
        robot.interact(() -> session.focus("place.standout"));
        type(robot, "160");
        assertThat(shows(robot, "more than the floor leaves at B")).isTrue();
        assertThat(session.job().intake().exhaust().segments().get(3).wall()).isEqualTo(0.0012);
        assertThat(session.job().placing().probe().standOut()).isEqualTo(0.082);
    }

    /** A clamp job from its leaf: read on the jack, judged on the wheels. */
    @Test
    void whatWasFittedIsMeasuredOnTheJackAndJudgedOnTheWheels(FxRobot robot) {
        go(robot, "SB-015", KeyCode.DIGIT2);
        robot.clickOn(byId(robot, "place.leaf.fitted"));
        robot.interact(() -> session.focus("place.fitted.across"));
        type(robot, "30");
        robot.interact(() -> session.focus("place.fitted.reading"));
        type(robot, "25");
        assertThat(shows(robot, "Not as it was meant")).isTrue();
        assertThat(Objects.requireNonNull(session.review().findings(Station.PLACE).getFirst().figure()).si())
                .as("the side was jacked up by 30°").isLessThan(Math.toRadians(10));
        robot.clickOn(byId(robot, "place.leaf.mark"));
        assertThat(shows(robot, "nuts in turn, a little each")).isTrue();
    }

    @Test
    void aStepShowsItsDetailsAndMovesByButton(FxRobot robot) {
        go(robot, "SB-015", KeyCode.DIGIT1);
        robot.interact(() -> byId(robot, "step.details.battery").requestFocus());
        robot.push(KeyCode.ENTER);
        assertThat(shows(robot, "in the car · likely 3 min")).isTrue();
        robot.interact(() -> byId(robot, "step.earlier").requestFocus());
        robot.push(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.review().plan().steps()).extracting(Step::id).containsSubsequence("battery", "splice");
        robot.interact(() -> byId(robot, "step.earlier").requestFocus());
        robot.push(KeyCode.SPACE);
        robot.interact(() -> byId(robot, "plan.material.0"));
        assertThat(byId(robot, "plan.material.0").getParent().getParent().isVisible())
                .as("what a clamp job does not need is not asked").isFalse();
        robot.push(KeyCode.CONTROL, KeyCode.J);
        assertThat(shows(robot, "waits on parts")).isTrue();
    }

    @Test
    void stepsAreTickedByClickAndOneThatWaitsIsRefused(FxRobot robot) {
        go(robot, "SB-015", KeyCode.DIGIT1);
        robot.clickOn(byId(robot, "step.source"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().done()).contains("source");
        robot.interact(() -> byId(robot, "step.ground").requestFocus());
        robot.push(KeyCode.SPACE);
        assertThat(text(robot, "notice")).contains("waits on: Take the battery negative off");
        assertThat(session.job().done()).doesNotContain("ground");
        robot.clickOn(byId(robot, "notice.close"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(byId(robot, "notice").getParent().isVisible()).isFalse();
    }

    /** Nothing typed is lost: a bad entry is saved with the job and stands there again the next day. */
    @Test
    void aBadEntryStandsThereAgainTheNextDay(FxRobot robot) {
        go(robot, "SB-015", KeyCode.DIGIT3);
        next(robot);
        type(robot, "nine volts or so");
        assertThat(shows(robot, "Cranking: found “nine volts or so”, expected a voltage")).isTrue();
        find(robot, "job SB-014");
        go(robot, "SB-015", KeyCode.DIGIT3);
        assertThat(text(robot, "wire.A.cranking")).isEqualTo("nine volts or so");
        session.flush();
        try (Session other = new Session(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home,
                Runnable::run)) {
            other.open("SB-015");
            assertThat(other.job().drafts()).containsEntry("wire.A.cranking", "nine volts or so");
        }
    }

    /** The stand-in behind its TCP port: what is next takes one reading after the other, and the fault is named. */
    @Test
    void theMeterIsReadStateByStateAndTheFaultNamed(FxRobot robot) throws Exception {
        go(robot, "SB-015", KeyCode.DIGIT3);
        robot.interact(() -> {
            @SuppressWarnings("unchecked") // the list of faults
            ComboBox<PowerSource.Behaviour> faults = (ComboBox<PowerSource.Behaviour>) byId(robot,
                    "wire.simulated.fault");
            faults.setValue(PowerSource.Behaviour.LOST_WHILE_CRANKING);
            ((Button) byId(robot, "wire.simulate")).fire();
        });
        waitUntil(() -> shows(robot, "V live · Simulated bench meter"));
        for (String state : List.of("cranking", "running", "lamps", "indicators")) {
            robot.interact(() -> ((Button) byId(robot, "wire.read." + state)).fire());
            waitUntil(() -> session.job().wiring().source().orElseThrow()
                    .at(KeyState.valueOf(state.toUpperCase(java.util.Locale.ROOT))).isPresent());
        }
        assertThat(shows(robot, "A is lost while cranking. The controller restarts with every start")).isTrue();
        robot.interact(() -> ((ToggleButton) byId(robot, "wire.feed.relay.1")).fire());
        assertThat(shows(robot, "Source, cranking: ")).isFalse();
        assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.id().equals("cranking"))
                .singleElement().satisfies(f -> assertThat(f.verdict()).as("the relay feeds").isEqualTo(Verdict.PASS));
    }

    @Test
    void aPointIsTypedAtScaleAndAWrongOneSaysWhy(FxRobot robot) {
        go(robot, "SB-016", KeyCode.DIGIT5);
        robot.clickOn(byId(robot, "scale.volts"));
        type(robot, "9");
        type(robot, "12");
        assertThat(shows(robot, "Applied: found “9”, expected between 0 V and 5 V")).isTrue();
        robot.clickOn(byId(robot, "scale.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "3.5");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "17.15");
        assertThat(session.job().points()).hasSize(5);
        assertThat(Objects.requireNonNull(session.job().points().getLast().volts())).isEqualTo(3.5);
    }

    /** The undo key belongs to the job while nothing new is typed, also with a field under the cursor. */
    @Test
    void anEntryIsTakenBackFromTheFieldAfterIt(FxRobot robot) {
        go(robot, "SB-016", KeyCode.DIGIT3);
        robot.clickOn(byId(robot, "wire.A.on")).push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "11.8");
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(11.8);
        assertThat(byId(robot, "wire.A.cranking").isFocused()).as("Enter moved on").isTrue();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(12.6);
        assertThat(text(robot, "wire.A.on")).isEqualTo("12.6 V");
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(11.8);
        robot.write("9").push(KeyCode.CONTROL, KeyCode.Z);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow())
                .as("what is being typed is the field's own").isEqualTo(11.8);
    }

    @Test
    void lawAndReaderAreChosenFromTheirLists(FxRobot robot) {
        go(robot, "SB-015", KeyCode.DIGIT5);
        next(robot);
        robot.push(KeyCode.DOWN).push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(session.job().law()).isNotNull();
        find(robot, "reader table");
        assertThat(Objects.requireNonNull(session.job().reader()).id()).isEqualTo("ecu-table-8");
        assertThat(shows(robot, "Type this into the reader")).isTrue();
    }

    @Test
    void theUnitSwitchesActOnEveryScreen(FxRobot robot) {
        go(robot, "SB-014", KeyCode.DIGIT4);
        robot.clickOn(byId(robot, "unit.f"));
        robot.clickOn(byId(robot, "unit.afr"));
        assertThat(text(robot, "air.temperature")).isEqualTo("64.4 °F");
        assertThat(shows(robot, "9.82 AFR")).isTrue();
        robot.push(KeyCode.ALT, KeyCode.DIGIT1);
        robot.clickOn(byId(robot, "unit.lbft"));
        assertThat(shows(robot, "Screw the sensor in, 30–40 lb·ft")).isTrue();
        assertThat(((ToggleButton) byId(robot, "unit.nm")).isSelected()).isFalse();
    }

    /** Names far longer than any sketch must not push a figure off the screen or over another. */
    @Test
    void longNamesAreCutNotOverlapped(FxRobot robot) {
        go(robot, "SB-016", KeyCode.DIGIT5);
        robot.interact(() -> session.edit("long",
                j -> j.withIntake(j.intake().withVehicle("A very long name of a very old outfit ".repeat(8)))));
        WaitForAsyncUtils.waitForFxEvents();
        for (String id : List.of("band.find", "unit.lambda", "unit.lbft")) {
            Bounds bounds = byId(robot, id).localToScene(byId(robot, id).getBoundsInLocal());
            assertThat(bounds.getMaxX()).as(id).isLessThanOrEqualTo(1280);
        }
        for (String id : List.of("unit.lambda", "unit.afr", "unit.mm", "unit.nm")) {
            assertThat(((ToggleButton) byId(robot, id)).isTextTruncated()).as(id).isFalse();
        }
        Bounds find = byId(robot, "band.find").localToScene(byId(robot, "band.find").getBoundsInLocal());
        assertThat(find.getWidth()).isGreaterThan(120);
        robot.push(KeyCode.CONTROL, KeyCode.J);
        Bounds row = byId(robot, "jobs.open.SB-016").localToScene(byId(robot, "jobs.open.SB-016").getBoundsInLocal());
        assertThat(row.getMaxX()).isLessThan(1012);
    }

    /** At every station: something to do next, something it was checked against, and no figure drawn in a colour of its own. */
    @Test
    void everyStationSaysWhatIsNextAndTakesItsColoursFromTheSheet(FxRobot robot) {
        for (String job : List.of("SB-014", "SB-015", "SB-016")) {
            find(robot, "job " + job);
            for (Station station : Station.values()) {
                robot.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
                assertThat(text(robot, "reasons.next")).as(job + " " + station).isNotBlank();
                assertThat(shows(robot, station.title())).isTrue();
                assertThat(robot.lookup((Node n) -> n instanceof Text t && !t.getStyleClass().isEmpty()
                        && t.getStyle() != null && t.getStyle().contains("fill")).queryAll()).isEmpty();
            }
        }
    }

    @Test
    void paperAndArmsLengthAreOneKeyEach(FxRobot robot) {
        go(robot, "SB-016", KeyCode.DIGIT5);
        Node root = byId(robot, "rule").getScene().getRoot();
        robot.push(KeyCode.CONTROL, KeyCode.D);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(root.getStyleClass()).contains("dark");
        double usual = ((Label) byId(robot, "reasons.next")).getFont().getSize();
        robot.push(KeyCode.F11);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((Label) byId(robot, "reasons.next")).getFont().getSize()).isCloseTo(2 * usual, within(0.1));
        robot.push(KeyCode.F11).push(KeyCode.CONTROL, KeyCode.D);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(root.getStyleClass()).doesNotContain("dark", "arm");
    }

    @Test
    void theRuleFollowsTheSimulatedController(FxRobot robot) throws Exception {
        go(robot, "SB-014", KeyCode.DIGIT5);
        double before = session.cursor();
        robot.push(KeyCode.F8);
        assertThat(text(robot, "notice")).contains("simulated controller").contains("warming up");
        waitUntil(() -> session.cursor() != before);
        robot.push(KeyCode.F8);
        WaitForAsyncUtils.waitForFxEvents();
        double held = session.cursor();
        assertThat(held).isBetween(0.95, 1.05);
        assertThat(Double.parseDouble(text(robot, "rule.lambda"))).isCloseTo(held, within(6e-4));
    }

    @Test
    void findOrDoIsLeftWithoutDoingAnything(FxRobot robot) {
        go(robot, "SB-014", KeyCode.DIGIT5);
        robot.push(KeyCode.CONTROL, KeyCode.K).write("zzzz");
        robot.push(KeyCode.ENTER).push(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((TextInputControl) byId(robot, "palette.input")).getParent().getParent().isVisible()).isFalse();
        assertThat(session.station()).isEqualTo(Station.SCALE);
        assertThat(session.job().id()).isEqualTo("SB-014");
    }
}
