package amberheron.io.book;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.statement.PreparedBatch;
import org.jdbi.v3.core.statement.SqlStatement;

/** Lives of sensors, as the book knows them. */
final class SensorNotes {
    private final JobBook book;

    SensorNotes(JobBook book) {
        this.book = book;
    }

    private record Row(String noted, String kind, String job, double value) {
        /** The note; empty where a newer version noted what this one does not know. */
        Optional<SensorNote> note() {
            return SensorNote.Kind.of(kind).map(k -> new SensorNote(LocalDate.parse(noted), k, value, job));
        }
    }

    /** Every life that something was noted of. */
    List<SensorLife> lives() {
        return all("sensor_note");
    }

    private List<SensorLife> all(String table) {
        Map<String, List<SensorNote>> found = new TreeMap<>();
        book.with(h -> h
                .createQuery("select number, noted, kind, job, value from " + table + " order by noted, kind, job")
                .map((r, c) -> Map.entry(text(r, "number"), row(r))).list())
                .forEach(e -> e.getValue().note()
                        .ifPresent(n -> found.computeIfAbsent(e.getKey(), k -> new ArrayList<>()).add(n)));
        return found.entrySet().stream().map(e -> new SensorLife(e.getKey(), e.getValue())).toList();
    }

    private static Row row(ResultSet r) throws SQLException {
        return new Row(text(r, "noted"), text(r, "kind"), text(r, "job"), r.getDouble("value"));
    }

    private static String text(ResultSet r, String column) throws SQLException {
        return Objects.requireNonNullElse(r.getString(column), "");
    }

    /** The life of a sensor; without notes for one that is not known. */
    SensorLife life(String number) {
        List<Row> rows = book.with(h -> h
                .createQuery(
                        "select noted, kind, job, value from sensor_note where number = :number order by noted, kind, job")
                .bind("number", number)
                .map((r, c) -> row(r)).list());
        return new SensorLife(number, rows.stream().flatMap(r -> r.note().stream()).toList());
    }

    /** Notes something of sensors, all of it or nothing; what was noted of the same day, kind and job is replaced. */
    void note(List<SensorLife> lives) {
        book.change(t -> insert(t, "sensor_note", lives));
    }

    private static int[] insert(Handle in, String table, List<SensorLife> lives) {
        PreparedBatch rows = in.prepareBatch("insert into " + table + " (number, noted, kind, job, value) "
                + "values (:number, :noted, :kind, :job, :value) "
                + "on conflict (number, noted, kind, job) do update set value = excluded.value");
        lives.forEach(l -> l.notes().forEach(n -> row(rows, l.number(), n).bind("value", n.value()).add()));
        return rows.size() == 0 ? new int[0] : rows.execute();
    }

    private static <T extends SqlStatement<T>> T row(T to, String number, SensorNote note) {
        return to.bind("number", number).bind("noted", note.date().toString()).bind("kind", note.kind().key())
                .bind("job", note.job());
    }

    /** Takes a note back. */
    void forget(String number, SensorNote note) {
        book.change(t -> row(t.createUpdate(delete("sensor_note")), number, note).execute());
    }

    private static String delete(String table) {
        return "delete from " + table + " where number = :number and noted = :noted and kind = :kind and job = :job";
    }

    /** Notes in a copy what the book that it follows has still to be told. */
    void noteForLater(List<SensorLife> lives) {
        book.change(t -> {
            insert(t, "sensor_note_left", lives);
            return insert(t, "sensor_note", lives);
        });
    }

    /** Returns what a copy has still to tell the book that it follows. */
    List<SensorLife> left() {
        return all("sensor_note_left");
    }

    /** Notes in a copy that the book it follows was told of these. */
    void told(List<SensorLife> lives) {
        book.change(t -> {
            lives.forEach(l -> l.notes().forEach(
                    n -> row(t.createUpdate(delete("sensor_note_left") + " and value = :value"), l.number(), n)
                            .bind("value", n.value()).execute()));
            return true;
        });
    }

    /** Replaces all that a copy knows by what the book that it follows knows. */
    void follow(List<SensorLife> lives) {
        book.change(t -> {
            t.execute("delete from sensor_note");
            insert(t, "sensor_note", lives);
            // What was noted meanwhile is still to be told.
            return t.execute("insert into sensor_note select number, noted, kind, job, value from sensor_note_left "
                    + "where true on conflict (number, noted, kind, job) do update set value = excluded.value");
        });
    }
}
