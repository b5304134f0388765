package amberheron.core.placement;

import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Optional;

/**
 * The figures to mark and cut by.
 *
 * @param hole across, m
 * @param pilot drill, m
 * @param around from 12 o'clock along the pipe's outside, positive towards 3, m
 * @param along from where distances begin, m
 * @param bung how the bung's face meets the pipe
 * @param cut how the hole meets the pipe
 */
public record MarkingOut(double hole, double pilot, double around, double along, Cope bung, Cope cut) {
    /** Pilot drill, m; from memory. */
    private static final double PILOT = 0.004;

    /**
     * The marks for a place.
     *
     * @return empty until place, clock position and the pipe's diameter are known
     * @throws Unusable when bung and pipe do not go together
     */
    public static Optional<MarkingOut> of(Exhaust exhaust, Candidate place, Bung bung) {
        Double distance = place.distance();
        Double clock = place.clock();
        Double diameter = distance == null
                ? null
                : exhaust.run(place.line()).at(distance).map(p -> p.segment().diameter()).orElse(null);
        if (distance == null || clock == null || diameter == null) {
            return Optional.empty();
        }
        double radius = diameter / 2;
        // Leaning with the gas closes the angle on the downstream side.
        double angle = Math.PI / 2 - place.lean();
        return Optional.of(new MarkingOut(bung.lip(), PILOT, radius * clock, distance,
                new Cope(bung.diameter() / 2, radius, angle), new Cope(bung.lip() / 2, radius, angle)));
    }

    /** Marks of a step drill from the pilot to the hole, every 2 mm, the last the hole itself. */
    public List<Measure> steps() {
        java.util.List<Measure> steps = new java.util.ArrayList<>();
        for (double d = 0.006; d < hole - 1e-6; d += 0.002) {
            steps.add(Measure.of(1000 * d, Unit.MILLIMETRE, 0));
        }
        steps.add(Measure.of(1000 * hole, Unit.MILLIMETRE,
                Math.abs(1000 * hole - Math.rint(1000 * hole)) < 0.05 ? 0 : 1));
        return List.copyOf(steps);
    }
}
