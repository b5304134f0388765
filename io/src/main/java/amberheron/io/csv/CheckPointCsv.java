package amberheron.io.csv;

import amberheron.core.scaling.CheckPoint;
import amberheron.io.TextFiles;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Check points as CSV with a header. {@code volts} (measured at the controller's output) and/or {@code true} (what the
 * controller itself shows, in the law's quantity), and {@code shown} (what the reader shows, in the reader's quantity).
 * Optional {@code note}.
 *
 * <pre>
 * volts,shown,note
 * 0.50,8.65,bench supply
 * 4.50,18.14,
 * </pre>
 */
public final class CheckPointCsv {
    private static final long MOST_BYTES = 4L << 20;

    private CheckPointCsv() {
    }

    /**
     * Reads every point; one that cannot be used refuses the file, since a diagnosis from half the points would lie.
     *
     * @throws amberheron.io.UnusableInput with file, line and column
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
                points.add(new CheckPoint(volts, truth, shown, row.text("note")));
            } catch (IllegalArgumentException e) {
                throw row.fault(String.valueOf(e.getMessage()));
            }
        });
        if (points.isEmpty()) {
            throw new amberheron.io.UnusableInput(name, "", "found no row under the header, expected one or more");
        }
        return List.copyOf(points);
    }
}
