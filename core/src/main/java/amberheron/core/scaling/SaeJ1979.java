package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

/** Wideband data bytes as scaled by SAE J1979 / ISO 15031-5. */
public final class SaeJ1979 {
    private SaeJ1979() {
    }

    /** Equivalence ratio (lambda) of bytes A and B, 0 to just under 2. */
    public static double ratio(int a, int b) {
        return 2.0 / 65536 * word(a, b);
    }

    /** Volts of bytes C and D, 0 to just under 8. */
    public static double volts(int c, int d) {
        return 8.0 / 65536 * word(c, d);
    }

    /** Pump current of bytes C and D in the other form, mA, −128 to just under 128. */
    public static double milliamperes(int c, int d) {
        return word(c, d) / 256.0 - 128;
    }

    private static int word(int high, int low) {
        if ((high | low) < 0 || high > 255 || low > 255) {
            throw new IllegalArgumentException(say("bytes %d and %d, expected 0 to 255", high, low));
        }
        return 256 * high + low;
    }
}
