package amberheron.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Refused;
import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.Unusable;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * A record with one value changed is the same record in every other value: a with-method that swaps two neighbours of one
 * type, or drops one, would lose somebody's work without a sound.
 */
class ChangedRecordsTest {
    private static final int TRIES = 4000;

    /** Found in {@code core} itself, so that a new record is held to it without being listed. */
    private static Stream<Class<?>> records() {
        return new ClassFileImporter().withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("amberheron.core").stream().filter(JavaClass::isRecord).map(JavaClass::reflect);
    }

    private static List<Method> changes(Class<?> record) {
        return Arrays.stream(record.getDeclaredMethods())
                .filter(m -> m.getName().startsWith("with") && m.getParameterCount() == 1
                        && m.getReturnType() == record && !Modifier.isStatic(m.getModifiers())
                        && component(record, m).isPresent())
                .toList();
    }

    private static Optional<RecordComponent> component(Class<?> record, Method with) {
        return Arrays.stream(record.getRecordComponents())
                .filter(c -> with.getName().substring(4).equalsIgnoreCase(c.getName())
                        && with.getParameterTypes()[0] == c.getType())
                .findFirst();
    }

    @TestFactory
    Stream<DynamicTest> oneValueChangesAndNoOther() {
        return records().flatMap(record -> changes(record).stream().map(with -> DynamicTest
                .dynamicTest(record.getSimpleName() + "." + with.getName(), () -> changesOnlyItsOwn(record, with))));
    }

    private static void changesOnlyItsOwn(Class<?> record, Method with) throws ReflectiveOperationException {
        with.setAccessible(true);
        RecordComponent own = component(record, with).orElseThrow();
        Random random = new Random(with.getName().hashCode());
        for (int i = 0; i < TRIES; i++) {
            Optional<Object> before = any(record, random);
            Optional<Object> value = any(own.getGenericType(), random);
            if (before.isEmpty() || value.isEmpty() || Objects.equals(value.get(), read(own, before.get()))) {
                continue;
            }
            Object after;
            try {
                after = with.invoke(before.get(), value.get());
            } catch (InvocationTargetException e) {
                // Not a value that this record can have beside the others.
                continue;
            }
            for (RecordComponent c : record.getRecordComponents()) {
                Object expected = c.getName().equals(own.getName()) ? value.get() : read(c, before.get());
                assertThat(read(c, after)).as(c.getName()).isEqualTo(expected);
            }
            return;
        }
        throw new AssertionError("no " + record.getSimpleName() + " could be made to try it on");
    }

    /** Whatever is stored in a record is a number that such a thing can be at all: none of these can. */
    @TestFactory
    Stream<DynamicTest> noNumberBeyondReasonIsTaken() {
        return records().flatMap(record -> changes(record).stream()
                .filter(with -> with.getParameterTypes()[0] == double.class
                        || with.getParameterTypes()[0] == Double.class)
                .map(with -> DynamicTest.dynamicTest(record.getSimpleName() + "." + with.getName(), () -> {
                    with.setAccessible(true);
                    Random random = new Random(with.getName().hashCode());
                    Object before = null;
                    for (int i = 0; i < TRIES && before == null; i++) {
                        before = any(record, random).orElse(null);
                    }
                    for (double value : new double[]{Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY,
                            1e13, -1e13}) {
                        Object of = Objects.requireNonNull(before);
                        assertThatThrownBy(() -> with.invoke(of, value), "%s in %s by %s", value,
                                record.getSimpleName(), with.getName())
                                .isInstanceOf(InvocationTargetException.class).cause()
                                .isInstanceOfAny(Unusable.class, Refused.class);
                    }
                })));
    }

    private static Object read(RecordComponent component, Object of) throws ReflectiveOperationException {
        Method accessor = component.getAccessor();
        accessor.setAccessible(true);
        return accessor.invoke(of);
    }

    /** A value of a type; empty where this draw is one that cannot be. */
    private static Optional<Object> any(Type type, Random random) throws ReflectiveOperationException {
        if (type instanceof ParameterizedType p) {
            Class<?> raw = (Class<?>) p.getRawType();
            Optional<Object> part = any(p.getActualTypeArguments()[0], random);
            if (raw == Map.class) {
                Optional<Object> second = any(p.getActualTypeArguments()[1], random);
                return part.flatMap(k -> second.map(v -> Map.of(k, v)));
            }
            return raw == Set.class
                    ? part.map(v -> (Object) new TreeSet<>(Set.of(v)))
                    : raw == List.class ? Optional.of(part.map(List::of).orElse(List.of())) : Optional.empty();
        }
        Class<?> raw = (Class<?>) type;
        if (raw == String.class) {
            return Optional.of("s" + random.nextInt(1000));
        } else if (raw == double.class || raw == Double.class) {
            double[] scales = {1e-6, 1e-3, 0.1, 1, 10, 200, 300, 5e4};
            return Optional.of(scales[random.nextInt(scales.length)] * (1 + random.nextInt(900) / 1000.0));
        } else if (raw == int.class || raw == Integer.class) {
            return Optional.of(1 + random.nextInt(9));
        } else if (raw == boolean.class || raw == Boolean.class) {
            return Optional.of(random.nextBoolean());
        } else if (raw == OutputLaw.class) {
            return Optional.of(new OutputLaw("l" + random.nextInt(1000), "a law", OutputLaw.Kind.LINEAR,
                    MixtureScale.lambda(),
                    List.of(new OutputLaw.Point(0, 0.7), new OutputLaw.Point(5, 1.3)), 0, 5,
                    Source.practice("made up")));
        } else if (raw == LocalDate.class) {
            return Optional.of(LocalDate.EPOCH.plusDays(random.nextInt(30_000)));
        } else if (raw == Instant.class) {
            return Optional.of(Instant.EPOCH.plusSeconds(random.nextInt(1_000_000_000)));
        } else if (raw.isEnum()) {
            Object[] all = raw.getEnumConstants();
            return Optional.of(all[random.nextInt(all.length)]);
        } else if (raw.isSealed()) {
            Class<?>[] kinds = Objects.requireNonNull(raw.getPermittedSubclasses());
            return any(kinds[random.nextInt(kinds.length)], random);
        }
        return raw.isRecord() ? record(raw, random) : constant(raw, random);
    }

    private static Optional<Object> record(Class<?> record, Random random) throws ReflectiveOperationException {
        RecordComponent[] components = record.getRecordComponents();
        List<@Nullable Object> values = new ArrayList<>();
        for (RecordComponent c : components) {
            Optional<Object> value = any(c.getGenericType(), random);
            // What cannot be made may be one of those that can be absent.
            values.add(value.orElse(null));
        }
        Constructor<?> whole = record.getDeclaredConstructor(
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
        whole.setAccessible(true);
        try {
            return Optional.of(whole.newInstance(values.toArray()));
        } catch (InvocationTargetException e) {
            return constant(record, random);
        }
    }

    /** One of the values a class names itself; the only way to one that is no record, or that few draws hit. */
    private static Optional<Object> constant(Class<?> of, Random random) throws ReflectiveOperationException {
        List<Object> named = new ArrayList<>();
        for (var field : of.getDeclaredFields()) {
            if (Modifier.isStatic(field.getModifiers()) && field.getType() == of) {
                field.setAccessible(true);
                named.add(field.get(null));
            }
        }
        return named.isEmpty() ? Optional.empty() : Optional.of(named.get(random.nextInt(named.size())));
    }
}
