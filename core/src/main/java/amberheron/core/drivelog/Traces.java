package amberheron.core.drivelog;

import java.util.Arrays;

/**
 * A drive made ready for drawing at any width and any part of its time.
 *
 * @param drive with the reader's lag out
 * @param controller its envelope
 * @param reader its envelope
 * @param difference shown − true, its envelope
 * @param gap longer than this between two rows nothing is drawn, s
 */
public record Traces(Drive drive, Envelope controller, Envelope reader, Envelope difference, double gap) {
    /** Of a drive of every row. */
    public static Traces of(Drive drive) {
        return of(drive, Drive.GAP);
    }

    /** Of a log that was thinned: its rows are far apart although nothing is missing between. */
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

    /** First second of the log. */
    public double start() {
        return drive.size() == 0 ? 0 : drive.time()[0];
    }

    /** Last second of it. */
    public double end() {
        return drive.size() == 0 ? 0 : drive.time()[drive.size() - 1];
    }

    /** The first row that is not before a moment. */
    public int row(double time) {
        int at = Arrays.binarySearch(drive.time(), time);
        while (at > 0 && drive.time()[at - 1] == time) {
            at--;
        }
        return at < 0 ? -at - 1 : at;
    }

    /** The row nearest to a moment in which both showed a mixture, else the controller did; −1 where there is none near. */
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
