package amberheron.io.book;

/** Another program changed a job since it was opened here; its change stays until a person has chosen. */
public final class BookConflict extends BookProblem {
    private static final long serialVersionUID = 1L;

    BookConflict(String message) {
        super(message);
    }
}
