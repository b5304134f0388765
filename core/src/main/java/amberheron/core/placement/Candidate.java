package amberheron.core.placement;

import org.jspecify.annotations.Nullable;

/**
 * One place where the bung could go.
 *
 * @param id letter shown on the drawing
 * @param note what speaks for it, in the installer's words; may be empty
 * @param distance along the pipe from the turbine's outlet or the manifold; negative is before the turbine, m
 * @param clock position on the pipe's clock face from 12 o'clock, positive towards 3, radians
 * @param slope pitch of the pipe there, radians
 * @param lean lean of the sensor along the pipe, radians
 */
public record Candidate(String id, String note, @Nullable Double distance, @Nullable Double clock, double slope,
        double lean) {
    public Candidate withDistance(@Nullable Double value) {
        return new Candidate(id, note, value, clock, slope, lean);
    }

    public Candidate withClock(@Nullable Double value) {
        return new Candidate(id, note, distance, value, slope, lean);
    }

    public Candidate withSlope(double value) {
        return new Candidate(id, note, distance, clock, value, lean);
    }

    public Candidate withLean(double value) {
        return new Candidate(id, note, distance, clock, slope, value);
    }
}
