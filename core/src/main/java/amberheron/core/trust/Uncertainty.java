package amberheron.core.trust;

import java.util.random.RandomGenerator;

/**
 * One independent cause of doubt, as it enters the chain.
 *
 * @param by what it is
 * @param at where it enters, which has the unit
 * @param shape how it is spread
 * @param size half the width of an even spread, the whole of a one-sided one, or the standard deviation of a normal one; 0 or
 *        more
 */
public record Uncertainty(Contributor by, Entry at, Shape shape, double size) {
    /** Where a doubt enters the chain. */
    public enum Entry {
        /** A gain of the sensor, as a part of it. */
        SENSOR_GAIN,
        /** Pressure in the pipe at full load over that of the air, bar; light loads have a part of it. */
        BACK_PRESSURE,
        /** Added to the mixture at the sensor where the engine runs at light load, λ. */
        LIGHT_LOAD,
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
        /** The same, but never below nothing: what can only raise. */
        ONE_SIDED,
        /** Many small causes together. */
        NORMAL
    }

    public Uncertainty {
        // However absurd the wiring entered is, what it leaves in doubt can be told.
        if (!(size >= 0 && Double.isFinite(size))) {
            throw new IllegalArgumentException("uncertainty: found " + size + ", expected 0 or more");
        }
    }

    /**
     * The root of the mean square: an even spread of half width a has a / √3, and so has one from 0 to a, about 0 rather than
     * about its middle.
     */
    public double standard() {
        return shape == Shape.NORMAL ? size : size / Math.sqrt(3);
    }

    /** Draws one value. */
    public double drawn(RandomGenerator random) {
        return size * switch (shape) {
            case EVEN -> 2 * random.nextDouble() - 1;
            case ONE_SIDED -> random.nextDouble();
            case NORMAL -> random.nextGaussian();
        };
    }
}
