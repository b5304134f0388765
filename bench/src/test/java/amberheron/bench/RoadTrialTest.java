package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.scaling.Tolerance;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Drives worked out from engine, pipe and sensor, judged by what their logs show. */
class RoadTrialTest {

    private static RoadTrial.Events pulls(long seed, int drives, RoadDrive.Mistake mistake) {
        return IntStream.range(0, drives).mapToObj(i -> RoadTrial.of(seed + i, mistake, 240))
                .map(t -> t.leanPulls(t.judged())).reduce(RoadTrial.Events.NONE, RoadTrial.Events::plus);
    }

    /** Full throttle after fuel cut, gear changes with and without it, sensors of 0.06 to 0.3 s. */
    @Test
    void aSoundDriveIsNotCalledLean() {
        RoadTrial.Events sound = pulls(40_000, 5, RoadDrive.Mistake.NONE);
        assertThat(sound.minutes()).isGreaterThan(18);
        assertThat(sound.wrong()).isZero();
    }

    @Test
    void aPullThatIsBurntLeanIsFound() {
        RoadTrial.Events second = pulls(41_000, 2, new RoadDrive.Mistake(3, 1, 1.03, 1));
        assertThat(second.asked()).isGreaterThan(3);
        assertThat(second.found()).isEqualTo(second.asked());
        assertThat(second.wrong()).isZero();
        RoadTrial.Events half = pulls(42_000, 3, new RoadDrive.Mistake(3, 0.5, 1.03, 1));
        assertThat(half.found()).isGreaterThanOrEqualTo((int) Math.ceil(0.9 * half.asked()));
        // So lean that the controller's output ends.
        RoadTrial.Events far = pulls(43_000, 2, new RoadDrive.Mistake(3, 1.5, 1.45, 1));
        assertThat(far.found()).isEqualTo(far.asked());
    }

    /** λ 1.12 for 0.4 s at each opening of the throttle out of cruise, and none where the fuelling is right. */
    @Test
    void aMixtureThatLeansOutAsTheThrottleOpensIsFound() {
        RoadTrial.Events wrong = RoadTrial.Events.NONE;
        RoadTrial.Events sound = RoadTrial.Events.NONE;
        for (int i = 0; i < 2; i++) {
            RoadTrial lean = RoadTrial.of(44_000 + i, new RoadDrive.Mistake(0, 0, 1, 1.12), 240);
            DriveFound found = lean.judged();
            wrong = wrong.plus(lean.tipIns(found));
            assertThat(Objects.requireNonNull(found.openings())).isGreaterThanOrEqualTo(2);
            RoadTrial right = RoadTrial.of(45_000 + i, RoadDrive.Mistake.NONE, 240);
            sound = sound.plus(right.tipIns(right.judged()));
        }
        assertThat(sound.wrong()).isZero();
        assertThat(wrong.wrong()).isZero();
        assertThat(wrong.found()).as("found of %d", wrong.asked()).isGreaterThan((int) (0.75 * wrong.asked()));
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

    /** Readers with a filter of up to 0.5 s, a delay of up to 0.4 s, of two digits and of three. */
    @Test
    void aFilterIsNoGain() {
        int inside = 0;
        int all = 0;
        for (int i = 0; i < 5; i++) {
            RoadTrial trial = RoadTrial.ofReader(i, 300);
            RoadTrial.Reader reader = trial.reader();
            Agreement found = Objects.requireNonNull(trial.judged().agreement());
            double gain = Objects.requireNonNull(found.gain());
            if (reader.digit() < 0.005) {
                assertThat(gain).as("trial %d, %s", i, reader).isCloseTo(reader.gain(), within(0.005));
            }
            inside += reader.offset() >= found.offsetLow() && reader.offset() <= found.offsetHigh() ? 1 : 0;
            inside += reader.gain() >= Objects.requireNonNull(found.gainLow())
                    && reader.gain() <= Objects.requireNonNull(found.gainHigh()) ? 1 : 0;
            all += 2;
        }
        assertThat(inside).as("intervals of 95 %% hold the truth in %d", all).isGreaterThanOrEqualTo(all - 2);
    }

    /** A reader that is right gives no cause for a second look: not by its ends in fuel cut, nor by one moment. */
    @Test
    void aRightReaderIsLeftInPeace() {
        int standsOut = 0;
        for (int i = 0; i < 5; i++) {
            RoadTrial trial = RoadTrial.of(60_000 + i, RoadDrive.Mistake.NONE, 300);
            DriveFound.In in = DriveFound.in(trial.drive(), trial.asked(), List.of(), null);
            assertThat(in.found().lost()).as("trial %d", i).isZero();
            assertThat(in.found().frozen()).as("trial %d", i).isZero();
            standsOut += Math.abs(LogComparison.of(in.drive(), in.compared()).worst()) > 3 * Tolerance.LAMBDA ? 1 : 0;
        }
        assertThat(standsOut).isLessThanOrEqualTo(1);
    }

    /** Stuck for 15 s at idle, where the closed loop goes to and fro by little. */
    @Test
    void aReaderThatStandsStillAtIdleIsSeen() {
        Random random = new Random(61_000);
        RoadTrial trial = RoadTrial.of(RoadDrive.Traits.drawn(random), RoadDrive.Mistake.NONE,
                new RoadTrial.Reader(0, 1, 0.1, 0, 0.001, 0.5, 1.5, 0.001), 120, random);
        Drive drive = trial.drive();
        float[] reader = drive.reader().clone();
        int last = reader.length - 1;
        int from = last;
        while (drive.time()[last] - drive.time()[from] < 9) {
            from--;
        }
        Arrays.fill(reader, from, last, reader[from]);
        Drive stuck = new Drive(drive.time(), drive.controller(), reader, drive.engineSpeed(), drive.speed(),
                drive.pressure(), drive.throttle(), drive.temperature(), null, null);
        assertThat(DriveFound.of(stuck, trial.asked(), List.of()).frozen()).isGreaterThan((last - from) / 2);
    }
}
