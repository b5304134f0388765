package amberheron.core.freeair;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.special.Erf;

/**
 * The trend of few readings, by Bayes: normal beliefs about where it begins, how it goes and how it bends, made narrower by
 * each reading. Several courses are weighed by how well they foretell the readings: straight, bent, and either with a sudden
 * step between two readings. Gelman and others, Bayesian Data Analysis, 3rd ed., ch. 14 (linear regression with known noise)
 * and ch. 7 (marginal likelihood).
 *
 * @param courses with weights that add up to 1
 */
public record Trend(List<Course> courses) {
    /** Time beyond any sensor's life, h. */
    private static final double FOREVER = 1e6;
    /** Step in which a limit is looked for, h, and the factor by which it grows. */
    private static final double STEP = 25;
    private static final double GROWS = 1.06;
    private static final int MOST_EVALUATIONS = 200;
    /** Standard deviations beyond which nothing of a mixture lies that counts, and the exactness of a quantile. */
    private static final double WIDE = 30;
    private static final double TINY = 1e-9;
    private static final int ORDER = 5;
    /** Weight of courses that bend, and of those with a step, all places of it together; from memory. */
    private static final double BENT = 0.6;
    private static final double BROKEN = 0.3;
    private static final double NEGLIGIBLE = 1e-3;

    /** A reading at so many hours. */
    public record Point(double hours, double value) {
    }

    /**
     * What is believed before anything was read, as means and standard deviations.
     *
     * @param start value at 0 h
     * @param slope change in an hour
     * @param bends slope and bend, with the weight of each, of the courses that bend
     * @param step by how much it is more, or less, after a sudden step
     */
    public record Belief(Normal start, Normal slope, List<Bent> bends, Normal step) {
        public Belief {
            bends = List.copyOf(bends);
        }
    }

    /**
     * A way to bend.
     *
     * @param slope change in an hour at 0 h
     * @param bend half of what the slope changes by in an hour
     * @param weight among all that bend
     */
    public record Bent(Normal slope, Normal bend, double weight) {
    }

    /** A normal distribution. */
    public record Normal(double mean, double doubt) {
    }

    /**
     * A course: start, slope, bend and step, their covariance, and its weight.
     *
     * @param breaks hours from which on it is the step more or less; infinite for none
     */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    public record Course(double[] mean, double[][] covariance, double breaks, double weight) {
        private double[] design(double hours) {
            return new double[]{1, hours, hours * hours, hours < breaks ? 0 : 1};
        }

        private static double times(double[] a, double[] b) {
            double sum = 0;
            for (int i = 0; i < a.length; i++) {
                sum += a[i] * b[i];
            }
            return sum;
        }

        private double[] spread(double[] x) {
            return Arrays.stream(covariance).mapToDouble(row -> times(row, x)).toArray();
        }

        double at(double hours) {
            return times(mean, design(hours));
        }

        double variance(double hours) {
            double[] x = design(hours);
            return Math.max(0, times(x, spread(x)));
        }

        double slope(double hours) {
            return mean[1] + 2 * hours * mean[2];
        }

        double slopeVariance(double hours) {
            return Math.max(0, covariance[1][1] + 4 * hours * covariance[1][2] + 4 * hours * hours * covariance[2][2]);
        }

        /** Returns the course after a reading, its weight times how likely that reading was. */
        Course after(Point reading, double noise) {
            double[] x = design(reading.hours());
            double[] c = spread(x);
            double variance = times(x, c) + noise * noise;
            double off = reading.value() - times(mean, x);
            double[] next = new double[mean.length];
            double[][] less = new double[mean.length][mean.length];
            for (int i = 0; i < mean.length; i++) {
                next[i] = mean[i] + c[i] / variance * off;
                for (int j = 0; j < mean.length; j++) {
                    less[i][j] = covariance[i][j] - c[i] * c[j] / variance;
                }
            }
            return new Course(next, less, breaks, weight * Math.exp(-off * off / variance / 2) / Math.sqrt(variance));
        }
    }

    public Trend {
        courses = List.copyOf(courses);
    }

    /**
     * Fits readings.
     *
     * @param readings with hours that do not fall
     * @param noise standard deviation of a reading
     */
    public static Trend of(Belief belief, List<Point> readings, double noise) {
        List<Course> courses = new ArrayList<>();
        double all = belief.bends().stream().mapToDouble(Bent::weight).sum();
        List<Bent> ways = new ArrayList<>(List.of(new Bent(belief.slope(), new Normal(0, 0), 1 - BENT)));
        belief.bends().forEach(b -> ways.add(new Bent(b.slope(), b.bend(), BENT * b.weight() / all)));
        for (Bent way : ways) {
            courses.add(course(belief, way, Double.POSITIVE_INFINITY, way.weight() * (1 - BROKEN)));
            for (int i = 1; i < readings.size(); i++) {
                double breaks = (readings.get(i - 1).hours() + readings.get(i).hours()) / 2;
                courses.add(course(belief, way, breaks, way.weight() * BROKEN / (readings.size() - 1)));
            }
        }
        for (Point reading : readings) {
            courses.replaceAll(c -> c.after(reading, noise));
            // Of many readings the weights would grow too small to be told from nothing.
            double sum = courses.stream().mapToDouble(Course::weight).sum();
            courses.replaceAll(c -> new Course(c.mean, c.covariance, c.breaks,
                    sum > 0 ? c.weight / sum : 1.0 / courses.size()));
        }
        double sum = courses.stream().mapToDouble(Course::weight).sum();
        return new Trend(courses.stream().filter(c -> c.weight > NEGLIGIBLE * sum)
                .map(c -> new Course(c.mean, c.covariance, c.breaks, c.weight / sum)).toList());
    }

    private static Course course(Belief belief, Bent way, double breaks, double weight) {
        Normal step = Double.isFinite(breaks) ? belief.step() : new Normal(0, 0);
        Normal[] all = {belief.start(), way.slope(), way.bend(), step};
        double[][] covariance = new double[all.length][all.length];
        for (int i = 0; i < all.length; i++) {
            covariance[i][i] = all[i].doubt() * all[i].doubt();
        }
        return new Course(Arrays.stream(all).mapToDouble(Normal::mean).toArray(), covariance, breaks, weight);
    }

    private double mean(ToDoubleFunction<Course> of) {
        return courses.stream().mapToDouble(c -> c.weight() * of.applyAsDouble(c)).sum();
    }

    /** Returns the expected value at so many hours. */
    public double at(double hours) {
        return mean(c -> c.at(hours));
    }

    /** How sure that is: its standard deviation. */
    public double doubtAt(double hours) {
        double mean = at(hours);
        return Math.sqrt(mean(c -> c.variance(hours) + Math.pow(c.at(hours) - mean, 2)));
    }

    /** Returns the expected change in an hour, at so many hours. */
    public double slopeAt(double hours) {
        return mean(c -> c.slope(hours));
    }

    /** How sure that is: its standard deviation. */
    public double slopeDoubtAt(double hours) {
        double mean = slopeAt(hours);
        return Math.sqrt(mean(c -> c.slopeVariance(hours) + Math.pow(c.slope(hours) - mean, 2)));
    }

    /**
     * Returns the probability that it is past a limit at some hours.
     *
     * @param falls whether below the limit is past it
     */
    public double past(double limit, boolean falls, double hours) {
        return mean(c -> {
            double doubt = Math.sqrt(c.variance(hours));
            double off = falls ? limit - c.at(hours) : c.at(hours) - limit;
            return doubt == 0 ? off >= 0 ? 1 : 0 : 0.5 * Erf.erfc(-off / doubt / Math.sqrt(2));
        });
    }

    /** Returns the value below which it is with a probability, at so many hours. */
    public double quantile(double hours, double probability) {
        double middle = at(hours);
        double reach = WIDE * doubtAt(hours) + TINY;
        return new BracketingNthOrderBrentSolver(TINY, TINY, ORDER).solve(MOST_EVALUATIONS,
                value -> past(value, true, hours) - probability, middle - reach, middle + reach);
    }

    /**
     * Returns the hours at which it is first past a limit with a probability; empty where that is never so within any
     * sensor's life.
     */
    public Optional<Double> when(double limit, boolean falls, double probability) {
        double before = 0;
        double step = STEP;
        if (past(limit, falls, 0) >= probability) {
            return Optional.of(0.0);
        }
        while (before < FOREVER) {
            double next = before + step;
            if (past(limit, falls, next) >= probability) {
                return Optional.of(new BracketingNthOrderBrentSolver().solve(MOST_EVALUATIONS,
                        hours -> past(limit, falls, hours) - probability, before, next, AllowedSolution.ABOVE_SIDE));
            }
            before = next;
            step *= GROWS;
        }
        return Optional.empty();
    }
}
