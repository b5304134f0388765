package amberheron.core.drivelog;

/**
 * The least and the greatest of any stretch of a channel, quickly: of every so many rows both are kept, so that a column of
 * the screen looks at few of ten million. No one-row spike is lost. NaN where nothing stood.
 */
public final class Envelope {
    private static final int BLOCK = 64;

    private final float[] values;
    private final float[] least;
    private final float[] most;

    /** Of a channel, which must not change afterwards. */
    public Envelope(float[] values) {
        this.values = values;
        int blocks = values.length / BLOCK;
        least = new float[blocks];
        most = new float[blocks];
        for (int b = 0; b < blocks; b++) {
            least[b] = scan(b * BLOCK, (b + 1) * BLOCK, false);
            most[b] = scan(b * BLOCK, (b + 1) * BLOCK, true);
        }
    }

    /**
     * The least from one row to before another.
     *
     * @param from first row, 0 or more
     * @param to row after the last, at most as many as there are
     */
    public float least(int from, int to) {
        return over(from, to, false);
    }

    /** The greatest, as {@link #least(int, int)}. */
    public float most(int from, int to) {
        return over(from, to, true);
    }

    private float over(int from, int to, boolean greatest) {
        int first = (from + BLOCK - 1) / BLOCK;
        int last = Math.min(to / BLOCK, least.length);
        if (first >= last) {
            return scan(from, to, greatest);
        }
        float best = chosen(scan(from, first * BLOCK, greatest), scan(last * BLOCK, to, greatest), greatest);
        for (int b = first; b < last; b++) {
            best = chosen(best, greatest ? most[b] : least[b], greatest);
        }
        return best;
    }

    private float scan(int from, int to, boolean greatest) {
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
