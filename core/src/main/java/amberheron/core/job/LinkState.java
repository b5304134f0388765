package amberheron.core.job;

/** How a link of the signal path stands. */
public enum LinkState {
    /** Nothing entered. */
    OPEN("open"),
    /** Something entered, something missing. */
    BEGUN("begun"),
    /** Everything measured and within its limits. */
    PROVEN("proven"),
    /** Measured, and not within its limits. */
    OUT_OF_TOLERANCE("out of tolerance");

    private final String words;

    LinkState(String words) {
        this.words = words;
    }

    /** The word on screen. */
    public String words() {
        return words;
    }
}
