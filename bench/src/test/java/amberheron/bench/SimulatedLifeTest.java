package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedLifeTest {
    /** Straight, bent and broken lives, and sensors that were replaced: the band of 90 in 100 holds the day. */
    @ParameterizedTest
    @EnumSource(SimulatedLife.Course.class)
    void theBandHoldsTheDay(SimulatedLife.Course course) {
        long held = IntStream.range(0, 60).filter(i -> SimulatedLife.of(course, 5000 + i).held()).count();
        assertThat(held).isGreaterThanOrEqualTo(49);
    }
}
