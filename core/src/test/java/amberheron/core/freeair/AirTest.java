package amberheron.core.freeair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.InAir;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Unusable;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AirTest {
    private static List<Finding> judge(@Nullable Double oxygen, @Nullable Double lambda, @Nullable Double settled) {
        return AirRules.judge(Controllers.check(lambda == null ? Controllers.FACTORY : Controllers.UNSAID, oxygen,
                lambda, settled, LocalDate.of(2026, 5, 1), ""), null, Tolerance.LAMBDA);
    }

    private static Verdict verdict(List<Finding> findings, String id) {
        return findings.stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow().verdict();
    }

    /** US Standard Atmosphere 1976, ICAO Doc 7488, Alduchov and Eskridge 1996. */
    @ParameterizedTest
    @CsvSource({"20, 0.5, 0, 20.71", "30, 0.8, 0, 20.25", "35, 0.9, 0, 19.90", "25, 0.6, 1500, 20.48"})
    void oxygenOfTheDay(double celsius, double humidity, double height, double percent) {
        assertThat(100 * Air.atHeight(celsius + 273.15, humidity, height).oxygen()).isCloseTo(percent, within(0.006));
    }

    /** ICAO Doc 7488. */
    @Test
    void pressureAtFifteenHundredMetres() {
        assertThat(Air.pressureAt(1500) / 100).isCloseTo(845.6, within(0.05));
    }

    /** Table 35 of IAPWS R7-97(2012), industrial formulation of the properties of water: 300 K, 3.53658941 kPa. */
    @Test
    void saturationIsThatOfTheSteamTables() {
        assertThat(new Air(300, 1, Air.SEA_LEVEL).saturation()).isCloseTo(3536.58941, withinPercentage(0.3));
    }

    /** U.S. Standard Atmosphere 1976, table I. */
    @ParameterizedTest
    @CsvSource({"0, 101325", "1000, 89876", "2000, 79501", "3000, 70121"})
    void pressureIsThatOfTheStandardAtmosphere(double height, double pascal) {
        assertThat(Air.pressureAt(height)).isCloseTo(pascal, withinPercentage(0.03));
    }

    @Test
    void humidAirCostsOnTheLeanSideAndNothingAtStoichiometric() {
        CostOfAir damp = CostOfAir.of(Air.atHeight(308.15, 0.9, 0), CalibrationSchool.CLEAR_THEN_LEARN, Air.SEA_LEVEL);
        assertThat(damp.gain()).isCloseTo(1.0525, within(5e-5));
        assertThat(damp.shown(1)).isEqualTo(1);
        assertThat(damp.at(1.2)).as("by the whole model, not a straight line").isCloseTo(0.0126, within(5e-5));
        assertThat(damp.at(0.8)).isCloseTo(-0.2 * 0.0525, within(5e-5));
        FreeAirCheck today = FreeAirCheck.NONE.withToday(AirOfDay.of(308.15, 0.9, 1500).withDrivenHeight(1500.0));
        assertThat(CostOfAir.onAnotherDay(today).orElseThrow().gain()).as("20 °C, 50 % at the same height")
                .isCloseTo(0.2095 / Air.atHeight(293.15, 0.5, 1500).oxygen(), within(2e-4));
    }

    /** Learned at 1500 m, driven at the sea, dry: P(p) = p/(k + p) with k = 0.45 bar, from memory. */
    @Test
    void learnedHighAndDrivenLowItsGainIsOffByThePressure() {
        Air high = Air.atHeight(288.15, 0, 1500);
        assertThat(high.gain(Air.SEA_LEVEL)).isCloseTo(1.061, within(5e-4));
        assertThat(high.gain(high.pressure())).as("driven where it was learned").isEqualTo(1);
        assertThat(CostOfAir.of(high, CalibrationSchool.FACTORY_TRIMMED, Air.SEA_LEVEL).gain())
                .as("nothing was learned here").isCloseTo(1, within(1e-12));
    }

    /** A factory's trim knows nothing of the height: the sensor follows the pressure, P(p) = p/(k + p), from memory. */
    @Test
    void trimmedAtTheSeaItShowsLessOnAMountain() {
        Air high = Air.atHeight(288.15, 0, 1500);
        assertThat(high.shownByFactoryTrim()).isCloseTo(0.209476 / 1.061, within(1e-4));
        assertThat(Air.atHeight(288.15, 0.4, 0).shownByFactoryTrim())
                .isCloseTo(Air.atHeight(288.15, 0.4, 0).oxygen(), within(1e-12));
    }

    @Test
    void airThatIsTooDampIsDriedUntilItCostsLittleEnough() {
        Air damp = Air.atHeight(308.15, 0.9, 0);
        double dry = CostOfAir.dryEnough(damp, CalibrationSchool.CLEAR_THEN_LEARN, Air.SEA_LEVEL, Tolerance.LAMBDA)
                .orElseThrow();
        assertThat(dry).isBetween(0.3, 0.7);
        assertThat(Math
                .abs(CostOfAir.of(damp.withHumidity(dry), CalibrationSchool.CLEAR_THEN_LEARN, Air.SEA_LEVEL).worst()))
                .isCloseTo(Tolerance.LAMBDA, within(1e-6));
        assertThat(
                CostOfAir.dryEnough(Air.atHeight(288.15, 0.2, 1500), CalibrationSchool.CLEAR_THEN_LEARN, Air.SEA_LEVEL,
                        Tolerance.LAMBDA))
                .as("it is the height, not the water").isEmpty();
    }

    @Test
    void theControllersOxygenMustBeTheAirs() {
        assertThat(verdict(judge(0.2071, null, 90.0), "shown")).isEqualTo(Verdict.PASS);
        assertThat(verdict(judge(0.2005, null, 90.0), "shown")).isEqualTo(Verdict.FAIL);
        assertThat(verdict(judge(null, null, 90.0), "shown")).isEqualTo(Verdict.UNKNOWN);
    }

    /** 1013 hPa at 2,500 m is that of the weather report, where 747 hPa are usual. */
    @Test
    void aPressureThatDoesNotGoWithTheHeightIsAsked() {
        AirOfDay report = AirOfDay.of(293.15, 0.5, 2500).withPressure(101_300.0);
        // Adjusted at the factory and in order: it shows the air of the mountain.
        double shown = Air.atHeight(293.15, 0.5, 2500).shownByFactoryTrim();
        FreeAirCheck check = Controllers.check(Controllers.FACTORY, shown, null, 90.0, LocalDate.of(2026, 5, 1), "")
                .withToday(report);
        List<Finding> asked = AirRules.judge(check, null, Tolerance.LAMBDA);
        assertThat(verdict(asked, "pressure")).isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(asked, "shown")).as("nothing is proven until it is told").isEqualTo(Verdict.UNKNOWN);
        assertThat(report.here()).isEmpty();
        AirOfDay reduced = report.withReading(PressureReading.SEA_LEVEL);
        assertThat(reduced.here().orElseThrow()).isCloseTo(Air.pressureAt(2500), withinPercentage(0.1));
        assertThat(verdict(AirRules.judge(check.withToday(reduced), null, Tolerance.LAMBDA), "shown"))
                .isEqualTo(Verdict.PASS);
        AirOfDay station = report.withReading(PressureReading.STATION);
        List<Finding> wrong = AirRules.judge(check.withToday(station), null, Tolerance.LAMBDA);
        assertThat(verdict(wrong, "shown")).as("a tenth too low, were it so").isEqualTo(Verdict.FAIL);
        assertThat(wrong).noneMatch(f -> f.check().is(AirCheck.PRESSURE));
        // One that learns there: as of the report it would cost nothing, in truth its gain is off by an eighth at the sea.
        AirOfDay atSea = reduced.withDrivenHeight(0.0);
        FreeAirCheck learner = Controllers.check(Controllers.LEARNS, 0.207, null, 90.0, LocalDate.of(2026, 5, 1), "");
        assertThat(CostOfAir.of(learner.withToday(report.withDrivenHeight(0.0)))).isEmpty();
        assertThat(CostOfAir.of(learner.withToday(atSea)).orElseThrow().gain()).isCloseTo(1.12, within(0.02));
    }

    /** Weather moves it by less than 3 %, and a pressure alone goes with any height. */
    @Test
    void aPressureOfTheDayIsNotAsked() {
        for (double weather : new double[]{0.972, 1, 1.028}) {
            assertThat(AirOfDay.of(293.15, 0.5, 700).withPressure(weather * Air.pressureAt(700)).here()).isPresent();
        }
        assertThat(AirOfDay.of(293.15, 0.5, 700).withPressure(1.04 * Air.pressureAt(700)).contradicts()).isTrue();
        assertThat(AirOfDay.UNMEASURED.withPressure(80_000.0).here()).contains(80_000.0);
        assertThat(AirOfDay.UNMEASURED.withPressure(101_300.0).withReading(PressureReading.SEA_LEVEL).here())
                .as("of which height?").isEmpty();
    }

    /** Its law goes to λ 1.5, its display to λ 1.36: that is asked before the sensor is called spent. */
    @Test
    void aDisplayThatEndsBeforeItsLawIsAskedFirst() {
        FreeAirCheck check = Controllers.check(Controllers.UNSAID, null, 1.36, 90.0, LocalDate.of(2026, 5, 1), "");
        assertThat(verdict(AirRules.judge(check, 1.5, Tolerance.LAMBDA), "top")).isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(AirRules.judge(check.withDisplayEnd(1.36), 1.5, Tolerance.LAMBDA), "top"))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(AirRules.judge(check.withDisplayEnd(1.5), 1.5, Tolerance.LAMBDA), "top"))
                .isEqualTo(Verdict.FAIL);
        assertThat(verdict(AirRules.judge(check.withDisplayEnd(1.9), 1.37, Tolerance.LAMBDA), "top"))
                .as("the law's own end counts where it comes first").isEqualTo(Verdict.PASS);
        assertThat(verdict(AirRules.judge(Controllers.check(Controllers.UNSAID, null, 1.02, 90.0,
                LocalDate.of(2026, 5, 1), ""), 1.5, Tolerance.LAMBDA), "top")).as("no display ends there")
                .isEqualTo(Verdict.FAIL);
    }

    /** 19 to 20 on the petrol scale, or the top of the range: common practice, no published source. */
    @Test
    void theDisplaySitsAtTheTopOfItsRange() {
        assertThat(verdict(judge(null, 19.5 / 14.7, 90.0), "top")).isEqualTo(Verdict.PASS);
        assertThat(verdict(judge(null, 18.0 / 14.7, 90.0), "top")).as("its display may end there")
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(judge(null, 16.0 / 14.7, 90.0), "top")).isEqualTo(Verdict.FAIL);
    }

    @Test
    void aReadingTakenWhileItWarmsIsAPlaceholder() {
        assertThat(verdict(judge(0.2071, null, 4.0), "settled")).as("typed, and watched by nobody")
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(judge(0.2071, null, null), "settled")).isEqualTo(Verdict.UNKNOWN);
    }

    /** Taught that air is nothing, or all oxygen, no controller could be judged. */
    @ParameterizedTest
    @ValueSource(doubles = {0, -0.0, 1e-300, 0.09, 0.31, 1, Double.NaN})
    void whatIsNoAirIsRefused(double learned) {
        assertThatThrownBy(() -> new InAir(InAir.Kind.LEARNED, learned)).isInstanceOf(Unusable.class)
                .hasMessageContaining("expected the oxygen of air");
    }
}
