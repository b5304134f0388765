package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two logs of one drive, begun at different moments, on clocks that do not run alike. */
class ClocksTest {
    /** Engine speed of one drive, 1/min: pulls and lift-offs at moments of their own. */
    private static final class Engine {
        private final double[] turns = new double[12_000];

        Engine(long seed) {
            Random random = new Random(seed);
            double wanted = 900;
            double now = 900;
            int left = 0;
            for (int i = 0; i < turns.length; i++) {
                if (left-- <= 0) {
                    wanted = 900 + 4500 * random.nextDouble();
                    left = 20 + random.nextInt(120);
                }
                now += Math.clamp(wanted - now, -60, 40);
                turns[i] = now;
            }
        }

        /** At a true second of it, 0.1 s apart. */
        float at(double second) {
            double at = Math.clamp(second * 10, 0, turns.length - 2.0);
            double part = at - Math.floor(at);
            return (float) (turns[(int) at] * (1 - part) + turns[(int) at + 1] * part);
        }
    }

    private record Log(double[] time, float[] values) {
        /** Rows from a true second on, told by a clock that runs so much faster; each a little noisy. */
        static Log of(Engine engine, double from, double seconds, double rate, double faster, long seed) {
            Random random = new Random(seed);
            int n = (int) (seconds * rate);
            double[] time = new double[n];
            float[] values = new float[n];
            for (int i = 0; i < n; i++) {
                time[i] = i / rate * (1 + faster);
                values[i] = engine.at(from + i / rate) + (float) (8 * random.nextGaussian());
            }
            return new Log(time, values);
        }
    }

    @Property(tries = 10)
    void aMomentOfTheOneIsFoundInTheOther(@ForAll long seed, @ForAll @DoubleRange(min = 0, max = 500) double begins,
            @ForAll @IntRange(min = -3000, max = 3000) int millionths) {
        double faster = millionths / 1e6;
        Engine engine = new Engine(seed);
        Log one = Log.of(engine, 60, 900, 20, 0, 1);
        Log other = Log.of(engine, begins, 600, 10, faster, 2);
        Clocks clocks = Clocks.between(one.time, one.values, other.time, other.values, LogChannel.ENGINE_SPEED)
                .orElseThrow();
        // At the ends of what both have, where a wrong drift shows most.
        for (double truth : new double[]{Math.max(begins, 60), Math.min(begins + 600, 960)}) {
            assertThat(clocks.first((truth - begins) * (1 + faster))).isCloseTo(truth - 60, within(0.05));
        }
        assertThat(clocks.drift()).isCloseTo(1 / (1 + faster) - 1, within(1e-4));
    }

    /** Short ones too, where chance finds a likeness in a third of all pairs; always the same drives, since it is a rate. */
    @ParameterizedTest
    @CsvSource({"60, 100", "120, 40", "600, 4"})
    void anotherDriveIsNotFoundInIt(double seconds, int drives) {
        for (int i = 1; i <= drives; i++) {
            Log one = Log.of(new Engine(i), 0, seconds, 20, 0, 1);
            Log other = Log.of(new Engine(-i), 0, seconds, 20, 0, 2);
            assertThat(Clocks.between(one.time, one.values, other.time, other.values, LogChannel.ENGINE_SPEED))
                    .as("drives " + i).isEmpty();
        }
    }

    @Test
    void aMinuteOfTheSameDriveIsFound() {
        int found = 0;
        for (int i = 1; i <= 100; i++) {
            Engine engine = new Engine(i);
            Log one = Log.of(engine, 0, 60, 20, 0, 1);
            Log other = Log.of(engine, 20, 60, 10, 0, 2);
            Optional<Clocks> clocks = Clocks.between(one.time, one.values, other.time, other.values,
                    LogChannel.ENGINE_SPEED);
            found += clocks.isPresent() ? 1 : 0;
            assertThat(clocks.map(Clocks::shift).orElse(20.0)).as("drive " + i).isCloseTo(20, within(0.1));
        }
        assertThat(found).isGreaterThanOrEqualTo(97);
    }

    @Test
    void aSwingThatRepeatsTellsNoMoment() {
        double[] time = new double[6000];
        float[] swing = new float[6000];
        for (int i = 0; i < time.length; i++) {
            time[i] = i * 0.05;
            swing[i] = (float) (1 + 0.03 * Math.sin(2 * Math.PI * 0.1 * time[i]));
        }
        assertThat(Clocks.between(time, swing, time, swing, LogChannel.CONTROLLER)).isEmpty();
    }
}
