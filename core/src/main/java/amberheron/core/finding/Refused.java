package amberheron.core.finding;

import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Unusable;

/**
 * Refusal of an entry that no vehicle can have, with what was found and what was expected, in the units of whoever reads
 * it.
 */
public final class Refused extends Unusable {
    private static final long serialVersionUID = 1L;

    private final transient Message why;

    /** A refusal. */
    public Refused(Message why) {
        super(why.metric());
        this.why = why;
    }

    /** A length in a refusal, as people say it. */
    public static Measure length(double metres) {
        return new Measure(metres, Dimension.LENGTH, Math.abs(metres) < 0.1 ? 1 : 0);
    }

    /** A length along pipe or cable, to the millimetre. */
    public static Measure whole(double metres) {
        return new Measure(metres, Dimension.LENGTH, 0);
    }

    /** Returns the reason, to be put into words where it is shown. */
    public Message why() {
        return why;
    }
}
