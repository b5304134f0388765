package amberheron.core.trust;

/**
 * One independent cause of doubt, as it enters the chain.
 *
 * @param by what it is
 * @param at where it enters: a part of λ − 1, V at the reader's pin, a part of those volts, or λ as shown
 * @param shape how it is spread
 * @param size half the width of an even spread, or the standard deviation of a normal one; 0 or more, in the unit of
 *        where it enters
 */
public record Uncertainty(Contributor by, Entry at, Shape shape, double size) {
    /** Where a doubt enters the chain. */
    public enum Entry {
        /** A gain of the sensor: a part of λ − 1. */
        SENSOR_GAIN,
        /** Added to the volts at the pin, V. */
        PIN_VOLTS,
        /** A part of the volts at the pin. */
        PIN_GAIN,
        /** Added to what is shown, λ. */
        SHOWN
    }

    /** How a doubt is spread; JCGM 100:2008, 4.3.7 and G.6. */
    public enum Shape {
        /** Anywhere within bounds, nothing known inside them. */
        EVEN,
        /** Many small causes together. */
        NORMAL
    }

    public Uncertainty {
        // However absurd the wiring entered is, what it leaves in doubt can be told.
        if (!(size >= 0 && Double.isFinite(size))) {
            throw new IllegalArgumentException("uncertainty: found " + size + ", expected 0 or more");
        }
    }

    /** The standard uncertainty: an even spread of half width a has a / √3. */
    public double standard() {
        return shape == Shape.EVEN ? size / Math.sqrt(3) : size;
    }
}
