package amberheron.core.scaling;

import java.util.List;
import java.util.function.Function;

/**
 * A way in which the chain may lie, as a model with few parameters and physical bounds.
 *
 * @param fault what it is called
 * @param prior weight before anything is measured
 * @param parameters the free parameters; may be empty
 * @param fixed what is known without fitting, reported with the parameters
 * @param model the reading for fitted parameters, smooth (not quantised)
 * @param left what stays between output and pin when the right setting is typed
 */
record Hypothesis(Fault fault, double prior, List<Parameter> parameters, FaultParameters fixed, Model model,
        Function<double[], WireEffect> left) {
    /**
     * A parameter and what is believed of it before anything is measured.
     *
     * @param centre where the common ones lie
     * @param least nearer the centre than this it is nothing that anybody would mend
     * @param near standard deviation of the common ones; 0 where all between the bounds are equally likely
     * @param gross part that lies anywhere between the bounds
     */
    record Parameter(FaultParameters.Name name, double low, double high, double centre, double least, double near,
            double gross) {
        private static final double ROOT = Math.sqrt(2 * Math.PI);

        /** Makes a parameter that is equally likely anywhere between its bounds. */
        static Parameter even(FaultParameters.Name name, double low, double high) {
            return new Parameter(name, low, high, low, 0, 0, 1);
        }

        double range() {
            return high - low;
        }

        double density(double at) {
            if (Math.abs(at - centre) < least) {
                return 0;
            }
            double t = near == 0 ? 0 : (at - centre) / near;
            return gross / range() + (near == 0 ? 0 : (1 - gross) * Math.exp(-t * t / 2) / (near * ROOT));
        }
    }

    /** Number on the reader. */
    @FunctionalInterface
    interface Model {
        /** With the engine running, where that makes a difference. */
        double shown(double volts, double lambda, double[] parameters);

        /** With the engine as it was. */
        default double shown(double volts, double lambda, boolean running, double[] parameters) {
            return shown(volts, lambda, parameters);
        }
    }

    /** Something on the way that is there only while the engine runs. */
    record WhileRunning(Model running, Model standing) implements Model {
        @Override
        public double shown(double volts, double lambda, double[] parameters) {
            return running.shown(volts, lambda, parameters);
        }

        @Override
        public double shown(double volts, double lambda, boolean runs, double[] parameters) {
            return runs ? running.shown(volts, lambda, parameters) : standing.shown(volts, lambda, parameters);
        }
    }

    /** A hypothesis with nothing to fit. */
    static Hypothesis fixed(Fault fault, double prior, FaultParameters fixed, WireEffect left,
            Diagnosis.ReadingModel model) {
        return new Hypothesis(fault, prior, List.of(), fixed, (v, l, p) -> model.shown(v, l), p -> left);
    }

    /**
     * Returns whether what stays on the way is known once the right setting is typed. It is not where the setting in the
     * reader is told by a line through the points: a shift of the ground would only have been another line.
     */
    boolean tellsTheWire() {
        return !fault.causes().contains(Cause.OTHER_LAW) || parameters.stream()
                .noneMatch(p -> p.name() == FaultParameters.Name.SLOPE);
    }

    FaultParameters named(double[] values) {
        FaultParameters named = fixed;
        for (int i = 0; i < values.length; i++) {
            named = named.with(parameters.get(i).name(), values[i]);
        }
        return named;
    }
}
