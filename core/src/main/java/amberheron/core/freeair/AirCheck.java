package amberheron.core.freeair;

import amberheron.core.finding.CheckId;

/** The checks in free air. */
public enum AirCheck implements CheckId {
    AIR("air"),
    PRESSURE("pressure"),
    CONTROLLER("controller"),
    CONDITIONS("conditions"),
    SHOWN("shown"),
    TOP("top"),
    SETTLED("settled"),
    DATED("dated");

    private final String key;

    AirCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
