package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Openings of the throttle out of steady cruise, in logs whose channels were not all written in each row. */
class OpeningsTest {
    private static final EngineAsked ASKED = new EngineAsked(Set.of(), 0.62, 1.36, 0.5, 1.5, 0, null);
    private static final double RATE = 20;
    private static final int ROUNDS = 6;

    /** Cruise for 10 s, then half throttle for 3 s, lean for its first 0.6 s, and slowly back; six times. */
    private static Drive drive(int throttleEvery, int controllerEvery) {
        int n = (int) (20 * ROUNDS * RATE);
        double[] time = new double[n];
        float[] lambda = new float[n];
        float[] throttle = new float[n];
        float[] speed = new float[n];
        for (int i = 0; i < n; i++) {
            time[i] = i / RATE;
            double at = time[i] % 20;
            boolean lean = at >= 10.1 && at < 10.7;
            lambda[i] = i % controllerEvery == 0 ? lean ? 1.13f : 1 : Float.NaN;
            double open = at < 10 ? 0.2 : at < 13 ? 0.5 : Math.max(0.2, 0.5 - 0.1 * (at - 13));
            throttle[i] = i % throttleEvery == 0 ? (float) open : Float.NaN;
            speed[i] = 25;
        }
        return new Drive(time, lambda, lambda.clone(), null, speed, null, throttle, null, null, null);
    }

    /** A row without a throttle is none in which it opened, and none in which it was shut. */
    @ParameterizedTest
    @ValueSource(ints = {1, 4})
    void openingsAreCountedOnceHoweverSeldomTheThrottleIsWritten(int every) {
        DriveFound found = DriveFound.of(drive(every, 1), ASKED, List.of());
        assertThat(found.openings()).isEqualTo(ROUNDS);
        assertThat(found.events()).filteredOn(e -> e.kind() == DriveEvent.Kind.TIP_IN).hasSize(ROUNDS)
                .allSatisfy(e -> assertThat(e.load()).isBetween(0.49, 0.51));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void anAverageGoesOnOverRowsWithoutAMixture(int every) {
        Drive drive = drive(1, every);
        float[] averaged = new ReaderResponse(0, 0.5).averaged(drive);
        int last = (int) (10.7 * RATE) - 1;
        double expected = 1.13 - 0.13 * Math.exp(-0.6 / 0.5);
        assertThat((double) averaged[last]).isBetween(expected - 0.02, expected + 0.02);
    }
}
