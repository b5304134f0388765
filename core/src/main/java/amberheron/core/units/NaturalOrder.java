package amberheron.core.units;

import java.math.BigInteger;
import java.util.Comparator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Order of names as people count: digits in them by their value, so that SB-9 stands before SB-10; letters in any case. */
public final class NaturalOrder implements Comparator<String> {
    /** The order. */
    public static final NaturalOrder OF = new NaturalOrder();

    private static final Pattern PIECE = Pattern.compile("\\d+|\\D+");

    private NaturalOrder() {
    }

    @Override
    public int compare(String a, String b) {
        Matcher one = PIECE.matcher(a);
        Matcher other = PIECE.matcher(b);
        while (true) {
            boolean more = one.find();
            if (more != other.find()) {
                return more ? 1 : -1;
            }
            if (!more) {
                // Alike but for case or leading zeros: any fixed order.
                return a.compareTo(b);
            }
            int order = pieces(one.group(), other.group());
            if (order != 0) {
                return order;
            }
        }
    }

    private static boolean number(String piece) {
        return piece.charAt(0) >= '0' && piece.charAt(0) <= '9';
    }

    private static int pieces(String a, String b) {
        return number(a) && number(b)
                ? new BigInteger(a).compareTo(new BigInteger(b))
                : a.compareToIgnoreCase(b);
    }
}
