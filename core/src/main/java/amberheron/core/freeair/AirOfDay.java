package amberheron.core.freeair;

import amberheron.core.units.Sane;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Air as measured, and the height at which the car is driven. Everything not yet known is null.
 *
 * @param temperature K
 * @param humidity relative, 0 to 1
 * @param height above the sea, m
 * @param pressure of the station, Pa; where it was read, it counts and the height need not be known
 * @param drivenHeight where the car is driven, m; null for here
 */
public record AirOfDay(@Nullable Double temperature, @Nullable Double humidity, @Nullable Double height,
        @Nullable Double pressure, @Nullable Double drivenHeight) {
    /** Air of which nothing is known. */
    public static final AirOfDay UNMEASURED = new AirOfDay(null, null, null, null, null);

    public AirOfDay {
        Sane.AIR_TEMPERATURE.check("temperature", temperature);
        Sane.PART.check("humidity", humidity);
        Sane.HEIGHT.check("height", height);
        Sane.AIR_PRESSURE.check("pressure", pressure);
        Sane.HEIGHT.check("drivenHeight", drivenHeight);
    }

    /** Returns air at a height, with the usual pressure there. */
    public static AirOfDay of(double temperature, double humidity, double height) {
        return new AirOfDay(temperature, humidity, height, null, null);
    }

    /** The pressure here, Pa: as read, else the usual one at this height; empty while neither is known. */
    public Optional<Double> here() {
        return pressure != null ? Optional.of(pressure) : Optional.ofNullable(height).map(Air::pressureAt);
    }

    /** The pressure where the car is driven, Pa: here where nothing else is said; empty while that is not known. */
    public Optional<Double> driven() {
        return drivenHeight == null ? here() : Optional.of(Air.pressureAt(drivenHeight));
    }

    /** The air, once all of it is known. */
    public Optional<Air> air() {
        return temperature == null || humidity == null
                ? Optional.empty()
                : here().map(p -> new Air(temperature, humidity, p));
    }

    public AirOfDay withTemperature(@Nullable Double value) {
        return new AirOfDay(value, humidity, height, pressure, drivenHeight);
    }

    public AirOfDay withHumidity(@Nullable Double value) {
        return new AirOfDay(temperature, value, height, pressure, drivenHeight);
    }

    public AirOfDay withHeight(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, value, pressure, drivenHeight);
    }

    public AirOfDay withPressure(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, height, value, drivenHeight);
    }

    public AirOfDay withDrivenHeight(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, height, pressure, value);
    }
}
