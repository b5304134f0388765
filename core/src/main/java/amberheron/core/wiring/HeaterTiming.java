package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.Estimate;
import amberheron.core.placement.PlaceField;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.units.Sane;
import amberheron.core.units.Unit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * When the heater gets its power after a cold start.
 *
 * @param school the way taken; null until one is
 * @param delay after the start, s; null for the usual. Without meaning where the heater comes on with the ignition
 */
public record HeaterTiming(@Nullable HeaterSchool school, @Nullable Double delay) {
    public HeaterTiming {
        Sane.TIME.check("delay", delay);
    }

    /** Nothing decided. */
    public static final HeaterTiming OPEN = new HeaterTiming(null, null);
    /** The usual delay, s. */
    public static final double USUAL_DELAY = 30;

    /** Until the ceramic is hot enough for a drop to crack it, s from power. */
    static final double WARM_UP = 15;
    /** Longer than this in the gas without power, once the pipe is dry, and soot settles on the cold tip, s. */
    private static final double UNPOWERED = 60;

    private static final Source SOURCE = Source.memory(
            "the seconds the pipe stays wet, an estimate; 15 s until the ceramic can crack; a minute unpowered at most. "
                    + "Both ways, with the ignition or about 30 s after the start, are common practice");

    /** The ways good installers time the heater. */
    public enum HeaterSchool {
        WITH_IGNITION("with the ignition", false, List.of(),
                List.of("Controller's feed straight from the switched source.",
                        "Start at once after the key; never key-on, engine off, on a cold day.")),
        TIMER_RELAY("timer relay, about 30 s after the start", true,
                List.of("timer relay, delay on", "relay socket"),
                List.of("Timer's supply from the battery by the fuse, its input on a source live while running: oil-pressure switch, alternator's lamp or the fuel pump.",
                        "Controller's feed from the timer's output.",
                        "Stall and start again: the timer has to begin anew.")),
        ECU_OUTPUT("switched by the ECU", true,
                List.of("ECU output free to switch a relay", "relay", "diode across its coil"),
                List.of("Relay's coil from the switched source to the ECU's output, which pulls to ground; it never feeds the heater itself.",
                        "Condition in the ECU: engine running for longer than the delay.",
                        "Controller's feed from the relay, by the fuse."));

        private final String words;
        private final boolean delayed;
        @SuppressWarnings("ImmutableEnumChecker") // made by List.of
        private final List<String> parts;
        @SuppressWarnings("ImmutableEnumChecker") // made by List.of
        private final List<String> steps;

        HeaterSchool(String words, boolean delayed, List<String> parts, List<String> steps) {
            this.words = words;
            this.delayed = delayed;
            this.parts = parts;
            this.steps = steps;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether the heater waits. */
        public boolean delayed() {
            return delayed;
        }

        /** The parts that it takes, in English: jobs keep by it what lies ready. */
        public List<String> parts() {
            return parts;
        }

        /** How it is wired. */
        public List<String> steps() {
            return steps.stream().map(Phrase::word).toList();
        }
    }

    /** How long after the start a school's heater comes on, s. */
    public double after(HeaterSchool way) {
        return way.delayed() ? delay == null ? USUAL_DELAY : delay : 0;
    }

    /** When a drop of water begins to do harm, s after the start; with the usual delay until a way is taken. */
    public double hot() {
        return school == null ? USUAL_DELAY + WARM_UP : hot(school);
    }

    private double hot(HeaterSchool way) {
        return after(way) + WARM_UP;
    }

    /**
     * Seconds in which the sensor is hot while water may still gather in the pipe.
     *
     * @param dry time until the wall is past the dew point, s
     */
    public Estimate atRisk(HeaterSchool way, Estimate dry) {
        double hot = hot(way);
        return new Estimate(Math.max(0, dry.low() - hot), Math.max(0, dry.high() - hot));
    }

    /**
     * The check of the way taken.
     *
     * @param dry time until the wall is past the dew point at the place taken, s; null while that is not known
     */
    public Finding judge(@Nullable Estimate dry) {
        String subject = "Hot while the pipe is wet";
        if (school == null || dry == null) {
            return new Finding(WireCheck.HEATER, subject, Verdict.UNKNOWN, null, null,
                    school == null
                            ? "Say when the heater gets its power."
                            : "Take a place first: how long the pipe stays wet there decides.",
                    null, "time until the pipe is dry − delay", SOURCE)
                    .asking(school == null ? WireField.HEATER.address() : PlaceField.PLACES.address());
        }
        Estimate risk = atRisk(school, dry);
        boolean none = risk.high() <= 0;
        boolean late = after(school) - dry.high() > UNPOWERED;
        return new Finding(WireCheck.HEATER, subject, none && !late ? Verdict.PASS : Verdict.WARN,
                new Measure(risk.middle(), Dimension.DURATION, 0, risk.spread()), null,
                late
                        ? Message.of("Dry long before: {0} unpowered in the gas soots the sensor. A shorter delay.",
                                seconds(after(school)))
                        : none
                                ? Message.of(
                                        "The pipe is dry before the ceramic is hot. The sensor stays unpowered {0} in the gas: no longer than that.",
                                        seconds(after(school)))
                                : Message.plain(school.delayed()
                                        ? "The delay does not cover the whole of it; after a cold night wait longer."
                                        : "Water on the hot ceramic cracks it. On a cold day start at once, or delay the heater."),
                null,
                Message.of(
                        "wall past the dew point of the exhaust after {0} to {1}, heater on after {2}, hot {3} later",
                        Measure.of(dry.low(), Unit.ONE, 0), seconds(dry.high()), seconds(after(school)),
                        seconds(WARM_UP)),
                SOURCE).asking(WireField.HEATER.address());
    }

    /** What a sensor without power in the gas comes to, said the same wherever it is said. */
    public Message unpowered() {
        return school != null && school.delayed()
                ? Message.of(
                        "The heater waits {0} after a start, until the pipe is dry. For longer than that the engine does not run with the sensor fitted and without power: it soots and dies.",
                        seconds(after(school)))
                : Message.plain("The engine does not run with the sensor fitted and without power: it soots and dies.");
    }

    private static Measure seconds(double value) {
        return new Measure(value, Dimension.DURATION, 0);
    }

    public HeaterTiming withSchool(@Nullable HeaterSchool value) {
        return new HeaterTiming(value, delay);
    }

    public HeaterTiming withDelay(@Nullable Double value) {
        return new HeaterTiming(school, value);
    }
}
