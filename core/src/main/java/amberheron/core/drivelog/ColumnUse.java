package amberheron.core.drivelog;

import java.util.function.DoubleUnaryOperator;

/**
 * Channel that a column is taken for.
 *
 * @param column from 0
 * @param name its header
 * @param quantity what its numbers are, in words
 * @param because why it is taken for that
 * @param si turns its numbers into λ, s, 1/min, m/s, Pa, part of full, kg/s, K or V
 */
public record ColumnUse(LogChannel channel, int column, String name, String quantity, String because,
        DoubleUnaryOperator si) {
    /** Conversion of numbers that are in the right unit already. */
    public static final DoubleUnaryOperator AS_IT_STANDS = v -> v;

    /** Returns the same use with the column at another place. */
    public ColumnUse at(int place) {
        return new ColumnUse(channel, place, name, quantity, because, si);
    }
}
