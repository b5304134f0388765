package amberheron.core.scaling;

/**
 * Effect of the wire on the volts: v at the output arrives as gain·v + shift, but never above a ceiling.
 *
 * @param gain more than 0
 * @param shift V
 * @param ceiling V; infinite when nothing clips
 */
public record WireEffect(double gain, double shift, double ceiling) {
    /** A wire that does what it should. */
    public static final WireEffect NONE = linear(1, 0);

    /** A gain and a shift, nothing clipped. */
    public static WireEffect linear(double gain, double shift) {
        return new WireEffect(gain, shift, Double.POSITIVE_INFINITY);
    }

    /** The same, cut off above some volts at the pin. */
    WireEffect under(double top) {
        return new WireEffect(gain, shift, Math.min(ceiling, top));
    }

    /** This effect, followed by another. */
    WireEffect then(WireEffect next) {
        return new WireEffect(gain * next.gain, next.gain * shift + next.shift,
                Math.min(next.gain * ceiling + next.shift, next.ceiling));
    }

    /** Volts at the reader's pin. */
    public double atPin(double output) {
        return Math.min(ceiling, gain * output + shift);
    }

    /** Volts at the output for volts at the pin. */
    double before(double pin) {
        return (pin - shift) / gain;
    }
}
