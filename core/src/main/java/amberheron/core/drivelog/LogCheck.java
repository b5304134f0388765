package amberheron.core.drivelog;

import amberheron.core.finding.CheckId;

/** The checks of a proving drive. */
public enum LogCheck implements CheckId {
    RUNS("runs-near-one"),
    BIAS("bias"),
    SPREAD("spread"),
    WORST("worst"),
    LENGTH("length"),
    GAIN("gain"),
    LAG("lag"),
    CLOCKS("clocks"),
    LOST("lost"),
    FROZEN("frozen"),
    LEAN("lean-under-load"),
    TIP_IN("lean-at-tip-in"),
    LEAK("false-air"),
    SMOKE("smoke"),
    SCAVENGED("scavenged"),
    HELD_CRUISING("time-at-cruise"),
    HELD_UNDER_LOAD("time-under-load"),
    CROSSINGS("narrowband-crossings"),
    ANALYSER("gas-analyser"),
    CHANGE("change-on-purpose"),
    LINK("by-link");

    private final String key;

    LogCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
