package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import java.util.List;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Diagnosis of the chain by its check points.
 *
 * @param causes every fault with its probability, the likeliest first; probabilities add up to 1
 * @param withinTolerance whether every check point agrees within the trade's tolerance
 * @param worst the greatest difference among the points
 * @param correctedSetting what to type so that shown agrees with true while the cause stays; null when no setting can keep
 *        the tolerance over the law's range
 * @param settingHeld false where the reader shows the truth, but not by the setting that was noted for it
 * @param settingFollows false where the setting in force shows the same at any volts: then the points tell nothing of what
 *        happens to the volts on their way
 * @param nextPoint the voltage that is expected to tell most; null when none is needed or none can
 * @param misfit whether nothing explains the points
 * @param cannotTell faults that the points do not part; empty when one of them is likely enough
 * @param runningShift what the engine adds while it runs; null without points of both kinds
 * @param doubtful rows that look mistyped or exchanged, to be looked at again
 */
public record Diagnosis(List<Likelihood> causes, boolean withinTolerance, ScaleReport.Worst worst,
        @Nullable ReaderSetting correctedSetting, boolean settingHeld, boolean settingFollows,
        @Nullable NextPoint nextPoint, boolean misfit,
        List<Fault> cannotTell, List<Doubtful> doubtful, @Nullable RunningShift runningShift) {
    /** Words where nothing explains the points. */
    public static final String MISFIT = "Nothing known explains these points: read them again, and look for a fault that moves.";
    /** Advice for a setting that shows the same at any volts. */
    public static final String TYPE_FIRST = "Type the right setting into the reader, then take the points again.";
    /** Probability from which the likeliest fault is named alone. */
    public static final double SURE = 0.9;

    /**
     * A fault with its probability.
     *
     * @param parameters the fault in figures
     * @param misfit root mean square of what the fault leaves unexplained, in units of the expected noise
     * @param reading what the reader would show under this fault
     */
    public record Likelihood(Fault fault, double probability, FaultParameters parameters, double misfit,
            ReadingModel reading) {
    }

    /** The voltage to apply at the output next. */
    public record NextPoint(double volts, Fault first, Fault second) {
    }

    /**
     * A check point that does not go with the others.
     *
     * @param row its place among the points, from 0
     * @param expected what the others say it should show, in the reader's quantity
     * @param exchangedWith the row whose reading it seems to have; null where none
     */
    public record Doubtful(int row, double expected, @Nullable Integer exchangedWith) {
        /**
         * Question about it.
         *
         * @param place what a place among the points is called, such as its number in a list
         * @param shown what it should show, as it is said
         */
        public String asks(IntUnaryOperator place, String shown) {
            return say("Row %d does not go with the others, which say %s: %s", place.applyAsInt(row), shown,
                    exchangedWith == null
                            ? say("was it mistyped?")
                            : say("exchanged with row %d?", place.applyAsInt(exchangedWith)));
        }
    }

    /**
     * The change of the volts that arrive when the engine runs: the difference between two sets of readings, independent of
     * any other fault.
     *
     * @param volts V
     * @param doubt what that is known to (k = 2), V
     */
    public record RunningShift(double volts, double doubt) {
    }

    /** Returns the number on the reader for volts at the output and the true mixture behind them. */
    @FunctionalInterface
    public interface ReadingModel {
        /** The number shown, in the reader's quantity. */
        double shown(double volts, double lambda);
    }

    /** Returns the causes that the points tell of: none where the setting ignores the volts. */
    public List<Likelihood> told() {
        return settingFollows ? causes : List.of();
    }

    /** Subject of the points, in a few words. */
    public String title() {
        return settingFollows ? best().fault().title() : say("The setting shows the same at any volts");
    }

    /** Returns the subject with its probability, where that means anything. */
    public String named() {
        return settingFollows ? say("%s (%.0f %%)", title(), 100 * best().probability()) : title();
    }

    /** The fault, as far as the points tell. */
    public String meaning() {
        return settingFollows
                ? best().fault().meaning()
                : say("The setting in force shows the same at any volts, so the points tell nothing of "
                        + "their way.");
    }

    /** The cure, in a sentence. */
    public String remedy() {
        return settingFollows ? best().fault().remedy() : word(TYPE_FIRST);
    }

    /** Says why no setting is offered, where none is. */
    public String notByTyping() {
        return !settingFollows
                ? word(TYPE_FIRST)
                : best().probability() >= SURE && !misfit
                        ? say("It cannot be reached by typing: the link itself has to be mended.")
                        : say("No setting is offered until the points tell what it is.");
    }

    /** The likeliest fault. */
    public Likelihood best() {
        return causes.getFirst();
    }
}
