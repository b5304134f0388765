package amberheron.core.drivelog;

/**
 * One moment of a log.
 *
 * @param time s since the log began
 * @param controller what the controller itself reported, λ
 * @param reader what the reader logged, λ
 */
public record Sample(double time, double controller, double reader) {
    /** Shown − true, λ. */
    public double difference() {
        return reader - controller;
    }
}
