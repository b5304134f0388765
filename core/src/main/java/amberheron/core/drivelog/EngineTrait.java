package amberheron.core.drivelog;

/** A trait of an engine or of the sensor's place that changes how a drive is judged. */
public enum EngineTrait {
    /** The engine has a turbine. */
    BOOSTED,
    /** The engine has no closed loop to hold it at λ 1, and cruises rich. */
    CARBURETTOR,
    /** The sensor sees the gas of two banks. */
    AFTER_MERGE,
    /** The place is nearer to the open end than the rules want. */
    NEAR_OPEN_END,
    /** The stock narrowband is simulated by the controller, which steps it where it believes λ 1 to be. */
    NARROWBAND_SIMULATED,
    /** A reader of this job is used to judge full load. */
    READ_UNDER_LOAD
}
