package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * Controller against reader over a whole log.
 *
 * @param samples how many moments both were present
 * @param duration from first to last, s
 * @param bias mean of shown − true, λ
 * @param spread standard deviation of shown − true, λ; 0 for a single sample
 * @param worst the difference greatest in magnitude, less what a mixture on its way changes there from row to row, λ
 * @param worstAt when it happened, s
 * @param richest least mixture the controller showed, λ; null in a document that does not say
 * @param leanest greatest, λ
 * @param gain what the reader makes of one λ more at the controller, by least squares; null where the mixture never
 *        moved
 * @param trace the log thinned for drawing: of each stretch the samples with the least and the greatest difference, so
 *        that a spike of one sample is never lost
 */
public record LogComparison(int samples, double duration, double bias, double spread, double worst, double worstAt,
        @Nullable Double richest, @Nullable Double leanest, @Nullable Double gain, List<Sample> trace) {
    public LogComparison {
        Sane.TIME.check("duration", duration);
        Sane.DIFFERENCE.check("bias", bias);
        Sane.DIFFERENCE.check("spread", spread);
        Sane.DIFFERENCE.check("worst", worst);
    }

    private static final int STRETCHES = 200;
    /** Greatest mixture that is taken from a log, λ. */
    private static final double MOST = 20;

    /**
     * Compares the rows in which both channels show a mixture.
     *
     * @throws Unusable when there are none
     */
    public static LogComparison of(Drive drive) {
        return of(drive, drive);
    }

    /**
     * Compares a part of a drive and keeps all of it for drawing.
     *
     * @param compared the drive without the parts that say nothing; where nothing is left of it, all is compared
     * @throws Unusable when no row has both
     */
    public static LogComparison of(Drive drive, Drive compared) {
        List<Sample> both = new ArrayList<>();
        int rows = 0;
        for (int i = 0; i < drive.size(); i++) {
            rows += both(drive, i) ? 1 : 0;
        }
        if (rows == 0) {
            throw new Unusable(say("log: found no row with both channels, expected one or more"));
        }
        // Of a long log only what is drawn is kept: of each stretch the least and the greatest difference.
        int stretch = Math.max(1, rows / (100 * STRETCHES));
        Running running = new Running();
        int least = -1;
        int most = -1;
        int seen = 0;
        for (int i = 0; i < drive.size(); i++) {
            if (!both(drive, i)) {
                continue;
            }
            running.add(drive.time()[i], compared, i);
            least = least < 0 || difference(drive, i) < difference(drive, least) ? i : least;
            most = most < 0 || difference(drive, i) > difference(drive, most) ? i : most;
            if (++seen % stretch == 0 || seen == rows) {
                both.add(sample(drive, Math.min(least, most)));
                if (least != most) {
                    both.add(sample(drive, Math.max(least, most)));
                }
                least = -1;
                most = -1;
            }
        }
        return running.difference.getN() == 0 ? of(drive, drive) : running.comparison(thinned(both));
    }

    private static boolean both(Drive drive, int i) {
        return drive.controller()[i] > 0 && drive.controller()[i] < MOST && drive.reader()[i] > 0
                && drive.reader()[i] < MOST;
    }

    private static double difference(Drive drive, int i) {
        return drive.reader()[i] - drive.controller()[i];
    }

    private static Sample sample(Drive drive, int i) {
        return new Sample(drive.time()[i], drive.controller()[i], drive.reader()[i]);
    }

    /** Sums over rows, none of which is kept. */
    private static final class Running {
        private final SimpleRegression line = new SimpleRegression();
        private final StreamingStatistics difference = new StreamingStatistics();
        private final StreamingStatistics mixture = new StreamingStatistics();
        private double first = Double.NaN;
        private double last;
        private double worst;
        private double worstAt;

        void add(double time, Drive compared, int i) {
            first = Double.isNaN(first) ? time : first;
            last = time;
            if (!both(compared, i)) {
                return;
            }
            double off = difference(compared, i);
            difference.addValue(off);
            mixture.addValue(compared.controller()[i]);
            line.addData(compared.controller()[i], compared.reader()[i]);
            double beyond = Math.signum(off) * Math.max(0, Math.abs(off) - change(compared, i));
            if (difference.getN() == 1 || Math.abs(beyond) > Math.abs(worst) + 1e-6) {
                worst = beyond;
                worstAt = last;
            }
        }

        /** By how much a mixture on its way changes from one row to the next here: so much is a matter of the clock. */
        private static double change(Drive drive, int i) {
            double[] t = drive.time();
            float[] told = drive.controller();
            double most = 0;
            for (int k = Math.max(1, i); k <= Math.min(i + 1, told.length - 1); k++) {
                double change = Math.abs(told[k] - told[k - 1]);
                most = change > Agreement.STANDS * (t[k] - t[k - 1]) && change > most ? change : most;
            }
            return most;
        }

        LogComparison comparison(List<Sample> trace) {
            boolean moved = line.getXSumSquares() > 1e-12;
            return new LogComparison((int) difference.getN(), last - first, difference.getMean(),
                    difference.getN() < 2 ? 0 : difference.getStandardDeviation(), worst, worstAt, mixture.getMin(),
                    mixture.getMax(), moved ? Double.valueOf(line.getSlope()) : null, trace);
        }
    }

    private static List<Sample> thinned(List<Sample> log) {
        if (log.size() <= 2 * STRETCHES) {
            return List.copyOf(log);
        }
        List<Sample> trace = new ArrayList<>();
        for (int i = 0; i < STRETCHES; i++) {
            int from = (int) ((long) i * log.size() / STRETCHES);
            int to = (int) ((long) (i + 1) * log.size() / STRETCHES);
            int least = from;
            int most = from;
            for (int k = from; k < to; k++) {
                least = log.get(k).difference() < log.get(least).difference() ? k : least;
                most = log.get(k).difference() > log.get(most).difference() ? k : most;
            }
            trace.add(log.get(Math.min(least, most)));
            if (least != most) {
                trace.add(log.get(Math.max(least, most)));
            }
        }
        return List.copyOf(trace);
    }
}
