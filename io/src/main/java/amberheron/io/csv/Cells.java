package amberheron.io.csv;

import java.util.regex.Pattern;

/** Cells of a table that people open in a spreadsheet. */
public final class Cells {
    /** A spreadsheet runs a cell that begins so. */
    private static final Pattern RUN = Pattern.compile("^[=+@\\t\\r]|^-(?![\\d.,]*$)");

    private Cells() {
    }

    /** A cell that no spreadsheet takes for a formula: an apostrophe stands before one that it would run. */
    public static String[] safe(String... cells) {
        String[] out = new String[cells.length];
        for (int i = 0; i < cells.length; i++) {
            out[i] = RUN.matcher(cells[i]).find() ? "'" + cells[i] : cells[i];
        }
        return out;
    }

    /** What was meant by a cell that {@link #safe} wrote. */
    static String meant(String cell) {
        return cell.startsWith("'") && RUN.matcher(cell.substring(1)).find() ? cell.substring(1) : cell;
    }
}
