package amberheron.core.placement;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Room between a sensor and what lies beside the pipe; neighbours are taken as flat and parallel to the pipe. Not a
 * number while the gap is not measured.
 */
final class Room {
    private Room() {
    }

    /**
     * Gap between the sensor's end and a neighbour, m; negative when it does not fit. Never more than the pipe
     * itself leaves.
     *
     * @param radius of the pipe outside, m
     * @param out how far the sensor stands out, m
     * @param towards cosine between the sensor's axis and the neighbour's side
     */
    static double left(Neighbour n, double radius, double out, double towards) {
        Double gap = n.gap();
        if (gap == null) {
            return Double.NaN;
        }
        if (towards <= 0) {
            return gap;
        }
        double across = Math.sqrt(Math.max(0, 1 - towards * towards));
        return Math.min(gap, radius + gap - (radius + out) * towards - Probe.RADIUS * across);
    }

    /** Free length from the pipe's outside along the sensor's axis until a neighbour is met, m; infinite when none is. */
    static double free(Neighbour n, double radius, double towards) {
        Double gap = n.gap();
        if (towards <= 1e-6) {
            return Double.POSITIVE_INFINITY;
        }
        if (gap == null) {
            return Double.NaN;
        }
        double across = Math.sqrt(Math.max(0, 1 - towards * towards));
        return Math.max(0, (radius + gap - Probe.RADIUS * across) / towards - radius);
    }

    static double towards(Neighbour n, Vector3D axisInCar) {
        return n.side().direction().dotProduct(axisInCar);
    }
}
