package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Harness;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Wire;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.WireCheck;
import java.nio.file.Files;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** The leaves of the wiring, worked by keys and clicks as at the car. */
class WireLeavesTest extends WindowTest {
    private void wire(String job) {
        find("job " + job);
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
    }

    private void enter(String field, String... typed) {
        hands.interact(() -> session.focus(field));
        for (String words : typed) {
            hands.push(KeyCode.CONTROL, KeyCode.A);
            type(words);
        }
    }

    private <T> void pick(String list, T value) {
        hands.interact(() -> {
            @SuppressWarnings("unchecked") // the list's own kind of values
            ComboBox<T> box = (ComboBox<T>) byId(list);
            box.setValue(value);
        });
    }

    private void choose(String list, int index) {
        hands.interact(() -> ((ComboBox<?>) byId(list)).getSelectionModel().select(index));
    }

    private Finding finding(String id) {
        return session.review().findings(Station.WIRE).stream().filter(f -> f.check().key().equals(id)).findFirst()
                .orElseThrow();
    }

    private Chart chart() {
        return session.job().wiring().harness().chart();
    }

    /** Twins are told apart, a loose end is accounted for, and what may not be joined is refused, all by pressing. */
    @Test
    void theChartIsClearedOfDoubts() {
        wire("SB-016");
        find("harness strip");
        assertThat(drawn("GN · TWIN, tell apart")).isTrue();
        find("conductor chart");
        for (String tag : List.of("3", "4")) {
            press("wire.chart.row." + tag);
            press("wire.chart.apart.1");
        }
        press("wire.chart.row.5");
        choose("wire.chart.left", 1);
        find("harness strip");
        assertThat(drawn("TWIN")).isFalse();
        assertThat(drawn("simulated narrowband, unused: taped and bundled")).isTrue();
        assertThat(session.review().findings(Station.WIRE))
                .filteredOn(f -> f.check().key().equals("chart.twins") || f.check().key().equals("chart.unused"))
                .extracting(f -> f.verdict()).containsExactly(Verdict.PASS, Verdict.PASS);
        press("wire.leaf.signal");
        press("wire.signal.reader.logger");
        pick("wire.signal.form", Hookup.Form.NARROWBAND);
        assertThat(shows("Not so: A simulated narrowband only tells richer from leaner")).isTrue();
        assertThat(session.review().state(Station.WIRE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
    }

    private Harness harness() {
        return session.job().wiring().harness();
    }

    private String route(int place, String value) {
        return "wire.route." + harness().route().points().get(place).id() + "." + value;
    }

    /** What comes back through the strap lifts the chassis by its own resistance, not by the usual one. */
    @Test
    void theStrapIsMeasuredAndCounts() {
        wire("SB-015");
        press("wire.leaf.grounds");
        enter("wire.toChassis", "1.5");
        enter("wire.section", "1.5");
        enter("wire.mean", "1");
        enter("wire.others", "20");
        hands.push(KeyCode.TAB);
        double usual = shift(GroundSchool.CHASSIS);
        assertThat(shows("Empty: taken as 5 mΩ")).isTrue();
        enter("wire.strap", "12 mΩ");
        assertThat(session.job().wiring().ground().wires().strap()).isEqualTo(0.012);
        assertThat(shift(GroundSchool.CHASSIS) - usual).isCloseTo(21 * (0.012 - GroundPlan.USUAL_STRAP), within(0.002));
    }

    private double shift(GroundSchool school) {
        return session.job().wiring().ground().costs().stream().filter(c -> c.school() == school).findFirst()
                .orElseThrow().shift();
    }

    /** A starter only takes: such a reading is kept when it was looked at twice, and is not lost meanwhile. */
    @Test
    void whatHardlyCanBeIsAskedBeforeItIsKept() {
        wire("SB-015");
        press("wire.leaf.power");
        String source = session.job().wiring().sources().getFirst().id();
        enter("wire." + source + ".on", "12.4");
        enter("wire." + source + ".cranking", "12.6");
        assertThat(shows("a starter only takes: read both again. Enter once more keeps it.")).isTrue();
        assertThat(cranking()).as("not kept yet").isNotEqualTo(12.6);
        press("wire.leaf.feed");
        press("wire.leaf.power");
        assertThat(cranking()).as("left, and still only asked").isNotEqualTo(12.6);
        hands.interact(() -> session.focus("wire." + source + ".cranking"));
        hands.push(KeyCode.ENTER);
        assertThat(cranking()).isEqualTo(12.6);
        assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().is(KeyState.CRANKING))
                .extracting(f -> f.verdict()).containsExactly(Verdict.WARN);
        enter("wire." + source + ".cranking", "12.7");
        enter("wire." + source + ".cranking", "10.4");
        assertThat(cranking()).as("read again").isEqualTo(10.4);
    }

    private double cranking() {
        return session.job().wiring().sources().getFirst().at(KeyState.CRANKING).orElse(0.0);
    }

    /** A joint ticked and tested, and the drop under load, as they are done at the car. */
    @Test
    void theWiringIsRecordedAsItWasDone() {
        wire("SB-015");
        hands.clickOn(byId("wire.leaf.joints"));
        choose("wire.joint.school", 1);
        for (int i = 0; i < 6; i++) {
            press("wire.joint.step." + i);
        }
        assertThat(shows("6 of 6 steps")).isTrue();
        press("wire.joint.add");
        enter("wire.joint." + harness().joints().tested().getFirst().id() + ".section", "18 awg", "60 N", "2 mV");
        assertThat(shows("pulled out: wrong die or too few strands")).isTrue();
        hands.clickOn(byId("wire.leaf.wired"));
        enter("wire.wired.atSource", "13.9", "13.1");
        assertThat(finding("wired.drop").verdict()).isEqualTo(Verdict.FAIL);
    }

    /** What is asked for is brought, whichever leaf it is on and however it is picked. */
    @Test
    void whatIsNextIsBroughtFromItsLeaf() {
        wire("SB-015");
        for (String field : List.of("wire.joint.school", "wire.heater", "wire.school", "wire.route.facing",
                "wire.signal.form", "wire.wired.atSource", "wire.A.cranking")) {
            hands.interact(() -> session.focus(field));
            Node focus = Objects.requireNonNull(byId(field).getScene().getFocusOwner());
            assertThat(focus.localToScreen(focus.getBoundsInLocal())).as(field).isNotNull();
            Node at = focus;
            while (at != null && !field.equals(at.getId())) {
                at = at.getParent();
            }
            assertThat(at).as("the focus is in " + field).isNotNull();
        }
    }

    @Test
    void theRouteIsWalkedPlaceByPlace() {
        wire("SB-015");
        find("cable route");
        press("wire.route.add");
        enter(route(0, "name"), "clip at the bell housing");
        enter(route(0, "length"), "600 mm", "60", "60 mm", "12 cm");
        assertThat(session.job().wiring().harness().route().points()).singleElement().satisfies(p -> {
            assertThat(p.name()).isEqualTo("clip at the bell housing");
            assertThat(p.length()).isEqualTo(0.6);
            assertThat(p.bend()).isEqualTo(0.06);
            assertThat(p.hot()).isEqualTo(0.06);
            assertThat(p.moving()).isEqualTo(0.12);
        });
        assertThat(shows("At clip at the bell housing. Insulation melts there")).isTrue();
        choose(route(0, "sleeve"), 1);
        assertThat(finding("route.hot").verdict()).isEqualTo(Verdict.PASS);
        press("wire.route.add");
        enter(route(1, "name"), "display");
        enter(route(1, "length"), "2.2 m");
        enter("wire.route.lead", "0.4 m", "2.4 m", "150", "20");
        assertThat(finding("route.length").verdict()).as("0.4 + 2.4 − 2.8 − 0.17").isEqualTo(Verdict.FAIL);
        assertThat(finding("route.slack").consequence().metric()).contains("without pulling");
        enter(route(1, "length"), "1.9 m");
        assertThat(finding("route.length").verdict()).isEqualTo(Verdict.PASS);
        choose("wire.route.passage", 1);
        assertThat(shows("A bare edge cuts the insulation")).isTrue();
        hands.interact(() -> session.seek(HarnessField.ROUTE_LENGTH.of(harness().route().points().get(1).id())));
        press("wire.route.earlier");
        assertThat(session.job().wiring().harness().route().points().getFirst().name()).isEqualTo("display");
    }

    @Test
    void whatTheHeaterRisksFollowsSchoolAndDelay() {
        wire("SB-014");
        find("heater timing");
        assertThat(finding("heater").verdict()).isEqualTo(Verdict.PASS);
        press("wire.heater.WITH_IGNITION");
        assertThat(finding("heater").verdict()).isEqualTo(Verdict.WARN);
        assertThat(shows("Water on the hot ceramic cracks it. On a cold day start at once")).isTrue();
        press("wire.heater.TIMER_RELAY");
        enter("wire.heater.delay", "10 s");
        assertThat(session.job().wiring().heater())
                .isEqualTo(new HeaterTiming(HeaterTiming.HeaterSchool.TIMER_RELAY, 10.0));
        assertThat(shows("The delay does not cover the whole of it")).isTrue();
        enter("wire.heater.delay", "0");
        assertThat(shows("found “0”, expected between 1 s and 300 s")).isTrue();
        assertThat(session.job().entries().drafts()).containsKey("wire.heater.delay");
    }

    @Test
    void aMeasuredDropTakesThePlaceOfTheEstimate() {
        wire("SB-016");
        find("as wired, shift and supply");
        enter("wire.measured", "4 mV");
        find("grounds and ways to take them");
        assertThat(finding("ground").verdict()).isEqualTo(Verdict.PASS);
        assertThat(finding("ground").working().metric()).startsWith("measured between the two grounds");
        assertThat(shows("shift 4.0 mV measured")).isTrue();
        press("wire.school.row.CHASSIS");
        assertThat(session.job().wiring().ground().school()).isEqualTo(GroundSchool.CHASSIS);
        assertThat(finding("ground").verdict()).as("nobody measured there").isEqualTo(Verdict.FAIL);
        enter("wire.display", "0.3", "5 mΩ");
        assertThat(finding("ground").working().metric()).startsWith("1.50 A × 0.0728 Ω");
    }

    /** A thousand ohms load the output, a million do not; three volts and a bit are not enough for five. */
    @Test
    void whatAnInputDoesToTheSignalIsSaid() {
        wire("SB-014");
        find("signal to each reader");
        press("wire.signal.reader.ecu");
        enter("wire.signal.ecu.input", "1 kΩ");
        assertThat(finding("signal.load.ecu").verdict()).isEqualTo(Verdict.FAIL);
        enter("wire.signal.ecu.input", "1 MΩ");
        assertThat(session.job().wiring().signals().hookups()).anyMatch(h -> Objects.equals(h.inputOhms(), 1e6));
        assertThat(finding("signal.load.ecu").verdict()).isEqualTo(Verdict.PASS);
        enter("wire.signal.ecu.most", "3.3");
        assertThat(shows("The input is over-driven")).isTrue();
        pick("wire.signal.form", Hookup.Form.CAN);
        assertThat(shows("120 Ω at each end of the bus")).isTrue();
        assertThat(session.review().findings(Station.WIRE)).noneMatch(f -> f.check().key().equals("signal.over.ecu"));
    }

    /** Lines are added for what is lacking, once; a line is changed, removed and brought back; a bad file changes nothing. */
    @Test
    void theChartGrowsAndShrinksByKeys() throws Exception {
        wire("SB-015");
        find("conductor chart");
        press("wire.chart.needed");
        press("wire.chart.lead");
        int wires = chart().wires().size();
        press("wire.chart.needed");
        press("wire.chart.lead");
        assertThat(chart().wires()).hasSize(wires).hasSize(2 + 6);
        press("wire.chart.row.3");
        String third = chart().wires().get(2).id();
        assertThat(shows("tag 3")).isTrue();
        enter("wire.chart." + third + ".fromPin", "6");
        assertThat(chart().wire(third).map(Wire::fromPin)).hasValue("6");
        hands.interact(() -> byId("wire.chart.row.3").requestFocus());
        hands.push(KeyCode.DOWN);
        assertThat(shows("tag 4")).isTrue();
        hands.push(KeyCode.ALT, KeyCode.UP);
        assertThat(chart().wires()).extracting(Wire::tag).startsWith("1", "2", "4", "3");
        hands.push(KeyCode.CONTROL, KeyCode.DELETE);
        assertThat(chart().wires()).extracting(Wire::tag).startsWith("1", "2", "3").hasSize(wires - 1);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(chart().wires()).hasSize(wires);
        Chart before = chart();
        find("harness strip");
        hands.interact(() -> byId("wire.chart.file").requestFocus());
        type(Files.write(home.resolve("bad.csv"), new byte[]{0, 1, (byte) 0xFF}).toString());
        waitUntil(() -> shows("bad.csv"));
        assertThat(chart()).isEqualTo(before);
    }

    @Test
    void aWireIsPickedOnTheStrip() {
        wire("SB-016");
        find("harness strip");
        Node strip = byId("wire.strip");
        Node words = hands.find(n -> n instanceof Text t && t.getText().startsWith("OG/GN")).orElseThrow();
        Bounds at = words.localToScreen(words.getBoundsInLocal());
        hands.moveTo(at.getMinX() + 60, at.getMaxY() + 2).press(MouseButton.PRIMARY).release(MouseButton.PRIMARY);
        assertThat(strip.isVisible()).isTrue();
        assertThat(shows("tag 2")).isTrue();
    }

    private boolean drawn(String words) {
        hands.interact(() -> hands.scene().getRoot().layout());
        return hands.find(n -> n instanceof Text t && t.isVisible() && t.getText().contains(words)).isPresent();
    }

    private void press(String id) {
        hands.interact(() -> byId(id).requestFocus());
        hands.push(KeyCode.SPACE);
    }

    /** A cure is not done by a key that was held, and not proven by having been said. */
    @Test
    void aRewiringIsVouchedForAndThenMeasured() {
        find("job SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        GroundPlan before = session.job().wiring().ground();
        for (int i = 0; i < 5; i++) {
            next();
        }
        hands.push(KeyCode.ENTER);
        assertThat(session.job().wiring().ground()).isEqualTo(before);
        vouch();
        assertThat(session.job().wiring().ground().unproven()).isTrue();
        assertThat(session.review().state(Station.WIRE).done()).isFalse();
        assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().is(WireCheck.GROUND))
                .extracting(Finding::verdict).containsOnly(Verdict.UNKNOWN);
        assertThat(session.review().trust()).as("no figure rests on what was only said").isEmpty();
        next();
        Hands.held = true;
        next();
        next();
        Hands.held = false;
        type("0");
        assertThat(session.job().wiring().ground().unproven()).as("one press brought its field, no other").isFalse();
        assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().is(WireCheck.GROUND))
                .extracting(Finding::verdict).containsOnly(Verdict.PASS);
    }

    /** Esc puts back what is kept, also in place of what could not be used; a second one leaves the far view. */
    @Test
    void escapeCancelsWhatIsTyped() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.interact(() -> session.focus("wire.feed.length"));
        String was = text("wire.feed.length");
        hands.push(KeyCode.CONTROL, KeyCode.A);
        hands.write("as long as it takes");
        hands.push(KeyCode.ENTER);
        assertThat(text("wire.feed.length")).isEqualTo("as long as it takes");
        hands.push(KeyCode.ESCAPE);
        assertThat(text("wire.feed.length")).isEqualTo(was);
        assertThat(session.job().entries().drafts()).isEmpty();
        hands.push(KeyCode.F11);
        hands.push(KeyCode.ESCAPE);
        assertThat(byId("wire.feed.length").getScene()).isNotNull();
        assertThat(hands.find(n -> "arm.next".equals(n.getId()) && n.isVisible())).isEmpty();
    }
}
