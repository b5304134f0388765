package amberheron.core.placement;

/** Time that a change in the cylinder takes to reach the sensor: pipe volume over flow, plus about one engine cycle. */
public final class TransportDelay {
    private TransportDelay() {
    }

    /**
     * A running condition.
     *
     * @param rpm engine speed, 1/min
     * @param volumetricEfficiency filling against ambient density, 0 to about 1.3; several times less at idle
     * @param exhaustToIntake absolute temperature of exhaust over intake
     * @param afr air-fuel ratio by mass
     */
    public record Running(double rpm, double volumetricEfficiency, double exhaustToIntake, double afr) {
    }

    /**
     * The delay in seconds.
     *
     * @param displacement of the engine (all cylinders that feed this pipe), m³
     * @param pipeVolume between the exhaust valves and the sensor, m³
     */
    public static double seconds(double displacement, double pipeVolume, Running at) {
        double flow = displacement / 2 * (at.rpm() / 60) * at.volumetricEfficiency() * (1 + 1 / at.afr())
                * at.exhaustToIntake();
        return pipeVolume / flow + 120 / at.rpm();
    }

    /**
     * Mass of exhaust per second, kg/s, filling counted against air of 1.18 kg/m³ (25 °C at sea level).
     *
     * @param displacement of the cylinders that feed this pipe, m³
     */
    public static double massFlow(double displacement, Running at) {
        return 1.18 * displacement / 2 * (at.rpm() / 60) * at.volumetricEfficiency() * (1 + 1 / at.afr());
    }

    /** Volume of a round pipe, m³. */
    public static double volume(double length, double bore) {
        return Math.PI / 4 * bore * bore * length;
    }
}
