package amberheron.core.job;

/** The stations of the signal path, in working order. */
public enum Station {
    PLAN(1, "Plan"), PLACE(2, "Place"), WIRE(3, "Wire"), AIR(4, "Air"), SCALE(5, "Scale"), PROVE(6, "Prove"), HAND_OVER(
            7,
            "Hand over");

    private final int number;
    private final String title;

    Station(int number, String title) {
        this.number = number;
        this.title = title;
    }

    /** Its place in the working order, from 1. */
    public int number() {
        return number;
    }

    /** The word on screen. */
    public String title() {
        return title;
    }
}
