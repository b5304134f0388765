package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.Equation;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.scaling.ReaderSetting.Table;
import amberheron.core.scaling.ReaderSetting.TwoPoint;
import amberheron.core.scaling.SettingText.Line;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The same law told in every form by volts, as it is typed, and read back. */
class ReaderFormsTest {
    private static final OutputLaw LAW = Laws.HALF_TO_FOUR_AND_A_HALF;

    private static Reader reader(Form form, int decimals) {
        return Laws.reader(form, MixtureScale.afr(14.7), decimals, null);
    }

    private static ReaderSetting told(Form form, int decimals) {
        return SettingFinder.find(LAW, reader(form, decimals)).orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(value = Form.class, mode = EnumSource.Mode.EXCLUDE, names = "COUNTS")
    void everyFormShowsTheTruthToItsLastDigit(Form form) {
        ReaderSetting setting = told(form, 3);
        for (double v = 0; v <= 5; v += 0.25) {
            assertThat(setting.at(v)).as("%s at %s V", form, v).isCloseTo(2.375 * v + 7.3125, within(1.5e-3));
        }
    }

    @ParameterizedTest
    @EnumSource(value = Form.class, mode = EnumSource.Mode.EXCLUDE, names = "COUNTS")
    void nothingTypedHasMoreDigitsThanTheReaderTakes(Form form) {
        for (Line line : SettingText.of(told(form, 2), reader(form, 2))) {
            assertThat(line.ask() + " " + line.type()).doesNotMatch(".*\\d\\.\\d{3,}.*");
        }
    }

    @Test
    void whatIsTypedIsWrittenAsTheReaderAsksForIt() {
        assertThat(SettingText.of(new SlopeOffset(2.375, -7.3), reader(Form.SLOPE_OFFSET, 3)))
                .containsExactly(new Line("slope per V", "2.375"), new Line("offset", "−7.300"));
        assertThat(SettingText.of(new TwoPoint(0.5, 8.5, 4.5, 18), reader(Form.TWO_POINT, 2)))
                .containsExactly(new Line("at 0.50 V", "8.50 AFR"), new Line("at 4.50 V", "18.00 AFR"));
        assertThat(SettingText.of(new Equation(Expression.parse("2*v+10")), reader(Form.EXPRESSION, 2)))
                .containsExactly(new Line("equation", "2*v+10"));
        assertThat(SettingText.of(new Table(List.of(new Point(0, 10), new Point(5, 20))), reader(Form.TABLE, 1)))
                .containsExactly(new Line("at 0.0 V", "10.0 AFR"), new Line("at 5.0 V", "20.0 AFR"));
        assertThat(SettingText.quantity(MixtureScale.afr(9.81))).isEqualTo("AFR (λ 1 = 9.81)");
    }

    /** An equation typed without its brackets shows something else; ours needs none, so none can be left out. */
    @Test
    void theEquationNeedsNoBrackets() {
        Equation equation = (Equation) told(Form.EXPRESSION, 3);
        assertThat(equation.expression().text()).matches("2\\.375\\*v\\+7\\.31[23]");
        OutputLaw falling = Laws.afr("falling", new Point(0, 20), new Point(5, -5 + 15));
        Equation down = (Equation) SettingFinder.find(falling, reader(Form.EXPRESSION, 3)).orElseThrow();
        assertThat(down.expression().text()).isEqualTo("-2.000*v+20.000");
        assertThat(down.at(2)).isEqualTo(16);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4})
    void fewerDigitsCostMoreAndTheReportSaysHowMuch(int decimals) {
        ScaleReport report = Scaling.report(LAW, reader(Form.SLOPE_OFFSET, decimals)).orElseThrow();
        double half = 0.5 * Math.pow(10, -decimals);
        assertThat(Math.abs(report.worst().lambda())).isLessThanOrEqualTo((5 * half + half) / 14.7 + 1e-9);
        assertThat(report.budget().getFirst().cause())
                .contains(decimals + (decimals == 1 ? " decimal," : " decimals,"));
    }

    @Test
    void twoPointsThatAreOneAreRefused() {
        assertThatThrownBy(() -> new TwoPoint(1, 2, 1, 3)).hasMessageContaining("v1 and v2 are both 1.0");
        assertThatThrownBy(() -> new Table(List.of(new Point(0, 1)))).hasMessageContaining("found 1");
        assertThatThrownBy(() -> new Table(List.of(new Point(1, 1), new Point(0, 2))))
                .hasMessageContaining("row 2 has 0.0 V after 1.0 V");
    }

    @Test
    void aTableHoldsItsEndsAndALineGoesOn() {
        OutputLaw table = Laws.table(new Point(1, 0.7), new Point(4, 1.3));
        assertThat(table.lambdaAt(0.2)).isEqualTo(0.7);
        assertThat(table.lambdaAt(4.9)).isEqualTo(1.3);
        assertThat(LAW.lambdaAt(5) * 14.7).isCloseTo(19.1875, within(1e-9));
        assertThat(table.lowestVolts()).isEqualTo(1);
        assertThat(LAW.richest()).isCloseTo(7.3125 / 14.7, within(1e-12));
    }

    @Test
    void lawsAreEqualByWhatTheySay() {
        assertThat(Laws.afr("x", new Point(0, 10), new Point(5, 20)))
                .isEqualTo(Laws.afr("x", new Point(5, 20), new Point(0, 10)))
                .hasSameHashCodeAs(Laws.afr("x", new Point(0, 10), new Point(5, 20)))
                .isNotEqualTo(Laws.afr("x", new Point(0, 10), new Point(5, 21)));
    }

    @Test
    void aWireThatClipsNeverGoesAboveItsCeiling() {
        WireEffect wire = new WireEffect(1.1, 0.1, 3.3);
        assertThat(wire.atPin(1)).isCloseTo(1.2, within(1e-12));
        assertThat(wire.atPin(4)).isEqualTo(3.3);
        assertThat(WireEffect.NONE.atPin(4)).isEqualTo(4);
    }

    @Test
    void inputsThatMakeNoSenseAreRefused() {
        assertThatThrownBy(() -> new ReaderInput(5, 0, null)).hasMessageContaining("minVolts 5.0 is not below");
        assertThatThrownBy(() -> new ReaderInput(0, 5, 1)).hasMessageContaining("expected 2 to 24");
        assertThatThrownBy(() -> reader(Form.TABLE, 12)).hasMessageContaining("decimals: found 12");
        assertThatThrownBy(() -> new CheckPoint(null, null, 14, "")).hasMessageContaining("volts or true");
    }

    @Test
    void aPointReadAtTheGaugeOnlyStillHasItsVolts() {
        CheckPoint gauge = new CheckPoint(null, 14.7, 14.85, "");
        assertThat(gauge.trueLambda(LAW)).isEqualTo(1);
        assertThat(LAW.lambdaAt(gauge.outputVolts(LAW))).isCloseTo(1, within(1e-12));
        assertThat(gauge.error(LAW, reader(Form.TABLE, 2))).isCloseTo(0.15 / 14.7, within(1e-12));
    }

    /** Wherever the equation has no number the search finds one such place, and it claims none where all is well. */
    @Property(tries = 400)
    void aPoleIsFoundWhereverItIs(@ForAll @DoubleRange(min = -1, max = 6) double pole,
            @ForAll @IntRange(min = 1, max = 3) int power) {
        Expression one = Expression
                .parse("10 + 1/(v - " + BigDecimal.valueOf(pole).toPlainString().replace("-", "0-") + ")^" + power);
        Expression written = pole < 0
                ? Expression.parse("10 + 1/(v + " + BigDecimal.valueOf(-pole).toPlainString() + ")^" + power)
                : one;
        OptionalDouble at = written.breaks(0, 5);
        if (pole >= 0 && pole <= 5) {
            assertThat(at.orElseThrow()).isCloseTo(pole, within(1e-2));
        } else if (pole < -0.01 || pole > 5.01) {
            assertThat(at).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"2*v + 10", "v*v - v", "(v - 2)^2", "(v+1)^-1", "2^v", "v^0.5", "1/(v^2 + 1)",
            "7.35 + 3.01*v"})
    void aSoundEquationIsNotDoubted(String text) {
        assertThat(Expression.parse(text).breaks(0, 5)).isEmpty();
    }

    /** What is typed and read off again is the same setting, in every form. */
    @ParameterizedTest
    @EnumSource(value = Form.class, mode = EnumSource.Mode.EXCLUDE, names = "COUNTS")
    void whatAReaderHoldsIsReadOffItsBoxes(Form form) {
        Reader reader = reader(form, 3);
        ReaderSetting typed = SettingFinder.find(LAW, reader).orElseThrow();
        String boxes = switch (typed) {
            case Equation e -> e.expression().text();
            case SlopeOffset s -> s.slope() + "; " + s.offset();
            case TwoPoint t -> t.v1() + " " + t.q1() + "\n" + t.v2() + " " + t.q2();
            case Table t -> t.rows().stream().map(r -> r.volts() + " " + r.value()).collect(Collectors.joining("; "));
        };
        assertThat(SettingText.parse(boxes, reader)).isEqualTo(typed);
        assertThat(SettingText.parse(boxes.replace('.', ','), reader).at(2.2)).isEqualTo(typed.at(2.2));
    }

    @Test
    void whatCannotBeReadOffIsSaid() {
        assertThatThrownBy(() -> SettingText.parse("2", reader(Form.SLOPE_OFFSET, 2)))
                .hasMessageContaining("found 1 number, expected slope and offset");
        assertThatThrownBy(() -> SettingText.parse("2; nine", reader(Form.SLOPE_OFFSET, 2)))
                .hasMessageContaining("“nine”");
        assertThatThrownBy(() -> SettingText.parse("4 18; 1 8", reader(Form.TABLE, 2))).hasMessageContaining("rising");
        assertThatThrownBy(() -> SettingText.parse("1e99; 0", reader(Form.SLOPE_OFFSET, 2)))
                .hasMessageContaining("can be typed");
    }
}
