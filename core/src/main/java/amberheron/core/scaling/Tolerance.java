package amberheron.core.scaling;

import amberheron.core.finding.Source;

/** Difference that gauge and reader may have. */
public final class Tolerance {
    /** 0.1 AFR on the petrol scale of 14.7, as lambda; the same for every fuel, since the reader's chain is. */
    public static final double LAMBDA = 0.1 / 14.7;
    /** Where it comes from. */
    public static final Source SOURCE = Source
            .practice("reader and gauge agree within 0.1 AFR on the petrol scale (14.7)");

    private Tolerance() {
    }
}
