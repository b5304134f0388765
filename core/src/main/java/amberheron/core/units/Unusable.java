package amberheron.core.units;

/**
 * A value that a person, a file or an instrument gave and that cannot be used; the message says what was found and what was
 * expected. Nothing else is said to a person as their own entry: an {@link IllegalArgumentException} is an error of ours.
 */
public class Unusable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /**
     * A value that cannot be used.
     *
     * @param message what was found and what was expected
     */
    public Unusable(String message) {
        super(message);
    }
}
