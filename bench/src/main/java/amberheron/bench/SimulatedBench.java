package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.SignalChain;
import amberheron.core.units.Unusable;
import java.util.Random;

/** Stands in for a bench: the job's own chain with the noise of a hand meter and a display of two decimals. */
public final class SimulatedBench implements Bench {
    private static final double MOST_VOLTS = 5;
    private static final double METER_NOISE = 0.001;

    private final SignalChain chain;
    private final Random random;

    /**
     * A bench on a chain.
     *
     * @param chain with the fault to be found, if any, in its wire
     * @param seed the same seed gives the same readings
     */
    public SimulatedBench(SignalChain chain, long seed) {
        this.chain = chain;
        this.random = new Random(seed);
    }

    @Override
    public String name() {
        return say("simulated bench");
    }

    @Override
    public Reading take(double volts) {
        if (!(volts >= 0 && volts <= MOST_VOLTS)) {
            throw new Unusable(
                    say("found %.2f V, expected 0 to 5 V: more can destroy the reader's input", volts));
        }
        double metered = Math.round(1000 * (volts + METER_NOISE * random.nextGaussian())) / 1000.0;
        double shown = chain.setting().at(chain.reader().input().sensed(chain.wire().atPin(volts)));
        double digit = Math.pow(10, Math.max(2, chain.reader().decimals()));
        return new Reading(Math.max(0, metered), Math.round(shown * digit) / digit);
    }
}
