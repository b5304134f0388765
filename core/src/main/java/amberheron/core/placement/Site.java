package amberheron.core.placement;

import org.jspecify.annotations.Nullable;

/**
 * Everything a place is judged by, but the place.
 *
 * @param exhaust the pipes and what lies around them
 * @param displacement of the whole engine, m³; null when not known
 * @param banks exhaust banks, 1 or 2
 * @param stoich the fuel's stoichiometric ratio
 * @param probe the sensor and its lead
 * @param schools what the shop holds with
 */
public record Site(Exhaust exhaust, @Nullable Double displacement, int banks, double stoich, Probe probe,
        PlaceSchools schools) {
    public Site withSchools(PlaceSchools value) {
        return new Site(exhaust, displacement, banks, stoich, probe, value);
    }
}
