package amberheron.core.mixture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Objects;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Against the gases of complete combustion of Heywood, ch. 4, and the water-gas balance on the rich side. */
class GasAnalysisProperties {
    private static final double NITROGEN = 3.773;

    @Property
    void leanGasGivesTheMixtureThatMadeIt(@ForAll @DoubleRange(min = 1, max = 1.6) double lambda,
            @ForAll @DoubleRange(min = 1, max = 4) double hydrogen,
            @ForAll @DoubleRange(min = 0, max = 1) double oxygen) {
        double need = 1 + hydrogen / 4 - oxygen / 2;
        double spare = (lambda - 1) * need;
        double dry = 1 + NITROGEN * lambda * need + spare;
        GasAnalysis gas = new GasAnalysis(1 / dry, 0.0, 0.0, spare / dry, null);
        assertThat(gas.lambda(new Composition(hydrogen, oxygen))).isCloseTo(lambda, within(1e-9));
    }

    @Property
    void richGasDoesToo(@ForAll @DoubleRange(min = 0.01, max = 0.6) double part,
            @ForAll @DoubleRange(min = 1, max = 4) double hydrogen,
            @ForAll @DoubleRange(min = 0, max = 1) double oxygen) {
        double co = part;
        double co2 = 1 - part;
        double water = hydrogen / 2 * 3.5 / (3.5 + co / co2);
        double free = hydrogen / 2 - water;
        double burntOxygen = co2 + co / 2 + water / 2 - oxygen / 2;
        double lambda = burntOxygen / (1 + hydrogen / 4 - oxygen / 2);
        double dry = 1 + free + NITROGEN * burntOxygen;
        GasAnalysis gas = new GasAnalysis(co2 / dry, co / dry, 0.0, 0.0, 0.0);
        assertThat(gas.lambda(new Composition(hydrogen, oxygen))).isCloseTo(lambda, within(1e-9));
    }

    private static double of(GasAnalysis gas) {
        return Objects.requireNonNull(gas.lambda(Composition.PETROL));
    }

    @Test
    void fuelThatDidNotBurnCountsAsFuel() {
        GasAnalysis burnt = new GasAnalysis(0.14, 0.005, 0.0, 0.005, null);
        // 100 ppm of hexane carry as much carbon as 0.06 % of CO2 does.
        double with = of(burnt.withHydrocarbons(1e-4));
        assertThat(with / of(burnt)).isCloseTo(0.145 / 0.1456, within(1e-9));
    }

    @Test
    void aProbeThatDrawsAirIsTold() {
        assertThat(new GasAnalysis(0.02, 0.001, 0.0, 0.18, null).diluted()).isTrue();
        assertThat(new GasAnalysis(0.14, 0.001, 0.0, 0.01, null).diluted()).isFalse();
        assertThat(new GasAnalysis(0.14, 0.001, null, 0.01, null).lambda(Composition.PETROL)).isNull();
    }

    @Test
    void aBlendIsMadeOfWhatItsFuelsAreMadeOf() {
        Composition ethanol = new Composition(3, 0.5);
        Composition half = ethanol.blended(0.5, 0.789, Composition.PETROL, 0.745);
        // By hand: 0.3945 g / 23.0345 g a mole of carbon against 0.3725 / 13.896.
        double part = 0.3945 / 23.0345 / (0.3945 / 23.0345 + 0.3725 / 13.89596);
        assertThat(half.oxygen()).isCloseTo(0.5 * part, within(1e-6));
        assertThat(half.hydrogen()).isCloseTo(1.87 + part * 1.13, within(1e-6));
    }
}
