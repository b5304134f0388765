package amberheron.core.finding;

/**
 * One check of one thing.
 *
 * @param of id of the part that is checked; empty where there is only one
 */
public record Check(CheckId id, String of) {
    /** A check of the only thing there is. */
    public static Check of(CheckId id) {
        return new Check(id, "");
    }

    /** Whether it is this check, of whatever part. */
    public boolean is(CheckId other) {
        return id.equals(other);
    }

    /** The check in files and scripts, such as {@code tilt} or {@code signal.form.ecu}. */
    public String key() {
        return of.isEmpty() ? id.key() : id.key() + "." + of;
    }
}
