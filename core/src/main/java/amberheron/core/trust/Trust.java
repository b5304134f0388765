package amberheron.core.trust;

import amberheron.core.finding.Source;
import amberheron.core.scaling.SignalChain;
import amberheron.core.trust.Uncertainty.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * The trust figure: the number shown is λ ± u, rich, stoichiometric and lean. Drawn at random through the whole chain as
 * it is (JCGM 101:2008), beside the sum of squares that holds where all is linear (JCGM 100:2008, 5.1).
 *
 * @param at u at each mixture, richest first
 * @param largest what contributes most to the largest of them; empty when nothing is in doubt
 */
public record Trust(List<At> at, Optional<Share> largest) {
    /** Where it comes from. */
    public static final List<Source> SOURCES = List.of(
            Source.published("JCGM 100:2008 (sum of squares, coverage factor 2) and JCGM 101:2008 (Monte Carlo)"),
            Source.memory("what a sensor in order, a hygrometer and a thermometer are off by, for the trust figure"));
    /** About 95 of 100 lie within so many standard uncertainties. */
    public static final double COVERAGE = 2;
    private static final int DRAWS = 10_000;
    /** The same job gives the same figure every time. */
    private static final long SEED = 20_260_501;
    private static final double[] ASKED = {0.8, 1, 1.2};
    private static final double STEP = 1e-4;

    /**
     * The figure at one mixture.
     *
     * @param lambda true mixture, λ
     * @param u expanded by the coverage factor 2, λ, drawn at random
     * @param analytic the same by the sum of squares
     */
    public record At(double lambda, double u, double analytic) {
    }

    /** How much of the variance one cause makes, 0 to 1. */
    public record Share(Contributor by, double share) {
    }

    public Trust {
        at = List.copyOf(at);
    }

    /** The figure of a chain; a mixture that its law cannot put out is told of at the end of the law. */
    public static Trust of(SignalChain chain, List<Uncertainty> doubts) {
        List<At> figures = new ArrayList<>();
        Optional<Share> largest = Optional.empty();
        double most = -1;
        for (double asked : ASKED) {
            double lambda = Math.clamp(asked, chain.law().richest(), chain.law().leanest());
            Map<Contributor, Double> variances = variances(chain, doubts, lambda);
            double sum = variances.values().stream().mapToDouble(v -> v).sum();
            double u = COVERAGE * drawn(chain, doubts, lambda);
            figures.add(new At(lambda, u, COVERAGE * Math.sqrt(sum)));
            if (sum > 0 && u > most) {
                most = u;
                largest = variances.entrySet().stream().max(Map.Entry.comparingByValue())
                        .map(e -> new Share(e.getKey(), e.getValue() / sum));
            }
        }
        return new Trust(figures, largest);
    }

    /** The figure where it is worst. */
    public At worst() {
        return at.stream().max(Comparator.comparingDouble(At::u)).orElseThrow();
    }

    /** Contribution of each cause to the variance, λ²: the square of its standard uncertainty times its sensitivity. */
    private static Map<Contributor, Double> variances(SignalChain chain, List<Uncertainty> doubts, double lambda) {
        double volts = chain.pinVolts(lambda);
        // The slopes of law and setting, without the steps of the converter.
        double lawSlope = (chain.law().voltsAt(lambda + STEP) - chain.law().voltsAt(lambda - STEP)) / (2 * STEP);
        double readerSlope = (lambda(chain, volts + STEP) - lambda(chain, volts - STEP)) / (2 * STEP);
        Map<Contributor, Double> sum = new EnumMap<>(Contributor.class);
        for (Uncertainty d : doubts) {
            double effect = switch (d.at()) {
                case SENSOR_GAIN -> (lambda - 1) * lawSlope * readerSlope;
                case PIN_VOLTS -> readerSlope;
                case PIN_GAIN -> volts * readerSlope;
                case SHOWN -> 1;
            };
            sum.merge(d.by(), Math.pow(effect * d.standard(), 2), Double::sum);
        }
        return sum;
    }

    /** Standard deviation of what is shown, λ, every doubt drawn anew each time. */
    private static double drawn(SignalChain chain, List<Uncertainty> doubts, double lambda) {
        SplittableRandom random = new SplittableRandom(SEED);
        double mean = 0;
        double squares = 0;
        for (int i = 1; i <= DRAWS; i++) {
            double gain = 0;
            double volts = 0;
            double part = 0;
            double shown = 0;
            for (Uncertainty d : doubts) {
                double x = d.size() * (d.shape() == Shape.EVEN ? 2 * random.nextDouble() - 1 : random.nextGaussian());
                switch (d.at()) {
                    case SENSOR_GAIN -> gain += x;
                    case PIN_VOLTS -> volts += x;
                    case PIN_GAIN -> part += x;
                    case SHOWN -> shown += x;
                }
            }
            double pin = chain.pinVolts(lambda + gain * (lambda - 1)) * (1 + part) + volts;
            double value = lambda(chain, pin) + shown;
            double off = value - mean;
            mean += off / i;
            squares += off * (value - mean);
        }
        return Math.sqrt(squares / (DRAWS - 1));
    }

    private static double lambda(SignalChain chain, double pin) {
        return chain.reader().scale().toLambda(chain.setting().at(chain.reader().input().clipped(pin)));
    }
}
