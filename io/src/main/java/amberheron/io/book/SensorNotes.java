package amberheron.io.book;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import java.time.LocalDate;
import java.util.Arrays;
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
            return Arrays.stream(SensorNote.Kind.values()).filter(k -> k.key().equals(kind)).findFirst()
                    .map(k -> new SensorNote(LocalDate.parse(noted), k, value, job));
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

    /** Notes something; what was noted of the same day, kind and job is replaced. */
    public void note(String number, SensorNote note) {
        book.requireSound();
        book.with(h -> h.createUpdate("insert into sensor_note (number, noted, kind, job, value) "
                + "values (:number, :noted, :kind, :job, :value) "
                + "on conflict (number, noted, kind, job) do update set value = excluded.value")
                .bind("number", number).bind("noted", note.date().toString()).bind("kind", note.kind().key())
                .bind("job", note.job()).bind("value", note.value()).execute());
    }

    /** Takes a note back. */
    public void forget(String number, SensorNote note) {
        book.requireSound();
        book.with(h -> h.createUpdate("delete from sensor_note where number = :number and noted = :noted "
                + "and kind = :kind and job = :job").bind("number", number).bind("noted", note.date().toString())
                .bind("kind", note.kind().key()).bind("job", note.job()).execute());
    }
}
