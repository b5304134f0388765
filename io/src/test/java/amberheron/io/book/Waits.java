package amberheron.io.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;

/** Waits for what comes about on another thread. */
final class Waits {
    private Waits() {
    }

    static void until(BooleanSupplier so) {
        long end = System.nanoTime() + Duration.ofSeconds(20).toNanos();
        while (!so.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited for too long").isLessThan(end);
            LockSupport.parkNanos(2_000_000);
        }
    }
}
