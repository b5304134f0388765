package amberheron.core.freeair;

import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.special.Erf;

/**
 * A straight trend of few readings, by Bayes: a normal belief about where it begins and how it goes, made narrower by each
 * reading. Gelman and others, Bayesian Data Analysis, 3rd ed., ch. 14 (linear regression with known noise).
 *
 * @param start mean value at 0 h
 * @param slope mean change in an hour
 * @param startVariance of the start
 * @param slopeVariance of the slope
 * @param covariance of both
 */
public record Trend(double start, double slope, double startVariance, double slopeVariance, double covariance) {
    /** Time beyond any sensor's life, h. */
    private static final double FOREVER = 1e6;
    private static final int MOST_EVALUATIONS = 200;

    /** A reading at so many hours. */
    public record Point(double hours, double value) {
    }

    /** A belief before anything was read: means and standard deviations. */
    public static Trend belief(double start, double startDoubt, double slope, double slopeDoubt) {
        return new Trend(start, slope, startDoubt * startDoubt, slopeDoubt * slopeDoubt, 0);
    }

    /**
     * The belief after a reading.
     *
     * @param noise standard deviation of a reading
     */
    public Trend after(Point reading, double noise) {
        double h = reading.hours();
        double c0 = startVariance + h * covariance;
        double c1 = covariance + h * slopeVariance;
        double spread = c0 + h * c1 + noise * noise;
        double off = reading.value() - at(h);
        return new Trend(start + c0 / spread * off, slope + c1 / spread * off, startVariance - c0 * c0 / spread,
                slopeVariance - c1 * c1 / spread, covariance - c0 * c1 / spread);
    }

    /** The belief after several. */
    public Trend after(List<Point> readings, double noise) {
        Trend now = this;
        for (Point reading : readings) {
            now = now.after(reading, noise);
        }
        return now;
    }

    /** Returns the expected value at so many hours. */
    public double at(double hours) {
        return start + slope * hours;
    }

    /** How sure that is: its standard deviation. */
    public double doubtAt(double hours) {
        return Math.sqrt(Math.max(0, startVariance + 2 * hours * covariance + hours * hours * slopeVariance));
    }

    /**
     * Returns the probability that it is past a limit at some hours: below the limit for a trend that falls, above it for
     * one that rises.
     */
    public double past(double limit, double hours) {
        double doubt = doubtAt(hours);
        double off = start > limit ? limit - at(hours) : at(hours) - limit;
        return doubt == 0 ? off >= 0 ? 1 : 0 : 0.5 * Erf.erfc(-off / doubt / Math.sqrt(2));
    }

    /**
     * Returns the hours at which it is past a limit with a probability; empty where that is never so within any sensor's
     * life.
     */
    public Optional<Double> when(double limit, double probability) {
        if (past(limit, FOREVER) < probability) {
            return Optional.empty();
        }
        return Optional.of(past(limit, 0) >= probability
                ? 0
                : new BracketingNthOrderBrentSolver().solve(MOST_EVALUATIONS,
                        hours -> past(limit, hours) - probability, 0, FOREVER, AllowedSolution.ABOVE_SIDE));
    }
}
