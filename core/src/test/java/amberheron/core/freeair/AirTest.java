package amberheron.core.freeair;

import java.time.LocalDate;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AirTest {
    private static List<Finding> judge(@Nullable Double oxygen, @Nullable Double lambda, @Nullable Double settled) {
        return AirRules.judge(new FreeAirCheck(FreeAirCheck.School.FACTORY_TRIMMED, 293.15, 0.5, 0.0, oxygen, lambda,
                settled, LocalDate.of(2026, 5, 1), ""), 1.36, Tolerance.LAMBDA);
    }

    private static Verdict verdict(List<Finding> findings, String id) {
        return findings.stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow().verdict();
    }

    /** US Standard Atmosphere 1976, ICAO Doc 7488, Alduchov and Eskridge 1996. */
    @ParameterizedTest
    @CsvSource({"20, 0.5, 0, 20.71", "30, 0.8, 0, 20.25", "35, 0.9, 0, 19.90", "25, 0.6, 1500, 20.48"})
    void oxygenOfTheDay(double celsius, double humidity, double height, double percent) {
        assertThat(100 * new Air(celsius + 273.15, humidity, height).oxygen()).isCloseTo(percent, within(0.006));
    }

    /** ICAO Doc 7488. */
    @Test
    void pressureAtFifteenHundredMetres() {
        assertThat(new Air(288.15, 0, 1500).pressure() / 100).isCloseTo(845.6, within(0.05));
    }

    @Test
    void humidAirCostsOnTheLeanSideAndNothingAtStoichiometric() {
        Air damp = new Air(308.15, 0.9, 0);
        assertThat(damp.shownAfterCalibration(1)).isEqualTo(1);
        assertThat(damp.shownAfterCalibration(1.2)).as("35 °C, 90 %: a gain of 1.0525").isCloseTo(1.2126, within(2e-4));
        assertThat(damp.shownAfterCalibration(0.8)).isLessThan(0.8);
    }

    @Test
    void theControllersOxygenMustBeTheAirs() {
        assertThat(verdict(judge(0.2071, null, 90.0), "shown")).isEqualTo(Verdict.PASS);
        assertThat(verdict(judge(0.2005, null, 90.0), "shown")).isEqualTo(Verdict.FAIL);
        assertThat(verdict(judge(null, null, 90.0), "shown")).isEqualTo(Verdict.UNKNOWN);
    }

    /** 19 to 20 on the petrol scale, or the top of the range: common practice, no published source. */
    @Test
    void theDisplaySitsAtTheTopOfItsRange() {
        assertThat(verdict(judge(null, 19.5 / 14.7, 90.0), "top")).isEqualTo(Verdict.PASS);
        assertThat(verdict(judge(null, 18.0 / 14.7, 90.0), "top")).isEqualTo(Verdict.FAIL);
    }

    @Test
    void aReadingTakenWhileItWarmsIsAPlaceholder() {
        assertThat(verdict(judge(0.2071, null, 20.0), "settled")).isEqualTo(Verdict.WARN);
        assertThat(verdict(judge(0.2071, null, null), "settled")).isEqualTo(Verdict.UNKNOWN);
    }
}
