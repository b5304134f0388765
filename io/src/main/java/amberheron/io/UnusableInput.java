package amberheron.io;

/**
 * Input that cannot be used. The message is whole: what, where, what was found, what was expected.
 */
public final class UnusableInput extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /**
     * An input fault.
     *
     * @param file the file, without folders, or what stands in its place
     * @param place line or field; may be empty for the file as a whole
     * @param message what was found and what was expected
     */
    public UnusableInput(String file, String place, String message) {
        super(place.isEmpty() ? file + ": " + message : file + ": " + place + ": " + message);
    }
}
