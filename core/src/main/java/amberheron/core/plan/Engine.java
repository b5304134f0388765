package amberheron.core.plan;

import static amberheron.core.units.Phrase.word;

import org.jspecify.annotations.Nullable;

/**
 * Answers about the engine and its electrics; each is null while it was not asked.
 *
 * @param fuelSystem how the fuel gets in
 * @param aspiration what fills the cylinders
 * @param cycle how it works
 * @param supply what its electrics give
 */
public record Engine(@Nullable FuelSystem fuelSystem, @Nullable Aspiration aspiration, @Nullable Cycle cycle,
        @Nullable Supply supply) {
    /** Nothing asked. */
    public static final Engine UNASKED = new Engine(null, null, null, null);

    /** How the fuel gets in. */
    public enum FuelSystem {
        CARBURETTOR("carburettor"),
        INJECTION("injection");

        private final String words;

        FuelSystem(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** What fills the cylinders. */
    public enum Aspiration {
        NATURAL("natural"),
        TURBO("turbo"),
        SUPERCHARGER("supercharger, no turbine");

        private final String words;

        Aspiration(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether it is on boost. */
        public boolean boosted() {
            return this != NATURAL;
        }
    }

    /** How it works. */
    public enum Cycle {
        FOUR_STROKE("four-stroke"),
        TWO_STROKE("two-stroke, oil in the fuel"),
        ROTARY("rotary");

        private final String words;

        Cycle(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether a chamber fires in every turn of the shaft, and so breathes twice as often as a four-stroke's. */
        public boolean everyTurn() {
            return this != FOUR_STROKE;
        }

        /** Whether oil burns with the fuel, which ages a sensor. */
        public boolean burnsOil() {
            return this != FOUR_STROKE;
        }
    }

    /** What the vehicle's electrics give. */
    public enum Supply {
        TWELVE("12 V", 1),
        SIX("6 V", 0.5),
        TWENTY_FOUR("24 V", 2),
        NONE_AT_IDLE("no battery, none at idle", 1);

        private final String words;
        private final double part;

        Supply(String words, double part) {
            this.words = words;
            this.part = part;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Its volts as a multiple of those of a 12 V system. */
        public double part() {
            return part;
        }

        /** Whether a controller made for 12 V cannot be fed from it as it is. */
        public boolean needsConverter() {
            return this != TWELVE;
        }
    }

    public Engine withFuelSystem(@Nullable FuelSystem value) {
        return new Engine(value, aspiration, cycle, supply);
    }

    public Engine withAspiration(@Nullable Aspiration value) {
        return new Engine(fuelSystem, value, cycle, supply);
    }

    public Engine withCycle(@Nullable Cycle value) {
        return new Engine(fuelSystem, aspiration, value, supply);
    }

    public Engine withSupply(@Nullable Supply value) {
        return new Engine(fuelSystem, aspiration, cycle, value);
    }
}
