package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.scaling.FaultParameters.Name;
import amberheron.core.scaling.Hypothesis.Parameter;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Faults, what is believed of their sizes, and how they are said. */
class FaultTest {
    /** Two links are one fault whichever is named first, in files; for a person the one to mend first stands first. */
    @Test
    void twoLinksAreSaidTogether() {
        Fault one = new Fault(Cause.GROUND_SHIFT, Cause.GAIN);
        Fault other = new Fault(Cause.GAIN, Cause.GROUND_SHIFT);
        assertThat(one.key()).isEqualTo(other.key()).isEqualTo("gain+ground-shift");
        assertThat(one.causes()).containsExactly(Cause.GROUND_SHIFT, Cause.GAIN);
        assertThat(one.title()).startsWith(Cause.GROUND_SHIFT.title() + ", and ").isNotEqualTo(other.title());
        assertThat(one.meaning()).isEqualTo(Cause.GROUND_SHIFT.meaning() + " " + Cause.GAIN.meaning());
        assertThat(one.remedy()).isEqualTo(Cause.GROUND_SHIFT.remedy() + " " + Cause.GAIN.remedy());
        Fault alone = Fault.of(Cause.GAIN);
        assertThat(List.of(alone.key(), alone.title(), alone.meaning(), alone.remedy())).isEqualTo(
                List.of(Cause.GAIN.key(), Cause.GAIN.title(), Cause.GAIN.meaning(), Cause.GAIN.remedy()));
    }

    /** A belief is a density: over all that it may be it adds up to one, and most of it lies where the common ones do. */
    @Property(tries = 50)
    void aBeliefAddsUpToOne(@ForAll @DoubleRange(min = -0.4, max = 0.4) double centre,
            @ForAll @DoubleRange(min = 0.01, max = 0.06) double near,
            @ForAll @DoubleRange(min = 0.1, max = 0.9) double gross) {
        Parameter belief = new Parameter(Name.VOLTS, -1, 1, centre, 0, near, gross);
        double sum = 0;
        double about = 0;
        int steps = 20_000;
        for (int i = 0; i < steps; i++) {
            double at = -1 + (i + 0.5) * 2 / steps;
            sum += belief.density(at) * 2 / steps;
            about += Math.abs(at - centre) < 3 * near ? belief.density(at) * 2 / steps : 0;
        }
        assertThat(sum).isCloseTo(1, within(1e-3));
        assertThat(about).isCloseTo((1 - gross) * 0.9973 + gross * 3 * near, within(1e-2));
    }

    @Test
    void whatNobodyWouldMendIsNotBelieved() {
        Parameter belief = new Parameter(Name.VOLTS, -1, 1, 0.1, 0.02, 0.05, 0.5);
        assertThat(belief.density(0.11)).isZero();
        assertThat(belief.density(0.1 + 0.0201)).isPositive();
        assertThat(belief.density(0.1 - 0.0201)).isEqualTo(belief.density(0.1 + 0.0201), within(1e-9));
        Parameter even = Parameter.even(Name.VOLTS, 1, 3);
        assertThat(List.of(even.density(1.1), even.density(2.9), even.range())).containsExactly(0.5, 0.5, 2.0);
    }

    @ParameterizedTest
    @CsvSource({"VOLTS, 0.075, ' +75 mV'", "VOLTS, -0.075, ' −75 mV'", "FACTOR, 0.95, ' × 0.950'",
            "STOICH, 9.81, ' 9.81'",
            "MAX_VOLTS, 4.25, ' above 4.25 V'", "FRACTION, 0.125, ' 12.5 %'", "TOWARDS_VOLTS, 5, ' towards 5.0 V'",
            "SLOPE, 0.125, ' 0.125 λ per V'", "OFFSET, 0.5, ' from 0.500 λ'",
            "BEND_VOLTS, 2.5, ' with a bend at 2.5 V'",
            "WIDTH, 0.1, ''"})
    void aFigureIsSaidWithItsUnit(Name name, double value, String words) {
        assertThat(FaultParameters.of(name, value).words().replace('-', '−')).isEqualTo(words);
        assertThat(FaultParameters.of(name, value).value(name)).hasValue(value);
        assertThat(FaultParameters.NONE.value(name)).isEmpty();
    }

    @Test
    void whatGoesIntoABoxIsTheNumberAloneOrTheWholeEquation() {
        assertThat(new SettingText.Line("at 1.000 V", "12.50 AFR").bare()).isEqualTo("12.50");
        assertThat(new SettingText.Line("offset", "7.35").bare()).isEqualTo("7.35");
        assertThat(new SettingText.Line("equation", "2 * v + 10").bare()).isEqualTo("2 * v + 10");
    }

    @Test
    void bytesAreBytes() {
        assertThat(SaeJ1979.ratio(0, 0)).isZero();
        assertThat(SaeJ1979.ratio(255, 255)).isCloseTo(2, within(1e-4));
        for (int[] none : new int[][]{{-1, 0}, {0, -1}, {256, 0}, {0, 256}}) {
            assertThatThrownBy(() -> SaeJ1979.volts(none[0], none[1])).hasMessageContaining("expected 0 to 255");
        }
    }

    /** What a diagnosis says while the setting makes nothing of the volts, while it is unsure, and once it is sure. */
    @Test
    void aDiagnosisSaysWhatItsPointsTell() {
        Diagnosis sure = diagnosis(0.97, true, false);
        assertThat(sure.named()).isEqualTo(Cause.GAIN.title() + " (97 %)");
        assertThat(sure.meaning()).isEqualTo(Cause.GAIN.meaning());
        assertThat(sure.remedy()).isEqualTo(Cause.GAIN.remedy());
        assertThat(sure.notByTyping()).startsWith("It cannot be reached by typing");
        assertThat(sure.told()).hasSize(1);
        assertThat(diagnosis(0.9, true, false).notByTyping()).startsWith("It cannot be reached by typing");
        assertThat(diagnosis(0.8, true, false).notByTyping()).startsWith("No setting is offered");
        assertThat(diagnosis(0.97, true, true).notByTyping()).startsWith("No setting is offered");
        Diagnosis still = diagnosis(0.97, false, false);
        assertThat(still.title()).isEqualTo(still.named()).startsWith("The setting shows the same");
        assertThat(still.meaning()).startsWith("The setting in force shows the same");
        assertThat(still.remedy()).isEqualTo(still.notByTyping()).isEqualTo(Diagnosis.TYPE_FIRST);
        assertThat(still.told()).isEmpty();
    }

    private static Diagnosis diagnosis(double probability, boolean follows, boolean misfit) {
        return new Diagnosis(
                List.of(new Diagnosis.Likelihood(Fault.of(Cause.GAIN), probability, FaultParameters.NONE, 1,
                        (v, l) -> l)),
                false, new ScaleReport.Worst(0.05, 1), null, null, true, follows, null, misfit, List.of(), false,
                List.of(), null);
    }
}
