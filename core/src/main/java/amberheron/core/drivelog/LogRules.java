package amberheron.core.drivelog;

import amberheron.core.finding.Message;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.List;

/** Judges a proving log. */
public final class LogRules {
    /** A single moment may be this many tolerances off before it needs looking at; readers lag in transients. */
    private static final double TRANSIENT = 3;

    private LogRules() {
    }

    /**
     * Every check of the station.
     *
     * @param tolerance what the trade lets gauge and reader differ by, λ
     * @param toleranceSource where that comes from
     */
    public static List<Finding> judge(LogComparison log, double tolerance, Source toleranceSource) {
        boolean level = Math.abs(log.bias()) <= tolerance;
        boolean calm = log.spread() <= tolerance;
        boolean tame = Math.abs(log.worst()) <= TRANSIENT * tolerance;
        int samples = log.samples();
        return List.of(
                new Finding(LogCheck.BIAS, "Bias, shown − true", level ? Verdict.PASS : Verdict.FAIL,
                        difference(log.bias()),
                        new Limit(AT_MOST, difference(tolerance)),
                        level
                                ? "Gauge and reader agree on the road."
                                : log.bias() > 0
                                        ? "The reader reads lean: the tuner would add fuel that is not wanted."
                                        : "The reader reads rich: the tuner would take away fuel the engine needs.",
                        log.bias(), Message.of("mean of {0} samples", samples), toleranceSource),
                new Finding(LogCheck.SPREAD, "Spread", calm ? Verdict.PASS : Verdict.WARN, difference(log.spread()),
                        new Limit(AT_MOST, difference(tolerance)),
                        calm
                                ? "Quiet: no noise or lag worth naming."
                                : "Noise or lag: look at the ground and the filter.",
                        null, Message.of("standard deviation of {0} samples", samples),
                        toleranceSource),
                new Finding(LogCheck.WORST, "", tame ? Verdict.PASS : Verdict.WARN, difference(log.worst()),
                        new Limit(AT_MOST, difference(TRANSIENT * tolerance)),
                        tame
                                ? "No moment stands out."
                                : "One moment stands out: look at it in the plot before trusting the rest.",
                        log.worst(), "largest magnitude of shown − true",
                        Source.derived("three times the tolerance is our own choice: readers lag in transients"))
                        .named(Message.of("Worst, at {0}", new Measure(log.worstAt(), Dimension.DURATION, 1))));
    }

    private static Measure difference(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 4);
    }
}
