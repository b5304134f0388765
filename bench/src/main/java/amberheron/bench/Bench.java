package amberheron.bench;

import amberheron.core.units.Unusable;
/** A supply at the controller's output, a meter on it and an eye on the reader: takes one check point at a time. */
public interface Bench {
    /** Identity of the instrument, as shown beside every reading it gives. */
    String name();

    /**
     * Applies volts, waits until they stand, and reads meter and reader.
     *
     * @param volts 0 to 5; above that an input can be destroyed
     * @throws Unusable outside that range
     */
    Reading take(double volts);

    /**
     * One reading.
     *
     * @param volts the meter's, at the output
     * @param shown the reader's, in its own quantity
     */
    record Reading(double volts, double shown) {
    }
}
