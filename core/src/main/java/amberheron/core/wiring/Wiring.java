package amberheron.core.wiring;

import org.jspecify.annotations.Nullable;

/**
 * What was measured and decided at the wiring station. Everything not yet measured is null.
 *
 * @param volts of the power source in the states that matter
 * @param fuse rating, A
 * @param draw the unit's greatest draw while heating, A
 * @param ground the ground the reader's signal is measured against
 * @param groundPoint where the grounds were taken, in the installer's words
 */
public record Wiring(SourceVolts volts, @Nullable Double fuse, @Nullable Double draw, Ground ground,
        String groundPoint) {
    /**
     * Meter readings at the power source, V.
     *
     * @param off key off
     * @param on key on
     * @param cranking while the starter turns
     */
    public record SourceVolts(@Nullable Double off, @Nullable Double on, @Nullable Double cranking) {
    }

    /**
     * The wire that signal and heater share, if they share one.
     *
     * @param shared whether the heater's return runs through the signal's ground; null until looked at
     * @param length m
     * @param crossSection m²
     * @param current heater current through it, A
     */
    public record Ground(@Nullable Boolean shared, @Nullable Double length, @Nullable Double crossSection,
            @Nullable Double current) {
    }

    public Wiring withVolts(SourceVolts value) {
        return new Wiring(value, fuse, draw, ground, groundPoint);
    }

    public Wiring withFuse(@Nullable Double value) {
        return new Wiring(volts, value, draw, ground, groundPoint);
    }

    public Wiring withDraw(@Nullable Double value) {
        return new Wiring(volts, fuse, value, ground, groundPoint);
    }

    public Wiring withGround(Ground value) {
        return new Wiring(volts, fuse, draw, value, groundPoint);
    }

    public Wiring withGroundPoint(String value) {
        return new Wiring(volts, fuse, draw, ground, value);
    }
}
