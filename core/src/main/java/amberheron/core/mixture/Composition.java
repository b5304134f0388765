package amberheron.core.mixture;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
/**
 * Composition of a fuel, for each atom of carbon.
 *
 * @param hydrogen atoms of hydrogen, 0 to 4
 * @param oxygen atoms of oxygen, 0 to 2
 */
public record Composition(double hydrogen, double oxygen) {
    /** Petrol as Heywood takes it, CH1.87; used where a fuel's own composition is not known. */
    public static final Composition PETROL = new Composition(1.87, 0);

    public Composition {
        if (!(hydrogen >= 0 && hydrogen <= 4 && oxygen >= 0 && oxygen <= 2)) {
            throw new Unusable(
                    say("hydrogen %s, oxygen %s for each carbon, expected 0 to 4 and 0 to 2", hydrogen, oxygen));
        }
    }

    /**
     * Returns the composition of two fuels mixed by volume.
     *
     * @param share volume share of this one, 0 to 1
     * @param density its density, any unit
     * @param other the other fuel
     * @param otherDensity its density, the same unit
     */
    public Composition blended(double share, double density, Composition other, double otherDensity) {
        double mine = share * density / mass();
        double others = (1 - share) * otherDensity / other.mass();
        double part = mine / (mine + others);
        return new Composition(part * hydrogen + (1 - part) * other.hydrogen,
                part * oxygen + (1 - part) * other.oxygen);
    }

    /** Mass for each mole of carbon, g. */
    private double mass() {
        return 12.011 + 1.008 * hydrogen + 15.999 * oxygen;
    }
}
