package amberheron.app.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypedWordTest {
    private static final List<String> NAMES = List.of("E5, λ 1 = 14.40", "Petrol, λ 1 = 14.70", "E10, λ 1 = 14.10",
            "E85, λ 1 = 9.82", "Light diesel", "Ethanol", "Natural gas", "E85 winter");

    /** Letters typed one after the other, a dot being a pause of two seconds; what then is found, beginning at a place. */
    @ParameterizedTest
    @CsvSource({"E85, -1, 3", "e10, 3, 2", "pe, -1, 1", "e, -1, 0", "ee, -1, 2", "eee, -1, 3", "e.e, -1, 2",
            "di, -1, 4",
            "gas, -1, 6", "e.p, -1, 1", "x, 2, -1", "e85 w, -1, 7", "e5x, 0, -1"})
    void lettersTypedWithinASecondAreOneWord(String keys, int at, int found) {
        AtomicLong nanos = new AtomicLong(5_000_000_000L);
        TypedWord word = new TypedWord(nanos::get);
        OptionalInt last = OptionalInt.empty();
        int now = at;
        for (char key : keys.toCharArray()) {
            nanos.addAndGet(key == '.' ? 2_000_000_000L : 200_000_000L);
            if (key != '.') {
                last = word.typed(String.valueOf(key), NAMES, now);
                now = last.orElse(now);
            }
        }
        assertThat(last).isEqualTo(found < 0 ? OptionalInt.empty() : OptionalInt.of(found));
    }
}
