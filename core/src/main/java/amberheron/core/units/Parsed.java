package amberheron.core.units;

/** The outcome of reading what a person typed: a value, or what is wrong with the entry. */
public sealed interface Parsed {
    /** A usable entry, in SI (mixtures as lambda). */
    record Value(double si) implements Parsed {
    }

    /** An entry that cannot be used; the message says what was found and what was expected. */
    record Bad(String message) implements Parsed {
    }
}
