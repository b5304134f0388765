package amberheron.core.scaling;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * The last moments of a controller's stream as one reading: their mean and how far they moved about it. A check point is
 * taken only while the mixture stands, because reader and eye lag behind one that moves.
 *
 * @param lambda mean mixture; null where none was said
 * @param volts mean of the output; null where none was said
 * @param least least of the mixture, or of the volts where none was said
 * @param most greatest of it
 * @param stands whether it neither scattered more than a reader may be off by, nor moved on by a third of that
 */
public record Settled(@Nullable Double lambda, @Nullable Double volts, double least, double most, boolean stands) {
    /** Time for which it has to stand, s; our own choice: several times the lag of readers and eyes. */
    public static final double LONG_ENOUGH = 2;
    /** Least number of moments from which it can be told whether it stands. */
    private static final int FEWEST = 5;

    /** One moment; what was not said is null. */
    public record Moment(double seconds, @Nullable Double lambda, @Nullable Double volts) {
    }

    /**
     * Judges the last moments, times rising.
     *
     * @return empty while there are too few, or they do not last long enough, or say neither mixture nor volts
     */
    public static Optional<Settled> of(List<Moment> moments, OutputLaw law) {
        if (moments.size() < FEWEST
                || moments.getLast().seconds() - moments.getFirst().seconds() < 0.9 * LONG_ENOUGH) {
            return Optional.empty();
        }
        double[] lambda = said(moments, Moment::lambda);
        double[] volts = said(moments, Moment::volts);
        boolean mixtures = lambda.length >= FEWEST;
        if (!mixtures && volts.length < FEWEST) {
            return Optional.empty();
        }
        double[] told = mixtures ? lambda : volts;
        double[] moved = mixtures ? lambda : Arrays.stream(volts).map(law::lambdaAt).toArray();
        return Optional.of(new Settled(mixtures ? Double.valueOf(StatUtils.mean(lambda)) : null,
                volts.length >= FEWEST ? Double.valueOf(StatUtils.mean(volts)) : null, StatUtils.min(told),
                StatUtils.max(told), stands(moved)));
    }

    private static double[] said(List<Moment> moments, Function<Moment, @Nullable Double> what) {
        return moments.stream().filter(m -> what.apply(m) != null)
                .mapToDouble(m -> Objects.requireNonNull(what.apply(m))).toArray();
    }

    private static boolean stands(double[] lambda) {
        int half = lambda.length / 2;
        double moved = StatUtils.mean(lambda, half, lambda.length - half) - StatUtils.mean(lambda, 0, half);
        return Math.abs(moved) <= Tolerance.LAMBDA / 3
                && Math.sqrt(StatUtils.variance(lambda)) <= Tolerance.LAMBDA;
    }
}
