package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Kind;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An output law as a controller's sheet gives it: an equation ({@code AFR = 2v + 10}), or pairs of volts and mixture
 * ({@code 0.4 V = 0.62, 4.6 V = 1.38}), two for a line and more for a table.
 */
public final class LawText {
    /** No mixture as λ is more; what is more is an AFR. */
    private static final double MOST_LAMBDA = 5;
    private static final double PETROL = 14.7;
    /** An equation that is no straight line is taken at so many volts. */
    private static final int BENDS = 40;
    private static final double STRAIGHT = 1e-9;
    private static final int MOST_CHARACTERS = 2000;
    private static final String NUMBER = "[-−]?\\d+(?:[.,]\\d+)?";
    private static final Pattern PAIR = Pattern.compile("(" + NUMBER + ")\\s*[vV]?\\s*(?:=|:|→|->|is|\\s|\\t)\\s*("
            + NUMBER + ")\\s*(?:λ|lambda|[aA][fF][rR])?");
    private static final Pattern BETWEEN = Pattern.compile("\\s*(?:;|,\\s|\\n|\\band\\b|\\s)\\s*");
    private static final Pattern LEFT = Pattern.compile("(?i)^\\s*(afr|λ|lambda|y)\\s*=");

    private LawText() {
    }

    /**
     * Reads a law. The quantity is λ where all mixtures are small enough for it, else AFR of pump petrol, unless it is said.
     *
     * @param minVolts lower rail, V
     * @param maxVolts upper rail, V
     * @param said the quantity; empty where the numbers are to tell
     * @throws IllegalArgumentException with what was found, where, and what was expected
     */
    public static OutputLaw parse(String text, double minVolts, double maxVolts, Optional<MixtureScale> said) {
        if (text.length() > MOST_CHARACTERS) {
            throw new IllegalArgumentException(
                    say("law: %d characters found, expected at most %d", text.length(), MOST_CHARACTERS));
        }
        List<Point> pairs = pairs(text);
        List<Point> points = pairs.isEmpty() ? equation(text, minVolts, maxVolts) : pairs;
        if (points.size() < 2) {
            throw new IllegalArgumentException(
                    "law: found one point, expected two or more, such as 0.4 V = 0.62, 4.6 V = 1.38");
        }
        Matcher left = LEFT.matcher(text);
        String name = left.find() ? left.group(1).toLowerCase(Locale.ROOT) : "";
        double most = points.stream().mapToDouble(Point::value).max().orElseThrow();
        MixtureScale scale = said.orElseGet(() -> name.equals("afr") || (most > MOST_LAMBDA && !name.startsWith("l"))
                ? MixtureScale.afr(PETROL)
                : MixtureScale.lambda());
        return new OutputLaw("own", "From its sheet: " + text.strip().replaceAll("\\s+", " "),
                points.size() == 2 ? Kind.LINEAR : Kind.TABLE, scale, points, minVolts, maxVolts,
                Source.practice("typed from the controller's sheet"));
    }

    private static List<Point> pairs(String text) {
        List<Point> points = new ArrayList<>();
        Matcher pair = PAIR.matcher(text.strip());
        Matcher between = BETWEEN.matcher(text.strip());
        int at = 0;
        int end = text.strip().length();
        while (at < end) {
            if (!pair.region(at, end).lookingAt()) {
                return List.of();
            }
            points.add(new Point(number(pair.group(1)), number(pair.group(2))));
            at = pair.end();
            if (at < end) {
                if (!between.region(at, end).lookingAt()) {
                    return List.of();
                }
                at = between.end();
            }
        }
        return points;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.').replace('−', '-'));
    }

    /** A straight equation by its ends, another by many points. */
    private static List<Point> equation(String text, double low, double high) {
        Expression expression = Expression.parse(LEFT.matcher(text).replaceFirst("").strip());
        expression.breaks(low, high).ifPresent(v -> {
            throw new IllegalArgumentException(
                    say("law: “%s” gives no number at %.4g V, expected one everywhere from rail to rail",
                            text.strip(), v));
        });
        List<Point> points = new ArrayList<>();
        double first = expression.at(low);
        double last = expression.at(high);
        double off = 0;
        for (int i = 0; i <= BENDS; i++) {
            double v = low + (high - low) * i / BENDS;
            points.add(new Point(v, expression.at(v)));
            off = Math.max(off, Math.abs(expression.at(v) - first - (last - first) * i / BENDS));
        }
        return off <= STRAIGHT * (1 + Math.abs(first) + Math.abs(last))
                ? List.of(points.getFirst(), points.getLast())
                : points;
    }

    /** What was understood, in words: where it starts and ends, what is between, and what the rails leave of it. */
    public static List<Message> says(OutputLaw law) {
        List<Message> says = new ArrayList<>();
        Point first = law.points().getFirst();
        Point last = law.points().getLast();
        says.add(Message.of("{0} is {1}{2}, {3} is {4}{5}; {6} between.", volts(first.volts()), own(law, first.value()),
                alsoLambda(law, first), volts(last.volts()), own(law, last.value()), alsoLambda(law, last),
                Message.plain(law.kind() == Kind.LINEAR ? "a straight line" : "straight from point to point")));
        says.add(Message.of("It tells {0} to {1} between its rails at {2} and {3}.",
                new Measure(law.richest(), Dimension.MIXTURE, 3), new Measure(law.leanest(), Dimension.MIXTURE, 3),
                volts(law.minVolts()), volts(law.maxVolts())));
        if (last.value() < first.value()) {
            says.add(Message.plain("It falls: more volts are richer. Is that what the sheet says?"));
        }
        if (first.volts() < law.minVolts() || last.volts() > law.maxVolts()) {
            says.add(Message.plain("The sheet contradicts itself: a point lies beyond the rails."));
        }
        if (law.leanest() < 1 || law.richest() > 1) {
            says.add(Message.plain("It never passes λ 1: is the quantity, or its ratio, another one?"));
        }
        return List.copyOf(says);
    }

    private static Measure volts(double volts) {
        return new Measure(volts, Dimension.VOLTAGE, 2);
    }

    private static Message own(OutputLaw law, double value) {
        return Message.plain(law.scale() instanceof MixtureScale.Lambda
                ? "λ " + UnitChoice.digits(value, 3)
                : UnitChoice.digits(value, 2) + " AFR");
    }

    private static Message alsoLambda(OutputLaw law, Point point) {
        return law.scale() instanceof MixtureScale.Lambda
                ? Message.NONE
                : Message.plain(" (λ " + UnitChoice.digits(law.scale().toLambda(point.value()), 3) + ")");
    }
}
