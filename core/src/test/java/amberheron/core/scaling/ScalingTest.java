package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScalingTest {
    private static ReaderSetting find(OutputLaw law, Reader reader) {
        return SettingFinder.find(law, reader).orElseThrow();
    }

    /** AFR = 2·V + 10; 0.5 V → 8.5 and 4.5 V → 18.0; 0 V → 7.35 and 5 V → 22.39: common practice, no published source. */
    @Test
    void theTradesLaws() {
        assertThat(find(Laws.TWO_V_PLUS_TEN, Laws.logger())).isEqualTo(new SlopeOffset(2, 10));
        SlopeOffset half = (SlopeOffset) find(Laws.HALF_TO_FOUR_AND_A_HALF, Laws.logger());
        assertThat(half.slope()).isEqualTo(2.375);
        assertThat(half.offset()).as("8.5 − 0.5 · 2.375 = 7.3125, rounded").isCloseTo(7.3125, within(5.1e-4));
        assertThat(Laws.WIDE.lambdaAt(5) * 14.7).isCloseTo(22.39, within(1e-12));
        assertThat(find(Laws.WIDE, Laws.logger()).at(2.5)).isCloseTo(14.87, within(1e-3));
    }

    /** SAE J1979 / ISO 15031-5: ratio 2/65536 and volts 8/65536 per bit, current (256C + D)/256 − 128 mA. */
    @Test
    void saeJ1979() {
        assertThat(SaeJ1979.ratio(0x80, 0)).isEqualTo(1.0);
        assertThat(SaeJ1979.ratio(0xFF, 0xFF)).isCloseTo(2, within(1e-4));
        assertThat(SaeJ1979.volts(0x80, 0)).isEqualTo(4.0);
        assertThat(SaeJ1979.milliamperes(0x80, 0)).isZero();
        assertThat(SaeJ1979.milliamperes(0x81, 0x80)).isEqualTo(1.5);
        assertThatThrownBy(() -> SaeJ1979.ratio(256, 0)).hasMessageContaining("256");
    }

    /** A line that would mean λ 0 or less within its rails says nothing about an exhaust. */
    @Test
    void aLawEndsBeforeLambdaNought() {
        assertThatThrownBy(() -> new OutputLaw("nought", "nought", OutputLaw.Kind.LINEAR, MixtureScale.lambda(),
                List.of(new Point(1, 0.25), new Point(3, 1.25)), 0, 5, Laws.WIDE.source()))
                .hasMessage("points: at 0.0 V the law means λ -0.25, expected more than 0 within its rails");
    }

    /** 10 bits on 5 V: 4.89 mV a step. */
    @Test
    void converterStep() {
        assertThat(new ReaderInput(0, 5, 10).step() * 1000).isCloseTo(4.89, within(0.005));
        assertThat(new ReaderInput(0, 5, 10).counts(1.567)).isEqualTo(321);
        assertThat(new ReaderInput(0, 5, 10).counts(7)).isEqualTo(1023);
        assertThat(List.of(2.5, Math.nextDown(2.5), 2.5 - 1e-12, 0.1 + 2.4))
                .as("half-way is half-way, however a law led there")
                .allSatisfy(v -> assertThat(new ReaderInput(0, 5, 12).counts(v)).isEqualTo(2048));
        assertThat(new ReaderInput(0, 5, 12).counts(2.4999)).isEqualTo(2047);
    }

    @Test
    void theOutputStaysWithinItsRails() {
        assertThat(Laws.TWO_V_PLUS_TEN.voltsAt(25 / 14.7)).isEqualTo(5);
        assertThat(Laws.TWO_V_PLUS_TEN.voltsAt(8 / 14.7)).isZero();
    }

    @Test
    void anotherQuantityIsConvertedAndSaid() {
        SlopeOffset lambda = (SlopeOffset) find(Laws.TWO_V_PLUS_TEN,
                Laws.reader(Form.SLOPE_OFFSET, MixtureScale.lambda(), 4, null));
        assertThat(lambda.slope()).as("with the offset that it needs").isCloseTo(2 / 14.7, within(1e-4));
        assertThat(lambda.at(2.35)).isCloseTo(1, within(2e-4));
    }

    @Test
    void aTableTakesTheRowsThatMatterMost() {
        OutputLaw bent = Laws.table(new Point(0, 0.6), new Point(1, 0.8), new Point(2, 1.0), new Point(3, 1.05),
                new Point(5, 1.6));
        Reader three = new Reader("r", "r", Form.TABLE, MixtureScale.lambda(), 3, new ReaderInput(0, 5, null), 3, null,
                bent.source());
        ReaderSetting.Table table = (ReaderSetting.Table) find(bent, three);
        assertThat(table.rows()).extracting(Point::volts).containsExactly(0.0, 3.0, 5.0);
        Reader free = Laws.reader(Form.TABLE, MixtureScale.lambda(), 3, null);
        assertThat(Scaling.report(bent, free).orElseThrow().worst().lambda()).as("enough rows: nothing missed")
                .isCloseTo(0, within(1e-9));
    }

    @Test
    void aSettingThatIsGivenIsJudgedAsItStands() {
        Reader wrong = Laws.logger().withSetting(new SlopeOffset(2, 10));
        ScaleReport report = Scaling.report(Laws.HALF_TO_FOUR_AND_A_HALF, wrong).orElseThrow();
        assertThat(report.withinTolerance()).isFalse();
        assertThat(report.worst().lambda()).as("at 0 V shown 10, true 7.3125").isCloseTo(2.6875 / 14.7, within(1e-3));
        assertThat(report.setting()).isEqualTo(wrong.setting());
    }

    @Test
    void theBudgetNamesEachCauseAndCoversTheWorst() {
        ScaleReport report = Scaling.report(Laws.TWO_V_PLUS_TEN, Laws.logger(), WireEffect.linear(1, 0.075))
                .orElseThrow();
        assertThat(report.budget()).extracting(ScaleReport.BudgetLine::cause)
                .anyMatch(c -> c.startsWith("setting")).anyMatch(c -> c.startsWith("input step"))
                .anyMatch(c -> c.startsWith("ground shift: 75 mV"));
        assertThat(report.worst().lambda()).isCloseTo(0.15 / 14.7, within(5e-4));
        assertThat(Math.abs(report.worst().lambda())).isLessThanOrEqualTo(report.worstCase() + 1e-9);
        assertThat(report.rootSumSquare()).isLessThanOrEqualTo(report.worstCase());
    }

    @Test
    void aLawBeyondTheInputHasNoSetting() {
        Reader low = new Reader("r", "r", Form.TWO_POINT, MixtureScale.afr(14.7), 2, new ReaderInput(-2, -1, null),
                null, null, Laws.WIDE.source());
        assertThat(Scaling.report(Laws.WIDE, low)).isEmpty();
    }

    @Test
    void aLawMustBeReadableBackwards() {
        assertThatThrownBy(() -> Laws.table(new Point(0, 1), new Point(1, 1.2), new Point(2, 1.1)))
                .hasMessageContaining("1.2 at 1.0 V and 1.1 at 2.0 V");
        assertThatThrownBy(() -> Laws.table(new Point(1, 1), new Point(1, 1.2))).hasMessageContaining("stands twice");
    }

    @Test
    void equationsAreReadWithTheirPrecedence() {
        assertThat(Expression.parse("2*v+10").at(2.35)).isCloseTo(14.7, within(1e-12));
        assertThat(Expression.parse("2*(v+10)").at(1)).isEqualTo(22);
        assertThat(Expression.parse("-v^2").at(3)).isEqualTo(-9);
        assertThat(Expression.parse("(V − 0.5)·9.5/4 + 8.5").at(4.5)).isCloseTo(18, within(1e-12));
        assertThat(Expression.parse("1e-3*v").at(5)).isCloseTo(0.005, within(1e-15));
    }

    @Test
    void aFaultInAnEquationIsFoundByItsPlace() {
        assertThatThrownBy(() -> Expression.parse("2*(v+10")).hasMessageContaining("character 8: found the end")
                .hasMessageContaining("“)”");
        assertThatThrownBy(() -> Expression.parse("2*x")).hasMessageContaining("character 3: found “x”");
        assertThatThrownBy(() -> Expression.parse("(".repeat(10_000))).hasMessageContaining("10000 characters");
    }

    /** Steep above λ 1: 35 mV cost 0.0085 there, and not the 0.0064 of the mean slope; a steep end that nobody drives at counts not. */
    @Test
    void millivoltsAreCostedWithTheSteepestSlopeThatIsUsed() {
        OutputLaw bent = new OutputLaw("b", "b", OutputLaw.Kind.TABLE, MixtureScale.lambda(),
                List.of(new OutputLaw.Point(0, 0.6), new OutputLaw.Point(2.5, 0.9), new OutputLaw.Point(4, 1.2643),
                        new OutputLaw.Point(4.2, 1.31), new OutputLaw.Point(4.3, 1.9)),
                0, 5, Laws.WIDE.source());
        assertThat(0.035 * bent.lambdaPerVolt()).isCloseTo(0.0085, within(1e-4));
        OutputLaw falls = new OutputLaw("f", "f", OutputLaw.Kind.LINEAR, MixtureScale.lambda(),
                List.of(new OutputLaw.Point(0, 1.5), new OutputLaw.Point(5, 0.5)), 0, 5, Laws.WIDE.source());
        assertThat(falls.lambdaPerVolt()).isCloseTo(-0.2, within(1e-12));
    }
}
