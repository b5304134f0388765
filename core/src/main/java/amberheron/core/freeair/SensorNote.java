package amberheron.core.freeair;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Unusable;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/**
 * Something noted in the life of a sensor.
 *
 * @param value in the kind's own unit; what counts up, such as hours, is what it has come to by that day
 * @param job number of the job it was noted in; may be empty
 */
public record SensorNote(LocalDate date, Kind kind, double value, String job) {
    /** Kinds of notes. */
    public enum Kind {
        /** Free-air reading as found, before it is calibrated again, over what it should be: 1 for a new sensor. */
        GAIN("gain", "free-air gain as found, of new", 0.05, 2),
        /** Time until two thirds of a change are shown, s. */
        RESPONSE("response", "response time, s", 0.001, 60),
        /** Hours run so far. */
        HOURS("hours", "hours run so far", 0, 100_000),
        /** Cold starts so far. */
        COLD_STARTS("cold-starts", "cold starts so far", 0, 1_000_000),
        /** Tanks of leaded fuel so far. */
        LEADED("leaded", "tanks of leaded fuel so far", 0, 100_000),
        /** Days on which it burned oil so far. */
        OILY("oily", "days with oil in the exhaust so far", 0, 100_000),
        /** Times the key was on, cold, without a start, so far. */
        KEY_ON("key-on", "times key on without a start so far", 0, 1_000_000),
        /** Times water hit it hot, or it fell, so far. */
        SHOCK("shock", "times water or a blow hit it so far", 0, 10_000),
        /** A new sensor under the same number, from that day on; counts begin again. */
        RENEWED("renewed", "a new sensor from this day on", 1, 1),
        /** Times it was calibrated in free air so far, as the coach recorded it. */
        CALIBRATED("calibrated", "times calibrated so far", 1, 10_000);

        private final String key;
        private final String words;
        private final double min;
        private final double max;

        Kind(String key, String words, double min, double max) {
            this.key = key;
            this.words = words;
            this.min = min;
            this.max = max;
        }

        /** The kind of a word in files; empty for one that is none. */
        public static Optional<Kind> of(String key) {
            return Arrays.stream(values()).filter(k -> k.key.equals(key)).findFirst();
        }

        /** The word in files. */
        public String key() {
            return key;
        }

        /** Name with its unit. */
        public String words() {
            return word(words);
        }

        /** The least that can be meant. */
        public double min() {
            return min;
        }

        /** The most that can be meant. */
        public double max() {
            return max;
        }
    }

    public SensorNote {
        if (!(value >= kind.min && value <= kind.max)) {
            throw new Unusable(
                    say("%s: found %s, expected %s to %s", kind.key, value, kind.min, kind.max));
        }
    }
}
