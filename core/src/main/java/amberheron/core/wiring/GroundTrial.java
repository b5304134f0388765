package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Sane;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How the shift is measured where it arises: volts between the controller's signal ground and the reader's, one load
 * after the other switched on, each left on. What a load adds, over its current, is the resistance it shares with the
 * signal.
 *
 * @param volts by what is on; a state that was not read is absent
 * @param lamps current of the lamps, A; null when not known
 * @param fan current of the fan, A; null when not known
 */
public record GroundTrial(Map<On, Double> volts, @Nullable Double lamps, @Nullable Double fan) {
    /** Nothing read. */
    public static final GroundTrial NONE = new GroundTrial(Map.of(), null, null);

    /** Loads switched on, engine off; each keeps those that were on before it. */
    public enum On {
        NOTHING("nothing", "all off"),
        HEATER("heater", "heater on"),
        LAMPS("lamps", "lamps too"),
        FAN("fan", "fan too");

        private final String key;
        private final String words;

        On(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** Key in the address of its reading. */
        public String key() {
            return key;
        }

        /** The words for it. */
        public String words() {
            return word(words);
        }
    }

    public GroundTrial {
        Sane.CURRENT.check("lamps", lamps);
        Sane.CURRENT.check("fan", fan);
        EnumMap<On, Double> kept = new EnumMap<>(On.class);
        volts.forEach((on, v) -> {
            Sane.SUPPLY.check("trial", v);
            kept.put(on, Objects.requireNonNull(v));
        });
        volts = Collections.unmodifiableMap(kept);
    }

    /** Returns the reading with so much switched on; empty until it was read. */
    public Optional<Double> at(On on) {
        return Optional.ofNullable(volts.get(on));
    }

    /**
     * Resistance that the heater's current shares with the signal, Ω: wire and joints, and the strap where that school
     * goes through it.
     *
     * @param heater mean current, A; null when not known
     */
    public Optional<Double> heaterOhms(@Nullable Double heater) {
        return heater == null || heater <= 0
                ? Optional.empty()
                : rise(On.NOTHING, On.HEATER).map(v -> v / heater);
    }

    /** Resistance that the other loads share with the signal, Ω, by least squares over lamps and fan: the strap. */
    public Optional<Double> loadOhms() {
        double[] sums = Stream.of(added(On.HEATER, On.LAMPS, lamps), added(On.LAMPS, On.FAN, fan))
                .flatMap(Optional::stream)
                .reduce(new double[2], (a, b) -> new double[]{a[0] + b[0] * b[1], a[1] + b[1] * b[1]});
        return sums[1] > 0 ? Optional.of(sums[0] / sums[1]) : Optional.empty();
    }

    /** Volts and amperes that a load adds. */
    private Optional<double[]> added(On before, On after, @Nullable Double amperes) {
        return amperes == null ? Optional.empty() : rise(before, after).map(v -> new double[]{v, amperes});
    }

    private Optional<Double> rise(On before, On after) {
        return at(before).flatMap(b -> at(after).map(a -> a - b));
    }

    /** Keeps a reading, or forgets it when null. */
    public GroundTrial with(On on, @Nullable Double value) {
        EnumMap<On, Double> more = new EnumMap<>(On.class);
        more.putAll(volts);
        if (value == null) {
            more.remove(on);
        } else {
            more.put(on, value);
        }
        return new GroundTrial(more, lamps, fan);
    }

    public GroundTrial withLamps(@Nullable Double value) {
        return new GroundTrial(volts, value, fan);
    }

    public GroundTrial withFan(@Nullable Double value) {
        return new GroundTrial(volts, lamps, value);
    }
}
