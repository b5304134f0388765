package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.JobSummary;
import amberheron.io.JobNumber;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Function;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.jdbi.v3.core.statement.PreparedBatch;
import org.jspecify.annotations.Nullable;

/**
 * The job book: one database file with every job in it. A call that returns has put its change on the disk, so that
 * killing the program at any moment loses nothing that was acknowledged. Safe for several threads; they take turns.
 */
public final class JobBook implements OpenBook {
    private final Store store;
    private final SensorNotes sensors = new SensorNotes(this);
    private volatile @Nullable Watch watch;

    private JobBook(Store store) {
        this.store = store;
    }

    /**
     * A job's line in the list of jobs, and the habits of the shop by which it was judged.
     *
     * @param by {@link ShopHabits#mark}
     */
    public record Judged(JobSummary summary, String by) {
    }

    /** A job as kept, with the revision that a change has to be based on. */
    public record Kept(JobDocument document, long revision) {
    }

    /**
     * Opens a book in a file, making it when there is none.
     *
     * @throws BookProblem when the file is not a book, is damaged, locked, or written by a newer version; it is then
     *         left as it was
     */
    public static JobBook open(Path file) {
        return new JobBook(SqliteFile.open(file));
    }

    /**
     * Opens a copy that was made of a backup.
     *
     * @param original the backup, as it is called in messages
     * @throws BookProblem when it is no book, or holds no jobs
     */
    static JobBook backup(Path copy, Path original) {
        try {
            SqliteFile.requireJobs(copy);
            return open(copy);
        } catch (BookProblem e) {
            throw new BookProblem(String.valueOf(e.getMessage()).replace(copy.toString(), original.toString()), e);
        }
    }

    /** The book of a database that is reached when it is first asked. */
    static JobBook on(Store store) {
        return new JobBook(store);
    }

    @Override
    public boolean inReach() {
        return true;
    }

    @Override
    public String name() {
        return store.name();
    }

    @Override
    public List<JobSummary> jobs() {
        // Sorted here, since each database has an order of its own.
        return with(h -> h.createQuery("select " + JobRow.LISTED + " from job")
                .map((row, context) -> JobRow.summary(row)).list()).stream()
                .sorted(Comparator.comparing(JobSummary::id)).toList();
    }

    @Override
    public List<JobSummary> jobs(Collection<String> ids) {
        return ids.isEmpty()
                ? List.of()
                : with(h -> h.createQuery("select " + JobRow.LISTED + " from job where id in (<ids>)")
                        .bindList("ids", ids).map((row, context) -> JobRow.summary(row)).list());
    }

    @Override
    public Optional<Kept> load(String id) {
        return with(h -> h.createQuery("select document, revision, digest from job where id = :id").bind("id", id)
                .map((row, context) -> {
                    String text = row.getString("document");
                    if (!JobRow.isWhole(row.getString("digest"), text)) {
                        throw new BookProblem(
                                say("Job %s in %s is not as it was kept: the disk has changed it. It was left "
                                        + "as it is; take it from a copy in %s.", id, store.name(), store.copies()));
                    }
                    return new Kept(JobDocument.parse("job " + id, text), row.getLong("revision"));
                }).findOne());
    }

    @Override
    public Kept add(JobDocument document, @Nullable Judged judged, List<EntryKey> keys) {
        String id = document.job().id();
        AtomicBoolean again = new AtomicBoolean();
        long added = change(t -> {
            boolean second = again.getAndSet(true);
            Optional<Long> before = keys.stream().findFirst().flatMap(k -> entered(t, id, k));
            if (before.isPresent()) {
                return before.get();
            }
            t.createQuery("select id from job").mapTo(String.class).list().stream()
                    .filter(other -> !other.equals(id) && JobNumber.collide(other, id)).forEach(other -> {
                        throw new BookProblem(
                                say("The files of job %s would overwrite those of %s, which the book has already; "
                                        + "choose another number.", id, other));
                    });
            int made = t.createUpdate(JobRow.ADD).bindMap(JobRow.of(document, judged, 1)).execute();
            if (made == 0) {
                return second && has(t, document, 1) ? 1L : 0L;
            }
            keys.forEach(k -> enter(t, id, k, 1));
            store.announce(t, id);
            return 1L;
        });
        if (added == 0) {
            throw new BookProblem(say("The book has a job %s already; choose another number.", id));
        }
        return new Kept(document, added);
    }

    /** The revision that an entry made; empty where it was not taken. */
    private static Optional<Long> entered(Handle in, String job, EntryKey key) {
        return in
                .createQuery("select revision from entered where writer = :writer and job = :job and number >= :number")
                .bind("writer", key.writer()).bind("job", job).bind("number", key.number()).mapTo(Long.class).findOne();
    }

    private static int enter(Handle in, String job, EntryKey key, long revision) {
        return in.createUpdate("insert into entered (writer, job, number, revision) "
                + "values (:writer, :job, :number, :revision) on conflict (writer, job) do update set "
                + "number = excluded.number, revision = excluded.revision where excluded.number > entered.number")
                .bind("writer", key.writer()).bind("job", job).bind("number", key.number()).bind("revision", revision)
                .execute();
    }

    @Override
    public List<EntryKey> taken(String job, List<EntryKey> keys) {
        return keys.isEmpty()
                ? List.of()
                : with(h -> keys.stream().filter(k -> entered(h, job, k).isPresent()).toList());
    }

    @Override
    public String identity() {
        Optional<String> known = with(h -> h.createQuery("select value from preference where name = :name")
                .bind("name", ShopHabits.BOOK).mapTo(String.class).findOne());
        return known.orElseGet(() -> {
            change(t -> t.createUpdate("insert into preference (name, value) values (:name, :value) "
                    + "on conflict (name) do nothing").bind("name", ShopHabits.BOOK)
                    .bind("value", UUID.randomUUID().toString()).execute());
            return identity();
        });
    }

    /** Returns whether an entry is in already: its answer may have been lost on the line after it was taken. */
    private static boolean has(Handle in, JobDocument document, long revision) {
        return in.createQuery("select 1 from job where id = :id and revision = :revision and digest = :digest")
                .bind("id", document.job().id()).bind("revision", revision)
                .bind("digest", JobRow.digest(document.text())).mapTo(Integer.class).findOne().isPresent();
    }

    @Override
    public long save(JobDocument document, @Nullable Judged judged, long basedOn, List<EntryKey> keys) {
        String id = document.job().id();
        long saved = change(t -> {
            Optional<Long> before = keys.stream().findFirst().flatMap(k -> entered(t, id, k));
            if (before.isPresent()) {
                return before.get();
            }
            int changed = t.createUpdate("update job set vehicle = :vehicle, revision = revision + 1, "
                    + "changed = :changed, document = :document, digest = :digest, " + JobRow.JUDGED
                    + " where id = :id and revision = :basedOn")
                    .bindMap(JobRow.of(document)).bindMap(JobRow.of(judged)).bind("basedOn", basedOn).execute();
            if (changed == 0 && !has(t, document, basedOn + 1)) {
                return 0L;
            }
            keys.forEach(k -> enter(t, id, k, basedOn + 1));
            store.announce(t, id);
            return basedOn + 1;
        });
        if (saved == 0) {
            throw new BookConflict(say("Job %s was changed elsewhere since it was opened.", id));
        }
        return saved;
    }

    @Override
    public List<String> unjudged(String by) {
        return with(h -> h.createQuery("select id from job where judged is null or judged <> :by")
                .bind("by", by).mapTo(String.class).list());
    }

    @Override
    public void judge(Judged judged, long revision) {
        requireSound();
        with(h -> h.createUpdate("update job set " + JobRow.JUDGED + " where id = :id and revision = :revision")
                .bindMap(JobRow.of(judged)).bind("id", judged.summary().id()).bind("revision", revision).execute());
    }

    @Override
    public void judgeUnreadable(String id, String why, String by) {
        requireSound();
        with(h -> h.createUpdate("update job set judged = :by, fault = :fault where id = :id").bind("by", by)
                .bind("fault", why).bind("id", id).execute());
    }

    synchronized void requireSound() {
        store.requireSound();
    }

    @Override
    public void copy(LocalDate day) {
        requireSound();
        store.copy(day);
    }

    @Override
    public Optional<byte[]> photo(String digest) {
        return with(h -> h.createQuery("select bytes from photo where digest = :digest").bind("digest", digest)
                .map((row, context) -> row.getBytes(1)).findOne());
    }

    @Override
    public boolean lacks(String digest) {
        return false;
    }

    @Override
    public void keep(String digest, byte[] photo) {
        change(t -> t.createUpdate("insert into photo (digest, bytes) values (:digest, :bytes) "
                + "on conflict (digest) do nothing").bind("digest", digest).bind("bytes", photo).execute());
    }

    boolean hasPhoto(String digest) {
        return with(h -> h.createQuery("select 1 from photo where digest = :digest").bind("digest", digest)
                .mapTo(Integer.class).findOne()).isPresent();
    }

    @Override
    public Map<String, String> preferences() {
        return with(h -> {
            Map<String, String> all = new LinkedHashMap<>();
            h.createQuery("select name, value from preference")
                    .map((row, context) -> Map.entry(row.getString("name"), row.getString("value"))).forEach(
                            e -> all.put(e.getKey(), e.getValue()));
            return all;
        });
    }

    @Override
    public void prefer(String name, String value) {
        requireSound();
        with(h -> h
                .createUpdate("insert into preference (name, value) values (:name, :value) "
                        + "on conflict (name) do update set value = excluded.value")
                .bind("name", name).bind("value", value).execute());
    }

    @Override
    public SensorLife life(String number) {
        return sensors.life(number);
    }

    @Override
    public List<SensorLife> lives() {
        return sensors.lives();
    }

    @Override
    public void note(List<SensorLife> lives) {
        sensors.note(lives);
    }

    @Override
    public void forget(String number, SensorNote note) {
        sensors.forget(number, note);
    }

    /** Returns what a copy knows of sensors, and has still to tell the book that it follows. */
    SensorNotes sensors() {
        return sensors;
    }

    @Override
    public void watch(Consumer<BookEvent> listener) {
        watch(with(JobBook::revisions), listener);
    }

    synchronized void watch(Map<String, Long> known, Consumer<BookEvent> listener) {
        Watch made = new Watch(store, known, listener);
        watch = made;
        made.start();
    }

    /** The revision of every job. */
    static Map<String, Long> revisions(Handle in) {
        Map<String, Long> all = new HashMap<>();
        in.createQuery("select id, revision from job")
                .map((row, context) -> Map.entry(row.getString(1), row.getLong(2)))
                .forEach(e -> all.put(e.getKey(), e.getValue()));
        return all;
    }

    /** The revision of a job; empty when the book has none of this number. */
    Optional<Long> revision(String id) {
        return with(h -> h.createQuery("select revision from job where id = :id").bind("id", id).mapTo(Long.class)
                .findOne());
    }

    /** Jobs as they lie in the book, to be put into another. */
    List<Map<String, @Nullable Object>> rows(Collection<String> ids) {
        return ids.isEmpty()
                ? List.of()
                : with(h -> h.createQuery("select " + JobRow.ALL + " from job where id in (<ids>)")
                        .bindList("ids", ids).map((row, context) -> JobRow.raw(row)).list());
    }

    /** Puts jobs of another book in; one that is here already is replaced, unless it is newer. */
    void put(List<Map<String, @Nullable Object>> rows) {
        if (!rows.isEmpty()) {
            change(t -> {
                PreparedBatch all = t.prepareBatch(JobRow.PUT);
                rows.forEach(r -> all.bindMap(r).add());
                int[] put = all.execute();
                rows.forEach(r -> store.announce(t, String.valueOf(r.get("id"))));
                return put;
            });
        }
    }

    /** Puts a job in as another book has it. */
    void put(JobDocument document, @Nullable Judged judged, long revision) {
        put(List.of(JobRow.of(document, judged, revision)));
    }

    /** Takes a job out, unless it has been changed since that revision. */
    void remove(String id, long revision) {
        change(t -> {
            int gone = t.createUpdate("delete from job where id = :id and revision = :revision").bind("id", id)
                    .bind("revision", revision).execute();
            store.announce(t, id);
            return gone;
        });
    }

    /** Changes the book in one transaction, and counts it. */
    <T> T change(Function<Handle, T> work) {
        requireSound();
        return changed(work);
    }

    private synchronized <T> T changed(Function<Handle, T> work) {
        T done = with(h -> h.inTransaction(t -> {
            T made = work.apply(t);
            store.count(t);
            return made;
        }));
        store.counted();
        return done;
    }

    /** Notice on the state in which the book was found when it was opened. */
    @Override
    public Optional<String> said() {
        return store.said();
    }

    /** Runs work with the one connection, and once more where the line was down; the work must be idempotent. */
    synchronized <T> T with(Function<Handle, T> work) {
        try {
            return store.jdbi().withHandle(work::apply);
        } catch (JdbiException | SQLException | FlywayException e) {
            if (!store.lost(e)) {
                throw store.problem(e);
            }
        }
        try {
            return store.jdbi().withHandle(work::apply);
        } catch (JdbiException | SQLException | FlywayException e) {
            store.lost(e);
            throw store.problem(e);
        }
    }

    @Override
    public void close() {
        Watch listening = watch;
        if (listening != null) {
            // Not while the book is held: it may be asking for something itself.
            listening.close();
        }
        letGo();
    }

    private synchronized void letGo() {
        store.close();
    }
}
