package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.csv.CsvRows.Row;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A conductor chart as CSV with a header, in any order of columns: {@code tag,work,from,from pin,colour,extension,to,to
 * pin,to colour,told apart,left,ohms}. {@code work} or {@code colour} must be there; everything else may be absent or
 * empty. A line without {@code to} is a wire that is not used.
 */
public final class ChartCsv {
    private static final long MOST_BYTES = 4L << 20;
    private static final int MOST_WIRES = 500;

    private ChartCsv() {
    }

    /**
     * Reads a chart; a line that cannot be used refuses the file, since half a chart misleads.
     *
     * @throws UnusableInput with file, line, column, what was found and what was expected
     */
    public static Chart read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    static Chart parse(String name, String text) {
        List<Wire> wires = new ArrayList<>();
        Set<String> tags = new HashSet<>();
        CsvRows.read(name, text, header -> {
            if (!header.has("work") && !header.has("colour")) {
                throw header.headerFault(
                        "work or colour; and, where known, tag, from, from pin, extension, to, to pin, to colour, told apart, left, ohms");
            }
        }, row -> {
            Wire wire = wire(row, String.valueOf(wires.size() + 1));
            if (!tags.add(wire.tag())) {
                throw row.fault(
                        say("column tag: found “%s” twice, expected every wire with a tag of its own", wire.tag()));
            }
            if (wires.size() == MOST_WIRES) {
                throw row.fault(say("found more than %d wires, expected the chart of one harness", MOST_WIRES));
            }
            wires.add(wire);
        });
        if (wires.isEmpty()) {
            throw new UnusableInput(name, "", say("found no row under the header, expected one or more"));
        }
        return new Chart(wires);
    }

    private static Wire wire(Row row, String number) {
        Device from = choice(row, "from", Device.values(), Device::key);
        Double ohms = row.number("ohms");
        if (ohms != null && ohms < 0) {
            throw row.fault(say("column ohms: found %s, expected 0 or more", ohms));
        }
        String tag = row.text("tag");
        return new Wire("", tag.isEmpty() ? number : tag, choice(row, "work", Work.values(), Work::key),
                from == null ? Device.CONTROLLER : from, row.text("from pin"), colour(row, "colour"),
                colour(row, "extension"), choice(row, "to", Device.values(), Device::key), row.text("to pin"),
                colour(row, "to colour"), yes(row), choice(row, "left", Wire.Left.values(), Wire.Left::key), ohms);
    }

    private static boolean yes(Row row) {
        String text = row.text("told apart").toLowerCase(Locale.ROOT);
        if (!List.of("", "no", "yes").contains(text)) {
            throw row.fault(say("column told apart: found “%s”, expected yes or no", text));
        }
        return text.equals("yes");
    }

    private static @Nullable WireColour colour(Row row, String column) {
        String text = row.text(column);
        return text.isEmpty()
                ? null
                : WireColour.parse(text).orElseThrow(() -> row
                        .fault(say("column %s: found “%s”, expected %s", column, text, WireColour.expected())));
    }

    private static <E extends Enum<E>> @Nullable E choice(Row row, String column, E[] values,
            Function<E, String> words) {
        String text = row.text(column);
        if (text.isEmpty()) {
            return null;
        }
        return Arrays.stream(values).filter(v -> words.apply(v).equalsIgnoreCase(text)
                || v.name().replace('_', '-').equalsIgnoreCase(text)).findFirst().orElseThrow(
                        () -> row.fault(say("column %s: found “%s”, expected one of: %s", column, text,
                                Arrays.stream(values).map(words).collect(Collectors.joining("; ")))));
    }

    /** A chart as it is read again. */
    public static String write(Chart chart) {
        return Cells.table(rows(chart));
    }

    /** The chart as text whose cells are apart by tabs. */
    public static String cells(Chart chart) {
        return Cells.forClipboard(rows(chart));
    }

    /**
     * Reads a chart that was pasted.
     *
     * @throws UnusableInput with line, column, what was found and what was expected
     */
    public static Chart pasted(String text) {
        return parse(say("the paste"), text);
    }

    private static Cells.Rows rows(Chart chart) {
        return csv -> {
            csv.writeRecord("tag", "work", "from", "from pin", "colour", "extension", "to", "to pin", "to colour",
                    "told apart", "left", "ohms");
            for (Wire w : chart.wires()) {
                Work work = w.work();
                Device to = w.to();
                Wire.Left left = w.left();
                Double ohms = w.ohms();
                csv.writeRecord(Cells.safe(w.tag(), work == null ? "" : work.key(), w.from().key(), w.fromPin(),
                        words(w.colour()), words(w.extension()), to == null ? "" : to.key(), w.toPin(),
                        words(w.toColour()), w.toldApart() ? "yes" : "no", left == null ? "" : left.key(),
                        ohms == null ? "" : ohms.toString()));
            }
        };
    }

    private static String words(@Nullable WireColour colour) {
        return colour == null ? "" : colour.key();
    }
}
