package amberheron.core.drivelog;

import java.util.ArrayList;
import java.util.List;

/**
 * The least and the greatest of any stretch of a channel, quickly: of every so many rows both are kept, and of every so many
 * of those again, so that a column of the screen looks at few of ten million. No one-row spike is lost. NaN where nothing
 * stood.
 */
public final class Envelope {
    private static final int BLOCK = 16;

    /** The rows themselves, then what is kept of ever more of them. */
    private final List<float[]> least = new ArrayList<>();
    private final List<float[]> most = new ArrayList<>();

    /** Of a channel, which must not change afterwards. */
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
     * The least from one row to before another.
     *
     * @param from first row, 0 or more
     * @param to row after the last, at most as many as there are
     */
    public float least(int from, int to) {
        return over(least, 0, from, to, false);
    }

    /** The greatest, as {@link #least(int, int)}. */
    public float most(int from, int to) {
        return over(most, 0, from, to, true);
    }

    /**
     * How many rows are best taken together where a stretch has so many: stretches that begin at multiples of it are found
     * without a look at single rows, and what they begin too early is a sixteenth of them at most.
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
