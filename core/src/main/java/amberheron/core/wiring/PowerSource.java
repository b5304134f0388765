package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.units.Sane;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A place the controller could take its power from, as the meter found it.
 *
 * @param id by which it is found wherever it stands
 * @param letter in the list; every source has one of its own
 * @param place where it is, in the installer's words
 * @param volts readings by state; a state that was not measured is absent
 * @param hostFuse rating of the circuit that is tapped, A; null when none is or it is not known
 * @param hostLoad what that circuit feeds already, A; null when not known
 */
public record PowerSource(String id, String letter, String place, Map<KeyState, Reading> volts,
        @Nullable Double hostFuse, @Nullable Double hostLoad) {
    /**
     * A meter's reading.
     *
     * @param volts as read, V
     */
    public record Reading(double volts, Origin origin) {
        public Reading {
            Sane.SUPPLY.check("volts", volts);
        }
    }

    /** At or below this a source is dead, V: a meter's noise and leakage stay under it. */
    public static final double DEAD = 0.5;
    /** Below this with the key on a source is weak, V. */
    public static final double WEAK = 11.0;
    /** Below this with the engine running a source is weak: the alternator does not reach it, V. */
    public static final double WEAK_RUNNING = 12.8;
    /** Below this while cranking the controller's supply is as good as lost, V. */
    public static final double CRANKING = 6.0;
    /** Below this a relay's coil lets go, V; from memory: about a third of what it is made for. */
    public static final double COIL = 4.0;
    /** Above this with the engine running a controller made for 12 V is destroyed, V; common practice, no published source. */
    public static final double MOST = 15.5;
    /** Above this with the engine standing the battery is on a charger, or was a moment ago, V; from memory. */
    public static final double STANDING = 13.5;
    /** More change than this when another load comes on is a disturbance, V. */
    public static final double DISTURBED = 0.5;

    /** How a source behaves. */
    public enum Behaviour {
        SWITCHED("live with the key only"),
        ACCESSORY_TOO("live in accessory too"),
        TOO_MUCH("too many volts"),
        CONSTANT("live all the time"),
        LOST_WHILE_CRANKING("lost while cranking"),
        SAGS_WHILE_CRANKING("weak while cranking"),
        DISTURBED("disturbed by another load"),
        WEAK("weak"),
        DEAD("dead"),
        NOT_MEASURED("not measured");

        private final String words;

        Behaviour(String words) {
            this.words = words;
        }

        /** The words for it. */
        public String words() {
            return word(words);
        }
    }

    public PowerSource {
        Sane.CURRENT.check("hostFuse", hostFuse);
        Sane.CURRENT.check("hostLoad", hostLoad);
        EnumMap<KeyState, Reading> kept = new EnumMap<>(KeyState.class);
        volts.forEach((state, value) -> kept.put(state, Objects.requireNonNull(value)));
        volts = Collections.unmodifiableMap(kept);
    }

    /** A source of which only the letter is known, which serves as its id too. */
    public static PowerSource named(String letter) {
        return new PowerSource(letter, letter, "", Map.of(), null, null);
    }

    /** The reading in a state. */
    public Optional<Double> at(KeyState state) {
        return Optional.ofNullable(volts.get(state)).map(Reading::volts);
    }

    /** Question to ask before a reading is kept beside the others; empty where nothing speaks against it. */
    public Optional<Message> question(KeyState state, double read, Electrics system) {
        return SourceDoubt.question(this, state, read, system);
    }

    /** Consequence of so few volts while cranking; empty where the controller stays on. */
    static Optional<Behaviour> cranked(double volts, Electrics system) {
        return volts < COIL * system.part()
                ? Optional.of(Behaviour.LOST_WHILE_CRANKING)
                : volts < CRANKING * system.part() ? Optional.of(Behaviour.SAGS_WHILE_CRANKING) : Optional.empty();
    }

    /** The states that still have to be measured. */
    public List<KeyState> missing(Electrics system) {
        return system.asked().filter(s -> !volts.containsKey(s)).toList();
    }

    /**
     * Behaviour that the readings show, the gravest first. A bad one is said as soon as one reading shows it; that all is well
     * only when every state was measured.
     */
    public Behaviour behaviour(Electrics system) {
        double part = system.part();
        if (volts.values().stream().anyMatch(r -> r.volts() > MOST * part)) {
            return Behaviour.TOO_MUCH;
        }
        if (at(KeyState.OFF).filter(v -> v > DEAD).isPresent()) {
            return Behaviour.CONSTANT;
        }
        if (at(KeyState.ON).filter(v -> v <= DEAD).isPresent()) {
            return Behaviour.DEAD;
        }
        Optional<Behaviour> cranked = at(KeyState.CRANKING).flatMap(v -> cranked(v, system));
        if (cranked.isPresent()) {
            return cranked.get();
        }
        if (at(KeyState.ON).filter(v -> v < WEAK * part).isPresent()
                || at(KeyState.RUNNING).filter(v -> v < WEAK_RUNNING * part).isPresent()) {
            return Behaviour.WEAK;
        }
        if (disturbance().filter(d -> d > DISTURBED * part).isPresent()) {
            return Behaviour.DISTURBED;
        }
        if (!missing(system).isEmpty()) {
            return Behaviour.NOT_MEASURED;
        }
        return at(KeyState.ACCESSORY).filter(v -> v > DEAD).isPresent()
                ? Behaviour.ACCESSORY_TOO
                : Behaviour.SWITCHED;
    }

    /** The most that lamps or indicators change it with the engine running, V; empty until that was measured. */
    public Optional<Double> disturbance() {
        return at(KeyState.RUNNING).flatMap(running -> Stream.of(KeyState.LAMPS, KeyState.INDICATORS)
                .flatMap(s -> at(s).stream()).map(v -> Math.abs(v - running)).max(Double::compare));
    }

    public PowerSource withId(String value) {
        return new PowerSource(value, letter, place, volts, hostFuse, hostLoad);
    }

    public PowerSource withLetter(String value) {
        return new PowerSource(id, value, place, volts, hostFuse, hostLoad);
    }

    public PowerSource withPlace(String value) {
        return new PowerSource(id, letter, value, volts, hostFuse, hostLoad);
    }

    /** Keeps a reading whose origin was not written down, or forgets it when null. */
    public PowerSource withVolts(KeyState state, @Nullable Double value) {
        return withReading(state, value, Origin.UNRECORDED);
    }

    /** Keeps a reading, or forgets it when null. */
    public PowerSource withReading(KeyState state, @Nullable Double value, Origin origin) {
        EnumMap<KeyState, Reading> more = new EnumMap<>(KeyState.class);
        more.putAll(volts);
        if (value == null) {
            more.remove(state);
        } else {
            more.put(state, new Reading(value, origin));
        }
        return new PowerSource(id, letter, place, more, hostFuse, hostLoad);
    }

    /** The same without what a stand-in made up. */
    public PowerSource real() {
        EnumMap<KeyState, Reading> less = new EnumMap<>(KeyState.class);
        volts.forEach((state, reading) -> {
            if (reading.origin().real()) {
                less.put(state, reading);
            }
        });
        return less.size() == volts.size() ? this : new PowerSource(id, letter, place, less, hostFuse, hostLoad);
    }

    public PowerSource withHostFuse(@Nullable Double value) {
        return new PowerSource(id, letter, place, volts, value, hostLoad);
    }

    public PowerSource withHostLoad(@Nullable Double value) {
        return new PowerSource(id, letter, place, volts, hostFuse, value);
    }
}
