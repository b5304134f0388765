package amberheron.core.trim;

import amberheron.core.finding.CheckId;

/** The checks of a trim plan. */
public enum TrimCheck implements CheckId {
    HELD("trim-held"),
    DISTANCE("trim-distance"),
    FAULT("trim-fault"),
    LEANER("trim-leaner"),
    LIMIT("trim-limit"),
    SETTLED("trim-settled");

    private final String key;

    TrimCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
