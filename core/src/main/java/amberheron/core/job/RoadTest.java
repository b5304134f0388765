package amberheron.core.job;

import amberheron.core.drivelog.Witness;
import amberheron.core.trim.TrimSheet;

/**
 * Notes of the proving drive besides its log.
 *
 * @param witness what else says what the mixture is
 * @param trims the shop's bins and what was given before
 */
public record RoadTest(Witness witness, TrimSheet trims) {
    /** A road test without notes. */
    public static final RoadTest NONE = new RoadTest(Witness.NONE, TrimSheet.NONE);

    public RoadTest withWitness(Witness value) {
        return new RoadTest(value, trims);
    }

    public RoadTest withTrims(TrimSheet value) {
        return new RoadTest(witness, value);
    }
}
