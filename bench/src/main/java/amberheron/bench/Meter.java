package amberheron.bench;

/** A voltmeter that is asked for one reading at a time. */
public interface Meter extends AutoCloseable {
    /** Identity of the instrument, as shown beside every reading it gives. */
    String name();

    /** Whether it is a stand-in, whose readings prove nothing about a vehicle. */
    boolean simulated();

    /** Takes a reading; whatever goes wrong is said in the reading, and the meter can be asked again. */
    Reading read();

    /** Puts it away, also while it is being asked; it is not asked again. */
    @Override
    void close();

    /** The answer. */
    sealed interface Reading {
        /** Volts, as the meter sent them. */
        record Volts(double volts) implements Reading {
        }

        /** The reading exceeds the meter's range: something is there, but how much is not known. */
        record Overload() implements Reading {
        }

        /** There is no reading, and why. */
        record None(String why) implements Reading {
        }
    }
}
