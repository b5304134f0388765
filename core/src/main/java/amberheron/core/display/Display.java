package amberheron.core.display;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The display as it is connected, and what it was told. Everything not yet known is null.
 *
 * @param pickUp where the engine-speed pulses are taken
 * @param teeth that pass in a turn, missing ones left out, 1 to 400
 * @param twoStroke whether every cylinder fires in every turn
 * @param knowsLoad whether it, or the ECU that sounds the alarm, knows throttle or pressure
 * @param dimmer what its dimmer wire goes to
 * @param told what it was told, mixtures as lambda, times in seconds
 */
public record Display(@Nullable PickUp pickUp, @Nullable Integer teeth, boolean twoStroke, @Nullable Boolean knowsLoad,
        @Nullable Dimmer dimmer, Map<DisplaySetting, Double> told) {
    /** A display of which nothing is known. */
    public static final Display UNTOLD = new Display(null, null, false, null, null, Map.of());

    /** Where the dimmer wire goes. */
    public enum Dimmer {
        LAMPS("the instrument lamps"),
        GROUND("ground, not used"),
        NO_WIRE("it has none");

        private final String words;

        Dimmer(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    public Display {
        if (teeth != null && (teeth < 1 || teeth > 400)) {
            throw new Unusable(say("teeth: found %d, expected 1 to 400", teeth));
        }
        Map<DisplaySetting, Double> copy = new EnumMap<>(DisplaySetting.class);
        copy.putAll(told);
        copy.forEach((what, value) -> Sane.TOLD.check("told." + what.key(), value));
        told = Collections.unmodifiableMap(copy);
    }

    public Display withPickUp(@Nullable PickUp value) {
        return new Display(value, teeth, twoStroke, knowsLoad, dimmer, told);
    }

    public Display withTeeth(@Nullable Integer value) {
        return new Display(pickUp, value, twoStroke, knowsLoad, dimmer, told);
    }

    public Display withTwoStroke(boolean value) {
        return new Display(pickUp, teeth, value, knowsLoad, dimmer, told);
    }

    public Display withKnowsLoad(@Nullable Boolean value) {
        return new Display(pickUp, teeth, twoStroke, value, dimmer, told);
    }

    public Display withDimmer(@Nullable Dimmer value) {
        return new Display(pickUp, teeth, twoStroke, knowsLoad, value, told);
    }

    /** Returns the display with a number noted as entered; null clears the note. */
    public Display withTold(DisplaySetting what, @Nullable Double value) {
        Map<DisplaySetting, Double> more = new EnumMap<>(DisplaySetting.class);
        more.putAll(told);
        if (value == null) {
            more.remove(what);
        } else {
            more.put(what, value);
        }
        return new Display(pickUp, teeth, twoStroke, knowsLoad, dimmer, more);
    }
}
