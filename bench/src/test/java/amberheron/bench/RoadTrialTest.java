package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Drives worked out from engine, pipe and sensor, judged by what their logs show. */
class RoadTrialTest {
    private static final RoadTrial.Events NOTHING = new RoadTrial.Events(0, 0, 0, 0);

    private static RoadTrial.Events pulls(long seed, int drives, RoadDrive.Mistake mistake) {
        return IntStream.range(0, drives).mapToObj(i -> RoadTrial.of(seed + i, mistake, 300))
                .map(t -> t.leanPulls(t.judged())).reduce(NOTHING, RoadTrial.Events::plus);
    }

    /** Full throttle after fuel cut, gear changes with and without it, sensors of 0.06 to 0.3 s. */
    @Test
    void aSoundDriveIsNotCalledLean() {
        RoadTrial.Events sound = pulls(40_000, 12, RoadDrive.Mistake.NONE);
        assertThat(sound.minutes()).isGreaterThan(60);
        assertThat(sound.wrong()).isZero();
    }

    @Test
    void aPullThatIsBurntLeanIsFound() {
        RoadTrial.Events second = pulls(41_000, 6, new RoadDrive.Mistake(3, 1, 1.03, 1));
        assertThat(second.asked()).isGreaterThan(10);
        assertThat(second.found()).isEqualTo(second.asked());
        assertThat(second.wrong()).isZero();
        RoadTrial.Events half = pulls(42_000, 8, new RoadDrive.Mistake(3, 0.5, 1.03, 1));
        assertThat(half.found()).isGreaterThanOrEqualTo((int) Math.ceil(0.9 * half.asked()));
        // So lean that the controller's output ends.
        RoadTrial.Events far = pulls(43_000, 4, new RoadDrive.Mistake(3, 1.5, 1.45, 1));
        assertThat(far.found()).isEqualTo(far.asked());
    }

    /** What the trials rest on: gas comes late, a slow sensor shows less of a short change, and nothing is found of itself. */
    @Test
    void thePipeIsLateAndTheSensorSlow() {
        RoadDrive.Traits car = RoadDrive.Traits.drawn(new Random(3));
        RoadDrive.Mistake mistake = new RoadDrive.Mistake(1, 0.5, 1.1, 1);
        double[] worst = {0.06, 0.3};
        double[] seen = new double[2];
        for (int i = 0; i < 2; i++) {
            RoadDrive drive = RoadDrive.of(car.withSensor(worst[i]), mistake, 120, false, new Random(4));
            RoadDrive.Span span = drive.lean().getFirst();
            RoadDrive.Moment last = drive.moments().stream().filter(m -> m.time() >= span.from() - 0.01).findFirst()
                    .orElseThrow();
            assertThat(last.seen()).isLessThan(0.95);
            seen[i] = drive.moments().stream().filter(m -> m.time() > span.from() && m.time() < span.to() + 0.3)
                    .mapToDouble(RoadDrive.Moment::seen).max().orElseThrow();
        }
        assertThat(seen[0]).isBetween(1.07, 1.1001);
        assertThat(seen[1]).isLessThan(seen[0] - 0.02);
    }
}
