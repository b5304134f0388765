package amberheron.core.scaling;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.ReaderSetting.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Fits the rows of a table for the least worst error. With a row for every corner of the law they are the corners. With
 * fewer, an error is allowed, and it is found row by row over a fine grid of volts which values can be reached without
 * leaving the tube of that error about the law; the least allowed error for which the end can be reached is found by
 * halving.
 */
final class TableFitter {
    /** Factor within which the error of the law's own corners counts as good as the least. */
    private static final double AS_GOOD = 1.02;
    /** Rows of a table that takes as many as anybody types. */
    private static final int MANY = 64;
    private static final int GRID = 32;
    /** Number of halvings of the error on the even grid; about the rows found they stop at this gain. */
    private static final int COARSE = 12;
    private static final int CLOSE = 8;
    private static final double BETTER = 0.6;
    /** Number of refinements of the grid about the rows found, and parts of each. */
    private static final int FINER = 3;
    private static final int FINE = 12;

    private final List<Point> targets;
    private final DoubleUnaryOperator typeable;
    private final int decimals;
    private double[] grid;

    private TableFitter(List<Point> targets, Reader reader) {
        this.targets = targets;
        this.typeable = reader::typeable;
        this.decimals = reader.decimals();
        this.grid = grid(targets, typeable);
    }

    /** The rows for targets with volts rising. */
    static Table fit(List<Point> targets, Reader reader) {
        TableFitter fitter = new TableFitter(targets, reader);
        Integer most = reader.maxRows();
        Table corners = fitter.corners();
        boolean fits = most == null || corners.rows().size() <= most;
        Table known = fits ? fitter.polished(corners) : fitter.fewer(Objects.requireNonNull(most), corners);
        Table typed = TypedRows.better(targets, reader, known, most == null ? MANY : most);
        // Rows that people know from the law's sheet stay where others are hardly better.
        return fits && TypedRows.error(corners.rows(), targets) <= AS_GOOD * TypedRows.error(typed.rows(), targets)
                ? fitter.fewest(corners)
                : typed;
    }

    /** Finds fewer rows than the law has corners, anywhere on the volts. */
    private Table fewer(int most, Table corners) {
        double all = targets.stream().mapToDouble(Point::value).max().orElseThrow()
                - targets.stream().mapToDouble(Point::value).min().orElseThrow();
        // The ends alone keep an error of the whole span.
        List<Point> ends = List.of(corners.rows().getFirst(), corners.rows().getLast());
        Free best = free(most, 0, new Free(ends, all), COARSE);
        for (int i = 0; i < FINER; i++) {
            finer(best.rows(), Math.pow(FINE / 4.0, -i));
            best = free(most, BETTER * best.error(), best, CLOSE);
        }
        return polished(table(best.rows()));
    }

    /** Returns the typeable volts where a row may stand: the corners and a fine grid between them. */
    private static double[] grid(List<Point> targets, DoubleUnaryOperator typeable) {
        double low = targets.getFirst().volts();
        double high = targets.getLast().volts();
        TreeSet<Double> grid = new TreeSet<>();
        targets.forEach(t -> grid.add(typeable.applyAsDouble(t.volts())));
        for (int i = 0; i <= GRID; i++) {
            grid.add(typeable.applyAsDouble(low + (high - low) * i / GRID));
        }
        if (grid.size() < 2) {
            // Too few digits to tell the ends apart: the volts are given as they are.
            grid.clear();
            grid.add(low);
            grid.add(high);
        }
        return grid.stream().mapToDouble(v -> v).toArray();
    }

    /** Returns a grid that is fine about the rows found, one and a half steps of the even grid wide. */
    private void finer(List<Point> rows, double part) {
        double low = targets.getFirst().volts();
        double high = targets.getLast().volts();
        double step = part * (high - low) / GRID;
        TreeSet<Double> fine = new TreeSet<>();
        fine.add(grid[0]);
        fine.add(grid[grid.length - 1]);
        for (Point row : rows) {
            for (int i = -FINE / 2; i <= FINE / 2; i++) {
                double volts = typeable.applyAsDouble(row.volts() + 3.0 * i / FINE * step);
                if (volts > grid[0] && volts < grid[grid.length - 1]) {
                    fine.add(volts);
                }
            }
        }
        grid = fine.stream().mapToDouble(v -> v).toArray();
    }

    /**
     * Returns the number wanted at a voltage: the law, straight between targets, or the middle where one voltage stands for
     * two.
     */
    private double wanted(double volts) {
        double[] same = targets.stream().filter(t -> t.volts() == volts).mapToDouble(Point::value).toArray();
        if (same.length > 0) {
            return (same[0] + same[same.length - 1]) / 2;
        }
        for (int i = 1; i < targets.size(); i++) {
            Point before = targets.get(i - 1);
            Point after = targets.get(i);
            if (volts > before.volts() && volts < after.volts()) {
                return before.value() + (volts - before.volts()) * (after.value() - before.value())
                        / (after.volts() - before.volts());
            }
        }
        return volts < targets.getFirst().volts() ? targets.getFirst().value() : targets.getLast().value();
    }

    private Table table(List<Point> rows) {
        return new Table(
                rows.stream().map(r -> new Point(r.volts(), SettingFinder.round(r.value(), decimals))).toList());
    }

    /** Makes a row for each corner of the law. */
    private Table corners() {
        TreeSet<Double> volts = new TreeSet<>();
        targets.forEach(t -> volts.add(typeable.applyAsDouble(t.volts())));
        if (volts.size() < 2) {
            volts.clear();
            volts.add(grid[0]);
            volts.add(grid[grid.length - 1]);
        }
        return table(volts.stream().map(v -> new Point(v, wanted(v))).toList());
    }

    /** Drops rows on the line between their neighbours, as far as that costs nothing. */
    private Table fewest(Table corners) {
        double enough = TypedRows.error(corners.rows(), targets);
        List<Point> rows = new ArrayList<>(corners.rows());
        for (int i = rows.size() - 2; i > 0; i--) {
            List<Point> less = new ArrayList<>(rows);
            less.remove(i);
            if (TypedRows.error(less, targets) <= enough + 1e-12) {
                rows = less;
            }
        }
        return new Table(rows);
    }

    /** Moves values by single digits while that reduces the worst error. */
    private Table polished(Table table) {
        double digit = Math.pow(10, -decimals);
        Table best = table;
        double least = TypedRows.error(best.rows(), targets);
        boolean better = true;
        for (int round = 0; better && round < 20; round++) {
            better = false;
            for (int i = 0; i < best.rows().size(); i++) {
                for (int side = -1; side <= 1; side += 2) {
                    List<Point> rows = new ArrayList<>(best.rows());
                    Point row = rows.get(i);
                    rows.set(i, new Point(row.volts(), SettingFinder.round(row.value() + side * digit, decimals)));
                    double error = TypedRows.error(rows, targets);
                    if (error < least - 1e-12) {
                        least = error;
                        best = new Table(rows);
                        better = true;
                    }
                }
            }
        }
        return best;
    }

    /** The values that can be reached at a row, and from which values of which row before. */
    private record Reached(double low, double high, int row, int part) {
    }

    /** Rows with the error that they keep. */
    private record Free(List<Point> rows, double error) {
    }

    /** Finds the least error by halving, between an error that is known to be kept and a floor. */
    private Free free(int most, double floor, Free known, int halvings) {
        double low = floor;
        Free best = known;
        for (int i = 0; i < halvings; i++) {
            double middle = (low + best.error()) / 2;
            List<Point> found = reach(middle, most);
            if (found == null) {
                low = middle;
            } else {
                best = new Free(found, middle);
            }
        }
        return best;
    }

    /** Finds at most so many rows that keep an error; null when there are none. */
    private @Nullable List<Point> reach(double error, int most) {
        int n = grid.length;
        double[][] tube = new double[n][];
        for (int j = 0; j < n; j++) {
            tube[j] = tube(grid[j], error);
        }
        List<List<List<Reached>>> reached = new ArrayList<>();
        reached.add(new ArrayList<>());
        for (int j = 0; j < n; j++) {
            reached.getFirst().add(j == 0 && tube[0][0] <= tube[0][1]
                    ? List.of(new Reached(tube[0][0], tube[0][1], -1, -1))
                    : List.of());
        }
        for (int k = 1; k < most; k++) {
            List<List<Reached>> now = new ArrayList<>();
            for (int j = 0; j < n; j++) {
                List<Reached> parts = new ArrayList<>();
                for (int i = 0; i < j; i++) {
                    List<Reached> before = reached.get(k - 1).get(i);
                    for (int part = 0; part < before.size(); part++) {
                        Reached line = through(before.get(part), i, part, j, tube[j], error);
                        if (line != null) {
                            keep(parts, line);
                        }
                    }
                }
                now.add(parts);
            }
            reached.add(now);
            if (!now.get(n - 1).isEmpty()) {
                return rows(reached, k, error);
            }
        }
        return null;
    }

    /** Adds a part and drops parts that lie within another. */
    private static void keep(List<Reached> parts, Reached line) {
        for (Reached known : parts) {
            if (known.low() <= line.low() && known.high() >= line.high()) {
                return;
            }
        }
        parts.removeIf(known -> line.low() <= known.low() && line.high() >= known.high());
        parts.add(line);
    }

    /** Returns the lowest and highest number that may be shown at a voltage. */
    private double[] tube(double volts, double error) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        for (Point t : targets) {
            if (t.volts() == volts) {
                low = Math.max(low, t.value() - error);
                high = Math.min(high, t.value() + error);
            }
        }
        return low == Double.NEGATIVE_INFINITY
                ? new double[]{wanted(volts) - error, wanted(volts) + error}
                : new double[]{low, high};
    }

    /**
     * Finds the values at row j that straight lines from row i reach inside the tube: a polygon, clipped at each corner
     * between them.
     */
    private @Nullable Reached through(Reached before, int i, int part, int j, double[] tube, double error) {
        if (tube[0] > tube[1]) {
            return null;
        }
        List<double[]> polygon = List.of(new double[]{before.low(), tube[0]}, new double[]{before.high(), tube[0]},
                new double[]{before.high(), tube[1]}, new double[]{before.low(), tube[1]});
        for (Point t : targets) {
            if (t.volts() > grid[i] && t.volts() < grid[j]) {
                double along = (t.volts() - grid[i]) / (grid[j] - grid[i]);
                polygon = cut(polygon, along, t.value() + error, 1);
                polygon = cut(polygon, along, t.value() - error, -1);
            }
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double[] corner : polygon) {
            low = Math.min(low, corner[1]);
            high = Math.max(high, corner[1]);
        }
        return low <= high ? new Reached(low, high, i, part) : null;
    }

    /** Clips a polygon of values at both rows to where the line between them stays below (side 1) or above a limit. */
    private static List<double[]> cut(List<double[]> polygon, double along, double limit, int side) {
        List<double[]> left = new ArrayList<>(polygon.size() + 1);
        for (int i = 0; i < polygon.size(); i++) {
            double[] a = polygon.get(i);
            double[] b = polygon.get((i + 1) % polygon.size());
            double over = side * ((1 - along) * a[0] + along * a[1] - limit);
            double next = side * ((1 - along) * b[0] + along * b[1] - limit);
            if (over <= 0) {
                left.add(a);
            }
            if (over < 0 != next < 0 && over != next) {
                double t = over / (over - next);
                left.add(new double[]{a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])});
            }
        }
        return left;
    }

    /** Walks back from the end and picks at each row a value from which the next one can be met. */
    private List<Point> rows(List<List<List<Reached>>> reached, int last, double error) {
        List<Point> rows = new ArrayList<>();
        int j = grid.length - 1;
        Reached here = reached.get(last).get(j).getFirst();
        double value = (here.low() + here.high()) / 2;
        rows.add(new Point(grid[j], value));
        for (int k = last; k > 0; k--) {
            int i = here.row();
            Reached before = reached.get(k - 1).get(i).get(here.part());
            double low = before.low();
            double high = before.high();
            for (Point t : targets) {
                if (t.volts() > grid[i] && t.volts() < grid[j]) {
                    double along = (t.volts() - grid[i]) / (grid[j] - grid[i]);
                    low = Math.max(low, (t.value() - error - along * value) / (1 - along));
                    high = Math.min(high, (t.value() + error - along * value) / (1 - along));
                }
            }
            value = (low + high) / 2;
            rows.addFirst(new Point(grid[i], value));
            here = before;
            j = i;
        }
        return rows;
    }
}
