package amberheron.core.drivelog;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.parts.Address;
import amberheron.core.scaling.ScaleField;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Judges a reader that gets numbers by a link: no volts can be wrong there, but unit, ratio and source can. */
public final class LinkRules {
    /** Least difference of the two mixtures, λ: one point shows neither the ratio nor that the number is alive. */
    private static final double APART = 0.1;
    private static final String SUBJECT = "By the link";
    private static final Source SOURCE = Source.practice(
            "reader and gauge agree within 0.1 AFR on the petrol scale (14.7); two points 0.1 λ apart are our own choice");

    private LinkRules() {
    }

    /**
     * Judges the two points.
     *
     * @param display what the controller's own display shows; null while that was not said
     * @param tolerance what the trade lets gauge and reader differ by, λ
     */
    public static Finding judge(LinkReading noted, @Nullable MixtureScale display, double tolerance) {
        MixtureScale scale = noted.scale();
        Double one = noted.first().controller();
        Double other = noted.second().controller();
        Double shownOne = noted.first().reader();
        Double shownOther = noted.second().reader();
        if (scale == null || display == null || one == null || other == null || shownOne == null
                || shownOther == null) {
            return missing(noted, display, tolerance);
        }
        double[] told = {display.toLambda(one), display.toLambda(other)};
        double[] off = {scale.toLambda(shownOne) - told[0], scale.toLambda(shownOther) - told[1]};
        double worst = Math.abs(off[0]) > Math.abs(off[1]) ? off[0] : off[1];
        boolean agrees = Math.abs(worst) <= tolerance;
        boolean apart = Math.abs(told[0] - told[1]) >= APART;
        Message says = !agrees
                ? cause(told, new double[]{shownOne, shownOther}, off, tolerance)
                : apart
                        ? Message.plain("At two mixtures it shows what the controller shows.")
                        : Message.of("They agree, but lie too near each other: note a second mixture {0} away.",
                                difference(APART));
        return finding(agrees ? apart ? Verdict.PASS : Verdict.UNKNOWN : Verdict.FAIL, difference(worst), tolerance,
                says,
                worst)
                .asking(Stream.of(LogField.LINK_SHOWN_FIRST, LogField.LINK_SHOWN_SECOND, LogField.LINK_SCALE,
                        LogField.LINK_TOLD_FIRST, LogField.LINK_TOLD_SECOND).map(LogField::address).toList());
    }

    private static Finding missing(LinkReading noted, @Nullable MixtureScale display, double tolerance) {
        List<Address> open = Stream
                .of(Map.entry(LogField.LINK_SCALE.address(), noted.scale() == null),
                        Map.entry(ScaleField.GAUGE.address(), display == null),
                        Map.entry(LogField.LINK_TOLD_FIRST.address(), noted.first().controller() == null),
                        Map.entry(LogField.LINK_SHOWN_FIRST.address(), noted.first().reader() == null),
                        Map.entry(LogField.LINK_TOLD_SECOND.address(), noted.second().controller() == null),
                        Map.entry(LogField.LINK_SHOWN_SECOND.address(), noted.second().reader() == null))
                .filter(Map.Entry::getValue).map(Map.Entry::getKey).toList();
        return finding(Verdict.UNKNOWN, null, tolerance, display == null && noted.scale() != null
                ? Message.plain("Say what the controller's own gauge shows: λ or AFR, and by which ratio.")
                : Message.of(
                        "At two mixtures {0} apart, note what the controller's own display shows and what the reader shows, and say what the reader's numbers are.",
                        difference(APART)),
                null).asking(open);
    }

    /** Whichever of one ratio and one shift explains both points better, if it explains them. */
    private static Message cause(double[] told, double[] shown, double[] off, double tolerance) {
        double ratio = (shown[0] / told[0] + shown[1] / told[1]) / 2;
        double beyondRatio = Math.max(Math.abs(shown[0] / ratio - told[0]), Math.abs(shown[1] / ratio - told[1]));
        double beyondShift = Math.abs(off[0] - off[1]) / 2;
        if (Math.min(beyondRatio, beyondShift) > tolerance || Math.abs(told[0] - told[1]) <= 2 * tolerance) {
            return Message.plain(
                    "It does not follow the controller: another bank or channel, a number that is held, or the two were not read at one moment. Look, and note both again.");
        }
        if (beyondShift < beyondRatio) {
            return Message.plain(
                    "Both are off by the same: a correction is set in the reader or in what sends the number. Take it out, and note both again.");
        }
        return Math.abs(ratio - 1) <= tolerance
                ? Message.plain("Its numbers are λ: say so there, or set the reader to what you mean.")
                : Message.of("It shows AFR by {0} at λ 1: set the reader's fuel, or say that ratio here.",
                        new Measure(ratio, Dimension.NUMBER, 2));
    }

    private static Finding finding(Verdict verdict, @Nullable Measure found, double tolerance, Message says,
            @Nullable Double cost) {
        return new Finding(LogCheck.LINK, SUBJECT, verdict, found, new Limit(AT_MOST, difference(tolerance)), says,
                cost,
                Message.plain("the reader's number less that of the controller's display, the greater of two"), SOURCE);
    }

    private static Measure difference(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 3);
    }
}
