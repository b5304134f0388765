package amberheron.core.trim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Fuelling.Spot;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.trim.TrimPlan.Asked;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import amberheron.core.trim.TrimSheet.BinTarget;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The figures of a plan, worked out by hand from spots that are known, as docs/methods.md has them. */
class TrimFiguresTest {
    private static final Asked NOTHING_AGAINST = new Asked(Set.of(), List.of(), TrimPlan.MOST);
    /** Cruise at λ 1 everywhere: far below full load. */
    private static final TrimSheet BINS = new TrimSheet(List.of(1000.0, 2000.0, 3000.0), List.of(30_000.0, 40_000.0),
            List.of());

    private static Spot spot(double speed, double load, double seconds, int visits, double lambda) {
        return new Spot(speed, load, seconds, visits, lambda, 0);
    }

    private static TrimPlan plan(TrimSheet sheet, Spot... spots) {
        return TrimPlan
                .of(new Fuelling(LoadAxis.PRESSURE, List.of(spots), Map.of(), 20_000.0, null), sheet, NOTHING_AGAINST)
                .orElseThrow();
    }

    private static Finding finding(TrimPlan plan, TrimCheck check) {
        return plan.findings().stream().filter(f -> f.check().is(check)).findFirst().orElseThrow();
    }

    private static double sure(double doubt) {
        return 0.05 * 0.05 / (0.05 * 0.05 + doubt * doubt);
    }

    /** Two spots in one bin: means go by their seconds, visits by the greater, and both spreads and their distance scatter. */
    @Test
    void aBinIsTheMeanOfItsSpotsByTheirTime() {
        Cell cell = plan(BINS, new Spot(1900, 30_000, 6, 3, 1.00, 0.02), new Spot(2100, 30_000, 2, 1, 1.04, 0.04))
                .cell(1, 0);
        double mean = (6 * 1.00 + 2 * 1.04) / 8;
        double scatter = Math.sqrt((6 * (0.02 * 0.02 + Math.pow(1.00 - mean, 2))
                + 2 * (0.04 * 0.04 + Math.pow(1.04 - mean, 2))) / 8);
        // At 1950 one drove a tenth of half the bin's width off its middle, and the need may change by 1 % over that half.
        double doubt = Math.hypot(Math.hypot(scatter, 0.01) / Math.sqrt(3 + 8 / 5.0), 0.01 * 0.1);
        assertThat(cell.seconds()).isEqualTo(8);
        assertThat(cell.visits()).isEqualTo(3);
        assertThat(cell.lambda()).isCloseTo(mean, within(1e-12));
        assertThat(cell.need()).isCloseTo(mean - 1, within(1e-12));
        assertThat(cell.doubt()).isCloseTo(doubt, within(1e-12));
        assertThat(cell.sure()).isCloseTo(sure(doubt), within(1e-12));
    }

    /** One short stay is one stay, not less: its doubt does not grow beyond that. */
    @Test
    void aShortStayCountsAsOne() {
        Cell cell = plan(BINS, spot(2000, 30_000, 1, 0, 1.03)).cell(1, 0);
        assertThat(cell.doubt()).isCloseTo(0.01, within(1e-12));
        assertThat(cell.state()).isEqualTo(State.TOO_LITTLE);
        assertThat(cell.advice()).isNull();
    }

    /** A need is a part of what is wanted, and so is its doubt. */
    @Test
    void whereAnotherMixtureIsWantedTheNeedIsAPartOfIt() {
        TrimSheet rich = new TrimSheet(BINS.speeds(), BINS.loads(), List.of(new BinTarget(2000, 30_000, 0.8, null)));
        Cell cell = plan(rich, spot(2000, 30_000, 10, 2, 0.88)).cell(1, 0);
        assertThat(cell.target()).isEqualTo(0.8);
        assertThat(cell.need()).isCloseTo(0.1, within(1e-12));
        assertThat(cell.doubt()).isCloseTo(0.01 / Math.sqrt(4) / 0.8, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"2, 2, ADVISED", "1.99, 2, TOO_LITTLE", "4.99, 1, TOO_LITTLE", "5, 1, ADVISED", "5, 0, ADVISED"})
    void twoVisitsAndTwoSecondsAreEnoughOrFiveInOne(double seconds, int visits, State state) {
        assertThat(plan(BINS, spot(2000, 30_000, seconds, visits, 1.05)).cell(1, 0).state()).isEqualTo(state);
    }

    /** Its own need, and a quarter of what each neighbour says, each as sure as it is. */
    @Test
    void adviceIsSmoothedWithTheFourAroundIt() {
        TrimPlan plan = plan(BINS, spot(2000, 30_000, 10, 2, 1.10), spot(1000, 30_000, 10, 2, 1.02),
                spot(3000, 30_000, 20, 4, 0.98), spot(2000, 40_000, 5, 1, 1.06), spot(1000, 40_000, 10, 2, 1.15));
        double[] needs = {0.10, 0.02, -0.02, 0.06};
        double[] stays = {4, 4, 8, 2};
        double weight = 0;
        double sum = 0;
        for (int i = 0; i < 4; i++) {
            double w = (i == 0 ? 1 : 0.25) * sure(0.01 / Math.sqrt(stays[i]));
            weight += w;
            sum += w * needs[i];
        }
        double advice = sure(0.01 / 2) * sum / weight;
        assertThat(plan.cell(1, 0).advice()).isCloseTo(Math.round(1000 * advice) / 1000.0, within(1e-12));
        // The one in the corner has two beside it, and none across the edge.
        double own = sure(0.01 / 2);
        double beside = 0.25 * sure(0.01 / 2);
        double above = 0.25 * sure(0.01 / 2);
        assertThat(plan.cell(0, 1).advice()).isCloseTo(Math.round(1000 * own
                * (own * 0.15 + beside * 0.02 + 0.25 * sure(0.01 / Math.sqrt(2)) * 0.06)
                / (own + above + 0.25 * sure(0.01 / Math.sqrt(2)))) / 1000.0, within(1e-12));
    }

    /** What is itself at its limit, or has too little evidence, says nothing of those beside it. */
    @Test
    void aNeighbourOutOfBoundsOrUnsureIsNotAsked() {
        double alone = Objects.requireNonNull(plan(BINS, spot(2000, 30_000, 10, 2, 1.10)).cell(1, 0).advice());
        assertThat(plan(BINS, spot(2000, 30_000, 10, 2, 1.10), spot(1000, 30_000, 10, 2, 1.21)).cell(1, 0).advice())
                .isEqualTo(alone);
        assertThat(plan(BINS, spot(2000, 30_000, 10, 2, 1.10), spot(1000, 30_000, 1, 1, 1.0)).cell(1, 0).advice())
                .isEqualTo(alone);
        assertThat(plan(BINS, spot(2000, 30_000, 10, 2, 1.10), spot(1000, 30_000, 10, 2, 1.0)).cell(1, 0).advice())
                .isLessThan(alone);
    }

    @ParameterizedTest
    @CsvSource({"1.0199, DONE", "1.0201, ADVISED", "0.9801, DONE", "0.9799, ADVISED", "1.1999, ADVISED",
            "1.2001, LIMIT",
            "0.7999, LIMIT"})
    void doneWithinTwoPercentAndAtTheLimitFromTwenty(double lambda, State state) {
        assertThat(plan(BINS, spot(2000, 30_000, 10, 2, lambda)).cell(1, 0).state()).isEqualTo(state);
    }

    /** How much is given at once is the shop's own figure. */
    @Test
    void aShopThatGivesTenPercentGivesNoMore() {
        TrimPlan plan = TrimPlan.of(new Fuelling(LoadAxis.PRESSURE, List.of(spot(2000, 30_000, 10, 2, 1.12)), Map.of(),
                20_000.0, null), BINS, new Asked(Set.of(), List.of(), 0.10)).orElseThrow();
        assertThat(plan.cell(1, 0).state()).isEqualTo(State.LIMIT);
        assertThat(plan.cell(1, 0).advice()).isEqualTo(0.10);
        assertThat(finding(plan, TrimCheck.LIMIT).working().metric()).contains("10 %");
    }

    @ParameterizedTest
    @CsvSource({"0.2, FAULT", "0.199, LIMIT", "-0.2, LIMIT", ", LIMIT"})
    void onlyWhatWasGivenInFullTheSameWayMakesAFault(@Nullable Double given, State state) {
        TrimSheet before = new TrimSheet(BINS.speeds(), BINS.loads(),
                List.of(new BinTarget(2000, 30_000, null, given)));
        TrimPlan plan = plan(before, spot(2000, 30_000, 10, 2, 1.3));
        assertThat(plan.cell(1, 0).state()).isEqualTo(state);
        assertThat(plan.findings().stream().anyMatch(f -> f.check().is(TrimCheck.FAULT)))
                .isEqualTo(state == State.FAULT);
        assertThat(plan.findings().stream().anyMatch(f -> f.check().is(TrimCheck.LIMIT)))
                .isEqualTo(state == State.LIMIT);
        assertThat(plan.cell(1, 0).advice()).isEqualTo(state == State.FAULT ? null : 0.2);
    }

    /** Cruise up to six tenths of full load, full load from nine tenths, and straight between. */
    @ParameterizedTest
    @CsvSource({"PRESSURE, 60795, 1", "PRESSURE, 75993.75, 0.90816", "PRESSURE, 91192.5, 0.81633",
            "PRESSURE, 120000, 0.81633", "THROTTLE, 0.6, 1", "THROTTLE, 0.75, 0.90816", "THROTTLE, 1, 0.81633",
            "AIR, 0.0003, 1", "AIR, 0.000375, 0.90816", "AIR, 0.0005, 0.81633"})
    void whatIsWantedFollowsFromTheLoad(LoadAxis axis, double load, double target) {
        double other = axis == LoadAxis.AIR ? 0.0005 : load * 1.2;
        TrimSheet sheet = new TrimSheet(List.of(2000.0), load < other ? List.of(load, other) : List.of(load),
                List.of());
        TrimPlan plan = TrimPlan.of(new Fuelling(axis, List.of(spot(2000, load, 10, 2, 1),
                spot(2000, Math.max(load, other), 10, 2, 1)), Map.of(), null, null), sheet, NOTHING_AGAINST)
                .orElseThrow();
        assertThat(plan.cell(0, 0).target()).isCloseTo(target, within(1e-5));
    }

    @Test
    void aBoostedEngineAndACarburettorWantOtherMixtures() {
        Fuelling fuelling = new Fuelling(LoadAxis.THROTTLE,
                List.of(spot(2000, 0.2, 10, 2, 1), spot(2000, 1, 10, 2, 1)), Map.of(), null, null);
        TrimSheet sheet = new TrimSheet(List.of(2000.0), List.of(0.2, 1.0), List.of());
        TrimPlan boosted = TrimPlan
                .of(fuelling, sheet, new Asked(Set.of(EngineTrait.BOOSTED), List.of(), TrimPlan.MOST))
                .orElseThrow();
        assertThat(boosted.cell(0, 0).target()).isEqualTo(1);
        assertThat(boosted.cell(0, 1).target()).isCloseTo(0.78, within(1e-12));
        TrimPlan carburettor = TrimPlan
                .of(fuelling, sheet, new Asked(Set.of(EngineTrait.CARBURETTOR), List.of(), TrimPlan.MOST))
                .orElseThrow();
        assertThat(carburettor.cell(0, 0).target()).isCloseTo(13 / 14.7, within(1e-12));
        assertThat(carburettor.cell(0, 1).target()).isCloseTo(12 / 14.7, within(1e-12));
    }

    /** A bin reaches half way to the next; the first and the last as far to the outside. */
    @ParameterizedTest
    @CsvSource({"500, 0", "1499, 0", "1500, 1", "2499, 1", "2500, 2", "3499, 2"})
    void aSpotIsOfTheBinItLiesIn(double speed, int bin) {
        TrimPlan plan = plan(BINS, spot(speed, 30_000, 10, 2, 1));
        for (int i = 0; i < 3; i++) {
            assertThat(plan.cell(i, 0).state()).as("bin %d", i).isEqualTo(i == bin ? State.DONE : State.NOT_DRIVEN);
        }
        assertThat(plan(BINS, spot(499, 30_000, 10, 2, 1)).cells()).allMatch(c -> c.state() == State.NOT_DRIVEN);
        assertThat(plan(BINS, spot(3500, 30_000, 10, 2, 1)).cells()).allMatch(c -> c.state() == State.NOT_DRIVEN);
    }

    @ParameterizedTest
    @CsvSource({", WARN, Road speed was not logged", "15999, WARN, Ride on", "16000, PASS, Far enough"})
    void sixteenKilometresAreFarEnough(@Nullable Double metres, Verdict verdict, String says) {
        Finding found = finding(TrimPlan.of(new Fuelling(LoadAxis.PRESSURE, List.of(spot(2000, 30_000, 10, 2, 1)),
                Map.of(), metres, null), BINS, NOTHING_AGAINST).orElseThrow(), TrimCheck.DISTANCE);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.consequence().metric()).startsWith(says);
        assertThat(found.figure() == null ? null : found.figure().si())
                .isEqualTo(metres == null ? null : metres / 1000);
    }

    @Test
    void itIsSettledWhenEveryBinWithEvidenceIsDone() {
        Finding none = finding(plan(BINS, spot(2000, 30_000, 1, 1, 1.3)), TrimCheck.SETTLED);
        assertThat(none.verdict()).isEqualTo(Verdict.WARN);
        assertThat(none.figure()).isNull();
        assertThat(none.consequence().metric()).contains("No bin has evidence enough");
        Finding half = finding(plan(BINS, spot(2000, 30_000, 10, 2, 0.94), spot(1000, 30_000, 10, 2, 1.01),
                spot(3000, 30_000, 1, 1, 1.5)), TrimCheck.SETTLED);
        assertThat(half.verdict()).isEqualTo(Verdict.WARN);
        assertThat(Objects.requireNonNull(half.figure()).si()).isCloseTo(0.06, within(1e-12));
        assertThat(half.consequence().metric()).startsWith("1 of 2 bins are within 2 %");
        Finding whole = finding(plan(BINS, spot(2000, 30_000, 10, 2, 0.99), spot(1000, 30_000, 10, 2, 1.01)),
                TrimCheck.SETTLED);
        assertThat(whole.verdict()).isEqualTo(Verdict.PASS);
    }

    /** While something speaks against it nothing is given, and it is said what. */
    @Test
    void nothingIsGivenWhileSomethingSpeaksAgainstIt() {
        Finding lies = new Finding(TrimCheck.SETTLED, "The reader", Verdict.FAIL, null, null, "lies", null, "",
                Source.practice("x")).named(Message.plain("The reader"));
        TrimPlan held = TrimPlan.of(new Fuelling(LoadAxis.PRESSURE, List.of(spot(2000, 30_000, 10, 2, 1.1)), Map.of(),
                20_000.0, null), BINS, new Asked(Set.of(), List.of(lies), TrimPlan.MOST)).orElseThrow();
        assertThat(held.released()).isFalse();
        assertThat(held.cell(1, 0).state()).isEqualTo(State.ADVISED);
        assertThat(held.cell(1, 0).advice()).isNull();
        assertThat(finding(held, TrimCheck.HELD).consequence().metric()).isEqualTo("The reader: lies");
        TrimPlan free = plan(BINS, spot(2000, 30_000, 10, 2, 1.1));
        assertThat(free.released()).isTrue();
        assertThat(free.findings()).noneMatch(f -> f.check().is(TrimCheck.HELD));
    }

    /** What was given before stays where nothing new is given. */
    @Test
    void whatIsHandedOutKeepsWhatWasGivenBefore() {
        TrimSheet before = new TrimSheet(BINS.speeds(), BINS.loads(),
                List.of(new BinTarget(1000, 30_000, 0.95, 0.04), new BinTarget(2000, 30_000, null, 0.05)));
        TrimPlan plan = plan(before, spot(2000, 30_000, 10, 2, 1.1));
        TrimSheet given = plan.given(before);
        assertThat(given.targets()).containsExactly(new BinTarget(1000, 30_000, 0.95, 0.04),
                new BinTarget(2000, 30_000, null, plan.cell(1, 0).advice()));
    }

    @Test
    void binsRiseFromNothingAndAreNotTooMany() {
        assertThat(new TrimSheet(List.of(0.0, 1.0), List.of(), List.of()).speeds()).hasSize(2);
        List<Double> most = IntStream.range(0, TrimSheet.MOST).mapToObj(i -> (double) i).toList();
        assertThat(new TrimSheet(most, most, List.of()).loads()).hasSize(TrimSheet.MOST);
        assertThatThrownBy(() -> new TrimSheet(List.of(1.0, 1.0), List.of(), List.of()))
                .hasMessage("speeds: expected numbers that rise, none below 0");
        assertThatThrownBy(() -> new TrimSheet(List.of(), List.of(-0.1), List.of()))
                .hasMessage("loads: expected numbers that rise, none below 0");
        assertThatThrownBy(() -> new TrimSheet(List.of(),
                IntStream.rangeClosed(0, TrimSheet.MOST).mapToObj(i -> (double) i).toList(),
                List.of())).hasMessageContaining("loads: found 33, expected 1 to 32");
    }

    @ParameterizedTest
    @CsvSource({"2000.49, 40000, true", "2000.5, 40000, false", "1999.51, 40000, true", "2000, 40040, true",
            "2000, 40041, false", "2000, 39961, true", "2000, 39959, false"})
    void aTargetIsOfTheBinItWasGivenFor(double speed, double load, boolean of) {
        TrimSheet sheet = new TrimSheet(List.of(), List.of(), List.of(new BinTarget(2000, 40_000, 0.9, null)));
        assertThat(sheet.of(speed, load).isPresent()).isEqualTo(of);
    }

    @ParameterizedTest
    @CsvSource({"PRESSURE, 110000, 30000, 40000, 9", "PRESSURE, 110001, 30000, 50000, 5", "THROTTLE, 1, 0.1, 0.2, 10",
            "AIR, 0.0008, 0.0001, 0.0002, 8", "AIR, 0.0001, 0.00005, 0.0001, 2", "PRESSURE, 10000, 30000, 40000, 2"})
    void theUsualBinsOfLoadReachWhatWasDriven(LoadAxis axis, double highest, double first, double second, int many) {
        List<Double> bins = TrimSheet.NONE.loadBins(axis, highest);
        assertThat(bins).hasSize(many);
        assertThat(bins.get(0)).isCloseTo(first, within(1e-9));
        assertThat(bins.get(1)).isCloseTo(second, within(1e-9));
    }
}
