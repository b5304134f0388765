package amberheron.io.book;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Shop;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShopHabitsTest {
    /** What is not understood, such as a later version's, counts as ours, and nobody gives more than any shop may. */
    @ParameterizedTest
    @CsvSource({"10, 0.10", "20, 0.20", "99, 0.20", "ten, 0.15", "'', 0.15", "-5, 0.15"})
    void theMostFuelAtOnceIsKept(String kept, double most) {
        assertThat(ShopHabits.read(Map.of("trims.most", kept), List.of()).mostTrim()).isEqualTo(most);
    }

    @Test
    void everyHabitComesBackAndChangesTheMark() {
        Shop ours = Shop.of(List.of());
        Shop other = ours.withMostTrim(0.05).withRecalibrateMonths(24);
        assertThat(ShopHabits.read(new HashMap<>(ShopHabits.written(other)), List.of())).isEqualTo(other);
        assertThat(ShopHabits.mark(ours.withMostTrim(0.05))).as("every job is judged anew")
                .isNotEqualTo(ShopHabits.mark(ours));
        assertThat(ShopHabits.written(other).keySet()).allMatch(ShopHabits::isOfShop);
    }
}
