package amberheron.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Finding.Relation;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;

class FindingTest {
    @Test
    void aFigureOnItsLimitKeepsIt() {
        Limit tilt = new Limit(Relation.AT_LEAST, Measure.of(10, Unit.DEGREE, 0));
        assertThat(tilt.keptBy(Math.toRadians(10))).isTrue();
        assertThat(tilt.keptBy(Math.toRadians(90) - Math.toRadians(80))).as("but for the last bit").isTrue();
        assertThat(tilt.keptBy(Math.toRadians(9.99))).isFalse();
        Limit fuse = new Limit(Relation.AT_MOST, Measure.of(5, Unit.AMPERE, 0));
        assertThat(fuse.keptBy(5)).isTrue();
        assertThat(fuse.keptBy(5.01)).isFalse();
    }

    @Test
    void whatIsNotANumberKeepsNoLimit() {
        assertThat(new Limit(Relation.AT_LEAST, Measure.of(1, Unit.METRE, 0)).keptBy(Double.NaN)).isFalse();
        assertThat(new Limit(Relation.AT_MOST, Measure.of(1, Unit.METRE, 0)).keptBy(Double.NaN)).isFalse();
    }

    @Test
    void theWorstVerdictCountsAndNothingAtAllIsUnknown() {
        assertThat(Verdict.worst(List.of(Verdict.PASS, Verdict.WARN, Verdict.UNKNOWN))).isEqualTo(Verdict.WARN);
        assertThat(Verdict.worst(List.of(Verdict.PASS, Verdict.UNKNOWN))).isEqualTo(Verdict.UNKNOWN);
        assertThat(Verdict.worst(List.of())).isEqualTo(Verdict.UNKNOWN);
    }

    @Test
    void aSourceNamesItself() {
        assertThatThrownBy(() -> Source.published(" ")).hasMessageContaining("citation");
        assertThat(Source.practice("x").kind().words()).isEqualTo("common practice, no published source");
    }
}
