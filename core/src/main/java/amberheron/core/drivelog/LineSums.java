package amberheron.core.drivelog;

/** Sums of a weighted straight line y = offset + slope·x, which can be added to those over other moments. */
final class LineSums {
    private double s;
    private double sx;
    private double sy;
    private double sxx;
    private double sxy;

    void add(double x, double y, double weight) {
        s += weight;
        sx += weight * x;
        sy += weight * y;
        sxx += weight * x * x;
        sxy += weight * x * y;
    }

    void add(LineSums other) {
        s += other.s;
        sx += other.sx;
        sy += other.sy;
        sxx += other.sxx;
        sxy += other.sxy;
    }

    /**
     * Returns offset and slope.
     *
     * @param least spread of x, times the weights squared, up to which it tells no slope
     * @param otherwise slope that is taken then
     */
    double[] line(double least, double otherwise) {
        double spread = s * sxx - sx * sx;
        double slope = spread > least ? (s * sxy - sx * sy) / spread : otherwise;
        return new double[]{s <= 0 ? 0 : (sy - slope * sx) / s, slope};
    }
}
