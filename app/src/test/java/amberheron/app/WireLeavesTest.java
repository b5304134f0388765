package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Wire;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.wiring.GroundPlan.School;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup;
import java.nio.file.Files;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The leaves of the wiring, worked by keys and clicks as at the car. */
class WireLeavesTest extends WindowTest {
    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static void wire(FxRobot robot, String job) {
        find(robot, "job " + job);
        robot.push(KeyCode.ALT, KeyCode.DIGIT3);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void enter(FxRobot robot, String field, String... typed) {
        robot.interact(() -> session.focus(field));
        WaitForAsyncUtils.waitForFxEvents();
        for (String words : typed) {
            robot.push(KeyCode.CONTROL, KeyCode.A);
            type(robot, words);
        }
    }

    private <T> void pick(FxRobot robot, String list, T value) {
        robot.interact(() -> {
            @SuppressWarnings("unchecked") // the list's own kind of values
            ComboBox<T> box = (ComboBox<T>) byId(robot, list);
            box.setValue(value);
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Finding finding(String id) {
        return session.review().findings(Station.WIRE).stream().filter(f -> f.id().equals(id)).findFirst()
                .orElseThrow();
    }

    private Chart chart() {
        return session.job().wiring().harness().chart();
    }

    /** Twins are told apart, a loose end is accounted for, and what may not be joined is refused, all by pressing. */
    @Test
    void theChartIsClearedOfDoubts(FxRobot robot) {
        wire(robot, "SB-016");
        find(robot, "conductor chart");
        assertThat(drawn(robot, "WH · TWIN, tell apart")).isTrue();
        for (String tag : List.of("3", "4")) {
            press(robot, "wire.chart.row." + tag);
            press(robot, "wire.chart.apart.1");
        }
        assertThat(drawn(robot, "TWIN")).isFalse();
        press(robot, "wire.chart.row.5");
        press(robot, "wire.chart.left.1");
        assertThat(drawn(robot, "simulated narrowband, unused: taped and bundled")).isTrue();
        assertThat(session.review().findings(Station.WIRE))
                .filteredOn(f -> f.id().equals("chart.twins") || f.id().equals("chart.unused"))
                .extracting(f -> f.verdict()).containsExactly(Verdict.PASS, Verdict.PASS);
        press(robot, "wire.leaf.signal");
        press(robot, "wire.signal.reader.logger");
        pick(robot, "wire.signal.form", Hookup.Form.NARROWBAND);
        assertThat(shows(robot, "Not so: A simulated narrowband only tells richer from leaner")).isTrue();
        assertThat(session.review().state(Station.WIRE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
    }

    /** A joint ticked and tested, and the drop under load, as they are done at the car. */
    @Test
    void theWiringIsRecordedAsItWasDone(FxRobot robot) {
        wire(robot, "SB-015");
        robot.clickOn(byId(robot, "wire.leaf.wired"));
        press(robot, "wire.joint.school.1");
        for (int i = 0; i < 6; i++) {
            press(robot, "wire.joint.step." + i);
        }
        assertThat(shows(robot, "6 of 6 steps")).isTrue();
        press(robot, "wire.joint.add");
        enter(robot, "wire.joint.0.section", "18 awg", "60 N", "2 mΩ");
        assertThat(shows(robot, "pulled out: wrong die or too few strands")).isTrue();
        enter(robot, "wire.wired.atSource", "13.9", "13.1");
        assertThat(finding("wired.drop").verdict()).isEqualTo(Verdict.FAIL);
    }

    /** What is asked for is brought, whichever leaf it is on and however it is picked. */
    @Test
    void whatIsNextIsBroughtFromItsLeaf(FxRobot robot) {
        wire(robot, "SB-015");
        for (String field : List.of("wire.joint.school", "wire.heater", "wire.school", "wire.route.facing",
                "wire.signal.form", "wire.wired.atSource", "wire.A.cranking")) {
            robot.interact(() -> session.focus(field));
            WaitForAsyncUtils.waitForFxEvents();
            Node focus = Objects.requireNonNull(byId(robot, field).getScene().getFocusOwner());
            assertThat(focus.localToScreen(focus.getBoundsInLocal())).as(field).isNotNull();
            Node at = focus;
            while (at != null && !field.equals(at.getId())) {
                at = at.getParent();
            }
            assertThat(at).as("the focus is in " + field).isNotNull();
        }
    }

    @Test
    void theRouteIsWalkedPlaceByPlace(FxRobot robot) {
        wire(robot, "SB-015");
        find(robot, "cable route");
        press(robot, "wire.route.add");
        enter(robot, "wire.route.0.name", "clip at the bell housing");
        enter(robot, "wire.route.0.length", "600 mm", "60", "60 mm", "12 cm");
        assertThat(session.job().wiring().harness().route().points()).singleElement().satisfies(p -> {
            assertThat(p.name()).isEqualTo("clip at the bell housing");
            assertThat(p.length()).isEqualTo(0.6);
            assertThat(p.bend()).isEqualTo(0.06);
            assertThat(p.hot()).isEqualTo(0.06);
            assertThat(p.moving()).isEqualTo(0.12);
        });
        assertThat(shows(robot, "At clip at the bell housing. Insulation melts there")).isTrue();
        press(robot, "wire.route.sleeve.1");
        assertThat(finding("route.hot").verdict()).isEqualTo(Verdict.PASS);
        press(robot, "wire.route.add");
        enter(robot, "wire.route.1.name", "display");
        enter(robot, "wire.route.1.length", "2.2 m");
        enter(robot, "wire.route.lead", "0.4 m", "2.4 m", "150", "20");
        assertThat(finding("route.length").verdict()).as("0.4 + 2.4 − 2.8 − 0.17").isEqualTo(Verdict.FAIL);
        assertThat(finding("route.slack").consequence()).contains("without pulling");
        enter(robot, "wire.route.1.length", "1.9 m");
        assertThat(finding("route.length").verdict()).isEqualTo(Verdict.PASS);
        press(robot, "wire.route.passage.1");
        assertThat(shows(robot, "A bare edge cuts the insulation")).isTrue();
        press(robot, "wire.route.row.1");
        press(robot, "wire.route.earlier");
        assertThat(session.job().wiring().harness().route().points().getFirst().name()).isEqualTo("display");
    }

    @Test
    void whatTheHeaterRisksFollowsSchoolAndDelay(FxRobot robot) {
        wire(robot, "SB-014");
        find(robot, "heater timing");
        assertThat(finding("heater").verdict()).isEqualTo(Verdict.PASS);
        press(robot, "wire.heater.WITH_IGNITION");
        assertThat(finding("heater").verdict()).isEqualTo(Verdict.WARN);
        assertThat(shows(robot, "Water on the hot ceramic cracks it. On a cold day start at once")).isTrue();
        press(robot, "wire.heater.TIMER_RELAY");
        enter(robot, "wire.heater.delay", "10 s");
        assertThat(session.job().wiring().heater())
                .isEqualTo(new HeaterTiming(HeaterTiming.School.TIMER_RELAY, 10.0));
        assertThat(shows(robot, "The delay does not cover the whole of it")).isTrue();
        enter(robot, "wire.heater.delay", "0");
        assertThat(shows(robot, "found “0”, expected between 1 s and 300 s")).isTrue();
        assertThat(session.job().drafts()).containsKey("wire.heater.delay");
    }

    @Test
    void aMeasuredDropTakesThePlaceOfTheEstimate(FxRobot robot) {
        wire(robot, "SB-016");
        find(robot, "grounds and their schools");
        enter(robot, "wire.measured", "4 mV");
        assertThat(finding("ground").verdict()).isEqualTo(Verdict.PASS);
        assertThat(finding("ground").working()).startsWith("measured between the two grounds");
        assertThat(shows(robot, "shift 4.0 mV measured")).isTrue();
        press(robot, "wire.school.row.CHASSIS");
        assertThat(session.job().wiring().ground().school()).isEqualTo(School.CHASSIS);
        assertThat(finding("ground").verdict()).as("nobody measured there").isEqualTo(Verdict.FAIL);
        enter(robot, "wire.display", "0.3", "5 mΩ");
        assertThat(finding("ground").working()).startsWith("1.50 A × 0.0728 Ω");
    }

    /** A thousand ohms load the output, a million do not; three volts and a bit are not enough for five. */
    @Test
    void whatAnInputDoesToTheSignalIsSaid(FxRobot robot) {
        wire(robot, "SB-014");
        find(robot, "signal to each reader");
        press(robot, "wire.signal.reader.ecu");
        enter(robot, "wire.signal.ecu.input", "1 kΩ");
        assertThat(finding("signal.load.ecu").verdict()).isEqualTo(Verdict.FAIL);
        enter(robot, "wire.signal.ecu.input", "1 MΩ");
        assertThat(session.job().wiring().signals().hookups()).anyMatch(h -> Objects.equals(h.inputOhms(), 1e6));
        assertThat(finding("signal.load.ecu").verdict()).isEqualTo(Verdict.PASS);
        enter(robot, "wire.signal.ecu.most", "3.3");
        assertThat(shows(robot, "The input is over-driven")).isTrue();
        pick(robot, "wire.signal.form", Hookup.Form.CAN);
        assertThat(shows(robot, "120 Ω at each end of the bus")).isTrue();
        assertThat(session.review().findings(Station.WIRE)).noneMatch(f -> f.id().equals("signal.over.ecu"));
    }

    /** Lines are added for what is lacking, once; a line is changed, removed and brought back; a bad file changes nothing. */
    @Test
    void theChartGrowsAndShrinksByKeys(FxRobot robot) throws Exception {
        wire(robot, "SB-015");
        find(robot, "conductor chart");
        press(robot, "wire.chart.needed");
        press(robot, "wire.chart.lead");
        int wires = chart().wires().size();
        press(robot, "wire.chart.needed");
        press(robot, "wire.chart.lead");
        assertThat(chart().wires()).hasSize(wires).hasSize(2 + 6);
        press(robot, "wire.chart.row.3");
        assertThat(shows(robot, "tag 3")).isTrue();
        enter(robot, "wire.chart.3.fromPin", "6");
        assertThat(chart().wire("3").map(Wire::fromPin)).hasValue("6");
        press(robot, "wire.chart.remove");
        assertThat(chart().wires()).hasSize(wires - 1);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(chart().wires()).hasSize(wires);
        Chart before = chart();
        robot.interact(() -> byId(robot, "wire.chart.file").requestFocus());
        type(robot, Files.write(home.resolve("bad.csv"), new byte[]{0, 1, (byte) 0xFF}).toString());
        waitUntil(() -> shows(robot, "bad.csv"));
        assertThat(chart()).isEqualTo(before);
    }

    @Test
    void aWireIsPickedOnTheStrip(FxRobot robot) {
        wire(robot, "SB-016");
        find(robot, "conductor chart");
        Node strip = byId(robot, "wire.strip");
        Node words = robot.lookup((Node n) -> n instanceof Text t && t.getText().startsWith("BK")).query();
        Bounds at = words.localToScreen(words.getBoundsInLocal());
        robot.moveTo(at.getMinX() + 60, at.getMaxY() + 2).press(MouseButton.PRIMARY).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(strip.isVisible()).isTrue();
        assertThat(shows(robot, "tag 2")).isTrue();
    }

    private static boolean drawn(FxRobot robot, String words) {
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.window(0).getScene().getRoot().layout());
        return robot.lookup((Node n) -> n instanceof Text t && t.isVisible() && t.getText().contains(words)).tryQuery()
                .isPresent();
    }

    private static void press(FxRobot robot, String id) {
        robot.interact(() -> byId(robot, id).requestFocus());
        robot.push(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
