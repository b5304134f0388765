package amberheron.core.placement;

import amberheron.core.finding.Source;

/** Least distances of sensor and cable from what is beside them, m: one limit for the place and for the cable's route. */
public final class Clearance {
    /** From a bare hot part. */
    public static final double HOT = 0.1;
    /** From a hot part under a heat sleeve. */
    public static final double HOT_SLEEVED = 0.03;
    /** From a part that turns, swings or shakes. */
    public static final double MOVING = 0.05;
    /** From a fuel or brake line. */
    static final double LINE = 0.1;
    /** Room for the cable to leave without a tight bend. */
    static final double CABLE = 0.03;
    /** Height above the ground of whatever hangs lowest. */
    static final double GROUND = 0.1;
    /** Where they come from. */
    public static final Source SOURCE = Source.memory(
            "the gaps in figures; that the lead keeps off hot and moving parts, sleeved near hot ones, is common practice");

    private Clearance() {
    }
}
