package amberheron.app.session;

import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.ShopHabits;
import amberheron.io.pack.ShopCard;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/** What the person likes and the shop holds with, kept in the book. */
final class Preferences {
    private static final Set<Station> UNFOLDED = EnumSet.of(Station.AIR, Station.SCALE, Station.PROVE);
    private static final String RULE = "rule.";

    private static final List<Integer> SIZES = List.of(100, 125, 150);

    private final Consumer<Map<String, String>> keep;
    private final Map<Station, Boolean> folded = new EnumMap<>(Station.class);
    private UnitChoice units;
    private boolean dark;
    private int textSize;
    private boolean toured;
    private Shop shop;
    private String mark;
    private String shopName;
    private ShopCard.Paper paper;

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
        this.toured = "seen".equals(kept.get("tour"));
        this.textSize = SIZES.stream().filter(s -> String.valueOf(s).equals(kept.get("text"))).findFirst().orElse(100);
        for (Station station : Station.values()) {
            String rule = kept.get(RULE + station.key());
            if (rule != null) {
                folded.put(station, rule.equals("folded"));
            }
        }
        ShopCard card = ShopCard.read(kept, Path.of(""));
        this.shopName = card.name();
        this.paper = card.paper();
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

    /** Whether the rule is one line at a station: as it was left there, else unfolded where numbers shown are the matter. */
    boolean folded(Station station) {
        return folded.getOrDefault(station, !UNFOLDED.contains(station));
    }

    void folded(Station station, boolean on) {
        folded.put(station, on);
        keep.accept(Map.of(RULE + station.key(), on ? "folded" : "open"));
    }

    /** How the shop shows itself on paper, with its mark from beside the book. */
    ShopCard card(Path home) {
        return ShopCard.read(Map.of(ShopHabits.NAME, shopName, ShopHabits.PAPER, paper.css()), home);
    }

    void card(String name, ShopCard.Paper size) {
        shopName = name;
        paper = size;
        keep.accept(Map.of(ShopHabits.NAME, name, ShopHabits.PAPER, size.css()));
    }

    /** Whether the tour was seen, or skipped. */
    boolean toured() {
        return toured;
    }

    void tour() {
        toured = true;
        keep.accept(Map.of("tour", "seen"));
    }

    /** How large words are, percent of the usual. */
    int textSize() {
        return textSize;
    }

    /** The next larger or smaller size there is; the same at either end. */
    void textSize(boolean larger) {
        int at = SIZES.indexOf(textSize) + (larger ? 1 : -1);
        textSize = SIZES.get(Math.clamp(at, 0, SIZES.size() - 1));
        keep.accept(Map.of("text", String.valueOf(textSize)));
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
