package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.IntUnaryOperator;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;

/**
 * Diagnosis of the chain by its check points.
 *
 * @param causes every fault with its probability, the likeliest first; probabilities add up to 1
 * @param withinTolerance whether every check point agrees within the trade's tolerance
 * @param worst the greatest difference among the points
 * @param offer what to type so that shown agrees with true while the cause stays; null when no setting can keep the
 *        tolerance
 * @param typeFirst what to type before the points are taken again, since the setting in the reader is wrong in any case; null
 *        where that is not known
 * @param settingHeld false where the reader shows the truth, but not by the setting that was noted for it
 * @param settingFollows false where the setting in force shows the same at any volts: then the points tell nothing of what
 *        happens to the volts on their way
 * @param nextPoint the voltage that is expected to tell most; null when none is needed or none can
 * @param misfit whether nothing explains the points
 * @param cannotTell faults that the points do not part; empty when one of them is likely enough
 * @param runningShift what the engine adds while it runs; null without points of both kinds
 * @param onePlace whether all points lie at one place, which says nothing of the slope
 * @param doubtful rows that look mistyped or exchanged, to be looked at again
 */
public record Diagnosis(List<Likelihood> causes, boolean withinTolerance, ScaleReport.Worst worst,
        @Nullable Offer offer, @Nullable ReaderSetting typeFirst, boolean settingHeld, boolean settingFollows,
        @Nullable NextPoint nextPoint, boolean misfit,
        List<Fault> cannotTell, boolean onePlace, List<Doubtful> doubtful, @Nullable RunningShift runningShift) {
    /** Words where nothing explains the points. */
    public static final String MISFIT = "Nothing known explains these points: read them again, and look for a fault that moves.";
    /** Words where all points lie at one place. */
    public static final String ONE_PLACE = "All points lie at one place: what agrees there says nothing of the slope, and many controllers stand there with no sensor at all.";
    /** Advice for a setting that is wrong in any case, such as one that shows the same at any volts. */
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

    /**
     * A setting that keeps the tolerance while the cause stays.
     *
     * @param validFrom the richest mixture at which it does, λ
     * @param validTo the leanest one, λ
     */
    public record Offer(ReaderSetting setting, double validFrom, double validTo) {
        /** Returns whether it shows anything else than what the reader has been told, where that is known. */
        public boolean changes(OutputLaw law, Reader reader) {
            ReaderSetting told = reader.setting();
            return told == null
                    || reader.parts(told, setting, DoubleStream.iterate(0, part -> part <= 1, part -> part + 1 / 64.0)
                            .map(part -> law.lowestVolts() + part * (law.highestVolts() - law.lowestVolts())));
        }

        /**
         * Says where it is right; empty where it is for all that the law tells.
         *
         * @param mixture a mixture in λ, as it is said
         */
        public String range(OutputLaw law, DoubleFunction<String> mixture) {
            return validFrom <= law.richest() + 1e-9 && validTo >= law.leanest() - 1e-9
                    ? ""
                    : say("right from %s to %s; beyond that the input ends", mixture.apply(validFrom),
                            mixture.apply(validTo));
        }
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
    }

    /**
     * Questions about the rows that look wrong, one for a row or for two that were exchanged.
     *
     * @param place what a place among the points is called, such as its number in a list
     * @param shown a number of the reader, as it is said
     */
    public List<String> asks(IntUnaryOperator place, DoubleFunction<String> shown) {
        return doubtful.stream().filter(d -> d.exchangedWith() == null || d.exchangedWith() > d.row())
                .map(d -> d.exchangedWith() == null
                        ? say("Row %d does not go with the others, which say %s: was it mistyped? Read it again.",
                                place.applyAsInt(d.row()), shown.apply(d.expected()))
                        : say("Rows %d and %d look exchanged: read them again.", place.applyAsInt(d.row()),
                                place.applyAsInt(d.exchangedWith())))
                .toList();
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

    /** Returns whether the points agree and are enough to say so: at one place agreement proves nothing. */
    public boolean proves() {
        return withinTolerance && !onePlace;
    }

    /** What to type while the cause stays; null where no setting keeps the tolerance. */
    public @Nullable ReaderSetting correctedSetting() {
        return offer == null ? null : offer.setting();
    }

    /** Returns whether nothing is wrong but what was written down. */
    public boolean writtenWrong() {
        return !withinTolerance && !doubtful.isEmpty() && best().fault().equals(Fault.of(Cause.NONE));
    }

    /** Subject of the points, in a few words. */
    public String title() {
        return !settingFollows
                ? say("The setting shows the same at any volts")
                : writtenWrong() ? say("Readings written down wrong") : titled(best());
    }

    /** A cause in a few words: nothing wrong but what was written down, where that is so. */
    public String title(Likelihood cause) {
        return cause.fault().equals(best().fault()) ? title() : titled(cause);
    }

    private static String titled(Likelihood cause) {
        FaultParameters.Slip slip = cause.parameters().slip();
        return slip == null ? cause.fault().title() : say("%s: %s", cause.fault().title(), slip.words());
    }

    /** Returns the subject with its probability, where that means anything. */
    public String named() {
        return settingFollows ? say("%s (%.0f %%)", title(), 100 * best().probability()) : title();
    }

    /** The fault, as far as the points tell. */
    public String meaning() {
        return !settingFollows
                ? say("The setting in force shows the same at any volts, so the points tell nothing of "
                        + "their way.")
                : writtenWrong()
                        ? say("The other readings agree; these look mistyped or exchanged.")
                        : best().fault().meaning();
    }

    /** The cure, in a sentence. */
    public String remedy() {
        return !settingFollows
                ? word(TYPE_FIRST)
                : writtenWrong() ? say("Read these rows again.") : best().fault().remedy();
    }

    /** Says why no setting is offered, where none is. */
    public String notByTyping() {
        return !settingFollows || typeFirst != null
                ? word(TYPE_FIRST)
                : writtenWrong()
                        ? say("No setting is offered until they were read again.")
                        : best().probability() >= SURE && !misfit
                                ? say("It cannot be reached by typing: the link itself has to be mended.")
                                : say("No setting is offered until the points tell what it is.");
    }

    /** The likeliest fault. */
    public Likelihood best() {
        return causes.getFirst();
    }
}
