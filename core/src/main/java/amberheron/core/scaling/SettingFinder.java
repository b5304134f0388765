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
import java.util.TreeSet;

/**
 * Finds what to type into a reader: of all that its form and digits allow, what has the least worst error over all that
 * the law tells, what is cut off by the input included.
 */
public final class SettingFinder {
    /** A choice that people recognise is kept where the best is not better by more than this part. */
    private static final double AS_GOOD = 1.05;
    /** Slopes that are tried to each side of the best one. */
    private static final int SLOPES = 40;
    /** Typeable volts that are tried at each end for two points. */
    private static final int ENDS = 40;

    private SettingFinder() {
    }

    /** The setting for a law, or empty when law and input share no volts, so that nothing typed could help. */
    public static Optional<ReaderSetting> find(OutputLaw law, Reader reader) {
        return find(law, WireEffect.NONE, reader);
    }

    /** The same, for volts that do not arrive at the pin as they left. */
    static Optional<ReaderSetting> find(OutputLaw law, WireEffect wire, Reader reader) {
        return targets(law, wire, reader).map(targets -> switch (reader.form()) {
            case SLOPE_OFFSET -> line(targets, reader.decimals());
            case EXPRESSION -> equation(line(targets, reader.decimals()), reader.decimals());
            case TWO_POINT -> twoPoint(law, wire, reader, targets);
            case TABLE -> TableFitter.fit(targets, reader);
        });
    }

    /** What is wrong when {@link #find} finds nothing. */
    public static IllegalArgumentException nothingShared(OutputLaw law, Reader reader) {
        return new IllegalArgumentException(
                say("input: %s V to %s V shares nothing with the law's %s V to %s V, expected an input that sees them",
                        reader.input().minVolts(), reader.input().maxVolts(), law.lowestVolts(),
                        law.highestVolts()));
    }

    /**
     * What is to be shown, by volts at the pin as far as the input sees them: the law's corners, and what the input's ends
     * stand for. Between them the law is straight. Where the input cuts the law off, one voltage stands for two targets.
     */
    private static Optional<List<Point>> targets(OutputLaw law, WireEffect wire, Reader reader) {
        ReaderInput input = reader.input();
        double bottom = input.minVolts();
        double top = Math.min(input.maxVolts(), wire.ceiling());
        TreeSet<Double> outputs = new TreeSet<>();
        for (double v : law.breakpoints()) {
            outputs.add(v);
        }
        if (!(Math.max(bottom, wire.atPin(outputs.first())) < Math.min(top, wire.atPin(outputs.last())))) {
            return Optional.empty();
        }
        for (double pin : new double[]{bottom, top}) {
            double output = wire.before(pin);
            if (output > outputs.first() && output < outputs.last()) {
                outputs.add(output);
            }
        }
        return Optional.of(outputs.stream().map(v -> new Point(Math.clamp(wire.atPin(v), bottom, top),
                reader.scale().fromLambda(law.lambdaAt(v)))).toList());
    }

    /** Of the typeable slopes about the best one, that which with its own best offset errs least. */
    private static SlopeOffset line(List<Point> targets, int decimals) {
        double digit = Math.pow(10, -decimals);
        double ideal = bestSlope(targets);
        SlopeOffset best = typed(targets, ideal, decimals);
        double least = furthest(best, targets);
        for (int i = 1; i <= SLOPES; i++) {
            boolean hopeless = true;
            for (int side = -1; side <= 1; side += 2) {
                SlopeOffset other = typed(targets, ideal + side * i * digit, decimals);
                hopeless &= spread(targets, other.slope()) / 2 > least;
                double error = furthest(other, targets);
                if (error < least * (1 - 1e-9)) {
                    least = error;
                    best = other;
                }
            }
            if (hopeless) {
                // The spread is convex in the slope: further out it only grows.
                break;
            }
        }
        return best;
    }

    private static SlopeOffset typed(List<Point> targets, double slope, int decimals) {
        double rounded = round(slope, decimals);
        return new SlopeOffset(rounded, round(middleOffset(targets, rounded), decimals));
    }

    /** The line with the least worst error. */
    static SlopeOffset bestLine(List<Point> targets) {
        double slope = bestSlope(targets);
        return new SlopeOffset(slope, middleOffset(targets, slope));
    }

    /**
     * The slope with the least worst error over the targets. It is that of an edge of their convex hull, since the spread
     * of y − m·x is convex in m and bends only there.
     */
    private static double bestSlope(List<Point> targets) {
        double best = Double.NaN;
        double least = Double.POSITIVE_INFINITY;
        for (List<Point> side : List.of(hull(targets, 1), hull(targets, -1))) {
            for (int i = 1; i < side.size(); i++) {
                double slope = slope(side.get(i - 1), side.get(i));
                double spread = spread(targets, slope);
                if (spread < least) {
                    least = spread;
                    best = slope;
                }
            }
        }
        return best;
    }

    private static List<Point> hull(List<Point> sorted, int side) {
        List<Point> hull = new ArrayList<>();
        for (Point p : sorted) {
            if (!hull.isEmpty() && hull.getLast().volts() == p.volts()) {
                // Of two targets at one voltage only the outer one is on this side.
                if (side * (p.value() - hull.getLast().value()) <= 0) {
                    continue;
                }
                hull.removeLast();
            }
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

    private static double spread(List<Point> targets, double slope) {
        double high = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (Point p : targets) {
            double y = p.value() - slope * p.volts();
            high = Math.max(high, y);
            low = Math.min(low, y);
        }
        return high - low;
    }

    private static double middleOffset(List<Point> targets, double slope) {
        double high = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (Point p : targets) {
            double y = p.value() - slope * p.volts();
            high = Math.max(high, y);
            low = Math.min(low, y);
        }
        return (high + low) / 2;
    }

    private static Equation equation(SlopeOffset line, int decimals) {
        String slope = plain(line.slope(), decimals);
        String offset = plain(Math.abs(line.offset()), decimals);
        return new Equation(Expression.parse(slope + "*v" + (line.offset() < 0 ? "-" : "+") + offset));
    }

    /** The pair of typeable volts that rounds best; the law's own two points or the ends, where they are as good. */
    private static TwoPoint twoPoint(OutputLaw law, WireEffect wire, Reader reader, List<Point> targets) {
        int decimals = reader.decimals();
        SlopeOffset line = bestLine(targets);
        double low = targets.getFirst().volts();
        double high = targets.getLast().volts();
        List<TwoPoint> known = new ArrayList<>();
        if (law.kind() == OutputLaw.Kind.LINEAR) {
            known.addAll(through(line, wire.atPin(law.points().getFirst().volts()),
                    wire.atPin(law.points().getLast().volts()), decimals));
        }
        known.addAll(through(line, low, high, decimals));
        TwoPoint best = known.stream().min(Comparator.comparingDouble(t -> furthest(t, targets))).orElse(null);
        double least = best == null ? Double.POSITIVE_INFINITY : furthest(best, targets);
        double digit = Math.max(Math.pow(10, -decimals), (high - low) / 200);
        double first = up(low, decimals);
        for (int i = 0; i < ENDS; i++) {
            for (int j = 0; j < ENDS; j++) {
                double from = first + i * digit;
                double to = high - j * digit;
                if (from < to - (high - low) / 3 && roundsTo(line, from, to, decimals) < least) {
                    for (TwoPoint other : through(line, from, to, decimals)) {
                        double error = furthest(other, targets);
                        if (error < least) {
                            least = error;
                            best = other;
                        }
                    }
                }
            }
        }
        if (best == null) {
            return new TwoPoint(low, round(line.at(low), decimals), high, round(line.at(high), decimals));
        }
        double enough = AS_GOOD * least;
        return known.stream().filter(t -> furthest(t, targets) <= enough).findFirst().orElse(best);
    }

    /** A bound from below on the error of two typeable points about a line: what rounding moves it by where they stand. */
    private static double roundsTo(SlopeOffset line, double from, double to, int decimals) {
        double scale = Math.pow(10, decimals);
        double q1 = line.at(Math.rint(from * scale) / scale) * scale;
        double q2 = line.at(Math.rint(to * scale) / scale) * scale;
        return Math.max(Math.abs(q1 - Math.rint(q1)), Math.abs(q2 - Math.rint(q2))) / scale;
    }

    private static double up(double volts, int decimals) {
        double rounded = round(volts, decimals);
        return rounded < volts - 1e-12 ? rounded + Math.pow(10, -decimals) : rounded;
    }

    /** Two typeable points about a line, each number rounded either way. */
    private static List<TwoPoint> through(SlopeOffset line, double from, double to, int decimals) {
        double v1 = round(from, decimals);
        double v2 = round(to, decimals);
        if (v1 == v2) {
            return List.of();
        }
        double digit = Math.pow(10, -decimals);
        double q1 = round(line.at(v1), decimals);
        double q2 = round(line.at(v2), decimals);
        double r1 = round(q1 + Math.copySign(digit, line.at(v1) - q1), decimals);
        double r2 = round(q2 + Math.copySign(digit, line.at(v2) - q2), decimals);
        return List.of(new TwoPoint(v1, q1, v2, q2), new TwoPoint(v1, r1, v2, q2), new TwoPoint(v1, q1, v2, r2),
                new TwoPoint(v1, r1, v2, r2));
    }

    static double furthest(ReaderSetting setting, List<Point> targets) {
        double worst = 0;
        for (Point p : targets) {
            worst = Math.max(worst, Math.abs(setting.at(p.volts()) - p.value()));
        }
        return worst;
    }

    /** Rounds half up, after dropping the noise of binary fractions in the last digits. */
    static double round(double value, int decimals) {
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).doubleValue();
    }

    private static String plain(double value, int decimals) {
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
    }
}
