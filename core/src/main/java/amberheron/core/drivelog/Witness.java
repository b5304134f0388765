package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

import amberheron.core.mixture.GasAnalysis;
import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * Other witnesses of the mixture: a gas analyser, and a change made on purpose.
 *
 * @param gas what the analyser read at a steady idle
 * @param shown what the controller showed meanwhile, λ; null until noted
 * @param act what was changed on purpose; null for nothing
 * @param before what was shown before that, λ; null until noted
 * @param after what was shown once it had settled, λ; null until noted
 */
public record Witness(GasAnalysis gas, @Nullable Double shown, @Nullable Act act, @Nullable Double before,
        @Nullable Double after) {
    /** No other witness. */
    public static final Witness NONE = new Witness(GasAnalysis.NONE, null, null, null, null);

    /** Change made on purpose, and by how much the number is then expected to move; from memory. */
    public enum Act {
        CHOKE_ON("choke pulled half", -0.30, -0.03),
        SCREW_RICHER("mixture screw half a turn richer", -0.15, -0.01),
        SCREW_LEANER("mixture screw half a turn leaner", 0.01, 0.20),
        FUEL_ADDED("5 % fuel added in the ECU", -0.08, -0.02),
        FUEL_TAKEN("5 % fuel taken in the ECU", 0.02, 0.08);

        private final String words;
        private final double least;
        private final double most;

        Act(String words, double least, double most) {
            this.words = words;
            this.least = least;
            this.most = most;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Least change that is plausible, λ. */
        public double least() {
            return least;
        }

        /** Most that is. */
        public double most() {
            return most;
        }
    }

    public Witness {
        Sane.MIXTURE.check("shown", shown);
        Sane.MIXTURE.check("before", before);
        Sane.MIXTURE.check("after", after);
    }

    public Witness withGas(GasAnalysis value) {
        return new Witness(value, shown, act, before, after);
    }

    public Witness withShown(@Nullable Double value) {
        return new Witness(gas, value, act, before, after);
    }

    public Witness withAct(@Nullable Act value) {
        return new Witness(gas, shown, value, before, after);
    }

    public Witness withBefore(@Nullable Double value) {
        return new Witness(gas, shown, act, value, after);
    }

    public Witness withAfter(@Nullable Double value) {
        return new Witness(gas, shown, act, before, value);
    }
}
