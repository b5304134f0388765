package amberheron.core.scaling;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What the check points say about the chain.
 *
 * @param causes every cause with its probability, the likeliest first; probabilities add up to 1
 * @param withinTolerance whether every check point agrees within the trade's tolerance
 * @param worst the greatest difference among the points
 * @param correctedSetting what to type so that shown agrees with true while the cause stays; null when no setting can
 * @param settingHeld false where the reader shows the truth, but not by the setting that was noted for it
 * @param nextPoint the voltage that would best tell the two likeliest causes apart; null when none is needed or none can
 */
public record Diagnosis(List<Likelihood> causes, boolean withinTolerance, ScaleReport.Worst worst,
        @Nullable ReaderSetting correctedSetting, boolean settingHeld, @Nullable NextPoint nextPoint) {
    /**
     * One cause.
     *
     * @param parameters fitted values by name; a law's id is the only text
     * @param misfit root mean square of what the cause leaves unexplained, in units of the expected noise
     * @param reading what the reader would show under this cause
     */
    public record Likelihood(Cause cause, double probability, Map<String, Object> parameters, double misfit,
            ReadingModel reading) {
    }

    /** Apply these volts at the output next. */
    public record NextPoint(double volts, Cause first, Cause second) {
    }

    /** What the reader shows for volts at the output and the true mixture behind them. */
    @FunctionalInterface
    public interface ReadingModel {
        /** The number shown, in the reader's quantity. */
        double shown(double volts, double lambda);
    }

    /** The likeliest cause. */
    public Likelihood best() {
        return causes.getFirst();
    }
}
