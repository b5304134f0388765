package amberheron.app.parts;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Refused;
import amberheron.core.job.Job;
import amberheron.core.parts.Property;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
            return new EditTable.Cell(entry, entry::refresh, entry::text);
        }, (job, part, text) -> switch (Figures.parse(session, field, text)) {
            case Parsed.Value v -> with(job, part, p -> to.apply(p, v.si()))
                    .withEntries(job.entries().entered(property.of(part), session.typed()));
            case Parsed.Bad bad -> throw new Unusable(bad.message());
        });
    }

    /** A column of words, which takes the room that is left; {@code value} ends the name of its fields. */
    public EditTable.Column words(String name, String value, Function<T, String> from,
            BiFunction<T, String, T> to) {
        return new EditTable.Column(name, true, part -> {
            TextEntry entry = new TextEntry(session, name, key(part, value), "", 1,
                    j -> part(j, part).map(from).orElse(""), (j, v) -> with(j, part, p -> to.apply(p, v))).inTable();
            return new EditTable.Cell(entry, entry::refresh, entry::text);
        }, (job, part, text) -> with(job, part, p -> to.apply(p, text)));
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
            return new EditTable.Cell(choice, choice::refresh,
                    () -> part(session.job(), part).map(from).map(shown).orElse(""));
        }, (job, part, text) -> {
            V picked = values.stream()
                    .filter(v -> shown.apply(v).toLowerCase(Locale.ROOT).startsWith(text.toLowerCase(Locale.ROOT)))
                    .findFirst().orElseThrow(() -> new Unusable(say("found “%s”, expected one of: %s", text,
                            String.join(", ", values.stream().map(shown).toList()))));
            return with(job, part, p -> to.apply(p, picked));
        });
    }

    /** Fills cells from one of a row on, as one step; where one does not fit nothing is taken, and it is said which. */
    void paste(List<EditTable.Column> columns, int row, int column, List<List<String>> cells) {
        try {
            Job filled = filled(session.job(), columns, row, column, cells);
            session.edit(count("1 row pasted", "%d rows pasted", cells.size()), job -> filled);
        } catch (Unusable e) {
            session.tell(say("Nothing was pasted. %s", e.getMessage()));
        }
    }

    /** Puts rows of it on the clipboard. */
    void copy(String rows) {
        Copied.text(session, count("1 row", "%d rows", rows.lines().count()), rows);
    }

    private Job filled(Job job, List<EditTable.Column> columns, int row, int column, List<List<String>> cells) {
        Job filled = job;
        for (int r = 0; r < cells.size(); r++) {
            List<T> all = new ArrayList<>(read.apply(filled));
            if (row + r >= all.size()) {
                all.add(made.after(all, all.size() - 1));
                filled = write.apply(filled, all);
            }
            String part = id.apply(read.apply(filled).get(row + r));
            for (int c = 0; c < cells.get(r).size(); c++) {
                String text = cells.get(r).get(c);
                if (text.isEmpty()) {
                    continue;
                }
                if (column + c >= columns.size()) {
                    throw new Unusable(say("Row %d: found more cells than columns from here on.", r + 1));
                }
                EditTable.Column to = columns.get(column + c);
                try {
                    filled = to.taken().into(filled, part, text);
                } catch (Refused e) {
                    throw new Unusable(where(r, to, Figures.text(session, e.why())));
                } catch (Unusable e) {
                    throw new Unusable(where(r, to, String.valueOf(e.getMessage())));
                }
            }
        }
        return filled;
    }

    private static String where(int row, EditTable.Column column, String why) {
        return say("Row %d, %s: %s", row + 1, column.name(), why);
    }
}
