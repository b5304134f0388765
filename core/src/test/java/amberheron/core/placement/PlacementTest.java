package amberheron.core.placement;

import static amberheron.core.finding.Verdict.FAIL;
import static amberheron.core.finding.Verdict.PASS;
import static amberheron.core.finding.Verdict.UNKNOWN;
import static amberheron.core.finding.Verdict.WARN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.Exhaust.Catalyst;
import amberheron.core.placement.TransportDelay.Running;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacementTest {
    private static final Exhaust TURBO = new Exhaust(true, 0.0635, Catalyst.FITTED, 1.2, 0);
    private static final Exhaust OPEN = new Exhaust(false, 0.0508, Catalyst.NONE, null, 0);

    private static Candidate at(double distance, double clockDegrees) {
        return new Candidate("A", "", distance, Math.toRadians(clockDegrees), 0, 0);
    }

    private static Finding finding(Exhaust exhaust, Candidate place, String id) {
        return PlaceRules.judge(exhaust, place).stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    private static double tilt(double clock, double slope, double lean, double roll) {
        return Math.toDegrees(SensorTilt.of(Math.toRadians(clock), Math.toRadians(slope), Math.toRadians(lean),
                Math.toRadians(roll)));
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

    /** Between 9 and 3 o'clock in shop talk: 9 and 3 themselves are horizontal and fail, 9:20 and 2:40 just pass. */
    @ParameterizedTest
    @CsvSource({"-90, FAIL", "90, FAIL", "-80, PASS", "80, PASS", "-81, FAIL", "0, PASS", "150, FAIL"})
    void theClockFace(double clock, Verdict verdict) {
        assertThat(finding(TURBO, at(0.6, clock), "tilt").verdict()).isEqualTo(verdict);
    }

    @Test
    void eighteenInchesAfterTheTurbine() {
        assertThat(finding(TURBO, at(0.46, 45), "distance").verdict()).isEqualTo(PASS);
        assertThat(finding(TURBO, at(0.459, 45), "distance").verdict()).isEqualTo(FAIL);
        assertThat(finding(TURBO, at(0.455, 45), "distance").subject()).isEqualTo("After the turbine");
        assertThat(finding(OPEN, at(0.455, 45), "distance").verdict()).as("45 cm from the manifold").isEqualTo(PASS);
    }

    @Test
    void beforeTheTurbineFailsAndSaysWhatItCosts() {
        Finding before = finding(TURBO, at(-0.2, 45), "distance");
        assertThat(before.verdict()).isEqualTo(FAIL);
        assertThat(before.lambdaCost()).isCloseTo(0.2 * 0.1837, within(1e-4));
        assertThat(before.consequence()).contains("pressure");
    }

    @Test
    void afterTheCatalystWarnsThatItReadsLean() {
        assertThat(finding(TURBO, at(1.3, 45), "catalyst").verdict()).isEqualTo(WARN);
        assertThat(finding(TURBO, at(1.3, 45), "catalyst").consequence()).contains("lean").contains("Record");
        assertThat(finding(TURBO, at(1.1, 45), "catalyst").verdict()).isEqualTo(PASS);
        assertThat(PlaceRules.judge(OPEN, at(1.3, 45))).noneMatch(f -> f.id().equals("catalyst"));
    }

    @Test
    void whatIsNotMeasuredNeverPasses() {
        Candidate bare = new Candidate("A", "", null, null, 0, 0);
        assertThat(PlaceRules.judge(TURBO, bare)).extracting(Finding::verdict).containsOnly(UNKNOWN);
    }

    @Test
    void eachSchoolChoosesItsOwn() {
        List<Candidate> places = List.of(new Candidate("top", "", 0.9, 0.0, 0, 0),
                new Candidate("half", "", 0.8, Math.toRadians(45), 0, 0),
                new Candidate("low", "", 0.6, Math.toRadians(75), 0, 0),
                new Candidate("flat", "", 0.5, Math.toRadians(90), 0, 0));
        assertThat(PlaceRules.choice(TURBO, places, TiltSchool.STRAIGHT_UP)).map(Candidate::id).hasValue("top");
        assertThat(PlaceRules.choice(TURBO, places, TiltSchool.OFF_VERTICAL)).map(Candidate::id).hasValue("half");
        assertThat(PlaceRules.choice(TURBO, places, TiltSchool.FROM_TEN_DEGREES)).map(Candidate::id).hasValue("low");
    }

    /** Worked examples: 2.0 L, 1 m of 50 mm bore. */
    @Test
    void transportDelay() {
        double pipe = TransportDelay.volume(1, 0.05);
        assertThat(TransportDelay.seconds(2e-3, pipe, new Running(800, 0.30, 2, 14.7))).isCloseTo(0.380,
                within(0.001));
        assertThat(TransportDelay.seconds(2e-3, pipe, new Running(800, 0.30, 2, 14.7)) - 120 / 800.0)
                .isCloseTo(0.230, within(0.001));
        assertThat(TransportDelay.seconds(2e-3, pipe, new Running(6000, 0.9, 1000 / 300.0, 12.5)) - 120 / 6000.0)
                .isCloseTo(0.006, within(0.0005));
    }
}
