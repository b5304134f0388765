package amberheron.core.scaling;

import amberheron.core.scaling.Diagnosis.Offer;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Finds what to type while a fault on the way stays: a setting that keeps the tolerance, over all of the law or over the
 * part of it that still arrives, whichever of the likely faults it is.
 */
final class Offers {
    /** Probability below which a hypothesis does not restrict an offer. */
    private static final double NOT_UNLIKELY = 0.005;
    /** Least width of a range that is worth a setting, λ; our own choice, no published source. */
    private static final double LEAST_WIDTH = 0.15;
    private static final int STEPS = 400;

    private final OutputLaw law;
    private final Reader reader;
    private final ReaderSetting right;
    private final Evidence evidence;
    private final List<Diagnostician.Weighed> fits;

    /**
     * Prepares offers.
     *
     * @param right setting for the law with nothing wrong on the way
     */
    Offers(OutputLaw law, Reader reader, ReaderSetting right, Evidence evidence, List<Diagnostician.Weighed> fits) {
        this.law = law;
        this.reader = reader;
        this.right = right;
        this.evidence = evidence;
        this.fits = fits;
    }

    /** Mixtures between which a setting is right, λ. */
    private record Range(double from, double to) {
        boolean isWide() {
            return to - from >= LEAST_WIDTH;
        }
    }

    /** A wire as a hypothesis leaves it, and how likely that is. */
    private record Way(WireEffect left, double probability) {
    }

    /** Returns the offer for the likeliest hypothesis; null where none keeps the tolerance for most of the likely ones. */
    @Nullable
    Offer find(Evidence.Fit best) {
        Hypothesis h = best.hypothesis();
        if (!h.tellsTheWire()) {
            return null;
        }
        WireEffect left = h.left().apply(best.values());
        // A search of rows takes longer than all else here, and with nothing on the way it was made already.
        ReaderSetting typed = left.equals(WireEffect.NONE) ? right : SettingFinder.find(law, left, reader).orElse(null);
        if (typed == null) {
            return null;
        }
        ReaderSetting plain = SettingFinder.plainest(typed, reader.input());
        Range range = holds(plain, left, new Range(law.richest(), law.leanest()));
        if (!range.isWide()) {
            return null;
        }
        boolean sound = h.fault().equals(Fault.of(Cause.NONE));
        List<Way> ways = ways();
        double enough = (sound ? 0.5 : Diagnosis.SURE) * ways.stream().mapToDouble(Way::probability).sum();
        double kept = 0;
        for (int i = 0; i < ways.size() && kept <= enough; i++) {
            Range under = holds(plain, ways.get(i).left(), range);
            if (sound ? under.equals(range) : under.isWide()) {
                range = under;
                kept += ways.get(i).probability();
            }
        }
        Range surely = surely(range, best);
        return kept > enough && surely.isWide()
                ? new Offer(typed, surely.from(), surely.to())
                : null;
    }

    /** Returns the range less what the readings do not tell of an end that lies within the law. */
    private Range surely(Range range, Evidence.Fit fit) {
        double middle = law.voltsAt((range.from() + range.to()) / 2);
        double step = 1e-3;
        double lambda = law.lambdaAt(middle);
        double perVolt = Math.abs(fit.shown(middle + step, lambda) - fit.shown(middle - step, lambda)) / (2 * step);
        double known = 2 * evidence.sigma(fit, perVolt, perVolt) / perVolt * Math.abs(law.slopeAt(middle));
        return new Range(range.from() > law.richest() ? range.from() + known : range.from(),
                range.to() < law.leanest() ? range.to() - known : range.to());
    }

    /**
     * Returns the setting to type before the points are taken again, where a wrong setting is part of all that is likely; null
     * where it is not.
     */
    @Nullable
    ReaderSetting first() {
        double wrong = fits.stream().filter(w -> w.fault().causes().stream().anyMatch(Cause::isOfTheSetting))
                .mapToDouble(Diagnostician.Weighed::probability).sum();
        return wrong > Diagnosis.SURE ? right : null;
    }

    /** Returns the wires that are likely, the likeliest first; where nothing can be told of one, no setting holds for it. */
    private List<Way> ways() {
        return fits.stream().filter(w -> w.probability() >= NOT_UNLIKELY)
                .map(w -> new Way(w.fit().hypothesis().tellsTheWire()
                        ? w.fit().hypothesis().left().apply(w.fit().values())
                        : WireEffect.NONE.under(Double.NEGATIVE_INFINITY), w.probability()))
                .sorted(Comparator.comparingDouble(Way::probability).reversed()).toList();
    }

    /** Returns the widest range of mixtures within another over which a setting keeps the tolerance. */
    private Range holds(ReaderSetting typed, WireEffect left, Range within) {
        Range widest = new Range(within.from(), within.from());
        double from = Double.NaN;
        for (int i = 0; i <= STEPS; i++) {
            double lambda = i == STEPS ? within.to() : within.from() + (within.to() - within.from()) * i / STEPS;
            if (!(off(typed, left, lambda) <= Tolerance.LAMBDA)) {
                from = Double.NaN;
                continue;
            }
            from = Double.isNaN(from) ? lambda : from;
            if (lambda - from > widest.to() - widest.from()) {
                widest = new Range(from, lambda);
            }
        }
        return widest;
    }

    /** Returns the most by which a setting is off at a mixture, half a step of the converter included, λ. */
    private double off(ReaderSetting typed, WireEffect left, double lambda) {
        double pin = left.atPin(law.voltsAt(lambda));
        double half = reader.input().step() / 2;
        double truth = reader.scale().fromLambda(lambda);
        double worst = Math.max(Math.abs(reader.shows(typed, pin - half) - truth),
                Math.abs(reader.shows(typed, pin + half) - truth));
        return reader.scale().toLambda(Math.max(worst, Math.abs(reader.shows(typed, pin) - truth)));
    }
}
