package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Origin;
import amberheron.core.scaling.CheckPoint.Engine;
import amberheron.core.scaling.Settled.Moment;
import java.util.List;
import java.util.Objects;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SettledTest {
    private static final OutputLaw LAW = Laws.HALF_TO_FOUR_AND_A_HALF;

    private static List<Moment> said(double seconds, DoubleUnaryOperator lambda) {
        return IntStream.rangeClosed(0, (int) (20 * seconds))
                .mapToObj(i -> new Moment(i / 20.0, lambda.applyAsDouble(i / 20.0), null)).toList();
    }

    @Test
    void aMixtureThatStandsIsReadByItsMean() {
        Settled settled = Settled.of(said(2, t -> 0.9 + 0.001 * Math.sin(40 * t)), LAW).orElseThrow();
        assertThat(settled.stands()).isTrue();
        assertThat(Objects.requireNonNull(settled.lambda())).isCloseTo(0.9, within(0.001));
        assertThat(settled.volts()).isNull();
    }

    @Test
    void aMixtureThatSwingsOrRunsAwayDoesNotStand() {
        assertThat(Settled.of(said(2, t -> 1 + 0.027 * Math.sin(6 * t)), LAW).orElseThrow().stands()).isFalse();
        assertThat(Settled.of(said(2, t -> 0.9 + 0.01 * t), LAW).orElseThrow().stands()).isFalse();
        assertThat(Settled.of(said(1, t -> 0.9), LAW)).as("not long enough").isEmpty();
        assertThat(Settled.of(List.of(), LAW)).isEmpty();
    }

    @Test
    void voltsAloneStandAsTheLawTurnsThemIntoMixture() {
        List<Moment> volts = IntStream.rangeClosed(0, 40)
                .mapToObj(i -> new Moment(i / 20.0, null, 2.5 + (i % 2 == 0 ? 0.001 : -0.001))).toList();
        Settled settled = Settled.of(volts, LAW).orElseThrow();
        assertThat(settled.stands()).isTrue();
        assertThat(Objects.requireNonNull(settled.volts())).isCloseTo(2.5, within(0.001));
    }

    /** Two pairs, 0.2 and 0.4 AFR apart: each within itself, so the pooled deviation is √((0.02 + 0.08)/2) AFR. */
    @Test
    void repeatsScatterAboutTheirOwnPlace() {
        List<CheckPoint> points = List.of(at(1, 9.7, Engine.OFF), at(1.01, 9.9, Engine.OFF), at(4, 16.8, Engine.OFF),
                at(4, 17.2, Engine.OFF), at(4, 12, Engine.RUNNING), at(2.5, 13, Engine.OFF));
        Repeats repeats = Repeats.of(points, LAW, Laws.logger()).orElseThrow();
        assertThat(repeats.readings()).isEqualTo(4);
        assertThat(repeats.places()).isEqualTo(2);
        double slope = 2.375 * 0.01;
        assertThat(14.7 * repeats.spread())
                .isCloseTo(Math.sqrt((Math.pow(0.2 - slope, 2) / 2 + 0.08) / 2), within(1e-6));
        assertThat(Repeats.of(points.subList(1, 3), LAW, Laws.logger())).isEmpty();
    }

    private static CheckPoint at(double volts, double shown, Engine engine) {
        return new CheckPoint(volts, null, shown, "", Origin.UNRECORDED, engine);
    }
}
