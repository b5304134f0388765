package amberheron.core.placement;

import org.jspecify.annotations.Nullable;

/**
 * Everything by which a place is judged, except the place itself.
 *
 * @param exhaust the pipes and what lies around them
 * @param displacement of the whole engine, m³, twice that of one that fires in every turn; null when not known
 * @param banks exhaust banks, 1 or 2
 * @param stoich the fuel's stoichiometric ratio
 * @param probe the sensor and its lead
 * @param wired what the wiring says of lead and heater
 * @param schools what the shop holds with
 */
public record Site(Exhaust exhaust, @Nullable Double displacement, int banks, double stoich, Probe probe,
        Wired wired, PlaceSchools schools) {
    /**
     * Findings of the wiring.
     *
     * @param lead length of sensor lead and extension together, m; null when not measured
     * @param laid what would be left of it at a place where it leaves the pipe, as the cable was laid, m; null until it
     *        was
     * @param heaterHot when water begins to harm the sensor, s after a cold start
     */
    public record Wired(@Nullable Double lead, @Nullable Double laid, double heaterHot) {
    }

    public Site withSchools(PlaceSchools value) {
        return new Site(exhaust, displacement, banks, stoich, probe, wired, value);
    }
}
