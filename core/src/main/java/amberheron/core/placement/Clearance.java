package amberheron.core.placement;

import amberheron.core.finding.Source;

/** How far sensor and cable keep off what is beside them, m: one limit for the place and for the cable's way. */
public final class Clearance {
    /** Off a hot part, bare. */
    public static final double HOT = 0.1;
    /** The same under a heat sleeve. */
    public static final double HOT_SLEEVED = 0.03;
    /** Off a part that turns, swings or shakes. */
    public static final double MOVING = 0.05;
    /** Off a fuel or brake line. */
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
