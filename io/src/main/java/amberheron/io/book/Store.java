package amberheron.io.book;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Optional;
import org.jdbi.v3.core.Jdbi;

/** The database behind a book: how it is reached, and what only that database can say or do. */
sealed interface Store extends AutoCloseable permits SqliteFile {
    /** How messages call it. */
    String name();

    /** Works with its one connection, made anew where it was lost. */
    Jdbi jdbi() throws SQLException;

    /** Another connection, for who waits on this database while others work with it. */
    Connection another() throws SQLException;

    /** Whether there is a table of this name. */
    boolean has(String table, Connection in) throws SQLException;

    /** Any table; empty in an empty database. */
    Optional<String> any(Connection in) throws SQLException;

    /** Looks through the whole of it, once, before the first entry: into a damaged book nothing is written. */
    void requireSound();

    /** Where its copies are. */
    String copies();

    /**
     * Puts a copy of the whole book beside it, one for a day.
     *
     * @throws BookProblem when it cannot be written; the book itself is as it was
     */
    void copy(LocalDate day);

    /** What went wrong, in words of the shop. */
    BookProblem problem(Exception why);

    @Override
    void close();
}
