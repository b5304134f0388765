package amberheron.core.scaling;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * How likely readings are as they stand written: as a hypothesis predicts them, or mistyped anywhere, by a slip, or into
 * another's row, with a meter that bends and moves on.
 */
final class WrittenRows {
    /** Probability that a row is mistyped; from memory. */
    private static final double MISTYPED = 0.004;
    /** Probability that one digit of a row, or two neighbours, were hit wrongly; from memory. */
    private static final double SLIP = 0.004;
    /** Probability that two rows were written into each other's place, from an audit of cases. */
    private static final double EXCHANGED = 0.02;
    /** Misfit of a row, in standard deviations, from which it is looked at whether it was written down wrong. */
    private static final double ODD = 3;
    /** Number of such rows from which two that were exchanged explain nothing. */
    private static final int MOST_ODD = 6;
    /**
     * Standard deviation of how far a meter or gauge bends, or moves while it warms, as part of the volts that were tried: up
     * to 0.5 % is met, from an audit.
     */
    private static final double BEND = 0.0025;
    /** Difference of logarithms from which the lesser part of a sum is left out. */
    private static final double NEGLIGIBLE = 25;
    static final double HALF_LOG_TAU = Math.log(2 * Math.PI) / 2;
    private static final double HALF = Math.log(2);
    private static final double LOG_TYPED = Math.log(1 - MISTYPED - SLIP);

    /** Log-density of a mistyped row, which may be anywhere. */
    private final double outlierLogDensity;

    /**
     * Makes the density of readings.
     *
     * @param span of what the reader can show
     */
    WrittenRows(double span) {
        outlierLogDensity = Math.log(MISTYPED / span);
    }

    /** Two rows whose readings are in each other's place. */
    record Exchange(int first, int second) {
        boolean has(int row) {
            return row == first || row == second;
        }

        int other(int row) {
            return row == first ? second : first;
        }
    }

    /** The rows under a hypothesis that predicts them so, each with a standard deviation. */
    Under under(Observations seen, double[] predicted, double[] sigma) {
        return new Under(seen, predicted, sigma);
    }

    /** Returns whether a row is likelier mistyped than off by so much. */
    boolean likelierMistyped(double residual, double sigma) {
        return logNormal(residual, sigma) < outlierLogDensity;
    }

    /** Returns the log-density of a row: as the model predicts, or mistyped by a slip, or anywhere. */
    double logDensity(Observations seen, int row, double predicted, double sigma) {
        double residual = seen.shown(row) - predicted;
        double log = LOG_TYPED + logNormal(residual, sigma);
        double wrong = outlierLogDensity;
        if (Math.abs(residual) > ODD * sigma) {
            double[] meant = seen.meant(row);
            double slip = 0;
            for (double other : meant) {
                slip += Math.exp(logNormal(other - predicted, sigma));
            }
            wrong = Math.log(Math.exp(wrong) + SLIP / meant.length * slip);
        }
        double apart = log - wrong;
        return Math.abs(apart) > NEGLIGIBLE
                ? Math.max(log, wrong)
                : Math.max(log, wrong) + Math.log1p(Math.exp(-Math.abs(apart)));
    }

    private static double logNormal(double residual, double sigma) {
        double t = residual / sigma;
        return -t * t / 2 - Math.log(sigma) - HALF_LOG_TAU;
    }

    /** The rows under a hypothesis whose parameters are fixed, at one level of noise. */
    final class Under {
        private final Observations seen;
        private final double[] predicted;
        private final double[] sigma;
        private final double[] log;
        /** Two rows that are likelier exchanged than not; null for none. */
        private @Nullable Exchange likeliest;

        private Under(Observations seen, double[] predicted, double[] sigma) {
            this.seen = seen;
            this.predicted = predicted;
            this.sigma = sigma;
            log = new double[predicted.length];
            for (int i = 0; i < log.length; i++) {
                log[i] = logDensity(seen, i, predicted[i], sigma[i]);
            }
        }

        /** Returns two rows that are likelier exchanged than not, once {@link #exchange} has looked; null for none. */
        @Nullable
        Exchange likeliest() {
            return likeliest;
        }

        double logLikelihood() {
            return Arrays.stream(log).sum();
        }

        private boolean odd(int i) {
            return Math.abs(seen.shown(i) - predicted[i]) > ODD * sigma[i];
        }

        /** Returns what is added to the log-likelihood since any two rows may have been exchanged. */
        double exchange() {
            int n = log.length;
            int[] odd = IntStream.range(0, n).filter(this::odd).toArray();
            if (odd.length > MOST_ODD) {
                return 0;
            }
            double each = EXCHANGED / (n * (n - 1) / 2.0);
            double sum = 1 - EXCHANGED;
            double most = sum;
            for (int a = 0; a < odd.length; a++) {
                for (int b = a + 1; b < odd.length; b++) {
                    int i = odd[a];
                    int j = odd[b];
                    double more = logNormal(seen.shown(j) - predicted[i], sigma[i])
                            + logNormal(seen.shown(i) - predicted[j], sigma[j]) - log[i] - log[j];
                    double part = each * Math.exp(Math.min(600, more));
                    sum += part;
                    if (part > most) {
                        most = part;
                        likeliest = new Exchange(i, j);
                    }
                }
            }
            return Math.log(sum);
        }

        /**
         * Returns what is added to the log-likelihood since the meter may bend between the ends of the volts, and move on
         * from the first row to the last, each by some of a normal distribution, integrated in closed form.
         *
         * @param slopes of each reading for a volt that was applied
         */
        double bend(double[] slopes) {
            int n = log.length;
            double a = 1 / (BEND * BEND);
            double c = a;
            double m = 0;
            double p = 0;
            double q = 0;
            for (int i = 0; i < n; i++) {
                double r = seen.shown(i) - predicted[i];
                if (LOG_TYPED + logNormal(r, sigma[i]) < log[i] - HALF) {
                    // Written down wrong: it says nothing of the meter.
                    continue;
                }
                double w = 1 / (sigma[i] * sigma[i]);
                double bow = slopes[i] * seen.bow(i);
                double drift = slopes[i] * seen.drift(i);
                a += w * bow * bow;
                c += w * drift * drift;
                m += w * bow * drift;
                p += w * bow * r;
                q += w * drift * r;
            }
            double determinant = a * c - m * m;
            return (c * p * p - 2 * m * p * q + a * q * q) / determinant / 2
                    - Math.log(determinant * BEND * BEND * BEND * BEND) / 2;
        }
    }
}
