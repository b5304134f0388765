package amberheron.io.json;

import amberheron.core.units.Sane;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A record as a JSON object: its components in the order in which its constructor takes them, each described once.
 *
 * <pre>
 * RecordForm.of(Probe::new, numberOrNull("standOut", Probe::standOut), …)
 * </pre>
 *
 * @param <T> the record
 */
final class RecordForm<T> {
    private final List<Part<T, ?>> parts;
    private final Function<Cursor, T> make;
    private final Map<String, ObjectNode> extra;
    private final List<String> order;

    private RecordForm(List<Part<T, ?>> parts, Function<Cursor, T> make, Map<String, ObjectNode> extra,
            List<String> order) {
        this.parts = parts;
        this.make = make;
        this.extra = extra;
        this.order = order;
    }

    /** Returns the form with these fields written first, in this order; the others follow as described. */
    RecordForm<T> first(String... fields) {
        return new RecordForm<>(parts, make, extra, List.of(fields));
    }

    /** Returns the form with a field that only older documents have: it is written as null, so that it does not stay. */
    RecordForm<T> formerly(String field, ObjectNode schema) {
        Map<String, ObjectNode> more = new LinkedHashMap<>(extra);
        more.put(field, schema);
        return new RecordForm<>(parts, make, more, order);
    }

    /**
     * Reads a record.
     *
     * @throws amberheron.io.UnusableInput saying where, what was found and what was expected
     */
    T read(Cursor at) {
        return at.build(() -> make.apply(at));
    }

    /** Writes a record into an object of its own. */
    ObjectNode write(T from) {
        ObjectNode out = Json.object();
        write(out, from);
        return out;
    }

    /** Writes a record into an object. */
    void write(ObjectNode into, T from) {
        ObjectNode fields = order.isEmpty() ? into : Json.object();
        parts.forEach(part -> part.write(fields, from));
        extra.keySet().forEach(fields::putNull);
        if (!order.isEmpty()) {
            order.forEach(field -> {
                JsonNode value = fields.remove(field);
                if (value != null) {
                    into.set(field, value);
                }
            });
            into.setAll(fields);
        }
    }

    /** The schema of the record's object. */
    ObjectNode schema() {
        SchemaObject schema = new SchemaObject();
        describe(schema);
        return schema.schema();
    }

    /** Says in a schema what may stand in the record's object. */
    void describe(SchemaObject into) {
        parts.forEach(part -> part.describe(into));
        extra.forEach((field, schema) -> into.add(field, schema, false));
    }

    /** Says what people call the record's values, given the path of its object with a point behind it. */
    void name(String path, FieldNames into) {
        parts.forEach(part -> part.name(path, into));
    }

    /** A component whose fields stand in the object of the record that it is a component of. */
    <R> Part<R, T> inlined(Function<R, T> of) {
        return new Part<>() {
            @Override
            public T read(Cursor at) {
                return RecordForm.this.read(at);
            }

            @Override
            public void write(ObjectNode out, R from) {
                RecordForm.this.write(out, of.apply(from));
            }

            @Override
            public void describe(SchemaObject into) {
                RecordForm.this.describe(into);
            }

            @Override
            public void name(String path, FieldNames into) {
                RecordForm.this.name(path, into);
            }
        };
    }

    /** A value that is one part alone. */
    static <T> RecordForm<T> of(Part<T, T> only) {
        return new RecordForm<>(List.of(only), only::read, Map.of(), List.of());
    }

    /**
     * Numbers by an enum, each under the name of its value.
     *
     * @param id the name in documents
     * @param every whether a value without a number is written as null, rather than left out
     * @param limits of each number
     * @param called by what each is called; null for none
     */
    static <E extends Enum<E>> RecordForm<Map<E, Double>> numbersBy(Class<E> type, Function<E, String> id,
            boolean every, Sane limits, Function<E, FieldNames.@Nullable Name> called) {
        return of(new NumbersBy<>(type, id, every, limits, called));
    }

    static <T, A extends @Nullable Object> RecordForm<T> of(Function<A, T> make, Part<T, A> a) {
        return new RecordForm<>(List.of(a), at -> make.apply(a.read(at)), Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object> RecordForm<T> of(BiFunction<A, B, T> make,
            Part<T, A> a, Part<T, B> b) {
        return new RecordForm<>(List.of(a, b), at -> make.apply(a.read(at), b.read(at)), Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object> RecordForm<T> of(
            Of3<A, B, C, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c) {
        return new RecordForm<>(List.of(a, b, c), at -> make.of(a.read(at), b.read(at), c.read(at)), Map.of(),
                List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object> RecordForm<T> of(
            Of4<A, B, C, D, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d) {
        return new RecordForm<>(List.of(a, b, c, d), at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at)),
                Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object> RecordForm<T> of(
            Of5<A, B, C, D, E, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d, Part<T, E> e) {
        return new RecordForm<>(List.of(a, b, c, d, e),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at)), Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object> RecordForm<T> of(
            Of6<A, B, C, D, E, F, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d, Part<T, E> e,
            Part<T, F> f) {
        return new RecordForm<>(List.of(a, b, c, d, e, f),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at), f.read(at)), Map.of(),
                List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object> RecordForm<T> of(
            Of7<A, B, C, D, E, F, G, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d, Part<T, E> e,
            Part<T, F> f, Part<T, G> g) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at), f.read(at), g.read(at)),
                Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object> RecordForm<T> of(
            Of8<A, B, C, D, E, F, G, H, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d, Part<T, E> e,
            Part<T, F> f, Part<T, G> g, Part<T, H> h) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h), at -> make.of(a.read(at), b.read(at), c.read(at),
                d.read(at), e.read(at), f.read(at), g.read(at), h.read(at)), Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object> RecordForm<T> of(
            Of9<A, B, C, D, E, F, G, H, I, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d,
            Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h, i), at -> make.of(a.read(at), b.read(at), c.read(at),
                d.read(at), e.read(at), f.read(at), g.read(at), h.read(at), i.read(at)), Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object> RecordForm<T> of(
            Of10<A, B, C, D, E, F, G, H, I, J, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d,
            Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i, Part<T, J> j) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h, i, j), at -> make.of(a.read(at), b.read(at), c.read(at),
                d.read(at), e.read(at), f.read(at), g.read(at), h.read(at), i.read(at), j.read(at)), Map.of(),
                List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object> RecordForm<T> of(
            Of11<A, B, C, D, E, F, G, H, I, J, K, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d,
            Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i, Part<T, J> j, Part<T, K> k) {
        return new RecordForm<>(
                List.of(a, b, c, d, e, f, g, h, i, j, k), at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at),
                        e.read(at), f.read(at), g.read(at), h.read(at), i.read(at), j.read(at), k.read(at)),
                Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object> RecordForm<T> of(
            Of12<A, B, C, D, E, F, G, H, I, J, K, L, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d,
            Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i, Part<T, J> j, Part<T, K> k,
            Part<T, L> l) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h, i, j, k, l),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at), f.read(at), g.read(at),
                        h.read(at), i.read(at), j.read(at), k.read(at), l.read(at)),
                Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object, M extends @Nullable Object> RecordForm<T> of(
            Of13<A, B, C, D, E, F, G, H, I, J, K, L, M, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c, Part<T, D> d,
            Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i, Part<T, J> j, Part<T, K> k,
            Part<T, L> l, Part<T, M> m) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h, i, j, k, l, m),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at), f.read(at), g.read(at),
                        h.read(at), i.read(at), j.read(at), k.read(at), l.read(at), m.read(at)),
                Map.of(), List.of());
    }

    static <T, A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object, M extends @Nullable Object, N extends @Nullable Object, O extends @Nullable Object> RecordForm<T> of(
            Of15<A, B, C, D, E, F, G, H, I, J, K, L, M, N, O, T> make, Part<T, A> a, Part<T, B> b, Part<T, C> c,
            Part<T, D> d, Part<T, E> e, Part<T, F> f, Part<T, G> g, Part<T, H> h, Part<T, I> i, Part<T, J> j,
            Part<T, K> k, Part<T, L> l, Part<T, M> m, Part<T, N> n, Part<T, O> o) {
        return new RecordForm<>(List.of(a, b, c, d, e, f, g, h, i, j, k, l, m, n, o),
                at -> make.of(a.read(at), b.read(at), c.read(at), d.read(at), e.read(at), f.read(at), g.read(at),
                        h.read(at), i.read(at), j.read(at), k.read(at), l.read(at), m.read(at), n.read(at), o.read(at)),
                Map.of(), List.of());
    }

    /** A constructor of 3 components. */
    @FunctionalInterface
    interface Of3<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, T> {
        T of(A a, B b, C c);
    }

    /** A constructor of 4 components. */
    @FunctionalInterface
    interface Of4<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, T> {
        T of(A a, B b, C c, D d);
    }

    /** A constructor of 5 components. */
    @FunctionalInterface
    interface Of5<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e);
    }

    /** A constructor of 6 components. */
    @FunctionalInterface
    interface Of6<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f);
    }

    /** A constructor of 7 components. */
    @FunctionalInterface
    interface Of7<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g);
    }

    /** A constructor of 8 components. */
    @FunctionalInterface
    interface Of8<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h);
    }

    /** A constructor of 9 components. */
    @FunctionalInterface
    interface Of9<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i);
    }

    /** A constructor of 10 components. */
    @FunctionalInterface
    interface Of10<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i, J j);
    }

    /** A constructor of 11 components. */
    @FunctionalInterface
    interface Of11<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i, J j, K k);
    }

    /** A constructor of 12 components. */
    @FunctionalInterface
    interface Of12<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i, J j, K k, L l);
    }

    /** A constructor of 13 components. */
    @FunctionalInterface
    interface Of13<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object, M extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i, J j, K k, L l, M m);
    }

    /** A constructor of 15 components. */
    @FunctionalInterface
    interface Of15<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object, E extends @Nullable Object, F extends @Nullable Object, G extends @Nullable Object, H extends @Nullable Object, I extends @Nullable Object, J extends @Nullable Object, K extends @Nullable Object, L extends @Nullable Object, M extends @Nullable Object, N extends @Nullable Object, O extends @Nullable Object, T> {
        T of(A a, B b, C c, D d, E e, F f, G g, H h, I i, J j, K k, L l, M m, N n, O o);
    }
}
