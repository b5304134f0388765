package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.bench.BenchTrial.Count;
import amberheron.bench.BenchTrial.Kind;
import amberheron.core.scaling.Diagnosis;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What people and benches do beside the faults that are looked for. Thousands are run by the benchmark. */
class BenchTrialTest {
    private static final int MANY = 15;

    @Test
    void rowsWrittenDownWrongAreAskedForAndNobodyIsAccused() {
        Count exchanged = Count.of(Kind.EXCHANGED, 5000, MANY);
        assertThat(exchanged.rowsNamed()).isGreaterThanOrEqualTo(MANY - 1);
        assertThat(exchanged.deceived()).isZero();
        Count mistyped = Count.of(Kind.MISTYPED, 5000, MANY);
        assertThat(mistyped.rowsNamed()).isGreaterThanOrEqualTo(MANY - 3);
        assertThat(mistyped.deceived()).isLessThanOrEqualTo(2);
        assertThat(Count.of(Kind.BENT_METER, 5000, MANY).deceived()).isZero();
    }

    /** Where an input ends early, the setting is still right below: it is offered with its range, and keeps it. */
    @Test
    void anInputThatEndsEarlyLeavesASettingThatIsGoodBelow() {
        Count clipped = Count.of(Kind.CLIPPED, 6000, MANY);
        assertThat(clipped.right()).isGreaterThanOrEqualTo(MANY - 1);
        assertThat(clipped.offered()).isGreaterThanOrEqualTo(MANY * 4 / 5);
        assertThat(clipped.broken()).isZero();
    }

    @Test
    void pairsOfFaultsAreSeldomTakenForOneWithCertainty() {
        Count pulled = Count.of(Kind.PULL_UP_AND_MORE, 7000, MANY);
        Count clipped = Count.of(Kind.CLIPPED_AND_MORE, 7000, MANY);
        assertThat(pulled.deceived() + clipped.deceived()).isLessThanOrEqualTo(2);
        assertThat(pulled.broken() + clipped.broken()).isLessThanOrEqualTo(1);
        assertThat(clipped.right()).isGreaterThanOrEqualTo(MANY - 3);
        assertThat(Count.of(Kind.UNLISTED_AND_SHIFT, 7000, MANY).offered()).isLessThanOrEqualTo(3);
    }

    @Test
    void onePlaceProvesNothing() {
        List<Diagnosis> found = IntStream.range(0, 10).mapToObj(i -> BenchTrial.of(Kind.ONE_PLACE, i).diagnosed())
                .toList();
        assertThat(found).allSatisfy(d -> {
            assertThat(d.proves()).isFalse();
            assertThat(d.nextPoint()).isNotNull();
            assertThat(d.offer()).isNull();
        });
    }
}
