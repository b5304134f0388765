package amberheron.core.display;

import static amberheron.core.units.Phrase.word;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Where the display takes its engine-speed pulses. */
public enum PickUp {
    NONE("not connected"),
    ONE_COIL("one coil for all cylinders"),
    PAIR_COIL("a coil that two cylinders share"),
    OWN_COIL("a coil of one cylinder"),
    WHEEL("a toothed wheel on the crankshaft");

    private final String words;

    PickUp(String words) {
        this.words = words;
    }

    /** The trade's words. */
    public String words() {
        return word(words);
    }

    /**
     * Pulses in one turn of the crankshaft, from how often that place fires: each cylinder once in two turns of a
     * four-stroke and once in each turn of a two-stroke, a shared coil of a four-stroke for both of its cylinders.
     *
     * @param cylinders number of them; null when not said
     * @param teeth that pass in a turn, missing ones left out; null when not said
     * @return empty where that is not known, or nothing is connected
     */
    public OptionalDouble perTurn(@Nullable Integer cylinders, boolean twoStroke, @Nullable Integer teeth) {
        double each = twoStroke ? 1 : 0.5;
        return switch (this) {
            case NONE -> OptionalDouble.empty();
            case ONE_COIL -> cylinders == null ? OptionalDouble.empty() : OptionalDouble.of(each * cylinders);
            case PAIR_COIL -> OptionalDouble.of(2 * each);
            case OWN_COIL -> OptionalDouble.of(each);
            case WHEEL -> teeth == null ? OptionalDouble.empty() : OptionalDouble.of(teeth);
        };
    }
}
