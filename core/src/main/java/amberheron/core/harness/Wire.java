package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * A line of the conductor chart: a wire from the end it is known by to where it goes.
 *
 * @param id by which it is found wherever it stands and whatever its tag
 * @param tag what is written on the tag at both ends, unique in the chart
 * @param work what it is for; null until known
 * @param from what it comes out of
 * @param fromPin pin there; empty when it has none
 * @param colour there; null until seen
 * @param extension its colour in the extension; null where it does not go through one
 * @param to what it goes to; null for a wire that is not used
 * @param toPin pin there
 * @param toColour colour of the vehicle's or reader's wire it joins; null when there is none
 * @param toldApart whether a meter showed by continuity which wire it is
 * @param left how an unused wire is left; null until said
 * @param ohms end to end as measured, Ω; null until measured
 */
public record Wire(String id, String tag, @Nullable Work work, Device from, String fromPin, @Nullable WireColour colour,
        @Nullable WireColour extension, @Nullable Device to, String toPin, @Nullable WireColour toColour,
        boolean toldApart, @Nullable Left left, @Nullable Double ohms) {
    public Wire {
        Sane.RESISTANCE.check("ohms", ohms);
    }

    /** Ways in which an unused wire is left. */
    public enum Left {
        TAPED("taped and bundled"),
        GROUNDED("to ground"),
        CUT("cut off");

        private final String words;

        Left(String words) {
            this.words = words;
        }

        /** The word that files know it by, the same in every language. */
        public String key() {
            return words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Makes a wire of which only the tag is known, which serves as its id too. */
    public static Wire tagged(String tag) {
        return new Wire(tag, tag, null, Device.CONTROLLER, "", null, null, null, "", null, false, null, null);
    }

    /** A wire between two ends. */
    public static Wire of(String tag, Work work, Device from, @Nullable Device to) {
        return tagged(tag).withWork(work).withFrom(from).withTo(to);
    }

    /** Whether it goes anywhere. */
    public boolean used() {
        return to != null;
    }

    public Wire withId(String value) {
        return new Wire(value, tag, work, from, fromPin, colour, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withTag(String value) {
        return new Wire(id, value, work, from, fromPin, colour, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withWork(@Nullable Work value) {
        return new Wire(id, tag, value, from, fromPin, colour, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withFrom(Device value) {
        return new Wire(id, tag, work, value, fromPin, colour, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withFromPin(String value) {
        return new Wire(id, tag, work, from, value, colour, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withColour(@Nullable WireColour value) {
        return new Wire(id, tag, work, from, fromPin, value, extension, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withExtension(@Nullable WireColour value) {
        return new Wire(id, tag, work, from, fromPin, colour, value, to, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withTo(@Nullable Device value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, value, toPin, toColour, toldApart, left, ohms);
    }

    public Wire withToPin(String value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, to, value, toColour, toldApart, left, ohms);
    }

    public Wire withToColour(@Nullable WireColour value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, to, toPin, value, toldApart, left, ohms);
    }

    public Wire withToldApart(boolean value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, to, toPin, toColour, value, left, ohms);
    }

    public Wire withLeft(@Nullable Left value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, to, toPin, toColour, toldApart, value, ohms);
    }

    public Wire withOhms(@Nullable Double value) {
        return new Wire(id, tag, work, from, fromPin, colour, extension, to, toPin, toColour, toldApart, left, value);
    }
}
