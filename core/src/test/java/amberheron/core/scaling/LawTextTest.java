package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Message;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Unusable;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LawTextTest {
    private static OutputLaw law(String text) {
        return LawText.parse(text, 0, 5, Optional.empty());
    }

    private static String said(OutputLaw law) {
        return Message.joined(" ", LawText.says(law)).metric();
    }

    /** One law in the words of different sheets. */
    @ParameterizedTest
    @ValueSource(strings = {"AFR = 2.2v + 9", "2,2*V+9", "2.2 × v + 9", "9 + v(2.2)", "0 V = 9, 5 V = 20",
            "0 9; 5 20", "0V: 9 AFR\n5V: 20 AFR", "0,0 → 9,0; 5,0 → 20,0", "sqrt(4.84)v + 9",
            "1 V is 11.2 and 3 V is 15.6"})
    void oneLawInManyWords(String text) {
        OutputLaw law = law(text);
        assertThat(law.scale()).isEqualTo(MixtureScale.afr(14.7));
        assertThat(law.kind()).isEqualTo(OutputLaw.Kind.LINEAR);
        for (double v = 0; v <= 5; v += 0.5) {
            assertThat(14.7 * law.lambdaAt(v)).isCloseTo(2.2 * v + 9, within(1e-9));
        }
    }

    @Test
    void whatWasUnderstoodIsReadBack() {
        OutputLaw law = LawText.parse("0.4 V = 0.62, 4.6 V = 1.38", 0.2, 4.8, Optional.empty());
        assertThat(law.scale()).isEqualTo(MixtureScale.lambda());
        assertThat(LawText.says(law)).extracting(Message::metric).containsExactly(
                "0.40 V is λ 0.620, 4.60 V is λ 1.380; a straight line between.",
                "It tells 0.584 λ to 1.416 λ between its rails at 0.20 V and 4.80 V.");
        assertThat(LawText.says(law("2v + 10"))).first().extracting(Message::metric)
                .isEqualTo("0.00 V is 10.00 AFR (λ 0.680), 5.00 V is 20.00 AFR (λ 1.361); a straight line between.");
    }

    @Test
    void aSheetThatContradictsItselfIsAskedAbout() {
        assertThat(LawText.says(LawText.parse("0 V = 0.6, 5 V = 1.4", 0.5, 4.5, Optional.empty()))).last()
                .extracting(Message::metric).asString().contains("beyond the rails");
        assertThat(LawText.says(law("0.5 = 1.4; 4.5 = 0.6"))).extracting(Message::metric)
                .anyMatch(s -> s.startsWith("It falls"));
        assertThat(LawText.says(LawText.parse("2v + 10", 0, 5, Optional.of(MixtureScale.afr(9.8)))))
                .extracting(Message::metric).anyMatch(s -> s.contains("never passes λ 1"));
    }

    /** A bent equation is a table fine enough; three pairs are one as they stand. */
    @Test
    void whatIsBentIsATable() {
        OutputLaw bent = law("10 + v^2/3 + v");
        assertThat(bent.kind()).isEqualTo(OutputLaw.Kind.TABLE);
        assertThat(14.7 * bent.lambdaAt(3.3)).isCloseTo(10 + 3.3 * 3.3 / 3 + 3.3, within(0.002));
        assertThat(law("0 0.6; 2 1.0; 5 1.5").points()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"2*(v+10|character 8: found the end, expected “)” for the “(” at character 3",
            "2*v+10)|expected the “(” that this “)” closes", "v2+10|expected an operator: v*2 or v^2",
            "1/2v|after a division", "2x+10|found “x”", "1/(v-2)|gives no number at 2.000 V",
            "0.4 V = 0.62|two or more",
            "5|values", "sqrt(v-1)+10|gives no number"})
    void whatCannotBeMeantIsPointedAt(String text, String says) {
        assertThatThrownBy(() -> law(text)).isInstanceOf(Unusable.class).hasMessageContaining(says);
    }

    /** What the sheet says of volts that mean no mixture moves the rail there, and such volts prove nothing. */
    @Test
    void voltsThatMeanNotReadyAreKeptApart() {
        OutputLaw law = LawText.parse("0.4 V = 0.62; 4.6 V = 1.38; below 0.2 V not ready; above 4,8 V: fault", 0, 5,
                Optional.empty());
        assertThat(law.minVolts()).isEqualTo(0.2);
        assertThat(law.maxVolts()).isEqualTo(4.8);
        assertThat(law.meansInstead(0.1)).contains("not ready");
        assertThat(law.meansInstead(4.9)).contains("fault");
        assertThat(law.meansInstead(0.2)).isEmpty();
        assertThat(said(law)).contains("Below 0.20 V it means “not ready” and no mixture.");
        assertThat(LawText.parse("2v+10 ; under 0.3 warming up", 0, 5, Optional.empty()).meansInstead(0.1))
                .contains("warming up");
        assertThat(new CheckPoint(0.05, null, 14.7, "").meansInstead(law)).contains("not ready");
        assertThat(LawText.parse("2v+10", 0, 5, Optional.empty()).meansInstead(-1)).as("the sheet says nothing")
                .isEmpty();
    }

    /** Heywood's combustion the other way round: 5 % of oxygen is about λ 1.3 and none of it is λ 1 or richer. */
    @Test
    void aLawByOxygenTellsLambdaFromOneUpwards() {
        OutputLaw law = LawText.parseOxygen("0 V = 0; 5 V = 25", 0, 5);
        for (double percent : new double[]{0.5, 2, 5, 9, 13}) {
            assertThat(law.lambdaAt(percent / 5)).isCloseTo(ExhaustGas.lambdaOf(percent / 100, 1.85), within(0.01));
        }
        assertThat(law.richest()).isCloseTo(1, within(1e-9));
        assertThat(law.leanest()).isBetween(2.5, 3.0);
        assertThatThrownBy(() -> LawText.parseOxygen("0 V = 30; 5 V = 60", 0, 5)).hasMessageContaining("of oxygen");
    }

    @Test
    void aNarrowbandIsToldForWhatItIs() {
        assertThat(said(LawText.parse("0.1 V = 1.03; 0.9 V = 0.97", 0, 1, Optional.empty())))
                .contains("never for tuning").doesNotContain("Is that what the sheet says?");
    }
}
