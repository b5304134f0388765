package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Origin;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Check points as CSV with a header. {@code volts} (measured at the controller's output) and/or {@code true} (what the
 * controller itself shows, in the law's quantity), and {@code shown} (what the reader shows, in the reader's quantity).
 * Optional {@code engine} ({@code off} or {@code running}), {@code date}, {@code instrument} and {@code note}.
 *
 * <pre>
 * volts,shown,note
 * 0.50,8.65,bench supply
 * 4.50,18.14,
 * </pre>
 */
public final class CheckPointCsv {
    private static final long MOST_BYTES = 4L << 20;
    /** How the names of stand-ins begin. */
    private static final String SIMULATED = "simulated";

    private CheckPointCsv() {
    }

    /**
     * Reads every point; one that cannot be used refuses the file, since a diagnosis from half the points would lie.
     *
     * @throws UnusableInput with file, line and column
     */
    public static List<CheckPoint> read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    static List<CheckPoint> parse(String name, String text) {
        List<CheckPoint> points = new ArrayList<>();
        CsvRows.read(name, text, header -> {
            if (!header.has("shown") || !(header.has("volts") || header.has("true"))) {
                throw header.headerFault("shown, and volts or true");
            }
        }, row -> {
            Double volts = row.number("volts");
            Double truth = row.number("true");
            Double shown = row.number("shown");
            if (shown == null) {
                throw row.fault("column shown: found nothing, expected what the reader showed");
            }
            if (volts == null && truth == null) {
                throw row.fault("found neither volts nor true, expected one of them");
            }
            try {
                points.add(new CheckPoint(volts, truth, shown, row.text("note"), origin(row), engine(row)));
            } catch (DateTimeParseException e) {
                throw row.fault("column date: found “" + row.text("date") + "”, expected a day such as 2026-03-02");
            } catch (Unusable e) {
                throw row.fault(String.valueOf(e.getMessage()));
            }
        });
        if (points.isEmpty()) {
            throw new UnusableInput(name, "", say("found no row under the header, expected one or more"));
        }
        return List.copyOf(points);
    }

    /**
     * Writes points into a file, its folder made where there is none.
     *
     * @throws UnusableInput when it cannot be written
     */
    public static void write(Path file, List<CheckPoint> points) {
        TextFiles.write(file, write(points));
    }

    /** Points as a table. */
    public static String write(List<CheckPoint> points) {
        return Cells.table(csv -> {
            csv.writeRecord("volts", "true", "shown", "engine", "date", "instrument", "note");
            for (CheckPoint p : points) {
                CheckPoint.Engine engine = p.engine();
                Instant taken = p.origin().taken();
                // A stand-in stays one: its name says so.
                csv.writeRecord(Cells.safe(cell(p.volts()), cell(p.truth()), cell(p.shown()),
                        engine == null ? "" : engine == CheckPoint.Engine.OFF ? "off" : "running",
                        taken == null ? "" : taken.atZone(ZoneOffset.UTC).toLocalDate().toString(),
                        p.origin().instrument(), p.note()));
            }
        });
    }

    private static String cell(@Nullable Double value) {
        return value == null ? "" : String.valueOf(value);
    }

    private static CheckPoint.@Nullable Engine engine(CsvRows.Row row) {
        return switch (row.text("engine").strip().toLowerCase(Locale.ROOT)) {
            case "" -> null;
            case "off" -> CheckPoint.Engine.OFF;
            case "running" -> CheckPoint.Engine.RUNNING;
            default -> throw row.fault("column engine: found “" + row.text("engine") + "”, expected off or running");
        };
    }

    private static Origin origin(CsvRows.Row row) {
        String date = row.text("date").strip();
        String instrument = row.text("instrument").strip();
        Origin.Kind kind = instrument.toLowerCase(Locale.ROOT).startsWith(SIMULATED)
                ? Origin.Kind.SIMULATED
                : !instrument.isEmpty()
                        ? Origin.Kind.INSTRUMENT
                        : date.isEmpty() ? Origin.Kind.UNRECORDED : Origin.Kind.TYPED;
        return new Origin(kind, instrument,
                date.isEmpty() ? null : LocalDate.parse(date).atStartOfDay(ZoneOffset.UTC).toInstant(), "");
    }
}
