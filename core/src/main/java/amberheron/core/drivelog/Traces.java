package amberheron.core.drivelog;

import java.util.Arrays;

/**
 * A drive prepared for drawing at any width and over any part of its time.
 *
 * @param drive with the reader's lag out
 * @param controller its envelope
 * @param reader its envelope
 * @param difference shown − true, its envelope
 * @param gap longer than this between two rows nothing is drawn, s
 */
public record Traces(Drive drive, Envelope controller, Envelope reader, Envelope difference, double gap) {
    /** Prepares a drive that has all its rows. */
    public static Traces of(Drive drive) {
        return of(drive, Drive.GAP);
    }

    /** Prepares a thinned drive, whose rows are far apart although nothing is missing between. */
    public static Traces thinned(Drive drive) {
        return of(drive, Double.POSITIVE_INFINITY);
    }

    private static Traces of(Drive drive, double gap) {
        float[] off = new float[drive.size()];
        for (int i = 0; i < off.length; i++) {
            off[i] = drive.reader()[i] - drive.controller()[i];
        }
        return new Traces(drive, new Envelope(drive.controller()), new Envelope(drive.reader()), new Envelope(off),
                gap);
    }

    /** Returns the first moment of the log, s. */
    public double start() {
        return drive.size() == 0 ? 0 : drive.time()[0];
    }

    /** Returns the last moment of the log, s. */
    public double end() {
        return drive.size() == 0 ? 0 : drive.time()[drive.size() - 1];
    }

    /** Returns the first row that is not before a moment. */
    public int row(double time) {
        int at = Arrays.binarySearch(drive.time(), time);
        while (at > 0 && drive.time()[at - 1] == time) {
            at--;
        }
        return at < 0 ? -at - 1 : at;
    }

    /**
     * Returns the row at which each column of the screen begins, and the row after the last. Long logs are divided at even
     * rows, which an {@link Envelope} finds without reading single ones.
     */
    public int[] columns(double from, double to, int columns) {
        int first = row(from);
        int last = Math.min(drive.size(), row(to) + 1);
        int grain = Envelope.grain((last - first) / columns);
        int[] begins = new int[columns + 1];
        for (int c = 0; c < columns; c++) {
            begins[c] = row(from + c * (to - from) / columns) / grain * grain;
        }
        begins[columns] = last;
        return begins;
    }

    /**
     * Returns the row nearest to a moment in which both showed a mixture, or else the controller did; −1 where there is
     * none near.
     */
    public int nearest(double time) {
        int at = Math.min(row(time), drive.size() - 1);
        int alone = -1;
        for (int reach = 0; reach < 200; reach++) {
            for (int i : new int[]{at - reach, at + reach}) {
                if (i >= 0 && i < drive.size() && drive.controller()[i] > 0) {
                    if (drive.reader()[i] > 0) {
                        return i;
                    }
                    alone = alone < 0 ? i : alone;
                }
            }
        }
        return alone;
    }
}
