package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Rows of volts and mixture as people write them: with units or without, apart by whatever stands between, volts first or
 * behind, with a point or a comma. What can be meant in two ways is asked.
 *
 * @param points in the order written
 * @param quantity that was named with the numbers; null where none was
 */
record LawRows(List<Point> points, @Nullable Quantity quantity) {
    /** What a mixture is written in. */
    enum Quantity {
        AFR,
        LAMBDA
    }

    private enum Unit {
        VOLT,
        MILLIVOLT,
        AFR,
        LAMBDA;

        boolean volts() {
            return this == VOLT || this == MILLIVOLT;
        }
    }

    /** Volts that no output exceeds. */
    private static final double MOST_VOLTS = 5.5;
    private static final double MILLI = 1000;
    /** Mixtures of engines that run, λ. */
    private static final double RICHEST = 0.4;
    private static final double LEANEST = 2;
    private static final String NUMBER = "\\d+(?:[.,]\\d+)?|[.,]\\d+";
    private static final Pattern POINT = Pattern.compile("\\d\\.\\d|(?<!\\d)\\.\\d");
    /** Separators beside which a comma between digits is a decimal comma. */
    private static final Pattern OTHER = Pattern.compile("[;\\n\\t|]|,\\s|[a-zλ=:@→]", Pattern.CASE_INSENSITIVE);
    private static final Pattern PIECE = Pattern.compile(
            "(?<number>" + NUMBER + ")(?<ratio>\\s*:\\s*1(?![\\d.,]))?|(?<word>\\p{L}[\\p{L}/]*\\d*%?)|(?<other>\\S)");
    private static final String SIGNS = "=:→>-@,;|()[]\"'~≈+&";
    /** Words that say nothing about the numbers. */
    private static final Set<String> FILLING = Set.of("is", "at", "means", "and", "of", "to", "for", "reads", "equals",
            "gives", "shows", "on", "with", "fuel", "scale", "output", "linear", "approx", "about", "gasoline",
            "petrol", "ethanol", "methanol", "diesel", "propane", "e5", "e10", "e85", "law", "signal", "analog",
            "analogue", "range", "point", "row");

    /** A number as it stands. */
    private record Figure(double value, @Nullable Unit unit, int at) {
        boolean mixture() {
            return unit == Unit.AFR || unit == Unit.LAMBDA;
        }

        boolean volts() {
            return unit != null && unit.volts();
        }

        double inVolts() {
            return unit == Unit.MILLIVOLT ? value / MILLI : value;
        }
    }

    LawRows {
        points = List.copyOf(points);
    }

    /**
     * Reads rows.
     *
     * @throws Unusable with what was found, where, and what was expected
     */
    static LawRows of(String text) {
        List<Unit> heads = heads(text);
        String body = heads.isEmpty() ? text : text.substring(firstBreak(text) + 1);
        int begins = text.length() - body.length();
        boolean comma = comma(body);
        List<Figure> numbers = numbers(body, comma, begins);
        if (numbers.size() % 2 == 1) {
            Figure last = numbers.getLast();
            throw new Unusable(say("law: found an odd count of numbers, the last “%s”; expected volts and a mixture in "
                    + "each row, such as 0.4 V = 0.62, 4.6 V = 1.38", body.substring(last.at() - begins).strip()));
        }
        boolean behind = heads.isEmpty() ? behind(numbers) : !heads.getFirst().volts();
        List<Point> points = new ArrayList<>();
        Quantity quantity = heads.stream().filter(u -> !u.volts()).findFirst().map(LawRows::quantity).orElse(null);
        for (int i = 0; i < numbers.size(); i += 2) {
            Figure first = numbers.get(i);
            Figure second = numbers.get(i + 1);
            if ((first.volts() && second.volts()) || (first.mixture() && second.mixture())) {
                throw new Unusable(say("law: row %d has two of one kind, expected volts and a mixture", i / 2 + 1));
            }
            boolean turned = first.mixture() || second.volts()
                    || (!first.volts() && !second.mixture() && behind);
            Figure volts = turned ? second : first;
            Figure mixture = turned ? first : second;
            Unit unit = mixture.unit();
            Quantity named = unit == null ? null : quantity(unit);
            if (named != null && quantity != null && named != quantity) {
                throw new Unusable(say("law: some rows say λ and others AFR, the first such is row %d; expected one "
                        + "for all", i / 2 + 1));
            }
            quantity = named == null ? quantity : named;
            boolean milli = volts.unit() == null && heads.contains(Unit.MILLIVOLT);
            points.add(new Point(milli ? volts.value() / MILLI : volts.inVolts(), mixture.value()));
        }
        return new LawRows(points, quantity);
    }

    private static Quantity quantity(Unit unit) {
        return unit == Unit.AFR ? Quantity.AFR : Quantity.LAMBDA;
    }

    private static int firstBreak(String text) {
        int line = text.indexOf('\n');
        return line >= 0 ? line : text.indexOf(';');
    }

    /** Units of the columns where the first line names them; else none. */
    private static List<Unit> heads(String text) {
        int end = firstBreak(text);
        String first = end < 0 ? "" : text.substring(0, end);
        if (first.isEmpty() || first.matches("(?s).*\\d.*")) {
            return List.of();
        }
        List<Unit> units = new ArrayList<>();
        for (String word : first.split("[^\\p{L}/]+", -1)) {
            unit(word).ifPresent(units::add);
        }
        return units.size() == 2 && units.getFirst().volts() != units.getLast().volts() ? units : List.of();
    }

    private static Optional<Unit> unit(String word) {
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "v", "volt", "volts", "vdc", "voltage" -> Optional.of(Unit.VOLT);
            case "mv", "millivolt", "millivolts" -> Optional.of(Unit.MILLIVOLT);
            case "λ", "lambda", "lam" -> Optional.of(Unit.LAMBDA);
            case "afr", "a/f", "afrs" -> Optional.of(Unit.AFR);
            default -> Optional.empty();
        };
    }

    /** Whether a comma between digits parts decimals. */
    private static boolean comma(String text) {
        if (POINT.matcher(text).find()) {
            return false;
        }
        if (OTHER.matcher(text).find()) {
            return true;
        }
        // Commas and blanks alone: whichever reading makes rows of it.
        int decimals = numbers(text, true, 0).size();
        return decimals % 2 == 0 && decimals >= 4;
    }

    private static List<Figure> numbers(String text, boolean comma, int begins) {
        List<Figure> numbers = new ArrayList<>();
        // A comma that parts numbers is out of the way; as long as it was.
        String plain = comma ? text.replaceAll("(?<=\\d),(?=\\d)|(?<!\\d),(?=\\d)", ".") : text.replace(',', ' ');
        Matcher piece = PIECE.matcher(plain);
        while (piece.find()) {
            int at = piece.start();
            String number = piece.group("number");
            String word = piece.group("word");
            if (number != null) {
                double value = Double.parseDouble(number.startsWith(".") ? "0" + number : number);
                boolean ratio = piece.group("ratio") != null && value > MOST_VOLTS;
                if (piece.group("ratio") != null && !ratio) {
                    piece.region(piece.end("number"), plain.length());
                }
                numbers.add(new Figure(value, ratio ? Unit.AFR : null, begins + at));
            } else if (word != null) {
                named(word, numbers, text, at);
            } else if (SIGNS.indexOf(piece.group("other")) < 0) {
                throw unknown(piece.group("other"), begins + at);
            }
        }
        return numbers;
    }

    /** A unit belongs to the number before it; before all numbers, or where that has one, to the next: λ 1 at 2.5 V. */
    private static void named(String word, List<Figure> numbers, String text, int at) {
        Optional<Unit> unit = unit(word);
        if (unit.isEmpty()) {
            if (!FILLING.contains(word.toLowerCase(Locale.ROOT))) {
                throw unknown(word, at);
            }
            return;
        }
        if (!numbers.isEmpty() && numbers.getLast().unit() == null && !before(text, at)) {
            Figure last = numbers.removeLast();
            numbers.add(new Figure(last.value(), unit.get(), last.at()));
        }
    }

    /** Whether a unit stands before its number: the next thing after it is one, and a sign or a break was before it. */
    private static boolean before(String text, int at) {
        String upTo = text.substring(0, at).stripTrailing();
        boolean broken = upTo.isEmpty() || "=:→>@,;|(\n".indexOf(upTo.charAt(upTo.length() - 1)) >= 0
                || text.substring(0, at).matches("(?s).*\\n\\s*");
        return broken && text.substring(at).matches("(?s)[\\p{L}/]+\\s*[=:]?\\s*[\\d.,].*");
    }

    private static Unusable unknown(String found, int at) {
        return new Unusable(
                say("law: character %d: found “%s”, expected rows such as 0.4 V = 0.62, 4.6 V = 1.38, or an "
                        + "equation in v", at + 1, found));
    }

    /** Whether bare numbers have their volts behind. */
    private static boolean behind(List<Figure> numbers) {
        List<Double> first = new ArrayList<>();
        List<Double> second = new ArrayList<>();
        for (int i = 0; i + 1 < numbers.size(); i += 2) {
            first.add(numbers.get(i).inVolts());
            second.add(numbers.get(i + 1).inVolts());
        }
        boolean bare = numbers.stream().noneMatch(n -> n.volts() || n.mixture());
        if (!bare || first.stream().allMatch(v -> v <= MOST_VOLTS)) {
            boolean asked = bare && first.size() > 1 && second.stream().allMatch(v -> v <= MOST_VOLTS)
                    && first.stream().allMatch(LawRows::runs) && !second.stream().allMatch(LawRows::runs);
            if (asked) {
                throw new Unusable(say("law: either column could be the volts; write the unit behind them, such as "
                        + "0.4 V = 0.62"));
            }
            return false;
        }
        if (second.stream().allMatch(v -> v <= MOST_VOLTS)) {
            return true;
        }
        throw new Unusable(
                say("law: found more than %.1f V in both columns, expected volts in one of them", MOST_VOLTS));
    }

    private static boolean runs(double lambda) {
        return lambda >= RICHEST && lambda <= LEANEST;
    }
}
