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
    /** Part of the law's volts within which all points are at one place; our own choice, no published source. */
    private static final double ONE_PLACE = 0.05;
    /** Root mean square misfit above which nothing explains the points: 0.4 % of right calls exceed it, from an audit. */
    private static final double MISFIT = 3;
    /** Multiple of their noise at which readings contradict the noted setting. */
    private static final double TELLING = 3;

    private final OutputLaw law;
    private final Reader reader;
    /** The right setting as it is typed, and in its plainest form. */
    private final ReaderSetting typed;
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
        this.typed = right;
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
        long mistyped = doubtful.stream().filter(d -> d.exchangedWith() == null).count();
        boolean misfit = (speaks.misfit() > MISFIT && mistyped * 3 > seen.size())
                || (mistyped > 0 && doubtful.size() > mistyped && doubtful.size() * 2 > seen.size());
        boolean onePlace = onePlace(seen);
        Offers offers = new Offers(law, reader, typed, evidence, fits);
        boolean writtenWrong = !agrees && speaks.hypothesis().fault().equals(Fault.of(Cause.NONE));
        Diagnosis.Offer offer = misfit || onePlace || writtenWrong ? null : offers.find(speaks);
        return new Diagnosis(causes, agrees, worst, offer, offer != null || misfit || onePlace ? null : offers.first(),
                noted || !agrees || settingIsRight, follows, follows ? next(evidence, fits, causes, onePlace) : null,
                misfit, follows ? cannotTell(causes) : List.of(), onePlace, doubtful, runningShift(seen, doubtful));
    }

    /** Returns whether all points lie at one place: two settings of any slope agree there. */
    private boolean onePlace(Observations seen) {
        DoubleSummaryStatistics volts = IntStream.range(0, seen.size()).mapToDouble(seen::volts).summaryStatistics();
        return volts.getMax() - volts.getMin() < ONE_PLACE * (law.highestVolts() - law.lowestVolts());
    }

    /** Finds the voltage to apply next; with all points at one place there always is one. */
    private Diagnosis.@Nullable NextPoint next(Evidence evidence, List<Weighed> fits, List<Likelihood> causes,
            boolean onePlace) {
        NextVolts volts = new NextVolts(law, evidence, this::perVolt, fits);
        List<Fault> likeliest = causes.stream().map(Likelihood::fault).toList();
        return onePlace ? volts.elsewhere(likeliest) : volts.find(likeliest);
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
    private static List<Doubtful> doubtful(Evidence evidence, Evidence.Fit fit, Observations seen) {
        Stream<Doubtful> mistyped = evidence.mistyped(fit).stream()
                .map(i -> new Doubtful(i, fit.shown(seen, i), null));
        WrittenRows.Exchange exchanged = fit.exchanged();
        Stream<Doubtful> both = exchanged == null
                ? Stream.of()
                : Stream.of(exchanged.first(), exchanged.second())
                        .map(i -> new Doubtful(i, fit.shown(seen, i), exchanged.other(i)));
        return Stream.concat(mistyped, both).sorted(Comparator.comparingInt(Doubtful::row)).toList();
    }

    /**
     * Compares the mean shift of the readings with the engine running and off, each turned into volts by its own slope.
     */
    private @Nullable RunningShift runningShift(Observations seen, List<Doubtful> doubtful) {
        StreamingStatistics on = new StreamingStatistics();
        StreamingStatistics off = new StreamingStatistics();
        for (int i = 0; i < seen.size(); i++) {
            double volts = (seen.shown(i) - reader.shows(set, seen.volts(i))) / perVolt(seen.volts(i));
            int row = i;
            if (Double.isFinite(volts) && doubtful.stream().noneMatch(d -> d.row() == row)) {
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
}
