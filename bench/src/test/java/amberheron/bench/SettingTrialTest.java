package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SettingTrialTest {
    /** Hundreds of laws are tried by the benchmark. */
    @ParameterizedTest
    @EnumSource(SettingTrial.Typed.class)
    void noExchangeOfRowsThatCanBeTypedIsBetter(SettingTrial.Typed typed) {
        for (int seed = 0; seed < 6; seed++) {
            SettingTrial trial = SettingTrial.of(typed, seed);
            assertThat(trial.error()).as("law %d", seed).isLessThanOrEqualTo(1.05 * trial.exchanged(2, seed) + 5e-5);
        }
    }
}
