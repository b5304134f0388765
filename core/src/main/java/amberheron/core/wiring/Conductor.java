package amberheron.core.wiring;

/**
 * A copper wire. Resistivity 1/58 Ω·mm²/m at 20 °C (IEC 60028), rising 0.393 % per kelvin.
 *
 * @param length m
 * @param crossSection m²
 */
public record Conductor(double length, double crossSection) {
    private static final double RESISTIVITY = 1e-6 / 58;
    private static final double PER_KELVIN = 0.00393;
    private static final double REFERENCE = 293.15;
    /** A wire that passes the engine, K; from memory. Inside the car it is taken at 20 °C. */
    public static final double UNDER_BONNET = 353.15;

    /** Resistance in ohms at a temperature in kelvin. */
    public double resistance(double temperature) {
        return RESISTIVITY * length / crossSection * (1 + PER_KELVIN * (temperature - REFERENCE));
    }

    /** Resistance in ohms at 20 °C. */
    public double resistance() {
        return resistance(REFERENCE);
    }
}
