package amberheron.app.wiring;

import amberheron.app.parts.Choice;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Session;
import amberheron.core.parts.Address;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Makes the fields of one leaf, each for a part of the wiring, and shows anew what the job says. */
final class WireFields {
    private final Session session;
    private final List<Runnable> refreshers = new ArrayList<>();

    WireFields(Session session) {
        this.session = session;
    }

    /** A quantity. */
    EntryField quantity(String name, Unit unit, double min, double max, int decimals, Supplier<Address> address,
            Function<Wiring, @Nullable Double> read, BiFunction<Wiring, @Nullable Double, Wiring> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), decimals, address,
                j -> read.apply(j.wiring()), (j, v) -> j.withWiring(write.apply(j.wiring(), v)));
        refreshers.add(field::refresh);
        return field;
    }

    /** One of several. */
    <T> Choice<T> choice(String name, String key, List<T> values, Function<T, String> words,
            Function<Wiring, @Nullable T> read, BiFunction<Wiring, T, Wiring> write) {
        return choice(name, key, values, words, () -> read.apply(session.job().wiring()),
                v -> edit(words.apply(v), w -> write.apply(w, v)));
    }

    /** One of several, picked for something else than the job. */
    <T> Choice<T> choice(String name, String key, List<T> values, Function<T, String> words,
            Supplier<@Nullable T> read, Consumer<T> pick) {
        return add(new Choice<>(name, key, values, words, read, pick));
    }

    /** One of several, in a list that opens. */
    <T> Choice<T> list(String name, String key, List<T> values, Function<T, String> words,
            Function<Wiring, @Nullable T> read, BiFunction<Wiring, T, Wiring> write) {
        return add(Choice.list(name, key, values, words, () -> read.apply(session.job().wiring()),
                v -> edit(words.apply(v), w -> write.apply(w, v))));
    }

    private <T> Choice<T> add(Choice<T> choice) {
        refreshers.add(choice::refresh);
        return choice;
    }

    /** Yes or no in words. */
    Choice<Boolean> flag(String name, String key, String no, String yes,
            Function<Wiring, @Nullable Boolean> read,
            BiFunction<Wiring, Boolean, Wiring> write) {
        return choice(name, key, List.of(false, true), on -> on ? yes : no, read, write);
    }

    /** Words. */
    TextEntry text(String name, Supplier<String> key, String prompt, Function<Wiring, String> read,
            BiFunction<Wiring, String, Wiring> write) {
        TextEntry entry = new TextEntry(session, name, key, prompt, 1, j -> read.apply(j.wiring()),
                (j, v) -> j.withWiring(write.apply(j.wiring(), v)));
        refreshers.add(entry::refresh);
        return entry;
    }

    void edit(String what, UnaryOperator<Wiring> change) {
        session.edit(what, j -> j.withWiring(change.apply(j.wiring())));
    }

    void refresh() {
        refreshers.forEach(Runnable::run);
    }
}
