package amberheron.core.placement;

import org.jspecify.annotations.Nullable;

/**
 * The pipe a place is chosen on. Distances run along the pipe from the turbine's outlet, or from the manifold's
 * flange when there is no turbine.
 *
 * @param turbine whether a turbine sits upstream
 * @param outerDiameter of the pipe, m, or null when not measured
 * @param catalyst how the catalyst is to be taken
 * @param catalystAt distance to its inlet, m, or null when not measured
 * @param roll how far the car leans to the right as it stands on its wheels, radians
 */
public record Exhaust(boolean turbine, @Nullable Double outerDiameter, Catalyst catalyst, @Nullable Double catalystAt,
        double roll) {
    /** What stands in the gas's way. */
    public enum Catalyst {
        NONE("no catalyst"), FITTED("catalyst"), STRAIGHT_THROUGH("straight-through catalyst");

        private final String words;

        Catalyst(String words) {
            this.words = words;
        }

        /** The trade's words for it. */
        public String words() {
            return words;
        }
    }
}
