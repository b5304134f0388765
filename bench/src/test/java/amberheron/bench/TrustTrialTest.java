package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TrustTrialTest {
    /** 95 of 100 lie within, at each mixture. */
    @ParameterizedTest
    @ValueSource(doubles = {0.8, 1, 1.2, 1.3})
    void theTruthLiesWithinTheFigureAsOftenAsItSays(double lambda) {
        double held = IntStream.range(0, 8).mapToDouble(i -> TrustTrial.of(i).held(lambda, 2000, 77 + i)).average()
                .orElseThrow();
        assertThat(held).isBetween(0.94, 0.96);
    }
}
