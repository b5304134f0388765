package amberheron.core.wiring;

import amberheron.core.finding.Message;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Cure of a ground that shifts the signal, worked out from this harness: said the same wherever it is said.
 *
 * @param text what to do, in a sentence or two
 * @param plan the grounds as they are then; null where it is mended at the reader's input
 */
public record GroundCure(Message text, @Nullable GroundPlan plan) {
    /** Thicker than this nobody pulls a ground wire to a controller, m². */
    private static final double THICKEST = 6e-6;
    /** A section that does not quite reach is taken one step thicker. */
    private static final double ROUND_UP = 1.05;

    /**
     * The cure.
     *
     * @param most greatest shift allowed, V
     * @return empty where nothing has to be mended, or nothing is known
     */
    public static Optional<GroundCure> of(GroundPlan ground, double most) {
        Optional<GroundPlan.Cost> cost = ground.cost();
        if (cost.isEmpty()
                || (Math.abs(cost.get().shift()) <= most && !ground.throughSensorGround(cost.get().school()))) {
            return Optional.empty();
        }
        return Optional.of(separate(ground).or(() -> elsewhere(ground, most)).or(() -> thicker(ground, most))
                .orElse(new GroundCure(Message.plain(
                        "Take the reader's + and − inputs to the controller's output and its signal ground: no common ground is close enough."),
                        null)));
    }

    private static boolean keeps(GroundPlan plan, double most) {
        return plan.cost().filter(c -> Math.abs(c.shift()) <= most).isPresent();
    }

    /** A wire that carries nothing shifts nothing, however long it is. */
    private static Optional<GroundCure> separate(GroundPlan ground) {
        GroundPlan separated = ground.withTwoWires(true).withSchool(GroundSchool.READER).withMeasured(
                GroundSchool.READER,
                null);
        return ground.twoWires()
                ? Optional.empty()
                : Optional.of(new GroundCure(Message.plain(
                        "Part the grounds: the heater's to the chassis, the signal's alone to the reader's sensor ground "
                                + "(with one wire only: to its power ground)."),
                        separated));
    }

    private static Optional<GroundCure> elsewhere(GroundPlan ground, double most) {
        return ground.recommended(most).map(s -> new GroundCure(
                Message.of("Take the ground as “{0}”.", Message.plain(s.words())), ground.withSchool(s)));
    }

    private static Optional<GroundCure> thicker(GroundPlan ground, double most) {
        Double section = ground.wires().section();
        if (section == null) {
            return Optional.empty();
        }
        double needed = section * ROUND_UP * Math.abs(ground.cost().orElseThrow().shift()) / most;
        GroundPlan plan = ground.withWires(w -> w.withSection(needed));
        return needed > THICKEST || !keeps(plan, most)
                ? Optional.empty()
                : Optional.of(new GroundCure(Message.of("Take a ground wire of {0} or more, or a shorter one.",
                        new Measure(needed, Dimension.CROSS_SECTION, 2)), plan));
    }
}
