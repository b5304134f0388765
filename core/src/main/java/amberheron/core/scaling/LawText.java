package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.LawRows.Quantity;
import amberheron.core.scaling.OutputLaw.Kind;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * An output law as a controller's sheet gives it: an equation ({@code AFR = 2v + 10}), or pairs of volts and mixture
 * ({@code 0.4 V = 0.62, 4.6 V = 1.38}), two for a line and more for a table.
 */
public final class LawText {
    /** Greatest mixture that is taken as λ; what is more is an AFR. */
    private static final double MOST_LAMBDA = 5;
    private static final double PETROL = 14.7;
    /** Number of voltages at which a curved equation is sampled. */
    private static final int BENDS = 40;
    private static final double STRAIGHT = 1e-9;
    private static final int MOST_CHARACTERS = 2000;
    private static final String NUMBER = "[-−]?\\d+(?:[.,]\\d+)?";
    /** Volts beside an operator, or numbers beside one where no row is written: then it is an equation. */
    private static final Pattern EQUATION = Pattern.compile(
            "(?i)(?<![a-z])v(?:olts?)?\\s*[*/^+(×]|(?<![a-z])v(?:olts?)?\\s*x\\s*[\\d(]|[*/^+(×-]\\s*v(?:olts?)?(?![a-z])"
                    + "|\\d\\s*x\\s*v|(?<![a-z])v\\d|sqrt|\\d\\s*[*/^×]\\s*[\\d(v]|\\d\\s*x\\s*[-+]|^[^=:@v]*[\\d)]\\s*v(?:olts?)?\\s*-\\s*[\\d.,]+\\s*[;.]?$");
    private static final Pattern LEFT = Pattern.compile(
            "(?i)^\\s*(afr|a/f|air[- ]fuel(?: ratio)?|λ|lambda|y)\\s*(?:\\(\\s*v(?:olts?)?\\s*\\))?\\s*=\\s*");

    /** Text beyond the rails: {@code below 0.2 V not ready}. */
    private static final Pattern BEYOND = Pattern.compile("(?i)[;,.]?\\s*(below|under|<|above|over|>)\\s*(" + NUMBER
            + ")\\s*v?\\s*(?:it\\s+)?(?:means|is|:|=)?\\s*([a-z][a-z -]{2,40})");
    /** Exhaust of pump petrol: hydrogen per carbon. */
    private static final double HYDROGEN_PER_CARBON = 1.85;
    /** Mixture above which a law by oxygen tells nothing, since so little of the oxygen is used, λ. */
    private static final double LEANEST = 3;
    private static final int OXYGEN_ROWS = 24;
    /** Span of volts below which a law is a narrowband's. */
    private static final double NARROW = 0.12;
    private static final double NARROW_VOLTS = 1.1;

    private LawText() {
    }

    /**
     * A law whose numbers are oxygen in the exhaust, per cent. It tells nothing richer than λ 1, where there is none; λ by
     * the complete combustion of petrol (Heywood, ch. 4).
     *
     * @throws Unusable as {@link #parse}, or where the oxygen does not rise above none
     */
    public static OutputLaw parseOxygen(String text, double minVolts, double maxVolts) {
        Railed railed = Railed.of(printed(text), minVolts, maxVolts);
        List<Point> points = read(railed).points();
        Polyline oxygen = new Polyline(points.stream().mapToDouble(Point::volts).sorted().toArray(),
                points.stream().sorted(Comparator.comparingDouble(Point::volts)).mapToDouble(Point::value).toArray(),
                points.size() > 2);
        List<Point> rows = new ArrayList<>();
        int most = OXYGEN_ROWS * 8;
        for (int i = 0; i <= most; i++) {
            double volts = railed.min() + (railed.max() - railed.min()) * i / most;
            double part = oxygen.at(volts) / 100;
            double lambda = part < 0 ? 0 : ExhaustGas.lambdaOf(part, HYDROGEN_PER_CARBON);
            if (lambda >= 1 && lambda <= LEANEST && (rows.isEmpty() || rows.getLast().value() != lambda)) {
                rows.add(new Point(volts, lambda));
            }
        }
        if (rows.size() < 2) {
            throw new Unusable(
                    say("law: found no volts that mean 0 to 14 per cent of oxygen, expected a law such as "
                            + "0 V = 0; 5 V = 21"));
        }
        List<Point> kept = new ArrayList<>();
        for (int i = 0; i < rows.size(); i += Math.max(1, rows.size() / OXYGEN_ROWS)) {
            kept.add(rows.get(i));
        }
        if (!kept.getLast().equals(rows.getLast())) {
            kept.add(rows.getLast());
        }
        return new OutputLaw("own", say("From its sheet, oxygen in per cent: %s", plain(text)), Kind.TABLE,
                MixtureScale.lambda(),
                kept,
                railed.min(), railed.max(), railed.beyond(),
                Source.derived("oxygen of the controller's sheet as λ of petrol's exhaust; Heywood, ch. 4"));
    }

    private static String plain(String text) {
        return text.strip().replaceAll("\\s+", " ");
    }

    /** A text without what it says of volts beyond the rails, and the rails as that puts them. */
    private record Railed(String text, double min, double max, OutputLaw.Beyond beyond) {
        static Railed of(String text, double min, double max) {
            if (text.length() > MOST_CHARACTERS) {
                throw new Unusable(
                        say("law: %d characters found, expected at most %d", text.length(), MOST_CHARACTERS));
            }
            double low = min;
            double high = max;
            String below = "";
            String above = "";
            Matcher matcher = BEYOND.matcher(text);
            while (matcher.find()) {
                String side = matcher.group(1).toLowerCase(Locale.ROOT);
                String words = matcher.group(3).strip();
                if (side.equals("below") || side.equals("under") || side.equals("<")) {
                    low = number(matcher.group(2));
                    below = words;
                } else {
                    high = number(matcher.group(2));
                    above = words;
                }
            }
            return new Railed(BEYOND.matcher(text).replaceAll(""), low, high, new OutputLaw.Beyond(below, above));
        }
    }

    /**
     * Reads a law. The quantity is λ where all mixtures are small enough for it, else AFR of pump petrol, unless it is said.
     *
     * @param minVolts lower rail, V
     * @param maxVolts upper rail, V
     * @param said the quantity; empty where the numbers are to tell
     * @throws Unusable with what was found, where, and what was expected
     */
    public static OutputLaw parse(String text, double minVolts, double maxVolts, Optional<MixtureScale> said) {
        Railed railed = Railed.of(printed(text), minVolts, maxVolts);
        Read read = read(railed);
        double most = read.points().stream().mapToDouble(Point::value).max().orElseThrow();
        Quantity named = read.named();
        if (said.isEmpty() && named == Quantity.LAMBDA && most > MOST_LAMBDA) {
            throw new Unusable(say("law: it says λ, but its numbers rise to %.2f as AFR does; say which it is", most));
        }
        if (said.isEmpty() && named == Quantity.AFR && most < MOST_LAMBDA) {
            throw new Unusable(say("law: it says AFR, but its numbers rise to %.2f as λ does; say which it is", most));
        }
        boolean afr = named == null ? most > MOST_LAMBDA : named == Quantity.AFR;
        return new OutputLaw("own", say("From its sheet: %s", plain(text)),
                read.points().size() == 2 ? Kind.LINEAR : Kind.TABLE,
                said.orElseGet(() -> afr ? MixtureScale.afr(PETROL) : MixtureScale.lambda()), read.points(),
                railed.min(), railed.max(), railed.beyond(), Source.practice("typed from the controller's sheet"));
    }

    /** Points of a law, and the quantity that was named with them. */
    private record Read(List<Point> points, @Nullable Quantity named) {
    }

    /** Signs of print as they stand on keys. */
    private static String printed(String text) {
        return text.replaceAll("[\\u00A0\\u2007\\u2009\\u202F\\u200A]", " ").replaceAll("[−–—]", "-")
                .replaceAll("[·⋅∙]", "×").replaceAll("[-=]+>", "→").strip();
    }

    /** Rows as they stand, or points of the equation; two or more. */
    private static Read read(Railed railed) {
        Matcher left = LEFT.matcher(railed.text());
        String name = left.find() ? left.group(1).toLowerCase(Locale.ROOT) : "";
        Quantity named = name.isEmpty() || name.equals("y")
                ? null
                : name.startsWith("a") ? Quantity.AFR : Quantity.LAMBDA;
        String right = left.replaceFirst("");
        if (!EQUATION.matcher(right).find() && (name.isEmpty() || right.matches("(?s).*[=:@\\n].*"))) {
            LawRows rows = LawRows.of(right);
            if (rows.points().size() < 2) {
                throw new Unusable(
                        say("law: found one point, expected two or more, such as 0.4 V = 0.62, 4.6 V = 1.38"));
            }
            return new Read(rows.points(), rows.quantity() == null ? named : rows.quantity());
        }
        String equation = right.replaceAll("(?i)(?<=[\\d)])\\s*x\\s*(?=v)|(?<=v)\\s*x\\s*(?=[\\d(])", "*")
                .replaceAll("(?i)(?<![a-z])volts?(?![a-z])", "v").replaceAll("(?<!\\d)[.,](?=\\d)", "0.")
                .replaceAll(
                        "(?i)[\\s;,.]*(?:\\(?\\s*(?:gasoline|petrol|ethanol|e\\d+|afr|λ|lambda)\\s*\\)?)?[\\s;,.]*$",
                        "");
        return new Read(equation(equation, railed.min(), railed.max()), named);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.').replace('−', '-'));
    }

    /** A straight equation by its ends, another by many points. */
    private static List<Point> equation(String text, double low, double high) {
        Expression expression = Expression.parse(LEFT.matcher(text).replaceFirst("").strip());
        expression.breaks(low, high).ifPresent(v -> {
            throw new Unusable(
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

    /** The law that was understood, in words: where it starts and ends, what is between, and what the rails leave of it. */
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
        if (!law.beyond().below().isEmpty()) {
            says.add(Message.of("Below {0} it means “{1}” and no mixture.", volts(law.minVolts()),
                    Message.plain(law.beyond().below())));
        }
        if (!law.beyond().above().isEmpty()) {
            says.add(Message.of("Above {0} it means “{1}” and no mixture.", volts(law.maxVolts()),
                    Message.plain(law.beyond().above())));
        }
        boolean narrow = law.highestVolts() <= NARROW_VOLTS && law.leanest() - law.richest() <= NARROW;
        if (narrow) {
            says.add(Message.plain(
                    "A simulated narrowband: it tells rich from lean about λ 1 and nothing more. For a stock ECU, never for tuning."));
        }
        if (last.value() < first.value() && !narrow) {
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
