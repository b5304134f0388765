package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.Diagnosis.Doubtful;
import amberheron.core.scaling.Diagnosis.Likelihood;
import amberheron.core.scaling.Diagnosis.RunningShift;
import amberheron.core.scaling.ScaleReport.Worst;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.jspecify.annotations.Nullable;

/**
 * Finds the link that lies. Every fault is a model of what the reader would show; each is weighed by its marginal
 * likelihood for the check points.
 */
public final class Diagnostician {
    /** Probability below which a fault is not named beside the likeliest. */
    private static final double WORTH_NAMING = 0.05;
    /** Probability below which a hypothesis does not restrict the corrected setting. */
    private static final double NOT_UNLIKELY = 0.005;
    /** Root mean square misfit above which nothing explains the points: 0.4 % of right calls exceed it, from an audit. */
    private static final double MISFIT = 3;
    /** Multiple of their noise at which readings contradict the noted setting. */
    private static final double TELLING = 3;

    private final OutputLaw law;
    private final Reader reader;
    private final ReaderSetting right;
    private final ReaderSetting set;
    private final boolean settingIsRight;
    private final KnownLaws known;

    /**
     * Facts known besides the points.
     *
     * @param otherLaws laws that a setting may have been copied from
     * @param fuelStoich ratio of the fuel in the tank; null when not said
     */
    public record KnownLaws(List<OutputLaw> otherLaws, @Nullable Double fuelStoich) {
        public KnownLaws {
            otherLaws = List.copyOf(otherLaws);
        }
    }

    private Diagnostician(OutputLaw law, Reader reader, ReaderSetting right, KnownLaws known) {
        this.law = law;
        this.reader = reader;
        // An equation is looked up thousands of times.
        this.right = SettingFinder.plainest(right, reader.input());
        this.set = SettingFinder.plainest(Objects.requireNonNullElse(reader.setting(), right), reader.input());
        this.settingIsRight = !reader.parts(set, this.right, DoubleStream.of(law.breakpoints()));
        this.known = known;
    }

    /**
     * Diagnoses a set of check points.
     *
     * @throws Unusable without points, or when law and input share no volts
     */
    public static Diagnosis diagnose(OutputLaw law, Reader reader, List<CheckPoint> points, KnownLaws known) {
        if (points.isEmpty()) {
            throw new Unusable(say("points: found none, expected one or more"));
        }
        ReaderSetting right = SettingFinder.find(law, reader)
                .orElseThrow(() -> SettingFinder.nothingShared(law, reader));
        return new Diagnostician(law, reader, right, known).weigh(points);
    }

    private Diagnosis weigh(List<CheckPoint> points) {
        Observations seen = Observations.of(law, points);
        double span = Math.abs(reader.scale().fromLambda(law.leanest() - law.richest()));
        Evidence evidence = new Evidence(seen, this::perVolt, reader.input().step(), 2 * span);
        List<Weighed> fits = weighed(evidence
                .weigh(new Suspects(law, reader, right, set, settingIsRight, known, seen).all()));
        List<Likelihood> causes = likelihoods(fits);
        Evidence.Fit speaks = likeliest(fits.stream().filter(f -> f.fault().equals(causes.getFirst().fault())));
        Worst worst = worst(points);
        boolean agrees = Math.abs(worst.lambda()) <= Tolerance.LAMBDA + 1e-12;
        // What the engine adds while it runs is not the setting's.
        boolean noted = IntStream.range(0, seen.size()).filter(i -> !seen.running(i) || !seen.bothWays())
                .allMatch(i -> Math.abs(seen.shown(i) - reader.shows(set, seen.volts(i))) <= TELLING
                        * evidence.sigma(speaks, perVolt(seen.volts(i)), perVolt(seen.volts(i))));
        List<Doubtful> doubtful = doubtful(evidence, speaks, seen);
        boolean follows = follows(span);
        return new Diagnosis(causes, agrees, worst, corrected(speaks, fits), noted || !agrees || settingIsRight,
                follows,
                follows
                        ? new NextVolts(law, evidence, this::perVolt, fits)
                                .find(causes.stream().map(Likelihood::fault).toList())
                        : null,
                speaks.misfit() > MISFIT && doubtful.size() * 3 > seen.size(), follows ? cannotTell(causes) : List.of(),
                doubtful,
                runningShift(seen));
    }

    /** Returns whether the setting in force makes anything of the volts, over a span of volts that the law uses. */
    private boolean follows(double span) {
        DoubleSummaryStatistics shows = DoubleStream.of(law.breakpoints()).map(v -> reader.shows(set, v))
                .summaryStatistics();
        return shows.getMax() - shows.getMin() >= Suspects.LEAST_ROOM * span;
    }

    private Worst worst(List<CheckPoint> points) {
        Worst worst = new Worst(0, points.getFirst().trueLambda(law));
        for (CheckPoint p : points) {
            double error = p.error(law, reader);
            if (Math.abs(error) >= Math.abs(worst.lambda())) {
                worst = new Worst(error, p.trueLambda(law));
            }
        }
        return worst;
    }

    /** A fit, and how likely it is among all. */
    record Weighed(Evidence.Fit fit, double probability) {
        Fault fault() {
            return fit.hypothesis().fault();
        }
    }

    private static List<Weighed> weighed(List<Evidence.Fit> fits) {
        double top = fits.stream().mapToDouble(Evidence.Fit::logEvidence).max().orElseThrow();
        double total = fits.stream().mapToDouble(f -> weight(f, top)).sum();
        return fits.stream().map(f -> new Weighed(f, weight(f, top) / total)).toList();
    }

    /** The likeliest of several. */
    private static Evidence.Fit likeliest(Stream<Weighed> forms) {
        return forms.max(Comparator.comparingDouble(Weighed::probability)).orElseThrow().fit();
    }

    private static double weight(Evidence.Fit fit, double top) {
        return fit.hypothesis().prior() * Math.exp(fit.logEvidence() - top);
    }

    /** Sums the probabilities of several forms of one fault; the likeliest form gives its figures. */
    private static List<Likelihood> likelihoods(List<Weighed> fits) {
        Map<Fault, List<Weighed>> byFault = fits.stream()
                .collect(Collectors.groupingBy(Weighed::fault, LinkedHashMap::new, Collectors.toList()));
        List<Likelihood> causes = new ArrayList<>();
        byFault.forEach((fault, forms) -> {
            Evidence.Fit best = likeliest(forms.stream());
            causes.add(new Likelihood(fault, forms.stream().mapToDouble(Weighed::probability).sum(),
                    best.hypothesis().named(best.values()), best.misfit(), best::shown));
        });
        causes.sort(Comparator.comparingDouble(Likelihood::probability).reversed());
        return List.copyOf(causes);
    }

    /** Returns the faults that are likely beside the likeliest, where that one is not likely enough alone. */
    private static List<Fault> cannotTell(List<Likelihood> causes) {
        List<Fault> named = causes.stream().filter(c -> c.probability() >= WORTH_NAMING).map(Likelihood::fault)
                .toList();
        return causes.getFirst().probability() >= Diagnosis.SURE || named.size() < 2 ? List.of() : named;
    }

    /** Finds rows that the likeliest fault does not explain while it explains the others. */
    private List<Doubtful> doubtful(Evidence evidence, Evidence.Fit fit, Observations seen) {
        List<Integer> mistyped = evidence.mistyped(fit);
        List<Doubtful> doubtful = new ArrayList<>();
        for (int i : mistyped) {
            double expected = fit.shown(seen, i);
            double slope = perVolt(seen.volts(i));
            double near = TELLING * evidence.sigma(fit, slope, slope);
            doubtful.add(new Doubtful(i, expected, mistyped.stream()
                    .filter(j -> j != i && Math.abs(seen.shown(j) - expected) <= near).findFirst().orElse(null)));
        }
        return List.copyOf(doubtful);
    }

    /**
     * Compares the mean shift of the readings with the engine running and off, each turned into volts by its own slope.
     */
    private @Nullable RunningShift runningShift(Observations seen) {
        StreamingStatistics on = new StreamingStatistics();
        StreamingStatistics off = new StreamingStatistics();
        for (int i = 0; i < seen.size(); i++) {
            double volts = (seen.shown(i) - reader.shows(set, seen.volts(i))) / perVolt(seen.volts(i));
            if (Double.isFinite(volts)) {
                (seen.running(i) ? on : off).addValue(volts);
            }
        }
        if (on.getN() == 0 || off.getN() == 0) {
            return null;
        }
        double noise = Evidence.USUAL_NOISE * Evidence.USUAL_NOISE;
        double variance = Math.max(noise, on.getN() > 1 ? on.getVariance() : noise) / on.getN()
                + Math.max(noise, off.getN() > 1 ? off.getVariance() : noise) / off.getN();
        return new RunningShift(on.getMean() - off.getMean(), 2 * Math.sqrt(variance));
    }

    /** Returns the change of the number shown for each volt, by the setting in force. */
    private double perVolt(double volts) {
        double step = 1e-3 * (reader.input().maxVolts() - reader.input().minVolts());
        double at = Math.clamp(volts, reader.input().minVolts() + step, reader.input().maxVolts() - step);
        return (set.at(at + step) - set.at(at - step)) / (2 * step);
    }

    /**
     * Finds a setting to type while the fault on the way stays: one that keeps the tolerance over the law's range for every
     * hypothesis that the points leave likely.
     */
    private @Nullable ReaderSetting corrected(Evidence.Fit best, List<Weighed> fits) {
        ReaderSetting typed = SettingFinder.find(law, best.hypothesis().left().apply(best.values()), reader)
                .orElse(null);
        if (typed == null) {
            return null;
        }
        ReaderSetting plain = SettingFinder.plainest(typed, reader.input());
        double kept = 0;
        double all = 0;
        for (Weighed w : fits) {
            if (w.probability() >= NOT_UNLIKELY) {
                all += w.probability();
                kept += keeps(plain, w.fit().hypothesis().left().apply(w.fit().values())) ? w.probability() : 0;
            }
        }
        boolean sound = best.hypothesis().fault().equals(Fault.of(Cause.NONE));
        return kept > (sound ? 0.5 : Diagnosis.SURE) * all ? typed : null;
    }

    private boolean keeps(ReaderSetting typed, WireEffect left) {
        return SettingFinder.targets(law, left, reader)
                .map(t -> reader.scale().toLambda(SettingFinder.furthest(typed, t)
                        + reader.input().step() / 2 * steepest(typed, t)) <= Tolerance.LAMBDA)
                .orElse(false);
    }

    private static double steepest(ReaderSetting typed, List<OutputLaw.Point> targets) {
        double steepest = 0;
        for (int i = 1; i < targets.size(); i++) {
            double wide = targets.get(i).volts() - targets.get(i - 1).volts();
            if (wide > 0) {
                steepest = Math.max(steepest,
                        Math.abs(typed.at(targets.get(i).volts()) - typed.at(targets.get(i - 1).volts())) / wide);
            }
        }
        return steepest;
    }
}
