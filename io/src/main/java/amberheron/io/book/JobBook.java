package amberheron.io.book;

import amberheron.io.TextFiles;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * The job book: one database file with every job in it. A call that returns has put its change on the disk, so that
 * killing the program at any moment loses nothing that was acknowledged. Safe for several threads; they take turns.
 */
public final class JobBook implements AutoCloseable {
    /** The newest migration; a book that has it is not migrated again, which saves a good part of the start. */
    private static final String SCHEMA = "1";
    private static final byte[] SQLITE_HEADER = "SQLite format 3\0"
            .getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    /** How long to wait for another program that writes, ms. */
    private static final int PATIENCE = 3000;

    private final Path file;
    private final Connection connection;
    private final Jdbi jdbi;

    private JobBook(Path file, Connection connection) {
        this.file = file;
        this.connection = connection;
        this.jdbi = Jdbi.create(connection);
    }

    /** A job in the list of jobs. */
    public record Entry(String id, String vehicle, String changed) {
    }

    /** A job as kept, with the revision that a change must be based on. */
    public record Kept(JobDocument document, long revision) {
    }

    /**
     * Opens a book, making it when there is none.
     *
     * @throws BookProblem when the file is not a book, is damaged, locked, or written by a newer version; it is then
     *         left as it was
     */
    public static JobBook open(Path file) {
        // Its notes on every start say nothing to the person at the car.
        Logger.getLogger("org.flywaydb").setLevel(Level.WARNING);
        requireBook(file);
        String url = "jdbc:sqlite:" + file;
        Connection connection = null;
        try {
            Path folder = file.toAbsolutePath().getParent();
            if (folder != null) {
                Files.createDirectories(folder);
            }
            connection = DriverManager.getConnection(url);
            pragma(connection, "busy_timeout = " + PATIENCE);
            requireSound(file, connection);
            migrate(file, url, connection);
            pragma(connection, "journal_mode = wal");
            // Full: an acknowledged entry survives a power cut too, not only a killed program.
            pragma(connection, "synchronous = full");
            return new JobBook(file, connection);
        } catch (SQLException | IOException | FlywayException e) {
            close(connection);
            throw problem(file, e);
        } catch (BookProblem e) {
            close(connection);
            throw e;
        }
    }

    private static void requireBook(Path file) {
        if (!Files.exists(file)) {
            return;
        }
        try (InputStream in = Files.newInputStream(file)) {
            byte[] start = in.readNBytes(SQLITE_HEADER.length);
            if (start.length > 0 && !Arrays.equals(start, SQLITE_HEADER)) {
                throw new BookProblem("%s is not a job book, or its beginning is damaged; it was left as it is. "
                        .formatted(file) + "Open another book, or put back a copy of this one.");
            }
        } catch (IOException e) {
            throw new BookProblem("%s cannot be read: %s".formatted(file, TextFiles.reason(e)), e);
        }
    }

    private static void requireSound(Path file, Connection connection) throws SQLException {
        try (var statement = connection.createStatement(); var rows = statement.executeQuery("pragma quick_check(1)")) {
            if (!rows.next() || !"ok".equals(rows.getString(1))) {
                throw new BookProblem("%s is damaged (%s); it was left as it is. Put back a copy of it."
                        .formatted(file, rows.getString(1)));
            }
        }
    }

    private static void migrate(Path file, String url, Connection connection) throws SQLException {
        Optional<String> schema = schema(connection);
        if (schema.isPresent() && schema.get().equals(SCHEMA)) {
            return;
        }
        if (schema.isPresent() && Integer.parseInt(schema.get()) > Integer.parseInt(SCHEMA)) {
            throw new BookProblem("%s was written by a newer version (book schema %s, this one knows %s); it was left "
                    .formatted(file, schema.get(), SCHEMA) + "as it is. Use the newer version.");
        }
        Flyway.configure(JobBook.class.getClassLoader()).dataSource(url, null, null)
                .locations("classpath:amberheron/io/book").load().migrate();
    }

    private static Optional<String> schema(Connection connection) throws SQLException {
        try (var statement = connection.createStatement()) {
            try (var table = statement
                    .executeQuery("select 1 from sqlite_master where name = 'flyway_schema_history'")) {
                if (!table.next()) {
                    return Optional.empty();
                }
            }
            try (var row = statement.executeQuery(
                    "select version from flyway_schema_history where success order by installed_rank desc limit 1")) {
                return row.next() ? Optional.ofNullable(row.getString(1)) : Optional.empty();
            }
        }
    }

    private static void pragma(Connection connection, String text) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute("pragma " + text);
        }
    }

    /** The jobs, by number. */
    public List<Entry> jobs() {
        return with(h -> h.createQuery("select id, vehicle, changed from job order by id")
                .map((row, context) -> new Entry(row.getString("id"), row.getString("vehicle"),
                        row.getString("changed")))
                .list());
    }

    /** A job; empty when the book has none of this number. */
    public Optional<Kept> load(String id) {
        return with(h -> h.createQuery("select document, revision from job where id = :id").bind("id", id)
                .map((row, context) -> new Kept(JobDocument.parse("job " + id, row.getString("document")),
                        row.getLong("revision")))
                .findOne());
    }

    /**
     * Adds a job.
     *
     * @throws BookProblem when the book has one of this number already
     */
    public Kept add(JobDocument document) {
        if (load(document.job().id()).isPresent()) {
            throw new BookProblem(
                    "The book has a job %s already; choose another number.".formatted(document.job().id()));
        }
        with(h -> h
                .createUpdate("insert into job (id, vehicle, revision, changed, document) "
                        + "values (:id, :vehicle, 1, :changed, :document)")
                .bindMap(row(document)).execute());
        return new Kept(document, 1);
    }

    /**
     * Keeps a change.
     *
     * @param basedOn the revision that was changed
     * @return the new revision
     * @throws BookProblem when another program changed the job in between; its change stays
     */
    public long save(JobDocument document, long basedOn) {
        int changed = with(h -> h
                .createUpdate("update job set vehicle = :vehicle, revision = revision + 1, changed = :changed, "
                        + "document = :document where id = :id and revision = :basedOn")
                .bindMap(row(document)).bind("basedOn", basedOn).execute());
        if (changed == 0) {
            throw new BookProblem("Job %s was changed elsewhere since it was opened; open it again to go on from there."
                    .formatted(document.job().id()));
        }
        return basedOn + 1;
    }

    private static Map<String, Object> row(JobDocument document) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("id", document.job().id());
        row.put("vehicle", document.job().intake().vehicle());
        row.put("changed", Instant.now().toString());
        row.put("document", document.text());
        return row;
    }

    /** What the shop prefers, by name. */
    public Map<String, String> preferences() {
        return with(h -> {
            Map<String, String> all = new LinkedHashMap<>();
            h.createQuery("select name, value from preference")
                    .map((row, context) -> Map.entry(row.getString("name"), row.getString("value"))).forEach(
                            e -> all.put(e.getKey(), e.getValue()));
            return all;
        });
    }

    /** Keeps a preference. */
    public void prefer(String name, String value) {
        with(h -> h
                .createUpdate("insert into preference (name, value) values (:name, :value) "
                        + "on conflict (name) do update set value = excluded.value")
                .bind("name", name).bind("value", value).execute());
    }

    /** Runs with the one connection; package-private so that a test can shrink the disk. */
    synchronized <T> T with(Function<Handle, T> work) {
        try {
            return jdbi.withHandle(work::apply);
        } catch (JdbiException e) {
            throw problem(file, e);
        }
    }

    @Override
    public synchronized void close() {
        close(connection);
    }

    private static void close(@Nullable Connection connection) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            Logger.getLogger(JobBook.class.getName()).log(Level.WARNING, "the book did not close cleanly", e);
        }
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
                "is in use by another program that does not let go; close that program and try again.";
            case SQLITE_FULL ->
                "cannot grow: the disk is full. Make room; the entry is kept on screen until it is saved.";
            case SQLITE_CORRUPT, SQLITE_NOTADB -> "is damaged; it was left as it is. Put back a copy of it.";
            case SQLITE_READONLY, SQLITE_PERM, SQLITE_READONLY_DIRECTORY, SQLITE_READONLY_DBMOVED ->
                "cannot be written; allow writing to the file and its folder.";
            case SQLITE_CANTOPEN -> "cannot be opened; check that its folder exists and can be written.";
            default -> "cannot be used: " + e.getMessage();
        };
        return new BookProblem(file + " " + why, e);
    }
}
