package amberheron.core.drivelog;

import java.util.DoubleSummaryStatistics;
import org.jspecify.annotations.Nullable;
import amberheron.core.units.Sane;

import java.util.ArrayList;
import java.util.List;

/**
 * Controller against reader over a whole log.
 *
 * @param samples how many moments both were present
 * @param duration from first to last, s
 * @param bias mean of shown − true, λ
 * @param spread standard deviation of shown − true, λ; 0 for a single sample
 * @param worst the difference greatest in magnitude, λ
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

    /**
     * Compares.
     *
     * @param log one sample or more, times rising
     */
    public static LogComparison of(List<Sample> log) {
        if (log.isEmpty()) {
            throw new IllegalArgumentException("log: found no row with both channels, expected one or more");
        }
        double mean = log.stream().mapToDouble(Sample::difference).average().orElseThrow();
        double square = log.stream().mapToDouble(s -> (s.difference() - mean) * (s.difference() - mean)).sum();
        Sample worst = log.getFirst();
        for (Sample s : log) {
            if (Math.abs(s.difference()) > Math.abs(worst.difference())) {
                worst = s;
            }
        }
        double spread = log.size() < 2 ? 0 : Math.sqrt(square / (log.size() - 1));
        DoubleSummaryStatistics mixture = log.stream().mapToDouble(Sample::controller).summaryStatistics();
        return new LogComparison(log.size(), log.getLast().time() - log.getFirst().time(), mean, spread,
                worst.difference(), worst.time(),
                mixture.getMin(), mixture.getMax(), gain(log, mixture.getAverage(), mean), thinned(log));
    }

    private static @Nullable Double gain(List<Sample> log, double middle, double bias) {
        double square = log.stream().mapToDouble(s -> (s.controller() - middle) * (s.controller() - middle)).sum();
        double common = log.stream().mapToDouble(s -> (s.controller() - middle) * (s.difference() - bias)).sum();
        return square > 1e-12 ? 1 + common / square : null;
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
