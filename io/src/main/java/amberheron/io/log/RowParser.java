package amberheron.io.log;

import static amberheron.core.units.Phrase.say;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reads whole lines of bytes into arrays: only the columns that are wanted, no object for a field. A time may be a number
 * or of the clock.
 */
final class RowParser {
    private static final int MOST_FAULTS = 20;
    private static final double[] TENTHS = new double[19];

    static {
        for (int i = 0; i < TENTHS.length; i++) {
            TENTHS[i] = Math.pow(10, -i);
        }
    }

    /** Bytes up to a line's end, and what they held. */
    static final class Chunk {
        final byte[] bytes;
        final int end;
        double[] time;
        final float[][] columns;
        int rows;
        int leftOut;
        /** All lines, with comments and empty ones. */
        int lines;
        final List<Fault> faults = new ArrayList<>();

        Chunk(byte[] bytes, int end, int columns) {
            this.bytes = bytes;
            this.end = end;
            int guess = Math.max(16, end / 64);
            this.time = new double[guess];
            this.columns = new float[columns][guess];
        }

        private void grow() {
            int more = time.length * 2;
            time = Arrays.copyOf(time, more);
            for (int i = 0; i < columns.length; i++) {
                columns[i] = Arrays.copyOf(columns[i], more);
            }
        }
    }

    /** What is wrong with a line, counted from the chunk's first. */
    record Fault(int line, String why) {
    }

    private final byte separator;
    private final byte point;
    private final int timeColumn;
    /** For each column of the file the place it is kept at; less than 0 for one that is not wanted. */
    private final int[] kept;
    private final int wanted;
    private final double timeFactor;

    /**
     * A parser.
     *
     * @param timeFactor seconds in one of the time column's numbers
     * @param columns that are wanted, in the order in which they are kept
     */
    RowParser(LogShape shape, int timeColumn, double timeFactor, int[] columns) {
        this.separator = (byte) shape.separator();
        this.point = (byte) (shape.decimalComma() ? ',' : '.');
        this.timeColumn = timeColumn;
        this.timeFactor = timeFactor;
        this.wanted = columns.length;
        int most = timeColumn;
        for (int c : columns) {
            most = Math.max(most, c);
        }
        this.kept = new int[most + 1];
        Arrays.fill(kept, -1);
        for (int i = 0; i < columns.length; i++) {
            kept[columns[i]] = i;
        }
    }

    Chunk parse(byte[] bytes, int end, int from) {
        Chunk chunk = new Chunk(bytes, end, wanted);
        int at = from;
        while (at < end) {
            at = row(chunk, at);
            chunk.lines++;
        }
        return chunk;
    }

    /** Where the next line begins. */
    private static int next(byte[] b, int from, int end) {
        int at = from;
        while (at < end && b[at] != '\n') {
            at++;
        }
        return Math.min(end, at + 1);
    }

    /** Reads the line that begins here, in one pass over its bytes; gives where the next begins. */
    private int row(Chunk chunk, int from) {
        byte[] b = chunk.bytes;
        int end = chunk.end;
        int at = from;
        while (at < end && b[at] == ' ') {
            at++;
        }
        if (at == end || b[at] == '\n' || b[at] == '\r' || b[at] == '#' || b[at] == '%' || b[at] == '!' || b[at] == '*'
                || b[at] == '/') {
            return next(b, at, end);
        }
        if (chunk.rows == chunk.time.length) {
            chunk.grow();
        }
        int row = chunk.rows;
        for (int i = 0; i < wanted; i++) {
            chunk.columns[i][row] = Float.NaN;
        }
        double time = Double.NaN;
        int column = 0;
        int start = separator == ' ' ? at : from;
        int bad = -1;
        boolean more = true;
        while (column < kept.length && more) {
            int stop = start;
            if (stop < end && b[stop] == '"') {
                stop++;
                while (stop < end && b[stop] != '"' && b[stop] != '\n') {
                    stop++;
                }
            }
            while (stop < end && b[stop] != separator && b[stop] != '\n') {
                stop++;
            }
            if (column == timeColumn) {
                time = time(b, start, stop);
            } else if (kept[column] >= 0) {
                double value = number(b, start, stop);
                if (value == Double.POSITIVE_INFINITY) {
                    bad = bad < 0 ? column : bad;
                } else {
                    chunk.columns[kept[column]][row] = (float) value;
                }
            }
            column++;
            more = stop < end && b[stop] != '\n';
            start = more ? stop + 1 : stop;
            if (separator == ' ') {
                while (start < end && b[start] == ' ') {
                    start++;
                }
            }
        }
        int next = next(b, start, end);
        if (column < kept.length && b[next - 1] != '\n') {
            // The writer was stopped in the middle of it.
            chunk.leftOut++;
        } else if (!Double.isFinite(time) || bad >= 0) {
            chunk.leftOut++;
            if (chunk.faults.size() < MOST_FAULTS) {
                int in = bad >= 0 ? bad : timeColumn;
                chunk.faults.add(new Fault(chunk.lines, say("column %d: found “%s”, expected %s", in + 1,
                        field(b, from, next, in), bad >= 0 ? "a number" : "a time")));
            }
        } else {
            chunk.time[row] = time;
            chunk.rows++;
        }
        return next;
    }

    private String field(byte[] b, int from, int to, int column) {
        List<String> fields = LogShape.row(new String(b, from, Math.min(to - from, 4000), StandardCharsets.UTF_8),
                (char) separator);
        String found = column < fields.size() ? fields.get(column).strip() : "nothing";
        return found.length() > 40 ? found.substring(0, 40) + "…" : found;
    }

    /** The number in a field: NaN where nothing stands or it says that it is none, +∞ where it is no number. */
    private double number(byte[] b, int from, int to) {
        int at = from;
        int end = to;
        while (at < end && blank(b[at])) {
            at++;
        }
        while (end > at && blank(b[end - 1])) {
            end--;
        }
        if (at == end) {
            return Double.NaN;
        }
        boolean negative = b[at] == '-';
        if (b[at] == '-' || b[at] == '+') {
            at++;
        }
        long digits = 0;
        int decimals = 0;
        int seen = 0;
        boolean behind = false;
        while (at < end) {
            int c = b[at];
            if (c >= '0' && c <= '9') {
                if (digits < 100_000_000_000_000_000L) {
                    digits = 10 * digits + c - '0';
                    decimals += behind ? 1 : 0;
                } else if (!behind) {
                    return Double.POSITIVE_INFINITY;
                }
                seen++;
            } else if (c == point && !behind) {
                behind = true;
            } else {
                break;
            }
            at++;
        }
        if (seen == 0) {
            return none(b, at, end) ? Double.NaN : Double.POSITIVE_INFINITY;
        }
        double value = digits * TENTHS[decimals];
        if (at < end && (b[at] == 'e' || b[at] == 'E')) {
            double power = exponent(b, at + 1, end);
            if (Double.isNaN(power)) {
                return Double.POSITIVE_INFINITY;
            }
            value *= Math.pow(10, power);
        } else if (at < end) {
            return Double.POSITIVE_INFINITY;
        }
        return negative ? -value : value;
    }

    private static boolean blank(byte b) {
        return b == ' ' || b == '"' || b == '\t' || b == '\r';
    }

    private static double exponent(byte[] b, int from, int end) {
        int at = from;
        boolean negative = at < end && b[at] == '-';
        if (at < end && (b[at] == '-' || b[at] == '+')) {
            at++;
        }
        int power = 0;
        if (at == end || end - at > 3) {
            return Double.NaN;
        }
        for (; at < end; at++) {
            if (b[at] < '0' || b[at] > '9') {
                return Double.NaN;
            }
            power = 10 * power + b[at] - '0';
        }
        return power > 30 ? Double.NaN : negative ? -power : power;
    }

    /** Words for nothing. */
    private static boolean none(byte[] b, int from, int end) {
        String word = new String(b, from, Math.min(end - from, 8), StandardCharsets.ISO_8859_1).toLowerCase(
                java.util.Locale.ROOT);
        return word.equals("nan") || word.equals("null") || word.equals("n/a") || word.equals("na") || word.equals("-")
                || word.equals("--") || word.equals("---") || word.isEmpty();
    }

    /** Seconds: of a number by its factor, of the clock since midnight, a day before it left out. */
    private double time(byte[] b, int from, int to) {
        int colon = -1;
        for (int i = from; i < to && colon < 0; i++) {
            colon = b[i] == ':' ? i : -1;
        }
        if (colon < 0) {
            double value = number(b, from, to);
            return value == Double.POSITIVE_INFINITY ? Double.NaN : value * timeFactor;
        }
        int at = colon;
        while (at > from && b[at - 1] >= '0' && b[at - 1] <= '9') {
            at--;
        }
        double[] parts = new double[3];
        int part = 0;
        double value = 0;
        double place = 0;
        for (; at < to; at++) {
            int c = b[at];
            if (c >= '0' && c <= '9') {
                value = place == 0 ? 10 * value + c - '0' : value + place * (c - '0');
                place /= 10;
            } else if (c == ':' && part < 2) {
                parts[part++] = value;
                value = 0;
            } else if ((c == '.' || c == ',') && place == 0) {
                place = 0.1;
            } else if (c == '"' || c == ' ' || c == 'Z' || c == '\r') {
                break;
            } else {
                return Double.NaN;
            }
        }
        parts[part] = value;
        // Two parts are minutes and seconds.
        return part == 2 ? 3600 * parts[0] + 60 * parts[1] + parts[2] : 60 * parts[0] + parts[1];
    }
}
