package amberheron.core.scaling;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.ReaderSetting.Table;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Finds the rows of a table among those that can be typed. A digit of volts or of the value moves a row off the law; somewhere
 * near there is one that lies on it, and an end of the law that no row can be typed for is met by one beyond it. All rows that
 * keep an allowed error are the knots of a graph, lines that keep it between them its edges: the fewest rows are its shortest
 * path, and the least error for which there is one is found by halving. Exact for the rows that are looked at.
 */
final class TypedRows {
    /** Voltages that can be typed, up to which all are looked at, and how many near each corner where there are more. */
    private static final int ALL = 700;
    private static final int NEAR = 20;
    /** Even parts of the range in each of which the luckiest voltages are looked at, how many of them, and of how many. */
    private static final int PARTS = 48;
    private static final int LUCKY = 2;
    private static final int OF = 12;
    /** How far beyond the law's ends a row may stand, as a part of its volts. */
    private static final double BEYOND = 1;
    private static final double NEAR_BEYOND = 0.05;
    private static final int END_DIGITS = 6;
    private static final int HALVINGS = 14;
    private static final double CLOSE = 0.02;
    /** Error that nobody can tell from nothing, λ: a hundredth of the tolerance. */
    private static final double NOTHING = 6e-5;
    private static final double SLACK = 1e-12;
    /** Parts of the allowed error by which values are moved off the law. */
    private static final double[] SPREAD = {-0.9, -0.5, 0.5, 0.9};
    private static final double FAR = 1e9;
    /** Cost, in rows, of beginning or ending the whole range away from the law's end: never as much as a row. */
    private static final double AWAY = 0.2;

    private final List<Point> targets;
    private final Reader reader;
    private final double digit;
    private final double[] volts;

    private TypedRows(List<Point> targets, Reader reader, List<Point> known) {
        this.targets = targets;
        this.reader = reader;
        digit = Math.pow(10, -reader.decimals());
        volts = volts(known);
    }

    /**
     * Returns rows that err less than those that are known, or as much with fewer; the known ones where there are none.
     *
     * @param targets numbers to be shown, volts rising
     * @param most rows that the table takes
     */
    static Table better(List<Point> targets, Reader reader, Table known, int most) {
        if (error(known.rows(), targets) <= floor(reader)) {
            return known;
        }
        return new TypedRows(targets, reader, known.rows()).search(known, most);
    }

    private static double floor(Reader reader) {
        return Math.abs(reader.scale().fromLambda(NOTHING));
    }

    private Table search(Table known, int most) {
        double least = error(known.rows(), targets);
        List<Point> best = known.rows();
        double low = 0;
        for (int i = 0; i < HALVINGS && least > floor(reader) && least - low > CLOSE * least; i++) {
            double middle = (low + least) / 2;
            List<Point> found = path(middle, most, best);
            if (found == null) {
                low = middle;
            } else {
                best = found;
                least = error(found, targets);
            }
        }
        List<Point> fewest = path(least * (1 + 1e-9) + SLACK, most, best);
        return new Table(fewest == null || fewest.size() > best.size() ? best : fewest);
    }

    /** The worst error of rows, at the law's corners and their own. */
    static double error(List<Point> rows, List<Point> targets) {
        Table table = new Table(rows);
        double worst = SettingFinder.furthest(table, targets);
        for (Point row : rows) {
            if (row.volts() > targets.getFirst().volts() && row.volts() < targets.getLast().volts()) {
                worst = Math.max(worst, off(row, targets));
            }
        }
        return worst;
    }

    /** Returns how far a row lies off the law at its volts; beyond the ends off the law's last line. */
    private static double off(Point row, List<Point> targets) {
        double worst = 0;
        boolean there = false;
        for (Point t : targets) {
            if (t.volts() == row.volts()) {
                worst = Math.max(worst, Math.abs(t.value() - row.value()));
                there = true;
            }
        }
        return there ? worst : Math.abs(law(row.volts(), targets) - row.value());
    }

    /** Returns the number wanted at a voltage, on the last line beyond the ends. */
    private static double law(double at, List<Point> targets) {
        int i = 1;
        while (i < targets.size() - 1 && at > targets.get(i).volts()) {
            i++;
        }
        Point a = targets.get(i - 1);
        Point b = targets.get(i);
        return a.volts() == b.volts()
                ? (a.value() + b.value()) / 2
                : a.value() + (at - a.volts()) * (b.value() - a.value()) / (b.volts() - a.volts());
    }

    private double step() {
        return reader.form() == Reader.Form.COUNTS ? reader.input().step() : digit;
    }

    /** Returns the voltages that are looked at, rising. */
    private double[] volts(List<Point> known) {
        double span = targets.getLast().volts() - targets.getFirst().volts();
        double step = step();
        // Counts are fine against the values, so that a row on the law is never far.
        double beyond = Math.max(2 * step, (reader.form() == Reader.Form.COUNTS ? NEAR_BEYOND : BEYOND) * span);
        double first = targets.getFirst().volts();
        double last = targets.getLast().volts();
        double low = Math.max(reader.input().minVolts(), first - Math.max(beyond, digits(first, first - beyond)));
        double high = Math.min(reader.input().maxVolts(), last + Math.max(beyond, digits(last + beyond, last)));
        TreeSet<Double> volts = new TreeSet<>();
        known.forEach(p -> volts.add(p.volts()));
        if ((high - low) / step <= ALL) {
            for (double v = low; v <= high + step / 2; v += step) {
                add(volts, v, low, high);
            }
        } else {
            TreeSet<Double> about = new TreeSet<>(volts);
            targets.forEach(t -> about.add(t.volts()));
            about.forEach(v -> {
                for (int i = -NEAR; i <= NEAR; i++) {
                    add(volts, v + i * step, low, high);
                }
            });
            for (int part = 0; part < PARTS; part++) {
                double from = low + (high - low) * part / PARTS;
                Arrays.stream(lucky(from, step)).forEach(v -> add(volts, v, low, high));
            }
        }
        return volts.stream().mapToDouble(v -> v).toArray();
    }

    /** Returns how many volts some digits of the value are on the line between two voltages; 0 where it is level. */
    private double digits(double to, double from) {
        double slope = Math.abs(law(to, targets) - law(from, targets)) / (to - from);
        return slope > 0 ? END_DIGITS * digit / slope : 0;
    }

    /** Returns the voltages from one on whose number on the law lies nearest to one that can be typed. */
    private double[] lucky(double from, double step) {
        return IntStream.range(0, OF).mapToObj(i -> reader.typeable(from + i * step))
                .sorted(Comparator.comparingDouble(
                        v -> Math.abs(law(v, targets) - SettingFinder.round(law(v, targets), reader.decimals()))))
                .limit(LUCKY).mapToDouble(v -> v).toArray();
    }

    private void add(Set<Double> volts, double v, double low, double high) {
        double typed = reader.typeable(v);
        if (typed >= low - SLACK && typed <= high + SLACK) {
            volts.add(typed);
        }
    }

    /** Rows that can be typed within an error of the law, and those that are known. */
    private List<Point> knots(double error, List<Point> known) {
        List<Point> knots = new ArrayList<>();
        for (double v : volts) {
            double wanted = law(v, targets);
            TreeSet<Double> digits = new TreeSet<>();
            // Of many values those nearest to the law, and some over all of the error.
            for (double part : SPREAD) {
                digits.add(Math.rint((wanted + part * error) / digit));
            }
            int reach = beyond(v) ? 2 : 1;
            for (int near = -reach; near <= reach; near++) {
                digits.add(Math.rint(wanted / digit) + near);
            }
            for (double k : digits) {
                Point knot = new Point(v, SettingFinder.round(k * digit, reader.decimals()));
                if (beyond(v) || off(knot, targets) <= error + SLACK) {
                    knots.add(knot);
                }
            }
            for (Point row : known) {
                if (row.volts() == v && (beyond(v) || off(row, targets) <= error + SLACK) && !knots.contains(row)) {
                    knots.add(row);
                }
            }
        }
        return knots;
    }

    /** Whether a voltage lies beyond the law's ends, where only the line that leads there counts. */
    private boolean beyond(double at) {
        return at < targets.getFirst().volts() || at > targets.getLast().volts();
    }

    /** Finds the fewest rows that keep an error; null where none do with so many. */
    private @Nullable List<Point> path(double error, int most, List<Point> known) {
        List<Point> knots = knots(error, known);
        int n = knots.size();
        // Rows, and of as many those that begin and end nearest to the law's ends.
        double[] cost = new double[n];
        int[] rows = new int[n];
        int[] before = new int[n];
        Arrays.fill(cost, FAR);
        Arrays.fill(before, -1);
        int best = -1;
        double least = FAR;
        double span = targets.getLast().volts() - targets.getFirst().volts();
        for (int a = 0; a < n; a++) {
            Point knot = knots.get(a);
            double start = 1 + AWAY * Math.abs(knot.volts() - targets.getFirst().volts()) / span;
            if (start < cost[a] && holds(knot, error, true)) {
                cost[a] = start;
                rows[a] = 1;
                before[a] = -1;
            }
            if (cost[a] >= FAR) {
                continue;
            }
            double whole = cost[a] + AWAY * Math.abs(knot.volts() - targets.getLast().volts()) / span;
            if (rows[a] > 1 && rows[a] <= most && whole < least && holds(knot, error, false)) {
                best = a;
                least = whole;
            }
            if (rows[a] < most) {
                reach(knots, a, error, cost, rows, before);
            }
        }
        if (best < 0) {
            return null;
        }
        List<Point> path = new ArrayList<>();
        for (int at = best; at >= 0; at = before[at]) {
            path.addFirst(knots.get(at));
        }
        return path;
    }

    /** Returns whether the number of a row, held outside, keeps the error to the end of the law below it or above. */
    private boolean holds(Point row, double error, boolean below) {
        return targets.stream().filter(t -> below ? t.volts() < row.volts() : t.volts() > row.volts())
                .allMatch(t -> Math.abs(t.value() - row.value()) <= error + SLACK);
    }

    /** Marks all rows that a line from one reaches while it keeps the error at each corner between. */
    private void reach(List<Point> knots, int from, double error, double[] cost, int[] rows, int[] before) {
        Point a = knots.get(from);
        double least = Double.NEGATIVE_INFINITY;
        double greatest = Double.POSITIVE_INFINITY;
        int next = 0;
        for (int b = from + 1; b < knots.size(); b++) {
            Point to = knots.get(b);
            if (to.volts() <= a.volts()) {
                continue;
            }
            while (next < targets.size() && targets.get(next).volts() < to.volts()) {
                Point t = targets.get(next++);
                if (t.volts() > a.volts()) {
                    least = Math.max(least, (t.value() - error - SLACK - a.value()) / (t.volts() - a.volts()));
                    greatest = Math.min(greatest, (t.value() + error + SLACK - a.value()) / (t.volts() - a.volts()));
                }
            }
            if (least > greatest) {
                return;
            }
            double slope = (to.value() - a.value()) / (to.volts() - a.volts());
            if (slope >= least && slope <= greatest && cost[from] + 1 < cost[b]) {
                cost[b] = cost[from] + 1;
                rows[b] = rows[from] + 1;
                before[b] = from;
            }
        }
    }
}
