package amberheron.core.mixture;

import amberheron.core.units.Sane;

import amberheron.core.finding.Source;

/**
 * A fuel as the catalogue knows it.
 *
 * @param id catalogue id
 * @param name what the pump or the trade calls it
 * @param stoich stoichiometric air-fuel ratio by mass
 * @param source where that ratio comes from
 */
public record Fuel(String id, String name, double stoich, Source source) {
    public Fuel {
        Sane.STOICH.check("stoich", stoich);
    }

    /** The AFR scale of this fuel. */
    public MixtureScale scale() {
        return MixtureScale.afr(stoich);
    }
}
