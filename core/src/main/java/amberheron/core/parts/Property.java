package amberheron.core.parts;

/**
 * Field of a kind of part, such as the wall of a piece of pipe; an enum constant of the package that owns the
 * part.
 */
public interface Property {
    /** Where it stands in a job, {@code *} in place of the part's id where there are several parts of the kind. */
    String path();

    /** Name of the value to be entered, in the trade's words, such as "clock position". */
    String words();

    /** The property of one part. */
    default Address of(String part) {
        return new Address(this, part);
    }

    /** The property of the only part of its kind. */
    default Address address() {
        return new Address(this, "");
    }
}
