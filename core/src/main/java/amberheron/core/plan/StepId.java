package amberheron.core.plan;

import java.util.Locale;

/** The steps that a job can have; a plan has those that its intake calls for. */
public enum StepId {
    LEAKS,
    DISPLAY,
    PLACE,
    RUN,
    SOURCE,
    SPLICE,
    BATTERY,
    FEED,
    GROUND,
    DRILL,
    WELD,
    CLAMP,
    FREE,
    TIGHT,
    ON,
    AIR,
    SENSOR,
    CONNECT,
    PROBE,
    ROUTE,
    HOT,
    SHIFT,
    NARROWBAND,
    LINK,
    LINK_POINTS,
    SCALE,
    POINTS,
    PROVE,
    PLUG,
    SHEET;

    private final String key = name().toLowerCase(Locale.ROOT);

    /** The name in documents. */
    public String key() {
        return key;
    }
}
