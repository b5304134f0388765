package amberheron.core.parts;

/**
 * Address of a value of a job: the same for its field, for an unusable entry in it, for the check that waits for it and for
 * the change that can be undone.
 *
 * @param part id of the part; empty where there is only one of its kind
 */
public record Address(Property property, String part) {
    /** The address in writing, as a job's drafts are kept under. */
    public String key() {
        return property.path().replace("*", part);
    }

    /** Common beginning of the keys of every property of this part. */
    public String partKey() {
        String path = property.path();
        int at = path.indexOf('*');
        return at < 0 ? key() : path.substring(0, at) + part + ".";
    }
}
