package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.display.DisplayField;
import amberheron.core.display.DisplaySetting;
import amberheron.core.finding.Origin;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.CheckPoint.Engine;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The leaves of the scale, worked by keys and clicks as at the car. */
class ScaleLeavesTest extends WindowTest {
    @BeforeEach
    void scale() {
        find("job SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
    }

    private void given(CheckPoint... points) {
        hands.interact(() -> session.edit("points", j -> j.withPoints(Arrays.asList(points))));
    }

    private CheckPoint point(double volts, double shown, Engine engine) {
        return new CheckPoint(volts, null, shown, "", new Origin(Origin.Kind.TYPED, "", session.now(), "SB-016"),
                engine);
    }

    @Test
    void aLawIsTypedAsItsSheetWritesItAndReadBack() {
        hands.interact(() -> session.focus("scale.sheet"));
        hands.write("2(v+4,5");
        assertThat(shows("found the end, expected “)” for the “(” at character 2")).isTrue();
        OutputLaw before = session.job().law();
        hands.push(KeyCode.ENTER);
        assertThat(session.job().law()).as("nothing that is not understood is taken").isEqualTo(before);
        hands.push(KeyCode.CONTROL, KeyCode.A).write("0.4 V = 0.62; 4.6 V = 1.38");
        assertThat(shows("0.40 V is λ 0.620, 4.60 V is λ 1.380; a straight line between.")).isTrue();
        hands.push(KeyCode.ENTER);
        OutputLaw law = Objects.requireNonNull(session.job().law());
        assertThat(law.scale()).isEqualTo(MixtureScale.lambda());
        assertThat(law.lambdaAt(2.5)).isCloseTo(1, within(1e-12));
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().law()).isEqualTo(before);
    }

    @Test
    void whatTheReaderHoldsIsNotedAndJudgedAndTheBestTakenAgain() {
        hands.interact(() -> session.focus("scale.held"));
        hands.write("2.05").push(KeyCode.ENTER);
        assertThat(shows("found 1 number, expected slope and offset")).isTrue();
        hands.push(KeyCode.CONTROL, KeyCode.A).write("2,05 9,1").push(KeyCode.ENTER);
        assertThat(Objects.requireNonNull(session.job().reader()).setting()).isEqualTo(new SlopeOffset(2.05, 9.1));
        assertThat(session.job().points()).as("they were read with another setting").isEmpty();
        assertThat(shows("What it was noted to hold; it is judged as it stands.")).isTrue();
        assertThat(session.review().scale().orElseThrow().withinTolerance()).isFalse();
        hands.clickOn(byId("scale.copy.1"));
        assertThat(session.notice()).isEqualTo("Copied 9.100 (offset).");
        hands.clickOn(byId("scale.held.best"));
        assertThat(Objects.requireNonNull(session.job().reader()).setting()).isNull();
    }

    @Test
    void aPointIsReadOffTheGaugeWithTheEngineRunning() {
        given();
        hands.interact(() -> session.focus("scale.running"));
        hands.push(KeyCode.SPACE);
        hands.interact(() -> session.focus("scale.true"));
        hands.write("12,5").push(KeyCode.ENTER).write("12.65").push(KeyCode.ENTER);
        CheckPoint taken = session.job().points().getLast();
        assertThat(taken.volts()).isNull();
        assertThat(taken.truth()).as("the gauge shows AFR, as the output").isCloseTo(12.5, within(1e-9));
        assertThat(taken.engine()).isEqualTo(Engine.RUNNING);
        assertThat(taken.origin().kind()).isEqualTo(Origin.Kind.TYPED);
    }

    /** What the display knows can be said either way; what the intake has said of the engine is not asked again. */
    @Test
    void whatTheDisplayKnowsIsSaid() {
        hands.interact(() -> session.seek(DisplayField.LOAD.address()));
        hands.write("y").push(KeyCode.ENTER);
        assertThat(session.job().display().knowsLoad()).isTrue();
        hands.interact(() -> session.seek(DisplayField.LOAD.address()));
        hands.write("n").push(KeyCode.ENTER);
        assertThat(session.job().display().knowsLoad()).isFalse();
        assertThat(byId(DisplayField.STROKES.path()).getParent().isVisible()).isFalse();
        hands.interact(() -> session.edit("not asked", j -> j.withIntake(
                j.intake().withEngine(e -> e.withCycle(null)))));
        assertThat(byId(DisplayField.STROKES.path()).getParent().isVisible()).isTrue();
    }

    @Test
    void whatTheEngineAddsIsSeenWithoutAModel() {
        given(point(0.5, 9.63, Engine.OFF), point(1.5, 11.88, Engine.OFF), point(4.25, 18.01, Engine.OFF),
                point(1.2, 11.37, Engine.RUNNING), point(3.9, 17.39, Engine.RUNNING));
        hands.interact(() -> session.focus("scale.leaf.link"));
        assertThat(shows("Ground shift while it runs, +7")).isTrue();
        assertThat(shows("more arrive than with it off: the grounds move.")).isTrue();
    }

    @Test
    void whatThePointsDoNotPartIsNamedTogetherAndNothingIsOffered() {
        given(point(2.4, 13.6, Engine.OFF), point(2.5, 13.79, Engine.OFF), point(2.6, 14.0, Engine.OFF));
        hands.interact(() -> session.focus("scale.leaf.link"));
        assertThat(shows("The points cannot yet tell these apart: ")).isTrue();
        assertThat(shows("Most telling next: ")).isTrue();
        assertThat(byId("scale.corrected").isVisible()).isFalse();
    }

    @Test
    void aMistypedRowIsAskedAbout() {
        given(point(0.5, 9.63, Engine.OFF), point(1.5, 21.2, Engine.OFF), point(2.5, 14.1, Engine.OFF),
                point(3.5, 16.33, Engine.OFF), point(4.5, 18.57, Engine.OFF));
        assertThat(shows("Row 2 does not go with the others, which say 11.87 AFR: was it mistyped?")).isTrue();
        assertThat(List.of(session.job().points().size())).as("it stays until somebody takes it away")
                .containsExactly(5);
    }

    /** Each reader has its own setting, points and state, whichever is looked at; F2 leads to the one that is open. */
    @Test
    void anotherReaderOnTheSameControllerIsProvenByItself() {
        String first = Objects.requireNonNull(session.job().reader()).name();
        int points = session.job().points().size();
        hands.interact(() -> session.focus("scale.leaf.law"));
        hands.clickOn(byId("scale.output.more"));
        assertThat(session.job().reader()).isNull();
        assertThat(session.job().law()).as("of the same controller").isNotNull();
        hands.interact(() -> session.focus("scale.reader"));
        hands.write("S").push(KeyCode.ENTER);
        assertThat(session.job().outputs().all()).hasSize(2);
        given(point(0.5, 20, Engine.OFF));
        assertThat(session.review().own(Station.SCALE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        hands.clickOn(byId("scale.output"));
        assertThat(Objects.requireNonNull(session.job().reader()).name()).isEqualTo(first);
        assertThat(session.job().points()).hasSize(points);
        given();
        assertThat(session.review().own(Station.SCALE)).isEqualTo(LinkState.BEGUN);
        assertThat(session.review().state(Station.SCALE)).as("the other lies").isEqualTo(LinkState.OUT_OF_TOLERANCE);
        hands.clickOn(byId("scale.output"));
        assertThat(session.job().points()).hasSize(1);
        hands.interact(() -> session.focus("scale.leaf.law"));
        hands.clickOn(byId("scale.output.less"));
        assertThat(session.job().outputs().all()).hasSize(1);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().outputs().all()).as("taken back").hasSize(2);
    }

    /** What the display is told is typed in its own quantity, judged at once, and noted in one key. */
    @Test
    void theDisplayIsToldAndWhatItWasToldIsJudged() {
        hands.interact(() -> session.focus("scale.leaf.display"));
        assertThat(shows("15.7 AFR")).as("without the load only the limit at which to stop").isTrue();
        hands.interact(() -> session.focus("scale.display.told.lean"));
        hands.push(KeyCode.CONTROL, KeyCode.A).write("15.2").push(KeyCode.ENTER);
        assertThat(Objects.requireNonNull(session.job().display().told().get(DisplaySetting.LEAN)))
                .isCloseTo(15.2 / 14.7, within(1e-9));
        hands.clickOn(byId("scale.display.all"));
        assertThat(session.job().display().told()).containsEntry(DisplaySetting.PULSES, 1.0)
                .containsEntry(DisplaySetting.RICH_DELAY, 5.0);
        assertThat(session.job().displaySetUp(session.preferences().shop().schools()).first()).isEmpty();
        assertThat(shows("It was told everything as it should be.")).isTrue();
    }

    /** What was proven in one job is taken into the next in one pick, with its setting, and proves nothing there yet. */
    @Test
    void aPairOfLawAndReaderIsKeptAndTakenIntoTheNextJob() throws Exception {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        hands.interact(() -> session.focus("scale.leaf.law"));
        OutputLaw law = session.job().law();
        hands.clickOn(byId("scale.pair.keep"));
        hands.waitUntil(() -> !((ComboBox<?>) byId("scale.pair")).getItems().isEmpty());
        find("job SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        hands.interact(() -> session.focus("scale.pair"));
        hands.push(KeyCode.DOWN);
        assertThat(session.job().law()).isEqualTo(law);
        assertThat(Objects.requireNonNull(session.job().reader()).setting()).isNotNull();
        assertThat(shows("Proven in SB-014")).isTrue();
        assertThat(session.review().own(Station.SCALE)).isNotEqualTo(LinkState.PROVEN);
    }
}
