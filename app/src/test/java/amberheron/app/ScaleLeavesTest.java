package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Origin;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.CheckPoint.Engine;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
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
        assertThat(shows("found 1 numbers, expected slope and offset")).isTrue();
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

    @Test
    void whatTheEngineAddsIsSeenWithoutAModel() {
        given(point(0.5, 10, Engine.OFF), point(1.5, 12.01, Engine.OFF), point(4.25, 17.5, Engine.OFF),
                point(1.2, 11.55, Engine.RUNNING), point(3.9, 16.95, Engine.RUNNING));
        hands.interact(() -> session.focus("scale.leaf.link"));
        assertThat(shows("Ground shift while it runs, +7")).isTrue();
        assertThat(shows("more arrive than with it off: the grounds move.")).isTrue();
    }

    @Test
    void whatThePointsDoNotPartIsNamedTogetherAndNothingIsOffered() {
        given(point(2.4, 13.6, Engine.OFF), point(2.5, 13.79, Engine.OFF), point(2.6, 14.0, Engine.OFF));
        hands.interact(() -> session.focus("scale.leaf.link"));
        assertThat(shows("The points do not part: ")).isTrue();
        assertThat(shows("Most telling next: ")).isTrue();
        assertThat(byId("scale.corrected").isVisible()).isFalse();
    }

    @Test
    void aMistypedRowIsAskedAbout() {
        given(point(0.5, 10, Engine.OFF), point(1.5, 21.2, Engine.OFF), point(2.5, 14.0, Engine.OFF),
                point(3.5, 16.01, Engine.OFF), point(4.5, 18, Engine.OFF));
        assertThat(shows("Row 2 does not go with the others, which say 12.00 AFR: was it mistyped?")).isTrue();
        assertThat(List.of(session.job().points().size())).as("it stays until somebody takes it away")
                .containsExactly(5);
    }
}
