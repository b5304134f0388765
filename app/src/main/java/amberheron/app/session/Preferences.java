package amberheron.app.session;

import amberheron.core.job.Shop;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.ShopHabits;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** What the person likes and the shop holds with, kept in the book. */
final class Preferences {
    private final Consumer<Map<String, String>> keep;
    private UnitChoice units;
    private boolean dark;
    private Shop shop;
    private String mark;

    /**
     * Preferences as they were kept.
     *
     * @param keep takes what has changed
     */
    Preferences(Map<String, String> kept, List<OutputLaw> laws, Consumer<Map<String, String>> keep) {
        this.keep = keep;
        this.units = new UnitChoice("afr".equals(kept.get("mixture")), "in".equals(kept.get("length")),
                "°F".equals(kept.get("temperature")), "lb·ft".equals(kept.get("torque")));
        this.dark = "dark".equals(kept.get("paper"));
        this.shop = ShopHabits.read(kept, laws);
        this.mark = ShopHabits.mark(shop);
    }

    UnitChoice units() {
        return units;
    }

    void units(UnitChoice choice) {
        units = choice;
        keep.accept(Map.of("mixture", choice.afr() ? "afr" : "lambda", "length", choice.inches() ? "in" : "mm",
                "temperature", choice.fahrenheit() ? "°F" : "°C", "torque", choice.poundFeet() ? "lb·ft" : "N·m"));
    }

    boolean dark() {
        return dark;
    }

    void dark(boolean on) {
        dark = on;
        keep.accept(Map.of("paper", on ? "dark" : "light"));
    }

    Shop shop() {
        return shop;
    }

    /** What jobs are judged by, in short. */
    String mark() {
        return mark;
    }

    void shop(Shop habits) {
        shop = habits;
        mark = ShopHabits.mark(habits);
        keep.accept(ShopHabits.written(habits));
    }
}
