package amberheron.io.pack;

import static amberheron.core.units.Phrase.word;

import amberheron.core.job.Job;
import amberheron.io.book.Photos;
import amberheron.io.book.ShopHabits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How the shop shows itself on paper.
 *
 * @param name empty for none
 * @param home the folder of its book, with its mark and the photos of jobs, which need not be there; null for none
 * @param paper what is printed on
 */
public record ShopCard(String name, @Nullable Path home, Paper paper) {
    /** Nothing said. */
    public static final ShopCard NONE = new ShopCard("", null, Paper.A4);
    /** The file of the mark, beside the book. */
    public static final String MARK = "mark.png";
    private static final long MOST_BYTES = 1L << 20;
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G'};

    /** Sizes of paper. */
    public enum Paper {
        A4("A4", "A4"),
        LETTER("Letter", "letter");

        private final String words;
        private final String css;

        Paper(String words, String css) {
            this.words = words;
            this.css = css;
        }

        /** Its name. */
        public String words() {
            return word(words);
        }

        /** Name in a page's style. */
        public String css() {
            return css;
        }
    }

    /**
     * As the shop's habits have it.
     *
     * @param habits as kept in the book
     * @param home the folder of the book; a PNG of at most 1 MB called {@link #MARK} there is the mark
     */
    public static ShopCard read(Map<String, String> habits, Path home) {
        return new ShopCard(habits.getOrDefault(ShopHabits.NAME, ""), home,
                "letter".equals(habits.get(ShopHabits.PAPER)) ? Paper.LETTER : Paper.A4);
    }

    /** Its mark as an image in a page, {@code data:image/png;base64,…}; empty where there is none that can be used. */
    public String image() {
        try {
            Path mark = home == null ? null : home.resolve(MARK);
            if (mark == null || !Files.isRegularFile(mark) || Files.size(mark) > MOST_BYTES) {
                return "";
            }
            byte[] bytes = Files.readAllBytes(mark);
            return Arrays.mismatch(bytes, PNG) == PNG.length
                    ? "data:image/png;base64," + Base64.getEncoder().encodeToString(bytes)
                    : "";
        } catch (IOException e) {
            // A sheet without its mark is still a sheet.
            return "";
        }
    }

    /** The public part of the key that the shop signs its packs with; empty where it has none. */
    public String key() {
        return signing().map(ShopKey::shown).orElse("");
    }

    /**
     * The key that the shop signs its packs with.
     *
     * @throws amberheron.io.UnusableInput when it has one that cannot be used
     */
    Optional<ShopKey> signing() {
        return home == null ? Optional.empty() : ShopKey.in(home);
    }

    /** The photos of a job that stand on its sheets. */
    Album album(Job job) {
        return new Album(home == null ? null : Photos.folder(home, job));
    }
}
