package amberheron.core.display;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.display.DisplaySetUp.Engine;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.FuelKind;
import amberheron.core.mixture.MixtureScale;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a display is told follows from the engine, and is judged by which side of it does harm. */
class DisplaySetUpTest {
    private static final Engine NATURAL = new Engine(FuelKind.PETROL.bands(false), 4, 0.1);
    private static final Display KNOWS = Display.UNTOLD.withKnowsLoad(true);

    private static DisplaySetUp.Line line(Engine engine, Display display, DisplaySetting what) {
        return DisplaySetUp.of(engine, display).lines().stream().filter(l -> l.what() == what).findFirst()
                .orElseThrow();
    }

    private static double ought(Engine engine, Display display, DisplaySetting what) {
        return Objects.requireNonNull(line(engine, display, what).ought());
    }

    private static Verdict told(DisplaySetting what, double value) {
        return line(NATURAL, KNOWS.withPickUp(PickUp.ONE_COIL).withTold(what, value), what).verdict();
    }

    /** Cylinders through one coil: 2 pulses per turn, the common setting, for a four-stroke of four. */
    @ParameterizedTest
    @CsvSource({"ONE_COIL, 4, false, , 2", "ONE_COIL, 3, false, , 1.5", "ONE_COIL, 2, true, , 2",
            "PAIR_COIL, 4, false, , 1", "OWN_COIL, 8, false, , 0.5", "OWN_COIL, 1, true, , 1",
            "WHEEL, 4, false, 58, 58"})
    void pulsesFollowFromWhereTheyAreTaken(PickUp at, int cylinders, boolean twoStroke, Integer teeth, double perTurn) {
        assertThat(at.perTurn(cylinders, twoStroke, teeth)).hasValue(perTurn);
    }

    @Test
    void whatIsNotKnownIsNotTold() {
        assertThat(
                line(new Engine(FuelKind.PETROL.bands(false), null, null), KNOWS.withPickUp(PickUp.ONE_COIL),
                        DisplaySetting.PULSES).ought())
                .isNull();
        assertThat(line(new Engine(FuelKind.PETROL.bands(false), 4, null), KNOWS, DisplaySetting.LEAN_DELAY).ought())
                .isNull();
        assertThat(DisplaySetUp.of(NATURAL, KNOWS.withPickUp(PickUp.NONE)).lines()).extracting(DisplaySetUp.Line::what)
                .doesNotContain(DisplaySetting.PULSES);
    }

    /** At cruise λ 1 is right and under load it is not: a display that does not know the load can only say stop. */
    @Test
    void theLeanAlarmOfADisplayThatDoesNotKnowTheLoadIsTheLimitAtWhichToStop() {
        assertThat(MixtureScale.afr(14.7).fromLambda(ought(NATURAL, Display.UNTOLD, DisplaySetting.LEAN)))
                .isCloseTo(15.7, within(1e-9));
        assertThat(ought(NATURAL, KNOWS, DisplaySetting.LEAN)).isBetween(0.85, 0.95);
        assertThat(ought(new Engine(FuelKind.PETROL.bands(true), 4, 0.1), KNOWS, DisplaySetting.LEAN))
                .as("on boost it wants to be richer")
                .isLessThan(ought(NATURAL, KNOWS, DisplaySetting.LEAN));
        assertThat(DisplaySetUp.text(DisplaySetting.LEAN, 1, MixtureScale.afr(9.76))).isEqualTo("9.8 AFR");
    }

    /** Reading and alarm together within a second; a slow filter eats the delay up. */
    @Test
    void theDelayMakesUpForTheLatenessOfTheReading() {
        assertThat(ought(NATURAL, KNOWS, DisplaySetting.LEAN_DELAY)).isEqualTo(0.5);
        assertThat(ought(new Engine(FuelKind.PETROL.bands(false), 4, 0.6), KNOWS, DisplaySetting.LEAN_DELAY))
                .isCloseTo(0.3, within(1e-9));
        assertThat(ought(NATURAL, KNOWS.withTold(DisplaySetting.FILTER, 2.0), DisplaySetting.LEAN_DELAY))
                .isEqualTo(0.2);
        assertThat(line(NATURAL, KNOWS.withTold(DisplaySetting.FILTER, 2.0), DisplaySetting.LEAN_DELAY).why().metric())
                .contains("too late to save it");
    }

    @Test
    void onlyTheSideThatDoesHarmIsHeldAgainstIt() {
        assertThat(told(DisplaySetting.LEAN, 0.85)).isEqualTo(Verdict.PASS);
        assertThat(told(DisplaySetting.LEAN, 0.95)).isEqualTo(Verdict.WARN);
        assertThat(told(DisplaySetting.FILTER, 0.1)).isEqualTo(Verdict.PASS);
        assertThat(told(DisplaySetting.FILTER, 0.5)).isEqualTo(Verdict.WARN);
        assertThat(told(DisplaySetting.LEAN_DELAY, 3)).isEqualTo(Verdict.WARN);
        assertThat(told(DisplaySetting.PULSES, 1)).isEqualTo(Verdict.WARN);
        assertThat(told(DisplaySetting.PULSES, 2)).isEqualTo(Verdict.PASS);
        assertThat(DisplaySetUp.of(NATURAL, KNOWS).first().orElseThrow().what()).isEqualTo(DisplaySetting.LEAN);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> Display.UNTOLD.withTeeth(0)).hasMessageContaining("teeth: found 0, expected 1 to 400");
        assertThatThrownBy(() -> new Display(null, null, false, null, null, Map.of(DisplaySetting.LEAN, Double.NaN)))
                .hasMessageContaining("told.lean");
    }

    /** Each as its own rule says it, and none by way of another. */
    @ParameterizedTest
    @CsvSource({"RICH, 0.70", "RICH_DELAY, 5", "FILTER, 0.3", "LEAN_DELAY, 0.5"})
    void whatIsTheSameForEveryEngine(DisplaySetting what, double value) {
        assertThat(ought(NATURAL, KNOWS, what)).isEqualTo(value);
        assertThat(ought(new Engine(FuelKind.PETROL.bands(true), 6, 0.1), KNOWS, what)).isEqualTo(value);
    }

    /** λ 0.08 on either side of what full load wants. */
    @ParameterizedTest
    @CsvSource({"false, 0.8163", "true, 0.78"})
    void theAlarmsStandAsFarOnEitherSideOfFullLoad(boolean boosted, double wanted) {
        assertThat(FuelKind.PETROL.bands(boosted).fullLoad()).isCloseTo(wanted, within(1e-4));
        assertThat(FuelKind.PETROL.bands(boosted).lean()).isCloseTo(wanted + 0.08, within(1e-4));
        assertThat(FuelKind.PETROL.bands(boosted).rich()).isCloseTo(wanted - 0.08, within(1e-4));
    }

    /** A diesel is limited by smoke: it gets a rich alarm, and none for lean. */
    @Test
    void aDieselHasNoLeanAlarm() {
        DisplaySetUp diesel = DisplaySetUp.of(new Engine(FuelKind.DIESEL.bands(true), 4, 0.1), KNOWS);
        assertThat(diesel.lines()).extracting(DisplaySetUp.Line::what)
                .doesNotContain(DisplaySetting.LEAN, DisplaySetting.LEAN_DELAY);
        assertThat(line(new Engine(FuelKind.DIESEL.bands(false), 4, 0.1), KNOWS, DisplaySetting.RICH).ought())
                .isEqualTo(1.2);
        assertThat(diesel.bands()).isSorted();
    }

    /** Where each number begins to be held against the display, a hair on either side of it. */
    @ParameterizedTest
    @CsvSource({"LEAN, 0.9012, PASS", "LEAN, 0.9014, WARN", "LEAN, 0.8164, PASS", "LEAN, 0.8162, WARN",
            "RICH, 0.68, PASS", "RICH, 0.679, WARN", "RICH, 0.75, PASS", "RICH, 0.751, WARN",
            "LEAN_DELAY, 0.6, PASS", "LEAN_DELAY, 0.61, WARN", "LEAN_DELAY, 0, PASS", "RICH_DELAY, 1, PASS",
            "RICH_DELAY, 0.99, WARN", "RICH_DELAY, 10, PASS", "RICH_DELAY, 10.1, WARN", "FILTER, 0.3, PASS",
            "FILTER, 0.301, WARN", "PULSES, 2.0199, PASS", "PULSES, 2.021, WARN", "PULSES, 1.9801, PASS",
            "PULSES, 1.979, WARN"})
    void eachNumberIsHeldToItsOwnLimits(DisplaySetting what, double value, Verdict verdict) {
        assertThat(told(what, value)).isEqualTo(verdict);
    }

    /** The first line that is not right is shown; none when all are. */
    @Test
    void theFirstThatIsWrongIsNamed() {
        Display right = KNOWS.withPickUp(PickUp.ONE_COIL);
        for (DisplaySetUp.Line line : DisplaySetUp.of(NATURAL, right).lines()) {
            right = right.withTold(line.what(), line.ought());
        }
        assertThat(DisplaySetUp.of(NATURAL, right).first()).isEmpty();
        assertThat(DisplaySetUp.of(NATURAL, right.withTold(DisplaySetting.RICH, 0.9)).first().orElseThrow().what())
                .isEqualTo(DisplaySetting.RICH);
    }

    /** What is said with each number follows from what is known of display, place and engine. */
    @Test
    void theReasonFollowsFromWhatIsKnown() {
        assertThat(line(NATURAL, KNOWS, DisplaySetting.LEAN).why().metric()).startsWith("Armed under load only");
        assertThat(line(NATURAL, Display.UNTOLD, DisplaySetting.LEAN).why().metric())
                .startsWith("Say whether it knows the load");
        assertThat(line(NATURAL, Display.UNTOLD.withKnowsLoad(false), DisplaySetting.LEAN).why().metric())
                .startsWith("Without the load");
        assertThat(line(new Engine(FuelKind.PETROL.bands(false), 4, null), KNOWS, DisplaySetting.LEAN_DELAY).why()
                .metric())
                .startsWith("Take a place first");
        // Late by 0.7 s and 0.1 s of the sensor: 0.2 s are left, just enough.
        assertThat(
                line(new Engine(FuelKind.PETROL.bands(false), 4, 0.7), KNOWS, DisplaySetting.LEAN_DELAY).why().metric())
                .isEqualTo("The reading is 0.8 s late by itself, so it sounds 1.0 s after the engine turns lean; "
                        + "a change of gear does not sound it.");
        assertThat(line(NATURAL, KNOWS.withPickUp(PickUp.ONE_COIL), DisplaySetting.PULSES).why().metric())
                .startsWith("Check it at idle");
        assertThat(line(new Engine(FuelKind.PETROL.bands(false), null, 0.1), KNOWS.withPickUp(PickUp.ONE_COIL),
                DisplaySetting.PULSES).why()
                .metric()).startsWith("Say where the pulses are taken");
        assertThat(line(new Engine(FuelKind.PETROL.bands(true), 4, 0.1), KNOWS, DisplaySetting.LEAN).source().kind())
                .isNotEqualTo(line(NATURAL, KNOWS, DisplaySetting.LEAN).source().kind());
    }

    @ParameterizedTest
    @CsvSource({"1, true", "400, true", "0, false", "401, false"})
    void teethOfAWheelAreFromOneToFourHundred(int teeth, boolean can) {
        if (can) {
            assertThat(Display.UNTOLD.withTeeth(teeth).teeth()).isEqualTo(teeth);
        } else {
            assertThatThrownBy(() -> Display.UNTOLD.withTeeth(teeth)).hasMessageContaining("expected 1 to 400");
        }
    }
}
