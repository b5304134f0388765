package amberheron.core.mixture;

import amberheron.core.finding.Source;
import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * Reading of a shop's gas analyser: the dry gas in the tailpipe, as parts of its volume. Everything not read is null.
 *
 * @param carbonDioxide CO2
 * @param carbonMonoxide CO
 * @param hydrocarbons as hexane, the way such analysers count them
 * @param oxygen O2
 * @param nitricOxide NO; taken for none where it was not read
 */
public record GasAnalysis(@Nullable Double carbonDioxide, @Nullable Double carbonMonoxide,
        @Nullable Double hydrocarbons, @Nullable Double oxygen, @Nullable Double nitricOxide) {
    /** An analysis without readings. */
    public static final GasAnalysis NONE = new GasAnalysis(null, null, null, null, null);
    /** Uncertainty of λ with an analyser in order, λ. */
    public static final double DOUBT = 0.01;
    /** Where the formula comes from. */
    public static final Source SOURCE = Source.memory(
            "Brettschneider's balance of the dry gas; agrees with the complete-combustion gases of Heywood, ch. 4");
    /** Atoms of carbon in a molecule that is counted as hexane. */
    private static final double HEXANE = 6;
    /** Constant of the water-gas balance. */
    private static final double BALANCE = 3.5;
    /** Carbon in the sample below which the probe mostly draws air, as a fraction. */
    private static final double LEAST_CARBON = 0.03;

    public GasAnalysis {
        Sane.PART.check("CO2", carbonDioxide);
        Sane.PART.check("CO", carbonMonoxide);
        Sane.PART.check("HC", hydrocarbons);
        Sane.PART.check("O2", oxygen);
        Sane.PART.check("NO", nitricOxide);
    }

    /** Whether anything was read. */
    public boolean begun() {
        return !equals(NONE);
    }

    /** Whether there is so little carbon that the probe draws air. */
    public boolean diluted() {
        return carbonDioxide != null && carbonMonoxide != null && carbonDioxide + carbonMonoxide < LEAST_CARBON;
    }

    /**
     * The mixture, λ; null while one of the four is not read, or for gas without carbon.
     *
     * @param fuel what was burnt
     */
    public @Nullable Double lambda(Composition fuel) {
        if (carbonDioxide == null || carbonMonoxide == null || hydrocarbons == null || oxygen == null
                || carbonDioxide <= 0) {
            return null;
        }
        double co2 = carbonDioxide;
        double co = carbonMonoxide;
        double no = nitricOxide == null ? 0 : nitricOxide;
        double h = fuel.hydrogen() / 4;
        double o = fuel.oxygen() / 2;
        double above = co2 + co / 2 + oxygen + no / 2 + (h * BALANCE / (BALANCE + co / co2) - o) * (co2 + co);
        return above / ((1 + h - o) * (co2 + co + HEXANE * hydrocarbons));
    }

    public GasAnalysis withCarbonDioxide(@Nullable Double value) {
        return new GasAnalysis(value, carbonMonoxide, hydrocarbons, oxygen, nitricOxide);
    }

    public GasAnalysis withCarbonMonoxide(@Nullable Double value) {
        return new GasAnalysis(carbonDioxide, value, hydrocarbons, oxygen, nitricOxide);
    }

    public GasAnalysis withHydrocarbons(@Nullable Double value) {
        return new GasAnalysis(carbonDioxide, carbonMonoxide, value, oxygen, nitricOxide);
    }

    public GasAnalysis withOxygen(@Nullable Double value) {
        return new GasAnalysis(carbonDioxide, carbonMonoxide, hydrocarbons, value, nitricOxide);
    }

    public GasAnalysis withNitricOxide(@Nullable Double value) {
        return new GasAnalysis(carbonDioxide, carbonMonoxide, hydrocarbons, oxygen, value);
    }
}
