package amberheron.io;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class BackoffTest {
    @Test
    void pausesGrowToTheLongestAndBeginAnewAfterSuccess() {
        Backoff pauses = new Backoff(Duration.ofMillis(500), Duration.ofSeconds(3));
        List<Long> taken = Stream.generate(pauses::next).limit(5).map(Duration::toMillis).toList();
        assertThat(taken).containsExactly(500L, 1000L, 2000L, 3000L, 3000L);
        assertThat(pauses.isFirst()).isFalse();
        pauses.reset();
        assertThat(pauses.isFirst()).isTrue();
        assertThat(pauses.next()).isEqualTo(Duration.ofMillis(500));
    }
}
