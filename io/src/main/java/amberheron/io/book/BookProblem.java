package amberheron.io.book;

/** The book could not do what was asked. The message says why and what mends it; nothing that was kept is lost. */
public sealed class BookProblem extends RuntimeException permits BookConflict, BookUnreachable {
    private static final long serialVersionUID = 1L;

    BookProblem(String message, Throwable cause) {
        super(message, cause);
    }

    BookProblem(String message) {
        super(message);
    }
}
