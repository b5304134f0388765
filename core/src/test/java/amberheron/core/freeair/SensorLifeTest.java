package amberheron.core.freeair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.units.Unusable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.ejml.simple.SimpleMatrix;
import org.junit.jupiter.api.Test;

class SensorLifeTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

    private static SensorNote note(int day, Kind kind, double value) {
        return new SensorNote(DAY.plusDays(day), kind, value, "J");
    }

    private static SensorLife life(SensorNote... notes) {
        return new SensorLife("V-1", List.of(notes));
    }

    /** The textbook's closed form, all readings at once and by another library's matrices. */
    @Test
    void theTrendIsTheBayesianRegressionOfTheBook() {
        List<Trend.Point> points = List.of(new Trend.Point(100, 0.99), new Trend.Point(700, 0.975),
                new Trend.Point(1500, 0.93));
        double noise = 0.005;
        Trend.Belief belief = new Trend.Belief(new Trend.Normal(1, 0.02), new Trend.Normal(-4e-5, 2e-5), List.of(),
                new Trend.Normal(-0.06, 0.05));
        Trend.Course found = Trend.of(belief, points, noise).courses().stream()
                .filter(c -> Double.isInfinite(c.breaks())).findFirst().orElseThrow();
        SimpleMatrix x = new SimpleMatrix(3, 2);
        SimpleMatrix y = new SimpleMatrix(3, 1);
        for (int i = 0; i < 3; i++) {
            x.set(i, 0, 1);
            x.set(i, 1, points.get(i).hours());
            y.set(i, 0, points.get(i).value());
        }
        SimpleMatrix prior = SimpleMatrix.diag(1 / (0.02 * 0.02), 1 / (2e-5 * 2e-5));
        SimpleMatrix covariance = prior.plus(x.transpose().mult(x).divide(noise * noise)).invert();
        SimpleMatrix mean = covariance.mult(prior.mult(new SimpleMatrix(new double[][]{{1}, {-4e-5}}))
                .plus(x.transpose().mult(y).divide(noise * noise)));
        assertThat(found.mean()[0]).isCloseTo(mean.get(0, 0), within(1e-9));
        assertThat(found.mean()[1]).isCloseTo(mean.get(1, 0), within(1e-12));
        assertThat(found.covariance()[1][1]).isCloseTo(covariance.get(1, 1), within(1e-16));
        assertThat(found.covariance()[0][1]).isCloseTo(covariance.get(0, 1), within(1e-12));
    }

    /** Each drive on leaded fuel counts once, however often its log is read, and a new sensor begins at nothing. */
    @Test
    void aDriveOnLeadedFuelIsDated() {
        SensorLife life = life(note(0, Kind.LEADED, 3));
        assertThat(life.driven(false, false, DAY.plusDays(9), "J")).isEmpty();
        List<SensorNote> noted = life.driven(true, true, DAY.plusDays(9), "J");
        assertThat(noted).containsExactly(note(9, Kind.LEADED, 4), note(9, Kind.OILY, 1));
        SensorLife after = life.with(noted.get(0)).with(noted.get(1));
        assertThat(after.driven(true, true, DAY.plusDays(9), "J")).as("the same drive read again").isEmpty();
        assertThat(after.driven(true, false, DAY.plusDays(9), "K")).as("another vehicle's").hasSize(1);
        assertThat(after.with(note(10, Kind.RENEWED, 1)).driven(true, false, DAY.plusDays(11), "J"))
                .containsExactly(note(11, Kind.LEADED, 1));
    }

    @Test
    void hoursAreThoseNotedAndBetweenThemTheLine() {
        SensorLife life = life(note(0, Kind.HOURS, 100), note(100, Kind.HOURS, 300));
        assertThat(life.hoursAt(DAY.plusDays(50))).isCloseTo(200, within(1e-9));
        assertThat(life.hoursAt(DAY.plusDays(150))).isCloseTo(400, within(1e-9));
        assertThat(life.hoursADay()).isCloseTo(2, within(1e-9));
        assertThat(life(note(0, Kind.GAIN, 1)).hoursAt(DAY.plusDays(10))).as("as usual").isCloseTo(8, within(1e-9));
    }

    @Test
    void whatASensorHadToStandMakesItOldSooner() {
        SensorNote[] sound = {note(0, Kind.HOURS, 0), note(200, Kind.HOURS, 200), note(200, Kind.GAIN, 0.99)};
        LocalDate usual = SensorOutlook.of(life(sound), DAY.plusDays(200)).replace().orElseThrow().likely();
        SensorLife leaded = life(sound).with(note(150, Kind.LEADED, 6));
        assertThat(SensorOutlook.of(leaded, DAY.plusDays(200)).replace().orElseThrow().likely()).isBefore(usual);
        assertThat(SensorOutlook.shortened(leaded)).singleElement().asString()
                .contains("Leaded fuel: ages 90 % faster");
        assertThat(SensorOutlook.shortened(life(sound))).isEmpty();
    }

    /** Each thing that it had to stand makes it age faster by so much, all together, up to ten times. */
    @Test
    void eachHardshipAddsItsOwn() {
        assertThat(SensorOutlook.haste(life())).isEqualTo(1);
        assertThat(SensorOutlook.haste(life(note(1, Kind.LEADED, 2)))).isCloseTo(1.3, within(1e-12));
        assertThat(SensorOutlook.haste(life(note(1, Kind.OILY, 10)))).isCloseTo(1.3, within(1e-12));
        assertThat(SensorOutlook.haste(life(note(1, Kind.KEY_ON, 30)))).isCloseTo(1.3, within(1e-12));
        assertThat(SensorOutlook.haste(life(note(1, Kind.SHOCK, 1), note(2, Kind.SHOCK, 2)))).as("what it has come to")
                .isCloseTo(1.6, within(1e-12));
        SensorLife all = life(note(1, Kind.LEADED, 2), note(1, Kind.OILY, 10), note(1, Kind.KEY_ON, 30),
                note(1, Kind.SHOCK, 1));
        assertThat(SensorOutlook.haste(all)).isCloseTo(2.2, within(1e-12));
        assertThat(SensorOutlook.shortened(all)).extracting(m -> m.metric()).containsExactly(
                "Leaded fuel: ages 30 % faster.", "Oil in the exhaust: ages 30 % faster.",
                "Key on, cold, without a start: ages 30 % faster.", "Water or blows: ages 30 % faster.");
        assertThat(SensorOutlook.shortened(life(note(1, Kind.OILY, 0)))).isEmpty();
        assertThat(SensorOutlook.haste(life(note(1, Kind.LEADED, 500)))).isEqualTo(10);
    }

    @Test
    void aLifeAnswersForItsNotes() {
        SensorLife life = life(note(0, Kind.GAIN, 1), note(10, Kind.SHOCK, 1), note(20, Kind.CALIBRATED, 1),
                note(30, Kind.SHOCK, 3));
        assertThat(life.last(Kind.SHOCK)).hasValue(3.0);
        assertThat(life.last(Kind.OILY)).isEmpty();
        assertThat(life.calibrated()).hasValue(DAY.plusDays(20));
        assertThat(life.hoursADay()).as("as usual").isEqualTo(0.8);
        assertThat(life(note(0, Kind.HOURS, 10), note(0, Kind.HOURS, 20)).hoursADay()).isEqualTo(0.8);
        assertThat(life(note(0, Kind.HOURS, 20), note(10, Kind.HOURS, 20)).hoursADay()).isEqualTo(0.8);
        assertThat(life().hoursAt(DAY)).isZero();
        assertThat(life(note(0, Kind.HOURS, 100), note(10, Kind.HOURS, 120), note(20, Kind.HOURS, 180))
                .hoursAt(DAY.plusDays(15))).isCloseTo(150, within(1e-9));
        for (Kind kind : Kind.values()) {
            assertThat(Kind.of(kind.key())).hasValue(kind);
            assertThatThrownBy(() -> note(0, kind, kind.min() - 1)).isInstanceOf(Unusable.class);
            assertThatThrownBy(() -> note(0, kind, kind.max() + 1)).isInstanceOf(Unusable.class);
        }
        assertThat(Kind.of("age")).isEmpty();
    }

    @Test
    void aReadingTodayLeavesNoDriftAndMonthsLeaveSome() {
        SensorLife life = life(note(0, Kind.HOURS, 0), note(200, Kind.HOURS, 400), note(200, Kind.GAIN, 0.99));
        assertThat(SensorOutlook.of(life, DAY.plusDays(200)).costs()).isZero();
        SensorOutlook later = SensorOutlook.of(life, DAY.plusDays(380));
        assertThat(later.drift().mean()).as("2 h a day for 180 days").isBetween(-0.025, -0.008);
        assertThat(later.costs()).isGreaterThan(0.002);
        assertThat(later.recalibrate()).isBeforeOrEqualTo(DAY.plusDays(400));
    }

    /** Read twice, a sensor's own life tells how fast it ages; before that it is any sensor. */
    @Test
    void itsOwnLifeTellsHowFastItAges() {
        SensorLife once = life(note(0, Kind.HOURS, 0), note(0, Kind.GAIN, 1));
        assertThat(SensorOutlook.inAMonth(once, DAY)).isEmpty();
        SensorLife slow = once.with(note(400, Kind.HOURS, 400)).with(note(400, Kind.GAIN, 0.999));
        SensorLife fast = once.with(note(400, Kind.HOURS, 400)).with(note(400, Kind.GAIN, 0.95));
        assertThat(SensorOutlook.inAMonth(slow, DAY.plusDays(400)).orElseThrow()).isLessThan(0.0015);
        assertThat(SensorOutlook.inAMonth(fast, DAY.plusDays(400)).orElseThrow()).isGreaterThan(0.002);
    }

    /** What it lost before it was calibrated costs nothing any more. */
    @Test
    void theDriftCountsFromTheLastCalibration() {
        SensorLife read = life(note(0, Kind.GAIN, 1), note(0, Kind.HOURS, 0), note(400, Kind.HOURS, 400));
        SensorLife calibrated = read.with(note(300, Kind.CALIBRATED, 1));
        assertThat(SensorOutlook.of(calibrated, DAY.plusDays(400)).drift().mean())
                .isCloseTo(SensorOutlook.of(read, DAY.plusDays(400)).drift().mean() / 4, within(1e-12));
    }

    @Test
    void aNoteOfTheSameDayKindAndJobIsReplaced() {
        SensorLife life = life(note(0, Kind.GAIN, 1)).with(note(0, Kind.GAIN, 0.98)).with(note(0, Kind.SHOCK, 1));
        assertThat(life.notes()).containsExactlyInAnyOrder(note(0, Kind.GAIN, 0.98), note(0, Kind.SHOCK, 1));
        assertThatThrownBy(() -> note(0, Kind.GAIN, 7)).hasMessageContaining("expected 0.05 to 2");
    }

    /** Readings that leave no doubt: straight on, in a step, and in a bend, each told as what it is. */
    @Test
    void theCourseOfTheReadingsIsFound() {
        double[] hours = {0, 400, 800, 1200, 1600, 2000, 2400};
        Trend straight = trend(hours, h -> 1 - 4e-5 * h);
        assertThat(straight.slopeAt(2400)).isCloseTo(-4e-5, within(4e-6));
        Trend broken = trend(hours, h -> 1 - 2e-5 * h - (h > 1000 ? 0.07 : 0));
        assertThat(broken.at(2400)).isCloseTo(0.882, within(0.004));
        assertThat(broken.slopeAt(2400)).as("the step is no slope").isBetween(-3.5e-5, -1.2e-5);
        Trend bent = trend(hours, h -> 1 - 1e-5 * h - 1.6e-8 * h * h);
        assertThat(bent.slopeAt(2400)).as("eight times as steep as at first").isLessThan(-6e-5);
        assertThat(bent.when(0.85, true, 0.5).orElseThrow()).isBetween(2550.0, 2950.0);
        assertThat(straight.when(0.85, true, 0.5).orElseThrow()).isBetween(3400.0, 4000.0);
        assertThat(straight.past(straight.quantile(4000, 0.05), true, 4000)).as("one is the other's inverse")
                .isCloseTo(0.05, within(1e-6));
        assertThat(straight.quantile(4000, 0.5)).isCloseTo(0.84, within(0.01));
        assertThat(straight.past(0.85, true, 1000)).isLessThan(0.01);
        assertThat(straight.past(0.85, false, 1000)).isGreaterThan(0.99);
    }

    private static Trend trend(double[] hours, DoubleUnaryOperator gain) {
        LocalDate last = DAY.plusDays((long) hours[hours.length - 1]);
        return SensorOutlook.of(new SensorLife("V", Arrays.stream(hours).boxed().flatMap(h -> Stream.of(
                note(h.intValue(), Kind.HOURS, h), note(h.intValue(), Kind.GAIN, gain.applyAsDouble(h)))).toList()),
                last)
                .gain();
    }

    /** Its hours begin again: what the one before it went through is not its own, and it is asked. */
    @Test
    void aSensorThatWasReplacedUnderTheSameNumberHasALifeOfItsOwn() {
        SensorLife old = life(note(0, Kind.HOURS, 0), note(0, Kind.GAIN, 1), note(900, Kind.HOURS, 2700),
                note(900, Kind.GAIN, 0.87), note(900, Kind.SHOCK, 4));
        assertThat(old.renewed()).isEmpty();
        SensorLife byHours = old.with(note(1000, Kind.HOURS, 20)).with(note(1000, Kind.GAIN, 0.99));
        assertThat(byHours.renewed()).contains(DAY.plusDays(1000));
        assertThat(byHours.current().notes()).hasSize(2);
        SensorOutlook ahead = SensorOutlook.of(byHours, DAY.plusDays(1000));
        assertThat(ahead.hours()).isCloseTo(20, within(1e-9));
        assertThat(ahead.replace().orElseThrow().likely()).isAfter(DAY.plusDays(2500));
        assertThat(SensorOutlook.shortened(byHours)).as("the blows were the other's").isEmpty();
        SensorLife byGain = old.with(note(1000, Kind.GAIN, 1.01));
        assertThat(byGain.renewed()).contains(DAY.plusDays(1000));
        SensorLife told = byHours.with(note(1000, Kind.RENEWED, 1));
        assertThat(told.renewed()).as("it was said").isEmpty();
        assertThat(told.current()).isEqualTo(new SensorLife("V-1", told.notes().stream()
                .filter(n -> !n.date().isBefore(DAY.plusDays(1000))).toList()));
        assertThat(old.with(note(1000, Kind.HOURS, 2696)).renewed()).as("a slip of some hours").isEmpty();
        assertThat(old.with(note(1000, Kind.GAIN, 0.89)).renewed()).as("no more than readings scatter").isEmpty();
    }

    /** Below the limit it is due today, whatever the line through the readings says. */
    @Test
    void theLastReadingCountsByItself() {
        SensorLife drop = life(note(0, Kind.HOURS, 0), note(0, Kind.GAIN, 1), note(200, Kind.HOURS, 400),
                note(200, Kind.GAIN, 0.985), note(400, Kind.HOURS, 800), note(400, Kind.GAIN, 0.975),
                note(500, Kind.GAIN, 0.84));
        SensorOutlook.Due due = SensorOutlook.of(drop, DAY.plusDays(500)).replace().orElseThrow();
        assertThat(due.early()).isEqualTo(due.likely()).isEqualTo(DAY.plusDays(500));
        SensorLife odd = life(note(0, Kind.HOURS, 0), note(0, Kind.GAIN, 1), note(100, Kind.HOURS, 200),
                note(100, Kind.GAIN, 0.91), note(200, Kind.GAIN, 0.935), note(300, Kind.GAIN, 0.875),
                note(400, Kind.GAIN, 0.9));
        assertThat(SensorOutlook.of(odd, DAY.plusDays(400)).fits()).isFalse();
        assertThat(SensorOutlook.of(drop, DAY.plusDays(500)).fits()).isTrue();
    }

    /** Of simulated lives the band for the day of replacement holds the true day at least 88 times of 100. */
    @Test
    void theBandOfTheDayOfReplacementHoldsTheTruth() {
        Random random = new Random(11);
        int lives = 200;
        long held = IntStream.range(0, lives).filter(i -> holds(random)).count();
        assertThat(100.0 * held / lives).isBetween(88.0, 97.0);
    }

    private static boolean holds(Random random) {
        double start = 1 + 0.02 * random.nextGaussian();
        double loss;
        do {
            loss = 4e-5 + 2e-5 * random.nextGaussian();
        } while (loss < 5e-6);
        double end = (start - SensorOutlook.LEAST_GAIN) / loss;
        int readings = 2 + random.nextInt(6);
        double last = end * (0.1 + 0.6 * random.nextDouble());
        List<SensorNote> notes = new ArrayList<>();
        for (int i = 0; i < readings; i++) {
            int day = (int) Math.round(last * (i + random.nextDouble()) / readings);
            notes.add(note(day, Kind.HOURS, day));
            notes.add(note(day, Kind.GAIN, start - loss * day + 0.005 * random.nextGaussian()));
        }
        SensorOutlook.Due due = SensorOutlook.of(new SensorLife("V", notes), DAY.plusDays((long) last)).replace()
                .orElseThrow();
        LocalDate truth = DAY.plusDays(Math.min(Math.round(end), 36_000));
        LocalDate late = due.late();
        return !truth.isBefore(due.early()) && (late == null || !truth.isAfter(late));
    }
}
