package amberheron.core.placement;

import amberheron.core.placement.TransportDelay.Running;

/**
 * Rough estimates of the gas and the wall along the pipe. Every constant is from memory and every result a range: they
 * say whether a place is hot, slow or wet, never a temperature to rely on.
 */
public final class GasAlongPipe {
    /** Gas as it leaves the ports at full load, K; from rich and retarded to lean and early. */
    static final Estimate PORT_AT_FULL_LOAD = new Estimate(1000, 1230);
    /** The same of an engine on boost, before its turbine, K. */
    static final Estimate PORT_ON_BOOST = new Estimate(1080, 1290);
    /** Temperature drop across a turbine, K. */
    static final Estimate TURBINE_DROP = new Estimate(80, 150);
    /** Heat passing from gas through wall to the air, W/(m²·K). */
    static final Estimate TRANSFER = new Estimate(40, 80);
    /** Heat passing from gas to a cold wall after a cold start, W/(m²·K). */
    static final Estimate TRANSFER_COLD = new Estimate(30, 50);
    /** Dew point of the exhaust at lambda 1, K, from diesel to methanol: the water other fuels make lies between. */
    static final Estimate DEW_POINT = new Estimate(dewPoint(1.8, 0), dewPoint(4, 1));
    /** Air at a cold start, K. */
    static final Estimate COLD_START = new Estimate(273, 298);
    /** Heat released by the water that condenses on the wall, as kelvins of gas temperature. */
    private static final double CONDENSING = 70;
    private static final double PORT_COLD = 600;
    private static final double AMBIENT = 283;
    private static final double GAS_HEAT = 1120;
    private static final double STEEL_DENSITY = 7850;
    private static final double STEEL_HEAT = 480;

    private GasAlongPipe() {
    }

    /** Warm idle, for the delay. */
    static Running idle(double stoich) {
        return new Running(800, 0.30, 2, stoich);
    }

    /** Fast idle just after a cold start. */
    static Running coldIdle(double stoich) {
        return new Running(1200, 0.40, 2, stoich);
    }

    /** Full load: rich by the ratio of 12.5 to 14.7. */
    static Running fullLoad(double stoich) {
        return new Running(6000, 0.90, 1000 / 300.0, 0.85 * stoich);
    }

    /**
     * Temperature at which the exhaust of CHyOz at lambda 1 begins to drip, K, at sea level: water fraction of complete
     * combustion (Heywood, ch. 3), vapour pressure of Alduchov and Eskridge (1996) turned round.
     */
    public static double dewPoint(double hydrogenPerCarbon, double oxygenPerCarbon) {
        double burnt = 1 + hydrogenPerCarbon / 4 - oxygenPerCarbon / 2;
        double water = hydrogenPerCarbon / 2 / (1 + hydrogenPerCarbon / 2 + 3.773 * burnt);
        double x = Math.log(water * 101325 / 610.94);
        return 273.15 + 243.04 * x / (17.625 - x);
    }

    /**
     * Gas temperature at full load, K: an exponential approach to the air outside.
     *
     * @param surface of the pipe up to the place, m²
     * @param flow mass of gas per second, kg/s
     * @param boosted whether the engine has a turbine
     * @param turbine whether the gas has passed it
     */
    public static Estimate atFullLoad(double surface, double flow, boolean boosted, boolean turbine) {
        Estimate port = boosted ? PORT_ON_BOOST : PORT_AT_FULL_LOAD;
        return new Estimate(
                cooled(port.low() - (turbine ? TURBINE_DROP.high() : 0), AMBIENT, TRANSFER.high(), surface, flow),
                cooled(port.high() - (turbine ? TURBINE_DROP.low() : 0), AMBIENT, TRANSFER.low(), surface, flow));
    }

    private static double cooled(double from, double air, double transfer, double surface, double flow) {
        return air + (from - air) * Math.exp(-transfer * surface / (flow * GAS_HEAT));
    }

    /**
     * Time after a cold start until the wall is past the dew point and water no longer gathers, s: the heat the wall
     * takes over what the gas still brings there, by its own heat and by the water that condenses.
     *
     * @param surface of the pipe up to the place, m²
     * @param wall thickness, m
     * @param flow mass of gas per second at fast idle, kg/s
     */
    public static Estimate dryAfter(double surface, double wall, double flow) {
        return new Estimate(dryAfter(surface, wall, flow, TRANSFER_COLD.high(), DEW_POINT.low(), COLD_START.high()),
                dryAfter(surface, wall, flow, TRANSFER_COLD.low(), DEW_POINT.high(), COLD_START.low()));
    }

    private static double dryAfter(double surface, double wall, double flow, double transfer, double dewPoint,
            double air) {
        double gas = cooled(PORT_COLD, air, transfer, surface, flow);
        return STEEL_DENSITY * STEEL_HEAT * wall * (dewPoint - air) / (transfer * (gas - air + CONDENSING));
    }
}
