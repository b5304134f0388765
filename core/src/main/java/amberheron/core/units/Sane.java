package amberheron.core.units;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import org.jspecify.annotations.Nullable;

/**
 * Plausible range of a quantity of a vehicle, in SI: far wider than any rule, so that only what cannot be meant is refused.
 * The same limits stand in the document's schema. Our own choice, no published source.
 */
public enum Sane {
    /** A place along pipe or cable, before or behind where it counts from, m. */
    PLACE(-10, 100, "m"),
    /** A length, m. */
    LENGTH(0, 100, "m"),
    /** A pipe, a hole, a wall, m. */
    BORE(0, 1, "m"),
    /** A gap, m; negative where parts overlap. */
    GAP(-1, 10, "m"),
    /** An angle, rad. */
    ANGLE(-6.4, 6.4, "rad"),
    /** A signal, V. */
    SIGNAL(-60, 60, "V"),
    /** A span of a signal, from its least to its greatest value or between two points of a law, V. */
    SPAN(0.001, 120, "V"),
    /** A vehicle's supply, V. */
    SUPPLY(-100, 100, "V"),
    /** A current, A. */
    CURRENT(0, 1000, "A"),
    /** A resistance, Ω. */
    RESISTANCE(0, 1e9, "Ω"),
    /** A conductor, m²; from finer than 40 AWG to thicker than 4/0. */
    SECTION(1e-9, 1e-3, "m²"),
    /** A battery, A·h. */
    CHARGE(0, 1e5, "A·h"),
    /** A force, N. */
    FORCE(0, 1e6, "N"),
    /** A time, s. */
    TIME(0, 1e7, "s"),
    /** Time constant of a reader's filter, s. */
    FILTER(0, 60, "s"),
    /** An engine, m³. */
    DISPLACEMENT(1e-7, 1, "m³"),
    /** Cylinders of an engine. */
    CYLINDERS(1, 64, ""),
    /** Air, K. */
    AIR_TEMPERATURE(150, 400, "K"),
    /** The air's pressure, Pa; from higher than any road to deeper than any mine. */
    AIR_PRESSURE(10_000, 150_000, "Pa"),
    /** Exhaust gas, K. */
    GAS_TEMPERATURE(200, 2000, "K"),
    /** A part of a whole. */
    PART(0, 1, ""),
    /** A height above the sea, m. */
    HEIGHT(-1000, 12_000, "m"),
    /** A mixture, λ; free air is shown as a number of this size. */
    MIXTURE(0, 200, "λ"),
    /** A difference of mixtures, λ. */
    DIFFERENCE(-1e6, 1e6, "λ"),
    /** A liquid fuel's density, kg/L. */
    DENSITY(0.3, 2, "kg/L"),
    /** A stoichiometric air-fuel ratio. */
    STOICH(1, 40, ""),
    /** A setting of a display: a mixture in λ, a time in s, pulses in a turn. */
    TOLD(0, 1000, ""),
    /** Whatever a reader shows, in its own quantity. */
    SHOWN(-1e9, 1e9, "");

    private final double min;
    private final double max;
    private final String unit;

    Sane(double min, double max, String unit) {
        this.min = min;
        this.max = max;
        this.unit = unit;
    }

    /** The least that can be meant, SI. */
    public double min() {
        return min;
    }

    /** The most that can be meant, SI. */
    public double max() {
        return max;
    }

    /**
     * Refuses a value outside the range, NaN and infinity included.
     *
     * @param field what the value is called
     * @param value SI; null for what is not known
     * @throws Unusable saying what was found and what was expected
     */
    public void check(String field, @Nullable Double value) {
        if (value != null && !(value >= min && value <= max)) {
            throw new Unusable(say("%s: found %s, expected %s to %s%s", word(field), value, plain(min),
                    plain(max), unit.isEmpty() ? "" : " " + unit));
        }
    }

    private static String plain(double value) {
        return Math.abs(value) < 1e7 && value == Math.rint(value) ? UnitChoice.digits(value, 0) : String.valueOf(value);
    }
}
