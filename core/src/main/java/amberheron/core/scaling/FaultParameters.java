package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * A fault in figures: those that were fitted to the check points, and those that belong to it without fitting.
 *
 * @param values the figures, in the order of their names; only those that this fault has
 * @param law id of the catalogue's law that the controller seems to follow; null where the fault is no law of the catalogue
 * @param slip how the law's equation was mistyped; null where the fault is no such slip
 * @param whileRunning whether the fault is there only while the engine runs
 */
public record FaultParameters(Map<Name, Double> values, @Nullable String law, @Nullable Slip slip,
        boolean whileRunning) {
    /** A fault without figures. */
    static final FaultParameters NONE = new FaultParameters(Map.of(), null, null, false);

    public FaultParameters {
        Map<Name, Double> sorted = new EnumMap<>(Name.class);
        sorted.putAll(values);
        values = Collections.unmodifiableMap(sorted);
    }

    /** Ways to mistype the right equation that people fall into more often than others; common practice, no published source. */
    public enum Slip {
        /** {@code m·(v + c)} typed as {@code m·v + c}. */
        BRACKETS_LEFT_OUT("brackets-left-out", "brackets left out of its equation"),
        /** {@code m·v + b} typed as {@code m·(v + b)}. */
        OFFSET_FIRST("offset-first", "offset added before the product");

        private final String key;
        private final String words;

        Slip(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** Its name in what is written for other programs. */
        public String key() {
            return key;
        }

        /** A few words behind the fault's title. */
        public String words() {
            return word(words);
        }
    }

    /** What a figure of a fault tells. */
    public enum Name {
        /** Sharpness of a switching output about λ 1, λ. */
        WIDTH("width"),
        /** The supply that the wire is pulled towards, V. */
        TOWARDS_VOLTS("towardsVolts"),
        /** Slope of another law, λ per volt. */
        SLOPE("slope"),
        /** What another law means at 0 V, λ. */
        OFFSET("offset"),
        /** The ratio that AFR was counted with. */
        STOICH("stoich"),
        /** What the reader shows whatever the mixture, in the reader's quantity. */
        SHOWN("shown"),
        /** A switching output on the rich side, V. */
        RICH_VOLTS("richVolts"),
        /** A switching output on the lean side, V. */
        LEAN_VOLTS("leanVolts"),
        /** How far the wire is pulled towards the supply, 0 to 1. */
        FRACTION("fraction"),
        /** What is added on the way, V. */
        VOLTS("volts"),
        /** Part of the volts that arrives. */
        FACTOR("factor"),
        /** The most that arrives, V. */
        MAX_VOLTS("maxVolts"),
        /** Where another law has its bend, V. */
        BEND_VOLTS("bendVolts"),
        /** How far the bend lies off the straight line from end to end, λ. */
        BEND("bend");

        private final String key;

        Name(String key) {
            this.key = key;
        }

        /** Its name in what is written for other programs. */
        public String key() {
            return key;
        }
    }

    static FaultParameters of(Name name, double value) {
        return new FaultParameters(Map.of(name, value), null, null, false);
    }

    /** The same with a figure that was fitted. */
    FaultParameters with(Name name, double value) {
        Map<Name, Double> more = new EnumMap<>(Name.class);
        more.putAll(values);
        more.put(name, value);
        return new FaultParameters(more, law, slip, whileRunning);
    }

    /** The same with the figures of another fault beside it. */
    FaultParameters and(FaultParameters other) {
        FaultParameters both = this;
        for (Map.Entry<Name, Double> figure : other.values.entrySet()) {
            both = both.with(figure.getKey(), figure.getValue());
        }
        return both;
    }

    /** A figure; empty where this fault has none of that name. */
    public OptionalDouble value(Name name) {
        Double value = values.get(name);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** The same in a few words that go behind the fault's title; empty where there is nothing to say. */
    public String words() {
        List<String> words = new ArrayList<>();
        if (law != null) {
            words.add(": " + law);
        }
        if (whileRunning) {
            words.add(say(" while it runs"));
        }
        values.forEach((name, value) -> words.add(parameter(name, value)));
        return String.join(",", words.stream().filter(w -> !w.isEmpty()).toList());
    }

    private static String parameter(Name name, double value) {
        return switch (name) {
            case VOLTS -> (value > 0 ? " +" : " ") + UnitChoice.digits(1000 * value, 0) + " mV";
            case FACTOR -> say(" × %.3f", value);
            case STOICH -> say(" %.2f", value);
            case MAX_VOLTS -> say(" above %.2f V", value);
            case FRACTION -> say(" %.1f %%", 100 * value);
            case TOWARDS_VOLTS -> say(" towards %.1f V", value);
            case SLOPE -> say(" %.3f λ per V", value);
            case OFFSET -> say(" from %.3f λ", value);
            case BEND_VOLTS -> say(" with a bend at %.1f V", value);
            case WIDTH, SHOWN, RICH_VOLTS, LEAN_VOLTS, BEND -> "";
        };
    }
}
