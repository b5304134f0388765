package amberheron.io.book;

import org.jdbi.v3.core.statement.PreparedBatch;
import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** What the book knows of the lives of sensors. */
public final class SensorNotes {
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

    /** Every number that something was noted of. */
    public List<String> numbers() {
        return book.with(h -> h.createQuery("select distinct number from sensor_note order by number")
                .mapTo(String.class).list());
    }

    /** The life of a sensor; without notes for one that is not known. */
    public SensorLife life(String number) {
        List<Row> rows = book.with(h -> h
                .createQuery("select noted, kind, job, value from sensor_note where number = :number order by noted")
                .bind("number", number)
                .map((r, c) -> new Row(Objects.requireNonNullElse(r.getString("noted"), ""),
                        Objects.requireNonNullElse(r.getString("kind"), ""),
                        Objects.requireNonNullElse(r.getString("job"), ""), r.getDouble("value")))
                .list());
        return new SensorLife(number, rows.stream().flatMap(r -> r.note().stream()).toList());
    }

    /** Notes something of sensors, all of it or nothing; what was noted of the same day, kind and job is replaced. */
    public void note(List<SensorLife> lives) {
        book.requireSound();
        book.with(h -> h.inTransaction(t -> {
            PreparedBatch rows = t.prepareBatch("insert into sensor_note (number, noted, kind, job, value) "
                    + "values (:number, :noted, :kind, :job, :value) "
                    + "on conflict (number, noted, kind, job) do update set value = excluded.value");
            lives.forEach(l -> l.notes()
                    .forEach(n -> rows.bind("number", l.number()).bind("noted", n.date().toString())
                            .bind("kind", n.kind().key()).bind("job", n.job()).bind("value", n.value()).add()));
            return rows.execute();
        }));
    }

    /** Notes one thing. */
    public void note(String number, SensorNote note) {
        note(List.of(new SensorLife(number, List.of(note))));
    }

    /** Takes a note back. */
    public void forget(String number, SensorNote note) {
        book.requireSound();
        book.with(h -> h.createUpdate("delete from sensor_note where number = :number and noted = :noted "
                + "and kind = :kind and job = :job").bind("number", number).bind("noted", note.date().toString())
                .bind("kind", note.kind().key()).bind("job", note.job()).execute());
    }
}
