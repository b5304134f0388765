package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Tolerance;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScaleTrialTest {
    private static final int EACH = 8;

    /** Thousands are run by the benchmark; here enough that a diagnosis which names the wrong link is found out. */
    @Test
    void strangersAreNamedRightlyAndNoWrongSettingIsOffered() {
        int right = 0;
        int sureAndWrong = 0;
        List<String> offered = new ArrayList<>();
        for (String kind : ScaleTrial.SINGLE) {
            for (int i = 0; i < EACH; i++) {
                ScaleTrial trial = ScaleTrial.of(kind, 10_000 + i);
                Diagnosis diagnosis = trial.diagnosed();
                boolean named = diagnosis.best().fault().key().equals(kind);
                right += named ? 1 : 0;
                sureAndWrong += !named && diagnosis.best().probability() > 0.9 ? 1 : 0;
                Diagnosis.Offer typed = diagnosis.offer();
                if (named && typed != null && trial.worstWith(typed) > 1.1 * Tolerance.LAMBDA) {
                    offered.add(kind + " " + i);
                }
            }
        }
        assertThat(right).isGreaterThanOrEqualTo(EACH * ScaleTrial.SINGLE.size() - 6);
        assertThat(sureAndWrong).isLessThanOrEqualTo(2);
        assertThat(offered).isEmpty();
    }

    @Test
    void theOracleNamesWhatWasMade() {
        assertThat(List.of("ground-shift", "narrowband", "other-law", "none"))
                .allSatisfy(kind -> assertThat(ScaleOracle.best(ScaleTrial.of(kind, 3))).isEqualTo(kind));
    }

    @Test
    void twoAtOnceAreSeldomTakenForOneWithCertainty() {
        long deceived = ScaleTrial.PAIRS.stream().mapToLong(kind -> java.util.stream.IntStream.range(0, 4)
                .filter(i -> {
                    Diagnosis diagnosis = ScaleTrial.of(kind, 500 + i).diagnosed();
                    return !diagnosis.best().fault().key().equals(kind) && diagnosis.best().probability() > 0.9;
                }).count()).sum();
        assertThat(deceived).isLessThanOrEqualTo(3);
    }
}
