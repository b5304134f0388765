package amberheron.app.session;

import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.ShopHabits;
import amberheron.io.pack.ShopCard;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Preferences of the person and habits of the shop, kept in the book. */
public final class Preferences {
    private static final Set<Station> UNFOLDED = EnumSet.of(Station.AIR, Station.SCALE, Station.PROVE);
    private static final String RULE = "rule.";

    private static final List<Integer> SIZES = List.of(100, 125, 150);

    private final Host host;
    private final Path home;
    private final Map<Station, Boolean> folded = new EnumMap<>(Station.class);
    private UnitChoice units;
    private boolean dark;
    private int textSize;
    private boolean toured;
    private Shop shop;
    private String mark;
    private String shopName;
    private ShopCard.Paper paper;

    /** Whom a change concerns. */
    interface Host {
        /** Something has changed and is to be kept in the book. */
        void keep(Map<String, String> what);

        /** Something on screen is to be shown otherwise. */
        void changed();

        /** Jobs are to be judged by other habits. */
        void judgeBy(Shop habits);

        LocalDate today();
    }

    /**
     * Preferences as they were kept.
     *
     * @param home the folder with the shop's mark
     */
    Preferences(Map<String, String> kept, List<OutputLaw> laws, Path home, Host host) {
        this.host = host;
        this.home = home;
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

    /** The units shown. */
    public UnitChoice units() {
        return units;
    }

    /** Changes the units everywhere at once. */
    public void units(UnitChoice choice) {
        units = choice;
        keep(Map.of("mixture", choice.afr() ? "afr" : "lambda", "length", choice.inches() ? "in" : "mm", "temperature",
                choice.fahrenheit() ? "°F" : "°C", "torque", choice.poundFeet() ? "lb·ft" : "N·m"));
    }

    private void keep(Map<String, String> what) {
        host.keep(what);
        host.changed();
    }

    /** Whether the dark variant is shown. */
    public boolean dark() {
        return dark;
    }

    /** Shows light or dark paper. */
    public void dark(boolean on) {
        dark = on;
        keep(Map.of("paper", on ? "dark" : "light"));
    }

    /**
     * Whether the reading rule is one line at a station: as it was left there, else unfolded where numbers shown are the
     * matter.
     */
    public boolean folded(Station station) {
        return folded.getOrDefault(station, !UNFOLDED.contains(station));
    }

    /** Folds or unfolds the reading rule at a station. */
    public void folded(Station station, boolean on) {
        folded.put(station, on);
        keep(Map.of(RULE + station.key(), on ? "folded" : "open"));
    }

    /** How the shop shows itself on paper, with its mark from beside the book. */
    public ShopCard card() {
        return ShopCard.read(Map.of(ShopHabits.NAME, shopName, ShopHabits.PAPER, paper.css()), home);
    }

    /** Changes how the shop shows itself, for every job. */
    public void card(String name, ShopCard.Paper size) {
        shopName = name;
        paper = size;
        keep(Map.of(ShopHabits.NAME, name, ShopHabits.PAPER, size.css()));
    }

    /** Whether the tour was seen, or skipped. */
    public boolean toured() {
        return toured;
    }

    /** The tour was seen, or skipped. */
    public void tour() {
        toured = true;
        host.keep(Map.of("tour", "seen"));
    }

    /** How large words are, percent of the usual. */
    public int textSize() {
        return textSize;
    }

    /** The next larger or smaller size there is; the same at either end. */
    public void textSize(boolean larger) {
        int at = SIZES.indexOf(textSize) + (larger ? 1 : -1);
        textSize = SIZES.get(Math.clamp(at, 0, SIZES.size() - 1));
        keep(Map.of("text", String.valueOf(textSize)));
    }

    /** Habits of the shop, as of today. */
    public Shop shop() {
        return shop.on(host.today());
    }

    /** Short form of what jobs are judged by, to tell one from another. */
    String mark() {
        return mark;
    }

    /** Changes what the shop holds with, for every job. */
    public void shop(Shop habits) {
        shop = habits;
        mark = ShopHabits.mark(habits);
        host.keep(ShopHabits.written(habits));
        host.judgeBy(habits);
        host.changed();
    }
}
