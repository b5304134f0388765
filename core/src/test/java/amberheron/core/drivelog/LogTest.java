package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LogTest {
    private static final LogRules.Engine PLAIN = LogRules.Engine.with(EngineTrait.READ_UNDER_LOAD);

    private static List<Sample> log(int count, double bias) {
        List<Sample> log = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double lambda = 1 + 0.1 * Math.sin(i / 50.0);
            log.add(new Sample(i * 0.1, lambda, lambda + bias + (i % 2 == 0 ? 0.002 : -0.002)));
        }
        return log;
    }

    @Test
    void biasSpreadAndWorst() {
        LogComparison result = LogComparison
                .of(Drive.of(List.of(new Sample(0, 1, 1.01), new Sample(1, 1, 1.03), new Sample(4, 1, 0.99))));
        assertThat(result.samples()).isEqualTo(3);
        assertThat(result.duration()).isEqualTo(4);
        assertThat(result.bias()).isCloseTo(0.01, within(1e-6));
        assertThat(result.spread()).isCloseTo(0.02, within(1e-6));
        assertThat(result.worst()).isCloseTo(0.03, within(1e-6));
        assertThat(result.worstAt()).isEqualTo(1);
    }

    @Test
    void aSpikeOfOneSampleSurvivesThinning() {
        List<Sample> log = log(100_000, 0);
        log.set(54_321, new Sample(5432.1, 1, 0.7));
        LogComparison result = LogComparison.of(Drive.of(log));
        assertThat(result.trace()).hasSizeLessThanOrEqualTo(400).anyMatch(s -> s.time() == 5432.1 && s.reader() < 0.71);
        assertThat(result.worstAt()).isEqualTo(5432.1);
    }

    @Test
    void aReaderThatReadsLeanOnTheRoadFails() {
        List<Finding> lean = LogRules.judge(LogComparison.of(Drive.of(log(700, 0.01))), null, Tolerance.LAMBDA,
                Tolerance.SOURCE, PLAIN);
        assertThat(lean.getFirst().verdict()).isEqualTo(Verdict.FAIL);
        assertThat(lean.getFirst().consequence().metric()).contains("lean");
        assertThat(LogRules.judge(LogComparison.of(Drive.of(log(700, 0.001))), null, Tolerance.LAMBDA, Tolerance.SOURCE,
                PLAIN))
                .filteredOn(f -> f.verdict() != Verdict.PASS).extracting(f -> f.check().id())
                // A log that was read before this was asked proves nothing of it.
                .containsExactly(LogCheck.HELD_CRUISING, LogCheck.HELD_UNDER_LOAD);
    }

    @Test
    void anEmptyLogIsNotAProof() {
        assertThatThrownBy(() -> LogComparison.of(Drive.of(List.of()))).hasMessageContaining("no row");
    }
}
