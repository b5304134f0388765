package amberheron.core.finding;

/**
 * A check of one part.
 *
 * @param of id of the part that is checked; empty where there is only one
 */
public record Check(CheckId id, String of) {
    /** Makes the check of a part of which there is only one. */
    public static Check of(CheckId id) {
        return new Check(id, "");
    }

    /** Returns whether it is a given check, of whatever part. */
    public boolean is(CheckId other) {
        return id.equals(other);
    }

    /** The check in files and scripts, such as {@code tilt} or {@code signal.form.ecu}. */
    public String key() {
        return of.isEmpty() ? id.key() : id.key() + "." + of;
    }
}
