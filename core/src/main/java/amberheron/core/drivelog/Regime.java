package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of the drive in which the engine was run in one way.
 *
 * @param from s of the log
 * @param to s
 * @param lambda middle of what the controller showed
 * @param low least that is right there for this engine, λ; null where what is shown says nothing
 * @param high most that is right there; null with it
 */
public record Regime(Kind kind, double from, double to, double lambda, @Nullable Double low, @Nullable Double high) {
    /** An engine for which mixtures leaner than this are right takes no harm from a leaner one, λ. */
    private static final double LEAN_BURN = 1.1;

    /** Ways an engine is run. */
    public enum Kind {
        COLD_START("cold start",
                "coolant below 60 °C; without that channel, rich from the start until it first reaches λ 0.95"),
        IDLE("warm idle", "below 1200 turns a minute, throttle shut, standing"),
        SWING("closed-loop swing", "crosses λ 1 four times in eight seconds and stays near it"),
        CRUISE("cruise", "moving, engine speed steady"),
        ACCELERATION("acceleration", "engine speed rises by 300 a second, or road speed by 0.8 m/s²"),
        FULL_LOAD("full load", "throttle above 85 %, or pressure near its highest"),
        LIFT_OFF("lift-off", "leaner than λ 1.25 with the throttle shut: the fuel is cut");

        private final String words;
        private final String rule;

        Kind(String words, String rule) {
            this.words = words;
            this.rule = rule;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** The rule that finds it; common practice, no published source. */
        public String rule() {
            return word(rule);
        }

        /** Returns whether reader and controller are compared in this way of running. */
        public boolean says() {
            return this != COLD_START && this != LIFT_OFF;
        }
    }

    /** Returns the length, s. */
    public double seconds() {
        return to - from;
    }

    /** Returns how the mixture shown stands to the right one. */
    public Verdict verdict() {
        return low == null || high == null
                ? Verdict.UNKNOWN
                : lambda >= low && lambda <= high
                        ? Verdict.PASS
                        : lambda > high && high < LEAN_BURN && (kind == Kind.FULL_LOAD || kind == Kind.ACCELERATION)
                                ? Verdict.FAIL
                                : Verdict.WARN;
    }
}
