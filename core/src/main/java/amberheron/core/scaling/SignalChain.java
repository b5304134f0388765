package amberheron.core.scaling;

import org.jspecify.annotations.Nullable;

/** λ → law → wire → input → setting → shown: the whole chain as one function. */
public record SignalChain(OutputLaw law, WireEffect wire, Reader reader, ReaderSetting setting) {
    /** Volts at the reader's pin for a mixture. */
    public double pinVolts(double lambda) {
        return wire.atPin(law.voltsAt(lambda));
    }

    /** Counts at the reader, or null when it does not quantise. */
    public @Nullable Long counts(double lambda) {
        return reader.input().counts(pinVolts(lambda));
    }

    /** Number on the reader, in its own quantity. */
    public double shown(double lambda) {
        return setting.at(reader.input().sensed(pinVolts(lambda)));
    }
}
