package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.logging.Level;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** A book in one file on this machine. */
final class SqliteFile implements Store {
    private static final byte[] SQLITE_HEADER = "SQLite format 3\0"
            .getBytes(StandardCharsets.US_ASCII);
    /** Size up to which a book is checked while it is opened, bytes; a larger one is checked before the first entry. */
    private static final long QUICK = 8L << 20;
    /** How long to wait for another program that writes, ms. */
    private static final int PATIENCE = 3000;

    private final Path file;
    private final Connection connection;
    private final Jdbi jdbi;
    private final BookCopies copies;
    private final ChangeCount count;
    private Optional<String> said = Optional.empty();
    private long changes;
    private boolean sound;

    private SqliteFile(Path file, Connection connection, ChangeCount count, boolean sound) {
        this.file = file;
        this.count = count;
        this.copies = new BookCopies(file.resolveSibling("copies"), SqliteFile::connect);
        this.connection = connection;
        this.jdbi = Store.jdbi(connection);
        this.sound = sound;
    }

    /**
     * Opens a file, making it when there is none.
     *
     * @throws BookProblem when the file is not a book, is damaged, locked, or written by a newer version; it is then
     *         left as it was
     */
    static SqliteFile open(Path file) {
        requireBook(file);
        Connection connection = null;
        try {
            Path folder = file.toAbsolutePath().getParent();
            if (folder != null) {
                if (!Files.exists(folder)) {
                    PrivateFile.folder(folder);
                }
            }
            boolean quick = !Files.exists(file) || Files.size(file) < QUICK;
            // Jobs name customers' vehicles.
            PrivateFile.create(file);
            ChangeCount count = ChangeCount.before(file);
            connection = connect(file);
            Optional<String> said = count.after(changes(connection), Instant.now());
            if (quick) {
                requireSound(file, connection);
            }
            SqliteFile store = new SqliteFile(file, connection, count, quick);
            store.said = said;
            Migration.bring(store, connection, Migration.configuration().dataSource(url(file), null, null));
            pragma(connection, "journal_mode = wal");
            try (var statement = connection.createStatement()) {
                // What the list shows lies behind the document in its row: without this each is read past to get there.
                statement.execute("create index if not exists job_listed on job (" + JobRow.LISTED + ")");
            }
            // Full: an acknowledged entry survives a power cut too, not only a killed program.
            pragma(connection, "synchronous = full");
            return store;
        } catch (SQLException | IOException | FlywayException e) {
            close(connection);
            throw problem(file, e);
        } catch (BookProblem e) {
            close(connection);
            throw e;
        }
    }

    /** As an address, since a question mark in a plain path would end it. */
    private static String url(Path file) {
        return "jdbc:sqlite:" + file.toAbsolutePath().toUri();
    }

    private static long changes(Connection connection) throws SQLException {
        try (var statement = connection.createStatement(); var row = statement.executeQuery("pragma user_version")) {
            return row.next() ? row.getLong(1) : 0;
        }
    }

    private static Connection connect(Path file) throws SQLException {
        Connection made = DriverManager.getConnection(url(file));
        pragma(made, "busy_timeout = " + PATIENCE);
        return made;
    }

    /**
     * Preferences of the shop, read without opening its book for writing; none when there is no book.
     *
     * @throws BookProblem when the file is not a book or is damaged
     */
    static Map<String, String> habits(Path file) {
        if (!Files.exists(file)) {
            return Map.of();
        }
        requireBook(file);
        Map<String, String> all = new LinkedHashMap<>();
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        config.setBusyTimeout(PATIENCE);
        try (Connection read = config.createConnection(url(file));
                var statement = read.createStatement();
                var rows = statement.executeQuery("select name, value from preference")) {
            while (rows.next()) {
                all.put(rows.getString(1), rows.getString(2));
            }
            return all;
        } catch (SQLException e) {
            throw problem(file, e);
        }
    }

    private static void requireBook(Path file) {
        if (!Files.exists(file)) {
            return;
        }
        try (InputStream in = Files.newInputStream(file)) {
            byte[] start = in.readNBytes(SQLITE_HEADER.length);
            if (start.length > 0 && !Arrays.equals(start, SQLITE_HEADER)) {
                throw new BookProblem(
                        say("%s is not a job book, or its beginning is damaged; it was left as it is. Open "
                                + "another book, or put back a copy of this one.", file));
            }
        } catch (IOException e) {
            throw new BookProblem(say("%s cannot be read: %s", file, TextFiles.reason(e)), e);
        }
    }

    /**
     * Refuses a database that is none of a book.
     *
     * @throws BookProblem when it has no table of jobs
     */
    static void requireJobs(Path file) {
        requireBook(file);
        try (Connection read = connect(file);
                var statement = read.createStatement();
                var row = statement.executeQuery("select 1 from sqlite_master where type = 'table' and name = 'job'")) {
            if (!row.next()) {
                throw new BookProblem(
                        say("%s is a database without a table of jobs, expected a book or a backup of one; it was left "
                                + "as it is.", file));
            }
        } catch (SQLException e) {
            throw problem(file, e);
        }
    }

    private static void requireSound(Path file, Connection connection) throws SQLException {
        try (var statement = connection.createStatement(); var rows = statement.executeQuery("pragma quick_check(1)")) {
            if (!rows.next() || !"ok".equals(rows.getString(1))) {
                throw new BookProblem(say("%s is damaged (%s); it was left as it is. Put back a copy of it.", file,
                        rows.getString(1)));
            }
        }
    }

    private static void pragma(Connection connection, String text) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute("pragma " + text);
        }
    }

    @Override
    public String name() {
        return file.toString();
    }

    @Override
    public Jdbi jdbi() {
        return jdbi;
    }

    @Override
    public Subscription listen() throws SQLException {
        return new FileSubscription(connect(file));
    }

    /** Polls for changes, since a file cannot notify; twice a second is well within what a person notices. */
    private static final class FileSubscription implements Subscription {
        private static final Duration EVERY = Duration.ofMillis(500);
        private final Connection connection;
        private final Jdbi jdbi;
        private int version;

        private FileSubscription(Connection connection) {
            this.connection = connection;
            this.jdbi = Store.jdbi(connection);
            this.version = version();
        }

        private int version() {
            return jdbi.withHandle(h -> h.createQuery("pragma data_version").mapTo(Integer.class).one());
        }

        @Override
        public Jdbi jdbi() {
            return jdbi;
        }

        @Override
        public boolean await() throws InterruptedException {
            Thread.sleep(EVERY);
            int before = version;
            version = version();
            return version != before;
        }

        @Override
        public void close() {
            SqliteFile.close(connection);
        }
    }

    @Override
    public void announce(Handle in, String what) {
        // Who listens asks.
    }

    @Override
    public boolean lost(Exception why) {
        return false;
    }

    @Override
    public boolean has(String table, Connection in) throws SQLException {
        try (var query = in.prepareStatement("select 1 from sqlite_master where name = ?")) {
            query.setString(1, table);
            try (var row = query.executeQuery()) {
                return row.next();
            }
        }
    }

    @Override
    public Optional<String> any(Connection in) throws SQLException {
        try (var statement = in.createStatement();
                var any = statement.executeQuery("select name from sqlite_master limit 1")) {
            return any.next() ? Optional.of(any.getString(1)) : Optional.empty();
        }
    }

    @Override
    public void requireSound() {
        if (!sound) {
            try {
                requireSound(file, connection);
                sound = true;
            } catch (SQLException e) {
                throw problem(file, e);
            }
        }
    }

    @Override
    public String copies() {
        return copies.toString();
    }

    @Override
    public void copy(LocalDate day) {
        try {
            copies.make(day, half -> {
                // On a line of its own: the book can be written meanwhile.
                try (Connection read = connect(file)) {
                    read.unwrap(SQLiteConnection.class).getDatabase().backup("main", half.toString(), null);
                }
            });
        } catch (IOException | SQLException e) {
            throw new BookProblem(say("No copy of the book could be put into %s: %s. The book itself is as it was.",
                    copies, e instanceof IOException io ? TextFiles.reason(io) : e.getMessage()), e);
        }
    }

    @Override
    public void count(Handle in) {
        changes = 1 + in.createQuery("pragma user_version").mapTo(Long.class).one();
        in.execute("pragma user_version = " + changes);
    }

    @Override
    public void counted() {
        count.note(changes);
    }

    @Override
    public Optional<String> said() {
        return said;
    }

    @Override
    public void close() {
        close(connection);
        count.close();
    }

    private static void close(@Nullable Connection connection) {
        Store.close(connection, Level.WARNING);
    }

    @Override
    public BookProblem problem(Exception why) {
        return problem(file, why);
    }

    private static BookProblem problem(Path file, Exception e) {
        SQLiteErrorCode code = SQLiteErrorCode.UNKNOWN_ERROR;
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof SQLiteException s) {
                code = s.getResultCode();
            }
        }
        String why = switch (code) {
            case SQLITE_BUSY, SQLITE_LOCKED, SQLITE_BUSY_SNAPSHOT, SQLITE_BUSY_RECOVERY ->
                say("is in use by another program that does not let go; close that program and try again.");
            case SQLITE_FULL ->
                say("cannot grow: the disk is full. Make room and try again; what it had is as it was.");
            case SQLITE_CORRUPT, SQLITE_NOTADB -> say("is damaged; it was left as it is. Put back a copy of it.");
            case SQLITE_READONLY, SQLITE_PERM, SQLITE_READONLY_DIRECTORY, SQLITE_READONLY_DBMOVED ->
                say("cannot be written; allow writing to the file and its folder.");
            case SQLITE_CANTOPEN -> say("cannot be opened; check that its folder exists and can be written.");
            case SQLITE_ERROR ->
                say("is not as this version made it: a table or column is missing, or was changed by "
                        + "hand. Nothing was changed; put back a copy of it.");
            default -> say("cannot be used (%s); what the database said is in the log.", code);
        };
        return new BookProblem(file + " " + why, e);
    }
}
