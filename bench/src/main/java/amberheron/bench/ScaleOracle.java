package amberheron.bench;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/**
 * The best possible answer to a trial: the oracle knows how often each fault is made, how its sizes are drawn and how noisy
 * the readings are, and tries them all on dense grids. Unlisted laws are drawn many times.
 */
public final class ScaleOracle {
    private static final int DENSE = 3000;
    private static final int LEVELS = 50;
    private static final int LAWS = 20_000;

    private final ScaleTrial trial;
    private final double[] volts;
    private final double[] lambda;
    private final double[] shown;
    private final double[] lawSlope;
    private final double digit;
    private final double gaugeDigit;
    private final ReaderSetting right;

    private ScaleOracle(ScaleTrial trial) {
        this.trial = trial;
        OutputLaw law = trial.law();
        volts = trial.points().stream().mapToDouble(p -> p.outputVolts(law)).toArray();
        lambda = trial.points().stream().mapToDouble(p -> p.trueLambda(law)).toArray();
        shown = trial.points().stream().mapToDouble(CheckPoint::shown).toArray();
        lawSlope = new double[volts.length];
        for (int i = 0; i < volts.length; i++) {
            lawSlope[i] = law.scale().fromLambda(law.lambdaAt(volts[i] + 1e-4) - law.lambdaAt(volts[i] - 1e-4)) / 2e-4;
        }
        digit = trial.reader().scale() instanceof MixtureScale.Lambda ? 1e-3 : 1e-2;
        gaugeDigit = law.scale() instanceof MixtureScale.Lambda ? 1e-3 : 1e-2;
        right = SettingFinder.find(law, trial.reader()).orElseThrow();
    }

    /** The likeliest kind of a single fault. */
    public static String best(ScaleTrial trial) {
        Map<String, Double> weights = new ScaleOracle(trial).weights();
        return weights.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    }

    private double likelihood(ScaleTrial.Pin pin, DoubleUnaryOperator setting) {
        Reader reader = trial.reader();
        double e = trial.noise() / Math.sqrt(2);
        double log = 0;
        for (int i = 0; i < shown.length; i++) {
            double v = volts[i];
            double l = lambda[i];
            double at = reader.input().clipped(pin.at(v, l));
            double hair = 2e-4;
            double own = (setting.applyAsDouble(reader.input().clipped(at + hair))
                    - setting.applyAsDouble(reader.input().clipped(at - hair))) / (2 * hair);
            double model = (setting.applyAsDouble(reader.input().clipped(pin.at(v + hair, l)))
                    - setting.applyAsDouble(reader.input().clipped(pin.at(v - hair, l)))) / (2 * hair);
            double meter = trial.points().get(i).volts() != null
                    ? e * e + 1e-6 / 12
                    : gaugeDigit * gaugeDigit / 12 / (lawSlope[i] * lawSlope[i]);
            double step = reader.input().step();
            double variance = digit * digit / 12 + own * own * (e * e + step * step / 12) + model * model * meter;
            double r = shown[i] - setting.applyAsDouble(at);
            log -= r * r / (2 * variance) + Math.log(variance) / 2;
        }
        return Math.exp(log + shown.length * Math.log(digit));
    }

    private Map<String, Double> weights() {
        OutputLaw law = trial.law();
        Reader reader = trial.reader();
        double low = law.lowestVolts();
        double high = law.highestVolts();
        DoubleUnaryOperator set = right::at;
        ScaleTrial.Pin sound = (v, l) -> v;
        Map<String, Double> w = new LinkedHashMap<>();
        w.put("none", likelihood(sound, set));
        w.put("unscaled", likelihood(sound, v -> v));
        double sum = law.points().getFirst().volts() + law.points().getLast().volts();
        w.put("points-swapped", likelihood(sound, v -> right.at(sum - v)));
        boolean readsLambda = reader.scale() instanceof MixtureScale.Lambda;
        w.put("lambda-as-afr", likelihood(sound, v -> right.at(v) * (readsLambda ? 14.7 : 1 / 14.7)));
        if (!(readsLambda && law.scale() instanceof MixtureScale.Lambda)) {
            double all = 0;
            int made = 0;
            for (double ratio : ScaleTrial.RATIOS) {
                if (Math.abs(ratio / 14.7 - 1) >= 0.02) {
                    double factor = readsLambda ? 14.7 / ratio : ratio / 14.7;
                    all += likelihood(sound, v -> right.at(v) * factor);
                    made++;
                }
            }
            w.put("wrong-stoich", all / made);
        }
        double shift = 0;
        double gain = 0;
        double pull = 0;
        double clip = 0;
        double rest = 0;
        for (int i = 0; i < DENSE; i++) {
            double part = (i + 0.5) / DENSE;
            double s = 0.02 * Math.pow(50, part);
            shift += (likelihood((v, l) -> v + s, set) + likelihood((v, l) -> v - s, set)) / 2;
            double less = 1 - 0.012 * Math.pow(0.45 / 0.012, part);
            double more = 1 + 0.012 * Math.pow(0.2 / 0.012, part);
            gain += 0.75 * likelihood((v, l) -> v * less, set) + 0.25 * likelihood((v, l) -> v * more, set);
            double k = 0.01 * Math.pow(40, part);
            for (double rail : ScaleTrial.RAILS) {
                pull += likelihood((v, l) -> v + k * (rail - v), set) / ScaleTrial.RAILS.length;
            }
            double top = low + part * (high - low);
            clip += likelihood((v, l) -> Math.min(v, top), set);
            rest += likelihood((v, l) -> top, set);
        }
        w.put("ground-shift", shift / DENSE);
        w.put("gain", gain / DENSE);
        w.put("pull-up", pull / DENSE);
        w.put("clipped", clip / DENSE);
        w.put("constant", 2 * rest / DENSE / 3 + (likelihood((v, l) -> 0, set) + likelihood((v, l) -> 5, set)) / 6);
        w.put("narrowband", narrowband(set));
        w.put("other-law", otherLaw(sound));
        return w;
    }

    private double narrowband(DoubleUnaryOperator set) {
        double all = 0;
        for (int i = 0; i < LEVELS; i++) {
            for (int j = 0; j < LEVELS; j++) {
                for (int k = 0; k < 4; k++) {
                    double rich = 0.75 + 0.2 * (i + 0.5) / LEVELS;
                    double lean = 0.15 * (j + 0.5) / LEVELS;
                    double width = 0.004 + 0.016 * (k + 0.5) / 4;
                    all += likelihood((v, l) -> lean + (rich - lean) / (1 + Math.exp((l - 1) / width)), set);
                }
            }
        }
        return all / (4.0 * LEVELS * LEVELS);
    }

    private double otherLaw(ScaleTrial.Pin sound) {
        double listed = 0;
        for (OutputLaw other : trial.catalogue().subList(0, 3)) {
            listed += likelihood(sound, SettingFinder.find(other, trial.reader()).orElseThrow()::at) / 3;
        }
        double unlisted = 0;
        Random random = new Random(1);
        for (int i = 0; i < LAWS; i++) {
            OutputLaw other = ScaleTrial.law("unlisted", random);
            unlisted += likelihood(sound, v -> trial.reader().scale().fromLambda(other.lambdaAt(v)));
        }
        return 0.6 * listed + 0.4 * unlisted / LAWS;
    }
}
