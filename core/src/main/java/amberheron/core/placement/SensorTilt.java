package amberheron.core.placement;

import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How far the sensor's body leans above the horizon. The sensor's axis is built from the pipe's own axes and turned
 * with the car, so slope, lean and roll combine as rotations, never as sums of angles.
 */
public final class SensorTilt {
    private SensorTilt() {
    }

    /**
     * The sensor's axis, from tip to body, in earth axes: x along the car, y to its left, z up.
     *
     * @param clock position on the pipe's clock face from 12 o'clock, positive towards 3, radians
     * @param slope pitch of the pipe, positive when it rises along its axis, radians
     * @param lean lean of the sensor along the pipe, radians
     * @param roll roll of the car about its long axis, radians
     */
    public static Vector3D axis(double clock, double slope, double lean, double roll) {
        Vector3D along = new Vector3D(Math.cos(slope), 0, Math.sin(slope));
        Vector3D normal = new Vector3D(-Math.sin(slope), 0, Math.cos(slope));
        Vector3D side = Vector3D.PLUS_J;
        Vector3D radial = new Vector3D(Math.cos(clock), normal, Math.sin(clock), side);
        Vector3D sensor = new Vector3D(Math.cos(lean), radial, Math.sin(lean), along);
        return new Rotation(Vector3D.PLUS_I, roll, RotationConvention.VECTOR_OPERATOR).applyTo(sensor);
    }

    /** The tilt above the horizon, radians; negative when the body hangs below its tip. Arguments as for {@link #axis}. */
    public static double of(double clock, double slope, double lean, double roll) {
        return Math.asin(Math.clamp(axis(clock, slope, lean, roll).getZ(), -1, 1));
    }
}
