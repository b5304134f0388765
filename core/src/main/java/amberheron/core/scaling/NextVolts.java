package amberheron.core.scaling;

import amberheron.core.scaling.Diagnosis.NextPoint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Finds the voltage whose reading is expected to tell most about the fault: the greatest mutual information between fault
 * and reading over the posterior of the parameters.
 */
final class NextVolts {
    private static final double STEP = 0.05;
    /** Mutual information below which a reading is not worth taking, nats. */
    private static final double WORTH = 0.02;
    /** Number of samples that represent a cause. */
    private static final int MOST = 24;
    private static final int STEPS = 40;

    private final OutputLaw law;
    private final Evidence evidence;
    private final DoubleUnaryOperator perVolt;
    private final List<Voice> voices = new ArrayList<>();
    /** The fault of each voice, as a number, and how likely the voice is. */
    private final int[] kind;
    private final double[] part;

    /** A fault with values of its parameters, and how likely the two are together; never compared. */
    @SuppressWarnings("ArrayRecordComponent")
    private record Voice(Fault fault, Evidence.Fit fit, double[] values, double probability) {
        double shown(double volts, double lambda) {
            return fit.hypothesis().model().shown(volts, lambda, values);
        }
    }

    /**
     * Takes fits and their probabilities.
     *
     * @param perVolt what a volt changes of what is shown, by the setting in force, for volts
     */
    NextVolts(OutputLaw law, Evidence evidence, DoubleUnaryOperator perVolt, List<Diagnostician.Weighed> fits) {
        this.law = law;
        this.evidence = evidence;
        this.perVolt = perVolt;
        fits.forEach(w -> w.fit().samples().forEach(
                s -> voices.add(new Voice(w.fault(), w.fit(), s.values(), w.probability() * s.part()))));
        voices.sort(Comparator.comparingDouble(Voice::probability).reversed());
        if (voices.size() > MOST) {
            voices.subList(MOST, voices.size()).clear();
        }
        List<Fault> faults = voices.stream().map(Voice::fault).distinct().toList();
        kind = voices.stream().mapToInt(v -> faults.indexOf(v.fault())).toArray();
        part = voices.stream().mapToDouble(Voice::probability).toArray();
    }

    /** The voltage, and the two likeliest faults that it parts; null where none tells enough. */
    @Nullable
    NextPoint find(List<Fault> likeliestFirst) {
        double most = WORTH;
        double best = Double.NaN;
        double low = Math.ceil(law.lowestVolts() / STEP - 1e-9) * STEP;
        double step = Math.max(STEP, (law.highestVolts() - low) / STEPS);
        for (double v = low; v <= law.highestVolts() + 1e-9; v += step) {
            double tells = tells(v);
            if (tells > most * (1 + 1e-9)) {
                most = tells;
                best = v;
            }
        }
        if (Double.isNaN(best)) {
            return null;
        }
        double at = best;
        Fault first = likeliestFirst.getFirst();
        Fault second = likeliestFirst.stream().skip(1).filter(o -> apart(first, o, at)).findFirst().orElse(null);
        return second == null ? null : new NextPoint(Math.round(best * 100) / 100.0, first, second);
    }

    /** The voltage that tells most where all points so far lie at one place, worth it or not. */
    @Nullable
    NextPoint elsewhere(List<Fault> likeliestFirst) {
        NextPoint found = find(likeliestFirst);
        if (found != null || likeliestFirst.size() < 2) {
            return found;
        }
        double low = tells(law.lowestVolts());
        double high = tells(law.highestVolts());
        return new NextPoint(low > high ? law.lowestVolts() : law.highestVolts(), likeliestFirst.get(0),
                likeliestFirst.get(1));
    }

    /** Whether the likeliest values of two faults are shown three standard deviations apart there. */
    private boolean apart(Fault a, Fault b, double volts) {
        return voices.stream().filter(x -> x.fault().equals(a)).findFirst()
                .flatMap(x -> voices.stream()
                        .filter(y -> y.fault().equals(b) && distance(x, y, volts) > 3).findFirst())
                .isPresent();
    }

    private double distance(Voice x, Voice y, double volts) {
        double lambda = law.lambdaAt(volts);
        return Math.abs(x.shown(volts, lambda) - y.shown(volts, lambda))
                / evidence.sigma(x.fit(), perVolt.applyAsDouble(volts), 0);
    }

    /** Mutual information between fault and reading at these volts, nats. */
    private double tells(double volts) {
        int n = voices.size();
        double lambda = law.lambdaAt(volts);
        double own = perVolt.applyAsDouble(volts);
        double[] shown = new double[n];
        double[] sigma = new double[n];
        double[] variance = new double[n];
        for (int i = 0; i < n; i++) {
            Voice voice = voices.get(i);
            shown[i] = voice.shown(volts, lambda);
            double perModelVolt = (voice.shown(volts + 1e-3, lambda) - shown[i]) / 1e-3;
            sigma[i] = evidence.sigma(voice.fit(), own, perModelVolt);
            variance[i] = sigma[i] * sigma[i];
        }
        double sum = 0;
        double whole = 0;
        for (int i = 0; i < n; i++) {
            double all = 0;
            double same = 0;
            double ofFault = 0;
            for (int j = 0; j < n; j++) {
                // A reading that voice i would bring about, one standard deviation wide.
                double apart = shown[i] - shown[j];
                double density = part[j] * Math.exp(-apart * apart / (2 * (variance[i] + variance[j]))) / sigma[j];
                all += density;
                if (kind[j] == kind[i]) {
                    same += density;
                    ofFault += part[j];
                }
            }
            if (all > 0 && same > 0) {
                sum += part[i] * Math.log(same / ofFault / all);
            }
            whole += part[i];
        }
        return sum / whole + Math.log(whole);
    }
}
