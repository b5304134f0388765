package amberheron.core.controller;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import org.jspecify.annotations.Nullable;

/**
 * Number that a controller in order shows in free air.
 *
 * @param kind what the number is
 * @param value for {@link Kind#LEARNED} its own idea of air's oxygen, mole fraction; for {@link Kind#TOP} the leanest mixture
 *        it can show, lambda, or null where that is the end of its output law; otherwise null
 */
public record InAir(Kind kind, @Nullable Double value) {
    private static final double LEAST_OXYGEN = 0.1;
    private static final double MOST_OXYGEN = 0.3;

    /** Kind of the number shown in air. */
    public enum Kind {
        /** Oxygen, always the same whatever the air holds: it was taught that this is air. */
        LEARNED("its own idea of air, whatever the air holds"),
        /** Oxygen as it is in the air of the day. */
        OF_THE_DAY("the oxygen of the day"),
        /** A mixture: the top of its range. */
        TOP("the top of its range");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** Name in a few words. */
        public String words() {
            return word(words);
        }
    }

    public InAir {
        switch (kind) {
            case LEARNED -> {
                if (value == null) {
                    throw new Unusable(say("inAir: found no value, expected the oxygen it shows in air"));
                }
                if (!(value >= LEAST_OXYGEN && value <= MOST_OXYGEN)) {
                    throw new Unusable(
                            say("inAir: found %s, expected the oxygen of air as a part of it, %s to %s", value,
                                    LEAST_OXYGEN, MOST_OXYGEN));
                }
            }
            case TOP -> Sane.MIXTURE.check("inAir", value);
            case OF_THE_DAY -> {
                if (value != null) {
                    throw new Unusable(
                            say("inAir: found a value, expected none: it shows what the air of the day holds"));
                }
            }
        }
    }

    /** Returns the value of a line of the stream in this quantity; null where it has none. */
    public @Nullable Double of(Report report) {
        return oxygen() ? report.oxygen() : report.lambda();
    }

    /** Whether it shows oxygen in air, rather than a mixture. */
    public boolean oxygen() {
        return kind != Kind.TOP;
    }
}
