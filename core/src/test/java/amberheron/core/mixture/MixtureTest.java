package amberheron.core.mixture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MixtureTest {
    /** Heywood, Internal Combustion Engine Fundamentals, table D.4. */
    @ParameterizedTest(name = "{0}")
    @CsvSource({"petrol CH1.87, 1, 1.87, 0, 14.60", "light diesel CH1.8, 1, 1.8, 0, 14.50",
            "methane, 1, 4, 0, 17.24", "propane, 3, 8, 0, 15.68", "methanol, 1, 4, 1, 6.47", "ethanol, 2, 6, 1, 9.00"})
    void stoichiometricRatiosAgreeWithHeywood(String fuel, double c, double h, double o, double ratio) {
        assertThat(Stoichiometry.ratio(c, h, o)).as(fuel).isCloseTo(ratio, within(0.006));
    }

    /** Densities 0.789 and 0.745 kg/L from memory, pump petrol 14.7 common practice. */
    @ParameterizedTest
    @CsvSource({"0.05, 14.40", "0.10, 14.10", "0.25, 13.21", "0.51, 11.71", "0.70, 10.64", "0.85, 9.81"})
    void ethanolBlendsMixByMass(double share, double ratio) {
        assertThat(Stoichiometry.blend(share, 9.0, 0.789, 14.7, 0.745)).isCloseTo(ratio, within(0.006));
    }

    /** Complete combustion of CH1.87, Heywood ch. 4. */
    @ParameterizedTest
    @CsvSource({"1.05, 0.94", "1.1, 1.80", "1.2, 3.31", "1.5, 6.69", "2, 10.14", "1e9, 20.95"})
    void leanExhaustOxygen(double lambda, double percent) {
        assertThat(100 * ExhaustGas.oxygen(lambda, 1.87)).isCloseTo(percent, within(0.005));
        assertThat(ExhaustGas.lambdaOf(ExhaustGas.oxygen(lambda, 1.87), 1.87)).as("and back")
                .isCloseTo(lambda, Percentage.withPercentage(lambda > 1e6 ? 10 : 1e-6));
    }

    @Test
    void richExhaustHasNoFreeOxygenToSpeakOf() {
        assertThatThrownBy(() -> ExhaustGas.oxygen(0.9, 1.87)).hasMessageContaining("0.9");
    }

    /** Sensor constant 0.45 bar from memory: 2 bar absolute gives 1.18. */
    @Test
    void pressureRaisesThePumpCurrent() {
        assertThat(ExhaustGas.pumpCurrentRatio(2, 1, 0.45)).isCloseTo(1.18, within(0.005));
    }

    /** λ + f·(1 + λ·AFRst)/AFRst: one per cent of air at λ 1 on 14.7 adds 0.0107. */
    @Test
    void aLeakUpstreamReadsLean() {
        assertThat(ExhaustGas.withFalseAir(1, 0.01, 14.7)).isCloseTo(1.01068, within(1e-5));
    }

    @Test
    void afrSaysItsRatio() {
        assertThat(MixtureScale.afr(9.81).toLambda(9.81)).isEqualTo(1);
        assertThat(MixtureScale.afr(14.7).fromLambda(0.88)).isCloseTo(12.936, within(1e-9));
        assertThatThrownBy(() -> MixtureScale.afr(0)).hasMessageContaining("expected 1 to 40");
    }
}
