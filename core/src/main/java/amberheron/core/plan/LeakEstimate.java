package amberheron.core.plan;

import amberheron.core.finding.Source;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.placement.TransportDelay;
import amberheron.core.placement.TransportDelay.Running;
import java.util.Optional;

/**
 * Effect of a leak before the sensor on the reading at idle, when the suction between pulses draws air in. Under load the
 * exhaust blows out of the same hole and little comes in.
 *
 * @param part mass of air drawn in per mass of exhaust
 * @param shown the lambda seen at a true lambda of 1
 */
public record LeakEstimate(double part, double shown) {
    /** Basis of the figure. */
    public static final Source SOURCE = Source.memory(
            "orifice flow 0.6·A·√(2·ρ·Δp) at a mean suction of 0.2 kPa at idle; λ + f·(1 + λ·AFRst)/AFRst after that");
    private static final double SUCTION = 200;
    private static final double AIR = 1.18;
    private static final double CONTRACTION = 0.6;

    /**
     * The estimate for a hole in an engine's exhaust; where each bank has a pipe of its own, in one of the two.
     *
     * @param hole its diameter, m
     * @param stoich the fuel's stoichiometric ratio
     * @return empty while the displacement is not known
     */
    public static Optional<LeakEstimate> of(double hole, Intake intake, double stoich) {
        Double displacement = intake.displacement();
        return displacement == null
                ? Optional.empty()
                : Optional.of(of(hole, intake.exhaust().separateBanks() ? displacement / 2 : displacement, stoich));
    }

    /**
     * The estimate for a hole.
     *
     * @param displacement of the cylinders that feed the pipe, m³
     */
    static LeakEstimate of(double hole, double displacement, double stoich) {
        double drawn = CONTRACTION * Math.PI / 4 * hole * hole * Math.sqrt(2 * AIR * SUCTION);
        double exhaust = TransportDelay.massFlow(displacement, new Running(800, 0.30, 2, stoich));
        return ofPart(drawn / exhaust, stoich);
    }

    /** The estimate for a known part of air. */
    public static LeakEstimate ofPart(double part, double stoich) {
        return new LeakEstimate(part, ExhaustGas.withFalseAir(1, part, stoich));
    }
}
