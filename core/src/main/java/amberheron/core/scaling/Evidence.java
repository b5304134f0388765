package amberheron.core.scaling;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.util.Pair;
import org.jspecify.annotations.Nullable;

/**
 * Weighs hypotheses by their marginal likelihood for the check points. One parameter is integrated numerically, several by
 * Laplace's approximation about the best fit. The noise of meter and pin is itself unknown and inferred from points that
 * repeat. Every row may be mistyped, so no single row can rule a cause out.
 */
final class Evidence {
    /**
     * Standard deviations of meter and pin together, V, and the prior belief in each; some mV are usual, from an audit.
     */
    private static final double[] NOISE = {0.002, 0.0035, 0.005, 0.008, 0.04, 0.15};
    private static final double[] BELIEF = {0.15, 0.36, 0.31, 0.155, 0.02, 0.005};
    /** Index of the noise level that a fit begins with. */
    private static final int USUAL = 2;
    static final double USUAL_NOISE = NOISE[USUAL];
    /** Squared misfit of a row above which it counts as mistyped rather than as evidence. */
    private static final double CAP = 20;
    /** Parts of the volts at which the end of an input is looked for beside another fault. */
    private static final double[] ENDS = {0.4, 0.6, 0.75};
    /** Part of the greatest misfit from which no node of a search lies near anything. */
    private static final double FAR = 0.99;
    /** Misfit up to which a fault explains all points. */
    private static final double EXPLAINED = 1.0;
    private static final int NODES = 41;
    private static final int INNER = 21;
    private static final double WIDTH = 5;
    private static final int MINIMA = 3;
    /** Part of an interval to which the least misfit in it is found. */
    private static final double NARROW = 2e-5;
    private static final int MOST_EVALUATIONS = 60;
    /** Number of points by which hypotheses are chosen for a look at all points. */
    private static final int FEW = 24;
    /** Difference of log-likelihood below the best from which a hypothesis is not refined. */
    private static final double HOPELESS = 40;

    private final Observations all;
    private final Observations few;
    /** Slope of each reading by the setting in force, per volt at the pin. */
    private final double[] ownAll;
    private final double[] ownFew;
    private final double step;
    private final WrittenRows written;
    /** Variance of the display's last digit. */
    private final double display;
    /** The least misfit of any hypothesis so far; one with far more is not refined. */
    private double leastOfAll = Double.POSITIVE_INFINITY;

    /**
     * Check points by which the hypotheses are weighed.
     *
     * @param perVolt what a volt at the pin changes of what is shown, by the setting in force, for volts
     * @param step of the converter, V
     * @param span of what the reader can show
     */
    Evidence(Observations all, DoubleUnaryOperator perVolt, double step, double span) {
        this.all = all;
        this.few = all.thinned(FEW);
        this.ownAll = slopes(all, perVolt);
        this.ownFew = slopes(few, perVolt);
        this.step = step;
        this.written = new WrittenRows(span);
        // A display without a last digit still has one.
        double digit = Math.max(all.digit(), 1e-5 * span);
        this.display = digit * digit / 12;
    }

    private static double[] slopes(Observations seen, DoubleUnaryOperator perVolt) {
        return IntStream.range(0, seen.size()).mapToDouble(i -> perVolt.applyAsDouble(seen.volts(i))).toArray();
    }

    /**
     * A fitted hypothesis; never compared.
     *
     * @param values the likeliest
     * @param misfit root mean square of what is left, in units of the usual noise
     * @param noise what meter and pin are off by, as the points tell, V
     * @param samples values that stand for all that are likely, with their parts
     * @param exchanged rows that were most likely written into each other's place; null for none
     */
    @SuppressWarnings("ArrayRecordComponent")
    record Fit(Hypothesis hypothesis, double[] values, double misfit, double noise, double logEvidence,
            List<Sample> samples, WrittenRows.@Nullable Exchange exchanged) {
        double shown(double volts, double lambda) {
            return hypothesis.model().shown(volts, lambda, values);
        }

        /** Returns the number that it predicts for a row: with the engine running where it ran. */
        double shown(Observations seen, int row) {
            return hypothesis.model().shown(seen.volts(row), seen.lambda(row), seen.running(row), values);
        }
    }

    /** Values of the parameters, and how much of the hypothesis' probability they stand for. */
    @SuppressWarnings("ArrayRecordComponent")
    record Sample(double[] values, double part) {
    }

    /** Weighs every hypothesis; those that some of the points rule out are not fitted to the rest. */
    List<Fit> weigh(List<Hypothesis> hypotheses) {
        leastOfAll = Double.POSITIVE_INFINITY;
        List<Fit> rough = new ArrayList<>(
                hypotheses.stream().filter(h -> h.fault().second() == null).map(h -> weigh(h, few)).toList());
        int needed = rough.stream().max(Comparator.comparingDouble(Fit::logEvidence))
                .filter(f -> f.misfit() < EXPLAINED)
                .map(f -> f.hypothesis().parameters().size()).orElse(Integer.MAX_VALUE);
        // Two faults with more to fit than one that explains all are no answer: being rare, they have no weight.
        hypotheses.stream().filter(h -> h.fault().second() != null && h.parameters().size() <= needed)
                .forEach(h -> rough.add(weigh(h, few)));
        if (few.size() == all.size()) {
            return rough;
        }
        double best = rough.stream().mapToDouble(Fit::logEvidence).max().orElseThrow();
        leastOfAll = Double.POSITIVE_INFINITY;
        return rough.stream().filter(f -> f.logEvidence() > best - HOPELESS).map(f -> weigh(f.hypothesis(), all))
                .toList();
    }

    private Fit weigh(Hypothesis h, Observations seen) {
        return switch (h.parameters().size()) {
            case 0 -> whole(h, seen, new double[0], new Scales(h, seen, new double[0]), 0, List.of());
            case 1 -> one(h, seen);
            default -> several(h, seen);
        };
    }

    /**
     * Weighs the noise levels at the best fit, where the volume of the parameters about it is known for the usual level.
     */
    private Fit whole(Hypothesis h, Observations seen, double[] at, Scales scales, double logVolume,
            List<Sample> samples) {
        double[] levels = new double[NOISE.length];
        double most = Double.NEGATIVE_INFINITY;
        int likeliest = 0;
        double[] usual = scales.usual();
        double[] predicted = IntStream.range(0, seen.size())
                .mapToDouble(i -> h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), at)).toArray();
        WrittenRows.@Nullable Exchange exchanged = null;
        for (int k = 0; k < NOISE.length; k++) {
            double[] sigma = scales.at(k);
            WrittenRows.Under rows = written.under(seen, predicted, sigma);
            double wider = at.length == 0 ? 0 : at.length * Math.log(mean(sigma) / mean(usual));
            levels[k] = Math.log(BELIEF[k]) + rows.logLikelihood() + rows.bend(scales.model) + rows.exchange()
                    + Math.min(0, logVolume + wider);
            if (levels[k] > most) {
                most = levels[k];
                likeliest = k;
                exchanged = rows.likeliest();
            }
        }
        double top = most;
        double log = top + Math.log(Arrays.stream(levels).map(l -> Math.exp(l - top)).sum());
        double square = 0;
        for (int i = 0; i < seen.size(); i++) {
            int row = exchanged != null && exchanged.has(i) ? exchanged.other(i) : i;
            double r = (seen.shown(row) - predicted[i]) / usual[i];
            square += r * r;
        }
        return new Fit(h, at, Math.sqrt(square / seen.size()), NOISE[likeliest], log,
                samples.isEmpty() ? List.of(new Sample(at, 1)) : samples, exchanged);
    }

    private static double residual(Hypothesis h, Observations seen, int i, double[] at) {
        return seen.shown(i) - h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), at);
    }

    private double logLikelihood(Hypothesis h, Observations seen, double[] at, double[] sigma) {
        double sum = 0;
        for (int i = 0; i < seen.size(); i++) {
            double predicted = h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), at);
            sum += written.logDensity(seen, i, predicted, sigma[i]);
        }
        return sum;
    }

    /** The rows that are likelier mistyped than what a fit says. */
    List<Integer> mistyped(Fit fit) {
        double[] sigma = new Scales(fit.hypothesis(), all, fit.values())
                .at(Arrays.binarySearch(NOISE, fit.noise()));
        return IntStream.range(0, all.size())
                .filter(i -> fit.exchanged() == null || !fit.exchanged().has(i))
                .filter(i -> written.likelierMistyped(residual(fit.hypothesis(), all, i, fit.values()), sigma[i]))
                .boxed().toList();
    }

    /**
     * Standard deviation of what would be shown under a fit.
     *
     * @param own what a volt changes of it, by the setting in force
     * @param perModelVolt the same, by the fit
     */
    double sigma(Fit fit, double own, double perModelVolt) {
        double e = fit.noise();
        return Math.sqrt(variance(own, perModelVolt, e, e * e / 2));
    }

    /**
     * Returns the variance of a reading: display, converter and pin through the setting's slope, the applied volts through
     * the model's.
     */
    private double variance(double own, double model, double noise, double applied) {
        return display + own * own * (step * step / 12 + noise * noise / 2) + model * model * applied;
    }

    /** Standard deviations of the readings: meter, pin, converter and display, through the slopes of model and setting. */
    private final class Scales {
        private final Observations seen;
        private final double[] own;
        private final double[] model;
        private final double[] usual;

        Scales(Hypothesis h, Observations seen, double[] at) {
            this.seen = seen;
            own = seen == all ? ownAll : ownFew;
            model = new double[seen.size()];
            for (int i = 0; i < model.length; i++) {
                model[i] = slope(h, i, at);
            }
            usual = ofLevel(USUAL);
        }

        private double slope(Hypothesis h, int i, double[] at) {
            double step = 1e-4;
            double v = seen.volts(i);
            double l = seen.lambda(i);
            boolean runs = seen.running(i);
            return (h.model().shown(v + step, l, runs, at) - h.model().shown(v - step, l, runs, at)) / (2 * step);
        }

        private double[] ofLevel(int level) {
            double e = NOISE[level];
            double applied = e / Math.sqrt(2);
            double[] sigma = new double[model.length];
            for (int i = 0; i < sigma.length; i++) {
                sigma[i] = Math.sqrt(variance(own[i], model[i], e, seen.variance(i, applied)));
            }
            return sigma;
        }

        /** Returns the scales at the usual noise, which a search asks for again and again. */
        double[] usual() {
            return usual;
        }

        double[] at(int level) {
            return level == USUAL ? usual : ofLevel(level);
        }
    }

    private static double mean(double[] of) {
        double mean = 0;
        for (double one : of) {
            mean += one / of.length;
        }
        return mean;
    }

    /** Returns the squared misfit, each row's bounded so that none decides alone, but never flat. */
    private static double loss(Hypothesis h, Observations seen, Scales scales, double... at) {
        double[] sigma = scales.usual();
        double sum = 0;
        for (int i = 0; i < seen.size(); i++) {
            double r = residual(h, seen, i, at) / sigma[i];
            double q = r * r;
            sum += q < 1e100 ? CAP * q / (CAP + q) : CAP;
        }
        return sum;
    }

    private Fit one(Hypothesis h, Observations seen) {
        Hypothesis.Parameter p = h.parameters().getFirst();
        double[] nodes = nodes(p);
        Scales first = new Scales(h, few, new double[]{p.centre()});
        double[] losses = Arrays.stream(nodes).map(x -> loss(h, few, first, x)).toArray();
        int[] minima = minima(losses);
        if (losses[minima[0]] > FAR * CAP * few.size()) {
            double[] none = {nodes[minima[0]]};
            return whole(h, seen, none, new Scales(h, seen, none), 0, List.of());
        }
        double best = Double.NaN;
        double least = Double.POSITIVE_INFINITY;
        for (int j : minima) {
            double low = j == 0 ? p.low() : nodes[j - 1];
            double high = j == nodes.length - 1 ? p.high() : nodes[j + 1];
            Scales near = new Scales(h, seen, new double[]{nodes[j]});
            double x = descend(low, high, t -> loss(h, seen, near, t));
            double l = loss(h, seen, new Scales(h, seen, new double[]{x}), x);
            if (l < least) {
                least = l;
                best = x;
            }
        }
        double at = best;
        Scales scales = new Scales(h, seen, new double[]{at});
        if (least > leastOfAll + 2 * HOPELESS) {
            return whole(h, seen, new double[]{at}, scales, 0, List.of());
        }
        leastOfAll = Math.min(least, leastOfAll);
        double wide = width(h, seen, scales, p, at);
        double low = Math.max(p.low(), at - WIDTH * wide);
        double high = Math.min(p.high(), at + WIDTH * wide);
        double here = logLikelihood(h, seen, new double[]{at}, scales.usual());
        double[] parts = new double[INNER];
        double volume = 0;
        double gap = (high - low) / (INNER - 1);
        for (int j = 0; j < INNER; j++) {
            double x = low + j * gap;
            double end = j == 0 || j == INNER - 1 ? 0.5 : 1;
            parts[j] = end * gap * p.density(x)
                    * Math.exp(Math.min(50, logLikelihood(h, seen, new double[]{x}, scales.usual()) - here));
            volume += parts[j];
        }
        List<Sample> samples = new ArrayList<>();
        if (volume > 0) {
            double sum = volume;
            IntStream.range(0, INNER).filter(j -> j % 4 == 2).forEach(j -> samples.add(
                    new Sample(new double[]{low + j * gap}, Math.max(1e-12, around(parts, j) / sum))));
        }
        return whole(h, seen, new double[]{at}, scales, Math.log(Math.max(volume, 1e-300)), samples);
    }

    private static double around(double[] parts, int j) {
        double sum = 0;
        for (int k = Math.max(0, j - 2); k <= Math.min(parts.length - 1, j + 1); k++) {
            sum += parts[k];
        }
        return sum;
    }

    /** Returns nodes over the whole range, and as many about the usual values. */
    private static double[] nodes(Hypothesis.Parameter p) {
        double[] wide = IntStream.range(0, NODES).mapToDouble(i -> p.low() + (i + 0.5) / NODES * p.range()).toArray();
        if (p.near() == 0) {
            return wide;
        }
        DoubleStream close = IntStream.range(0, NODES)
                .mapToDouble(i -> p.centre() + (i - NODES / 2) * 6 * p.near() / NODES)
                .filter(x -> x > p.low() && x < p.high());
        return DoubleStream.concat(Arrays.stream(wide), close).sorted().toArray();
    }

    /** Returns the lowest local minima among the nodes. */
    private static int[] minima(double[] losses) {
        return IntStream.range(0, losses.length)
                .filter(i -> (i == 0 || losses[i] <= losses[i - 1])
                        && (i == losses.length - 1 || losses[i] <= losses[i + 1]))
                .boxed().sorted(Comparator.comparingDouble(i -> losses[i])).limit(MINIMA).mapToInt(i -> i).toArray();
    }

    /** Finds the minimum of a function between two bounds. */
    private static double descend(double from, double to, DoubleUnaryOperator f) {
        return new BrentOptimizer(1e-10, NARROW * (to - from)).optimize(new MaxEval(MOST_EVALUATIONS),
                new UnivariateObjectiveFunction(f::applyAsDouble), GoalType.MINIMIZE, new SearchInterval(from, to))
                .getPoint();
    }

    /** How far the parameter may move until the misfit has grown by one: its standard deviation. */
    private static double width(Hypothesis h, Observations seen, Scales scales, Hypothesis.Parameter p, double at) {
        double least = loss(h, seen, scales, at);
        double wide = 0;
        for (int side = -1; side <= 1; side += 2) {
            double bound = side < 0 ? at - p.low() : p.high() - at;
            double far = 1e-5 * p.range();
            double more = loss(h, seen, scales, at + side * Math.min(far, bound)) - least;
            while (more < 0.5 && far < bound) {
                far = Math.min(2 * far, bound);
                more = loss(h, seen, scales, at + side * far) - least;
            }
            wide = Math.max(wide, more <= 0 ? bound : Math.min(bound, far / Math.sqrt(Math.max(more, 1e-12))));
        }
        return Math.max(wide, 1e-9 * p.range());
    }

    private Fit several(Hypothesis h, Observations seen) {
        double[] best = new double[0];
        double least = Double.POSITIVE_INFINITY;
        for (double[] start : starts(h)) {
            double[] at = fit(h, seen, start);
            double l = loss(h, seen, new Scales(h, seen, at), at);
            boolean again = h.parameters().stream().noneMatch(p -> p.name() == FaultParameters.Name.MAX_VOLTS)
                    && Math.abs(l - least) < 1e-6 * (1 + least);
            if (l < least) {
                least = l;
                best = at;
            }
            if (again || least < seen.size()) {
                break;
            }
        }
        Scales scales = new Scales(h, seen, best);
        double[][] jacobian = jacobian(h, seen, scales, best);
        int count = best.length;
        double[][] information = new double[count][count];
        double density = 0;
        for (int j = 0; j < count; j++) {
            for (int k = 0; k < count; k++) {
                for (double[] row : jacobian) {
                    information[j][k] += row[j] * row[k];
                }
            }
            double range = h.parameters().get(j).range();
            information[j][j] += 12 / (range * range);
            density += Math.log(Math.max(h.parameters().get(j).density(best[j]), 1e-300));
        }
        double determinant = new LUDecomposition(new Array2DRowRealMatrix(information, false)).getDeterminant();
        return whole(h, seen, best, scales,
                count * WrittenRows.HALF_LOG_TAU - Math.log(Math.max(determinant, 1e-300)) / 2 + density, List.of());
    }

    private static List<double[]> starts(Hypothesis h) {
        List<double[]> starts = new ArrayList<>();
        double[] middle = h.parameters().stream()
                .mapToDouble(p -> p.near() > 0 ? p.centre() : (p.low() + p.high()) / 2).toArray();
        starts.add(middle);
        for (double part : new double[]{0.2, 0.8}) {
            starts.add(h.parameters().stream().mapToDouble(p -> p.low() + part * p.range()).toArray());
        }
        for (int j = 0; j < middle.length; j++) {
            Hypothesis.Parameter p = h.parameters().get(j);
            if (p.name() == FaultParameters.Name.MAX_VOLTS) {
                // An end is felt by the rows above it only, so a fit does not find it from afar.
                for (double part : ENDS) {
                    double[] start = middle.clone();
                    start[j] = p.low() + part * p.range();
                    starts.add(start);
                }
            }
        }
        return starts;
    }

    private double[] fit(Hypothesis h, Observations seen, double[] start) {
        Scales scales = new Scales(h, seen, start);
        double[] sigma = scales.usual();
        double[] target = IntStream.range(0, seen.size()).mapToDouble(i -> seen.shown(i) / sigma[i])
                .toArray();
        try {
            return new LevenbergMarquardtOptimizer().optimize(new LeastSquaresBuilder().start(start).model(point -> {
                double[] at = point.toArray();
                double[] out = IntStream.range(0, seen.size()).mapToDouble(
                        i -> h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), at) / sigma[i])
                        .toArray();
                return new Pair<RealVector, org.hipparchus.linear.RealMatrix>(new ArrayRealVector(out, false),
                        new Array2DRowRealMatrix(jacobian(h, seen, scales, at), false));
            }).target(target).maxEvaluations(MOST_EVALUATIONS).maxIterations(MOST_EVALUATIONS).lazyEvaluation(false)
                    .parameterValidator(v -> held(h, v)).build()).getPoint().toArray();
        } catch (MathRuntimeException e) {
            // A start from which nothing converges (a flat reading, say) is left to the other starts.
            return start;
        }
    }

    private static RealVector held(Hypothesis h, RealVector point) {
        RealVector held = point.copy();
        for (int i = 0; i < held.getDimension(); i++) {
            Hypothesis.Parameter p = h.parameters().get(i);
            held.setEntry(i, Math.clamp(held.getEntry(i), p.low(), p.high()));
        }
        return held;
    }

    private static double[][] jacobian(Hypothesis h, Observations seen, Scales scales, double[] at) {
        double[][] jacobian = new double[seen.size()][at.length];
        for (int j = 0; j < at.length; j++) {
            double step = 1e-6 * h.parameters().get(j).range();
            double[] up = at.clone();
            double[] down = at.clone();
            up[j] += step;
            down[j] -= step;
            for (int i = 0; i < jacobian.length; i++) {
                jacobian[i][j] = (h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), up)
                        - h.model().shown(seen.volts(i), seen.lambda(i), seen.running(i), down))
                        / (2 * step * scales.usual()[i]);
            }
        }
        return jacobian;
    }
}
