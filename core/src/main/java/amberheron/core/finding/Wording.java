package amberheron.core.finding;

import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How sentences are put to a person: in which units, with which ratio AFR is meant, in which language.
 *
 * @param stoich the ratio that AFR is shown with
 * @param translation patterns by their English; what is not in it stays English
 */
public record Wording(UnitChoice units, double stoich, Map<String, String> translation) {
    /** Metric, λ, English. */
    public static final Wording METRIC = new Wording(UnitChoice.METRIC, 14.7, Map.of());

    private static final Pattern PLACE = Pattern.compile("\\{(\\d+)}");

    public Wording {
        translation = Map.copyOf(translation);
    }

    /** English in these units. */
    public static Wording of(UnitChoice units, double stoich) {
        return new Wording(units, stoich, Map.of());
    }

    /** The sentence as it is read. */
    public String text(Message message) {
        String pattern = translation.getOrDefault(message.pattern(), message.pattern());
        if (message.values().isEmpty()) {
            return pattern;
        }
        StringBuilder out = new StringBuilder();
        Matcher place = PLACE.matcher(pattern);
        while (place.find()) {
            int index = Integer.parseInt(place.group(1));
            String value = index < message.values().size() ? value(message.values().get(index)) : place.group();
            place.appendReplacement(out, Matcher.quoteReplacement(value));
        }
        return place.appendTail(out).toString();
    }

    private String value(Object value) {
        return switch (value) {
            case Measure measure -> units.text(measure, stoich);
            case Message message -> text(message);
            default -> String.valueOf(value);
        };
    }
}
