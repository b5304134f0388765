package amberheron.app.parts;

/** A node that shows something of the job. */
public interface Refreshed {
    /** Shows what the job says now. */
    void refresh();
}
