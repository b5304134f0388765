package amberheron.core.plan;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Measure;
import com.google.errorprone.annotations.FormatMethod;
import com.google.errorprone.annotations.FormatString;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A step of the job.
 *
 * @param id which step it is
 * @param title what to do
 * @param after the steps it waits on
 * @param time what it takes
 * @param where it is done
 * @param items parts and tools to have ready
 * @param reason why it waits, or why it is done; may be empty
 * @param caution what can hurt; may be empty
 * @param engine whether the engine runs: nobody may be under the car meanwhile
 * @param span a figure to hold to while doing it; null when there is none
 */
public record Step(StepId id, String title, List<StepId> after, Time time, Where where, List<Item> items,
        String reason, String caution, boolean engine, @Nullable Span span) {
    /** A range between two measures of one dimension. */
    public record Span(Measure from, Measure to) {
    }

    /** Minutes: when all goes well, as a rule, when it fights back. Common practice, no published source. */
    public record Time(int low, int likely, int high) {
        public Time {
            if (!(0 < low && low <= likely && likely <= high)) {
                throw new IllegalArgumentException(say("times %d, %d, %d: expected rising", low, likely, high));
            }
        }

        /** Mean of the beta distribution people take for such a span, minutes: (low + 4·likely + high)/6. */
        public double mean() {
            return (low + 4.0 * likely + high) / 6;
        }
    }

    /** Where a step is done; the lift takes one step at a time. */
    public enum Where {
        UNDER("under the car"),
        BENCH("at the bench"),
        CABIN("in the car"),
        ROAD("on the road");

        private final String words;

        Where(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Its name in documents. */
    public String key() {
        return id.key();
    }

    /** Returns the step with other items to have ready. */
    Step withItems(List<Item> value) {
        return new Step(id, title, after, time, where, value, reason, caution, engine, span);
    }

    Step withAfter(List<StepId> value) {
        return new Step(id, title, value, time, where, items, reason, caution, engine, span);
    }

    /** Returns whether the step occupies the car: somebody is under it, or its engine runs. */
    boolean takesCar() {
        return where == Where.UNDER || engine;
    }

    /**
     * Something to have ready.
     *
     * @param name what it is, in English: jobs keep by it what lies ready
     * @param words the same, in the language at hand
     */
    public record Item(String name, String words, Kind kind) {
        /** Kind of item, to the shop. */
        public enum Kind {
            PART("part"),
            CONSUMABLE("consumable"),
            TOOL("tool");

            private final String words;

            Kind(String words) {
                this.words = words;
            }

            /** The trade's word. */
            public String words() {
                return word(words);
            }
        }

        /** An item whose name is words alone. */
        public Item(String name, Kind kind) {
            this(name, word(name), kind);
        }

        /** An item in whose name figures stand. */
        @FormatMethod
        public static Item of(Kind kind, @FormatString String pattern, Object... values) {
            return new Item(fixed(pattern, values), say(pattern, values), kind);
        }
    }

    public Step {
        after = List.copyOf(after);
        items = List.copyOf(items);
    }
}
