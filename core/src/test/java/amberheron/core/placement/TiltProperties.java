package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** The tilt against rotation matrices multiplied by hand: first about the pipe, then pitch, then the car's roll. */
class TiltProperties {
    /** Height of the sensor's axis after turning it by clock, lean and slope, then rolling the car; x along, y left, z up. */
    private static double height(double clock, double slope, double lean, double roll) {
        // In the pipe's own axes: along, left, up.
        double along = Math.sin(lean);
        double left = Math.cos(lean) * Math.sin(clock);
        double up = Math.cos(lean) * Math.cos(clock);
        // Pitch lifts what points along; then the car's roll lifts what points left.
        double pitchedUp = along * Math.sin(slope) + up * Math.cos(slope);
        return left * Math.sin(roll) + pitchedUp * Math.cos(roll);
    }

    @Property(tries = 500)
    void agreesWithMatricesForAnyAttitude(@ForAll @DoubleRange(min = -3.1, max = 3.1) double clock,
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double slope,
            @ForAll @DoubleRange(min = -1, max = 1) double lean,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double roll) {
        assertThat(Math.sin(SensorTilt.of(clock, slope, lean, roll)))
                .isCloseTo(height(clock, slope, lean, roll), within(1e-9));
    }

    @Property(tries = 200)
    void theAxisKeepsItsLength(@ForAll @DoubleRange(min = -3.1, max = 3.1) double clock,
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double slope,
            @ForAll @DoubleRange(min = -1, max = 1) double lean) {
        assertThat(SensorTilt.axis(clock, slope, lean, 0.1).getNorm()).isCloseTo(1, within(1e-12));
    }

    /** Left and right are alike on a car that stands level. */
    @Property(tries = 200)
    void aLevelCarHasNoBetterSide(@ForAll @DoubleRange(min = 0, max = 3.1) double clock,
            @ForAll @DoubleRange(min = -1, max = 1) double slope) {
        assertThat(SensorTilt.of(clock, slope, 0, 0)).isCloseTo(SensorTilt.of(-clock, slope, 0, 0), within(1e-9));
    }
}
