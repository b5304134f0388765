package amberheron.core.drivelog;

import amberheron.core.finding.Message;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
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

    /** A drive this long has been through warm idle, cruise and a pull, s. */
    private static final double LONG = 60;
    /** Fewer moments than this are an accident. */
    private static final int MANY = 100;
    /** The mixture has to move this much before it says anything of the gain, λ. */
    private static final double RANGE = 0.1;
    /** How far from λ 1 a tuned engine is run: there an error of the gain costs most, λ. */
    private static final double AWAY = 0.2;
    private static final Source OWN = Source.memory("length and range of a proving drive are our own choice");

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
                gain(log, tolerance),
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
                        .named(Message.of("Worst, at {0}", new Measure(log.worstAt(), Dimension.DURATION, 1))),
                length(log));
    }

    private static Finding length(LogComparison log) {
        boolean enough = log.duration() >= LONG && log.samples() >= MANY;
        return new Finding(LogCheck.LENGTH, "Length of the drive", enough ? Verdict.PASS : Verdict.UNKNOWN,
                new Measure(log.duration(), Dimension.DURATION, 0),
                new Limit(AT_LEAST, new Measure(LONG, Dimension.DURATION, 0)),
                enough ? "Long enough to have been everywhere." : "Too short to prove anything: drive on and log.",
                null, Message.of("{0} samples, {1} or more wanted", log.samples(), MANY), OWN)
                .asking(LogField.FILE.address());
    }

    /** A reader that is right at λ 1 and wrong away from it has no bias to speak of, and is not noisy either. */
    private static Finding gain(LogComparison log, double tolerance) {
        Double gain = log.gain();
        Double richest = log.richest();
        Double leanest = log.leanest();
        Limit limit = new Limit(AT_MOST, new Measure(tolerance / AWAY, Dimension.FRACTION, 1));
        if (gain == null || richest == null || leanest == null || leanest - richest < RANGE) {
            return new Finding(LogCheck.GAIN, "Gain, shown per true", Verdict.UNKNOWN, null, limit,
                    "The mixture hardly moved: log a pull and a lift-off too.", null, "", OWN)
                    .asking(LogField.FILE.address());
        }
        boolean kept = Math.abs(gain - 1) <= tolerance / AWAY;
        return new Finding(LogCheck.GAIN, "Gain, shown per true", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(gain - 1, Dimension.FRACTION, 1), limit,
                kept
                        ? "As right away from λ 1 as at it."
                        : "Right in one place and wrong on both sides of it: the slope that was typed is not the law's.",
                AWAY * (gain - 1),
                Message.of("least squares from {0} to {1}; cost {2} from λ 1",
                        new Measure(richest, Dimension.MIXTURE, 3),
                        new Measure(leanest, Dimension.MIXTURE, 3), new Measure(AWAY, Dimension.MIXTURE, 1)),
                OWN).asking(LogField.FILE.address());
    }

    private static Measure difference(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 4);
    }
}
