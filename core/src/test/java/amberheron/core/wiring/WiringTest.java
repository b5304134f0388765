package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.Wiring.Ground;
import amberheron.core.wiring.Wiring.SourceVolts;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WiringTest {
    /** 2 AFR/V on the petrol scale. */
    private static final double LAMBDA_PER_VOLT = 2 / 14.7;

    private static Wiring wiring(@Nullable Double off, @Nullable Double on, @Nullable Double cranking,
            @Nullable Double fuse, Ground ground) {
        return new Wiring(new SourceVolts(off, on, cranking), fuse, 3.0, ground, "");
    }

    private static Finding finding(Wiring wiring, String id) {
        List<Finding> all = WireRules.judge(wiring, LAMBDA_PER_VOLT, Tolerance.LAMBDA);
        return all.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    private static final Ground APART = new Ground(false, null, null, null);

    /** NBS Handbook 100 copper wire tables, mΩ/m at 20 °C. */
    @ParameterizedTest
    @CsvSource({"12, 5.21", "14, 8.28", "16, 13.17", "18, 20.95", "20, 33.3", "22, 53.0", "24, 84.2"})
    void resistancesAgreeWithTheCopperTables(int awg, double milliohms) {
        double perMetre = 1000 * new Conductor(1, WireGauge.crossSection(awg)).resistance();
        assertThat(perMetre).isCloseTo(milliohms, within(milliohms * 1.5e-3));
        assertThat(WireGauge.gauge(WireGauge.crossSection(awg))).isCloseTo(awg, within(1e-9));
    }

    /** 3 m of 18 AWG at 1.2 A → 75 mV → 0.15 AFR on a 2 AFR/V law. */
    @Test
    void theSharedGroundThatReadsLean() {
        Ground shared = new Ground(true, 3.0, WireGauge.crossSection(18), 1.2);
        assertThat(WireRules.shift(shared).orElseThrow()).isCloseTo(0.075, within(5e-4));
        Finding shift = finding(wiring(0.0, 12.4, 9.8, 5.0, shared), "ground");
        assertThat(shift.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(shift.lambdaCost()).isCloseTo(0.15 / 14.7, within(1e-4));
    }

    @Test
    void aGroundNobodyLookedAtIsNotAPass() {
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, new Ground(null, null, null, null)), "ground").verdict())
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, new Ground(true, 3.0, null, 1.2)), "ground").verdict())
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, APART), "ground").verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void thePowerSourceIsProvedFromItsReadings() {
        assertThat(finding(wiring(12.6, 12.6, 9.0, 5.0, APART), "off").verdict()).as("constant")
                .isEqualTo(Verdict.FAIL);
        assertThat(finding(wiring(0.0, 0.1, 0.0, 5.0, APART), "on").verdict()).as("dead").isEqualTo(Verdict.FAIL);
        assertThat(finding(wiring(0.0, 10.2, 8.0, 5.0, APART), "on").verdict()).as("weak").isEqualTo(Verdict.WARN);
        assertThat(finding(wiring(0.0, 12.4, 0.2, 5.0, APART), "cranking").verdict()).as("lost while cranking")
                .isEqualTo(Verdict.WARN);
        assertThat(WireRules.judge(wiring(0.0, 12.4, 9.8, 5.0, APART), LAMBDA_PER_VOLT, Tolerance.LAMBDA))
                .extracting(Finding::verdict).containsOnly(Verdict.PASS);
    }

    @ParameterizedTest
    @CsvSource({"5, PASS", "3, FAIL", "2, FAIL", "10, WARN"})
    void theFuseStandsAboveTheDrawAndNotFarAbove(double fuse, Verdict verdict) {
        assertThat(finding(wiring(0.0, 12.4, 9.8, fuse, APART), "fuse").verdict()).isEqualTo(verdict);
    }

    /** Ohm's law by hand: 2.2 kΩ into 54 kΩ loses 3.9 %; a 10 kΩ pull-up to 5 V on 1 kΩ lifts 0 V to 0.4545 V. */
    @Test
    void loadingAndPullUp() {
        double none = Double.POSITIVE_INFINITY;
        assertThat(InputLoading.voltsAtPin(4.5, 2200, 5, none, 54_000) / 4.5).isCloseTo(54 / 56.2, within(1e-12));
        assertThat(InputLoading.voltsAtPin(0, 1000, 5, 10_000, none)).isCloseTo(5 / 11.0, within(1e-12));
    }
}
