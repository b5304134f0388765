package amberheron.core.units;

/**
 * A value with what it measures and how finely it is worth showing. The number of decimals is meant in the
 * dimension's customary unit (millimetres, degrees, volts…), not in SI.
 *
 * @param spread half the range an estimate lies in, SI; 0 for what is known
 */
public record Measure(double si, Dimension dimension, int decimals, double spread) {
    /** A measure that is known. */
    public Measure(double si, Dimension dimension, int decimals) {
        this(si, dimension, decimals, 0);
    }

    /** A measure in the given unit. */
    public static Measure of(double value, Unit unit, int decimals) {
        return new Measure(unit.toSi(value), unit.dimension(), decimals);
    }
}
