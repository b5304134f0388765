package amberheron.io.json;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Unusable;
import amberheron.io.UnusableInput;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A place in a document that knows its own path, so that every fault can say where it stands. */
record Cursor(String file, String path, JsonNode node) {
    private static final int MOST_SHOWN = 60;
    private static final String MOMENT = "a moment such as 2026-05-31T09:30:00Z";

    /** The place of a field of this object. */
    private String path(String field) {
        return path.isEmpty() ? field : path + "." + field;
    }

    private @Nullable JsonNode get(String field) {
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? null : value;
    }

    UnusableInput fault(String field, String expected) {
        JsonNode value = get(field);
        return new UnusableInput(file, path(field),
                say("found %s, expected %s", value == null ? say("nothing") : found(value), expected));
    }

    /** Returns the value there, short enough for a message. */
    static String found(JsonNode value) {
        String text = value.isObject()
                ? say("an object")
                : value.isArray() ? say("a list") : value.isMissingNode() ? say("nothing") : value.toString();
        return text.length() > MOST_SHOWN ? text.substring(0, MOST_SHOWN) + "…" : text;
    }

    @Nullable
    String textOrNull(String field) {
        JsonNode value = get(field);
        if (value != null && !value.isString()) {
            throw fault(field, "text");
        }
        return value == null ? null : value.stringValue();
    }

    String text(String field) {
        return require(textOrNull(field), field, "text");
    }

    String text(String field, String otherwise) {
        String value = textOrNull(field);
        return value == null ? otherwise : value;
    }

    @Nullable
    Double numberOrNull(String field) {
        JsonNode value = get(field);
        if (value != null && (!value.isNumber() || !Double.isFinite(value.asDouble(Double.NaN)))) {
            throw fault(field, "a number");
        }
        return value == null ? null : value.asDouble(Double.NaN);
    }

    double number(String field) {
        return require(numberOrNull(field), field, "a number");
    }

    @Nullable
    Integer integerOrNull(String field) {
        JsonNode value = get(field);
        if (value != null && !(value.isNumber() && value.asDouble(Double.NaN) == Math.rint(value.asDouble(Double.NaN))
                && Math.abs(value.asDouble(Double.NaN)) < 1e9)) {
            throw fault(field, "a whole number");
        }
        return value == null ? null : (int) value.asDouble(Double.NaN);
    }

    int integer(String field) {
        return require(integerOrNull(field), field, "a whole number");
    }

    @Nullable
    Boolean flagOrNull(String field) {
        JsonNode value = get(field);
        if (value != null && !value.isBoolean()) {
            throw fault(field, "true or false");
        }
        return value == null ? null : value.booleanValue();
    }

    boolean flag(String field) {
        return require(flagOrNull(field), field, "true or false");
    }

    Optional<Cursor> objectOrNone(String field) {
        JsonNode value = get(field);
        if (value != null && !value.isObject()) {
            throw fault(field, "an object { … }");
        }
        return Optional.ofNullable(value).map(v -> new Cursor(file, path(field), v));
    }

    Cursor object(String field) {
        return objectOrNone(field).orElseThrow(() -> fault(field, "an object { … }"));
    }

    /** The items of a list; none when the field is absent. */
    List<Cursor> list(String field) {
        JsonNode value = get(field);
        if (value != null && !value.isArray()) {
            throw fault(field, "a list [ … ]");
        }
        List<Cursor> items = new ArrayList<>();
        for (int i = 0; value != null && i < value.size(); i++) {
            items.add(new Cursor(file, path(field) + "[" + i + "]", value.get(i)));
        }
        return items;
    }

    List<String> texts(String field) {
        return list(field).stream().map(item -> {
            if (!item.node.isString()) {
                throw new UnusableInput(file, item.path, say("found %s, expected text", found(item.node)));
            }
            return item.node.stringValue();
        }).toList();
    }

    List<Integer> integers(String field) {
        return list(field).stream().map(item -> {
            if (!item.node.isInt()) {
                throw new UnusableInput(file, item.path, say("found %s, expected a whole number", found(item.node)));
            }
            return item.node.intValue();
        }).toList();
    }

    List<Double> numbers(String field) {
        return list(field).stream().map(item -> {
            if (!item.node.isNumber() || !Double.isFinite(item.node.asDouble(Double.NaN))) {
                throw new UnusableInput(file, item.path, say("found %s, expected a number", found(item.node)));
            }
            return item.node.asDouble(Double.NaN);
        }).toList();
    }

    /** The number at an index of this list. */
    double numberAt(int index) {
        JsonNode value = node.get(index);
        if (value == null || !value.isNumber() || !Double.isFinite(value.asDouble(Double.NaN))) {
            throw new UnusableInput(file, path + "[" + index + "]",
                    say("found %s, expected a number", value == null ? say("nothing") : found(value)));
        }
        return value.asDouble(Double.NaN);
    }

    <E> E choice(String field, E[] values, Function<E, String> id) {
        return one(field, textOrNull(field), values, id);
    }

    /** Several of an enum, in the order they are written. */
    <E extends Enum<E>> Set<E> choices(String field, E[] values) {
        Set<E> some = new LinkedHashSet<>();
        texts(field).forEach(text -> some.add(one(field, text, values, Cursor::id)));
        return some;
    }

    private <E> E one(String field, @Nullable String text, E[] values, Function<E, String> id) {
        return Arrays.stream(values).filter(v -> id.apply(v).equals(text)).findFirst().orElseThrow(
                () -> fault(field,
                        Arrays.stream(values).map(id).collect(Collectors.joining(", ", say("one of "), ""))));
    }

    <E extends Enum<E>> @Nullable E choiceOrNull(String field, E[] values) {
        return get(field) == null ? null : choice(field, values);
    }

    <E extends Enum<E>> E choice(String field, E[] values) {
        return choice(field, values, Cursor::id);
    }

    /** How an enum is written in documents. */
    static String id(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static @Nullable String idOrNull(@Nullable Enum<?> value) {
        return value == null ? null : id(value);
    }

    @Nullable
    LocalDate date(String field) {
        String text = textOrNull(field);
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw fault(field, "a date such as 2026-05-31");
        }
    }

    LocalDate day(String field) {
        return require(date(field), field, "a day such as 2026-03-02");
    }

    /** A moment; null where none is said. */
    @Nullable
    Instant momentOrNull(String field) {
        String text = textOrNull(field);
        try {
            return text == null ? null : Instant.parse(text);
        } catch (DateTimeException e) {
            throw fault(field, word(MOMENT));
        }
    }

    Instant moment(String field) {
        return require(momentOrNull(field), field, word(MOMENT));
    }

    /** Runs a constructor that refuses bad values and says where they stand. */
    <T> T build(Supplier<T> make) {
        try {
            return make.get();
        } catch (Unusable e) {
            throw new UnusableInput(file, path, String.valueOf(e.getMessage()));
        }
    }

    private <T> T require(@Nullable T value, String field, String expected) {
        if (value == null) {
            throw fault(field, expected);
        }
        return value;
    }
}
