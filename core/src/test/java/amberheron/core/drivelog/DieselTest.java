package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** An engine that runs lean always is limited by smoke, and takes no harm where another would be stopped. */
class DieselTest {
    private static final double RATE = 10;

    /** Idle, cruise and full load, twenty seconds each, five rounds. */
    private static Drive drive(double fullLoad) {
        int n = (int) (300 * RATE);
        double[] time = new double[n];
        float[] lambda = new float[n];
        float[] rpm = new float[n];
        float[] throttle = new float[n];
        float[] warm = new float[n];
        for (int i = 0; i < n; i++) {
            time[i] = i / RATE;
            int part = (int) (time[i] / 20) % 3;
            lambda[i] = (float) (part == 0 ? 4.5 : part == 1 ? 2.2 : fullLoad);
            rpm[i] = part == 0 ? 800 : 2200;
            throttle[i] = part == 0 ? 0 : part == 1 ? 0.3f : 1;
            warm[i] = 358;
        }
        return new Drive(time, lambda, lambda.clone(), rpm, null, null, throttle, warm, null, null);
    }

    private static EngineAsked asked(Set<EngineTrait> traits) {
        return new EngineAsked(traits, 0.65, 6, 0.5, 7, 0, null);
    }

    private static Optional<Finding> said(double fullLoad, LogCheck check, EngineTrait... traits) {
        DriveFound found = DriveFound.of(drive(fullLoad), asked(Set.of(traits)), List.of());
        return LogRules.judge(LogComparison.of(drive(fullLoad)), found, Tolerance.LAMBDA, Tolerance.SOURCE,
                LogRules.Engine.with(traits)).stream().filter(f -> f.check().is(check)).findFirst();
    }

    @Test
    void aSoundDieselIsNeverToldToStop() {
        DriveFound found = DriveFound.of(drive(1.35), asked(Set.of(EngineTrait.DIESEL)), List.of());
        assertThat(found.regimes()).extracting(Regime::kind)
                .contains(Regime.Kind.IDLE, Regime.Kind.CRUISE, Regime.Kind.FULL_LOAD)
                .doesNotContain(Regime.Kind.LIFT_OFF);
        assertThat(found.regimes()).allSatisfy(r -> assertThat(r.verdict()).isEqualTo(Verdict.PASS));
        assertThat(found.events()).isEmpty();
        assertThat(said(1.35, LogCheck.LEAN, EngineTrait.DIESEL)).isEmpty();
        assertThat(said(1.35, LogCheck.RUNS, EngineTrait.DIESEL)).as("not held at λ 1, and right").isEmpty();
        assertThat(said(1.35, LogCheck.SMOKE, EngineTrait.DIESEL).orElseThrow().verdict()).isEqualTo(Verdict.PASS);
        assertThat(said(1.35, LogCheck.LEAN).orElseThrow().verdict()).as("on petrol").isEqualTo(Verdict.FAIL);
    }

    @Test
    void richAtFullLoadItSmokes() {
        Finding smoke = said(1.1, LogCheck.SMOKE, EngineTrait.DIESEL).orElseThrow();
        assertThat(smoke.verdict()).isEqualTo(Verdict.WARN);
        assertThat(smoke.consequence().metric()).contains("smokes", "exhaust's temperature");
    }

    /** Leaner than 1.5 there is air left for more fuel, which harms nothing. */
    @Test
    void leanAtFullLoadIsNoDanger() {
        DriveFound found = DriveFound.of(drive(1.7), asked(Set.of(EngineTrait.DIESEL)), List.of());
        assertThat(found.driven(Regime.Kind.FULL_LOAD).orElseThrow().worst()).isEqualTo(Verdict.WARN);
        assertThat(said(1.7, LogCheck.SMOKE, EngineTrait.DIESEL).orElseThrow().verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void aTwoStrokeIsNotTakenAtItsWord() {
        assertThat(said(0.9, LogCheck.SCAVENGED, EngineTrait.TWO_STROKE).orElseThrow().verdict())
                .isEqualTo(Verdict.WARN);
        assertThat(said(0.9, LogCheck.SCAVENGED)).isEmpty();
    }
}
