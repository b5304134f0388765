package amberheron.core.drivelog;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * What a reader shows that gets its numbers by a link, beside the controller's own display, at two mixtures.
 *
 * @param scale what the reader's numbers are; null until said
 */
public record LinkReading(@Nullable MixtureScale scale, Pair first, Pair second) {
    /** Nothing noted. */
    public static final LinkReading NONE = new LinkReading(null, Pair.NONE, Pair.NONE);

    /**
     * Two numbers read at the same moment.
     *
     * @param controller on the scale of the controller's display; null until noted
     * @param reader on the reader's scale; null until noted
     */
    public record Pair(@Nullable Double controller, @Nullable Double reader) {
        /** Nothing noted. */
        static final Pair NONE = new Pair(null, null);

        public Pair {
            Sane.SHOWN.check("controller", controller);
            Sane.SHOWN.check("reader", reader);
        }

        public Pair withController(@Nullable Double value) {
            return new Pair(value, reader);
        }

        public Pair withReader(@Nullable Double value) {
            return new Pair(controller, value);
        }
    }

    public LinkReading withScale(@Nullable MixtureScale value) {
        return new LinkReading(value, first, second);
    }

    public LinkReading withFirst(Pair value) {
        return new LinkReading(scale, value, second);
    }

    public LinkReading withSecond(Pair value) {
        return new LinkReading(scale, first, value);
    }
}
