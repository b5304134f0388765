package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.scaling.Tolerance;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A reader that is late: by a delay, by an average, or by both. */
class ReaderLagTest {
    private static final double RATE = 20;
    private static final int ROWS = 6000;

    /** Pulls and lift-offs, noisy as a controller is; the reader averages and is then late. */
    private static Drive drive(double average, double delay) {
        Random random = new Random(11);
        int fine = 10;
        double[] truth = new double[ROWS * fine];
        double wanted = 1;
        double now = 1;
        int left = 0;
        double blurred = 1;
        double[] shown = new double[truth.length];
        for (int i = 0; i < truth.length; i++) {
            if (left-- <= 0) {
                wanted = 0.8 + 0.45 * random.nextDouble();
                left = (int) (RATE * fine * (1 + 4 * random.nextDouble()));
            }
            now += (wanted - now) / (0.2 * RATE * fine);
            truth[i] = now;
            blurred += average == 0 ? now - blurred : (now - blurred) / (average * RATE * fine);
            shown[i] = blurred;
        }
        double[] time = new double[ROWS];
        float[] told = new float[ROWS];
        float[] reader = new float[ROWS];
        for (int i = 0; i < ROWS; i++) {
            time[i] = i / RATE;
            told[i] = (float) (truth[i * fine] + 0.001 * random.nextGaussian());
            int late = Math.max(0, i * fine - (int) Math.round(delay * RATE * fine));
            reader[i] = (float) (shown[late] + 0.002 * random.nextGaussian());
        }
        return Drive.of(time, told, reader);
    }

    @ParameterizedTest
    @CsvSource({"0, 0.3, 0", "0, 0.05, 0", "0.2, 0, 0.05", "0.4, 0.2, 0.1", "1, 0.1, 0.25"})
    void anAverageIsToldFromADelay(double average, double delay, double within) {
        Agreement found = Objects.requireNonNull(Agreement.of(drive(average, delay), 0.5, 1.5, true, null)).agreement();
        assertThat(Objects.requireNonNull(found.averaging())).isCloseTo(average, within(within + 1e-9));
        assertThat(Objects.requireNonNull(found.lag())).isBetween(delay - 0.01, delay + average + 0.05);
    }

    @Test
    void lateByItsFilterByAnAverageOrOtherwiseIsSaid() {
        assertThat(said(0.9, 0.9, 0.9)).contains("Its own filter");
        assertThat(said(0.9, 0.8, null)).contains("It averages");
        assertThat(said(0.9, 0.0, null)).contains("without averaging");
        assertThat(said(0.9, 0.0, 0.1)).as("a filter that does not explain it").contains("without averaging");
    }

    private static String said(double lag, double averaging, @org.jspecify.annotations.Nullable Double filter) {
        DriveFound found = new DriveFound(
                new Agreement(0, 0, 0, 1.0, 0.99, 1.01, lag, averaging, 100, List.of()), 0, 0, null, List.of(),
                Set.of(), List.of(), List.of(), new Held(60, 5), null, null, null);
        Finding late = LogRules.judge(LogComparison.of(drive(0, 0)), found, Tolerance.LAMBDA, Tolerance.SOURCE,
                new LogRules.Engine(Set.of(EngineTrait.READ_UNDER_LOAD), filter)).stream()
                .filter(f -> f.check().is(LogCheck.LAG)).findFirst().orElseThrow();
        assertThat(late.verdict()).isEqualTo(Verdict.WARN);
        return late.consequence().metric();
    }

    /** A reader that is right where the mixture stands and late where it moves at 0.3 λ/s has no offset. */
    @Test
    void whereTheMixtureMovesNothingIsSaidOfTheOffset() {
        int rows = 4000;
        double[] time = new double[rows];
        float[] told = new float[rows];
        float[] reader = new float[rows];
        int standing = 0;
        for (int i = 0; i < rows; i++) {
            time[i] = i * 0.05;
            double at = time[i] % 4;
            boolean moves = at >= 3;
            told[i] = (float) (0.9 + (moves ? 0.3 * (at - 3) : 0));
            reader[i] = told[i] + (moves ? 0.06f : 0);
            standing += moves ? 0 : 1;
        }
        Agreement found = Objects.requireNonNull(Agreement.of(Drive.of(time, told, reader), 0.5, 1.5, false, null))
                .agreement();
        assertThat(found.offset()).isCloseTo(0, within(1e-4));
        assertThat(found.pairs()).isBetween((int) (0.8 * standing), standing);
    }
}
