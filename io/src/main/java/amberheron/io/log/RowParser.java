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
    /** A number of so many digits is one double exactly, and divided by a power of ten that is one rounds once. */
    private static final int MOST_EXACT = 15;
    private static final double[] POWERS = new double[MOST_EXACT + 1];
    private static final int LONGEST_NUMBER = 400;
    /** Beyond this no unit makes a number one of an engine, and it would not survive in single precision. */
    private static final double LARGEST = 1e30;

    static {
        POWERS[0] = 1;
        for (int i = 1; i < POWERS.length; i++) {
            POWERS[i] = 10 * POWERS[i - 1];
        }
    }

    /** Bytes up to a line's end, and what they held; used again for others, since so much room is not asked for lightly. */
    static final class Chunk {
        /** Longer than what is filled by one byte at least, a 0: there every number ends. */
        byte[] bytes = new byte[0];
        int end;
        double[] time = new double[0];
        /** NaN where nothing was read. */
        final float[][] columns;
        /** The line of each row, counted from the chunk's first. */
        int[] line = new int[0];
        int rows;
        int leftOut;
        /** All lines, with comments and empty ones. */
        int lines;
        final List<Fault> faults = new ArrayList<>();
        /** The number read last. */
        private double number;

        Chunk(int columns) {
            this.columns = new float[columns][0];
        }

        /** Room for so many bytes and the 0 behind them. */
        byte[] room(int length) {
            if (bytes.length <= length) {
                bytes = new byte[length + 1];
            }
            return bytes;
        }

        private void begin() {
            rows = 0;
            leftOut = 0;
            lines = 0;
            faults.clear();
            if (time.length == 0) {
                time = new double[Math.max(16, end / 64)];
                line = new int[time.length];
                Arrays.setAll(columns, i -> new float[time.length]);
            }
            for (float[] column : columns) {
                Arrays.fill(column, Float.NaN);
            }
        }

        private void grow() {
            int before = time.length;
            time = Arrays.copyOf(time, 2 * before);
            line = Arrays.copyOf(line, 2 * before);
            for (int i = 0; i < columns.length; i++) {
                columns[i] = Arrays.copyOf(columns[i], 2 * before);
                Arrays.fill(columns[i], before, 2 * before, Float.NaN);
            }
        }

        /** A row that is left out leaves its place to the next. */
        private void leaveOut() {
            leftOut++;
            for (float[] column : columns) {
                column[rows] = Float.NaN;
            }
        }
    }

    /** Fault of a line, counted from the chunk's first. */
    record Fault(int line, String why) {
    }

    /** Whether a number that is plainly written can be read at once, without looking for the end of its field first. */
    private final boolean quick;
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
        this.quick = separator != point && separator != ' ';
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

    /** Room for what is read. */
    Chunk chunk() {
        return new Chunk(wanted);
    }

    /**
     * Reads what a chunk holds.
     *
     * @param from where its first row begins
     */
    Chunk parse(Chunk chunk, int from) {
        chunk.begin();
        int at = from;
        while (at < chunk.end) {
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
        double time = Double.NaN;
        int column = 0;
        int start = separator == ' ' ? at : from;
        int bad = -1;
        boolean more = true;
        while (column < kept.length && more) {
            int stop = start;
            int keep = kept[column];
            int plain = quick && (keep >= 0 || column == timeColumn) ? plain(chunk, start) : -1;
            if (plain >= 0) {
                if (keep >= 0) {
                    chunk.columns[keep][row] = (float) chunk.number;
                } else {
                    time = chunk.number * timeFactor;
                }
                column++;
                more = b[plain] != '\n';
                start = more ? plain + 1 : plain;
                continue;
            }
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
            } else if (keep >= 0) {
                double value = number(b, start, stop);
                if (Math.abs(value) > LARGEST) {
                    bad = bad < 0 ? column : bad;
                } else {
                    chunk.columns[keep][row] = (float) value;
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
            chunk.leaveOut();
        } else if (!Double.isFinite(time) || bad >= 0) {
            chunk.leaveOut();
            if (chunk.faults.size() < MOST_FAULTS) {
                int in = bad >= 0 ? bad : timeColumn;
                chunk.faults.add(new Fault(chunk.lines, say("column %d: found “%s”, expected %s", in + 1,
                        field(b, from, next, in), bad >= 0 ? say("a number") : say("a time"))));
            }
        } else {
            chunk.time[row] = time;
            chunk.line[row] = chunk.lines;
            chunk.rows++;
        }
        return next;
    }

    /**
     * Reads a number that is written plainly, and ends at once with its field.
     *
     * @return where its field ends; −1 for any other, of which nothing is said here
     */
    private int plain(Chunk chunk, int from) {
        byte[] b = chunk.bytes;
        int at = from;
        int c = b[at];
        boolean negative = c == '-';
        if (negative) {
            c = b[++at];
        }
        int first = at;
        long digits = 0;
        while (c >= '0' && c <= '9') {
            digits = 10 * digits + c - '0';
            c = b[++at];
        }
        int count = at - first;
        int decimals = 0;
        if (c == point) {
            c = b[++at];
            first = at;
            while (c >= '0' && c <= '9') {
                digits = 10 * digits + c - '0';
                c = b[++at];
            }
            decimals = at - first;
            count += decimals;
        }
        if (c == '\r' && b[at + 1] == '\n') {
            c = b[++at];
        }
        if (count == 0 || count > MOST_EXACT || (c != separator && c != '\n')) {
            return -1;
        }
        double value = digits / POWERS[decimals];
        chunk.number = negative ? -value : value;
        return at;
    }

    private String field(byte[] b, int from, int to, int column) {
        List<String> fields = LogShape.row(new String(b, from, Math.min(to - from, 4000), StandardCharsets.UTF_8),
                (char) separator);
        String found = column < fields.size() ? fields.get(column).strip() : say("nothing");
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
        if (none(b, at, end)) {
            return Double.NaN;
        }
        if (end - at > LONGEST_NUMBER) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = at; i < end; i++) {
            // Neither hexadecimal nor with a letter for its type.
            if (!(b[i] >= '0' && b[i] <= '9') && b[i] != '-' && b[i] != '+' && b[i] != point && b[i] != 'e'
                    && b[i] != 'E') {
                return Double.POSITIVE_INFINITY;
            }
        }
        try {
            double value = Double.parseDouble(
                    new String(b, at, end - at, StandardCharsets.ISO_8859_1).replace((char) point, '.'));
            return Double.isFinite(value) ? value : Double.POSITIVE_INFINITY;
        } catch (NumberFormatException e) {
            return Double.POSITIVE_INFINITY;
        }
    }

    private static boolean blank(byte b) {
        return b == ' ' || b == '"' || b == '\t' || b == '\r';
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
