package amberheron.core.placement;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Tilt of the sensor's body above the horizon. The sensor's axis is built from the pipe's own axes and turned with the car,
 * so slope, lean, pitch and roll combine as rotations, never as sums of angles.
 */
public final class SensorTilt {
    private SensorTilt() {
    }

    /**
     * The tilt above the horizon, radians; negative when the body hangs below its tip.
     *
     * @param pipe axes of the pipe at the place
     * @param clock position on the pipe's clock face, radians
     * @param lean lean of the sensor along the pipe, radians
     * @param car how the car stands
     */
    public static double of(PipeAxes pipe, double clock, double lean, Attitude car) {
        return Math.asin(Math.clamp(car.toEarth(pipe.sensor(clock, lean)).getZ(), -1, 1));
    }

    /**
     * Returns the clock position behind a tilt that was measured on the body, the car standing as it did then: of the two
     * positions that show it, the one nearer to the planned one.
     *
     * @param measured tilt as the level or phone showed it, radians
     * @param meant clock position planned, radians
     * @return empty when no position on this pipe shows such a tilt
     */
    public static Optional<Double> clockFrom(double measured, PipeAxes pipe, double lean, Attitude car, double meant) {
        // asin(measured) = c·(a·cos θ + b·sin θ) + d, with the earth's up as the car sees it.
        Vector3D up = car.up();
        double a = pipe.normal().dotProduct(up) * Math.cos(lean);
        double b = pipe.side().dotProduct(up) * Math.cos(lean);
        double d = pipe.along().dotProduct(up) * Math.sin(lean);
        double reach = Math.hypot(a, b);
        double wanted = (Math.sin(measured) - d) / reach;
        // A level is read to a degree or so: a reading just past the steepest possible is the steepest.
        if (!(Math.abs(wanted) <= 1.0005)) {
            return Optional.empty();
        }
        double middle = Math.atan2(b, a);
        double off = Math.acos(Math.clamp(wanted, -1, 1));
        double one = wrap(middle + off);
        double other = wrap(middle - off);
        return Optional.of(Math.abs(wrap(one - meant)) <= Math.abs(wrap(other - meant)) ? one : other);
    }

    private static double wrap(double angle) {
        return Math.IEEEremainder(angle, 2 * Math.PI);
    }
}
