package amberheron.core.mixture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a gas analyser must have read before its figures mean a mixture, and when its probe draws air. */
class GasAnalysisTest {
    private static final GasAnalysis STOICHIOMETRIC = new GasAnalysis(0.15, 0.005, 0.0001, 0.005, null);
    private static final Composition PETROL = new Composition(1.87, 0);

    @Test
    void itIsBegunWithTheFirstFigure() {
        assertThat(GasAnalysis.NONE.begun()).isFalse();
        assertThat(GasAnalysis.NONE.withCarbonDioxide(0.1).begun()).isTrue();
        assertThat(GasAnalysis.NONE.withNitricOxide(0.001).begun()).isTrue();
    }

    /** Four of five are needed; without the fifth, nitric oxide, it is left out. */
    @Test
    void whileOneOfFourIsMissingThereIsNoMixture() {
        assertThat(STOICHIOMETRIC.lambda(PETROL)).isNotNull();
        assertThat(STOICHIOMETRIC.withCarbonDioxide(null).lambda(PETROL)).isNull();
        assertThat(STOICHIOMETRIC.withCarbonMonoxide(null).lambda(PETROL)).isNull();
        assertThat(STOICHIOMETRIC.withHydrocarbons(null).lambda(PETROL)).isNull();
        assertThat(STOICHIOMETRIC.withOxygen(null).lambda(PETROL)).isNull();
        assertThat(STOICHIOMETRIC.withCarbonDioxide(0.0).lambda(PETROL)).as("nothing was burnt").isNull();
    }

    /** More of what is left over of the air reads lean, more of what is left over of the fuel rich. */
    @Test
    void eachGasMovesTheMixtureItsOwnWay() {
        double before = STOICHIOMETRIC.lambda(PETROL);
        assertThat(STOICHIOMETRIC.withOxygen(0.02).lambda(PETROL)).isGreaterThan(before + 0.05);
        assertThat(STOICHIOMETRIC.withNitricOxide(0.002).lambda(PETROL)).isGreaterThan(before);
        assertThat(STOICHIOMETRIC.withCarbonMonoxide(0.03).lambda(PETROL)).isLessThan(before - 0.05);
        assertThat(STOICHIOMETRIC.withHydrocarbons(0.001).lambda(PETROL)).isLessThan(before - 0.02);
    }

    @ParameterizedTest
    @CsvSource({"0.029, 0, true", "0.03, 0, false", "0.02, 0.01, false", "0.02, 0.009, true", ", 0.001, false",
            "0.001, , false"})
    void aProbeThatDrawsAirFindsLittleCarbon(@Nullable Double dioxide, @Nullable Double monoxide, boolean diluted) {
        assertThat(GasAnalysis.NONE.withCarbonDioxide(dioxide).withCarbonMonoxide(monoxide).diluted())
                .isEqualTo(diluted);
    }

    @Test
    void aPartIsFromNothingToTheWhole() {
        assertThatThrownBy(() -> GasAnalysis.NONE.withCarbonDioxide(1.01)).hasMessageContaining("CO2");
        assertThatThrownBy(() -> GasAnalysis.NONE.withCarbonMonoxide(-0.01)).hasMessageContaining("CO");
        assertThatThrownBy(() -> GasAnalysis.NONE.withHydrocarbons(2.0)).hasMessageContaining("HC");
        assertThatThrownBy(() -> GasAnalysis.NONE.withOxygen(-1.0)).hasMessageContaining("O2");
        assertThatThrownBy(() -> GasAnalysis.NONE.withNitricOxide(1.5)).hasMessageContaining("NO");
    }

    /** Fuels are mixed by volume, and their ratios by mass: the denser one counts for more than its share. */
    @ParameterizedTest
    @CsvSource({"1, 9", "0, 14.7", "0.5, 11.736"})
    void ratiosMixByMass(double share, double ratio) {
        assertThat(Stoichiometry.blend(share, 9, 0.78, 14.7, 0.72)).isCloseTo(ratio, within(1e-3));
        assertThat(Stoichiometry.blend(0.5, 9, 0.78, 14.7, 0.72)).isLessThan((9 + 14.7) / 2);
    }

    @Test
    void aShareIsFromNothingToTheWhole() {
        assertThatThrownBy(() -> Stoichiometry.blend(1.01, 9, 1, 14, 1)).hasMessageContaining("expected 0 to 1");
        assertThatThrownBy(() -> Stoichiometry.blend(-0.01, 9, 1, 14, 1)).hasMessageContaining("expected 0 to 1");
        assertThatThrownBy(() -> Stoichiometry.blend(Double.NaN, 9, 1, 14, 1)).hasMessageContaining("expected 0 to 1");
    }
}
