package amberheron.app.parts;

import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.function.BiPredicate;
import java.util.function.LongSupplier;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** Finds one of several names by what is typed: letters that follow one another within a second are one word. */
final class TypedWord {
    private static final long PAUSE = 1_000_000_000L;

    private final LongSupplier nanos;
    private String word = "";
    private long last;

    /** A word that is typed by a clock of nanoseconds. */
    TypedWord(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** Begins a word that also ends with any key that types no letter, such as Enter or an arrow. */
    static TypedWord on(Node node) {
        TypedWord word = new TypedWord(System::nanoTime);
        node.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getText().isEmpty() || Character.isISOControl(e.getText().charAt(0))) {
                word.forget();
            }
        });
        return word;
    }

    /** Begins anew with the next letter. */
    void forget() {
        word = "";
    }

    /** What was typed so far. */
    String word() {
        return word;
    }

    /**
     * Takes one more character: the first name that begins with the whole word, else the first in which any word does. One
     * letter, typed once or again and again, goes on from one such name to the next.
     *
     * @param at place of the name that is looked at; −1 for none
     * @return empty where no name has it
     */
    OptionalInt typed(String character, List<String> names, int at) {
        if (character.isEmpty() || Character.isISOControl(character.charAt(0))
                || (character.isBlank() && word.isEmpty())) {
            return OptionalInt.empty();
        }
        long now = nanos.getAsLong();
        word = (now - last > PAUSE ? "" : word) + character.toLowerCase(Locale.ROOT);
        last = now;
        OptionalInt whole = word.length() > 1 ? find(word, names, Math.max(at, 0)) : OptionalInt.empty();
        boolean again = word.chars().distinct().count() == 1;
        return whole.isPresent() || !again ? whole : find(word.substring(0, 1), names, at + 1);
    }

    private static OptionalInt find(String typed, List<String> names, int from) {
        OptionalInt first = find(names, from, typed, String::startsWith);
        return first.isPresent()
                ? first
                : find(names, from, typed,
                        (name, t) -> name.matches("(?s).*[^\\p{L}\\p{N}]" + Pattern.quote(t) + ".*"));
    }

    private static OptionalInt find(List<String> names, int from, String typed, BiPredicate<String, String> fits) {
        return IntStream.range(0, names.size()).map(i -> (from + i) % names.size())
                .filter(i -> fits.test(names.get(i).toLowerCase(Locale.ROOT), typed)).findFirst();
    }
}
