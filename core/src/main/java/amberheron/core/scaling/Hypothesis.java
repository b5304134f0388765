package amberheron.core.scaling;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One way the chain may lie, as a model with few parameters and physical bounds.
 *
 * @param cause what it is called
 * @param prior weight before anything is measured
 * @param parameters the free parameters; may be empty
 * @param fixed what is known without fitting, reported with the parameters
 * @param starts where fits begin; one vector for each
 * @param model the reading for fitted parameters, smooth (not quantised)
 */
record Hypothesis(Cause cause, double prior, List<Parameter> parameters, Map<String, Object> fixed,
        List<double[]> starts, Model model) {
    /** A parameter, equally likely anywhere between its bounds. */
    record Parameter(String name, double low, double high) {
        double range() {
            return high - low;
        }
    }

    /** What the reader shows. */
    @FunctionalInterface
    interface Model {
        double shown(double volts, double lambda, double[] parameters);
    }

    /** A hypothesis with nothing to fit. */
    static Hypothesis fixed(Cause cause, double prior, Map<String, Object> fixed, Diagnosis.ReadingModel model) {
        return new Hypothesis(cause, prior, List.of(), fixed, List.of(new double[0]), (v, l, p) -> model.shown(v, l));
    }

    /** A hypothesis with one parameter, fitted from evenly spread starts. */
    static Hypothesis single(Cause cause, double prior, Parameter parameter, Model model) {
        List<double[]> starts = new java.util.ArrayList<>();
        for (double part : new double[]{0.5, 0.1, 0.3, 0.7, 0.9}) {
            starts.add(new double[]{parameter.low() + part * parameter.range()});
        }
        return new Hypothesis(cause, prior, List.of(parameter), Map.of(), starts, model);
    }

    Map<String, Object> named(double[] values) {
        Map<String, Object> named = new LinkedHashMap<>(fixed);
        for (int i = 0; i < values.length; i++) {
            named.put(parameters.get(i).name(), values[i]);
        }
        return Collections.unmodifiableMap(named);
    }
}
