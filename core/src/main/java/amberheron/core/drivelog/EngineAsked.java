package amberheron.core.drivelog;

/**
 * Facts of the job by which the drive is judged.
 *
 * @param boosted whether it has a turbine
 * @param carburettor whether it has no closed loop to hold it at λ 1
 * @param railLow mixtures at or below are the end of what the controller tells, λ
 * @param railHigh mixtures at or above are the other end
 * @param shownLow least that the reader can show, λ
 * @param shownHigh most that it can show
 * @param delay from the valve to the number, as it is worked out for the place, s
 */
public record EngineAsked(boolean boosted, boolean carburettor, double railLow, double railHigh, double shownLow,
        double shownHigh, double delay) {
}
