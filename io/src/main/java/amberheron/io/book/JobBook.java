package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.JobSummary;
import amberheron.io.JobNumber;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.jspecify.annotations.Nullable;

/**
 * The job book: one database file with every job in it. A call that returns has put its change on the disk, so that
 * killing the program at any moment loses nothing that was acknowledged. Safe for several threads; they take turns.
 */
public final class JobBook implements AutoCloseable {
    private final Store store;

    private JobBook(Store store) {
        this.store = store;
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
     * Opens a book in a file, making it when there is none.
     *
     * @throws BookProblem when the file is not a book, is damaged, locked, or written by a newer version; it is then
     *         left as it was
     */
    public static JobBook open(Path file) {
        return new JobBook(SqliteFile.open(file));
    }

    /**
     * What the shop prefers, read without opening its book for writing; nothing when there is no book.
     *
     * @throws BookProblem when the file is not a book or is damaged
     */
    public static Map<String, String> habits(Path file) {
        return SqliteFile.habits(file);
    }

    /** The jobs, by number, as they were last judged. */
    public List<JobSummary> jobs() {
        // Sorted here, since each database has an order of its own.
        return with(h -> h.createQuery("select " + JobRow.LISTED + " from job")
                .map((row, context) -> JobRow.summary(row)).list()).stream()
                .sorted(Comparator.comparing(JobSummary::id)).toList();
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
                    if (digest != null && !digest.equals(JobRow.digest(text))) {
                        throw new BookProblem(
                                say("Job %s in %s is not as it was kept: the disk has changed it. It was left "
                                        + "as it is; take it from a copy in %s.", id, store.name(), store.copies()));
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
                .bindMap(JobRow.of(document)).bindMap(JobRow.of(judged)).execute());
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
                        + "document = :document, digest = :digest, " + JobRow.JUDGED
                        + " where id = :id and revision = :basedOn")
                .bindMap(JobRow.of(document)).bindMap(JobRow.of(judged)).bind("basedOn", basedOn).execute());
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
        with(h -> h.createUpdate("update job set " + JobRow.JUDGED + " where id = :id and revision = :revision")
                .bindMap(JobRow.of(judged)).bind("id", judged.summary().id()).bind("revision", revision).execute());
    }

    /** Keeps that a job cannot be read, and why. */
    public void judgeUnreadable(String id, String why, String by) {
        requireSound();
        with(h -> h.createUpdate("update job set judged = :by, fault = :fault where id = :id").bind("by", by)
                .bind("fault", why).bind("id", id).execute());
    }

    void requireSound() {
        store.requireSound();
    }

    /**
     * Puts a copy of the whole book beside it, one for a day; the oldest of more than two weeks of them goes.
     *
     * @throws BookProblem when it cannot be written; the book itself is as it was
     */
    public synchronized void copy(LocalDate day) {
        store.copy(day);
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
            return store.jdbi().withHandle(work::apply);
        } catch (JdbiException | SQLException e) {
            throw store.problem(e);
        }
    }

    @Override
    public synchronized void close() {
        store.close();
    }
}
