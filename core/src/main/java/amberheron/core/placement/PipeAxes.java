package amberheron.core.placement;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The directions of a pipe at one point, in car axes (x to the rear, y to the right, z up).
 *
 * @param along with the gas
 * @param normal square to the pipe, upwards: 12 on its clock face
 * @param side square to both: 3 on its clock face, seen from behind
 */
public record PipeAxes(Vector3D along, Vector3D normal, Vector3D side) {
    /**
     * Axes of a pipe.
     *
     * @param slope pitch, positive when it rises with the gas, radians
     * @param heading turned away from straight back, positive to the car's right, radians
     */
    public static PipeAxes of(double slope, double heading) {
        double cosine = Math.cos(slope);
        double sine = Math.sin(slope);
        double ahead = Math.cos(heading);
        double aside = Math.sin(heading);
        return new PipeAxes(new Vector3D(cosine * ahead, cosine * aside, sine),
                new Vector3D(-sine * ahead, -sine * aside, cosine), new Vector3D(-aside, ahead, 0));
    }

    /**
     * The axis of a sensor from tip to body.
     *
     * @param clock from 12 o'clock, positive towards 3, radians
     * @param lean along the pipe, with the gas, radians
     */
    public Vector3D sensor(double clock, double lean) {
        Vector3D radial = new Vector3D(Math.cos(clock), normal, Math.sin(clock), side);
        return new Vector3D(Math.cos(lean), radial, Math.sin(lean), along);
    }
}
