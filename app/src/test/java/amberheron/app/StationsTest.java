package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.parts.EntryField;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.AirField;
import amberheron.core.job.Station;
import amberheron.core.placement.PlaceField;
import amberheron.core.plan.Step;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import java.lang.ref.WeakReference;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** Each station's own handling, and what holds for all of them. */
class StationsTest extends WindowTest {
    private void go(String job, KeyCode station) {
        find("job " + job);
        hands.push(KeyCode.ALT, station);
    }

    private static Bounds onScreen(Node node) {
        return node.localToScreen(node.getBoundsInLocal());
    }

    @Test
    void aPlaceIsDraggedAlongThePipeAndAroundTheClock() {
        go("SB-014", KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.choose"));
        Node engine = byId("place.run").lookupAll(".drawing-text").stream()
                .filter(n -> n instanceof Text t && t.getText().equals("engine")).findFirst().orElseThrow();
        Node box = byId("place.run").lookupAll(".vessel").stream().filter(Rectangle.class::isInstance).findFirst()
                .orElseThrow();
        assertThat(onScreen(engine).getCenterX()).as("a word is measured in its own style, also when first drawn")
                .isCloseTo(onScreen(box).getCenterX(), within(2.0));
        hands.moveTo(Objects.requireNonNull(byId("place.run").lookup(".pin-looked"))).press(MouseButton.PRIMARY)
                .moveBy(-90, 0);
        assertThat(shows("Too near the turbine")).as("judged while the hand holds it").isTrue();
        assertThat(session.job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
        hands.moveBy(80, 0).release(MouseButton.PRIMARY);
        double metres = Objects.requireNonNull(session.job().chosenPlace().orElseThrow().distance());
        assertThat(metres).isNotEqualTo(0.61).isBetween(0.5, 0.8);
        Node face = byId("place.clock.face");
        Bounds middle = onScreen(Objects.requireNonNull(face.lookup(".face-pipe")));
        hands.moveTo(Objects.requireNonNull(face.lookup(".bung"))).press(MouseButton.PRIMARY)
                .moveTo(middle.getCenterX() + 60, middle.getCenterY()).release(MouseButton.PRIMARY);
        double clock = Objects.requireNonNull(session.job().chosenPlace().orElseThrow().clock());
        assertThat(Math.toDegrees(clock)).as("let go at 3 o'clock").isCloseTo(90, within(2.0));
        assertThat(shows("Condensed water reaches the hot ceramic")).isTrue();
        hands.push(KeyCode.CONTROL, KeyCode.Z).push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
    }

    @Test
    void placesAreAddedLookedAtTakenAndRemovedByPressing() {
        go("SB-014", KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.choose"));
        for (String id : List.of("place.letter.C", "place.take")) {
            hands.interact(() -> byId(id).requestFocus());
            hands.push(KeyCode.SPACE);
        }
        assertThat(session.job().placing().chosen()).isEqualTo("C");
        assertThat(shows("C, taken")).isTrue();
        hands.interact(() -> byId("place.remove").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(session.job().candidates()).hasSize(2);
        assertThat(session.job().placing().chosen()).isNull();
    }

    private String piece(int place) {
        return session.job().intake().exhaust().segments().get(place).id();
    }

    /** What cannot be is refused where it is typed, with the reason, and kept as typed. */
    @Test
    void whatCannotBeIsRefusedWhereItIsTyped() {
        go("SB-014", KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.pipe"));
        hands.interact(() -> session.seek(PlaceField.PIECE_WALL.of(piece(3))));
        type("20");
        assertThat(shows("Wall 20.0 mm in a pipe of 38.1 mm leaves no bore; expected less than 19.1 mm"))
                .isTrue();
        assertThat(session.job().entries().drafts()).containsEntry("place.piece." + piece(3) + ".wall", "20");
        hands.interact(() -> session.seek(PlaceField.PIECE_LENGTH.of(piece(3))));
        type("-640");
        assertThat(shows("Length: found “-640”, expected between 1 mm and")).isTrue();
        hands.interact(() -> session.focus("place.B.distance"));
        type("3 m");
        assertThat(shows("3000 mm is past the end of the run at 1940 mm"))
                .isTrue();
        hands.interact(() -> session.focus("place.standout"));
        type("160");
        assertThat(shows("more than the floor leaves at B")).isTrue();
        assertThat(session.job().intake().exhaust().segments().get(3).wall()).isEqualTo(0.0012);
        assertThat(session.job().placing().probe().standOut()).isEqualTo(0.082);
    }

    /** What was half typed for a piece belongs to that piece, wherever it is moved, and goes with it. */
    @Test
    void aBadEntryStaysWithItsPieceWhenOthersGo() {
        go("SB-014", KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.pipe"));
        String second = piece(1);
        hands.interact(() -> session.seek(PlaceField.PIECE_WALL.of(second)));
        type("20 mmm");
        hands.interact(() -> session
                .seek(PlaceField.PIECE_LENGTH.of(piece(0))));
        hands.interact(() -> byId("place.piece.remove").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(session.job().intake().exhaust().segments().getFirst().id()).isEqualTo(second);
        assertThat(session.job().entries().drafts()).containsEntry("place.piece." + second + ".wall", "20 mmm");
        assertThat(text("place.piece." + second + ".wall")).isEqualTo("20 mmm");
        hands.interact(() -> byId("place.piece.remove").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(session.job().entries().drafts()).as("gone with its piece").isEmpty();
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().entries().drafts()).as("and back with it")
                .containsKey("place.piece." + second + ".wall");
    }

    /** A shop's window stays open all day: what another job has no use for must not stay behind with whatever it listened to. */
    @Test
    void rowsOfAnotherJobAreForgotten() throws Exception {
        go("SB-014", KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.joints"));
        List<WeakReference<Node>> rows = new ArrayList<>();
        hands.find(n -> n instanceof EntryField && !rows.add(new WeakReference<>(n)));
        go("SB-016", KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.joints"));
        rows.removeIf(row -> hands.find(row::refersTo).isPresent());
        assertThat(rows).as("joints that this job has not").isNotEmpty();
        hands.waitUntil(() -> {
            System.gc();
            return rows.stream().allMatch(row -> row.refersTo(null));
        });
    }

    /** A clamp job from its leaf: read on the jack, judged on the wheels. */
    @Test
    void whatWasFittedIsMeasuredOnTheJackAndJudgedOnTheWheels() {
        go("SB-015", KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.fitted"));
        hands.interact(() -> session.focus("place.fitted.across"));
        type("30");
        hands.interact(() -> session.focus("place.fitted.reading"));
        type("25");
        assertThat(shows("Not as it was meant")).isTrue();
        assertThat(Objects.requireNonNull(session.review().findings(Station.PLACE).getFirst().figure()).si())
                .as("the side was jacked up by 30°").isLessThan(Math.toRadians(10));
        hands.clickOn(byId("place.leaf.procedure"));
        assertThat(shows("nuts by turns, a little each time")).isTrue();
    }

    @Test
    void aStepShowsItsDetailsAndMovesByButton() {
        go("SB-015", KeyCode.DIGIT1);
        hands.interact(() -> byId("step.details.battery").requestFocus());
        hands.push(KeyCode.ENTER);
        assertThat(shows("in the car · likely 3 min")).isTrue();
        hands.interact(() -> byId("step.earlier").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(session.review().plan().steps()).extracting(Step::key).containsSubsequence("battery", "splice");
        hands.interact(() -> byId("step.earlier").requestFocus());
        hands.push(KeyCode.SPACE);
        hands.clickOn(byId("plan.leaf.intake"));
        assertThat(byId("plan.material.0").getParent().getParent().isVisible())
                .as("what a clamp job does not need is not asked").isFalse();
        hands.push(KeyCode.CONTROL, KeyCode.J);
        assertThat(shows("waits on parts")).isTrue();
    }

    @Test
    void stepsAreTickedByClickAndOneThatWaitsIsRefused() {
        go("SB-015", KeyCode.DIGIT1);
        hands.clickOn(byId("step.source"));
        assertThat(session.job().done()).contains("source");
        hands.interact(() -> byId("step.ground").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(text("notice")).contains("waits on: Take the battery negative off");
        assertThat(session.job().done()).doesNotContain("ground");
        hands.clickOn(byId("notice.close"));
        assertThat(byId("notice").getParent().isVisible()).isFalse();
    }

    /** Nothing typed is lost: a bad entry is saved with the job and stands there again the next day. */
    @Test
    void aBadEntryStandsThereAgainTheNextDay() {
        go("SB-015", KeyCode.DIGIT3);
        next();
        type("nine volts or so");
        assertThat(shows("Cranking: found “nine volts or so”, expected a voltage")).isTrue();
        find("job SB-014");
        go("SB-015", KeyCode.DIGIT3);
        assertThat(text("wire.A.cranking")).isEqualTo("nine volts or so");
        try (Session other = Demo.empty(home)) {
            other.open("SB-015");
            assertThat(other.job().entries().drafts()).containsEntry("wire.A.cranking", "nine volts or so");
        }
    }

    /** The stand-in behind its TCP port: what is next takes one reading after the other, and the fault is named. */
    @Test
    void theMeterIsReadStateByStateAndTheFaultNamed() throws Exception {
        go("SB-015", KeyCode.DIGIT3);
        hands.interact(() -> {
            @SuppressWarnings("unchecked") // the list of faults
            ComboBox<PowerSource.Behaviour> faults = (ComboBox<PowerSource.Behaviour>) byId(
                    "wire.simulated.fault");
            faults.setValue(PowerSource.Behaviour.SAGS_WHILE_CRANKING);
            ((Button) byId("wire.simulate")).fire();
        });
        waitUntil(() -> shows("V live · Simulated bench meter"));
        for (String state : List.of("cranking", "running", "lamps", "indicators")) {
            hands.interact(() -> ((Button) byId("wire.read." + state)).fire());
            waitUntil(() -> session.job().wiring().source().orElseThrow()
                    .at(KeyState.valueOf(state.toUpperCase(java.util.Locale.ROOT))).isPresent());
        }
        assertThat(shows("A is weak while cranking. The controller restarts with every start")).isTrue();
        assertThat(shows("sim · Cranking")).as("said at the field").isTrue();
        hands.clickOn(byId("wire.leaf.feed"));
        hands.interact(() -> ((ToggleButton) byId("wire.feed.relay.1")).fire());
        assertThat(shows("Source, cranking: ")).isFalse();
        assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().key().equals("cranking"))
                .singleElement().satisfies(f -> assertThat(f.verdict()).as("the relay feeds").isEqualTo(Verdict.PASS));
    }

    @Test
    void aPointIsTypedAtScaleAndAWrongOneSaysWhy() {
        go("SB-016", KeyCode.DIGIT5);
        hands.clickOn(byId("scale.volts"));
        type("9");
        type("12");
        assertThat(shows("Applied: found “9”, expected between 0 V and 5 V")).isTrue();
        hands.clickOn(byId("scale.volts")).push(KeyCode.CONTROL, KeyCode.A);
        type("3.5");
        hands.push(KeyCode.CONTROL, KeyCode.A);
        type("17.15");
        assertThat(session.job().points()).hasSize(5);
        assertThat(Objects.requireNonNull(session.job().points().getLast().volts())).isEqualTo(3.5);
    }

    /** The undo key belongs to the job while nothing new is typed, also with a field under the cursor. */
    @Test
    void anEntryIsTakenBackFromTheFieldAfterIt() {
        go("SB-016", KeyCode.DIGIT3);
        hands.clickOn(byId("wire.A.on")).push(KeyCode.CONTROL, KeyCode.A);
        type("11.8");
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(11.8);
        assertThat(byId("wire.A.cranking").isFocused()).as("Enter moved on").isTrue();
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(12.6);
        assertThat(text("wire.A.on")).isEqualTo("12.6 V");
        hands.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow()).isEqualTo(11.8);
        hands.write("9").push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().wiring().source().orElseThrow().at(KeyState.ON).orElseThrow())
                .as("what is being typed is the field's own").isEqualTo(11.8);
    }

    @Test
    void lawAndReaderAreChosenFromTheirLists() {
        go("SB-015", KeyCode.DIGIT5);
        next();
        hands.push(KeyCode.DOWN).push(KeyCode.ENTER);
        assertThat(session.job().law()).isNotNull();
        find("reader table");
        assertThat(Objects.requireNonNull(session.job().reader()).id()).isEqualTo("ecu-table-8");
        find("type this into the reader");
        assertThat(shows("Type this into the reader")).isTrue();
    }

    /** What is typed says when, and of which job; taken back, nothing of it stays. */
    @Test
    void aTypedReadingCarriesWhereItCameFrom() {
        go("SB-015", KeyCode.DIGIT4);
        hands.interact(() -> session.focus("air.height"));
        type("212");
        Origin origin = session.job().entries().origin(AirField.HEIGHT.address());
        assertThat(origin).extracting(Origin::kind, Origin::job).containsExactly(Origin.Kind.TYPED, "SB-015");
        hands.moveTo(byId("air.height"));
        assertThat(((TextField) byId("air.height")).getTooltip().getText()).startsWith("typed ")
                .endsWith(Figures.moment(Objects.requireNonNull(origin.taken())));
        PseudoClass changed = PseudoClass.getPseudoClass("changed");
        assertThat(byId("air.height").getPseudoClassStates()).as("by the person's own hand").doesNotContain(changed);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().entries().origin(AirField.HEIGHT.address())).isEqualTo(Origin.UNRECORDED);
        assertThat(byId("air.height").getPseudoClassStates()).as("taken back").contains(changed);
    }

    @Test
    void theUnitSwitchesActOnEveryScreen() {
        go("SB-014", KeyCode.DIGIT4);
        hands.clickOn(byId("unit.f"));
        hands.clickOn(byId("unit.afr"));
        assertThat(text("air.temperature")).isEqualTo("64.4 °F");
        assertThat(shows("9.82 AFR")).isTrue();
        hands.push(KeyCode.ALT, KeyCode.DIGIT1);
        hands.clickOn(byId("unit.lbft"));
        assertThat(shows("Screw the sensor in, 30 lb·ft to 40 lb·ft")).isTrue();
        assertThat(((ToggleButton) byId("unit.nm")).isSelected()).isFalse();
    }

    /** Names far longer than any sketch must not push a figure off the screen or over another. */
    @Test
    void longNamesAreCutNotOverlapped() {
        go("SB-016", KeyCode.DIGIT5);
        hands.interact(() -> session.edit("long",
                j -> j.withIntake(j.intake().withVehicle("A very long name of a very old outfit ".repeat(8)))));
        for (String id : List.of("band.find", "unit.lambda", "unit.lbft")) {
            Bounds bounds = byId(id).localToScene(byId(id).getBoundsInLocal());
            assertThat(bounds.getMaxX()).as(id).isLessThanOrEqualTo(1280);
        }
        for (String id : List.of("unit.lambda", "unit.afr", "unit.mm", "unit.nm")) {
            assertThat(((ToggleButton) byId(id)).isTextTruncated()).as(id).isFalse();
        }
        Bounds find = byId("band.find").localToScene(byId("band.find").getBoundsInLocal());
        assertThat(find.getWidth()).isGreaterThan(120);
        hands.push(KeyCode.CONTROL, KeyCode.J);
        Bounds row = byId("jobs.open.SB-016").localToScene(byId("jobs.open.SB-016").getBoundsInLocal());
        assertThat(row.getMaxX()).isLessThan(1012);
    }

    /** At every station: something to do next, something it was checked against, and no figure drawn in a colour of its own. */
    @Test
    void everyStationSaysWhatIsNextAndTakesItsColoursFromTheSheet() {
        for (String job : List.of("SB-014", "SB-015", "SB-016")) {
            find("job " + job);
            for (Station station : Station.values()) {
                hands.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
                assertThat(text("reasons.next")).as(job + " " + station).isNotBlank();
                assertThat(shows(station.title())).isTrue();
                assertThat(hands.find(n -> n instanceof Text t && !t.getStyleClass().isEmpty()
                        && t.getStyle() != null && t.getStyle().contains("fill"))).isEmpty();
            }
        }
    }

    @Test
    void paperAndArmsLengthAreOneKeyEach() {
        go("SB-016", KeyCode.DIGIT5);
        Node root = byId("rule").getScene().getRoot();
        hands.push(KeyCode.CONTROL, KeyCode.D);
        assertThat(root.getStyleClass()).contains("dark");
        double usual = ((Label) byId("reasons.next")).getFont().getSize();
        String next = text("reasons.next");
        hands.push(KeyCode.F11);
        assertThat(text("arm.next")).isEqualTo(next);
        assertThat(((Label) byId("arm.next")).getFont().getSize()).isGreaterThan(2 * usual);
        assertThat(text("arm.figure")).isEqualTo("shows 0.012 λ lean at 0.655 λ");
        assertThat(((Label) byId("arm.figure")).getFont().getSize()).isGreaterThan(4 * usual);
        assertThat(byId("rule").isVisible()).as("one thing at a time").isFalse();
        hands.push(KeyCode.F11).push(KeyCode.CONTROL, KeyCode.D);
        assertThat(root.getStyleClass()).doesNotContain("dark", "arm");
        assertThat(text("reasons.next")).isEqualTo(next);
        hands.push(KeyCode.F11);
        hands.interact(() -> session.seek(amberheron.core.scaling.ScaleField.POINTS.address()));
        assertThat(byId("scale.volts").isFocused()).as("what is typed is typed at the desk").isTrue();
    }

    @Test
    void theRuleFollowsTheSimulatedController() throws Exception {
        go("SB-014", KeyCode.DIGIT5);
        double before = session.at().cursor();
        hands.push(KeyCode.F8);
        assertThat(text("notice")).contains("simulated controller");
        waitUntil(() -> session.at().cursor() != before);
        hands.push(KeyCode.F8);
        double held = session.at().cursor();
        assertThat(held).isBetween(0.95, 1.05);
        assertThat(Double.parseDouble(text("rule.lambda"))).isCloseTo(held, within(6e-4));
    }

    @Test
    void findOrDoIsLeftWithoutDoingAnything() {
        go("SB-014", KeyCode.DIGIT5);
        hands.push(KeyCode.CONTROL, KeyCode.K).write("zzzz");
        hands.push(KeyCode.ENTER).push(KeyCode.ESCAPE);
        assertThat(((TextInputControl) byId("palette.input")).getParent().getParent().isVisible()).isFalse();
        assertThat(session.at().station()).isEqualTo(Station.SCALE);
        assertThat(session.job().id()).isEqualTo("SB-014");
    }
}
