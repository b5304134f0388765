package amberheron.io.json;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.PartIds;
import amberheron.core.parts.Property;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A value of a record under its name in the record's JSON object, described once. The description drives reading and
 * writing, the schema, and the words that people know the value by.
 */
final class Value<T, V extends @Nullable Object> implements Part<T, V> {
    /** Longest name, mark or file name. */
    static final int SHORT = 40;
    /** Longest line. */
    static final int LINE = 200;
    /** Longest note. */
    static final int NOTE = 4000;

    private final String name;
    private final Function<T, V> of;
    private final Kind<V> kind;
    private final UnaryOperator<ObjectNode> described;
    private final FieldNames.@Nullable Name called;

    private Value(String name, Function<T, V> of, Kind<V> kind, UnaryOperator<ObjectNode> described,
            FieldNames.@Nullable Name called) {
        this.name = name;
        this.of = of;
        this.kind = kind;
        this.described = described;
        this.called = called;
    }

    /** A value of a kind of its own. */
    static <T, V extends @Nullable Object> Value<T, V> of(String name, Function<T, V> of, Kind<V> kind) {
        return new Value<>(name, of, kind, schema -> schema, null);
    }

    @Override
    public V read(Cursor at) {
        return kind.reader().apply(at, name);
    }

    @Override
    public void write(ObjectNode out, T from) {
        kind.writer().write(out, name, of.apply(from));
    }

    @Override
    public void describe(SchemaObject into) {
        into.add(name, described.apply(kind.schema().get()), kind.needed());
    }

    @Override
    public void name(String path, FieldNames into) {
        if (called != null) {
            into.add(path + name, called);
        }
        kind.inside().name(path + name, into);
    }

    private Value<T, V> with(UnaryOperator<ObjectNode> more) {
        return new Value<>(name, of, kind, schema -> more.apply(described.apply(schema)), called);
    }

    /** Returns the value within a plausible range; the record's constructor holds it to that too. */
    Value<T, V> within(Sane limits) {
        return within(limits.min(), limits.max());
    }

    Value<T, V> within(double min, double max) {
        return with(s -> {
            limited(each(s), min, max);
            return s;
        });
    }

    /** The schema of a value, or of each in a list. */
    private static ObjectNode each(ObjectNode schema) {
        return schema.get("items") instanceof ObjectNode items ? items : schema;
    }

    /** Puts limits into a schema, whole numbers as such. */
    static ObjectNode limited(ObjectNode schema, double min, double max) {
        return min == Math.rint(min) && max == Math.rint(max)
                ? schema.put("minimum", (long) min).put("maximum", (long) max)
                : schema.put("minimum", min).put("maximum", max);
    }

    /** Returns the text, or list of texts, limited to a number of characters. */
    Value<T, V> most(int characters) {
        return with(s -> {
            each(s).put("maxLength", characters);
            return s;
        });
    }

    /** Returns the text required not to be empty. */
    Value<T, V> notEmpty() {
        return with(s -> s.put("minLength", 1));
    }

    /** Returns the list with a least number of entries. */
    Value<T, V> fewestEntries(int entries) {
        return with(s -> s.put("minItems", entries));
    }

    /** Returns the list with a greatest number of entries. */
    Value<T, V> mostEntries(int entries) {
        return with(s -> s.put("maxItems", entries));
    }

    /** Returns the value with a note on what it is and in which unit, for whoever reads the schema. */
    Value<T, V> about(String words) {
        return with(s -> s.put("description", words));
    }

    /** Returns the value required to be present. */
    Value<T, V> needed() {
        return new Value<>(name, of, new Kind<>(kind.reader(), kind.writer(), kind.schema(), true, kind.inside()),
                described, called);
    }

    /** The same, called as its field on the screen is. */
    Value<T, V> called(Property field) {
        return called(field::words, null);
    }

    /** The same, called as its field on the screen is, and shown in that field's unit. */
    Value<T, V> called(Property field, Dimension dimension) {
        return called(field::words, dimension);
    }

    Value<T, V> called(String words) {
        return called(() -> word(words), null);
    }

    Value<T, V> called(String words, Dimension dimension) {
        return called(() -> word(words), dimension);
    }

    private Value<T, V> called(Supplier<String> words, @Nullable Dimension dimension) {
        return new Value<>(name, of, kind, described, new FieldNames.Name(words, dimension));
    }

    /** Refuses nought and less; for a number that may be absent. */
    static <T> Value<T, @Nullable Double> positiveOrNull(String name, Function<T, @Nullable Double> of) {
        return Value.<T, @Nullable Double>of(name, of, new Kind<@Nullable Double>(Value::positive, ObjectNode::put,
                () -> either("number").put("exclusiveMinimum", 0), false));
    }

    private static @Nullable Double positive(Cursor at, String name) {
        Double value = at.numberOrNull(name);
        if (value != null && value <= 0) {
            throw at.fault(name, "more than 0");
        }
        return value;
    }

    static <T> Value<T, Double> number(String name, Function<T, Double> of) {
        return of(name, of, new Kind<>(Cursor::number, ObjectNode::put, () -> type("number"), true));
    }

    static <T> Value<T, @Nullable Double> numberOrNull(String name, Function<T, @Nullable Double> of) {
        return Value.<T, @Nullable Double>of(name, of,
                new Kind<@Nullable Double>(Cursor::numberOrNull, ObjectNode::put, () -> either("number"), false));
    }

    static <T> Value<T, Integer> integer(String name, Function<T, Integer> of) {
        return of(name, of, new Kind<>(Cursor::integer, ObjectNode::put, () -> type("integer"), true));
    }

    static <T> Value<T, @Nullable Integer> integerOrNull(String name, Function<T, @Nullable Integer> of) {
        return Value.<T, @Nullable Integer>of(name, of,
                new Kind<@Nullable Integer>(Cursor::integerOrNull, ObjectNode::put, () -> either("integer"), false));
    }

    static <T> Value<T, Boolean> flag(String name, Function<T, Boolean> of) {
        return of(name, of, new Kind<>(Cursor::flag, ObjectNode::put, () -> type("boolean"), true));
    }

    static <T> Value<T, @Nullable Boolean> flagOrNull(String name, Function<T, @Nullable Boolean> of) {
        return Value.<T, @Nullable Boolean>of(name, of,
                new Kind<@Nullable Boolean>(Cursor::flagOrNull, ObjectNode::put, () -> either("boolean"), false));
    }

    /** True or false; false where it is absent, as in documents from before it was asked. */
    static <T> Value<T, Boolean> flagOrNot(String name, Function<T, Boolean> of) {
        return of(name, of, new Kind<>((at, field) -> Boolean.TRUE.equals(at.flagOrNull(field)), ObjectNode::put,
                () -> either("boolean"), false));
    }

    /** A line that has to be there. */
    static <T> Value<T, String> text(String name, Function<T, String> of) {
        return of(name, of, new Kind<>(Cursor::text, ObjectNode::put, () -> type("string").put("maxLength", LINE),
                true));
    }

    /** A line; empty where it is absent. */
    static <T> Value<T, String> textOrEmpty(String name, Function<T, String> of) {
        return textOr(name, of, (at, field) -> "");
    }

    /** A line; something else where it is absent. */
    static <T> Value<T, String> textOr(String name, Function<T, String> of, BiFunction<Cursor, String, String> absent) {
        return of(name, of, new Kind<>((at, field) -> {
            String text = at.textOrNull(field);
            return text == null ? absent.apply(at, field) : text;
        }, ObjectNode::put, () -> type("string").put("maxLength", LINE), false));
    }

    static <T> Value<T, @Nullable String> textOrNull(String name, Function<T, @Nullable String> of) {
        return Value.<T, @Nullable String>of(name, of, new Kind<@Nullable String>(Cursor::textOrNull, ObjectNode::put,
                () -> either("string").put("maxLength", SHORT), false));
    }

    /** Id of a part of a list; a part of a document that was written before parts had ids gets one as it is read. */
    static <T> Value<T, String> partId(Function<T, String> of) {
        return textOrEmpty("id", of).most(SHORT)
                .about("finds the part wherever it stands; no two parts of a job that anybody adds have the same");
    }

    static <T> Value<T, @Nullable LocalDate> date(String name, Function<T, @Nullable LocalDate> of) {
        return Value.<T, @Nullable LocalDate>of(name, of, new Kind<@Nullable LocalDate>(Cursor::date,
                (out, field, day) -> out.put(field, day == null ? null : day.toString()),
                () -> either("string").put("maxLength", SHORT), false));
    }

    /** A day that has to be said. */
    static <T> Value<T, LocalDate> day(String name, Function<T, LocalDate> of) {
        return of(name, of, new Kind<>(Cursor::day, (out, field, day) -> out.put(field, day.toString()),
                () -> type("string").put("maxLength", SHORT), true));
    }

    static <T> Value<T, @Nullable Instant> momentOrNull(String name, Function<T, @Nullable Instant> of) {
        return Value.<T, @Nullable Instant>of(name, of, new Kind<@Nullable Instant>(Cursor::momentOrNull,
                (out, field, moment) -> out.put(field, moment == null ? null : moment.toString()),
                () -> either("string").put("maxLength", SHORT), false));
    }

    static <T> Value<T, Instant> moment(String name, Function<T, Instant> of) {
        return of(name, of, new Kind<>(Cursor::moment, (out, field, moment) -> out.put(field, moment.toString()),
                () -> type("string").put("maxLength", SHORT), true));
    }

    /** One of an enum. */
    static <T, E extends Enum<E>> Value<T, E> choice(String name, Function<T, E> of, E[] values) {
        return choice(name, of, values, Cursor::id);
    }

    /** One of an enum that is written by names of its own. */
    static <T, E extends Enum<E>> Value<T, E> choice(String name, Function<T, E> of, E[] values,
            Function<E, String> id) {
        return of(name, of, new Kind<>((at, field) -> at.choice(field, values, id),
                (out, field, one) -> out.put(field, id.apply(one)), () -> choices(values, id), true));
    }

    /** One of an enum; something else where it is absent. */
    static <T, E extends Enum<E>> Value<T, E> choiceOr(String name, Function<T, E> of, E[] values,
            Function<Cursor, E> absent) {
        return of(name, of, new Kind<>((at, field) -> {
            E one = at.choiceOrNull(field, values);
            return one == null ? absent.apply(at) : one;
        }, (out, field, one) -> out.put(field, Cursor.id(one)), () -> choices(values, Cursor::id), false));
    }

    static <T, E extends Enum<E>> Value<T, @Nullable E> choiceOrNull(String name, Function<T, @Nullable E> of,
            E[] values) {
        return Value.<T, @Nullable E>of(name, of, new Kind<@Nullable E>((at, field) -> at.choiceOrNull(field, values),
                (out, field, one) -> out.put(field, Cursor.idOrNull(one)), () -> {
                    ObjectNode schema = choices(values, Cursor::id);
                    ((ArrayNode) schema.get("enum")).addNull();
                    return schema;
                }, false));
    }

    /** Several of an enum, written in its order. */
    static <T, E extends Enum<E>> Value<T, Set<E>> choices(String name, Function<T, Set<E>> of, E[] values) {
        return of(name, of, new Kind<>((at, field) -> at.choices(field, values), (out, field, some) -> {
            ArrayNode list = out.putArray(field);
            some.stream().sorted().forEach(one -> list.add(Cursor.id(one)));
        }, () -> listOf(choices(values, Cursor::id)), false));
    }

    /** Lines. */
    static <T> Value<T, List<String>> texts(String name, Function<T, List<String>> of) {
        return of(name, of, lines(Cursor::texts));
    }

    /** Lines of which each is there once. */
    static <T> Value<T, Set<String>> textSet(String name, Function<T, Set<String>> of) {
        return of(name, of, lines((at, field) -> Set.copyOf(at.texts(field))));
    }

    private static <C extends Collection<String>> Kind<C> lines(BiFunction<Cursor, String, C> read) {
        return new Kind<>(read, (out, field, lines) -> {
            ArrayNode list = out.putArray(field);
            lines.forEach(list::add);
        }, () -> listOf(type("string").put("maxLength", LINE)), false);
    }

    static <T> Value<T, List<Double>> numbers(String name, Function<T, List<Double>> of) {
        return of(name, of, new Kind<>(Cursor::numbers, (out, field, numbers) -> {
            ArrayNode list = out.putArray(field);
            numbers.forEach(list::add);
        }, () -> listOf(type("number")), false));
    }

    /** Records in their order. */
    static <T, E> Value<T, List<E>> list(String name, Function<T, List<E>> of, RecordForm<E> form) {
        return of(name, of, listOf(form, UnaryOperator.identity()));
    }

    /** Records with ids in their order; those without one are numbered as they are read. */
    static <T, E> Value<T, List<E>> numbered(String name, Function<T, List<E>> of, RecordForm<E> form,
            Function<E, String> id, BiFunction<E, String, E> withId) {
        return of(name, of, listOf(form, all -> PartIds.numbered(all, id, withId)));
    }

    private static <E> Kind<List<E>> listOf(RecordForm<E> form, UnaryOperator<List<E>> read) {
        return new Kind<>((at, field) -> read.apply(at.list(field).stream().map(form::read).toList()),
                (out, field, all) -> {
                    ArrayNode list = out.putArray(field);
                    all.forEach(each -> list.add(form.write(each)));
                }, () -> listOf(form.schema()), false, (path, into) -> form.name(path + ".", into));
    }

    /**
     * Records written as lists of numbers, to be short.
     *
     * @param count how many numbers each is made of
     * @param read makes a record of its numbers
     * @param write adds its numbers
     */
    static <T, E> Value<T, List<E>> rows(String name, Function<T, List<E>> of, int count, Function<Cursor, E> read,
            BiConsumer<ArrayNode, E> write) {
        return of(name, of, new Kind<>((at, field) -> at.list(field).stream().map(read).toList(),
                (out, field, all) -> {
                    ArrayNode list = out.putArray(field);
                    all.forEach(each -> write.accept(list.addArray(), each));
                }, () -> listOf(listOf(type("number")).put("minItems", count)), false));
    }

    /** A record that has to be there. */
    static <T, V> Value<T, V> object(String name, Function<T, V> of, RecordForm<V> form) {
        return of(name, of, new Kind<>((at, field) -> form.read(at.object(field)),
                (out, field, value) -> out.set(field, form.write(value)), form::schema, true,
                (path, into) -> form.name(path + ".", into)));
    }

    /** A record that older documents lack. */
    static <T, V> Value<T, V> objectOr(String name, Function<T, V> of, RecordForm<V> form, V absent) {
        return of(name, of, new Kind<>((at, field) -> at.objectOrNone(field).map(form::read).orElse(absent),
                (out, field, value) -> out.set(field, form.write(value)), form::schema, false,
                (path, into) -> form.name(path + ".", into)));
    }

    /** A record in whose place {@code null} is written where it says nothing. */
    static <T, V> Value<T, V> objectUnless(String name, Function<T, V> of, RecordForm<V> form, V nothing) {
        return of(name, of, new Kind<>((at, field) -> at.objectOrNone(field).map(form::read).orElse(nothing),
                (out, field, value) -> out.set(field,
                        value.equals(nothing) ? out.nullNode() : form.write(value)),
                () -> orNull(form.schema()), false, (path, into) -> form.name(path + ".", into)));
    }

    static <T, V> Value<T, @Nullable V> objectOrNull(String name, Function<T, @Nullable V> of, RecordForm<V> form) {
        return of(name, of, new Kind<>((at, field) -> at.objectOrNone(field).map(form::read).orElse(null),
                (out, field, value) -> out.set(field, value == null ? out.nullNode() : form.write(value)),
                () -> orNull(form.schema()), false, (path, into) -> form.name(path + ".", into)));
    }

    /** The schema of a plain type. */
    static ObjectNode type(String type) {
        return Json.object().put("type", type);
    }

    /** The schema of a plain type that may be null. */
    static ObjectNode either(String type) {
        return orNull(type(type));
    }

    private static ObjectNode orNull(ObjectNode schema) {
        ArrayNode types = schema.arrayNode().add(schema.get("type")).add("null");
        schema.set("type", types);
        return schema;
    }

    private static <E> ObjectNode choices(E[] values, Function<E, String> id) {
        ObjectNode schema = Json.object();
        ArrayNode some = schema.putArray("enum");
        Arrays.stream(values).map(id).forEach(some::add);
        return schema;
    }

    private static ObjectNode listOf(ObjectNode items) {
        ObjectNode schema = type("array");
        schema.set("items", items);
        return schema;
    }
}
