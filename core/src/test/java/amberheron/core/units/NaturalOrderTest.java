package amberheron.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

class NaturalOrderTest {
    @Test
    void numbersCountByTheirValue() {
        assertThat(List.of("SB-10", "SB-9", "sb-2b", "SB-2", "A-100", "SB-009").stream().sorted(NaturalOrder.OF))
                .containsExactly("A-100", "SB-2", "sb-2b", "SB-009", "SB-9", "SB-10");
    }

    /** It is an order: one of two different names is first, and what is between stays between. */
    @Property
    void itIsATotalOrder(
            @ForAll @CharRange(from = '0', to = '9') @CharRange(from = 'a', to = 'c') @StringLength(max = 6) String a,
            @ForAll @CharRange(from = '0', to = '9') @CharRange(from = 'a', to = 'c') @StringLength(max = 6) String b,
            @ForAll @CharRange(from = '0', to = '9') @CharRange(from = 'a', to = 'c') @StringLength(max = 6) String c) {
        NaturalOrder order = NaturalOrder.OF;
        assertThat(Integer.signum(order.compare(a, b))).isEqualTo(-Integer.signum(order.compare(b, a)));
        assertThat(order.compare(a, b) == 0).isEqualTo(a.equals(b));
        if (order.compare(a, b) < 0 && order.compare(b, c) < 0) {
            assertThat(order.compare(a, c)).isNegative();
        }
    }
}
