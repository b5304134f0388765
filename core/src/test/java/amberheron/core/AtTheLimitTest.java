package amberheron.core;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.LogRules;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.AirRules;
import amberheron.core.freeair.Controllers;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Harness;
import amberheron.core.harness.HarnessRules;
import amberheron.core.harness.JointRules;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.RouteRules;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule at its limit: just kept on one side, just broken on the other. */
class AtTheLimitTest {
    private static final LogRules.Engine PLAIN = LogRules.Engine.with(EngineTrait.READ_UNDER_LOAD);
    private static final double TOLERANCE = 1 / 128.0;
    private static final Source MADE_UP = Source.practice("made up for the test");

    private static Verdict verdict(List<Finding> findings, String check) {
        return findings.stream().filter(f -> f.check().key().equals(check)).findFirst().orElseThrow().verdict();
    }

    @ParameterizedTest
    @CsvSource({"bias, 0.0078125, 0, 0, 1, 60, 100, PASS", "bias, 0.00782, 0, 0, 1, 60, 100, FAIL",
            "bias, -0.0078125, 0, 0, 1, 60, 100, PASS", "bias, -0.00782, 0, 0, 1, 60, 100, FAIL",
            "spread, 0, 0.0078125, 0, 1, 60, 100, PASS", "spread, 0, 0.00782, 0, 1, 60, 100, WARN",
            "worst, 0, 0, 0.0234375, 1, 60, 100, PASS", "worst, 0, 0, 0.02345, 1, 60, 100, WARN",
            "worst, 0, 0, -0.0234375, 1, 60, 100, PASS", "worst, 0, 0, -0.02345, 1, 60, 100, WARN",
            "gain, 0, 0, 0, 1.039, 60, 100, PASS", "gain, 0, 0, 0, 1.0392, 60, 100, FAIL",
            "gain, 0, 0, 0, 0.961, 60, 100, PASS", "gain, 0, 0, 0, 0.9609, 60, 100, FAIL",
            "length, 0, 0, 0, 1, 60, 100, PASS", "length, 0, 0, 0, 1, 59.9, 100, UNKNOWN",
            "length, 0, 0, 0, 1, 60, 99, UNKNOWN"})
    void ofADrive(String check, double bias, double spread, double worst, double gain, double seconds, int samples,
            Verdict verdict) {
        LogComparison log = new LogComparison(samples, seconds, bias, spread, worst, 1, 0.9, 1.1, gain, List.of());
        assertThat(verdict(LogRules.judge(log, null, TOLERANCE, MADE_UP, PLAIN), check)).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"1.0, 1.1, PASS", "1.0, 1.099, UNKNOWN", ", 1.1, UNKNOWN", "0.9, , UNKNOWN"})
    void ofTheMixtureADriveWentThrough(@Nullable Double richest, @Nullable Double leanest, Verdict verdict) {
        LogComparison log = new LogComparison(100, 60, 0, 0, 0, 1, richest, leanest, 1.0, List.of());
        assertThat(verdict(LogRules.judge(log, null, TOLERANCE, MADE_UP, PLAIN), "gain")).isEqualTo(verdict);
    }

    private static FreeAirCheck air(ControllerSheet controller, @Nullable Double oxygen, @Nullable Double lambda,
            double settled) {
        return Controllers.check(controller, oxygen, lambda, settled, LocalDate.of(2026, 5, 1), "");
    }

    @ParameterizedTest
    @CsvSource({"1.00999, PASS", "1.01001, FAIL", "0.99001, PASS", "0.98999, FAIL"})
    void ofTheOxygenShown(double part, Verdict verdict) {
        assertThat(verdict(AirRules.judge(air(Controllers.LEARNS, 0.207 * part, null, 90), null, TOLERANCE), "shown"))
                .isEqualTo(verdict);
    }

    /**
     * Between the limit and what is in doubt (k = 2) it cannot be told: 0.9 % where only the height says the pressure, 0.2 %
     * where it was read.
     */
    @ParameterizedTest
    @CsvSource({"1.0099, , PASS", "1.0105, , UNKNOWN", "1.018, , UNKNOWN", "1.02, , FAIL", "0.9895, , UNKNOWN",
            "0.98, , FAIL", "1.0105, 101325, UNKNOWN", "1.0125, 101325, FAIL", "0.9875, 101325, FAIL"})
    void ofTheOxygenOfTheDay(double part, @Nullable Double pressure, Verdict verdict) {
        double oxygen = Air.atHeight(293.15, 0.5, 0).oxygen();
        FreeAirCheck check = air(Controllers.FACTORY, oxygen * part, null, 90);
        assertThat(verdict(AirRules.judge(check.withToday(check.today().withPressure(pressure)), null, TOLERANCE),
                "shown")).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"1.293, , PASS", "1.292, , UNKNOWN", "1.19, 1.2, PASS", "1.189, 1.2, UNKNOWN",
            "1.293, 1.4, UNKNOWN", "1.391, 1.4, PASS", "1.1, 1.4, UNKNOWN", "1.099, 1.4, FAIL"})
    void ofTheTopOfTheRange(double shown, @Nullable Double law, Verdict verdict) {
        assertThat(verdict(AirRules.judge(air(Controllers.UNSAID, null, shown, 90), law, TOLERANCE), "top"))
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"60, PASS", "59.9, UNKNOWN"})
    void ofTheTimeItWasSteady(double seconds, Verdict verdict) {
        assertThat(verdict(AirRules.judge(air(Controllers.LEARNS, 0.207, null, seconds), null, TOLERANCE), "settled"))
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"0.5, PASS", "0.51, FAIL", "-0.04, PASS", "-0.06, FAIL"})
    void ofTheVoltsLost(double lost, Verdict verdict) {
        Harness harness = Harness.NONE.withAsWired(AsWired.NOTHING.withAtSource(14.0).withAtController(14.0 - lost));
        assertThat(verdict(HarnessRules.judge(harness, List.of(), List.of(), new HarnessRules.Heater(1.2, 3, null)),
                "wired.drop"))
                .isEqualTo(verdict);
    }

    /** 36 N at 22 AWG, half of that at half its section; 311 N at 12 AWG and above. */
    @ParameterizedTest
    @CsvSource({"0.326, 36, PASS", "0.326, 35.9, FAIL", "0.163, 18, PASS", "0.163, 17.9, FAIL", "0.6705, 73.5, PASS",
            "0.6705, 73.4, FAIL", "3.31, 311, PASS", "6, 311, PASS", "6, 310, FAIL"})
    void ofAPull(double mm2, double newtons, Verdict verdict) {
        Joints joints = Joints.NONE.joinedBy(Joints.JointSchool.CRIMPED)
                .plus(new Joints.Test("1", mm2 * 1e-6, newtons + 1e-6, 0.001));
        assertThat(verdict(JointRules.judge(joints, 1.2), "joint.pull")).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"route.hot, 0.1, false, 0.3, 0.05, PASS", "route.hot, 0.099, false, 0.3, 0.05, FAIL",
            "route.hot, 0.03, true, 0.3, 0.05, PASS", "route.hot, 0.029, true, 0.3, 0.05, FAIL",
            "route.moving, 0.2, false, 0.05, 0.05, PASS", "route.moving, 0.2, false, 0.049, 0.05, FAIL",
            "route.bend, 0.2, false, 0.3, 0.03, PASS", "route.bend, 0.2, false, 0.3, 0.029, WARN"})
    void ofTheCablesWay(String check, double hot, boolean sleeved, double moving, double bend, Verdict verdict) {
        Route route = Route.UNMEASURED.withPoints(List.of(new Waypoint("clip", 0.5, hot, sleeved, moving, bend)));
        assertThat(verdict(RouteRules.judge(route), check)).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"route.length, 0.7, 0.1, PASS", "route.length, 0.699, 0.1, FAIL", "route.slack, 2, 0.1, PASS",
            "route.slack, 2, 0.099, WARN"})
    void ofTheLead(String check, double lead, double loop, Verdict verdict) {
        Route route = Route.UNMEASURED.withPoints(List.of(Waypoint.named("clip").withLength(0.5)))
                .withLengths(p -> p.withLead(lead))
                .withLengths(p -> p.withSlackAtEngine(loop)).withLengths(p -> p.withSlackAtDisplay(0.1));
        assertThat(verdict(RouteRules.judge(route), check)).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"0.024, PASS", "0.0239, FAIL"})
    void ofTheHole(double hole, Verdict verdict) {
        Route route = Route.UNMEASURED.withFirewall(p -> p.withPassage(Route.Passage.GROMMET))
                .withFirewall(p -> p.withLookedBehind(true)).withFirewall(p -> p.withConnector(0.022))
                .withFirewall(p -> p.withHole(hole));
        assertThat(verdict(RouteRules.judge(route), "route.hole")).isEqualTo(verdict);
    }
}
