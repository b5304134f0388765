package amberheron.core.placement;

/**
 * A figure known only to lie between two bounds.
 *
 * @param low lower bound, SI
 * @param high upper bound, SI
 */
public record Estimate(double low, double high) {
    /** Halfway between the bounds. */
    public double middle() {
        return (low + high) / 2;
    }

    /** Half the distance between the bounds. */
    public double spread() {
        return (high - low) / 2;
    }
}
