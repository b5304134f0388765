package amberheron.app.parts;

/** What shows something of the job. */
public interface Refreshed {
    /** Shows what the job says now. */
    void refresh();
}
