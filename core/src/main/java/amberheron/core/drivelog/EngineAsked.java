package amberheron.core.drivelog;

import java.util.Set;

/**
 * Facts of the job by which the drive is judged.
 *
 * @param traits traits of the engine
 * @param railLow mixtures at or below are the end of what the controller tells, λ
 * @param railHigh mixtures at or above are the other end
 * @param shownLow least that the reader can show, λ
 * @param shownHigh most that it can show
 * @param delay from the valve to the number, as it is worked out for the place, s
 */
public record EngineAsked(Set<EngineTrait> traits, double railLow, double railHigh, double shownLow,
        double shownHigh, double delay) {
    public EngineAsked {
        traits = Set.copyOf(traits);
    }

    boolean boosted() {
        return traits.contains(EngineTrait.BOOSTED);
    }

    boolean carburettor() {
        return traits.contains(EngineTrait.CARBURETTOR);
    }
}
