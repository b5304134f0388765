package amberheron.core.mixture;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
import java.util.List;

/** Stoichiometric ratios from composition. Heywood, Internal Combustion Engine Fundamentals, ch. 3. */
public final class Stoichiometry {
    /**
     * Ratios of fuels: petrol, light diesel, methane, propane, methanol, ethanol (Heywood, Internal Combustion Engine
     * Fundamentals, table D.4), and petrol with 10, 25 and 85 % of ethanol by volume, blended by mass.
     */
    public static final List<Double> FUELS = List.of(14.6, 14.5, 17.2, 15.67, 6.47, 9.0, 14.1, 13.21, 9.81);

    private static final double CARBON = 12.011;
    private static final double HYDROGEN = 1.008;
    private static final double OXYGEN = 15.999;
    /** Mass of air that carries one mole of O2, air taken as O2 + 3.773 N2, grams. */
    private static final double AIR_PER_OXYGEN = 138.25;

    private Stoichiometry() {
    }

    /**
     * Air-fuel ratio by mass of CₐH_bO_c at lambda 1.
     *
     * @param carbon atoms of carbon
     * @param hydrogen atoms of hydrogen
     * @param oxygen atoms of oxygen
     */
    public static double ratio(double carbon, double hydrogen, double oxygen) {
        return AIR_PER_OXYGEN * (carbon + hydrogen / 4 - oxygen / 2)
                / (CARBON * carbon + HYDROGEN * hydrogen + OXYGEN * oxygen);
    }

    /**
     * The ratio of two fuels mixed by volume; ratios mix by mass.
     *
     * @param share volume share of the first fuel, 0 to 1
     * @param first ratio of the first fuel
     * @param firstDensity its density, any unit
     * @param second ratio of the second fuel
     * @param secondDensity its density, the same unit
     */
    public static double blend(double share, double first, double firstDensity, double second, double secondDensity) {
        if (!(share >= 0 && share <= 1)) {
            throw new Unusable(say("volume share %s, expected 0 to 1", share));
        }
        double massShare = share * firstDensity / (share * firstDensity + (1 - share) * secondDensity);
        return massShare * first + (1 - massShare) * second;
    }
}
