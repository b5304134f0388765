package amberheron.core.wiring;

import amberheron.core.scaling.WireEffect;

/** Effect of a reader's input on the volts that drive it. Millman's theorem. */
public final class InputLoading {
    private InputLoading() {
    }

    /**
     * A gain and a shift, the same for every voltage Vo of the output: (Vo/Ro + Vp/Rp) / (1/Ro + 1/Rp + 1/Rin). An output
     * without resistance is not moved.
     *
     * @param outputOhms resistance of the output and its wire, Ω
     * @param pullUpVolts supply of the pull-up, V
     * @param pullUpOhms resistance of the pull-up; infinite when there is none
     * @param inputOhms resistance of the input to ground; infinite when it draws nothing
     */
    public static WireEffect effect(double outputOhms, double pullUpVolts, double pullUpOhms, double inputOhms) {
        double all = 1 + outputOhms / pullUpOhms + outputOhms / inputOhms;
        return WireEffect.linear(1 / all, pullUpVolts * outputOhms / pullUpOhms / all);
    }
}
