package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import amberheron.core.trim.TrimSheet;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Advice on the fuelling from drives of which every bin's need is known. */
class TrimTrialTest {
    /** Targets fall by a fifth over 30 kPa: an engine that follows them needs nothing, wherever in a bin it was driven. */
    @Test
    void anEngineThatFollowsItsTargetsIsLeftAlone() {
        for (int i = 0; i < 3; i++) {
            TrimPlan plan = TrimTrial.of(70_000 + i, 0, 0).plan(TrimSheet.NONE);
            assertThat(plan.cells()).filteredOn(c -> c.state() == State.DONE).hasSizeGreaterThan(12);
            assertThat(TrimTrial.worst(plan, 0)).as("drive %d", i).isLessThan(0.01);
        }
    }

    @Test
    void aKnownErrorIsFoundInEveryBin() {
        for (double off : new double[]{0.06, -0.06}) {
            TrimTrial trial = TrimTrial.of(71_000, off, off);
            TrimPlan plan = trial.plan(TrimSheet.NONE);
            assertThat(trial.mistold(plan)).isLessThan(0.01);
            assertThat(plan.cells()).filteredOn(c -> c.state() == State.ADVISED && c.load() < 60_000)
                    .hasSizeGreaterThan(8)
                    .allSatisfy(c -> assertThat(Math.abs(Objects.requireNonNull(c.advice())))
                            .isBetween(0.03, Math.abs(Objects.requireNonNull(c.need())) + 5e-4));
        }
    }

    /** Too rich at full load by 10 %: held back until it is asked for, then given in small steps where it is sure. */
    @Test
    void lessFuelAtFullLoadIsHeldBackUntilItIsAskedFor() {
        TrimTrial rich = TrimTrial.of(72_000, 0, -0.1);
        List<Cell> held = rich.plan(TrimSheet.NONE).cells().stream().filter(c -> c.state() == State.LEANER).toList();
        assertThat(held).isNotEmpty().allSatisfy(c -> assertThat(c.advice()).isNull())
                .allSatisfy(c -> assertThat(c.load()).isGreaterThan(75_000));
        assertThat(rich.plan(TrimSheet.NONE).cells()).filteredOn(c -> c.advice() != null && c.load() > 80_000)
                .allSatisfy(c -> assertThat(c.advice()).isPositive());
        TrimPlan asked = rich.plan(TrimSheet.NONE.withLeaner(true));
        assertThat(asked.cells()).filteredOn(c -> c.advice() != null && c.load() > 80_000)
                .isNotEmpty()
                .allSatisfy(c -> assertThat(c.seconds()).isGreaterThanOrEqualTo(10))
                .allSatisfy(c -> assertThat(c.advice()).isBetween(-TrimPlan.LEANER_STEP, 0.0));
        TrimTrial lean = TrimTrial.of(73_000, 0, 0.1);
        assertThat(lean.plan(TrimSheet.NONE).cells()).filteredOn(c -> c.load() > 85_000 && c.advice() != null)
                .as("more fuel is given as ever").isNotEmpty();
    }
}
