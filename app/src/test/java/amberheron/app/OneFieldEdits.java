package amberheron.app;

import amberheron.core.job.Job;
import amberheron.core.units.Unusable;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Every value of a job changed by itself: found by walking its records, so that a new field is among them unasked. */
final class OneFieldEdits {
    /** Of a long list so many entries are walked. */
    private static final int OF_A_LIST = 3;
    private static final double[] NUMBERS = {0.5, 1, 0.02, 12, 300, 2};

    /**
     * A change of one value.
     *
     * @param path where it stands, such as {@code wiring.ground.mean}
     */
    record Edit(String path, Function<Random, @Nullable Object> value,
            Function<@Nullable Object, @Nullable Object> into) {
        /** Returns the job with the value changed; empty where no such job can be. */
        Optional<Job> changed(Random random) {
            for (int i = 0; i < 6; i++) {
                try {
                    Object job = into.apply(value.apply(random));
                    if (job instanceof Job changed) {
                        return Optional.of(changed);
                    }
                } catch (Unusable | IllegalArgumentException | NullPointerException e) {
                    // Not a job: another value may be.
                }
            }
            return Optional.empty();
        }
    }

    private final List<Edit> edits = new ArrayList<>();
    private final Random random;

    private OneFieldEdits(Random random) {
        this.random = random;
    }

    /** Every edit of one value of a job, in random order. */
    static List<Edit> of(Job job, Random random) {
        OneFieldEdits walk = new OneFieldEdits(random);
        walk.record("", job, value -> value);
        java.util.Collections.shuffle(walk.edits, random);
        return List.copyOf(walk.edits);
    }

    private void record(String path, Object record, Function<@Nullable Object, @Nullable Object> into) {
        RecordComponent[] parts = record.getClass().getRecordComponents();
        for (int i = 0; i < parts.length; i++) {
            int at = i;
            value(path.isEmpty() ? parts[i].getName() : path + "." + parts[i].getName(), get(parts[i], record),
                    parts[i].getAnnotatedType(), changed -> into.apply(with(record, parts, at, changed)));
        }
    }

    private static @Nullable Object get(RecordComponent part, Object record) {
        try {
            part.getAccessor().setAccessible(true);
            return part.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Object with(Object record, RecordComponent[] parts, int at, @Nullable Object changed) {
        Class<?>[] types = Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
        Object[] values = new Object[parts.length];
        for (int i = 0; i < parts.length; i++) {
            values[i] = i == at ? changed : get(parts[i], record);
        }
        try {
            Constructor<?> make = record.getClass().getDeclaredConstructor(types);
            make.setAccessible(true);
            return make.newInstance(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof RuntimeException refused) {
                throw refused;
            }
            throw new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private void value(String path, @Nullable Object value, AnnotatedType type,
            Function<@Nullable Object, @Nullable Object> into) {
        boolean nullable = type.isAnnotationPresent(Nullable.class);
        if (value instanceof Record record) {
            record(path, record, into);
            if (nullable) {
                edits.add(new Edit(path, r -> null, into));
            }
        } else if (value instanceof List<?> list) {
            list(path, list, type, into);
        } else if (value instanceof Set<?> set) {
            collection(path, set, into);
        } else if (value instanceof Map<?, ?> map) {
            map(path, map, type, into);
        } else {
            Class<?> kind = raw(type);
            if (value != null || known(kind)) {
                edits.add(new Edit(path, r -> other(value, kind, nullable, r), into));
            }
        }
    }

    private static Class<?> raw(AnnotatedType type) {
        return type.getType() instanceof Class<?> plain ? plain : Object.class;
    }

    private static boolean known(Class<?> kind) {
        return kind == Double.class || kind == Integer.class || kind == Boolean.class || kind == String.class
                || kind == LocalDate.class || kind == Instant.class || kind.isEnum();
    }

    private void list(String path, List<?> list, AnnotatedType type,
            Function<@Nullable Object, @Nullable Object> into) {
        AnnotatedType element = type instanceof AnnotatedParameterizedType of
                ? of.getAnnotatedActualTypeArguments()[0]
                : type;
        for (int i : list.size() <= OF_A_LIST
                ? range(list.size())
                : random.ints(OF_A_LIST, 0, list.size()).distinct().toArray()) {
            value(path + "[" + i + "]", list.get(i), element, changed -> {
                List<@Nullable Object> some = new ArrayList<>(list);
                some.set(i, changed);
                return into.apply(some);
            });
            edits.add(new Edit(path + "[" + i + "] gone", r -> without(list, i), into));
        }
    }

    private static int[] range(int size) {
        return java.util.stream.IntStream.range(0, size).toArray();
    }

    private static List<?> without(List<?> list, int at) {
        List<Object> some = new ArrayList<>(list);
        some.remove(at);
        return some;
    }

    private void collection(String path, Collection<?> set, Function<@Nullable Object, @Nullable Object> into) {
        for (Object each : set) {
            edits.add(new Edit(path + " less " + each, r -> {
                Set<Object> less = new LinkedHashSet<>(set);
                less.remove(each);
                return less;
            }, into));
            if (each instanceof Enum<?> one) {
                edits.add(new Edit(path + " more", r -> {
                    Set<Object> more = new LinkedHashSet<>(set);
                    more.add(one.getDeclaringClass().getEnumConstants()[r
                            .nextInt(one.getDeclaringClass().getEnumConstants().length)]);
                    return more;
                }, into));
            }
        }
    }

    private void map(String path, Map<?, ?> map, AnnotatedType type,
            Function<@Nullable Object, @Nullable Object> into) {
        AnnotatedType values = type instanceof AnnotatedParameterizedType of
                ? of.getAnnotatedActualTypeArguments()[1]
                : type;
        map.forEach((key, was) -> {
            value(path + "." + key, was, values, changed -> {
                Map<Object, @Nullable Object> other = new LinkedHashMap<>(map);
                other.put(key, changed);
                return into.apply(other);
            });
            edits.add(new Edit(path + "." + key + " gone", r -> {
                Map<Object, @Nullable Object> other = new LinkedHashMap<>(map);
                other.remove(key);
                return other;
            }, into));
        });
    }

    private static @Nullable Object other(@Nullable Object value, Class<?> kind, boolean nullable, Random random) {
        if (nullable && value != null && random.nextInt(4) == 0) {
            return null;
        }
        return switch (value) {
            case Double d -> d * (1 + random.nextGaussian() / 3) + (random.nextBoolean() ? 0 : 0.01);
            case Integer i -> i + 1 - 2 * random.nextInt(2);
            case Boolean b -> !b;
            case String text -> text + "x";
            case LocalDate day -> day.plusDays(random.nextInt(800) - 400);
            case Instant moment -> moment.plusSeconds(random.nextInt(1_000_000) - 500_000);
            case Enum<?> one -> one.getDeclaringClass().getEnumConstants()[random
                    .nextInt(one.getDeclaringClass().getEnumConstants().length)];
            case null -> kind == Double.class
                    ? Double.valueOf(NUMBERS[random.nextInt(NUMBERS.length)])
                    : kind == Integer.class
                            ? Integer.valueOf(1 + random.nextInt(8))
                            : kind == Boolean.class
                                    ? Boolean.valueOf(random.nextBoolean())
                                    : kind == LocalDate.class
                                            ? LocalDate.of(2026, 1, 1 + random.nextInt(28))
                                            : kind.isEnum()
                                                    ? kind.getEnumConstants()[random
                                                            .nextInt(kind.getEnumConstants().length)]
                                                    : null;
            default -> null;
        };
    }
}
