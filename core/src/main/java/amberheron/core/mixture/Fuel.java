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
 */
public record Fuel(String id, String name, double stoich, Source source, Composition composition) {
    public Fuel {
        Sane.STOICH.check("stoich", stoich);
    }

    /** Makes a fuel of which only the ratio is known: its composition is taken to be petrol's. */
    public Fuel(String id, String name, double stoich, Source source) {
        this(id, name, stoich, source, Composition.PETROL);
    }

    /** The AFR scale of this fuel. */
    public MixtureScale scale() {
        return MixtureScale.afr(stoich);
    }
}
