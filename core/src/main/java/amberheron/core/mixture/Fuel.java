package amberheron.core.mixture;

import amberheron.core.finding.Source;
import amberheron.core.units.Sane;

/**
 * A fuel as the catalogue knows it.
 *
 * @param id catalogue id
 * @param name what the pump or the trade calls it
 * @param stoich stoichiometric air-fuel ratio by mass
 * @param source where that ratio comes from
 * @param composition what it is made of
 * @param kind what it means for judging an engine
 */
public record Fuel(String id, String name, double stoich, Source source, Composition composition,
        FuelKind kind) {
    public Fuel {
        Sane.STOICH.check("stoich", stoich);
    }

    /** Makes a fuel of which only the ratio is known: all else is taken to be petrol's. */
    public Fuel(String id, String name, double stoich, Source source) {
        this(id, name, stoich, source, Composition.PETROL, FuelKind.PETROL);
    }

    /** The AFR scale of this fuel. */
    public MixtureScale scale() {
        return MixtureScale.afr(stoich);
    }
}
