package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import org.jspecify.annotations.Nullable;

/**
 * The reader's analog input.
 *
 * @param minVolts bottom of its range, V
 * @param maxVolts top of its range, V
 * @param bits of its converter, 2 to 24; null when it does not quantise
 * @param filter time constant of what it averages by before it shows, s, 0 to 60; null where that is not known
 */
public record ReaderInput(double minVolts, double maxVolts, @Nullable Integer bits, @Nullable Double filter) {
    /** Part of a step within which volts are half-way between two counts: more than arithmetic loses. */
    private static final double TIE = 1e-7;

    /** An input of whose filter nothing is known. */
    public ReaderInput(double minVolts, double maxVolts, @Nullable Integer bits) {
        this(minVolts, maxVolts, bits, null);
    }

    public ReaderInput {
        Sane.SIGNAL.check("input.minVolts", minVolts);
        Sane.SIGNAL.check("input.maxVolts", maxVolts);
        if (!(minVolts < maxVolts) || !Double.isFinite(maxVolts - minVolts)) {
            throw new Unusable(
                    say("input: minVolts %s is not below maxVolts %s, expected minVolts < maxVolts", minVolts,
                            maxVolts));
        }
        Sane.SPAN.check("input: maxVolts − minVolts", maxVolts - minVolts);
        if (bits != null && (bits < 2 || bits > 24)) {
            throw new Unusable(say("input.bits: found %d, expected 2 to 24", bits));
        }
        Sane.FILTER.check("input.filter", filter);
    }

    public ReaderInput withFilter(@Nullable Double value) {
        return new ReaderInput(minVolts, maxVolts, bits, value);
    }

    /** The step of the converter: span/(2^N − 1), V; 0 when it does not quantise. */
    public double step() {
        return bits == null ? 0 : (maxVolts - minVolts) / topCount();
    }

    /** The highest count; 0 when it does not quantise. */
    public long topCount() {
        return bits == null ? 0 : (1L << bits) - 1;
    }

    /**
     * The count for volts at the pin, or null when it does not quantise. Volts half-way between two counts are the upper one,
     * whichever way a law led to them.
     */
    public @Nullable Long counts(double volts) {
        return bits == null ? null : Math.round((clipped(volts) - minVolts) / step() + TIE);
    }

    /** The volts a count stands for. */
    public double volts(long counts) {
        return minVolts + counts * step();
    }

    /** The volts the reader works with: held to its range and rounded to its step. */
    public double sensed(double volts) {
        Long counts = counts(volts);
        return counts == null ? clipped(volts) : volts(counts);
    }

    /** Volts held to the range, not rounded. */
    public double clipped(double volts) {
        // Asked some 100,000 times in a diagnosis, a fifth of which Math.clamp took.
        return volts < minVolts ? minVolts : volts > maxVolts ? maxVolts : volts;
    }
}
