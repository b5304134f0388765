package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Message;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
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
            "1 V is 11.2 and 3 V is 15.6", "0v=9 5v=20", "0 9 5 20", "0\t9\n5\t20", "0\t9\t5\t20",
            "9 afr @ 0 V, 20 afr @ 5 V",
            "9:1 at 0 volts; 20:1 at 5 volts", "0 mV = 9 AFR; 5000 mV = 20 AFR", "AFR = 2.2 x V + 9",
            "AFR=2.2*volts+9;",
            "0 V – 9, 5 V – 20", "0\u00A0V = 9; 5\u2009V = 20;", "0V=9, 5V=20 (gasoline)", "Volts\tAFR\n0\t9\n5\t20",
            "AFR;Volts\n9;0\n20;5", "0|9|5|20", "0,9,5,20", "9 0; 20 5", "0V -> 9\n5V -> 20", "(0, 9), (5, 20)",
            "a/f(v) = 2.2v + 9", "gasoline: 0 V = 9; 5 V = 20", "0,0 9,0 5,0 20,0", "2.2v+9 (petrol)", "0=9;5=20;",
            "AFR 9 at 0V, AFR 20 at 5V", "0V: 9.0:1, 5V: 20.0:1"})
    void oneLawInManyWords(String text) {
        OutputLaw law = law(text);
        assertThat(law.scale()).isEqualTo(MixtureScale.afr(14.7));
        assertThat(law.kind()).isEqualTo(OutputLaw.Kind.LINEAR);
        for (double v = 0; v <= 5; v += 0.5) {
            assertThat(14.7 * law.lambdaAt(v)).isCloseTo(2.2 * v + 9, within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.4 V = .62, 4.6 V = 1.38", "λ 0.62 @ 0.4V; λ 1.38 @ 4.6V", "0.4V=0.62λ 4.6V=1.38λ",
            "400 mV: 0.62\n4600 mV: 1.38", "lambda = 0.1809523809523809*V + 0.5476190476190477",
            "λ=0.1809523809523809V+.5476190476190477", "Volts Lambda\n0.4 0.62\n4.6 1.38", "0,4 0,62; 4,6 1,38",
            "mV;lambda\n400;0,62\n4600;1,38"})
    void aLawInLambda(String text) {
        OutputLaw law = law(text);
        assertThat(law.scale()).isEqualTo(MixtureScale.lambda());
        assertThat(law.lambdaAt(0.4)).isCloseTo(0.62, within(1e-9));
        assertThat(law.lambdaAt(4.6)).isCloseTo(1.38, within(1e-9));
    }

    /** What could be meant in two ways is asked, and what is wrong is quoted where it stands. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"λ = 2v + 10|says λ, but its numbers rise to 20.00",
            "AFR = 0.2v + 0.6|says AFR, but its numbers rise to 1.60",
            "0 V = 0.6 λ; 5 V = 20 AFR|some rows say λ and others AFR",
            "0.62 0.4; 1.38 4.6|either column could be the volts", "0 V = 9; 5 V = 20; 3|odd count",
            "0 V = 5 V|two of one kind", "0 V = 9 bananas; 5 V = 20|“bananas”", "10 20; 30 40|both columns"})
    void whatHasTwoMeaningsIsAsked(String text, String says) {
        assertThatThrownBy(() -> law(text)).isInstanceOf(Unusable.class).hasMessageContaining(says);
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
            "5|volts and a mixture", "sqrt(v-1)+10|gives no number"})
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

    /**
     * Rows as people may write them, put together without regard to how they are read: each is read as it is meant, or asked
     * about. Being sure and wrong is the worst: it is nought of all.
     */
    @Test
    void whatIsNotAskedAboutIsReadAsItIsMeant() {
        Random random = new Random(7);
        int asked = 0;
        int all = 4000;
        List<String> wrong = new ArrayList<>();
        for (int n = 0; n < all; n++) {
            boolean afr = random.nextBoolean();
            boolean comma = random.nextBoolean();
            boolean behind = random.nextInt(4) == 0;
            int rows = 2 + random.nextInt(4);
            String volt = any(random, "", "V", " V", " volts", "v", " mV");
            String mixture = afr ? any(random, "", " AFR", "afr", ":1") : any(random, "", " λ", "λ", " lambda");
            String sign = any(random, "=", " = ", ": ", " ", "\t", " -> ", " → ", " @ ", " at ", " is ");
            String between = any(random, "; ", ";", "\n", ", ", "  ", ";\n");
            List<Double> volts = new ArrayList<>();
            List<Double> values = new ArrayList<>();
            List<String> text = new ArrayList<>();
            for (int r = 0; r < rows; r++) {
                double v = Math.round((0.2 + 4.6 * r / (rows - 1)) * 100) / 100.0;
                double value = Math.round((afr ? 9.5 + 9 * r / (rows - 1.0) : 0.65 + 0.7 * r / (rows - 1.0)) * 100)
                        / 100.0;
                volts.add(v);
                values.add(value);
                boolean milli = volt.strip().equals("mV");
                String a = written(milli ? Math.rint(1000 * v) : v, comma) + volt;
                String b = written(value, comma) + mixture;
                text.add(behind ? b + sign + a : a + sign + b);
            }
            String law = String.join(between, text) + any(random, "", ";", " (gasoline)", "\n");
            try {
                OutputLaw read = law(law);
                boolean right = read.points().size() == rows && IntStream.range(0, rows).allMatch(r -> Math
                        .abs(read.points().get(r).volts() - volts.get(r)) < 1e-9
                        && Math.abs(read.points().get(r).value() - values.get(r)) < 1e-9)
                        && read.scale().equals(afr ? MixtureScale.afr(14.7) : MixtureScale.lambda());
                if (!right) {
                    wrong.add(law);
                }
            } catch (Unusable e) {
                asked++;
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(asked).as("asked of %d", all).isLessThan(all / 12);
    }

    private static String any(Random random, String... of) {
        return of[random.nextInt(of.length)];
    }

    private static String written(double value, boolean comma) {
        String text = String.valueOf(value).replaceFirst("\\.0$", "");
        return comma ? text.replace('.', ',') : text;
    }
}
