package amberheron.core.trust;

import amberheron.core.finding.Source;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.scaling.SignalChain;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;

/**
 * The trust figure: the number shown is λ ± u, rich, stoichiometric, lean and at the law's lean end. Drawn at random through
 * the whole chain as it is (JCGM 101:2008), beside the sum of squares that holds where all is linear (JCGM 100:2008, 5.1).
 * What can only raise the number is drawn so: u is what 95 of 100 numbers are off by at most.
 *
 * @param at u at each mixture that is quoted, richest first
 * @param curve the same at those and more of the lean ones
 * @param largest what contributes most to the largest of them; empty when nothing is in doubt
 */
public record Trust(List<At> at, List<At> curve, Optional<Share> largest) {
    /** Where it comes from. */
    public static final List<Source> SOURCES = List.of(
            Source.published("JCGM 100:2008 (sum of squares, coverage factor 2) and JCGM 101:2008 (Monte Carlo)"),
            Source.memory("what a sensor in order, a hygrometer and a thermometer are off by, for the trust figure"));
    /** About 95 of 100 lie within so many standard uncertainties of a sum of squares. */
    public static final double COVERAGE = 2;
    private static final double WITHIN = 0.95;
    private static final int DRAWS = 4_000;
    /** The same job gives the same figure every time. */
    private static final long SEED = 20_260_501;
    private static final double[] ASKED = {0.8, 1, 1.2};
    private static final double STEP = 1e-4;
    /** Greatest distance of two mixtures beyond the last that is asked for, λ. */
    private static final double LEAN_STEP = 0.05;
    /** Part of the pressure at full load that an engine has which runs at 1 or leaner; from memory. */
    private static final double LIGHT = 1 / 3.0;

    /**
     * The figure at one mixture.
     *
     * @param lambda true mixture, λ
     * @param u what 95 of 100 are off by at most, λ, drawn at random
     * @param analytic the same by the sum of squares, coverage factor 2
     */
    public record At(double lambda, double u, double analytic) {
    }

    /** How much of the variance one cause makes, 0 to 1. */
    public record Share(Contributor by, double share) {
    }

    public Trust {
        at = List.copyOf(at);
        curve = List.copyOf(curve);
    }

    /**
     * The figure of a chain; a mixture that its law cannot put out is told of at the end of the law. For all that is leaner than
     * the last that is asked for, the greatest figure stands at the law's lean end.
     */
    public static Trust of(SignalChain chain, List<Uncertainty> doubts) {
        List<At> figures = new ArrayList<>();
        for (double asked : ASKED) {
            figures.add(at(chain, doubts, Math.clamp(asked, chain.law().richest(), chain.law().leanest())));
        }
        List<At> curve = new ArrayList<>(figures);
        double last = figures.getLast().lambda();
        double leanest = chain.law().leanest();
        int steps = (int) Math.ceil((leanest - last) / LEAN_STEP);
        for (int i = 1; i <= steps; i++) {
            curve.add(at(chain, doubts, last + (leanest - last) * i / steps));
        }
        if (steps > 0) {
            At most = curve.subList(ASKED.length - 1, curve.size()).stream().max(Comparator.comparingDouble(At::u))
                    .orElseThrow();
            figures.add(new At(leanest, most.u(), most.analytic()));
        }
        At worst = curve.stream().max(Comparator.comparingDouble(At::u)).orElseThrow();
        Map<Contributor, Double> variances = variances(chain, doubts, worst.lambda());
        double sum = variances.values().stream().mapToDouble(v -> v).sum();
        return new Trust(figures, curve, sum == 0
                ? Optional.empty()
                : variances.entrySet().stream().max(Map.Entry.comparingByValue())
                        .map(e -> new Share(e.getKey(), e.getValue() / sum)));
    }

    private static At at(SignalChain chain, List<Uncertainty> doubts, double lambda) {
        double sum = variances(chain, doubts, lambda).values().stream().mapToDouble(v -> v).sum();
        return new At(lambda, drawn(chain, doubts, lambda), COVERAGE * Math.sqrt(sum));
    }

    /** Returns u at a mixture, λ: on straight lines between those that were worked out, and on beyond the richest. */
    public double u(double lambda) {
        int i = 1;
        while (i < curve.size() - 1 && lambda > curve.get(i).lambda()) {
            i++;
        }
        At a = curve.get(i - 1);
        At b = curve.get(i);
        double part = a.lambda() == b.lambda() ? 0 : (lambda - a.lambda()) / (b.lambda() - a.lambda());
        return Math.max(0, a.u() + Math.min(1, part) * (b.u() - a.u()));
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
                case SENSOR_GAIN -> (ExhaustGas.shown(lambda, 1 + STEP) - lambda) / STEP * lawSlope * readerSlope;
                case BACK_PRESSURE ->
                    (ExhaustGas.shown(lambda, pressed(STEP, lambda)) - lambda) / STEP * lawSlope * readerSlope;
                case LIGHT_LOAD -> lambda < 1 ? 0 : lawSlope * readerSlope;
                case PIN_VOLTS -> readerSlope;
                case PIN_GAIN -> volts * readerSlope;
                case SHOWN -> 1;
            };
            sum.merge(d.by(), Math.pow(effect * d.standard(), 2), Double::sum);
        }
        return sum;
    }

    /** How many times more current the sensor gives with a pressure of the pipe at full load, bar, that a mixture has of it. */
    private static double pressed(double bar, double lambda) {
        return ExhaustGas.pumpCurrentRatio(1 + (lambda < 1 ? 1 : LIGHT) * bar, 1, ExhaustGas.PRESSURE_CONSTANT);
    }

    /** What 95 of 100 numbers shown are off by at most, λ, every doubt drawn anew each time. */
    private static double drawn(SignalChain chain, List<Uncertainty> doubts, double lambda) {
        SplittableRandom random = new SplittableRandom(SEED);
        double[] off = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            off[i] = Math.abs(shown(chain, doubts, lambda, random) - lambda(chain, chain.pinVolts(lambda)));
        }
        Arrays.sort(off);
        return off[(int) Math.ceil(WITHIN * DRAWS) - 1];
    }

    /**
     * Draws a number that may be shown for a mixture.
     *
     * @param lambda true mixture
     */
    public static double shown(SignalChain chain, List<Uncertainty> doubts, double lambda, RandomGenerator random) {
        double gain = 1;
        double added = 0;
        double volts = 0;
        double part = 0;
        double shown = 0;
        for (Uncertainty d : doubts) {
            double x = d.drawn(random);
            switch (d.at()) {
                case SENSOR_GAIN -> gain *= 1 + x;
                case BACK_PRESSURE -> gain *= pressed(x, lambda);
                case LIGHT_LOAD -> added += lambda < 1 ? 0 : x;
                case PIN_VOLTS -> volts += x;
                case PIN_GAIN -> part += x;
                case SHOWN -> shown += x;
            }
        }
        double seen = ExhaustGas.shown(lambda + added, Math.max(0, gain));
        return lambda(chain, chain.pinVolts(seen) * (1 + part) + volts) + shown;
    }

    private static double lambda(SignalChain chain, double pin) {
        return chain.reader().scale().toLambda(chain.setting().at(chain.reader().input().clipped(pin)));
    }
}
