package amberheron.core.mixture;

import static amberheron.core.units.Phrase.word;

/** Kinds of fuel that an engine is judged by differently. */
public enum FuelKind {
    /** Petrol and its blends with ethanol. */
    PETROL("petrol"),
    /** The same with lead, which poisons a sensor in hours. */
    LEADED("leaded petrol"),
    METHANOL("methanol"),
    /** Propane and natural gas. */
    GAS("gas"),
    DIESEL("diesel");

    private final String words;

    FuelKind(String words) {
        this.words = words;
    }

    /** The trade's words. */
    public String words() {
        return word(words);
    }

    /** Whether an engine on it is ever held at λ 1, so that a narrowband, a closed loop and fuel trims mean something. */
    public boolean heldAtOne() {
        return this != DIESEL;
    }

    /** Mixtures that are right with it. */
    public Bands bands(boolean boosted) {
        return switch (this) {
            case PETROL, LEADED -> Bands.spark(boosted ? 0.78 : 12 / 14.7, 0.70, boosted ? Bands.OTHERS : Bands.PETROL);
            case METHANOL -> Bands.spark(boosted ? 0.72 : 0.76, 0.62, Bands.OTHERS);
            case GAS -> Bands.spark(boosted ? 0.86 : 0.90, 0.78, Bands.OTHERS);
            case DIESEL -> Bands.DIESEL;
        };
    }
}
