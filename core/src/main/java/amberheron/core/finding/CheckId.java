package amberheron.core.finding;

/** The name of a check: an enum constant of the package that has the rule. */
public interface CheckId {
    /** The name in files and scripts; it never changes. */
    String key();
}
