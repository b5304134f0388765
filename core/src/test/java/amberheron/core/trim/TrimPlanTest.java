package amberheron.core.trim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineAsked;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Fuelling.Gate;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.drivelog.LogCheck;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TrimPlanTest {
    private static final EngineAsked ASKED = new EngineAsked(Set.of(), 0.62, 1.38, 0.5, 1.6, 0, null);
    private static final TrimPlan.Asked NOTHING_AGAINST = new TrimPlan.Asked(Set.of(), List.of(), TrimPlan.MOST);
    private static final TrimSheet BINS = new TrimSheet(List.of(1000.0, 2000.0, 3000.0, 4000.0),
            List.of(30_000.0, 45_000.0, 60_000.0), List.of());

    /** Stays of eight seconds all over speed and load, the mixture off by so much in one place. */
    private static Fuelling driven(double off, double kelvin, double noise) {
        int stays = 72;
        int rows = stays * 160;
        double[] time = new double[rows];
        float[][] c = new float[5][rows];
        Random random = new Random(7);
        for (int i = 0; i < rows; i++) {
            int stay = i / 160;
            float rpm = 1000 + 1000 * (stay % 4);
            float load = 30_000 + 15_000 * (stay / 4 % 3);
            time[i] = i * 0.05;
            c[0][i] = (float) (1 + (rpm == 3000 && load == 45_000 ? off : 0) + noise * random.nextGaussian());
            c[1][i] = rpm;
            c[2][i] = load;
            c[3][i] = (float) kelvin;
            c[4][i] = 25;
        }
        return Objects.requireNonNull(DriveFound
                .of(new Drive(time, c[0], c[0], c[1], c[4], c[2], null, c[3], null, null), ASKED, List.of())
                .fuelling());
    }

    private static TrimPlan plan(Fuelling fuelling, TrimSheet sheet, TrimPlan.Asked asked) {
        return TrimPlan.of(fuelling, sheet, asked).orElseThrow();
    }

    @Test
    void oneBinOffIsAdvisedAndItsNeighboursAreLeftAlone() {
        TrimPlan plan = plan(driven(0.06, 360, 0.004), BINS, NOTHING_AGAINST);
        Cell off = plan.cell(2, 1);
        assertThat(off.state()).isEqualTo(State.ADVISED);
        assertThat(off.need()).isCloseTo(0.06, within(0.003));
        // Smoothed and drawn towards nothing: less than asked for, but the greater part of it.
        assertThat(off.advice()).isBetween(0.025, 0.06);
        assertThat(plan.cells()).filteredOn(c -> !c.equals(off))
                .extracting(Cell::state)
                .containsOnly(State.DONE);
    }

    @Test
    void aCarburettorIsLeftToCruiseRich() {
        TrimPlan plan = plan(driven(0, 360, 0.004), BINS,
                new TrimPlan.Asked(Set.of(EngineTrait.CARBURETTOR), List.of(), TrimPlan.MOST));
        // At λ 1 it is 14.7 / 13 - 1 leaner than it cruises.
        assertThat(plan.cell(0, 0).need()).isCloseTo(0.131, within(0.005));
    }

    @Test
    void theSignOfAdviceIsFuel() {
        assertThat(plan(driven(-0.08, 360, 0.004), BINS, NOTHING_AGAINST).cell(2, 1).advice()).isNegative();
    }

    @Property(tries = 10)
    void nothingIsAdvisedBeyondItsLimit(@ForAll @DoubleRange(min = -0.35, max = 0.35) double off) {
        plan(driven(off, 360, 0.01), BINS, NOTHING_AGAINST).cells().forEach(c -> {
            if (c.advice() != null) {
                assertThat(Math.abs(c.advice())).isLessThanOrEqualTo(TrimPlan.MOST);
                assertThat(c.advice() * Objects.requireNonNull(c.need())).isGreaterThanOrEqualTo(0);
            }
        });
    }

    @Test
    void aBinAtItsLimitTwiceIsAFaultAndIsNotTrimmed() {
        Fuelling lean = driven(0.22, 360, 0.004);
        assertThat(plan(lean, BINS, NOTHING_AGAINST).cell(2, 1).state()).isEqualTo(State.LIMIT);
        TrimSheet again = new TrimSheet(BINS.speeds(), BINS.loads(),
                List.of(new TrimSheet.BinTarget(3000, 45_000, null, 0.2)));
        TrimPlan second = plan(lean, again, NOTHING_AGAINST);
        assertThat(second.cell(2, 1).state()).isEqualTo(State.FAULT);
        assertThat(second.cell(2, 1).advice()).isNull();
        assertThat(second.findings()).filteredOn(f -> f.check().is(TrimCheck.FAULT)).extracting(Finding::verdict)
                .containsExactly(Verdict.FAIL);
        TrimSheet otherWay = new TrimSheet(BINS.speeds(), BINS.loads(),
                List.of(new TrimSheet.BinTarget(3000, 45_000, null, -0.2)));
        assertThat(plan(lean, otherWay, NOTHING_AGAINST).cell(2, 1).state()).isEqualTo(State.LIMIT);
    }

    @Test
    void aColdEngineGivesNoEvidence() {
        Fuelling cold = driven(0.06, 335, 0.004);
        assertThat(cold.spots()).isEmpty();
        assertThat(cold.leftOut()).containsKey(Gate.COLD);
        assertThat(TrimPlan.of(cold, BINS, NOTHING_AGAINST)).isEmpty();
        assertThat(cold.missing().orElseThrow().metric()).contains("The coolant settled at 62 °C").contains("70 °C");
    }

    /** A thermostat that opens at 80 °C: the engine is as warm as it gets. */
    @Test
    void warmIsWhereTheEngineSettles() {
        Fuelling warm = driven(0.06, 353, 0.004);
        assertThat(warm.settled()).isCloseTo(353, within(0.01));
        assertThat(warm.missing()).isEmpty();
        assertThat(plan(warm, BINS, NOTHING_AGAINST).cell(2, 1).state()).isEqualTo(State.ADVISED);
        Fuelling untold = driven(0.06, Double.NaN, 0.004);
        assertThat(untold.settled()).isNull();
        assertThat(untold.leftOut().get(Gate.COLD)).as("without a temperature five minutes count").isCloseTo(300,
                within(1.0));
    }

    /** −3.8 % beside −9 %: the neighbour may not make it −4.5. And −27 % beside sound ones is still at its limit. */
    @Test
    void neighboursNeitherPushABinBeyondItsNeedNorHideItsLimit() {
        Fuelling seen = new Fuelling(LoadAxis.PRESSURE,
                List.of(new Fuelling.Spot(2000, 45_000, 9, 4, 0.91, 0.003),
                        new Fuelling.Spot(3000, 45_000, 9, 4, 0.962, 0.003),
                        new Fuelling.Spot(3000, 30_000, 9, 4, 0.73, 0.003),
                        new Fuelling.Spot(2000, 30_000, 9, 4, 1, 0.003)),
                Map.of(), 20_000.0, null);
        TrimPlan plan = plan(seen, BINS, NOTHING_AGAINST);
        assertThat(plan.cell(2, 1).need()).isCloseTo(-0.038, within(1e-9));
        assertThat(plan.cell(2, 1).advice()).isBetween(-0.038, -0.03);
        assertThat(plan.cell(2, 0).state()).isEqualTo(State.LIMIT);
        assertThat(plan.cell(2, 0).advice()).isEqualTo(-TrimPlan.MOST);
        TrimSheet given = plan.given(BINS);
        assertThat(plan(seen, given, NOTHING_AGAINST).cell(2, 0).state()).isEqualTo(State.FAULT);
    }

    @Test
    void whatIsOnItsWayIsLeftOut() {
        // Each of the 71 changes of load or speed takes the dwell, and the moments before and in it.
        Fuelling fuelling = driven(0, 360, 0.004);
        assertThat(fuelling.leftOut().get(Gate.MOVING)).isBetween(30.0, 60.0);
        assertThat(fuelling.leftOut().get(Gate.COLD)).isCloseTo(60, within(1.0));
        assertThat(fuelling.distance()).isCloseTo(25 * 576, within(30.0));
    }

    @Test
    void theMoreIsKnownTheMoreIsAdvised() {
        Fuelling all = driven(0.06, 360, 0.004);
        Fuelling noisy = driven(0.06, 360, 0.08);
        Cell sure = plan(all, BINS, NOTHING_AGAINST).cell(2, 1);
        Cell unsure = plan(noisy, BINS, NOTHING_AGAINST).cell(2, 1);
        assertThat(sure.sure()).isGreaterThan(unsure.sure());
        assertThat(sure.sure()).isBetween(0.9, 1.0);
    }

    @Test
    void whileTheNumberLiesNothingIsAdvised() {
        Finding lies = new Finding(LogCheck.BIAS, "Offset at λ 1", Verdict.FAIL, null, null, "The reader reads lean.",
                null, "", Source.practice("made up for the test"));
        TrimPlan held = plan(driven(0.06, 360, 0.004), BINS,
                new TrimPlan.Asked(Set.of(), List.of(lies), TrimPlan.MOST));
        assertThat(held.released()).isFalse();
        assertThat(held.cells()).allMatch(c -> c.advice() == null);
    }

    @Test
    void aTargetOfTheShopsOwnStandsBeforeTheUsual() {
        TrimSheet rich = new TrimSheet(BINS.speeds(), BINS.loads(),
                List.of(new TrimSheet.BinTarget(1000, 30_000, 0.95, null)));
        assertThat(plan(driven(0, 360, 0.004), rich, NOTHING_AGAINST).cell(0, 0).need()).isCloseTo(0.0526,
                within(0.003));
    }

    @Test
    void binsThatDoNotRiseAreRefused() {
        assertThatThrownBy(() -> new TrimSheet(List.of(2000.0, 1000.0), List.of(), List.of()))
                .hasMessageContaining("rise");
        assertThat(TrimSheet.NONE.loadBins(LoadAxis.PRESSURE, 98_000)).startsWith(30_000.0, 40_000.0)
                .endsWith(100_000.0);
    }

    /** One short visit may be anything; two, or one long stay, are evidence. */
    @ParameterizedTest
    @CsvSource({"3, 1, TOO_LITTLE", "3, 2, ADVISED", "1.9, 4, TOO_LITTLE", "5, 1, ADVISED"})
    void howOftenAndHowLongABinHasToBeVisited(double seconds, int visits, State state) {
        Fuelling seen = new Fuelling(LoadAxis.PRESSURE,
                List.of(new Fuelling.Spot(3000, 45_000, seconds, visits, 1.06, 0.004)), Map.of(), 20_000.0, null);
        assertThat(plan(seen, BINS, NOTHING_AGAINST).cell(2, 1).state()).isEqualTo(state);
    }
}
