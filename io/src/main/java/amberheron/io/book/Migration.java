package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;

/** Brings the tables of a book to this version, in whatever database it is kept. */
final class Migration {
    /** The newest migration; a book that has it is not migrated again, which saves a good part of the start. */
    private static final int SCHEMA = 7;
    /** Held because a logger that nobody references forgets its level. */
    private static final Logger FLYWAY = Logger.getLogger("org.flywaydb");
    private static final String HISTORY = "flyway_schema_history";

    private Migration() {
    }

    /**
     * Brings a book to this version.
     *
     * @throws BookProblem when it is another program's database, damaged, or of a newer version; it is then left as it was
     */
    static void bring(Store store, Connection connection, FluentConfiguration to) throws SQLException {
        Optional<String> schema = schema(store, connection);
        if (schema.isPresent()) {
            if (!schema.get().matches("[1-9]\\d{0,3}")) {
                throw new BookProblem(
                        say("%s says book schema “%s”, expected a whole number; it was left as it is. Put "
                                + "back a copy of it.", store.name(), schema.get()));
            }
            int found = Integer.parseInt(schema.get());
            if (found > SCHEMA) {
                throw new BookProblem(
                        say("%s was written by a newer version (book schema %d, this one knows %d); it was "
                                + "left as it is. Use the newer version.", store.name(), found, SCHEMA));
            }
            if (found == SCHEMA) {
                return;
            }
        }
        to.locations("classpath:amberheron/io/book").load().migrate();
    }

    /** How migrations are found and run. */
    static FluentConfiguration configuration() {
        // Its notes on every start say nothing to the person at the car.
        FLYWAY.setLevel(Level.WARNING);
        return Flyway.configure(Migration.class.getClassLoader());
    }

    private static Optional<String> schema(Store store, Connection connection) throws SQLException {
        if (!store.has(HISTORY, connection)) {
            Optional<String> other = store.any(connection);
            if (other.isPresent()) {
                throw new BookProblem(
                        say("%s is another program's database (it has “%s”), expected a job book; it was "
                                + "left as it is. Open another book.", store.name(), other.get()));
            }
            return Optional.empty();
        }
        try (var statement = connection.createStatement();
                var row = statement.executeQuery(
                        "select version from " + HISTORY + " where success order by installed_rank desc limit 1")) {
            return row.next() ? Optional.ofNullable(row.getString(1)) : Optional.empty();
        }
    }
}
