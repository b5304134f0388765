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
 * @param pressure as it was read, Pa; where it was read here, it counts and the height need not be known
 * @param reading which pressure that is; null where nobody said
 * @param drivenHeight where the car is driven, m; null for here
 */
public record AirOfDay(@Nullable Double temperature, @Nullable Double humidity, @Nullable Double height,
        @Nullable Double pressure, @Nullable PressureReading reading, @Nullable Double drivenHeight) {
    /**
     * How far a pressure may be beside the usual one at the height before it is asked which it is, as a part of it: weather
     * moves it by 2.5 %, from memory.
     */
    public static final double BESIDE = 0.03;
    /** Air of which nothing is known. */
    public static final AirOfDay UNMEASURED = new AirOfDay(null, null, null, null, null, null);

    public AirOfDay {
        Sane.AIR_TEMPERATURE.check("temperature", temperature);
        Sane.PART.check("humidity", humidity);
        Sane.HEIGHT.check("height", height);
        Sane.AIR_PRESSURE.check("pressure", pressure);
        Sane.HEIGHT.check("drivenHeight", drivenHeight);
    }

    /** Returns air at a height, with the usual pressure there. */
    public static AirOfDay of(double temperature, double humidity, double height) {
        return new AirOfDay(temperature, humidity, height, null, null, null);
    }

    /**
     * The pressure here, Pa: as read, else the usual one at this height; empty while neither is known, or while it has to be
     * asked which pressure was read.
     */
    public Optional<Double> here() {
        if (pressure == null) {
            return Optional.ofNullable(height).map(Air::pressureAt);
        }
        if (reading == PressureReading.SEA_LEVEL) {
            return Optional.ofNullable(height).map(h -> pressure * Air.pressureAt(h) / Air.SEA_LEVEL);
        }
        return contradicts() ? Optional.empty() : Optional.of(pressure);
    }

    /**
     * Returns whether pressure and height contradict each other, and nobody said which pressure it is: most often it is that
     * of a weather report, reduced to the sea.
     */
    public boolean contradicts() {
        return pressure != null && height != null && reading == null
                && Math.abs(pressure / Air.pressureAt(height) - 1) > BESIDE;
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
        return new AirOfDay(value, humidity, height, pressure, reading, drivenHeight);
    }

    public AirOfDay withHumidity(@Nullable Double value) {
        return new AirOfDay(temperature, value, height, pressure, reading, drivenHeight);
    }

    public AirOfDay withHeight(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, value, pressure, reading, drivenHeight);
    }

    public AirOfDay withPressure(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, height, value, reading, drivenHeight);
    }

    public AirOfDay withReading(@Nullable PressureReading value) {
        return new AirOfDay(temperature, humidity, height, pressure, value, drivenHeight);
    }

    public AirOfDay withDrivenHeight(@Nullable Double value) {
        return new AirOfDay(temperature, humidity, height, pressure, reading, value);
    }
}
