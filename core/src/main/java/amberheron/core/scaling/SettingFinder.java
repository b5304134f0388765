package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.ReaderSetting.Equation;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.scaling.ReaderSetting.TwoPoint;
import amberheron.core.units.Unusable;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Finds what to type into a reader: of all that its form and digits allow, what has the least worst error over all that
 * the law tells, what is cut off by the input included.
 */
public final class SettingFinder {
    /** Factor within which the error of a setting that people recognise counts as good as the least. */
    private static final double AS_GOOD = 1.02;
    private static final double SAME = 1e-9;
    /** Least volts that law and input have to share, V. */
    private static final double LEAST = 1e-6;
    /** Part of the range above which one digit is coarse. */
    private static final double COARSE = 0.02;
    /** Number of slopes tried to each side of the best one. */
    private static final int SLOPES = 40;
    /** Number of typeable voltages tried at each end for two points. */
    private static final int ENDS = 40;

    private SettingFinder() {
    }

    /** The setting for a law, or empty when law and input share no volts, so that nothing typed could help. */
    public static Optional<ReaderSetting> find(OutputLaw law, Reader reader) {
        return find(law, WireEffect.NONE, reader);
    }

    /**
     * The same, for volts that do not arrive at the pin as they left. What the input cuts off is left out, unless a setting
     * that shares the loss keeps the tolerance over everything and one that does not share it does not.
     */
    static Optional<ReaderSetting> find(OutputLaw law, WireEffect wire, Reader reader) {
        List<Point> all = targets(law, wire, reader).orElse(List.of());
        List<Point> arriving = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            double volts = all.get(i).volts();
            boolean cutBelow = i + 1 < all.size() && all.get(i + 1).volts() == volts;
            boolean cutAbove = i > 0 && all.get(i - 1).volts() == volts && volts == all.getLast().volts();
            if (!(cutBelow && volts == all.getFirst().volts()) && !cutAbove) {
                arriving.add(all.get(i));
            }
        }
        if (all.isEmpty()) {
            return Optional.empty();
        }
        double tolerance = reader.scale().fromLambda(Tolerance.LAMBDA);
        ReaderSetting exact = fit(arriving, law, wire, reader);
        if (arriving.size() == all.size() || furthest(exact, all) <= tolerance) {
            return Optional.of(exact);
        }
        ReaderSetting sharing = fit(all, law, wire, reader);
        return Optional.of(furthest(sharing, all) <= tolerance ? sharing : exact);
    }

    private static ReaderSetting fit(List<Point> targets, OutputLaw law, WireEffect wire, Reader reader) {
        return switch (reader.form()) {
            case SLOPE_OFFSET -> line(targets, reader.decimals());
            case EXPRESSION -> equation(line(targets, reader.decimals()), reader.decimals());
            case TWO_POINT -> twoPoint(law, wire, reader, targets);
            case TABLE, COUNTS -> TableFitter.fit(targets, reader);
        };
    }

    /** Fault to report when {@link #find} finds nothing. */
    public static Unusable nothingShared(OutputLaw law, Reader reader) {
        return new Unusable(
                say("input: %s V to %s V shares nothing with the law's %s V to %s V, expected an input that sees them",
                        reader.input().minVolts(), reader.input().maxVolts(), law.lowestVolts(),
                        law.highestVolts()));
    }

    /**
     * Targets to be shown, by volts at the pin as far as the input sees them: the law's corners, and what the input's ends
     * stand for. Between them the law is straight. Where the input cuts the law off, one voltage stands for two targets.
     */
    static Optional<List<Point>> targets(OutputLaw law, WireEffect wire, Reader reader) {
        ReaderInput input = reader.input();
        double bottom = input.minVolts();
        double top = Math.min(input.maxVolts(), wire.ceiling());
        TreeSet<Double> outputs = new TreeSet<>();
        for (double v : law.breakpoints()) {
            outputs.add(v);
        }
        if (!(Math.max(bottom, wire.atPin(outputs.first())) + LEAST < Math.min(top, wire.atPin(outputs.last())))) {
            return Optional.empty();
        }
        for (double pin : new double[]{bottom, top}) {
            double output = wire.before(pin);
            if (output > outputs.first() && output < outputs.last()) {
                outputs.add(output);
            }
        }
        return Optional.of(outputs.stream().map(v -> new Point(seen(wire.atPin(v), bottom, top),
                reader.scale().fromLambda(law.lambdaAt(v)))).toList());
    }

    /** Volts held to the input's range; what differs from an end by rounding only is that end. */
    private static double seen(double pin, double bottom, double top) {
        return pin > top - SAME ? top : pin < bottom + SAME ? bottom : pin;
    }

    /** Returns the typeable slope near the best one that, with its own best offset, errs least. */
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

    /** The lowest and highest of y − slope·x over the targets. */
    private record Offsets(double low, double high) {
        static Offsets of(List<Point> targets, double slope) {
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (Point p : targets) {
                double y = p.value() - slope * p.volts();
                low = Math.min(low, y);
                high = Math.max(high, y);
            }
            return new Offsets(low, high);
        }
    }

    private static double spread(List<Point> targets, double slope) {
        Offsets offsets = Offsets.of(targets, slope);
        return offsets.high() - offsets.low();
    }

    private static double middleOffset(List<Point> targets, double slope) {
        Offsets offsets = Offsets.of(targets, slope);
        return (offsets.high() + offsets.low()) / 2;
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
        // No two points err less than the line through them may.
        Optional<TwoPoint> atOnce = asGood(known, targets, furthest(line, targets));
        if (atOnce.isPresent()) {
            return atOnce.get();
        }
        TwoPoint best = known.stream().min(Comparator.comparingDouble(t -> furthest(t, targets))).orElse(null);
        double least = best == null ? Double.POSITIVE_INFINITY : furthest(best, targets);
        double digit = Math.max(Math.pow(10, -decimals), (high - low) / 200);
        double first = up(low, decimals);
        boolean coarse = digit > COARSE * (high - low);
        double[] starts = IntStream.range(0, ENDS).mapToDouble(i -> first + i * digit).toArray();
        double[] ends = IntStream.range(0, ENDS).mapToDouble(j -> high - j * digit).toArray();
        double[] startsOff = Arrays.stream(starts).map(v -> roundsTo(line, v, decimals)).toArray();
        double[] endsOff = Arrays.stream(ends).map(v -> roundsTo(line, v, decimals)).toArray();
        for (int i = 0; i < ENDS; i++) {
            for (int j = 0; j < ENDS; j++) {
                double from = starts[i];
                double to = ends[j];
                if (from < to - (high - low) / 3
                        && (coarse || Math.max(startsOff[i], endsOff[j]) < least)) {
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
        return asGood(known, targets, least).orElse(best);
    }

    /** The first of the known pairs that errs hardly more than the least. */
    private static Optional<TwoPoint> asGood(List<TwoPoint> known, List<Point> targets, double least) {
        double enough = AS_GOOD * least;
        return known.stream().filter(t -> furthest(t, targets) <= enough).findFirst();
    }

    /** A bound from below on the error of two typeable points about a line: what rounding moves it by where one stands. */
    private static double roundsTo(SlopeOffset line, double volts, int decimals) {
        double scale = Math.pow(10, decimals);
        double q = line.at(Math.rint(volts * scale) / scale) * scale;
        return Math.abs(q - Math.rint(q)) / scale;
    }

    private static double up(double volts, int decimals) {
        double rounded = round(volts, decimals);
        return rounded < volts - 1e-12 ? rounded + Math.pow(10, -decimals) : rounded;
    }

    /** Tries two typeable points near a line, each number rounded either way. */
    private static List<TwoPoint> through(SlopeOffset line, double from, double to, int decimals) {
        double v1 = round(from, decimals);
        double v2 = round(to, decimals);
        if (v1 == v2) {
            return List.of();
        }
        double digit = Math.pow(10, -decimals);
        // Where a digit is much of the whole, one further off may go better with the other end.
        int reach = digit > COARSE * Math.abs(line.at(to) - line.at(from)) ? 2 : 1;
        double q1 = Math.floor(line.at(v1) / digit + 1e-9) * digit;
        double q2 = Math.floor(line.at(v2) / digit + 1e-9) * digit;
        List<TwoPoint> points = new ArrayList<>();
        for (int i = 1 - reach; i <= reach; i++) {
            for (int j = 1 - reach; j <= reach; j++) {
                points.add(new TwoPoint(v1, round(q1 + i * digit, decimals), v2, round(q2 + j * digit, decimals)));
            }
        }
        return points;
    }

    /** The same setting in the plainest form that gives the same numbers over the input's range. */
    static ReaderSetting plainest(ReaderSetting setting, ReaderInput input) {
        if (!(setting instanceof Equation)) {
            return setting;
        }
        double low = input.minVolts();
        double span = input.maxVolts() - low;
        double slope = (setting.at(low + span) - setting.at(low)) / span;
        SlopeOffset line = new SlopeOffset(slope, setting.at(low) - slope * low);
        double near = 1e-12 * (1 + Math.abs(line.at(low)) + Math.abs(line.at(low + span)));
        for (double part : new double[]{0.03, 0.11, 0.29, 0.41, 0.5, 0.67, 0.83, 0.94}) {
            if (!(Math.abs(setting.at(low + part * span) - line.at(low + part * span)) <= near)) {
                return setting;
            }
        }
        return line;
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
        double scale = Math.pow(10, decimals);
        double digits = value * scale;
        double part = Math.abs(digits - Math.floor(digits) - 0.5);
        if (part > 1e-6 && Math.abs(digits) < 1e9) {
            // Far from a tie nothing has to be dropped.
            return Math.rint(digits) / scale;
        }
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).doubleValue();
    }

    private static String plain(double value, int decimals) {
        return new BigDecimal(value, new MathContext(13)).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
    }
}
