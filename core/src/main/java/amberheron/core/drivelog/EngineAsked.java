package amberheron.core.drivelog;

import amberheron.core.mixture.Bands;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Facts of the job by which the drive is judged.
 *
 * @param traits traits of the engine
 * @param railLow mixtures at or below are the end of what the controller tells, λ
 * @param railHigh mixtures at or above are the other end
 * @param shownLow least that the reader can show, λ
 * @param shownHigh most that it can show
 * @param delay from the valve to the number, as it is worked out for the place, s
 * @param filter time constant of the reader's own filter, s; null where it is not known
 */
public record EngineAsked(Set<EngineTrait> traits, double railLow, double railHigh, double shownLow,
        double shownHigh, double delay, @Nullable Double filter) {
    /** Distance from an end of what the reader can show within which it is there, λ. */
    private static final double END = 0.004;

    public EngineAsked {
        traits = Set.copyOf(traits);
    }

    /** The mixtures that are right for it. */
    Bands bands() {
        return EngineTrait.bands(traits);
    }

    boolean carburettor() {
        return traits.contains(EngineTrait.CARBURETTOR);
    }

    /** Returns whether the reader shows an end of what it can show. */
    boolean atAnEnd(double shown) {
        return shown <= shownLow + END || shown >= shownHigh - END;
    }
}
