package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

/** The server with the book does not answer now; nothing is known of what was on its way. */
public final class BookUnreachable extends BookProblem {
    private static final long serialVersionUID = 1L;

    private final boolean asked;

    BookUnreachable(String book, Throwable cause) {
        super(words(book), cause);
        asked = true;
    }

    /** Reports a book that is known to be out of reach. */
    public BookUnreachable(String book) {
        super(words(book));
        asked = false;
    }

    /** Whether it was asked at all: if so, what was sent may have been taken although no answer came. */
    public boolean asked() {
        return asked;
    }

    private static String words(String book) {
        return say(
                "The shared book %s does not answer. What is entered is kept on this machine, and goes into it as soon "
                        + "as it does.",
                book);
    }
}
