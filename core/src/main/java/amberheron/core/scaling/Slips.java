package amberheron.core.scaling;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.stream.DoubleStream;

/** Slips of those who write numbers down: two neighbouring digits exchanged, or one digit taken for the next. */
final class Slips {
    private Slips() {
    }

    /**
     * Returns the numbers from which one slip leads to the given one.
     *
     * @param written the number as it stands
     * @param digit last digit of all numbers that were written, such as 0.01; 0 for whole numbers
     */
    static double[] of(double written, double digit) {
        int decimals = digit > 0 ? (int) Math.round(-Math.log10(digit)) : 0;
        char[] digits = BigDecimal.valueOf(Math.abs(written)).setScale(decimals, RoundingMode.HALF_UP).unscaledValue()
                .toString().toCharArray();
        double unit = Math.copySign(Math.pow(10, -decimals), written);
        DoubleStream.Builder meant = DoubleStream.builder();
        double place = 1;
        for (int i = digits.length - 1; i >= 0; i--) {
            double value = Math.abs(written) / Math.abs(unit);
            int here = digits[i] - '0';
            if (here < 9) {
                meant.add(unit * (value + place));
            }
            if (here > 0) {
                meant.add(unit * (value - place));
            }
            if (i > 0 && digits[i - 1] != digits[i]) {
                // The left one stands for ten times as much, so exchanging them changes nine times their difference.
                meant.add(unit * (value + 9 * place * (here - (digits[i - 1] - '0'))));
            }
            place *= 10;
        }
        return meant.build().toArray();
    }
}
