package amberheron.core.wiring;

/** The states a power source is measured in. */
public enum KeyState {
    OFF("key off"), ACCESSORY("accessory"), ON("key on"), CRANKING("cranking"), RUNNING("engine running"), LAMPS(
            "running, lamps on"), INDICATORS("running, indicators on");

    private final String words;

    KeyState(String words) {
        this.words = words;
    }

    /** The words for it. */
    public String words() {
        return words;
    }

    /** Whether a source can be proved without this reading: not every car has an accessory position. */
    public boolean optional() {
        return this == ACCESSORY;
    }
}
