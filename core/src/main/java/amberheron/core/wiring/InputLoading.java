package amberheron.core.wiring;

import amberheron.core.scaling.WireEffect;

/** What a reader's input does to the volts that drive it. Millman's theorem. */
public final class InputLoading {
    private InputLoading() {
    }

    /**
     * Volts at the pin: (Vo/Ro + Vp/Rp) / (1/Ro + 1/Rp + 1/Rin).
     *
     * @param volts open-circuit output, V
     * @param outputOhms resistance of the output and its wire, more than 0
     * @param pullUpVolts supply of the pull-up, V
     * @param pullUpOhms resistance of the pull-up; infinite when there is none
     * @param inputOhms resistance of the input to ground; infinite when it draws nothing
     */
    public static double voltsAtPin(double volts, double outputOhms, double pullUpVolts, double pullUpOhms,
            double inputOhms) {
        return effect(outputOhms, pullUpVolts, pullUpOhms, inputOhms).atPin(volts);
    }

    /** The same for every voltage: a gain and a shift. An output without resistance is not moved. */
    public static WireEffect effect(double outputOhms, double pullUpVolts, double pullUpOhms, double inputOhms) {
        double all = 1 + outputOhms / pullUpOhms + outputOhms / inputOhms;
        return WireEffect.linear(1 / all, pullUpVolts * outputOhms / pullUpOhms / all);
    }
}
