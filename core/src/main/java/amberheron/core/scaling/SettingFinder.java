package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.ReaderSetting.Equation;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.scaling.ReaderSetting.Table;
import amberheron.core.scaling.ReaderSetting.TwoPoint;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Finds what to type into a reader: the inverse of the law in the reader's own form, rounded to the digits it accepts
 * so that the rounding does the least harm.
 */
public final class SettingFinder {
    private SettingFinder() {
    }

    /** The setting for a law, or empty when law and input share no volts, so that nothing typed could help. */
    public static Optional<ReaderSetting> find(OutputLaw law, Reader reader) {
        double low = Math.max(law.lowestVolts(), reader.input().minVolts());
        double high = Math.min(law.highestVolts(), reader.input().maxVolts());
        if (!(low < high)) {
            return Optional.empty();
        }
        List<Point> nodes = nodes(law, reader, low, high);
        return Optional.of(switch (reader.form()) {
            case SLOPE_OFFSET -> roundedLine(nodes, reader.decimals());
            case EXPRESSION -> equation(roundedLine(nodes, reader.decimals()), reader.decimals());
            case TWO_POINT -> twoPoint(law, reader, nodes);
            case TABLE -> table(law, reader, nodes);
        });
    }

    /** What is wrong when {@link #find} finds nothing. */
    public static IllegalArgumentException nothingShared(OutputLaw law, Reader reader) {
        return new IllegalArgumentException(
                say("input: %s V to %s V shares nothing with the law's %s V to %s V, expected an input that sees them",
                        reader.input().minVolts(), reader.input().maxVolts(), law.lowestVolts(),
                        law.highestVolts()));
    }

    /** The law's corners within reach of the input, in the reader's quantity. */
    private static List<Point> nodes(OutputLaw law, Reader reader, double low, double high) {
        List<Double> volts = new ArrayList<>(List.of(low, high));
        for (double v : law.breakpoints()) {
            if (v > low && v < high) {
                volts.add(v);
            }
        }
        return volts.stream().sorted().map(v -> node(law, reader, v)).toList();
    }

    private static Point node(OutputLaw law, Reader reader, double volts) {
        return new Point(volts, reader.scale().fromLambda(law.lambdaAt(volts)));
    }

    /** The slope is rounded first and the offset chosen for the slope that is really typed. */
    private static SlopeOffset roundedLine(List<Point> nodes, int decimals) {
        double slope = round(bestLine(nodes).slope(), decimals);
        return new SlopeOffset(slope, round(middleOffset(nodes, slope), decimals));
    }

    /**
     * The line with the least worst error over the points. Its slope is that of an edge of their convex hull, since the
     * spread of y − m·x is convex in m and bends only there.
     */
    static SlopeOffset bestLine(List<Point> nodes) {
        List<Point> edges = new ArrayList<>(hull(nodes, 1));
        double best = Double.NaN;
        double least = Double.POSITIVE_INFINITY;
        for (List<Point> side : List.of(edges, hull(nodes, -1))) {
            for (int i = 1; i < side.size(); i++) {
                double slope = slope(side.get(i - 1), side.get(i));
                double spread = spread(nodes, slope);
                if (spread < least) {
                    least = spread;
                    best = slope;
                }
            }
        }
        return new SlopeOffset(best, middleOffset(nodes, best));
    }

    private static List<Point> hull(List<Point> sorted, int side) {
        List<Point> hull = new ArrayList<>();
        for (Point p : sorted) {
            while (hull.size() > 1 && side * (slope(hull.get(hull.size() - 2), p)
                    - slope(hull.get(hull.size() - 2), hull.getLast())) >= 0) {
                hull.removeLast();
            }
            hull.add(p);
        }
        return hull;
    }

    private static double slope(Point a, Point b) {
        return (b.value() - a.value()) / (b.volts() - a.volts());
    }

    private static double spread(List<Point> nodes, double slope) {
        return nodes.stream().mapToDouble(p -> p.value() - slope * p.volts()).max().orElseThrow()
                - nodes.stream().mapToDouble(p -> p.value() - slope * p.volts()).min().orElseThrow();
    }

    private static double middleOffset(List<Point> nodes, double slope) {
        return (nodes.stream().mapToDouble(p -> p.value() - slope * p.volts()).max().orElseThrow()
                + nodes.stream().mapToDouble(p -> p.value() - slope * p.volts()).min().orElseThrow()) / 2;
    }

    private static Equation equation(SlopeOffset line, int decimals) {
        String slope = plain(line.slope(), decimals);
        String offset = plain(Math.abs(line.offset()), decimals);
        return new Equation(Expression.parse(slope + "*v" + (line.offset() < 0 ? "-" : "+") + offset));
    }

    /** Between the law's own two points, which people recognise, and the ends of the range, the pair that errs less. */
    private static TwoPoint twoPoint(OutputLaw law, Reader reader, List<Point> nodes) {
        SlopeOffset line = bestLine(nodes);
        List<TwoPoint> choices = new ArrayList<>();
        if (law.kind() == OutputLaw.Kind.LINEAR) {
            through(line, law.points().getFirst().volts(), law.points().getLast().volts(), reader.decimals())
                    .ifPresent(choices::add);
        }
        through(line, nodes.getFirst().volts(), nodes.getLast().volts(), reader.decimals()).ifPresent(choices::add);
        return choices.stream().min(Comparator.comparingDouble(c -> furthest(c, nodes)))
                .orElseGet(
                        () -> new TwoPoint(nodes.getFirst().volts(), round(nodes.getFirst().value(), reader.decimals()),
                                nodes.getLast().volts(), round(nodes.getLast().value(), reader.decimals())));
    }

    private static Optional<TwoPoint> through(SlopeOffset line, double from, double to, int decimals) {
        double v1 = round(from, decimals);
        double v2 = round(to, decimals);
        return v1 == v2
                ? Optional.empty()
                : Optional.of(new TwoPoint(v1, round(line.at(v1), decimals), v2, round(line.at(v2), decimals)));
    }

    /** Starts with the ends and adds the corner that is missed most, until nothing is missed or the rows are used up. */
    private static Table table(OutputLaw law, Reader reader, List<Point> nodes) {
        Integer maxRows = reader.maxRows();
        int most = maxRows == null ? nodes.size() : maxRows;
        Table table = rounded(law, reader, List.of(nodes.getFirst(), nodes.getLast()));
        List<Point> chosen = new ArrayList<>(List.of(nodes.getFirst(), nodes.getLast()));
        double half = 0.5 * Math.pow(10, -reader.decimals());
        while (chosen.size() < Math.min(most, nodes.size())) {
            Table now = table;
            Point missed = nodes.stream().filter(n -> !chosen.contains(n))
                    .max(Comparator.comparingDouble(n -> Math.abs(now.at(n.volts()) - n.value()))).orElseThrow();
            if (Math.abs(now.at(missed.volts()) - missed.value()) <= half) {
                break;
            }
            chosen.add(missed);
            table = rounded(law, reader, chosen);
        }
        return table;
    }

    private static Table rounded(OutputLaw law, Reader reader, List<Point> rows) {
        TreeMap<Double, Point> byVolts = new TreeMap<>();
        for (Point row : rows) {
            double volts = round(row.volts(), reader.decimals());
            byVolts.put(volts, new Point(volts, round(node(law, reader, volts).value(), reader.decimals())));
        }
        if (byVolts.size() < 2) {
            // Too few digits to tell the ends apart: the volts are given as they are.
            rows.forEach(row -> byVolts.put(row.volts(),
                    new Point(row.volts(), round(row.value(), reader.decimals()))));
        }
        return new Table(List.copyOf(byVolts.values()));
    }

    private static double furthest(ReaderSetting setting, List<Point> nodes) {
        return nodes.stream().mapToDouble(n -> Math.abs(setting.at(n.volts()) - n.value())).max().orElseThrow();
    }

    /** Rounds half up, after dropping the noise of binary fractions in the last digits. */
    static double round(double value, int decimals) {
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).doubleValue();
    }

    private static String plain(double value, int decimals) {
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
    }
}
