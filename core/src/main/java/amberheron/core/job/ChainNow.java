package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

import amberheron.core.scaling.SignalChain;
import java.util.function.DoubleUnaryOperator;

/**
 * The chain as it is now believed to be.
 *
 * @param chain law, wire, reader and setting; the wire is the estimate where nothing was measured
 * @param basis what that belief rests on
 * @param reading what the reader shows for a mixture, in its own quantity
 */
public record ChainNow(SignalChain chain, Basis basis, DoubleUnaryOperator reading) {
    /** Where the knowledge of the chain comes from. */
    public enum Basis {
        /** The check points and the likeliest cause. */
        MEASURED("as the check points say"),
        /** Effect of grounds and input on the volts, worked out from the wiring. */
        WIRING("as the wiring predicts"),
        /** Law and setting alone. */
        SETTING("as set, nothing checked yet");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        /** The words on screen. */
        public String words() {
            return word(words);
        }
    }

    /** Number on the reader, as lambda. */
    public double shownLambda(double lambda) {
        return chain.reader().scale().toLambda(reading.applyAsDouble(lambda));
    }
}
