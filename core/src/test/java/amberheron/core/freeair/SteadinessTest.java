package amberheron.core.freeair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.freeair.Steadiness.Reading;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SteadinessTest {
    private static List<Reading> series(int seconds, DoubleUnaryOperator value) {
        return IntStream.rangeClosed(0, seconds).mapToObj(i -> new Reading(i, value.applyAsDouble(i))).toList();
    }

    /** Of many series with the same drift the interval holds it in 95 of 100. */
    @Test
    void theIntervalOfTheDriftHoldsItAsOftenAsItSays() {
        Random random = new Random(4);
        double perMinute = 0.004;
        long held = IntStream.range(0, 2000).mapToObj(i -> Steadiness.of(series(75,
                t -> 0.207 * (1 + perMinute * (t - 37.5) / 60) + 3e-5 * random.nextGaussian())))
                .filter(s -> Math.abs(s.drift() - perMinute) <= s.driftDoubt()).count();
        assertThat(held / 2000.0).isBetween(0.935, 0.965);
    }

    @Test
    void theScatterIsThatOfTheNoise() {
        Random random = new Random(7);
        Steadiness found = Steadiness.of(series(1000, t -> 0.207 + 3e-5 * random.nextGaussian()));
        assertThat(found.scatter()).isCloseTo(3e-5 / 0.207, within(1e-5));
    }

    @Test
    void aMinuteIsWanted() {
        assertThat(Steadiness.of(series(59, t -> 0.207)).steady()).isFalse();
        assertThat(Steadiness.of(series(60, t -> 0.207)).steady()).isTrue();
    }

    @Test
    void oneWildReadingIsForgivenAndMoreAreALooseLead() {
        assertThat(Steadiness.of(series(80, t -> t == 40 ? 0.1 : 0.207 + (t % 2) * 1e-5)).steady()).isTrue();
        Steadiness loose = Steadiness.of(series(80, t -> t % 20 == 0 ? 0.1 : 0.207 + (t % 2) * 1e-5));
        assertThat(loose.wild()).isEqualTo(5);
        assertThat(loose.loose()).isTrue();
        assertThat(loose.drift()).as("the wild ones do not tilt the line").isCloseTo(0, within(1e-4));
    }

    @Test
    void noiseIsNotSteadiness() {
        Random random = new Random(5);
        assertThat(Steadiness.of(series(80, t -> 0.207 * (1 + 0.01 * random.nextGaussian()))).steady()).isFalse();
    }

    /** Of the honest, few are kept waiting: the interval of the drift is narrow enough at a reading a second. */
    @Test
    void aSoundSensorIsSeldomKeptWaiting() {
        Random random = new Random(6);
        long steady = IntStream.range(0, 500)
                .filter(i -> Steadiness.of(series(62, t -> 0.207 * (1 + 0.001 * random.nextGaussian()))).steady())
                .count();
        assertThat(steady).isGreaterThan(495);
    }
}
