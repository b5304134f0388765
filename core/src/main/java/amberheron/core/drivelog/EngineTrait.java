package amberheron.core.drivelog;

import amberheron.core.mixture.Bands;
import amberheron.core.mixture.FuelKind;
import java.util.Set;

/** A trait of an engine or of the sensor's place that changes how a drive is judged. */
public enum EngineTrait {
    /** The engine is on boost, by a turbine or without. */
    BOOSTED,
    /** It burns diesel: lean always, never held at λ 1. */
    DIESEL,
    METHANOL,
    /** It burns propane or natural gas. */
    GAS,
    /** Fresh gas is blown through, and oil burns with the fuel. */
    TWO_STROKE,
    /** The engine has no closed loop to hold it at λ 1, and cruises rich. */
    CARBURETTOR,
    /** The sensor sees the gas of two banks. */
    AFTER_MERGE,
    /** The place is nearer to the open end than the rules want. */
    NEAR_OPEN_END,
    /** The stock narrowband is simulated by the controller, which steps it where it believes λ 1 to be. */
    NARROWBAND_SIMULATED,
    /** A reader of this job is used to judge full load. */
    READ_UNDER_LOAD;

    /** Mixtures that are right for an engine of these traits. */
    public static Bands bands(Set<EngineTrait> traits) {
        FuelKind fuel = traits.contains(DIESEL)
                ? FuelKind.DIESEL
                : traits.contains(METHANOL)
                        ? FuelKind.METHANOL
                        : traits.contains(GAS) ? FuelKind.GAS : FuelKind.PETROL;
        return fuel.bands(traits.contains(BOOSTED));
    }
}
