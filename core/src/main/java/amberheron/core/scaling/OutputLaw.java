package amberheron.core.scaling;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A controller's analog output law: which volts mean which mixture. The output cannot leave its rails, so a mixture
 * beyond them comes out as the rail.
 */
public final class OutputLaw {
    /** Mixtures between which engines are driven and check points are taken, λ; common practice, no published source. */
    private static final double USED_FROM = 0.7;
    private static final double USED_TO = 1.3;

    /** How the points are joined. */
    public enum Kind {
        /** Two points on a line that goes on to the rails. */
        LINEAR,
        /** Two or more points, straight between, held outside. */
        TABLE
    }
    /** One point of the law: volts, and the mixture in the law's own quantity. */
    public record Point(double volts, double value) {
    }

    /**
     * Meaning of volts beyond the rails, in the sheet's words; empty where the sheet says nothing.
     *
     * @param below under the lower rail: not ready, say
     * @param above over the upper rail
     */
    public record Beyond(String below, String above) {
        /** The sheet says nothing. */
        public static final Beyond NOTHING = new Beyond("", "");
    }

    /** A meter's and a converter's own error, V: what is that near to a rail still means a mixture. */
    private static final double NEAR = 0.01;

    private final String id;
    private final String name;
    private final Kind kind;
    private final MixtureScale scale;
    private final List<Point> points;
    private final double minVolts;
    private final double maxVolts;
    private final Beyond beyond;
    private final Source source;
    private final Polyline valueOfVolts;
    private final Polyline voltsOfValue;

    /**
     * A law.
     *
     * @param id catalogue id
     * @param name what the catalogue calls it
     * @param points two for a line, two or more for a table, volts all different, values strictly rising or falling
     * @param minVolts lower rail, V
     * @param maxVolts upper rail, V
     * @param beyond what volts beyond the rails mean
     * @throws Unusable when the points do not make a law that can be read backwards
     */
    public OutputLaw(String id, String name, Kind kind, MixtureScale scale, List<Point> points, double minVolts,
            double maxVolts, Beyond beyond, Source source) {
        Sane.SIGNAL.check("volts.min", minVolts);
        Sane.SIGNAL.check("volts.max", maxVolts);
        for (Point point : points) {
            Sane.SIGNAL.check("points: volts", point.volts());
            Sane.MIXTURE.check("points: value as λ", scale.toLambda(point.value()));
        }
        if (kind == Kind.LINEAR && points.size() != 2) {
            throw new Unusable(
                    say("points: found %d, expected 2 for a linear law", points.size()));
        }
        if (points.size() < 2) {
            throw new Unusable(say("points: found %d, expected 2 or more", points.size()));
        }
        if (!(minVolts < maxVolts)) {
            throw new Unusable(
                    say("volts: min %s is not below max %s, expected min < max", minVolts, maxVolts));
        }
        Sane.SPAN.check("volts: max − min", maxVolts - minVolts);
        List<Point> sorted = new ArrayList<>(points);
        sorted.sort(Comparator.comparingDouble(Point::volts));
        requireMonotone(sorted);
        this.id = id;
        this.name = name;
        this.kind = kind;
        this.scale = scale;
        this.points = List.copyOf(sorted);
        this.minVolts = minVolts;
        this.maxVolts = maxVolts;
        this.beyond = beyond;
        this.source = source;
        this.valueOfVolts = new Polyline(sorted.stream().mapToDouble(Point::volts).toArray(),
                sorted.stream().mapToDouble(Point::value).toArray(), kind == Kind.TABLE);
        this.voltsOfValue = valueOfVolts.inverse();
        if (!(lowestVolts() < highestVolts())) {
            throw new Unusable(
                    say("points: none between %s V and %s V, expected points within the rails", minVolts, maxVolts));
        }
        if (!(richest() > 0)) {
            double volts = lambdaAt(lowestVolts()) <= 0 ? lowestVolts() : highestVolts();
            throw new Unusable(
                    say("points: at %s V the law means λ %s, expected more than 0 within its rails", volts, richest()));
        }
    }

    /** A law whose sheet says nothing of volts beyond the rails. */
    public OutputLaw(String id, String name, Kind kind, MixtureScale scale, List<Point> points, double minVolts,
            double maxVolts, Source source) {
        this(id, name, kind, scale, points, minVolts, maxVolts, Beyond.NOTHING, source);
    }

    private static void requireMonotone(List<Point> sorted) {
        double direction = Math.signum(sorted.getLast().value() - sorted.getFirst().value());
        for (int i = 1; i < sorted.size(); i++) {
            Point a = sorted.get(i - 1);
            Point b = sorted.get(i);
            if (!(b.volts() > a.volts())) {
                throw new Unusable(
                        say("points: %s V stands twice, expected different volts", b.volts()));
            }
            Sane.SPAN.check("points: from one to the next", b.volts() - a.volts());
            if (direction == 0 || Math.signum(b.value() - a.value()) != direction) {
                throw new Unusable(
                        say("points: values %s at %s V and %s at %s V, expected values that only rise or only fall",
                                a.value(), a.volts(), b.value(), b.volts()));
            }
        }
    }

    public String id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Kind kind() {
        return kind;
    }

    public MixtureScale scale() {
        return scale;
    }

    /** The points, volts rising. */
    public List<Point> points() {
        return points;
    }

    public double minVolts() {
        return minVolts;
    }

    public double maxVolts() {
        return maxVolts;
    }

    /** Meaning of volts beyond the rails. */
    public Beyond beyond() {
        return beyond;
    }

    /** Meaning of volts that stand for no mixture, in the sheet's words; empty for those that stand for one. */
    public Optional<String> meansInstead(double volts) {
        String words = volts < minVolts - NEAR ? beyond.below() : volts > maxVolts + NEAR ? beyond.above() : "";
        return words.isEmpty() ? Optional.empty() : Optional.of(words);
    }

    public Source source() {
        return source;
    }

    /** The mixture, as lambda, that these volts mean; volts beyond the rails are read as if the law went on. */
    public double lambdaAt(double volts) {
        return scale.toLambda(valueOfVolts.at(volts));
    }

    /** The volts the controller puts out for a mixture, within its rails. */
    public double voltsAt(double lambda) {
        return Math.clamp(voltsOfValue.at(scale.fromLambda(lambda)), minVolts, maxVolts);
    }

    /** How fast the mixture changes with the volts about here, λ/V. */
    double slopeAt(double volts) {
        double step = 1e-4 * (highestVolts() - lowestVolts());
        return (lambdaAt(volts + step) - lambdaAt(volts - step)) / (2 * step);
    }

    /** The lowest volts at which the law still tells mixtures apart, V. */
    public double lowestVolts() {
        return kind == Kind.TABLE ? Math.max(minVolts, points.getFirst().volts()) : minVolts;
    }

    /** The highest volts at which the law still tells mixtures apart, V. */
    public double highestVolts() {
        return kind == Kind.TABLE ? Math.min(maxVolts, points.getLast().volts()) : maxVolts;
    }

    /**
     * The steepest slope where engines are driven and points are taken, λ/V: turns a shift in volts into the most that it
     * shifts the reading. A law that lies wholly outside has that of all of it.
     */
    public double lambdaPerVolt() {
        double steepest = 0;
        double anywhere = 0;
        double[] volts = breakpoints();
        for (int i = 1; i < volts.length; i++) {
            double from = lambdaAt(volts[i - 1]);
            double to = lambdaAt(volts[i]);
            double slope = (to - from) / (volts[i] - volts[i - 1]);
            anywhere = Math.abs(slope) > Math.abs(anywhere) ? slope : anywhere;
            boolean used = Math.max(from, to) > USED_FROM && Math.min(from, to) < USED_TO;
            steepest = used && Math.abs(slope) > Math.abs(steepest) ? slope : steepest;
        }
        return steepest == 0 ? anywhere : steepest;
    }

    /** The richest mixture the law reaches, lambda. */
    public double richest() {
        return Math.min(lambdaAt(lowestVolts()), lambdaAt(highestVolts()));
    }

    /** The leanest mixture the law reaches, lambda. */
    public double leanest() {
        return Math.max(lambdaAt(lowestVolts()), lambdaAt(highestVolts()));
    }

    /** The volts where the law bends or ends, rising. */
    double[] breakpoints() {
        List<Double> volts = new ArrayList<>();
        volts.add(lowestVolts());
        if (kind == Kind.TABLE) {
            points.stream().map(Point::volts).filter(v -> v > lowestVolts() && v < highestVolts()).forEach(volts::add);
        }
        volts.add(highestVolts());
        return volts.stream().mapToDouble(Double::doubleValue).toArray();
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof OutputLaw l && l.id.equals(id) && l.name.equals(name) && l.kind == kind
                && l.scale.equals(scale) && l.points.equals(points) && l.minVolts == minVolts && l.maxVolts == maxVolts
                && l.beyond.equals(beyond) && l.source.equals(source);
    }

    @Override
    public int hashCode() {
        return Objects.hash(id, kind, points);
    }

    @Override
    public String toString() {
        return fixed("OutputLaw[%s %s %s %s, %s V to %s V]", id, kind, scale, points, minVolts, maxVolts);
    }
}
