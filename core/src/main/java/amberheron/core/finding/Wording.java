package amberheron.core.finding;

import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.units.UnitChoice;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The way sentences are put to a person: in which units, and with which ratio AFR is meant.
 *
 * @param stoich the ratio that AFR is shown with
 */
public record Wording(UnitChoice units, double stoich) {
    /** Metric, λ. */
    public static final Wording METRIC = new Wording(UnitChoice.METRIC, 14.7);

    private static final Pattern PLACE = Pattern.compile("\\{(\\d+)}");

    /** The sentence as it is read. */
    public String text(Message message) {
        String pattern = Phrase.word(message.pattern());
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
