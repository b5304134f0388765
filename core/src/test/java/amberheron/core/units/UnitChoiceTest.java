package amberheron.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UnitChoiceTest {
    private static final UnitChoice OTHER = new UnitChoice(true, true, true, true);

    @ParameterizedTest
    @CsvSource({"MILLIMETRE, 460, 0, 460 mm, 18.11 in", "CELSIUS, 20, 0, 20 °C, 68 °F",
            "LAMBDA, 0.88, 3, 0.880 λ, 8.63 AFR", "NEWTON_METRE, 45, 0, 45 N·m, 33 lb·ft", "DEGREE, -12, 0, −12°, −12°",
            "VOLT, 0.0747, 3, 0.075 V, 0.075 V", "LITRE, 0.66, 2, 0.66 L, 0.66 L"})
    void theSameMeasureInBothChoices(Unit unit, double value, int decimals, String metric, String other) {
        Measure measure = Measure.of(value, unit, decimals);
        assertThat(UnitChoice.METRIC.text(measure, 9.81)).isEqualTo(metric);
        assertThat(OTHER.text(measure, 9.81)).isEqualTo(other);
    }

    @Test
    void aDifferenceCarriesItsSignAndZeroHasNone() {
        assertThat(UnitChoice.METRIC.signed(Measure.of(0.0102, Unit.LAMBDA, 3), 14.7)).isEqualTo("+0.010 λ");
        assertThat(UnitChoice.METRIC.signed(Measure.of(-0.0102, Unit.LAMBDA, 3), 14.7)).isEqualTo("−0.010 λ");
        assertThat(UnitChoice.digits(-0.0001, 2)).isEqualTo("0.00");
    }
}
