package amberheron.core.drivelog;

import amberheron.core.units.Sane;

/**
 * One moment of a log.
 *
 * @param time s since the log began
 * @param controller what the controller itself reported, λ
 * @param reader what the reader logged, λ
 */
public record Sample(double time, double controller, double reader) {
    public Sample {
        Sane.SHOWN.check("controller", controller);
        Sane.SHOWN.check("reader", reader);
    }

    /** Shown − true, λ. */
    public double difference() {
        return reader - controller;
    }
}
