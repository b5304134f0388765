package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Regime.Kind;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.FuelKind;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The pieces of which the judgement of a drive is made, each by itself and at its bounds. */
class LogPiecesTest {
    /** Too rich is never worse than a warning; too lean under load is. The bounds themselves are right. */
    @ParameterizedTest
    @CsvSource({"FULL_LOAD, 0.85, 0.8, 0.9, PASS", "FULL_LOAD, 0.8, 0.8, 0.9, PASS", "FULL_LOAD, 0.9, 0.8, 0.9, PASS",
            "FULL_LOAD, 0.91, 0.8, 0.9, FAIL", "FULL_LOAD, 0.79, 0.8, 0.9, WARN", "ACCELERATION, 1.1, 0.8, 1, FAIL",
            "ACCELERATION, 0.7, 0.8, 1, WARN", "IDLE, 1.1, 0.95, 1.05, WARN", "CRUISE, 0.9, 0.95, 1.05, WARN",
            "COLD_START, 0.8, , , UNKNOWN", "IDLE, 1, 0.95, , UNKNOWN", "IDLE, 1, , 1.05, UNKNOWN"})
    void aWayOfRunningIsJudgedByItsBounds(Kind kind, double lambda, @Nullable Double low, @Nullable Double high,
            Verdict verdict) {
        Regime regime = new Regime(kind, 12.5, 20, lambda, low, high);
        assertThat(regime.verdict()).isEqualTo(verdict);
        assertThat(regime.seconds()).isEqualTo(7.5);
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void everyWayHasWordsAndARule(Kind kind) {
        assertThat(kind.words()).isNotBlank();
        assertThat(kind.rule()).isNotBlank().isNotEqualTo(kind.words());
        assertThat(kind.says()).isEqualTo(kind != Kind.COLD_START && kind != Kind.LIFT_OFF);
    }

    /** The library's regression of the points, each as often as it weighs; halves add up to the whole. */
    @Test
    void sumsOfALineAreThoseOfTheRegression() {
        Random random = new Random(4);
        LineSums one = new LineSums();
        LineSums other = new LineSums();
        SimpleRegression all = new SimpleRegression();
        for (int i = 0; i < 60; i++) {
            double x = 0.7 + 0.6 * random.nextDouble();
            double y = 0.03 + 1.05 * x + 0.01 * random.nextGaussian();
            int weight = 1 + random.nextInt(3);
            (i % 2 == 0 ? one : other).add(x, y, weight);
            for (int k = 0; k < weight; k++) {
                all.addData(x, y);
            }
        }
        one.add(other);
        assertThat(one.line(1e-9, 1)).containsExactly(new double[]{all.getIntercept(), all.getSlope()}, within(1e-9));
        LineSums level = new LineSums();
        level.add(2, 5, 3);
        level.add(2, 7, 3);
        assertThat(level.line(1e-9, 1.5)).as("no spread tells no slope").containsExactly(3, 1.5);
        assertThat(new LineSums().line(1e-9, 1)).as("nothing at all").containsExactly(0, 1);
    }

    /** 0.6 s before, 1 s after, the ends included; asked in any order. */
    @Test
    void aSilenceHasItsWayInAndOut() {
        Silence silence = new Silence(List.of(new Regime(Kind.COLD_START, 0, 10, 0.8, null, null),
                new Regime(Kind.CRUISE, 10, 20, 1, 0.9, 1.1), new Regime(Kind.LIFT_OFF, 20, 25, 1.4, null, null),
                new Regime(Kind.FULL_LOAD, 25, 30, 0.85, 0.8, 0.9)));
        assertThat(silence.spans()).containsExactly(new Silence.Span(-0.6, 11), new Silence.Span(19.4, 26));
        double[] in = {0, 11, 19.4, 22, 26, 5, 20};
        double[] out = {11.01, 15, 19.39, 26.01, 40, 12};
        for (double t : in) {
            assertThat(silence.at(t)).as("%s s", t).isTrue();
        }
        for (double t : out) {
            assertThat(silence.at(t)).as("%s s", t).isFalse();
        }
        assertThat(new Silence(List.of()).at(3)).isFalse();
    }

    @Test
    void theEndsOfAReaderReachAHairInwards() {
        EngineAsked asked = new EngineAsked(Set.of(EngineTrait.CARBURETTOR), 0.62, 1.36, 0.5, 1.5, 0, null);
        assertThat(asked.atAnEnd(0.504)).isTrue();
        assertThat(asked.atAnEnd(0.505)).isFalse();
        assertThat(asked.atAnEnd(1.496)).isTrue();
        assertThat(asked.atAnEnd(1.495)).isFalse();
        assertThat(asked.carburettor()).isTrue();
        assertThat(asked.bands()).isEqualTo(FuelKind.PETROL.bands(false));
        assertThat(EngineTrait.bands(Set.of(EngineTrait.BOOSTED))).isEqualTo(FuelKind.PETROL.bands(true));
        assertThat(EngineTrait.bands(Set.of(EngineTrait.BOOSTED, EngineTrait.GAS)))
                .isEqualTo(FuelKind.GAS.bands(true));
        assertThat(EngineTrait.bands(Set.of(EngineTrait.METHANOL))).isEqualTo(FuelKind.METHANOL.bands(false));
        assertThat(EngineTrait.bands(Set.of(EngineTrait.DIESEL)).leanHarms()).isFalse();
        assertThat(new EngineAsked(Set.of(), 0.62, 1.36, 0.5, 1.5, 0, null).carburettor()).isFalse();
    }

    @Test
    void aSampleIsOfNumbersThatCanBeShown() {
        assertThat(new Sample(1, 0.95, 0.97).difference()).isCloseTo(0.02, within(1e-12));
        assertThatThrownBy(() -> new Sample(1, Double.NaN, 1)).isInstanceOf(Unusable.class);
        assertThatThrownBy(() -> new Sample(1, 1, Double.POSITIVE_INFINITY)).isInstanceOf(Unusable.class);
    }

    private static ColumnFacts column(int filled, double... values) {
        return new ColumnFacts(3, "AFR", "", false, values, filled);
    }

    @Test
    void aColumnTellsOfItself() {
        ColumnFacts some = column(10, 1, 2, 3, 4, 5, 6, 7, 8, 9);
        assertThat(some.numeric()).as("nine of ten").isTrue();
        assertThat(column(11, 1, 2, 3, 4, 5, 6, 7, 8, 9).numeric()).isFalse();
        assertThat(column(0).numeric()).isFalse();
        assertThat(some.quantile(0)).isEqualTo(1);
        assertThat(some.quantile(0.5)).isEqualTo(5);
        assertThat(some.quantile(1)).isEqualTo(9);
        assertThat(column(0).quantile(0.5)).isNaN();
        assertThat(some.within(1, 9)).isTrue();
        assertThat(some.within(1.5, 9)).isFalse();
        assertThat(some.within(1, 8.5)).isFalse();
        assertThat(some.whole()).isTrue();
        assertThat(column(2, 1, 2.5).whole()).isFalse();
        assertThat(some.at(7).index()).isEqualTo(7);
        assertThat(some.at(7).values()).isSameAs(some.values());
        assertThat(some.passedOver().values()).isEmpty();
        assertThat(some.passedOver().numeric()).isFalse();
    }

    @Test
    void aColumnRisesWhereFewOfItsNumbersFall() {
        assertThat(column(5, 0, 1, 2, 3, 4).rises(0)).isTrue();
        assertThat(column(8, 0, 1, 0, 1, 0, 1, 2, 3).rises(0)).as("two may fall").isTrue();
        assertThat(column(8, 0, 1, 0, 1, 0, 1, 0, 3).rises(0)).as("three are too many").isFalse();
        assertThat(column(8, 0, 1, 0, 1, 0, 1, 0, 3).rises(0.4)).isTrue();
        assertThat(column(4, 5, 5, 5, 6).rises(0)).as("once is no clock").isFalse();
        assertThat(column(5, 0, 0.5, 0.5, 1.5, 3.5).step()).as("middle of 0.5, 1 and 2").isEqualTo(1);
        assertThat(column(2, 3, 3).step()).isNaN();
    }

    /** Cruise at 14.7 beside fuel cut at the upper end and a few pulls: the ends say nothing of where it runs. */
    @Test
    void theModeIsWhereMostOfItLies() {
        double[] values = new double[100];
        for (int i = 0; i < 100; i++) {
            values[i] = i < 40 ? 20 : i < 55 ? 11.9 + 0.1 * i / 55 : 14.6 + 0.2 * (i - 55) / 45;
        }
        values[0] = 10;
        assertThat(column(100, values).mode()).isBetween(14.6, 14.8);
        assertThat(column(3, 20, 20, 20).mode()).as("nothing but an end").isEqualTo(20);
        assertThat(column(0).mode()).isNaN();
    }

    private static Traces traces(boolean thinned) {
        double[] time = {2, 3, 3, 4, 6, 7};
        float[] told = {1, 1.1f, Float.NaN, 1.2f, 0.9f, Float.NaN};
        float[] shown = {1.01f, Float.NaN, 1.1f, 1.19f, Float.NaN, 1};
        Drive drive = Drive.of(time, told, shown);
        return thinned ? Traces.thinned(drive) : Traces.of(drive);
    }

    @Test
    void tracesFindTheirRows() {
        Traces traces = traces(false);
        assertThat(traces.start()).isEqualTo(2);
        assertThat(traces.end()).isEqualTo(7);
        assertThat(traces.gap()).isEqualTo(Drive.GAP);
        assertThat(traces(true).gap()).isInfinite();
        assertThat(traces.row(1)).isZero();
        assertThat(traces.row(3)).as("the first of two at once").isEqualTo(1);
        assertThat(traces.row(3.5)).isEqualTo(3);
        assertThat(traces.row(9)).isEqualTo(6);
        assertThat(traces.columns(2, 7, 5)).containsExactly(0, 1, 3, 4, 4, 6);
        assertThat(traces.nearest(4)).isEqualTo(3);
        assertThat(traces.nearest(2.9)).as("both showed a mixture").isZero();
        assertThat(traces.nearest(6)).as("the nearest in which both did").isEqualTo(3);
        Traces empty = Traces.of(Drive.of(new double[0], new float[0], new float[0]));
        assertThat(empty.start()).isZero();
        assertThat(empty.end()).isZero();
        assertThat(empty.nearest(3)).isEqualTo(-1);
        Traces alone = Traces.of(Drive.of(new double[]{1, 2}, new float[]{Float.NaN, 1}, new float[]{1, Float.NaN}));
        assertThat(alone.nearest(1)).as("else the controller alone").isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"PRESSURE, 52500, 52.5, kPa, 2500", "THROTTLE, 0.25, 25, %, 0.025", "AIR, 0.0004, 400, mg, 1e-5"})
    void aLoadIsShownInItsUnit(LoadAxis axis, double si, double shown, String unit, double step) {
        assertThat(axis.shown(si)).isCloseTo(shown, within(1e-9));
        assertThat(axis.unit()).isEqualTo(unit);
        assertThat(axis.shown(axis.si())).isCloseTo(1, within(1e-12));
        assertThat(axis.step()).isEqualTo(step);
        assertThat(axis.words()).isNotBlank();
    }

    /** Rich to lean and back ten times, the mixture shown at each step what it is; in fuel cut and too slow ones do not count. */
    @Test
    void crossingsAreOfAWarmSensorThatStepsQuickly() {
        int n = 2000;
        double[] time = new double[n];
        float[] lambda = new float[n];
        float[] volts = new float[n];
        for (int i = 0; i < n; i++) {
            time[i] = i * 0.05;
            double swing = Math.sin(2 * Math.PI * time[i] / 4);
            lambda[i] = (float) (1.012 + 0.02 * swing);
            volts[i] = (float) (0.45 - 0.4 * Math.tanh(40 * swing));
        }
        Drive drive = new Drive(time, lambda, lambda.clone(), null, null, null, null, null, null, volts);
        Crossings found = Objects.requireNonNull(Crossings.of(drive, List.of()));
        assertThat(found.steps()).isBetween(46, 50);
        assertThat(found.lambda()).isCloseTo(1.012, within(0.003));
        assertThat(Crossings.of(drive, List.of(new Regime(Kind.LIFT_OFF, 5, 95, 1.4, null, null))))
                .as("too few are left").isNull();
        assertThat(Crossings.of(Drive.of(time, lambda, lambda), List.of())).as("no narrowband").isNull();
    }
}
