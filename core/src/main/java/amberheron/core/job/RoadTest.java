package amberheron.core.job;

import amberheron.core.drivelog.LinkReading;
import amberheron.core.drivelog.Witness;
import amberheron.core.trim.TrimSheet;

/**
 * Notes of the proving drive besides its log.
 *
 * @param witness what else says what the mixture is
 * @param link what a reader shows that gets its numbers by a link
 * @param trims the shop's bins and what was given before
 */
public record RoadTest(Witness witness, LinkReading link, TrimSheet trims) {
    /** A road test without notes. */
    public static final RoadTest NONE = new RoadTest(Witness.NONE, LinkReading.NONE, TrimSheet.NONE);

    public RoadTest withWitness(Witness value) {
        return new RoadTest(value, link, trims);
    }

    public RoadTest withLink(LinkReading value) {
        return new RoadTest(witness, value, trims);
    }

    public RoadTest withTrims(TrimSheet value) {
        return new RoadTest(witness, link, value);
    }
}
