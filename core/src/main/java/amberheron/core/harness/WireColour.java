package amberheron.core.harness;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Colour of a wire's insulation. Written in words and in the letters of IEC 60757, never shown by a coloured patch alone.
 *
 * @param base the main colour
 * @param stripe the thinner one; null without a stripe
 */
public record WireColour(Hue base, @Nullable Hue stripe) {
    /** A colour that has a name. Letters after IEC 60757; light colours have none there. */
    public enum Hue {
        BLACK("black", "BK"),
        BROWN("brown", "BN"),
        RED("red", "RD"),
        ORANGE("orange", "OG"),
        YELLOW("yellow", "YE"),
        GREEN("green", "GN"),
        BLUE("blue", "BU"),
        VIOLET("violet", "VT"),
        GREY("grey", "GY"),
        WHITE("white", "WH"),
        PINK("pink", "PK"),
        TURQUOISE("turquoise", "TQ");

        private final String words;
        private final String letters;

        Hue(String words, String letters) {
            this.words = words;
            this.letters = letters;
        }

        /** The word that files know it by, the same in every language. */
        public String key() {
            return words;
        }

        /** The colour's name. */
        public String words() {
            return word(words);
        }

        /** Its two letters. */
        public String letters() {
            return letters;
        }

        private static Optional<Hue> named(String text) {
            String wanted = switch (text) {
                case "purple" -> "violet";
                case "gray" -> "grey";
                default -> text;
            };
            return Arrays.stream(values())
                    .filter(h -> h.words.equals(wanted) || h.words().equals(wanted)
                            || h.letters.toLowerCase(Locale.ROOT).equals(wanted))
                    .findFirst();
        }
    }

    /** A wire of one colour. */
    public static WireColour of(Hue base) {
        return new WireColour(base, null);
    }

    /** The names a colour can be given by, for a message. */
    public static String expected() {
        return Arrays.stream(Hue.values()).map(Hue::words).collect(Collectors.joining(", ",
                say("a colour, or two with a stroke between them such as white/black: "), ""));
    }

    /** Reads what people write: {@code white}, {@code white/black}, {@code WH/BK}, {@code white with black stripe}. */
    public static Optional<WireColour> parse(String text) {
        List<String> parts = Arrays
                .stream(text.strip().toLowerCase(Locale.ROOT).replaceAll("\\bwith\\b", "/")
                        .replaceAll("\\bstripe\\b", "").split("[/\\-]", -1))
                .map(String::strip).toList();
        List<Hue> hues = parts.stream().flatMap(p -> Hue.named(p).stream()).toList();
        if (hues.size() != parts.size() || hues.size() > 2) {
            return Optional.empty();
        }
        return Optional.of(new WireColour(hues.getFirst(), hues.size() == 2 ? hues.getLast() : null));
    }

    /** Returns the colour as files write it, the same in every language: {@code white/black}. */
    public String key() {
        return stripe == null ? base.key() : base.key() + "/" + stripe.key();
    }

    /** Returns the colour in words: {@code white/black}. */
    public String words() {
        return stripe == null ? base.words() : base.words() + "/" + stripe.words();
    }

    /** Returns the colour in letters: {@code WH/BK}. */
    public String letters() {
        return stripe == null ? base.letters() : base.letters() + "/" + stripe.letters();
    }
}
