package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What was burnt, worked back from a sensor that lags, on gas whose every step is known. */
class BurntMixtureTest {
    private static final EngineAsked ASKED = new EngineAsked(Set.of(), 0.62, 1.36, 0.5, 1.5, 0, null);
    private static final double RATE = 25;

    /** A sensor of first order on oxygen, on gas that changes in steps. */
    private static Drive drive(double sensor, double seconds, DoubleUnaryOperator burnt, DoubleUnaryOperator throttle) {
        int n = (int) (seconds * RATE);
        double[] time = new double[n];
        float[] lambda = new float[n];
        float[] open = new float[n];
        float[] rpm = new float[n];
        double x = 0;
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < 20; k++) {
                double at = (i - 1 + (k + 1) / 20.0) / RATE;
                double l = burnt.applyAsDouble(at);
                double u = l >= 1 ? (l - 1) / (l + 0.06) : 1.3 * (1 - 1 / l);
                x += (u - x) * (1 - Math.exp(-1 / RATE / 20 / sensor));
            }
            time[i] = i / RATE;
            lambda[i] = (float) Math.clamp(x >= 0 ? (1 + 0.06 * x) / (1 - x) : 1 / (1 - x / 1.3), 0.62, 1.36);
            open[i] = (float) throttle.applyAsDouble(time[i]);
            rpm[i] = 3000;
        }
        return new Drive(time, lambda, lambda.clone(), rpm, null, null, open, null, null, null);
    }

    /** Seconds in which it was too lean, of a drive that goes round in 20 s: cruise, overrun with cut, full load. */
    private static double lean(double sensor, double from, double to, double lambda) {
        Drive drive = drive(sensor, 80, t -> {
            double at = t % 20;
            double before = (t - 0.1) % 20;
            boolean wrong = t >= 20 + from && t < 20 + to;
            return wrong ? lambda : before < 10 || at < 0.1 ? 1 : before < 13 ? 50 : 0.82;
        }, t -> t % 20 < 10 ? 0.2 : t % 20 < 13 ? 0 : 1);
        BurntMixture burnt = new BurntMixture(drive, ASKED, List.of());
        boolean[] lean = burnt.tooLean();
        int rows = 0;
        for (int i = 0; i < lean.length; i++) {
            rows += lean[i] ? 1 : 0;
            if (lean[i]) {
                assertThat(drive.time()[i]).as("found where it was").isBetween(20 + from - 0.05, 20 + to + 0.6);
            }
        }
        return rows / RATE;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.06, 0.1, 0.2, 0.3})
    void theSensorsTimeConstantIsToldByTheEndsOfCuts(double sensor) {
        Drive drive = drive(sensor, 100, t -> t % 20 < 10 ? 1 : t % 20 < 13 ? 50 : 0.82,
                t -> t % 20 < 10 ? 0.2 : t % 20 < 13 ? 0 : 1);
        assertThat(new BurntMixture(drive, ASKED, List.of()).sensor()).isCloseTo(sensor, within(0.12 * sensor + 0.005));
    }

    /** Full throttle right after a cut is not lean, however slow the sensor; a lean pull is, for as long as it was. */
    @ParameterizedTest
    @ValueSource(doubles = {0.06, 0.15, 0.3})
    void whatIsLeftOfACutIsNoLeanPullAndALeanPullIsOne(double sensor) {
        assertThat(lean(sensor, 0, 0, 1)).isZero();
        assertThat(lean(sensor, 15, 16, 1.05)).isBetween(0.8, 1.4);
        assertThat(lean(sensor, 15, 15.5, 1.05)).isBetween(0.3, 0.9);
        assertThat(lean(sensor, 15, 16.5, 1.6)).as("beyond what the controller can tell").isGreaterThan(0.5);
        assertThat(lean(sensor, 15, 16, 0.88)).as("within what full load allows").isZero();
    }

    /** Where nothing tells the sensor, the usual is taken. */
    @Test
    void withoutACutTheUsualSensorIsTaken() {
        Drive drive = drive(0.2, 40, t -> t < 20 ? 1 : 0.82, t -> t < 20 ? 0.2 : 1);
        BurntMixture burnt = new BurntMixture(drive, ASKED, List.of());
        assertThat(burnt.sensor()).isEqualTo(0.12);
        assertThat(burnt.tooLean()).containsOnly(false);
    }
}
