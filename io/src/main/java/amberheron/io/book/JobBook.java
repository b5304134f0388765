package amberheron.io.book;

import amberheron.core.job.JobSummary.Left;
import static amberheron.core.units.Phrase.say;

import amberheron.core.job.JobSummary;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * The job book: one database file with every job in it. A call that returns has put its change on the disk, so that
 * killing the program at any moment loses nothing that was acknowledged. Safe for several threads; they take turns.
 */
public final class JobBook implements AutoCloseable {
    /** The newest migration; a book that has it is not migrated again, which saves a good part of the start. */
    private static final int SCHEMA = 4;
    private static final byte[] SQLITE_HEADER = "SQLite format 3\0"
            .getBytes(StandardCharsets.US_ASCII);
    /** A book up to this size is looked through while it is opened; a larger one before the first entry, bytes. */
    private static final long QUICK = 8L << 20;
    private static final int COPIES = 14;
    /** How long to wait for another program that writes, ms. */
    private static final int PATIENCE = 3000;

    private final Path file;
    private final Connection connection;
    private final Jdbi jdbi;
    private boolean sound;

    private JobBook(Path file, Connection connection) {
        this.file = file;
        this.connection = connection;
        this.jdbi = Jdbi.create(connection);
    }

    /**
     * What the list of jobs shows of a job, and by which habits of the shop it was worked out.
     *
     * @param by {@link ShopHabits#mark}
     */
    public record Judged(JobSummary summary, String by) {
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
        // As an address, since a question mark in a plain path would end it.
        String url = "jdbc:sqlite:" + file.toAbsolutePath().toUri();
        Connection connection = null;
        try {
            Path folder = file.toAbsolutePath().getParent();
            if (folder != null) {
                Files.createDirectories(folder);
            }
            boolean quick = !Files.exists(file) || Files.size(file) < QUICK;
            makePrivate(file);
            connection = DriverManager.getConnection(url);
            pragma(connection, "busy_timeout = " + PATIENCE);
            if (quick) {
                requireSound(file, connection);
            }
            migrate(file, url, connection);
            pragma(connection, "journal_mode = wal");
            // Full: an acknowledged entry survives a power cut too, not only a killed program.
            pragma(connection, "synchronous = full");
            JobBook book = new JobBook(file, connection);
            book.sound = quick;
            return book;
        } catch (SQLException | IOException | FlywayException e) {
            close(connection);
            throw problem(file, e);
        } catch (BookProblem e) {
            close(connection);
            throw e;
        }
    }

    /** Jobs name customers' vehicles: nobody else on the machine reads them, where the system can see to it. */
    private static void makePrivate(Path file) throws IOException {
        if (!Files.exists(file) && Files.getFileStore(file.toAbsolutePath().getParent())
                .supportsFileAttributeView(PosixFileAttributeView.class)) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
    }

    /**
     * What the shop prefers, read without opening its book for writing; nothing when there is no book.
     *
     * @throws BookProblem when the file is not a book or is damaged
     */
    public static Map<String, String> habits(Path file) {
        if (!Files.exists(file)) {
            return Map.of();
        }
        requireBook(file);
        Map<String, String> all = new LinkedHashMap<>();
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        config.setBusyTimeout(PATIENCE);
        try (Connection read = config.createConnection("jdbc:sqlite:" + file.toAbsolutePath().toUri());
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
                        say("%s is not a job book, or its beginning is damaged; it was left as it is. ", file)
                                + "Open another book, or put back a copy of this one.");
            }
        } catch (IOException e) {
            throw new BookProblem(say("%s cannot be read: %s", file, TextFiles.reason(e)), e);
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

    private static void migrate(Path file, String url, Connection connection) throws SQLException {
        Optional<String> schema = schema(file, connection);
        if (schema.isPresent()) {
            if (!schema.get().matches("[1-9]\\d{0,3}")) {
                throw new BookProblem(say("%s says book schema “%s”, expected a whole number; it was left as it is. ",
                        file, schema.get()) + "Put back a copy of it.");
            }
            int found = Integer.parseInt(schema.get());
            if (found > SCHEMA) {
                throw new BookProblem(
                        say("%s was written by a newer version (book schema %d, this one knows %d); it was left ", file,
                                found, SCHEMA) + "as it is. Use the newer version.");
            }
            if (found == SCHEMA) {
                return;
            }
        }
        Flyway.configure(JobBook.class.getClassLoader()).dataSource(url, null, null)
                .locations("classpath:amberheron/io/book").load().migrate();
    }

    private static Optional<String> schema(Path file, Connection connection) throws SQLException {
        try (var statement = connection.createStatement()) {
            try (var table = statement
                    .executeQuery("select 1 from sqlite_master where name = 'flyway_schema_history'")) {
                if (!table.next()) {
                    requireEmpty(file, connection);
                    return Optional.empty();
                }
            }
            try (var row = statement.executeQuery(
                    "select version from flyway_schema_history where success order by installed_rank desc limit 1")) {
                return row.next() ? Optional.ofNullable(row.getString(1)) : Optional.empty();
            }
        }
    }

    private static void requireEmpty(Path file, Connection connection) throws SQLException {
        try (var statement = connection.createStatement();
                var any = statement.executeQuery("select name from sqlite_master limit 1")) {
            if (any.next()) {
                throw new BookProblem(
                        say("%s is another program's database (it has “%s”), expected a job book; it was ", file,
                                any.getString(1)) + "left as it is. Open another book.");
            }
        }
    }

    private static void pragma(Connection connection, String text) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute("pragma " + text);
        }
    }

    /** The jobs, by number, as they were last judged. */
    public List<JobSummary> jobs() {
        return with(h -> h
                .createQuery("select id, vehicle, judged, states, waits, detail, checked, booked, bay, spread, fault "
                        + "from job order by id")
                .map((row, context) -> summary(row)).list());
    }

    /**
     * A job; empty when the book has none of this number.
     *
     * @throws BookProblem when its document is not the one that was kept
     * @throws amberheron.io.UnusableInput when its document cannot be read
     */
    public Optional<Kept> load(String id) {
        return with(h -> h.createQuery("select document, revision, digest from job where id = :id").bind("id", id)
                .map((row, context) -> {
                    String text = row.getString("document");
                    String digest = row.getString("digest");
                    if (digest != null && !digest.equals(digest(text))) {
                        throw new BookProblem(
                                say("Job %s in %s is not as it was kept: the disk has changed it. It was left "
                                        + "as it is; take it from a copy in %s.", id, file, copies()));
                    }
                    return new Kept(JobDocument.parse("job " + id, text), row.getLong("revision"));
                }).findOne());
    }

    /** Adds a job that is judged later. */
    public Kept add(JobDocument document) {
        return add(document, null);
    }

    /**
     * Adds a job.
     *
     * @throws BookProblem when the book has one of this number already, or one whose files would be the same
     */
    public Kept add(JobDocument document, @Nullable Judged judged) {
        String id = document.job().id();
        with(h -> h.createQuery("select id from job").mapTo(String.class).list()).forEach(other -> {
            if (other.equals(id)) {
                throw new BookProblem(say("The book has a job %s already; choose another number.", id));
            }
            if (JobNumber.collide(other, id)) {
                throw new BookProblem(
                        say("The files of job %s would overwrite those of %s, which the book has already; ", id, other)
                                + "choose another number.");
            }
        });
        requireSound();
        with(h -> h.createUpdate("insert into job (id, vehicle, revision, changed, document, digest, judged, states, "
                + "waits, detail, checked, booked, bay, spread, fault) values (:id, :vehicle, 1, :changed, :document, :digest, "
                + ":judged, :states, :waits, :detail, :checked, :booked, :bay, :spread, :fault)")
                .bindMap(row(document)).bindMap(row(judged)).execute());
        return new Kept(document, 1);
    }

    /** Keeps a change of a job that is judged later. */
    public long save(JobDocument document, long basedOn) {
        return save(document, null, basedOn);
    }

    /**
     * Keeps a change.
     *
     * @param basedOn the revision that was changed
     * @return the new revision
     * @throws BookConflict when another program changed the job in between; its change stays
     */
    public long save(JobDocument document, @Nullable Judged judged, long basedOn) {
        requireSound();
        int changed = with(h -> h
                .createUpdate("update job set vehicle = :vehicle, revision = revision + 1, changed = :changed, "
                        + "document = :document, digest = :digest, " + COLUMNS
                        + " where id = :id and revision = :basedOn")
                .bindMap(row(document)).bindMap(row(judged)).bind("basedOn", basedOn).execute());
        if (changed == 0) {
            throw new BookConflict(say("Job %s was changed elsewhere since it was opened.", document.job().id()));
        }
        return basedOn + 1;
    }

    /** Numbers of the jobs that were judged by other habits than these, or never. */
    public List<String> unjudged(String by) {
        return with(h -> h.createQuery("select id from job where judged is null or judged <> :by order by id")
                .bind("by", by).mapTo(String.class).list());
    }

    /** Keeps what the list shows of a job, unless the job has been changed since that revision. */
    public void judge(Judged judged, long revision) {
        requireSound();
        with(h -> h.createUpdate("update job set " + COLUMNS + " where id = :id and revision = :revision")
                .bindMap(row(judged)).bind("id", judged.summary().id()).bind("revision", revision).execute());
    }

    /** Keeps that a job cannot be read, and why. */
    public void judgeUnreadable(String id, String why, String by) {
        requireSound();
        with(h -> h.createUpdate("update job set judged = :by, fault = :fault where id = :id").bind("by", by)
                .bind("fault", why).bind("id", id).execute());
    }

    private static final String COLUMNS = "judged = :judged, states = :states, waits = :waits, detail = :detail, "
            + "checked = :checked, booked = :booked, bay = :bay, spread = :spread, fault = :fault";

    private static Map<String, @Nullable Object> row(JobDocument document) {
        Map<String, @Nullable Object> row = new LinkedHashMap<>();
        String text = document.text();
        row.put("id", document.job().id());
        row.put("vehicle", document.job().intake().vehicle());
        row.put("changed", Instant.now().toString());
        row.put("document", text);
        row.put("digest", digest(text));
        return row;
    }

    private static Map<String, @Nullable Object> row(@Nullable Judged judged) {
        JobSummary summary = judged == null ? JobSummary.unseen("", "") : judged.summary();
        Map<String, @Nullable Object> row = new LinkedHashMap<>();
        row.put("judged", judged == null ? null : judged.by());
        row.put("states", summary.states().values().stream().map(LinkState::name).collect(Collectors.joining(",")));
        row.put("waits", summary.on() == null ? null : summary.on().name());
        row.put("detail", summary.detail());
        row.put("checked", text(summary.checked()));
        row.put("booked", text(summary.day()));
        row.put("bay", summary.bay());
        Left left = summary.left();
        row.put("spread", left == null ? null : left.early() + "," + left.likely() + "," + left.late());
        row.put("fault", summary.fault());
        return row;
    }

    private static @Nullable Left left(@Nullable String text) {
        if (text == null) {
            return null;
        }
        double[] minutes = Arrays.stream(text.split(",")).mapToDouble(Double::parseDouble).toArray();
        return new Left(minutes[0], minutes[1], minutes[2]);
    }

    private static @Nullable String text(@Nullable LocalDate date) {
        return date == null ? null : date.toString();
    }

    private static String digest(String text) {
        return TextFiles.digest(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Whatever a row says that is not understood is taken for not seen yet: the job itself is in its document. */
    private static JobSummary summary(ResultSet row) throws SQLException {
        String id = row.getString("id");
        String vehicle = row.getString("vehicle");
        String fault = row.getString("fault");
        if (fault != null && !fault.isEmpty()) {
            return JobSummary.unreadable(id, vehicle, fault);
        }
        if (row.getString("judged") == null) {
            return JobSummary.unseen(id, vehicle);
        }
        try {
            Map<Station, LinkState> states = new EnumMap<>(Station.class);
            Iterator<String> names = List.of(row.getString("states").split(",")).iterator();
            for (Station station : Station.values()) {
                states.put(station, LinkState.valueOf(names.next()));
            }
            String waits = row.getString("waits");
            return new JobSummary(id, vehicle, states, waits == null ? null : Waiting.valueOf(waits),
                    row.getString("detail"), date(row.getString("checked")), date(row.getString("booked")),
                    row.getString("bay"), left(row.getString("spread")), "");
        } catch (IllegalArgumentException | DateTimeException | NoSuchElementException | IndexOutOfBoundsException
                | NullPointerException e) {
            return JobSummary.unseen(id, vehicle);
        }
    }

    private static @Nullable LocalDate date(@Nullable String text) {
        return text == null ? null : LocalDate.parse(text);
    }

    /** Looks through the whole file, once, before the first entry: into a damaged book nothing is written. */
    synchronized void requireSound() {
        if (!sound) {
            try {
                requireSound(file, connection);
                sound = true;
            } catch (SQLException e) {
                throw problem(file, e);
            }
        }
    }

    private Path copies() {
        return file.resolveSibling("copies");
    }

    /**
     * Puts a copy of the whole book beside it, one for a day; the oldest of more than two weeks of them goes.
     *
     * @throws BookProblem when it cannot be written; the book itself is as it was
     */
    public synchronized void copy(LocalDate day) {
        requireSound();
        Path copy = copies().resolve("book-" + day + ".db");
        if (Files.exists(copy)) {
            return;
        }
        Path half = copy.resolveSibling(copy.getFileName() + ".part");
        try {
            Files.createDirectories(copies());
            Files.deleteIfExists(half);
            makePrivate(half);
            connection.unwrap(SQLiteConnection.class).getDatabase().backup("main", half.toString(), null);
            Files.move(half, copy);
            try (Stream<Path> all = Files.list(copies())) {
                for (Path old : all.filter(f -> f.getFileName().toString().matches("book-[-\\d]+\\.db"))
                        .sorted(Comparator.reverseOrder()).skip(COPIES).toList()) {
                    Files.delete(old);
                }
            }
        } catch (IOException | SQLException e) {
            throw new BookProblem(say("No copy of the book could be put into %s: %s. The book itself is as it was.",
                    copies(), e.getMessage()), e);
        }
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
        requireSound();
        with(h -> h
                .createUpdate("insert into preference (name, value) values (:name, :value) "
                        + "on conflict (name) do update set value = excluded.value")
                .bind("name", name).bind("value", value).execute());
    }

    /** What it knows of sensors. */
    public SensorNotes sensors() {
        return new SensorNotes(this);
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
