package amberheron.core.mixture;

import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;

/**
 * Mixtures that are right for an engine on its fuel, λ.
 *
 * @param fullLoad wanted at full load
 * @param rich least that is right at full load
 * @param lean most that is right at full load
 * @param tooRich below it a warm engine is too rich anywhere
 * @param steadyRich least that is right at warm idle and cruise with a closed loop
 * @param steadyLean most that is right there
 * @param stop leaner than this under acceleration it is stopped; {@link #NO_LIMIT} where lean does no harm
 * @param source where the figures come from
 */
public record Bands(double fullLoad, double rich, double lean, double tooRich, double steadyRich, double steadyLean,
        double stop, Source source) {
    /** Leaner than any exhaust. */
    public static final double NO_LIMIT = 50;
    /** Distance from the target at full load that is still right, λ; our own choice. */
    public static final double MARGIN = 0.08;
    /** Swing of the closed loop about λ 1: 0.4 with 14.7 at λ 1. */
    public static final double SWING = 0.4 / 14.7;
    /** What a carburettor cruises at, λ: 13 with 14.7 at λ 1. */
    public static final double RICH_CRUISE = 13 / 14.7;
    /** Least that is right at idle and cruise with a carburettor, λ; from memory. */
    public static final double CARBURETTOR_RICH = 0.85;
    /** Mixture at which a spark engine is stopped, λ: 15.7 with 14.7 at λ 1. */
    private static final double STOP = 15.7 / 14.7;

    /** A diesel runs lean always: below 1.2 at full load it smokes, above 1.5 there is air left for more fuel. */
    static final Bands DIESEL = new Bands(1.35, 1.2, 1.5, 1.2, 1.2, NO_LIMIT, NO_LIMIT,
            Source.practice("a diesel at full load λ 1.2 to 1.5, its idle far lean; richer it smokes"));

    static final Source PETROL = Source.practice(
            "petrol at full load about λ 0.82, stopped at λ 1.07; the margin of λ 0.08 is our own choice");
    static final Source OTHERS = Source.memory(
            "boosted engines run richer, about λ 0.78 on petrol; full load on other fuels, limits of richness");

    static Bands spark(double fullLoad, double tooRich, Source source) {
        return new Bands(fullLoad, fullLoad - MARGIN, fullLoad + MARGIN, tooRich, 1 - SWING, 1 + SWING, STOP, source);
    }

    /** What is dangerous under load. */
    public Message danger() {
        return leanHarms()
                ? Message.of("Lean under load destroys engines: leaner than {0} under acceleration means stop.",
                        new Measure(stop, Dimension.MIXTURE, 2))
                : Message.plain("Rich at full load it smokes and its exhaust overheats: lift off.");
    }

    /** Whether an engine takes harm from running lean. */
    public boolean leanHarms() {
        return stop < NO_LIMIT;
    }
}
