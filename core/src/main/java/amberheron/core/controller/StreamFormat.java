package amberheron.core.controller;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import org.jspecify.annotations.Nullable;

/**
 * The form of a controller's stream, a line at a time. A line that is incomplete, malformed or implausible is dropped
 * whole, since half of it could be taken for something else.
 *
 * @param id catalogue id
 * @param name what the shop calls it
 * @param start what is sent to it so that it begins; empty where it sends by itself
 * @param separator between the columns; a blank stands for any number of blanks and tabs
 * @param columns what stands in each, in order
 * @param states its own words for states
 * @param checked whether the last column, after those, is the CRC-32 (that of Ethernet and zip) of what stands before it, in
 *        eight hexadecimal digits
 */
public record StreamFormat(String id, String name, String start, String separator, List<Column> columns,
        Map<String, State> states, boolean checked) {
    /** Beginning of lines that say nothing of the mixture. */
    public static final String COMMENT = "#";
    private static final int MOST_COLUMNS = 64;
    /** A plain decimal number, and only that: no hexadecimal, no NaN. */
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,12}(\\.\\d{0,12})?([eE][+-]?\\d{1,2})?");

    /** Our own format, which the stand-in speaks: seconds, state, lambda, oxygen in per cent, volts, supply. */
    public static final StreamFormat OWN = new StreamFormat("own", "Own line protocol", "", ",",
            List.of(new Column(Field.SECONDS, 1), new Column(Field.STATE, 1), new Column(Field.LAMBDA, 1),
                    new Column(Field.OXYGEN, 0.01), new Column(Field.VOLTS, 1), new Column(Field.SUPPLY, 1)),
            ownStates(), true);

    /** Cell of a column. */
    public enum Field {
        SECONDS,
        STATE,
        LAMBDA,
        OXYGEN,
        VOLTS,
        SUPPLY,
        /** Something else. */
        IGNORED
    }

    /**
     * A column.
     *
     * @param factor what a number in it is multiplied by to be in SI, or lambda; 1/14.7 for an AFR of 14.7, 0.001 for
     *        milliseconds
     */
    public record Column(Field field, double factor) {
        public Column {
            if (!(Math.abs(factor) > 1e-9 && Math.abs(factor) < 1e9)) {
                throw new Unusable(say("factor: found %s, expected a plain factor, not 0", factor));
            }
        }
    }

    /** Returns the name the shop gives it; a name of ours is translated. */
    @Override
    public String name() {
        return word(name);
    }

    public StreamFormat {
        columns = List.copyOf(columns);
        states = Map.copyOf(states);
        if (separator.isEmpty()) {
            throw new Unusable(say("separator: found nothing, expected what stands between the columns"));
        }
        if (columns.isEmpty() || columns.size() > MOST_COLUMNS) {
            throw new Unusable(say("columns: found %d, expected 1 to 64", columns.size()));
        }
        for (Field field : Field.values()) {
            if (field != Field.IGNORED && columns.stream().filter(c -> c.field() == field).count() > 1) {
                throw new Unusable(say("columns: found two that say the same, expected one"));
            }
        }
    }

    private static Map<String, State> ownStates() {
        Map<String, State> words = new HashMap<>();
        for (State state : State.values()) {
            words.put(state.key(), state);
        }
        return words;
    }

    /** Reads a line; empty for one that is not in this form. */
    public Optional<Report> read(String line) {
        String whole = line.strip();
        if (checked) {
            int last = whole.lastIndexOf(separator);
            if (last < 0 || !whole.substring(last + separator.length()).equals(check(whole.substring(0, last)))) {
                return Optional.empty();
            }
            whole = whole.substring(0, last);
        }
        String[] cells = separator.isBlank() ? whole.split("\\s+", -1) : whole.split(Pattern.quote(separator), -1);
        if (cells.length != columns.size()) {
            return Optional.empty();
        }
        Map<Field, Double> numbers = new EnumMap<>(Field.class);
        State state = null;
        for (int i = 0; i < cells.length; i++) {
            Column column = columns.get(i);
            String cell = cells[i].strip();
            if (column.field() == Field.IGNORED || cell.isEmpty()) {
                continue;
            }
            if (column.field() == Field.STATE) {
                state = states.get(cell);
                if (state == null) {
                    return Optional.empty();
                }
                continue;
            }
            String number = cell.replace(',', '.');
            if (!NUMBER.matcher(number).matches()) {
                return Optional.empty();
            }
            numbers.put(column.field(), Double.parseDouble(number) * column.factor());
        }
        return report(numbers, state);
    }

    private static Optional<Report> report(Map<Field, Double> numbers, @Nullable State state) {
        Report report = new Report(numbers.get(Field.SECONDS), state, numbers.get(Field.LAMBDA),
                numbers.get(Field.OXYGEN), numbers.get(Field.VOLTS), numbers.get(Field.SUPPLY));
        try {
            Sane.MIXTURE.check("lambda", report.lambda());
            Sane.PART.check("oxygen", report.oxygen());
            Sane.SIGNAL.check("volts", report.volts());
            Sane.SUPPLY.check("supply", report.supply());
        } catch (Unusable e) {
            return Optional.empty();
        }
        boolean silent = numbers.isEmpty() && state == null;
        return silent ? Optional.empty() : Optional.of(report);
    }

    /** Writes a line of {@link #OWN}. */
    public static String write(Report report) {
        State state = report.state();
        Double oxygen = report.oxygen();
        String line = String.join(",", digits(report.seconds(), 3), state == null ? "" : state.key(),
                digits(report.lambda(), 4), digits(oxygen == null ? null : oxygen * 100, 3), digits(report.volts(), 4),
                digits(report.supply(), 2));
        return line + "," + check(line);
    }

    private static String digits(@Nullable Double value, int decimals) {
        return value == null
                ? ""
                : BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_EVEN).toPlainString();
    }

    private static String check(String line) {
        CRC32 sum = new CRC32();
        sum.update(line.getBytes(StandardCharsets.UTF_8));
        return fixed("%08X", sum.getValue());
    }
}
