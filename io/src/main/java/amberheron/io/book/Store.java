package amberheron.io.book;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.statement.StatementExceptions;
import org.jspecify.annotations.Nullable;

/** The database behind a book: how it is reached, and what only that database can say or do. */
sealed interface Store extends AutoCloseable permits SqliteFile, PostgresServer {
    /** How messages call it. */
    String name();

    /** Returns its one connection, made anew where it was lost. */
    Jdbi jdbi() throws SQLException;

    /** Opens another connection that waits for changes made by others. */
    Subscription listen() throws SQLException;

    /** Announces a change to listeners, who hear it once the transaction is committed. */
    void announce(Handle in, String what);

    /** Returns whether the connection was lost under work that may well succeed on a new one. */
    boolean lost(Exception why);

    /** Whether there is a table of this name. */
    boolean has(String table, Connection in) throws SQLException;

    /** Any table; empty in an empty database. */
    Optional<String> any(Connection in) throws SQLException;

    /** Checks the whole of it, once, before the first entry: nothing is written into a damaged book. */
    void requireSound();

    /** Where its copies are. */
    String copies();

    /**
     * Puts a copy of the whole book beside it, one for a day.
     *
     * @throws BookProblem when it cannot be written; the book itself is as it was
     */
    void copy(LocalDate day);

    /** Counts a change, within its transaction. */
    void count(Handle in);

    /** Notes that the counted change is committed. */
    void counted();

    /** Notice on the state in which it was found when it was opened. */
    Optional<String> said();

    /** The fault in words of the shop. */
    BookProblem problem(Exception why);

    @Override
    void close();

    /** Works with a connection; what goes wrong is said without the statement and the values that were in it. */
    static Jdbi jdbi(Connection connection) {
        Jdbi made = Jdbi.create(connection);
        made.getConfig(StatementExceptions.class).setMessageRendering(StatementExceptions.MessageRendering.NONE);
        return made;
    }

    /** Lets a connection go. */
    static void close(@Nullable Connection connection, Level unclean) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            Logger.getLogger(Store.class.getName()).log(unclean, "the book did not close cleanly", e);
        }
    }

    /** A connection that waits. */
    interface Subscription extends AutoCloseable {
        /** Returns the connection to ask on. */
        Jdbi jdbi();

        /** Waits a moment for a change; whether there was one. Fails when the database is out of reach. */
        boolean await() throws SQLException, InterruptedException;

        @Override
        void close();
    }
}
