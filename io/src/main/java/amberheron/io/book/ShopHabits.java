package amberheron.io.book;

import amberheron.core.job.Shop;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.TiltSchool;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.trim.TrimPlan;
import amberheron.io.TextFiles;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** The shop's habits as kept in its book; a value that is not understood counts as ours. */
public final class ShopHabits {
    private static final String TILT = "school.tilt";
    private static final String CATALYST = "school.catalyst";
    private static final String BANK = "school.bank";
    /** Kept as {@code yes} in the book of the shop that does not exist. */
    public static final String DEMO = "demo";
    /** The shop's name on paper. */
    public static final String NAME = "shop.name";
    /** The size of paper that the shop prints on. */
    public static final String PAPER = "paper.size";
    /** Identity of the book. */
    static final String BOOK = "book";
    private static final String MONTHS = "recalibrate.months";
    private static final String MOST_TRIM = "trims.most";
    /** Edition of the rules; the next one whenever they judge otherwise, so that every job is judged anew. */
    private static final int RULES = 3;

    private ShopHabits() {
    }

    /** Returns whether all bays share what is kept under a name; else it belongs to this bay. */
    static boolean isOfShop(String name) {
        return name.startsWith("school.") || Set.of(MONTHS, MOST_TRIM, DEMO, BOOK, NAME, PAPER).contains(name);
    }

    /** The habits kept under these names. */
    public static Shop read(Map<String, String> kept, List<OutputLaw> laws) {
        PlaceSchools ours = PlaceSchools.OURS;
        String months = kept.getOrDefault(MONTHS, "");
        String percent = kept.getOrDefault(MOST_TRIM, "");
        return new Shop(laws,
                new PlaceSchools(one(TiltSchool.values(), kept.get(TILT), ours.tilt()),
                        one(CatalystSchool.values(), kept.get(CATALYST), ours.catalyst()),
                        one(BankSchool.values(), kept.get(BANK), ours.bank())),
                percent.matches("[1-9]\\d?")
                        ? Math.min(TrimPlan.MOST, Integer.parseInt(percent) / 100.0)
                        : Shop.USUAL_TRIM,
                months.matches("[1-9]\\d?") ? Integer.parseInt(months) : Shop.USUAL_MONTHS,
                "yes".equals(kept.get(DEMO)), null);
    }

    /** Names and values to keep them under. */
    public static Map<String, String> written(Shop shop) {
        return Map.of(TILT, shop.schools().tilt().name(), CATALYST, shop.schools().catalyst().name(), BANK,
                shop.schools().bank().name(), MONTHS, String.valueOf(shop.recalibrateMonths()), MOST_TRIM,
                String.valueOf(Math.round(100 * shop.mostTrim())));
    }

    /** Lists everything that a job is judged by, except the laws. */
    public static Map<String, String> all(Shop shop) {
        Map<String, String> all = new TreeMap<>(written(shop));
        all.put(DEMO, shop.demo() ? "yes" : "no");
        return all;
    }

    /** Returns a short mark of everything that a job is judged by; other habits or laws give another mark. */
    public static String mark(Shop shop) {
        return TextFiles.digest(
                (RULES + " " + written(shop).entrySet().stream().sorted(Map.Entry.comparingByKey()).toList() + " "
                        + shop.demo() + " "
                        + shop.laws()).getBytes(StandardCharsets.UTF_8))
                .substring(0, 16);
    }

    private static <E extends Enum<E>> E one(E[] values, @Nullable String name, E otherwise) {
        return Arrays.stream(values).filter(v -> v.name().equals(name)).findFirst().orElse(otherwise);
    }
}
