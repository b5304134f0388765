package amberheron.core.drivelog;

/**
 * Time for which reader and controller were compared at the mixtures that matter.
 *
 * @param cruising s about the mixture of idle and cruise
 * @param underLoad s at that of full load
 */
public record Held(double cruising, double underLoad) {
    private static final double ABOUT = 0.05;
    private static final double WEAKEST = 0.85;

    /** Measures a drive from which silent stretches were removed. */
    static Held of(Drive compared, EngineAsked asked) {
        double low = asked.carburettor() ? WEAKEST : 1 - ABOUT;
        double full = asked.bands().lean();
        double cruising = 0;
        double underLoad = 0;
        double[] t = compared.time();
        for (int i = 1; i < t.length; i++) {
            double step = t[i] - t[i - 1];
            float told = compared.controller()[i];
            if (step > Drive.GAP || Float.isNaN(told) || Float.isNaN(compared.reader()[i])) {
                continue;
            }
            cruising += told > Math.max(low, full) && told < 1 + ABOUT ? step : 0;
            underLoad += told <= full && told > asked.railLow() ? step : 0;
        }
        return new Held(cruising, underLoad);
    }
}
