package amberheron.core.scaling;

import static amberheron.core.scaling.CheckPoint.Engine.OFF;
import static amberheron.core.scaling.CheckPoint.Engine.RUNNING;
import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Origin;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.Diagnosis.Likelihood;
import amberheron.core.scaling.Diagnostician.KnownLaws;
import amberheron.core.scaling.FaultParameters.Name;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.wiring.InputLoading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Each cause is made by an independent model of the fault, with meter noise and a rounded display, then found again. */
class DiagnosisTest {
    private static final OutputLaw LAW = Laws.HALF_TO_FOUR_AND_A_HALF;
    private static final Reader LOGGER = Laws.logger();
    private static final KnownLaws KNOWN = new KnownLaws(List.of(Laws.TWO_V_PLUS_TEN, Laws.WIDE, LAW), 14.7);
    private static final double[] FIVE = {0.5, 1.5, 2.5, 3.5, 4.5};

    /** What a right reader makes of the volts at its pin. */
    private static double right(double pin) {
        return 2.375 * Math.clamp(pin, 0, 5) + 7.3125;
    }

    private static List<CheckPoint> points(DoubleUnaryOperator shownOfOutput, long seed, double... volts) {
        Random random = new Random(seed);
        return Arrays.stream(volts).mapToObj(v -> new CheckPoint(v, null,
                Math.round(100 * shownOfOutput.applyAsDouble(v + 0.002 * random.nextGaussian())) / 100.0, ""))
                .toList();
    }

    private static Diagnosis diagnose(DoubleUnaryOperator shownOfOutput) {
        return Diagnostician.diagnose(LAW, LOGGER, points(shownOfOutput, 7, FIVE), KNOWN);
    }

    private static double parameter(Diagnosis diagnosis, Name name) {
        return diagnosis.best().parameters().value(name).orElseThrow();
    }

    @Test
    void nothingWrong() {
        Diagnosis diagnosis = diagnose(DiagnosisTest::right);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(diagnosis.withinTolerance()).isTrue();
        assertThat(diagnosis.causes().stream().mapToDouble(Likelihood::probability).sum()).isCloseTo(1, within(1e-9));
    }

    /** A slope of nothing was typed, and the reader stands at it: nothing is known, but nothing is no number either. */
    @Test
    void aSettingThatShowsTheSameAtAnyVoltsIsWeighedToo() {
        Reader standing = LOGGER.withSetting(new ReaderSetting.SlopeOffset(0, 14.7));
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, standing, points(v -> 14.7, 4, 1, 2, 3, 4), KNOWN);
        assertThat(diagnosis.causes()).allSatisfy(c -> assertThat(c.probability()).isBetween(0.0, 1.0));
        assertThat(diagnosis.withinTolerance()).isFalse();
        assertThat(diagnosis.remedy()).as("of the wires nothing is known").isEqualTo(Diagnosis.TYPE_FIRST);
        assertThat(diagnosis.named()).as("no cause is the likeliest")
                .isEqualTo("The setting shows the same at any volts");
        assertThat(diagnosis.cannotTell()).isEmpty();
        assertThat(diagnosis.nextPoint()).isNull();
        assertThat(diagnose(v -> right(v + 0.06)).settingFollows()).isTrue();
        assertThat(diagnose(v -> right(v + 0.06)).named()).startsWith(Cause.GROUND_SHIFT.title()).endsWith(" %)");
    }

    /** The right equation, mistyped as people do. */
    @ParameterizedTest
    @CsvSource({"SLOPE_OFFSET, BRACKETS_LEFT_OUT", "EXPRESSION, BRACKETS_LEFT_OUT", "SLOPE_OFFSET, OFFSET_FIRST",
            "EXPRESSION, OFFSET_FIRST"})
    void aSlipInTheEquationIsNamed(Reader.Form form, FaultParameters.Slip slip) {
        double offset = slip == FaultParameters.Slip.OFFSET_FIRST ? 7.3125 * 2.375 : 7.3125 / 2.375;
        Reader reader = Laws.reader(form, MixtureScale.afr(14.7), 3, 10);
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, reader,
                points(v -> 2.375 * v + offset, 7, FIVE), KNOWN);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(diagnosis.best().parameters().slip()).isEqualTo(slip);
        assertThat(diagnosis.best().probability()).isGreaterThan(Diagnosis.SURE);
        assertThat(diagnosis.named()).startsWith("Another law's setting: ").contains(slip.words());
    }

    @Test
    void anotherLawIsNoSlip() {
        Diagnosis diagnosis = diagnose(v -> 2.2 * v + 8);
        assertThat(diagnosis.best().fault().key()).isEqualTo("other-law");
        assertThat(diagnosis.best().parameters().slip()).isNull();
    }

    @Test
    void groundShift() {
        Diagnosis diagnosis = diagnose(v -> right(v + 0.06));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GROUND_SHIFT);
        assertThat(parameter(diagnosis, Name.VOLTS)).isCloseTo(0.06, within(0.004));
        SlopeOffset corrected = (SlopeOffset) requireNonNull(diagnosis.correctedSetting());
        for (double v = 0; v <= 5; v += 0.25) {
            assertThat(corrected.at(Math.min(5, v + 0.06)))
                    .as("typed in, it keeps the tolerance at %s V, though the input ends at 5 V", v)
                    .isCloseTo(2.375 * v + 7.3125, within(0.1));
        }
        Diagnosis.Offer cut = requireNonNull(diagnose(v -> right(v + 0.15)).offer());
        assertThat(cut.validTo()).as("of 0.36 AFR cut off at the top no setting brings back enough")
                .isBetween(LAW.lambdaAt(4.8), LAW.lambdaAt(4.9));
        assertThat(cut.validFrom()).isEqualTo(LAW.richest());
    }

    @Test
    void twoLinksAtOnceAreNamedTogetherAndMendedTogether() {
        Diagnosis diagnosis = diagnose(v -> right(v - 0.12) / 14.7 * 9.81);
        assertThat(diagnosis.best().fault().key()).isEqualTo("ground-shift+wrong-stoich");
        assertThat(parameter(diagnosis, Name.STOICH)).isEqualTo(9.81);
        assertThat(parameter(diagnosis, Name.VOLTS)).isCloseTo(-0.12, within(0.006));
        assertThat(diagnosis.best().fault().causes()).containsExactly(Cause.WRONG_STOICH, Cause.GROUND_SHIFT);
    }

    /** What was not tested is not certain: an input that clips above the highest point looks sound. */
    @Test
    void aboveWhatWasTestedItIsNotCertainAndTheNextPointGoesThere() {
        Diagnosis low = Diagnostician.diagnose(LAW, LOGGER, points(DiagnosisTest::right, 4, 0.5, 1, 1.5, 2, 2.5),
                KNOWN);
        assertThat(low.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(low.best().probability()).isLessThan(Diagnosis.SURE);
        assertThat(low.cannotTell()).extracting(Fault::key).contains("none", "clipped");
        assertThat(requireNonNull(low.nextPoint()).volts()).isGreaterThan(4.5);
        assertThat(diagnose(DiagnosisTest::right).best().probability()).as("tested to 4.5 of 5 V")
                .isGreaterThan(low.best().probability());
    }

    @Test
    void aMistypedRowIsAskedAboutAndNotTakenForAFault() {
        List<CheckPoint> points = new ArrayList<>(points(DiagnosisTest::right, 6, 0.5, 1.2, 1.9, 2.6, 3.3, 4, 4.7));
        points.set(2, new CheckPoint(1.9, null, 21.82, ""));
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(diagnosis.doubtful()).hasSize(1);
        assertThat(diagnosis.doubtful().getFirst().row()).isEqualTo(2);
        assertThat(diagnosis.doubtful().getFirst().expected()).isCloseTo(right(1.9), within(0.02));
        assertThat(diagnosis.misfit()).isFalse();
        assertThat(diagnosis.withinTolerance()).as("nothing is dropped silently").isFalse();
    }

    /** What a row should have shown is said of the engine as it was then, and what the engine adds is not the setting's. */
    @Test
    void aMistypedRowWithTheEngineRunningIsExpectedWhereTheEnginePutsIt() {
        List<CheckPoint> points = new ArrayList<>();
        for (double v : new double[]{0.5, 1.5, 2.5, 3.5, 4.5}) {
            points.add(new CheckPoint(v, null, Math.round(100 * right(v)) / 100.0, "", Origin.UNRECORDED, OFF));
            points.add(new CheckPoint(v, null, Math.round(100 * right(v - 0.2)) / 100.0, "", Origin.UNRECORDED,
                    RUNNING));
        }
        points.set(2, new CheckPoint(1.5, null, 17.11, "", Origin.UNRECORDED, OFF));
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.best().parameters().whileRunning()).isTrue();
        assertThat(diagnosis.doubtful()).extracting(Diagnosis.Doubtful::row).containsExactly(2);
        assertThat(diagnosis.doubtful().getFirst().expected()).isCloseTo(right(1.5), within(0.03));
        assertThat(diagnosis.settingHeld()).isTrue();
    }

    @Test
    void twoRowsExchangedAreFound() {
        List<CheckPoint> points = new ArrayList<>(points(DiagnosisTest::right, 6, 0.5, 1.2, 1.9, 2.6, 3.3, 4, 4.7));
        points.set(1, new CheckPoint(1.2, null, right(4), ""));
        points.set(5, new CheckPoint(4.0, null, right(1.2), ""));
        assertThat(Diagnostician.diagnose(LAW, LOGGER, points, KNOWN).doubtful())
                .extracting(Diagnosis.Doubtful::row, Diagnosis.Doubtful::exchangedWith)
                .containsExactly(tuple(1, 5), tuple(5, 1));
    }

    @Test
    void twoExchangedRowsAreNoInputThatEndsAndAreReadAgain() {
        List<CheckPoint> points = new ArrayList<>(points(DiagnosisTest::right, 6, 0.5, 1.5, 2.5, 3.5, 4.5));
        CheckPoint fourth = points.get(3);
        points.set(3, new CheckPoint(3.5, null, points.get(4).shown(), ""));
        points.set(4, new CheckPoint(4.5, null, fourth.shown(), ""));
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.best().fault()).isEqualTo(Fault.of(Cause.NONE));
        assertThat(diagnosis.proves()).isFalse();
        assertThat(diagnosis.asks(row -> row + 1, shown -> "%.2f".formatted(shown)))
                .containsExactly("Rows 4 and 5 look exchanged: read them again.");
        assertThat(diagnosis.title()).isEqualTo("Readings written down wrong");
        assertThat(diagnosis.remedy()).isEqualTo("Read these rows again.");
        assertThat(diagnosis.offer()).isNull();
    }

    /** 17.42 written as 14.72: two digits exchanged lead back to what the row should say, an input that ends leads there too. */
    @Test
    void aSlipOfTwoDigitsIsNoCertainFault() {
        List<CheckPoint> points = new ArrayList<>(points(DiagnosisTest::right, 6, 0.5, 1.2, 1.9, 2.6, 3.3, 4.26));
        assertThat(points.getLast().shown()).isBetween(17.4, 17.46);
        points.set(5, new CheckPoint(4.26, null, points.getLast().shown() - 2.7, ""));
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.best().probability()).isLessThan(Diagnosis.SURE);
        assertThat(diagnosis.withinTolerance()).isFalse();
    }

    /** 0.5 % of the span more with each point than with the one before: a meter that warms up, not a wire that loads. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aMeterThatBendsOrWarmsUpAccusesNobody(boolean bends) {
        double[] volts = {0.4, 1.2, 2, 2.8, 3.6, 4.4};
        List<CheckPoint> points = IntStream.range(0, volts.length).mapToObj(i -> {
            double off = 0.025 * (bends ? 4 * volts[i] / 5 * (1 - volts[i] / 5) : i / 5.0);
            return new CheckPoint(volts[i] + off, null, Math.round(100 * right(volts[i])) / 100.0, "");
        }).toList();
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.withinTolerance()).isTrue();
        assertThat(diagnosis.causes().stream().filter(c -> !c.fault().equals(Fault.of(Cause.NONE))))
                .allSatisfy(c -> assertThat(c.probability()).as(c.fault().key()).isLessThan(Diagnosis.SURE));
    }

    /** Everything that differs from the truth is another line; a ground that shifts as well would be another line again. */
    @Test
    void theSettingOfAnUnknownLawIsNotOfferedAsTheCureButAsTheFirstStep() {
        Diagnosis diagnosis = diagnose(v -> 14.7 * (0.7 + (v + 0.2) * 0.8 / 4.7));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(diagnosis.offer()).isNull();
        assertThat(diagnosis.typeFirst()).isEqualTo(SettingFinder.find(LAW, LOGGER).orElseThrow());
        assertThat(diagnosis.notByTyping()).isEqualTo(Diagnosis.TYPE_FIRST);
        Reader noted = LOGGER.withSetting(new SlopeOffset(2.1, 11));
        Diagnosis known = Diagnostician.diagnose(LAW, noted, points(v -> 2.1 * v + 11, 2, FIVE), KNOWN);
        assertThat(known.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(known.correctedSetting()).as("it holds what was noted, so nothing else is wrong")
                .isEqualTo(SettingFinder.find(LAW, LOGGER).orElseThrow());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 5})
    void pointsAtOnePlaceProveNothingHoweverMany(int many) {
        double[] same = DoubleStream.generate(() -> LAW.voltsAt(1)).limit(many).toArray();
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points(DiagnosisTest::right, 3, same), KNOWN);
        assertThat(diagnosis.withinTolerance()).isTrue();
        assertThat(diagnosis.proves()).isFalse();
        assertThat(Math.abs(requireNonNull(diagnosis.nextPoint()).volts() - LAW.voltsAt(1))).isGreaterThan(1);
        assertThat(diagnosis.offer()).isNull();
    }

    /** An input that ends early and another ratio: both are named, and what is offered is right where it says so. */
    @Test
    void anInputThatEndsBesideAnotherFaultIsFound() {
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER,
                points(v -> right(Math.min(v + 0.3, 3.5)), 5, 0.5, 1.1, 1.7, 2.3, 2.9, 3.5, 4.1, 4.7), KNOWN);
        assertThat(diagnosis.best().fault().key()).isEqualTo("clipped+ground-shift");
        assertThat(parameter(diagnosis, Name.VOLTS)).isCloseTo(0.3, within(0.01));
        assertThat(parameter(diagnosis, Name.MAX_VOLTS)).isCloseTo(3.5, within(0.02));
        assertThat(requireNonNull(diagnosis.offer()).validTo()).isBetween(LAW.lambdaAt(3.1), LAW.lambdaAt(3.25));
    }

    @Test
    void whatNothingExplainsIsSaid() {
        double[] wild = {12.1, 9.4, 16.8, 8.2, 14.9, 19.3};
        List<CheckPoint> points = IntStream.range(0, wild.length)
                .mapToObj(i -> new CheckPoint(0.5 + 0.8 * i, null, wild[i], "")).toList();
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points, KNOWN);
        assertThat(diagnosis.misfit()).isTrue();
        assertThat(diagnosis.correctedSetting()).isNull();
    }

    /** 0.2 V → λ 0.7 and 4.9 V → λ 1.5 stand in no list. */
    @Test
    void anotherLawThatNobodyListsIsSaidBySlopeAndOffset() {
        Diagnosis diagnosis = diagnose(v -> 14.7 * (0.7 + (v - 0.2) * 0.8 / 4.7));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(parameter(diagnosis, Name.SLOPE)).isCloseTo(0.8 / 4.7, within(0.001));
        assertThat(parameter(diagnosis, Name.OFFSET)).isCloseTo(0.7 - 0.2 * 0.8 / 4.7, within(0.003));
        assertThat(diagnosis.best().parameters().law()).isNull();
    }

    /** 0.3 V → λ 0.65, 2.4 V → λ 0.93, 4.7 V → λ 1.48 in a reader that follows the bend: no gain and no straight law fits. */
    @Test
    void anotherLawWithABendIsNoFaultOnTheWay() {
        Reader table = Laws.reader(Form.TABLE, MixtureScale.lambda(), 4, null);
        DoubleUnaryOperator bent = v -> v < 2.4 ? 0.65 + (v - 0.3) * 0.28 / 2.1 : 0.93 + (v - 2.4) * 0.55 / 2.3;
        List<CheckPoint> points = IntStream.range(0, 8).mapToObj(i -> 0.4 + 0.58 * i).map(v -> new CheckPoint(v, null,
                Math.rint(1000 * bent.applyAsDouble(v)) / 1000, "")).toList();
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, table, points, new KnownLaws(List.of(LAW), 14.7));
        assertThat(diagnosis.best().fault()).isEqualTo(Fault.of(Cause.OTHER_LAW));
        assertThat(diagnosis.best().probability()).isGreaterThan(Diagnosis.SURE);
        assertThat(diagnosis.misfit()).isFalse();
        assertThat(parameter(diagnosis, Name.BEND_VOLTS)).isCloseTo(2.4, within(0.1));
    }

    /** A gauge that drops its last digits leaves every reading a hair high: 0.02 AFR is nothing that anybody would mend. */
    @Test
    void aHairBesideTheTruthIsNoFault() {
        Diagnosis diagnosis = diagnose(v -> right(v) + 0.015);
        assertThat(diagnosis.best().fault()).isEqualTo(Fault.of(Cause.NONE));
    }

    /** A pull-up of a few kΩ to 12 V or 3.3 V is found as one to 5 V is. */
    @ParameterizedTest
    @ValueSource(doubles = {3.3, 12})
    void pullUpToOtherSupplies(double rail) {
        Diagnosis diagnosis = diagnose(v -> right(v + 0.06 * (rail - v)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.PULL_UP);
        assertThat(parameter(diagnosis, Name.TOWARDS_VOLTS)).isEqualTo(rail);
    }

    /** Readings that repeat badly make a small difference mean little. */
    @Test
    void noiseIsLearnedFromTheReadings() {
        double[] off = {0.06, -0.05, 0.07, -0.06, 0.04, -0.07, 0.05, -0.04};
        List<CheckPoint> scattered = IntStream.range(0, off.length)
                .mapToObj(i -> new CheckPoint(0.5 + 0.57 * i, null,
                        Math.round(100 * (right(0.5 + 0.57 * i) + 0.03 + off[i])) / 100.0, ""))
                .toList();
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, scattered, KNOWN);
        assertThat(diagnosis.causes().stream().filter(l -> l.fault().cause() == Cause.NONE).findFirst().orElseThrow()
                .probability()).isGreaterThan(0.3);
    }

    /** The points agree with the mixture and contradict what was noted: no wrong ratio of 14.69994, but a wrong note. */
    @Test
    void aReaderThatDoesNotHoldWhatWasNoted() {
        Reader noted = LOGGER.withSetting(new SlopeOffset(2, 10));
        Diagnosis right = Diagnostician.diagnose(LAW, noted, points(DiagnosisTest::right, 2, FIVE), KNOWN);
        assertThat(right.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(right.withinTolerance()).isTrue();
        assertThat(right.settingHeld()).isFalse();
        Diagnosis held = Diagnostician.diagnose(LAW, noted, points(v -> 2 * v + 10, 2, FIVE), KNOWN);
        assertThat(held.best().fault().cause()).as("it shows what it was told").isNotEqualTo(Cause.WRONG_STOICH);
        assertThat(held.settingHeld()).isTrue();
        assertThat(diagnose(DiagnosisTest::right).settingHeld()).isTrue();
    }

    /** 2.2 kΩ of output into 54 kΩ of input. */
    @Test
    void loadingIsAGain() {
        Diagnosis diagnosis = diagnose(
                v -> right(InputLoading.effect(2200, 0, Double.POSITIVE_INFINITY, 54_000).atPin(v)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GAIN);
        assertThat(parameter(diagnosis, Name.FACTOR)).isCloseTo(54 / 56.2, within(0.003));
    }

    @Test
    void pullUp() {
        Diagnosis diagnosis = diagnose(
                v -> right(InputLoading.effect(2200, 5, 22_000, Double.POSITIVE_INFINITY).atPin(v)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.PULL_UP);
        assertThat(parameter(diagnosis, Name.FRACTION)).isCloseTo(1 / 11.0, within(0.01));
        assertThat(parameter(diagnosis, Name.TOWARDS_VOLTS)).isCloseTo(5, within(0.3));
    }

    @Test
    void anotherLawsSetting() {
        Diagnosis diagnosis = diagnose(v -> 2 * v + 10);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(diagnosis.best().parameters().law()).isEqualTo("two-v");
        assertThat(diagnosis.correctedSetting()).isEqualTo(SettingFinder.find(LAW, LOGGER).orElseThrow());
    }

    @Test
    void pointsSwapped() {
        assertThat(diagnose(v -> 18 - (v - 0.5) * 2.375).best().fault().cause()).isEqualTo(Cause.POINTS_SWAPPED);
    }

    /** The reader turns λ into AFR with the ratio of E85. */
    @Test
    void wrongStoichiometricRatio() {
        Diagnosis diagnosis = diagnose(v -> right(v) / 14.7 * 9.81);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.WRONG_STOICH);
        assertThat(parameter(diagnosis, Name.STOICH)).isCloseTo(9.81, within(0.05));
    }

    @Test
    void lambdaTakenForAfr() {
        assertThat(diagnose(v -> right(v) / 14.7).best().fault().cause()).isEqualTo(Cause.LAMBDA_AS_AFR);
        Reader lambda = Laws.reader(Form.SLOPE_OFFSET, MixtureScale.lambda(), 4, 10);
        List<CheckPoint> shownInAfr = points(DiagnosisTest::right, 3, FIVE);
        assertThat(Diagnostician.diagnose(LAW, lambda, shownInAfr, KNOWN).best().fault().cause())
                .isEqualTo(Cause.LAMBDA_AS_AFR);
    }

    @Test
    void voltsShownUnscaled() {
        assertThat(diagnose(v -> v).best().fault().cause()).isEqualTo(Cause.UNSCALED);
    }

    @Test
    void inputRangeTooSmall() {
        Diagnosis diagnosis = diagnose(v -> right(Math.min(v, 3.3)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.CLIPPED);
        assertThat(parameter(diagnosis, Name.MAX_VOLTS)).isCloseTo(3.3, within(0.05));
        Diagnosis.Offer offer = requireNonNull(diagnosis.offer());
        assertThat(offer.setting()).isEqualTo(SettingFinder.find(LAW, LOGGER).orElseThrow());
        assertThat(offer.validTo()).as("nothing typed brings back what was cut off").isCloseTo(LAW.lambdaAt(3.3),
                within(0.012)).isLessThan(LAW.lambdaAt(3.3) + Tolerance.LAMBDA);
        assertThat(offer.range(LAW, l -> l == LAW.richest() ? "the richest" : "where it ends"))
                .isEqualTo("right from the richest to where it ends; beyond that the input ends");
    }

    @Test
    void narrowbandOnAWidebandInput() {
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER,
                points(v -> right(LAW.lambdaAt(v) < 1 ? 0.9 : 0.02), 5, 0.5, 1.5, 2.5, 3.5, 4.5), KNOWN);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.NARROWBAND);
        assertThat(diagnosis.correctedSetting()).isNull();
    }

    @Test
    void openShortedOrPlaceholderIsAConstant() {
        assertThat(diagnose(v -> 14.7).best().fault().cause()).isEqualTo(Cause.CONSTANT);
        assertThat(diagnose(v -> right(0)).best().fault().cause()).isEqualTo(Cause.CONSTANT);
        assertThat(diagnose(v -> right(5)).best().fault().cause()).as("shorted to the supply")
                .isEqualTo(Cause.CONSTANT);
    }

    /** With no sensor many controllers put out their default: agreement there says nothing about the slope. */
    @Test
    void onePointCannotTellShiftFromGainAndSaysWhereToLookNext() {
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points(v -> right(v + 0.075), 7, 2.5), KNOWN);
        assertThat(diagnosis.best().probability()).isLessThan(0.9);
        assertThat(Math.abs(requireNonNull(diagnosis.nextPoint()).volts() - 2.5)).isGreaterThan(1);
    }

    @Test
    void theNextPointSplitsWhatItSaysItSplits() {
        List<CheckPoint> ambiguous = points(v -> right(v * 0.97), 7, 2.4, 2.5, 2.6);
        Diagnosis before = Diagnostician.diagnose(LAW, LOGGER, ambiguous, KNOWN);
        double next = requireNonNull(before.nextPoint()).volts();
        List<CheckPoint> more = points(v -> right(v * 0.97), 7, 2.4, 2.5, 2.6, next);
        Diagnosis after = Diagnostician.diagnose(LAW, LOGGER, more, KNOWN);
        assertThat(after.best().fault().cause()).isEqualTo(Cause.GAIN);
        assertThat(after.best().probability()).isGreaterThan(before.best().probability());
    }

    @Property(tries = 60)
    void anyShiftBeyondToleranceIsFoundAndMeasured(@ForAll @DoubleRange(min = 0.04, max = 0.3) double shift,
            @ForAll @IntRange(min = 1, max = 10_000) int seed) {
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER,
                points(v -> right(v + shift), seed, 0.3, 1.2, 2.1, 3.3, 4.4), KNOWN);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GROUND_SHIFT);
        assertThat(parameter(diagnosis, Name.VOLTS)).isCloseTo(shift, within(0.008));
    }

    /** The same point read twice is not a reading that stands still. */
    @Test
    void aPointReadTwiceDoesNotRuleAShiftOut() {
        Diagnosis diagnosis = Diagnostician.diagnose(LAW, LOGGER, points(v -> right(v + 0.075), 7, 2.5, 2.5), KNOWN);
        assertThat(diagnosis.causes()).extracting(l -> l.fault().cause()).contains(Cause.GROUND_SHIFT, Cause.GAIN);
    }

    @Test
    void theDigitsOfTheReadingsTellHowFineTheDisplayIs() {
        assertThat(CheckPoint.lastDigit(java.util.stream.DoubleStream.of(14.7, 12, 9.85))).isEqualTo(0.01);
        assertThat(CheckPoint.lastDigit(java.util.stream.DoubleStream.empty())).isZero();
    }

    @Test
    void withoutPointsThereIsNothingToSay() {
        assertThatThrownBy(() -> Diagnostician.diagnose(LAW, LOGGER, List.of(), KNOWN)).hasMessageContaining("none");
    }
}
