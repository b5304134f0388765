package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.bench.DriveTrial.Fault;
import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Regime.Kind;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Drives of which everything is known, and what is found in them. */
class DriveTrialTest {
    private static final int TRIALS = 12;
    private static final List<DriveTrial> DRIVES = IntStream.range(0, TRIALS)
            .mapToObj(i -> DriveTrial.of(i, 4, DriveTrial.drawn(new Random(1000 + i)))).toList();
    private static final List<DriveFound> FOUND = DRIVES.stream()
            .map(d -> DriveFound.of(d.drive(), DriveTrial.ASKED, List.of()))
            .toList();

    private static Agreement agreement(int i) {
        return Objects.requireNonNull(FOUND.get(i).agreement());
    }

    @Test
    void offsetGainAndLagAreFoundWithinWhatIsPromised() {
        int inside = 0;
        for (int i = 0; i < TRIALS; i++) {
            Fault fault = DRIVES.get(i).fault();
            assertThat(agreement(i).offset()).as("offset of %s", fault).isCloseTo(fault.offset(), within(0.002));
            assertThat(Objects.requireNonNull(agreement(i).gain())).as("gain of %s", fault).isCloseTo(fault.gain(),
                    within(0.01));
            assertThat(Objects.requireNonNull(agreement(i).lag())).as("lag of %s", fault).isCloseTo(fault.lag(),
                    within(0.005));
            inside += fault.offset() >= agreement(i).offsetLow() && fault.offset() <= agreement(i).offsetHigh() ? 1 : 0;
        }
        assertThat(inside).as("the interval holds it about 95 times in 100").isGreaterThanOrEqualTo(TRIALS * 3 / 4);
    }

    @Test
    void whatWasLostIsCounted() {
        for (int i = 0; i < TRIALS; i++) {
            assertThat(FOUND.get(i).lost()).isBetween((int) (0.9 * DRIVES.get(i).lost()) - 2, DRIVES.get(i).lost());
        }
    }

    /** Found where it was, and nowhere else. */
    @Test
    void leanPullsAreFoundAndNoOthers() {
        for (int i = 0; i < TRIALS; i++) {
            List<DriveEvent> lean = FOUND.get(i).events(DriveEvent.Kind.LEAN);
            List<double[]> truth = DRIVES.get(i).lean();
            assertThat(lean).as("drive %d", i).hasSameSizeAs(truth);
            for (int k = 0; k < truth.size(); k++) {
                assertThat(lean.get(k).from()).isBetween(truth.get(k)[0] - 0.1, truth.get(k)[1]);
                assertThat(Objects.requireNonNull(lean.get(k).load())).isGreaterThan(0.9);
            }
            assertThat(FOUND.get(i).events(DriveEvent.Kind.LEAK)).hasSize(DRIVES.get(i).fault().leak() > 0 ? 1 : 0);
        }
    }

    @Test
    void theWayTheEngineWasRunIsRightNearlyAlways() {
        long right = 0;
        long all = 0;
        for (int i = 0; i < TRIALS; i++) {
            DriveTrial trial = DRIVES.get(i);
            all += trial.labelled();
            right += trial.right(FOUND.get(i));
        }
        assertThat((double) right / all).isGreaterThan(0.95);
    }

    /** What is right at each way of running, of an engine in order. */
    @Test
    void anEngineInOrderIsRightInEveryRegimeThatSaysAnything() {
        DriveFound found = DriveFound.of(DriveTrial.of(5, 3, new Fault(0, 1, 0.2, 0.001, 0, 0, 0)).drive(),
                DriveTrial.ASKED, List.of());
        assertThat(found.events()).isEmpty();
        assertThat(found.regimes()).filteredOn(r -> r.kind().says())
                .allMatch(r -> r.verdict() == amberheron.core.finding.Verdict.PASS);
        assertThat(found.regimes()).extracting(Regime::kind).contains(Kind.COLD_START, Kind.IDLE, Kind.CRUISE,
                Kind.ACCELERATION, Kind.FULL_LOAD, Kind.LIFT_OFF);
        assertThat(found.notTold()).isEmpty();
    }
}
