package amberheron.io.log;

import static amberheron.core.units.Phrase.say;

import amberheron.io.UnusableInput;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * How a log is written: found out from its beginning.
 *
 * @param charset of its text
 * @param separator between fields; a blank stands for any number of blanks
 * @param decimalComma whether numbers have a comma
 * @param names of the columns, made up where there is no header
 * @param units of the columns, empty where none is given
 * @param firstLine line of the first row of numbers, from 1
 */
public record LogShape(Charset charset, char separator, boolean decimalComma, List<String> names, List<String> units,
        int firstLine) {
    private static final char[] SEPARATORS = {'\t', ';', '|', ',', ' '};
    private static final Pattern NUMBER = Pattern.compile("[+-]?(?:\\d+[.,]?\\d*|[.,]\\d+)(?:[eE][+-]?\\d+)?");
    static final Pattern CLOCK = Pattern.compile(
            "(?:\\d{1,4}[-./]\\d{1,2}[-./]\\d{1,4}[ T])?\\d{1,3}:\\d{2}(?::\\d{2}(?:[.,]\\d+)?)?Z?");
    private static final Pattern COMMA_NUMBER = Pattern.compile("[+-]?\\d+,\\d+");
    private static final Pattern POINT_NUMBER = Pattern.compile("[+-]?\\d*\\.\\d+");
    private static final Pattern IN_BRACKETS = Pattern.compile("^(.*?)\\s*[\\[(]([^\\])]*)[\\])]\\s*$");
    private static final Pattern SHORT = Pattern.compile("(?i)[a-zλ°µ%/^·*:0-9 .-]{0,10}");
    /** Units as people write them above a log's columns. */
    private static final Pattern UNIT = Pattern
            .compile("(?iu)s|secs?|seconds?|[mµu]s|msec|min|h|hh:mm.*|rpm|1/min|r/min"
                    + "|λ|lambda|afr|phi|ratio|:1|m?v|volts?|[%‰°]|[kh]?pa|m?bar|psi[ag]?|in ?hg|deg.*|°?[cfk]|kmh|km/h|kph|mph"
                    + "|m/s|g/s|mg.*|kg/?h|lb/min|m?a|hz|counts?|raw|bits?|-");
    /** A row of numbers may have holes and a few words. */
    private static final double MOSTLY = 0.6;

    public LogShape {
        names = List.copyOf(names);
        units = List.copyOf(units);
    }

    /** Whether a line says something about the log rather than being a row of it. */
    static boolean comment(String line) {
        String text = line.strip();
        return text.isEmpty() || text.startsWith("#") || text.startsWith("//") || text.startsWith("%")
                || text.startsWith("*") || text.startsWith("!");
    }

    /**
     * Finds out how a log is written.
     *
     * @param name of the file, for what is said
     * @param beginning its first bytes, a few hundred lines or all
     * @throws UnusableInput where no rows of numbers are found
     */
    public static LogShape of(String name, byte[] beginning) {
        Charset charset = charset(beginning);
        String text = new String(beginning, charset);
        List<String> lines = text.replace("\uFEFF", "").lines().toList();
        // The last line may be cut in two.
        List<String> whole = lines.size() > 2 ? lines.subList(0, lines.size() - 1) : lines;
        for (char separator : SEPARATORS) {
            Optional<LogShape> found = of(charset, separator, whole);
            if (found.isPresent()) {
                return found.get();
            }
        }
        throw new UnusableInput(name, "",
                say("found no rows of numbers, expected columns apart by commas, semicolons, tabs, "
                        + "bars or blanks"));
    }

    private static Charset charset(byte[] b) {
        if (b.length > 1 && (b[0] & 0xff) == 0xff && (b[1] & 0xff) == 0xfe) {
            return StandardCharsets.UTF_16LE;
        }
        if (b.length > 1 && (b[0] & 0xff) == 0xfe && (b[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16BE;
        }
        // A character cut in two at the end is no sign of another encoding.
        String text = new String(b, 0, Math.max(0, b.length - 4), StandardCharsets.UTF_8);
        return text.indexOf('\uFFFD') >= 0 ? Charset.forName("windows-1252") : StandardCharsets.UTF_8;
    }

    private static Optional<LogShape> of(Charset charset, char separator, List<String> lines) {
        int columns = 0;
        int first = -1;
        for (int i = 0; i < lines.size() && first < 0; i++) {
            List<String> row = row(lines.get(i), separator);
            if (!comment(lines.get(i)) && row.size() > 1 && numbers(row) && follows(lines, i, separator, row.size())) {
                first = i;
                columns = row.size();
            }
        }
        if (first < 0) {
            return Optional.empty();
        }
        List<List<String>> heads = new ArrayList<>();
        for (int i = first - 1; i >= 0 && heads.size() < 2; i--) {
            List<String> head = row(lines.get(i), separator);
            String uncommented = lines.get(i).strip().replaceFirst("^(#|//|%)\\s*", "");
            if (comment(lines.get(i)) && !lines.get(i).isBlank()) {
                // A header behind a comment sign is one all the same, when it has all the columns.
                head = row(uncommented, separator);
            }
            if (head.size() == columns || (!comment(lines.get(i)) && Math.abs(head.size() - columns) <= 1
                    && head.size() > 1)) {
                heads.add(head);
            } else if (!lines.get(i).isBlank()) {
                break;
            }
        }
        boolean unitsRow = heads.size() > 1 && units(heads.getFirst()) && !numbers(heads.get(1));
        List<String> header = heads.isEmpty() ? List.of() : unitsRow ? heads.get(1) : heads.getFirst();
        List<String> names = new ArrayList<>();
        List<String> units = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            String given = i < header.size() ? header.get(i).strip() : "";
            var bracketed = IN_BRACKETS.matcher(given);
            boolean unit = bracketed.matches() && !bracketed.group(1).isBlank();
            names.add(given.isEmpty() ? say("column %s", i + 1) : unit ? bracketed.group(1).strip() : given);
            units.add(unitsRow && i < heads.getFirst().size()
                    ? bare(heads.getFirst().get(i))
                    : unit ? bracketed.group(2).strip() : "");
        }
        return Optional.of(new LogShape(charset, separator, comma(lines, first, separator), names, units, first + 1));
    }

    /** Returns whether a line may hold units: words as short as units, at least half of them units that are known. */
    private static boolean units(List<String> row) {
        List<String> filled = row.stream().map(LogShape::bare).filter(u -> !u.isEmpty()).toList();
        long known = filled.stream().filter(u -> UNIT.matcher(u).matches()).count();
        return filled.stream().allMatch(u -> SHORT.matcher(u).matches()) && 2 * known >= filled.size();
    }

    private static String bare(String unit) {
        return unit.strip().replaceAll("^[\\[(]|[\\])]$", "").strip();
    }

    /** Whether most of the lines after it have as many fields. */
    private static boolean follows(List<String> lines, int at, char separator, int columns) {
        int seen = 0;
        int same = 0;
        for (int i = at + 1; i < lines.size() && seen < 40; i++) {
            if (!comment(lines.get(i))) {
                seen++;
                same += Math.abs(row(lines.get(i), separator).size() - columns) <= 1 ? 1 : 0;
            }
        }
        return same >= MOSTLY * seen;
    }

    private static boolean numbers(List<String> row) {
        long filled = row.stream().filter(f -> !f.isBlank()).count();
        long numbers = row.stream().map(String::strip)
                .filter(f -> NUMBER.matcher(f).matches() || CLOCK.matcher(f).matches()).count();
        return filled > 1 && numbers >= MOSTLY * filled;
    }

    /** Numbers have a comma where more of them have one than a point, and a comma is no separator, or they stand in quotes. */
    private static boolean comma(List<String> lines, int first, char separator) {
        int commas = 0;
        int points = 0;
        for (String line : lines.subList(first, Math.min(lines.size(), first + 200))) {
            for (String field : row(line, separator)) {
                commas += COMMA_NUMBER.matcher(field.strip()).matches() ? 1 : 0;
                points += POINT_NUMBER.matcher(field.strip()).matches() ? 1 : 0;
            }
        }
        return commas > points;
    }

    /** The fields of a line; quotes keep separators in. */
    static List<String> row(String line, char separator) {
        if (separator == ' ') {
            return Arrays.stream(line.strip().split("[ ]+", -1)).toList();
        }
        List<String> fields = new ArrayList<>();
        StringBuilder field = new StringBuilder();
        boolean quoted = false;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == '"') {
                quoted = !quoted;
            } else if (c == separator && !quoted) {
                fields.add(field.toString());
                field.setLength(0);
            } else {
                field.append(c);
            }
        }
        fields.add(field.toString());
        return fields;
    }

    /** Key of a header, by which the names of its columns are remembered. */
    public String header() {
        return String
                .join("|", IntStream.range(0, names.size()).mapToObj(i -> names.get(i) + "~" + units.get(i)).toList())
                .toLowerCase(Locale.ROOT);
    }
}
