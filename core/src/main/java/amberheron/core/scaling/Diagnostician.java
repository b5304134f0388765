package amberheron.core.scaling;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.Diagnosis.Likelihood;
import amberheron.core.scaling.Diagnosis.NextPoint;
import amberheron.core.scaling.Hypothesis.Parameter;
import amberheron.core.scaling.ScaleReport.Worst;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Finds the link that lies. Every cause is a model of what the reader would show; each is fitted to the check points
 * and weighed by how well it explains them for the freedom it takes.
 */
public final class Diagnostician {
    /** Repeatability of meter and pin, V; about one step of a 10-bit input. */
    private static final double REPEATABILITY = 0.005;
    /** Above this probability the likeliest cause needs no further point. */
    private static final double SURE = 0.95;
    /** Readings this many times their noise apart can be told apart. */
    private static final double TELLING = 3;
    private static final double NEXT_STEP = 0.05;
    /** How unlikely an untouched chain is when the setting it was given is known to be wrong. */
    private static final double UNLIKELY = 1e-3;

    private final OutputLaw law;
    private final Reader reader;
    private final ReaderSetting right;
    private final ReaderSetting set;
    private final boolean settingIsRight;
    private final Surroundings surroundings;

    /**
     * What is known besides the points.
     *
     * @param otherLaws laws that a setting may have been copied from
     * @param fuelStoich ratio of the fuel in the tank; null when not said
     */
    public record Surroundings(List<OutputLaw> otherLaws, @Nullable Double fuelStoich) {
    }

    private Diagnostician(OutputLaw law, Reader reader, ReaderSetting right, Surroundings surroundings) {
        this.law = law;
        this.reader = reader;
        this.right = right;
        this.set = Objects.requireNonNullElse(reader.setting(), right);
        this.settingIsRight = set.equals(right) || !differs(set, law.breakpoints());
        this.surroundings = surroundings;
    }

    /**
     * Diagnoses a set of check points.
     *
     * @throws IllegalArgumentException without points, or when law and input share no volts
     */
    public static Diagnosis diagnose(OutputLaw law, Reader reader, List<CheckPoint> points, Surroundings surroundings) {
        if (points.isEmpty()) {
            throw new IllegalArgumentException("points: found none, expected one or more");
        }
        ReaderSetting right = SettingFinder.find(law, reader)
                .orElseThrow(() -> SettingFinder.nothingShared(law, reader));
        return new Diagnostician(law, reader, right, surroundings).weigh(points);
    }

    private Diagnosis weigh(List<CheckPoint> points) {
        double[] volts = points.stream().mapToDouble(p -> p.outputVolts(law)).toArray();
        double[] lambda = points.stream().mapToDouble(p -> p.trueLambda(law)).toArray();
        double[] shown = points.stream().mapToDouble(CheckPoint::shown).toArray();
        double shownStep = CheckPoint.lastDigit(points.stream().mapToDouble(CheckPoint::shown));
        double trueStep = CheckPoint
                .lastDigit(points.stream().map(CheckPoint::truth).filter(Objects::nonNull).mapToDouble(t -> t));
        double[] sigma = points.stream().mapToDouble(p -> noise(p, shownStep, trueStep)).toArray();
        Evidence evidence = new Evidence(volts, lambda, shown, sigma);
        List<Evidence.Fit> fits = hypotheses(volts).stream().map(evidence::weigh).filter(Objects::nonNull)
                .filter(f -> !hides(f, volts, lambda, sigma)).toList();
        List<Likelihood> causes = likelihoods(fits, shown.length);
        Worst worst = new Worst(0, lambda[0]);
        for (CheckPoint p : points) {
            double error = p.error(law, reader);
            if (Math.abs(error) >= Math.abs(worst.lambda())) {
                worst = new Worst(error, p.trueLambda(law));
            }
        }
        double typical = sigma[0];
        boolean agrees = Math.abs(worst.lambda()) <= Tolerance.LAMBDA + 1e-12;
        boolean noted = true;
        for (int i = 0; i < shown.length; i++) {
            noted &= Math.abs(shown[i] - shownBy(set, volts[i])) <= TELLING * sigma[i];
        }
        return new Diagnosis(causes, agrees, worst, corrected(causes.getFirst()),
                noted || !agrees || settingIsRight, next(causes, typical));
    }

    /**
     * Whether a fault that leaves a signal is fitted so strong that none is left: what then remains, the same reading
     * at every point that should differ, is the cause called constant, whatever brought it about.
     */
    private boolean hides(Evidence.Fit fit, double[] volts, double[] lambda, double[] sigma) {
        boolean leavesSignal = switch (fit.hypothesis().cause()) {
            case GROUND_SHIFT, GAIN, PULL_UP, CLIPPED -> true;
            default -> false;
        };
        boolean told = false;
        for (int i = 1; leavesSignal && i < volts.length; i++) {
            double right = shownBy(this.right, volts[i]) - shownBy(this.right, volts[0]);
            double modelled = fit.hypothesis().model().shown(volts[i], lambda[i], fit.values())
                    - fit.hypothesis().model().shown(volts[0], lambda[0], fit.values());
            if (Math.abs(modelled) > sigma[i]) {
                return false;
            }
            told |= Math.abs(right) > TELLING * sigma[i];
        }
        return told;
    }

    /** Several forms of one cause add up; the likeliest form speaks for it. */
    private static List<Likelihood> likelihoods(List<Evidence.Fit> fits, int points) {
        double top = fits.stream().mapToDouble(Evidence.Fit::logEvidence).max().orElseThrow();
        double total = fits.stream().mapToDouble(f -> weight(f, top)).sum();
        Map<Cause, List<Evidence.Fit>> byCause = new LinkedHashMap<>();
        fits.forEach(f -> byCause.computeIfAbsent(f.hypothesis().cause(), c -> new ArrayList<>()).add(f));
        List<Likelihood> causes = new ArrayList<>();
        byCause.forEach((cause, forms) -> {
            Evidence.Fit best = forms.stream().max(Comparator.comparingDouble(f -> weight(f, top))).orElseThrow();
            double probability = forms.stream().mapToDouble(f -> weight(f, top)).sum() / total;
            causes.add(new Likelihood(cause, probability, best.hypothesis().named(best.values()),
                    Math.sqrt(best.chiSquare() / points),
                    (v, l) -> best.hypothesis().model().shown(v, l, best.values())));
        });
        causes.sort(Comparator.comparingDouble(Likelihood::probability).reversed());
        return List.copyOf(causes);
    }

    private static double weight(Evidence.Fit fit, double top) {
        return fit.hypothesis().prior() * Math.exp(fit.logEvidence() - top);
    }

    /** Standard deviation of a shown number: meter and pin, converter step, last digits of the displays. */
    private double noise(CheckPoint point, double shownStep, double trueStep) {
        double span = law.highestVolts() - law.lowestVolts();
        double perVolt = reader.scale().fromLambda(law.leanest() - law.richest()) / span;
        double step = reader.input().step();
        double electrical = perVolt * perVolt * (REPEATABILITY * REPEATABILITY + step * step / 12);
        double display = shownStep * shownStep / 12;
        double gauge = point.volts() != null ? 0 : reader.scale().fromLambda(law.scale().toLambda(trueStep));
        return Math.sqrt(electrical + display + gauge * gauge / 12);
    }

    private double shownBy(ReaderSetting setting, double pin) {
        return setting.at(reader.input().clipped(pin));
    }

    private double asLambda(double pin) {
        return reader.scale().toLambda(shownBy(right, pin));
    }

    private List<Hypothesis> hypotheses(double[] volts) {
        List<Hypothesis> all = new ArrayList<>();
        all.add(Hypothesis.fixed(Cause.NONE, settingIsRight ? 1 : UNLIKELY, Map.of(), (v, l) -> shownBy(set, v)));
        if (!settingIsRight) {
            // What was noted need not be what the reader holds.
            all.add(Hypothesis.fixed(Cause.NONE, 1, Map.of(), (v, l) -> shownBy(right, v)));
        }
        all.add(Hypothesis.single(Cause.GROUND_SHIFT, 1, new Parameter("volts", -0.5, 0.5),
                (v, l, p) -> shownBy(set, v + p[0])));
        all.add(Hypothesis.single(Cause.GAIN, 1, new Parameter("factor", 0.5, 1.5),
                (v, l, p) -> shownBy(set, v * p[0])));
        all.add(new Hypothesis(Cause.PULL_UP, 1,
                List.of(new Parameter("fraction", 0.005, 0.6), new Parameter("towardsVolts", 1, 15)), Map.of(),
                List.of(new double[]{0.1, 5}, new double[]{0.03, 12}, new double[]{0.3, 5}, new double[]{0.05, 3}),
                (v, l, p) -> shownBy(set, v + p[0] * (p[1] - v))));
        all.addAll(flat(volts));
        all.add(Hypothesis.single(Cause.NARROWBAND, 1, new Parameter("width", 0.002, 0.03),
                // About 0.9 V rich, near 0 V lean, 0.45 V at λ 1: common practice, no published source.
                (v, l, p) -> shownBy(set, 0.9 / (1 + Math.exp((l - 1) / p[0])))));
        all.add(Hypothesis.fixed(Cause.UNSCALED, 1, Map.of(), (v, l) -> v));
        all.addAll(settingMistakes(volts));
        return all;
    }

    /** Readings that stop following the mixture: everywhere, or above some volts. */
    private List<Hypothesis> flat(double[] volts) {
        List<Hypothesis> flat = new ArrayList<>();
        double a = right.at(reader.input().clipped(law.lowestVolts()));
        double b = right.at(reader.input().clipped(law.highestVolts()));
        double margin = Math.abs(a - b);
        flat.add(Hypothesis.single(Cause.CONSTANT, 1,
                new Parameter("shown", Math.min(a, b) - margin, Math.max(a, b) + margin), (v, l, p) -> p[0]));
        TreeSet<Double> levels = new TreeSet<>();
        for (double v : volts) {
            levels.add(v);
        }
        if (levels.size() > 1) {
            List<double[]> starts = new ArrayList<>();
            for (Double level : levels.tailSet(levels.first(), false)) {
                starts.add(new double[]{(level + Objects.requireNonNull(levels.lower(level))) / 2});
            }
            flat.add(new Hypothesis(Cause.CLIPPED, 1,
                    List.of(new Parameter("maxVolts", levels.first(), levels.last())), Map.of(), starts,
                    (v, l, p) -> shownBy(set, Math.min(v, p[0]))));
        }
        return flat;
    }

    private List<Hypothesis> settingMistakes(double[] volts) {
        List<Hypothesis> all = new ArrayList<>();
        TreeSet<Double> mirrors = new TreeSet<>(Comparator.comparingLong(sum -> Math.round(sum * 1000)));
        mirrors.add(law.points().getFirst().volts() + law.points().getLast().volts());
        mirrors.add(law.lowestVolts() + law.highestVolts());
        if (right instanceof ReaderSetting.TwoPoint t) {
            mirrors.add(t.v1() + t.v2());
        }
        for (double sum : mirrors) {
            all.add(Hypothesis.fixed(Cause.POINTS_SWAPPED, 1.0 / mirrors.size(), Map.of(),
                    // The line goes on beyond the two points, so the mirrored volts are not held to the input.
                    (v, l) -> right.at(sum - reader.input().clipped(v))));
        }
        for (double stoich : ratios()) {
            boolean readsLambda = reader.scale() instanceof MixtureScale.Lambda;
            all.add(Hypothesis.fixed(Cause.LAMBDA_AS_AFR, 1.0 / ratios().size(), Map.of(),
                    (v, l) -> readsLambda ? asLambda(v) * stoich : asLambda(v)));
        }
        if (reader.scale() instanceof MixtureScale.Afr) {
            all.add(Hypothesis.single(Cause.WRONG_STOICH, 1, new Parameter("stoich", 4, 20),
                    (v, l, p) -> asLambda(v) * p[0]));
        } else if (law.scale() instanceof MixtureScale.Afr afr) {
            all.add(Hypothesis.single(Cause.WRONG_STOICH, 1, new Parameter("stoich", 4, 20),
                    (v, l, p) -> asLambda(v) * afr.stoich() / p[0]));
        }
        all.addAll(otherLaws(volts));
        return all;
    }

    /** Ratios that λ may have been turned into AFR with. */
    private List<Double> ratios() {
        TreeSet<Double> ratios = new TreeSet<>();
        ratios.add(14.7);
        if (law.scale() instanceof MixtureScale.Afr afr) {
            ratios.add(afr.stoich());
        }
        if (surroundings.fuelStoich() != null) {
            ratios.add(surroundings.fuelStoich());
        }
        // An AFR reader shows λ whatever ratio was meant.
        return reader.scale() instanceof MixtureScale.Afr ? List.of(14.7) : List.copyOf(ratios);
    }

    private List<Hypothesis> otherLaws(double[] volts) {
        record Other(String id, ReaderSetting setting) {
        }
        List<Other> others = new ArrayList<>();
        for (OutputLaw other : surroundings.otherLaws()) {
            SettingFinder.find(other, reader).filter(s -> differs(s, volts))
                    .ifPresent(s -> others.add(new Other(other.id(), s)));
        }
        return others.stream().map(o -> Hypothesis.fixed(Cause.OTHER_LAW, 1.0 / others.size(), Map.of("law", o.id()),
                (v, l) -> shownBy(o.setting(), v))).toList();
    }

    private boolean differs(ReaderSetting other, double[] volts) {
        for (double v : volts) {
            if (Math.abs(reader.scale().toLambda(shownBy(other, v) - shownBy(right, v))) > Tolerance.LAMBDA) {
                return true;
            }
        }
        return false;
    }

    private @Nullable ReaderSetting corrected(Likelihood best) {
        Optional<ReaderSetting> setting = switch (best.cause()) {
            case CONSTANT, CLIPPED, NARROWBAND -> Optional.empty();
            case GROUND_SHIFT -> SettingFinder.find(law.seenThrough(1, number(best, "volts")), reader);
            case GAIN -> SettingFinder.find(law.seenThrough(number(best, "factor"), 0), reader);
            case PULL_UP -> {
                double k = number(best, "fraction");
                yield SettingFinder.find(law.seenThrough(1 - k, k * number(best, "towardsVolts")), reader);
            }
            case NONE, OTHER_LAW, POINTS_SWAPPED, WRONG_STOICH, LAMBDA_AS_AFR, UNSCALED -> Optional.of(right);
        };
        return setting.orElse(null);
    }

    private static double number(Likelihood likelihood, String parameter) {
        return (Double) Objects.requireNonNull(likelihood.parameters().get(parameter));
    }

    private @Nullable NextPoint next(List<Likelihood> causes, double noise) {
        if (causes.size() < 2 || causes.getFirst().probability() >= SURE) {
            return null;
        }
        Likelihood a = causes.get(0);
        Likelihood b = causes.get(1);
        double best = Double.NaN;
        double widest = TELLING * noise;
        for (double v = Math.ceil(law.lowestVolts() / NEXT_STEP) * NEXT_STEP; v <= law.highestVolts(); v += NEXT_STEP) {
            double apart = Math.abs(
                    a.reading().shown(v, law.lambdaAt(v)) - b.reading().shown(v, law.lambdaAt(v)));
            if (apart > widest * (1 + 1e-9)) {
                widest = apart;
                best = v;
            }
        }
        return Double.isNaN(best) ? null : new NextPoint(Math.round(best * 100) / 100.0, a.cause(), b.cause());
    }
}
