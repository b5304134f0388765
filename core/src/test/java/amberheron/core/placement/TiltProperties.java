package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.joml.Quaterniond;
import org.joml.Vector3d;

/** The tilt against another library's quaternions, each turn about the axis it is made about. */
class TiltProperties {
    /** Stands the sensor up, leans it, turns it around the pipe, slopes and turns the pipe, then rolls and pitches the car. */
    private static double height(double clock, double lean, double slope, double heading, double pitch, double roll) {
        Vector3d sensor = new Vector3d(0, 0, 1);
        new Quaterniond().rotateY(lean).transform(sensor);
        // Towards 3, which is the car's right, is a left-handed turn about the way of the gas.
        new Quaterniond().rotateX(-clock).transform(sensor);
        new Quaterniond().rotateY(-slope).transform(sensor);
        new Quaterniond().rotateZ(heading).transform(sensor);
        new Quaterniond().rotateX(roll).transform(sensor);
        new Quaterniond().rotateY(pitch).transform(sensor);
        return sensor.z;
    }

    @Property(tries = 500)
    void agreesWithQuaternionsForAnyAttitude(@ForAll @DoubleRange(min = -3.1, max = 3.1) double clock,
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double slope,
            @ForAll @DoubleRange(min = -3, max = 3) double heading,
            @ForAll @DoubleRange(min = -1, max = 1) double lean,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double pitch,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double roll) {
        assertThat(Math.sin(SensorTilt.of(PipeAxes.of(slope, heading), clock, lean, new Attitude(pitch, roll))))
                .isCloseTo(height(clock, lean, slope, heading, pitch, roll), within(1e-9));
    }

    /** A level read on a jacked car leads back to the clock position, and so to the tilt on the wheels. */
    @Property(tries = 300)
    void aReadingOnTheJackLeadsBackToTheClockPosition(@ForAll @DoubleRange(min = -1.5, max = 1.5) double clock,
            @ForAll @DoubleRange(min = -0.6, max = 0.6) double slope,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double lean,
            @ForAll @DoubleRange(min = -0.25, max = 0.25) double along,
            @ForAll @DoubleRange(min = -0.25, max = 0.25) double across) {
        PipeAxes pipe = PipeAxes.of(slope, 0.2);
        Attitude jacked = Attitude.ofLevel(along, across);
        double read = SensorTilt.of(pipe, clock, lean, jacked);
        double found = SensorTilt.clockFrom(read, pipe, lean, jacked, clock + 0.02).orElseThrow();
        assertThat(SensorTilt.of(pipe, found, lean, jacked)).isCloseTo(read, within(1e-3));
        // Near the steepest position both solutions meet, and neither is told from the other.
        Assume.that(Math.abs(SensorTilt.of(pipe, clock + 0.02, lean, jacked) - read) > 2e-3);
        assertThat(found).isCloseTo(clock, within(0.1));
    }

    /** What a level shows along and across is what the car's own axes stand at. */
    @Property(tries = 200)
    void theLevelReadsTheCarsAxes(@ForAll @DoubleRange(min = -0.5, max = 0.5) double along,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double across) {
        Attitude car = Attitude.ofLevel(along, across);
        assertThat(Math.asin(-car.toEarth(PipeAxes.of(0, 0).along()).getZ())).isCloseTo(along, within(1e-9));
        assertThat(Math.asin(car.toEarth(PipeAxes.of(0, 0).side()).getZ())).isCloseTo(across, within(1e-9));
    }

    /** Left and right are alike on a car that stands level. */
    @Property(tries = 200)
    void aLevelCarHasNoBetterSide(@ForAll @DoubleRange(min = 0, max = 3.1) double clock,
            @ForAll @DoubleRange(min = -1, max = 1) double slope) {
        PipeAxes pipe = PipeAxes.of(slope, 0);
        assertThat(SensorTilt.of(pipe, clock, 0, Attitude.LEVEL))
                .isCloseTo(SensorTilt.of(pipe, -clock, 0, Attitude.LEVEL), within(1e-9));
    }
}
