package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Calibrations and the rest of the sensor book as CSV: {@code sensor}, {@code date}, {@code kind}, {@code value} and, where it is known, {@code job}.
 *
 * <pre>
 * sensor,date,kind,value,job
 * V-07,2026-03-02,gain,0.991,SB-014
 * V-07,2026-03-02,hours,310,SB-014
 * </pre>
 *
 * Kinds: {@code gain} (free-air reading as found, of new), {@code response} (s), and what has come to so many by that day:
 * {@code calibrated} (times), {@code hours}, {@code cold-starts}, {@code leaded} (tanks), {@code oily} (days), {@code key-on} (times), {@code shock} (times).
 */
public final class SensorCsv {
    private static final long MOST_BYTES = 16L << 20;

    private SensorCsv() {
    }

    /**
     * Reads the lives; one row that cannot be used refuses the file.
     *
     * @throws UnusableInput with file, line and column
     */
    public static List<SensorLife> read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    static List<SensorLife> parse(String name, String text) {
        Map<String, SensorLife> lives = new LinkedHashMap<>();
        CsvRows.read(name, text, header -> {
            if (!header.has("sensor") || !header.has("date") || !header.has("kind") || !header.has("value")) {
                throw header.headerFault("sensor, date, kind and value");
            }
        }, row -> {
            String sensor = row.text("sensor").strip();
            Double value = row.number("value");
            if (sensor.isEmpty() || sensor.length() > 80) {
                throw row.fault(
                        "column sensor: found “" + sensor + "”, expected a number or mark of 1 to 80 characters");
            }
            if (value == null) {
                throw row.fault("column value: found nothing, expected a number");
            }
            String kind = row.text("kind").strip();
            SensorNote.Kind known = SensorNote.Kind.of(kind)
                    .orElseThrow(() -> row.fault("column kind: found “" + kind + "”, expected one of "
                            + Arrays.stream(SensorNote.Kind.values()).map(SensorNote.Kind::key)
                                    .collect(Collectors.joining(", "))));
            try {
                SensorNote note = new SensorNote(LocalDate.parse(row.text("date").strip()), known, value,
                        row.text("job").strip());
                lives.merge(sensor, new SensorLife(sensor, List.of(note)), (a, b) -> a.with(note));
            } catch (DateTimeParseException e) {
                throw row.fault("column date: found “" + row.text("date") + "”, expected a day such as 2026-03-02");
            } catch (Unusable e) {
                throw row.fault(String.valueOf(e.getMessage()));
            }
        });
        if (lives.isEmpty()) {
            throw new UnusableInput(name, "", say("found no row under the header, expected one or more"));
        }
        return List.copyOf(lives.values());
    }

    /**
     * Writes lives into a file, its folder made where there is none.
     *
     * @throws UnusableInput when it cannot be written
     */
    public static void write(Path file, Collection<SensorLife> lives) {
        TextFiles.write(file, write(lives));
    }

    /** Text that is written reads back the same. */
    static String write(Collection<SensorLife> lives) {
        return Cells.table(csv -> {
            csv.writeRecord("sensor", "date", "kind", "value", "job");
            lives.forEach(l -> l.notes().forEach(n -> csv.writeRecord(Cells.safe(l.number(), n.date().toString(),
                    n.kind().key(), String.valueOf(n.value()), n.job()))));
        });
    }
}
