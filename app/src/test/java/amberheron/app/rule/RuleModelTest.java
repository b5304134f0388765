package amberheron.app.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.Demo;
import amberheron.app.rule.RuleModel.Scale;
import amberheron.app.rule.RuleModel.Tick;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.units.UnitChoice;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RuleModelTest {
    @TempDir
    private Path home = Path.of("");

    private RuleModel rule(String job) {
        try (Session session = Demo.session(home)) {
            session.open(job);
            return new RuleModel(session.review(), UnitChoice.METRIC);
        }
    }

    private static Scale scale(RuleModel rule, String id) {
        return rule.scales().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void aScaleAppearsWhenTheJobKnowsEnough() {
        try (Session session = Demo.session(home)) {
            assertThat(new RuleModel(session.review(), UnitChoice.METRIC).scales()).extracting(Scale::id)
                    .containsExactly("lambda");
            session.open("SB-015");
            assertThat(new RuleModel(session.review(), UnitChoice.METRIC).scales()).extracting(Scale::id)
                    .containsExactly("lambda", "afr");
            session.open("SB-016");
            assertThat(new RuleModel(session.review(), UnitChoice.METRIC).scales()).extracting(Scale::id)
                    .containsExactly("lambda", "afr", "volts", "counts", "gauge", "shown");
        }
    }

    /** A car on E85 whose gauge was made for petrol: the gauge has a line of its own, whatever the output's quantity. */
    @Test
    void theGaugeKeepsItsOwnRatio() {
        try (Session session = Demo.session(home)) {
            session.open("SB-014");
            session.edit("gauge", j -> j.withGauge(MixtureScale.afr(14.7)));
            RuleModel rule = new RuleModel(session.review(), UnitChoice.METRIC);
            assertThat(scale(rule, "gauge").name()).isEqualTo("own gauge, AFR 14.70");
            assertThat(scale(rule, "gauge").text(0.8)).isEqualTo("11.76");
            assertThat(scale(rule, "afr").text(0.8)).as("the fuel's own").isEqualTo("7.85");
        }
    }

    @Test
    void whatStandsUnderTheCursorBelongsTogether() {
        RuleModel rule = rule("SB-014");
        for (Scale s : rule.scales()) {
            if (!s.id().equals("counts") && !s.told()) {
                double lambda = rule.find(s, s.at().applyAsDouble(0.85)).orElseThrow();
                assertThat(lambda).as(s.name()).isCloseTo(0.85, within(1e-6));
            }
        }
        assertThat(scale(rule, "volts").at().applyAsDouble(0.85)).as("(0.85 − 0.62)/0.76·4.2 + 0.4")
                .isCloseTo(1.67105, within(1e-4));
        assertThat(rule.find(scale(rule, "volts"), 9)).as("off the rule").isEmpty();
    }

    @Test
    void whereShownAndTruePartTheGapIsThere() {
        RuleModel lying = rule("SB-016");
        assertThat(lying.lies(0.9)).isTrue();
        assertThat(lying.gap(0.9).orElseThrow()).isCloseTo(0.0754 * 9.6 / 4.3 / 14.7, within(4e-4));
    }

    @Test
    void aProvenJobHasNoGap() {
        assertThat(rule("SB-014").lies(0.9)).isFalse();
    }

    @Test
    void everyNumberedTickStandsWhereItsScaleSaysIt() {
        RuleModel rule = rule("SB-016");
        for (Scale s : rule.scales()) {
            List<Tick> numbered = rule.ticks(s, 10).stream().filter(t -> !t.number().isEmpty()).toList();
            assertThat(numbered).as(s.name()).hasSizeBetween(5, 21);
            for (Tick t : numbered) {
                double there = s.at().applyAsDouble(rule.lambda(t.place()));
                double step = s.id().equals("counts") ? 6 : 0.01;
                assertThat(there).as(s.name()).isCloseTo(Double.parseDouble(t.number()), within(step));
            }
        }
    }

    /** A reader that shows the same whatever the mixture has no scale to lay out, and must not hang the rule. */
    @Test
    void aConstantReaderHasNoTicks() {
        try (Session session = Demo.session(home)) {
            session.open("SB-016");
            session.edit("stuck", j -> {
                Job stuck = j.withPoints(List.of());
                for (double v : new double[]{0.5, 1.5, 2.5, 3.5, 4.5}) {
                    stuck = stuck.withPoint(new CheckPoint(v, null, 14.7, ""));
                }
                return stuck;
            });
            RuleModel rule = new RuleModel(session.review(), UnitChoice.METRIC);
            assertThat(rule.ticks(scale(rule, "shown"), 10)).isEmpty();
            assertThat(rule.lies(0.8)).isTrue();
        }
    }

    /** Numbers on an axis go by ones, twos or fives, whatever room there is for them. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8, 10, 12, 15, 20})
    void numbersGoByOnesTwosOrFives(int majors) {
        RuleModel rule = rule("SB-014");
        for (Scale scale : rule.scales()) {
            List<Double> numbers = rule.ticks(scale, majors).stream().map(Tick::number).filter(n -> !n.isEmpty())
                    .map(n -> Double.parseDouble(n.replace('−', '-'))).sorted().distinct().toList();
            if (numbers.size() < 2) {
                continue;
            }
            double step = IntStream.range(1, numbers.size()).mapToDouble(i -> numbers.get(i) - numbers.get(i - 1))
                    .min().orElseThrow();
            double part = step / Math.pow(10, Math.floor(Math.log10(step) + 1e-9));
            assertThat(Math.round(part * 1e6) / 1e6).as("%s in %d", scale.id(), majors).isIn(1.0, 2.0, 5.0);
        }
    }
}
