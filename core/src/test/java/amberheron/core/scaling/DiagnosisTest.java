package amberheron.core.scaling;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.Diagnosis.Likelihood;
import amberheron.core.scaling.Diagnostician.Surroundings;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.wiring.InputLoading;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Each cause is made by an independent model of the fault, with meter noise and a rounded display, then found again. */
class DiagnosisTest {
    private static final OutputLaw LAW = Laws.HALF_TO_FOUR_AND_A_HALF;
    private static final Reader LOGGER = Laws.logger();
    private static final Surroundings KNOWN = new Surroundings(List.of(Laws.TWO_V_PLUS_TEN, Laws.WIDE, LAW), 14.7);
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

    private static double parameter(Diagnosis diagnosis, String name) {
        return (Double) requireNonNull(diagnosis.best().parameters().get(name));
    }

    @Test
    void nothingWrong() {
        Diagnosis diagnosis = diagnose(DiagnosisTest::right);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(diagnosis.withinTolerance()).isTrue();
        assertThat(diagnosis.causes().stream().mapToDouble(Likelihood::probability).sum()).isCloseTo(1, within(1e-9));
    }

    @Test
    void groundShift() {
        Diagnosis diagnosis = diagnose(v -> right(v + 0.075));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GROUND_SHIFT);
        assertThat(parameter(diagnosis, "volts")).isCloseTo(0.075, within(0.004));
        SlopeOffset corrected = (SlopeOffset) requireNonNull(diagnosis.correctedSetting());
        assertThat(corrected.slope() * (2.5 + 0.075) + corrected.offset()).as("typed in, it shows the truth again")
                .isCloseTo(right(2.5), within(0.02));
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
        assertThat(parameter(diagnosis, "factor")).isCloseTo(54 / 56.2, within(0.003));
    }

    @Test
    void pullUp() {
        Diagnosis diagnosis = diagnose(
                v -> right(InputLoading.effect(2200, 5, 22_000, Double.POSITIVE_INFINITY).atPin(v)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.PULL_UP);
        assertThat(parameter(diagnosis, "fraction")).isCloseTo(1 / 11.0, within(0.01));
        assertThat(parameter(diagnosis, "towardsVolts")).isCloseTo(5, within(0.3));
    }

    @Test
    void anotherLawsSetting() {
        Diagnosis diagnosis = diagnose(v -> 2 * v + 10);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(diagnosis.best().parameters()).containsEntry("law", "two-v");
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
        assertThat(parameter(diagnosis, "stoich")).isCloseTo(9.81, within(0.05));
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
        assertThat(parameter(diagnosis, "maxVolts")).isCloseTo(3.3, within(0.05));
        assertThat(diagnosis.correctedSetting()).as("nothing typed brings back what was cut off").isNull();
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
        assertThat(diagnose(v -> right(5)).best().fault().cause()).as("shorted to the supply").isEqualTo(Cause.CONSTANT);
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
        assertThat(parameter(diagnosis, "volts")).isCloseTo(shift, within(0.008));
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
