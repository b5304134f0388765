package amberheron.bench;

import java.util.OptionalDouble;

/** Report of a controller while it runs. */
public interface ControllerStream {
    /** Name of the instrument. */
    String name();

    /** Lambda at a time in seconds since it was switched on; empty while the sensor warms up. */
    OptionalDouble lambda(double seconds);
}
