package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.placement.TransportDelay.Running;
import java.util.List;
import java.util.Objects;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacementTest {
    private static double tilt(double clock, double slope, double lean, double roll) {
        return Math.toDegrees(SensorTilt.of(PipeAxes.of(Math.toRadians(slope), 0), Math.toRadians(clock),
                Math.toRadians(lean), new Attitude(0, Math.toRadians(roll))));
    }

    /** Worked from the vectors of pipe, sensor and car. */
    @ParameterizedTest
    @CsvSource({"60, 20, 0, 0, 28.02", "90, 20, 15, 0, 5.08", "75, -12, 10, 0, 12.31", "80, 0, 0, 5, 15.0",
            "80, 0, 0, -5, 5.0", "0, 0, 0, 0, 90", "180, 0, 0, 0, -90"})
    void tiltIsARotationNotASumOfAngles(double clock, double slope, double lean, double roll, double degrees) {
        assertThat(tilt(clock, slope, lean, roll)).isCloseTo(degrees, within(0.005));
    }

    @Property
    void onALevelPipeTheTiltIsTheAngleLeftToHorizontal(@ForAll @DoubleRange(min = -180, max = 180) double clock) {
        assertThat(tilt(clock, 0, 0, 0)).isCloseTo(90 - Math.abs(clock), within(1e-5));
    }

    /** Worked examples: 2.0 L, 1 m of 50 mm bore. */
    @Test
    void transportDelay() {
        double pipe = TransportDelay.volume(1, 0.05);
        assertThat(TransportDelay.seconds(2e-3, pipe, new Running(800, 0.30, 2, 14.7)) - 120 / 800.0)
                .isCloseTo(0.230, within(0.001));
        assertThat(TransportDelay.seconds(2e-3, pipe, new Running(6000, 0.9, 1000 / 300.0, 12.5)) - 120 / 6000.0)
                .isCloseTo(0.006, within(0.0005));
        double flow = TransportDelay.massFlow(2e-3, new Running(6000, 0.9, 3, 12.5));
        assertThat(flow).as("1 L of air 100 times a second, nine tenths full").isCloseTo(1.18 * 0.1 * 0.9 * 1.08,
                within(1e-9));
    }

    /** At the dew point the saturation pressure is the water's share of the pressure: CH1.87 makes 12.5 % water. */
    @Test
    void dewPointIsWhereTheWaterSaturates() {
        double dew = GasAlongPipe.dewPoint(1.87, 0);
        double water = 0.935 / (1.935 + 3.773 * 1.4675);
        assertThat(new Air(dew, 0.5, Air.SEA_LEVEL).saturation()).isCloseTo(water * 101325, within(1.0));
        assertThat(dew - 273.15).isBetween(50.0, 54.0);
        assertThat(GasAlongPipe.dewPoint(4, 0)).as("methane makes more water").isGreaterThan(dew + 5);
        assertThat(GasAlongPipe.dewPoint(4, 1) - 273.15).as("methanol").isCloseTo(63, within(1.0));
        assertThat(GasAlongPipe.dewPoint(1.8, 0) - 273.15).as("diesel").isCloseTo(50, within(2.0));
        assertThat(GasAlongPipe.DEW_POINT.low()).isLessThan(dew);
        assertThat(GasAlongPipe.DEW_POINT.high()).isGreaterThan(GasAlongPipe.dewPoint(4, 0));
    }

    /** A quarter turn of radius r: the arc's end lies r back and r down, whatever its length says about r. */
    @Test
    void aBendIsAnArc() {
        double radius = 0.3;
        Run run = Run.of(List.of(Segment.straight(Line.ALL, Kind.MANIFOLD, 0.2, 0.05, -Math.PI / 2),
                new Segment(Line.ALL, Kind.PIPE, Math.PI / 2 * radius, 0.05, null, -Math.PI / 2, 0.0, 0),
                Segment.straight(Line.ALL, Kind.PIPE, 0.5, 0.05, 0.0)));
        Run.Point end = run.point(Math.PI / 2 * radius);
        assertThat(end.back()).isCloseTo(radius, within(1e-9));
        assertThat(end.up()).isCloseTo(-radius, within(1e-9));
        Run.Point half = run.point(Math.PI / 4 * radius);
        assertThat(Math.hypot(half.back() - radius, half.up())).as("on the circle").isCloseTo(radius, within(1e-9));
        assertThat(run.point(-0.2)).isEqualTo(new Run.Point(run.point(-0.2).back(), 0.2));
        assertThat(run.start()).isEqualTo(-0.2);
        assertThat(run.at(Math.PI / 4 * radius).orElseThrow().slopeAt(Math.PI / 4 * radius)).isCloseTo(-Math.PI / 4,
                within(1e-9));
    }

    @Test
    void aPieceOfUnknownLengthHidesWhatComesAfter() {
        Run run = Runs.TURBO.withSegments(List.of(Segment.straight(Line.ALL, Kind.TURBINE, null, null, 0.0),
                Segment.straight(Line.ALL, Kind.PIPE, null, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.CATALYST, 0.3, 0.1, 0.0))).run(Line.ALL);
        assertThat(run.end()).isInfinite();
        assertThat(run.catalyst()).isEmpty();
        assertThat(run.beyond()).extracting(Segment::kind).containsExactly(Kind.CATALYST);
        assertThat(run.volumeTo(1)).isCloseTo(TransportDelay.volume(1, 0.047), within(1e-9));
    }

    @Test
    void whatCannotBeIsRefused() {
        Segment pipe = Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.05, 0.0);
        assertThatThrownBy(() -> pipe.withWall(0.025)).hasMessageContaining("leaves no bore");
        assertThatThrownBy(() -> pipe.withLength(-1.0)).hasMessageContaining("found −1000 mm");
        assertThatThrownBy(() -> Runs.FLOOR.withTo(-1)).hasMessageContaining("before it begins");
        assertThatThrownBy(() -> Runs.FLOOR.withGap(-0.1)).hasMessageContaining("0 or more");
        assertThatThrownBy(() -> Runs.PROBE.withStandOut(0.0)).hasMessageContaining("more than 0");
        assertThatThrownBy(() -> Bung.USUAL.withDiameter(0.015)).hasMessageContaining("thread");
        assertThatThrownBy(() -> Bung.USUAL.withLip(0.035)).hasMessageContaining("30.0 mm");
        assertThatThrownBy(() -> new Cope(0.03, 0.025, 1.5)).hasMessageContaining("smaller than the pipe");
        assertThatThrownBy(() -> Attitude.ofLevel(1.4, 1.0)).hasMessageContaining("no car stands so");
    }

    private static Placing fitted(AsFitted made) {
        return Placing.NONE.withCandidates(List.of(Runs.at(0.8, 60))).withChosen("A").withProbe(Runs.PROBE)
                .withFitted(made);
    }

    private static Finding finding(Placing placing, String id) {
        return placing.findings(Runs.site(Runs.OPEN)).stream().filter(f -> f.check().key().equals(id)).findFirst()
                .orElseThrow();
    }

    /** The right side jacked up by 12° hides that a sensor meant for 30° came out at 8°: subtraction of nothing would pass it. */
    @Test
    void theTiltReadOnTheJackIsTurnedBackToTheWheels() {
        Placing placing = fitted(AsFitted.NOTHING.withReading(Math.toRadians(20)).withAcross(Math.toRadians(12))
                .withDistance(0.805).withAirtight(true));
        assertThat(Math.toDegrees(Objects.requireNonNull(finding(placing, "tilt").figure()).si())).isCloseTo(8,
                within(0.01));
        assertThat(finding(placing, "tilt").verdict()).isEqualTo(Verdict.FAIL);
        assertThat(finding(placing, "turned").verdict()).isEqualTo(Verdict.WARN);
        assertThat(finding(placing, "moved").verdict()).isEqualTo(Verdict.PASS);
        assertThat(finding(placing, "tight").verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void aTiltThePipeCannotShowIsSaidNotGuessed() {
        Placing placing = fitted(AsFitted.NOTHING.withReading(Math.toRadians(89)).withAcross(0.2).withAlong(0.3));
        assertThat(finding(placing, "turned").verdict()).isEqualTo(Verdict.FAIL);
        assertThat(finding(placing, "turned").consequence().metric()).contains("read body and car again");
        assertThat(finding(fitted(AsFitted.NOTHING.withAirtight(false)), "tight").verdict()).isEqualTo(Verdict.FAIL);
        assertThat(finding(fitted(AsFitted.NOTHING.withAirtight(true)), "moved").verdict()).isEqualTo(Verdict.UNKNOWN);
    }
}
