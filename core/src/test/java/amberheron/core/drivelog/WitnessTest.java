package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Witness.Act;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.scaling.Tolerance;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WitnessTest {
    private static final LogRules.Engine ONE_BANK = LogRules.Engine.with(EngineTrait.READ_UNDER_LOAD);
    private static final EngineAsked ASKED = new EngineAsked(Set.of(), 0.62, 1.38, 0.5, 1.6, 0, null);

    /** A closed loop about λ 1, its narrowband prompt, the controller off and late. */
    private static Drive swinging(double off, double late, boolean narrowband) {
        int n = 4000;
        Random random = new Random(5);
        double[] time = new double[n];
        float[] told = new float[n];
        float[] volts = new float[n];
        float[] rpm = new float[n];
        for (int i = 0; i < n; i++) {
            time[i] = i * 0.05;
            rpm[i] = 2500;
            told[i] = (float) (1 + off + 0.03 * Math.sin(2 * Math.PI * 0.5 * (time[i] - late))
                    + 0.001 * random.nextGaussian());
            double truth = 0.03 * Math.sin(2 * Math.PI * 0.5 * time[i]);
            volts[i] = (float) (0.45 - 0.4 * Math.tanh(truth / 0.004) + 0.01 * random.nextGaussian());
        }
        return new Drive(time, told, told, rpm, null, null, null, null, null, narrowband ? volts : null);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "0.02, 0", "-0.015, 0.12", "0.0, 0.2"})
    void theNarrowbandsStepsTellHowFarTheControllerIsOffHoweverLateItIs(double off, double late) {
        Crossings found = Objects
                .requireNonNull(DriveFound.of(swinging(off, late, true), ASKED, List.of()).crossings());
        assertThat(found.lambda() - 1).isCloseTo(off, within(0.002));
        assertThat(found.doubt()).isBetween(0.005, 0.012);
        assertThat(found.steps()).isGreaterThan(150);
    }

    @Test
    void withoutANarrowbandNothingIsSaidOfIt() {
        DriveFound found = DriveFound.of(swinging(0, 0, false), ASKED, List.of());
        assertThat(found.crossings()).isNull();
        assertThat(judged(found, ONE_BANK)).extracting(f -> f.check().id()).doesNotContain(LogCheck.CROSSINGS);
    }

    private static List<Finding> judged(DriveFound found, LogRules.Engine engine) {
        return LogRules.judge(LogComparison.of(swinging(0, 0, true)), found, Tolerance.LAMBDA, Tolerance.SOURCE,
                engine);
    }

    private static Finding crossing(double off, LogRules.Engine engine) {
        return judged(DriveFound.of(swinging(off, 0, true), ASKED, List.of()), engine).stream()
                .filter(f -> f.check().is(LogCheck.CROSSINGS)).findFirst().orElseThrow();
    }

    @Test
    void leanAfterTheMergeIsTheOtherBankAndBeforeItIsAir() {
        assertThat(crossing(0.003, ONE_BANK).verdict()).isEqualTo(Verdict.PASS);
        assertThat(crossing(0.03, ONE_BANK).verdict()).isEqualTo(Verdict.FAIL);
        assertThat(crossing(0.03, ONE_BANK).consequence().metric()).contains("air leaks in");
        assertThat(crossing(0.03, LogRules.Engine.with(EngineTrait.AFTER_MERGE, EngineTrait.READ_UNDER_LOAD))
                .consequence().metric())
                .contains("the other bank runs lean");
        assertThat(crossing(-0.03, ONE_BANK).consequence().metric()).contains("rich");
    }

    @Test
    void agreementAtOneMixtureOnlyIsNotEnough() {
        List<Finding> findings = judged(DriveFound.of(swinging(0, 0, true), ASKED, List.of()), ONE_BANK);
        assertThat(findings).filteredOn(f -> f.check().is(LogCheck.HELD_CRUISING)).extracting(Finding::verdict)
                .containsExactly(Verdict.PASS);
        assertThat(findings).filteredOn(f -> f.check().is(LogCheck.HELD_UNDER_LOAD)).extracting(Finding::verdict)
                .containsExactly(Verdict.UNKNOWN);
    }

    @ParameterizedTest
    @CsvSource({"CHOKE_ON, 1.00, 0.85, PASS", "CHOKE_ON, 1.00, 1.05, FAIL", "CHOKE_ON, 1.00, 0.995, WARN",
            "SCREW_LEANER, 0.98, 1.03, PASS", "SCREW_LEANER, 0.98, 0.98, FAIL", "FUEL_ADDED, 1.0, 0.952, PASS",
            "FUEL_TAKEN, 1.0, 1.3, WARN"})
    void aChangeMadeOnPurposeMovesTheNumberTheRightWay(Act act, double before, double after, Verdict verdict) {
        Witness witness = Witness.NONE.withAct(act).withBefore(before).withAfter(after);
        assertThat(WitnessRules.judge(witness, Composition.PETROL, Tolerance.LAMBDA)).extracting(Finding::verdict)
                .containsExactly(verdict);
    }

    @Test
    void theAnalyserIsAskedForNothingUntilItIsBegun() {
        assertThat(WitnessRules.judge(Witness.NONE, Composition.PETROL, Tolerance.LAMBDA)).isEmpty();
        Witness half = Witness.NONE.withShown(1.0);
        assertThat(WitnessRules.judge(half, Composition.PETROL, Tolerance.LAMBDA)).extracting(Finding::verdict)
                .containsExactly(Verdict.UNKNOWN);
        double burnt = Objects.requireNonNull(
                new GasAnalysis(0.145, 0.003, 1e-4, 0.006, null).lambda(Composition.PETROL));
        Witness whole = half.withGas(new GasAnalysis(0.145, 0.003, 1e-4, 0.006, null)).withShown(burnt + 0.01);
        assertThat(WitnessRules.judge(whole, Composition.PETROL, Tolerance.LAMBDA)).extracting(Finding::verdict)
                .containsExactly(Verdict.PASS);
        assertThat(WitnessRules.judge(whole.withShown(burnt - 0.05), Composition.PETROL, Tolerance.LAMBDA))
                .singleElement().satisfies(f -> {
                    assertThat(f.verdict()).isEqualTo(Verdict.FAIL);
                    assertThat(f.consequence().metric()).contains("shows rich");
                });
    }
}
