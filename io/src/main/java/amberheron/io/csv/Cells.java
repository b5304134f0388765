package amberheron.io.csv;

import amberheron.io.Printable;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.regex.Pattern;

/** Cells of a table that people open in a spreadsheet. */
public final class Cells {
    /** Beginning of a cell that a spreadsheet would run as a formula. */
    private static final Pattern RUN = Pattern.compile("^[=+@\\t\\r]|^-(?![\\d.,]*$)");

    private Cells() {
    }

    /** Makes cells that no spreadsheet takes for a formula: an apostrophe stands before one that it would run. */
    public static String[] safe(String... cells) {
        String[] out = new String[cells.length];
        for (int i = 0; i < cells.length; i++) {
            String cell = Printable.marked(cells[i]);
            out[i] = RUN.matcher(cell).find() ? "'" + cell : cell;
        }
        return out;
    }

    /** Rows that are written one after the other. */
    public interface Rows {
        /** Writes them. */
        void into(CsvWriter csv) throws IOException;
    }

    /** A table as text, its lines ending alike on every machine. */
    public static String table(Rows rows) {
        return table(',', rows);
    }

    /** A table as it is put on a clipboard: programs that have tables part its cells by tabs. */
    static String forClipboard(Rows rows) {
        return table('\t', rows);
    }

    private static String table(char separator, Rows rows) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().fieldSeparator(separator).lineDelimiter(LineDelimiter.LF).build(out)) {
            rows.into(csv);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** Returns the text of a cell that {@link #safe} wrote. */
    static String meant(String cell) {
        return cell.startsWith("'") && RUN.matcher(cell.substring(1)).find() ? cell.substring(1) : cell;
    }
}
