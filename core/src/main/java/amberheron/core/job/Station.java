package amberheron.core.job;

/** The stations of the signal path, in working order. */
public enum Station {
    PLAN("Plan"), PLACE("Place"), WIRE("Wire"), AIR("Air"), SCALE("Scale"), PROVE("Prove"), HAND_OVER("Hand over");

    private final String title;

    Station(String title) {
        this.title = title;
    }

    /** The word on screen. */
    public String title() {
        return title;
    }
}
