package amberheron.core.scaling;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.ReaderSetting.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Rows of a table with the least worst error. With rows for every corner they are the corners; with fewer, rows are put
 * where they serve best: for an error that is allowed it is found, row by row over a fine grid of volts, which values can
 * be reached from the rows before without leaving the tube of that error about the law; the least error for which the end
 * can be reached with the rows there are is found by halving.
 */
final class TableFitter {
    private static final int GRID = 64;
    private static final int HALVINGS = 26;

    private final List<Point> targets;
    private final int decimals;
    private final double[] grid;

    private TableFitter(List<Point> targets, int decimals) {
        this.targets = targets;
        this.decimals = decimals;
        this.grid = grid(targets, decimals);
    }

    /** The rows for targets with volts rising. */
    static Table fit(List<Point> targets, Reader reader) {
        TableFitter fitter = new TableFitter(targets, reader.decimals());
        Integer most = reader.maxRows();
        Table corners = fitter.corners();
        if (most == null || corners.rows().size() <= most) {
            return fitter.fewest(corners);
        }
        List<Point> rows = fitter.free(most);
        return fitter.polished(fitter.table(rows));
    }

    /** Typeable volts where a row may stand: the corners, and a fine grid between. */
    private static double[] grid(List<Point> targets, int decimals) {
        double low = targets.getFirst().volts();
        double high = targets.getLast().volts();
        TreeSet<Double> grid = new TreeSet<>();
        targets.forEach(t -> grid.add(SettingFinder.round(t.volts(), decimals)));
        for (int i = 0; i <= GRID; i++) {
            grid.add(SettingFinder.round(low + (high - low) * i / GRID, decimals));
        }
        if (grid.size() < 2) {
            // Too few digits to tell the ends apart: the volts are given as they are.
            grid.clear();
            grid.add(low);
            grid.add(high);
        }
        return grid.stream().mapToDouble(v -> v).toArray();
    }

    /** What is to be shown at volts: the law, straight between targets; the middle where one voltage stands for two. */
    private double wanted(double volts) {
        Point before = targets.getFirst();
        for (Point t : targets) {
            if (t.volts() == volts) {
                double other = targets.stream().filter(p -> p.volts() == volts).reduce((a, b) -> b).orElse(t).value();
                return (t.value() + other) / 2;
            }
            if (t.volts() > volts) {
                return before == t
                        ? t.value()
                        : before.value() + (volts - before.volts()) * (t.value() - before.value())
                                / (t.volts() - before.volts());
            }
            before = t;
        }
        return before.value();
    }

    private Table table(List<Point> rows) {
        return new Table(rows.stream().map(r -> new Point(r.volts(), SettingFinder.round(r.value(), decimals))).toList());
    }

    /** A row for each corner of the law. */
    private Table corners() {
        TreeSet<Double> volts = new TreeSet<>();
        targets.forEach(t -> volts.add(SettingFinder.round(t.volts(), decimals)));
        if (volts.size() < 2) {
            volts.clear();
            volts.add(grid[0]);
            volts.add(grid[grid.length - 1]);
        }
        return table(volts.stream().map(v -> new Point(v, wanted(v))).toList());
    }

    /** Without the rows that change nothing: those on the line between their neighbours, to half a digit. */
    private Table fewest(Table corners) {
        double enough = Math.max(SettingFinder.furthest(corners, targets), 0.5 * Math.pow(10, -decimals));
        List<Point> rows = new ArrayList<>(corners.rows());
        for (int i = rows.size() - 2; i > 0; i--) {
            List<Point> less = new ArrayList<>(rows);
            less.remove(i);
            if (SettingFinder.furthest(new Table(less), targets) <= enough + 1e-12) {
                rows = less;
            }
        }
        return polished(new Table(rows));
    }

    /** Values moved by single digits while that makes the worst error less. */
    private Table polished(Table table) {
        double digit = Math.pow(10, -decimals);
        Table best = table;
        double least = SettingFinder.furthest(best, targets);
        boolean better = true;
        for (int round = 0; better && round < 20; round++) {
            better = false;
            for (int i = 0; i < best.rows().size(); i++) {
                for (int side = -1; side <= 1; side += 2) {
                    List<Point> rows = new ArrayList<>(best.rows());
                    Point row = rows.get(i);
                    rows.set(i, new Point(row.volts(), SettingFinder.round(row.value() + side * digit, decimals)));
                    Table other = new Table(rows);
                    double error = SettingFinder.furthest(other, targets);
                    if (error < least - 1e-12) {
                        least = error;
                        best = other;
                        better = true;
                    }
                }
            }
        }
        return best;
    }

    /** Values that can be reached at a row, and from which row before. */
    private record Reached(double low, double high, int from) {
    }

    private List<Point> free(int most) {
        double low = 0;
        double high = targets.stream().mapToDouble(Point::value).max().orElseThrow()
                - targets.stream().mapToDouble(Point::value).min().orElseThrow();
        List<Point> rows = reach(high, most);
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            List<Point> found = reach(middle, most);
            if (found == null) {
                low = middle;
            } else {
                high = middle;
                rows = found;
            }
        }
        return rows == null ? corners().rows() : rows;
    }

    /** Rows that keep an error, at most so many; null when there are none. */
    private @Nullable List<Point> reach(double error, int most) {
        int n = grid.length;
        Reached[][] reached = new Reached[most][n];
        reached[0][0] = within(grid[0], error, -1);
        for (int k = 1; k < most; k++) {
            for (int j = 1; j < n; j++) {
                for (int i = k - 1; i < j; i++) {
                    Reached before = reached[k - 1][i];
                    if (before != null) {
                        Reached now = through(before, i, j, error);
                        Reached known = reached[k][j];
                        if (now != null && (known == null || now.high() - now.low() > known.high() - known.low())) {
                            reached[k][j] = now;
                        }
                    }
                }
            }
            if (reached[k][n - 1] != null) {
                return rows(reached, k, error);
            }
        }
        return null;
    }

    private @Nullable Reached within(double volts, double error, int from) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        boolean target = false;
        for (Point t : targets) {
            if (t.volts() == volts) {
                low = Math.max(low, t.value() - error);
                high = Math.min(high, t.value() + error);
                target = true;
            }
        }
        if (!target) {
            low = wanted(volts) - error;
            high = wanted(volts) + error;
        }
        return low <= high ? new Reached(low, high, from) : null;
    }

    /** The values at row j that a straight line from some value at row i reaches inside the tube. */
    private @Nullable Reached through(Reached before, int i, int j, double error) {
        Reached here = within(grid[j], error, i);
        if (here == null) {
            return null;
        }
        // From each end of what was reached, the steepest and flattest lines that keep the tube at the corners between.
        double high = extreme(before, i, j, error, 1);
        double low = extreme(before, i, j, error, -1);
        double from = Math.max(low, here.low());
        double to = Math.min(high, here.high());
        return from <= to + 1e-12 ? new Reached(from, Math.max(from, to), i) : null;
    }

    /**
     * The highest (side 1) or lowest (−1) value at row j: a linear program in two variables, the values at both rows. Its
     * best corner is where a line leaves the box of row i or touches the tube, so those are tried.
     */
    private double extreme(Reached before, int i, int j, double error, int side) {
        double a = grid[i];
        double b = grid[j];
        double[] starts = {before.low(), before.high()};
        double best = Double.NEGATIVE_INFINITY;
        List<double[]> bounds = new ArrayList<>();
        for (Point t : targets) {
            if (t.volts() > a && t.volts() < b) {
                bounds.add(new double[]{(t.volts() - a) / (b - a), t.value() - error, t.value() + error});
            }
        }
        if (bounds.isEmpty()) {
            return side * Double.MAX_VALUE;
        }
        // Along the box of row i the highest value at j is the least of straight lines in the value at i: concave.
        double low = starts[0];
        double high = starts[1];
        for (int step = 0; step < 40 && high - low > 1e-12; step++) {
            double third = (high - low) / 3;
            if (side * value(bounds, low + third, side) < side * value(bounds, high - third, side)) {
                low += third;
            } else {
                high -= third;
            }
        }
        for (double start : new double[]{starts[0], starts[1], (low + high) / 2}) {
            double at = value(bounds, start, side);
            if (feasible(bounds, start)) {
                best = Math.max(best, side * at);
            }
        }
        return side * best;
    }

    private static double value(List<double[]> bounds, double start, int side) {
        double best = Double.POSITIVE_INFINITY;
        for (double[] t : bounds) {
            double limit = side > 0 ? t[2] : t[1];
            best = Math.min(best, side * (start + (limit - start) / t[0]));
        }
        return side * best;
    }

    private static boolean feasible(List<double[]> bounds, double start) {
        return value(bounds, start, 1) >= value(bounds, start, -1) - 1e-12;
    }

    /** Back from the end: at each row a value from which the next one can be met. */
    private List<Point> rows(Reached[][] reached, int last, double error) {
        List<Point> rows = new ArrayList<>();
        int j = grid.length - 1;
        Reached end = reached[last][j];
        double value = (end.low() + end.high()) / 2;
        rows.add(new Point(grid[j], value));
        for (int k = last; k > 0; k--) {
            int i = reached[k][j].from();
            double[] from = backwards(reached[k - 1][i], i, j, value, error);
            value = (from[0] + from[1]) / 2;
            rows.addFirst(new Point(grid[i], value));
            j = i;
        }
        return rows;
    }

    private double[] backwards(Reached box, int i, int j, double value, double error) {
        double low = box.low();
        double high = box.high();
        double a = grid[i];
        double b = grid[j];
        for (Point t : targets) {
            if (t.volts() > a && t.volts() < b) {
                double part = (t.volts() - a) / (b - a);
                low = Math.max(low, (t.value() - error - part * value) / (1 - part));
                high = Math.min(high, (t.value() + error - part * value) / (1 - part));
            }
        }
        return new double[]{Math.min(low, high), Math.max(low, high)};
    }
}
