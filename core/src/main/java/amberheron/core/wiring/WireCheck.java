package amberheron.core.wiring;

import amberheron.core.finding.CheckId;

/** The checks of power, grounds, heater and signal; what a source does in a state is a {@link KeyState}'s own. */
public enum WireCheck implements CheckId {
    FUSE("fuse"),
    HOST("host"),
    FEED("feed"),
    CONVERTER("converter"),
    DRAIN("drain"),
    GROUND("ground"),
    RIPPLE("ripple"),
    HEATER("heater"),
    SIGNAL_FORM("signal.form"),
    SIGNAL_OVER("signal.over"),
    SIGNAL_LOAD("signal.load");

    private final String key;

    WireCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
