package amberheron.app.parts;

import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.parts.Property;
import amberheron.core.units.QuantityField;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A list of the job whose parts are found by their ids wherever they stand: the changes that can be made to it, and the
 * columns that show it.
 */
public final class PartList<T> {
    private final Session session;
    private final Function<Job, List<T>> read;
    private final BiFunction<Job, List<T>, Job> write;
    private final Function<T, String> id;
    private final Property first;
    private final Made<T> made;
    private final Words<T> words;

    /** Makes the part that is to stand after a place, counted from 0; -1 before all others. */
    public interface Made<T> {
        T after(List<T> all, int place);
    }

    /** How a change of the list is called where it can be taken back. */
    public record Words<T>(Function<T, String> added, String moved, String removed) {
    }

    /**
     * A list.
     *
     * @param first what is typed into first of a new part
     */
    public PartList(Session session, Function<Job, List<T>> read, BiFunction<Job, List<T>, Job> write,
            Function<T, String> id, Property first, Made<T> made, Words<T> words) {
        this.session = session;
        this.read = read;
        this.write = write;
        this.id = id;
        this.first = first;
        this.made = made;
        this.words = words;
    }

    private List<T> all() {
        return new ArrayList<>(read.apply(session.job()));
    }

    /** The ids of the parts as they stand. */
    List<String> ids() {
        return read.apply(session.job()).stream().map(id).toList();
    }

    /** Adds a part after a place, counted from 0; after -1 at the beginning. Its first field is brought. */
    void addAfter(int place) {
        List<T> all = all();
        T part = made.after(all, place);
        all.add(place + 1, part);
        session.edit(words.added.apply(part), j -> write.apply(j, all));
        session.seek(first.of(ids().get(place + 1)));
    }

    /** Moves the part at a place by so many. */
    void move(int place, int by) {
        List<T> all = all();
        all.add(place + by, all.remove(place));
        session.edit(words.moved, j -> write.apply(j, all));
    }

    /** Removes the part at a place, and what was half typed for it. */
    void remove(int place) {
        List<T> all = all();
        String gone = id.apply(all.remove(place));
        session.edit(words.removed, j -> write.apply(j, all).withoutPart(first.of(gone)));
    }

    private Optional<T> part(Job job, String wanted) {
        return read.apply(job).stream().filter(p -> id.apply(p).equals(wanted)).findFirst();
    }

    private Job with(Job job, String wanted, UnaryOperator<T> change) {
        return write.apply(job,
                read.apply(job).stream().map(p -> id.apply(p).equals(wanted) ? change.apply(p) : p).toList());
    }

    private String key(String part, String value) {
        return first.of(part).partKey() + value;
    }

    /** A column of quantities. */
    public EditTable.Column quantity(QuantityField field, int decimals, Property property,
            Function<T, @Nullable Double> from, BiFunction<T, @Nullable Double, T> to) {
        return new EditTable.Column(field.name(), false, part -> {
            EntryField entry = new EntryField(session, field, decimals, () -> property.of(part),
                    j -> part(j, part).map(from).orElse(null), (j, v) -> with(j, part, p -> to.apply(p, v))).inTable();
            return new EditTable.Cell(entry, entry::refresh);
        });
    }

    /** A column of words, which takes the room that is left; {@code value} ends the name of its fields. */
    public EditTable.Column words(String name, String value, Function<T, String> from,
            BiFunction<T, String, T> to) {
        return new EditTable.Column(name, true, part -> {
            TextEntry entry = new TextEntry(session, name, key(part, value), "", 1,
                    j -> part(j, part).map(from).orElse(""), (j, v) -> with(j, part, p -> to.apply(p, v))).inTable();
            return new EditTable.Cell(entry, entry::refresh);
        });
    }

    /**
     * A column of choices.
     *
     * @param value ends the name of its fields
     * @param shown a choice in words
     * @param done how picking it is called where it can be taken back
     */
    public <V> EditTable.Column choice(String name, String value, List<V> values,
            Function<V, String> shown, Function<V, String> done, Function<T, V> from, BiFunction<T, V, T> to) {
        return new EditTable.Column(name, false, part -> {
            Choice<V> choice = Choice.list(name, key(part, value), values, shown,
                    () -> part(session.job(), part).map(from).orElse(null),
                    v -> session.edit(done.apply(v), j -> with(j, part, p -> to.apply(p, v)))).inTable();
            return new EditTable.Cell(choice, choice::refresh);
        });
    }
}
