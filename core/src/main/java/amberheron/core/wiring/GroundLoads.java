package amberheron.core.wiring;

import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * Currents that go through the grounds of a fit. Null for what is not measured.
 *
 * @param mean heater current, mean, A
 * @param peak heater current while it is switched on, A
 * @param others current of other loads that come back through the same strap, A
 * @param display current of the controller's display, which leaves by the heater's ground, A
 * @param readerDraw the reader's own current, which lifts its ground, A; null is taken as none
 */
public record GroundLoads(@Nullable Double mean, @Nullable Double peak, @Nullable Double others,
        @Nullable Double display, @Nullable Double readerDraw) {
    /** Nothing measured. */
    public static final GroundLoads UNMEASURED = new GroundLoads(null, null, null, null, null);

    public GroundLoads {
        Sane.CURRENT.check("mean", mean);
        Sane.CURRENT.check("peak", peak);
        Sane.CURRENT.check("others", others);
        Sane.CURRENT.check("display", display);
        Sane.CURRENT.check("readerDraw", readerDraw);
    }

    public GroundLoads withMean(@Nullable Double value) {
        return new GroundLoads(value, peak, others, display, readerDraw);
    }

    public GroundLoads withPeak(@Nullable Double value) {
        return new GroundLoads(mean, value, others, display, readerDraw);
    }

    public GroundLoads withOthers(@Nullable Double value) {
        return new GroundLoads(mean, peak, value, display, readerDraw);
    }

    public GroundLoads withDisplay(@Nullable Double value) {
        return new GroundLoads(mean, peak, others, value, readerDraw);
    }

    public GroundLoads withReaderDraw(@Nullable Double value) {
        return new GroundLoads(mean, peak, others, display, value);
    }
}
