package amberheron.core.wiring;

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
        return (volts / outputOhms + pullUpVolts / pullUpOhms) / (1 / outputOhms + 1 / pullUpOhms + 1 / inputOhms);
    }
}
