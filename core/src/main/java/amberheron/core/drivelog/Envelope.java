package amberheron.core.drivelog;

import java.util.ArrayList;
import java.util.List;

/**
 * Minimum and maximum of any stretch of a channel in little time, from a pyramid: each level keeps both for a fixed number
 * of entries of the level below, so that one column of the screen reads few of ten million rows and no spike of a single
 * row is lost. NaN marks rows without a value.
 */
public final class Envelope {
    private static final int BLOCK = 16;

    /** The rows themselves, followed by the minima of ever more rows. */
    private final List<float[]> least = new ArrayList<>();
    private final List<float[]> most = new ArrayList<>();

    /** Builds the pyramid of a channel; the array must not change afterwards. */
    public Envelope(float[] values) {
        least.add(values);
        most.add(values);
        while (least.getLast().length >= 2 * BLOCK) {
            least.add(blocks(least.getLast(), false));
            most.add(blocks(most.getLast(), true));
        }
    }

    private static float[] blocks(float[] of, boolean greatest) {
        float[] blocks = new float[of.length / BLOCK];
        for (int b = 0; b < blocks.length; b++) {
            blocks[b] = scan(of, b * BLOCK, (b + 1) * BLOCK, greatest);
        }
        return blocks;
    }

    /**
     * Returns the minimum over some rows.
     *
     * @param from first row, 0 or more
     * @param to row after the last, at most as many as there are
     */
    public float least(int from, int to) {
        return over(least, 0, from, to, false);
    }

    /** Returns the maximum over some rows, as {@link #least(int, int)} does the minimum. */
    public float most(int from, int to) {
        return over(most, 0, from, to, true);
    }

    /**
     * Returns the number of rows to which the ends of a long stretch may be rounded, so that no single row has to be read;
     * the stretch begins at most a sixteenth of its length too early.
     */
    public static int grain(int rows) {
        int grain = 1;
        while (rows / BLOCK / BLOCK >= grain) {
            grain *= BLOCK;
        }
        return grain;
    }

    private static float over(List<float[]> levels, int level, int from, int to, boolean greatest) {
        float[] here = levels.get(level);
        int first = (from + BLOCK - 1) / BLOCK;
        int last = level + 1 < levels.size() ? Math.min(to / BLOCK, levels.get(level + 1).length) : 0;
        if (first >= last) {
            return scan(here, from, to, greatest);
        }
        float edges = chosen(scan(here, from, first * BLOCK, greatest), scan(here, last * BLOCK, to, greatest),
                greatest);
        return chosen(edges, over(levels, level + 1, first, last, greatest), greatest);
    }

    private static float scan(float[] values, int from, int to, boolean greatest) {
        float best = Float.NaN;
        for (int i = from; i < to; i++) {
            best = chosen(best, values[i], greatest);
        }
        return best;
    }

    private static float chosen(float a, float b, boolean greatest) {
        return Float.isNaN(a) ? b : Float.isNaN(b) ? a : greatest ? Math.max(a, b) : Math.min(a, b);
    }
}
