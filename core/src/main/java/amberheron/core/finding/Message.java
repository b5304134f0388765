package amberheron.core.finding;

import amberheron.core.units.Measure;
import java.util.List;

/**
 * A sentence for a person: an English pattern with typed values, rendered once, at the edge, in the units and the language
 * at hand ({@link Wording}). The pattern stands beside the rule that it explains and is the key of its translation.
 *
 * @param pattern words with {@code {0}}, {@code {1}} … where the values go
 * @param values each a {@link Measure}, another message, a name as a person entered it ({@link String}), or a whole number
 */
public record Message(String pattern, List<Object> values) {
    /** A message without words. */
    public static final Message NONE = new Message("", List.of());

    public Message {
        values = List.copyOf(values);
        for (int i = 0; i < values.size(); i++) {
            Object value = values.get(i);
            if (!(value instanceof Measure || value instanceof Message || value instanceof String
                    || value instanceof Integer)) {
                throw new IllegalArgumentException("a message has no such value: " + value);
            }
            if (!pattern.contains("{" + i + "}")) {
                throw new IllegalArgumentException("no place for value " + i + " in: " + pattern);
            }
        }
    }

    /** Makes a sentence with its values. */
    public static Message of(String pattern, Object... values) {
        return new Message(pattern, List.of(values));
    }

    /** Makes a message of words without values; braces in it are plain characters. */
    public static Message plain(String words) {
        return words.isEmpty() ? NONE : new Message(words, List.of());
    }

    /** Joins several sentences or names. */
    public static Message joined(String between, List<Message> parts) {
        StringBuilder pattern = new StringBuilder();
        for (int i = 0; i < parts.size(); i++) {
            pattern.append(i == 0 ? "" : between).append('{').append(i).append('}');
        }
        return new Message(pattern.toString(), List.copyOf(parts));
    }

    /** Returns whether it has no words. */
    public boolean isEmpty() {
        return pattern.isEmpty();
    }

    /** Returns the sentence in metric units and English, for logs and scripts. */
    public String metric() {
        return Wording.METRIC.text(this);
    }

    @Override
    public String toString() {
        return metric();
    }
}
