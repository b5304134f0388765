package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.drivelog.LinkReading.Pair;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.ScaleField;
import amberheron.core.scaling.Tolerance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A reader that gets numbers, beside the controller's own display in λ. */
class LinkRulesTest {
    private static final MixtureScale LAMBDA = MixtureScale.lambda();

    private static Finding judged(MixtureScale scale, double one, double shownOne, double other, double shownOther) {
        return LinkRules.judge(new LinkReading(scale, new Pair(one, shownOne), new Pair(other, shownOther)), LAMBDA,
                Tolerance.LAMBDA);
    }

    /** The reader is said to show AFR by 14.70. */
    @ParameterizedTest
    @CsvSource({"1.00, 14.70, 0.85, 12.50, PASS, At two mixtures it shows what",
            "1.00, 14.70, 0.95, 13.97, UNKNOWN, lie too near each other", //
            "1.00, 9.80, 0.85, 8.33, FAIL, It shows AFR by 9.80 at λ 1", //
            "1.00, 1.00, 0.85, 0.85, FAIL, Its numbers are λ", //
            "1.00, 15.00, 0.85, 12.80, FAIL, Both are off by the same", //
            "1.00, 14.70, 0.85, 14.70, FAIL, It does not follow the controller",
            "1.00, 12.50, 0.85, 14.70, FAIL, It does not follow the controller"})
    void theTwoPointsTell(double one, double shownOne, double other, double shownOther, Verdict verdict, String says) {
        Finding found = judged(MixtureScale.afr(14.7), one, shownOne, other, shownOther);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.consequence().metric()).contains(says);
    }

    @Test
    void theControllersDisplayHasAScaleOfItsOwn() {
        LinkReading noted = new LinkReading(LAMBDA, new Pair(14.7, 1.0), new Pair(12.5, 0.85));
        assertThat(LinkRules.judge(noted, MixtureScale.afr(14.7), Tolerance.LAMBDA).verdict()).isEqualTo(Verdict.PASS);
        Finding untold = LinkRules.judge(noted, null, Tolerance.LAMBDA);
        assertThat(untold.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(untold.asks()).containsExactly(ScaleField.GAUGE.address());
    }

    @Test
    void nothingNotedAsksForAll() {
        Finding found = LinkRules.judge(LinkReading.NONE.withFirst(new Pair(1.0, null)), LAMBDA, Tolerance.LAMBDA);
        assertThat(found.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(found.asks()).containsExactly(LogField.LINK_SCALE.address(), LogField.LINK_SHOWN_FIRST.address(),
                LogField.LINK_TOLD_SECOND.address(), LogField.LINK_SHOWN_SECOND.address());
    }
}
