package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.OptionalDouble;
import java.util.function.BinaryOperator;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;

/**
 * An equation in the variable {@code v}, as people type it: numbers with a point or a comma, {@code v} or {@code V},
 * {@code + - * / ^} and their signs in print, {@code sqrt}, brackets; {@code 2.5v} is {@code 2.5*v}.
 * Small on purpose: a fault must be reported by its place in the text, since a bracket left out is one of the trade's
 * mistakes.
 */
public final class Expression {
    private static final String ROOT = "sqrt";
    /** No honest equation is longer; also bounds the depth of nesting. */
    private static final int MOST_CHARACTERS = 400;
    /** No reader shows more. */
    private static final double MOST = Sane.SHOWN.max();
    /** Halvings after which a stretch of a few volts is less than a millionth of a millivolt. */
    private static final int DEEPEST = 34;

    private final String text;
    private final Term function;

    private Expression(String text, Term function) {
        this.text = text;
        this.function = function;
    }

    /**
     * Reads an equation.
     *
     * @throws Unusable saying at which character what was found and what was expected
     */
    public static Expression parse(String text) {
        if (text.length() > MOST_CHARACTERS) {
            throw new Unusable(
                    say("expression: %d characters found, expected at most %d", text.length(), MOST_CHARACTERS));
        }
        Reader reader = new Reader(text);
        Term function = reader.sum();
        reader.expectEnd();
        return new Expression(text, function);
    }

    /** The text as typed. */
    public String text() {
        return text;
    }

    /** The value at these volts. */
    public double at(double volts) {
        return function.at(volts);
    }

    private static final class Reader {
        private final String text;
        private int at;

        Reader(String text) {
            this.text = text;
        }

        Term sum() {
            Term left = product();
            while (true) {
                if (take('+')) {
                    left = both(left, product(), Double::sum, Span::plus);
                } else if (take('-') || take('−')) {
                    left = both(left, product(), (a, b) -> a - b, (a, b) -> a.plus(b.negative()));
                } else {
                    return left;
                }
            }
        }

        private Term product() {
            Term left = signed();
            while (true) {
                if (take('*') || take('·') || take('×')) {
                    left = both(left, signed(), (a, b) -> a * b, Span::times);
                } else if (take('/') || take('÷')) {
                    left = both(left, signed(), (a, b) -> a / b, (a, b) -> a.times(b.inverse()));
                    if (beginsFactor()) {
                        throw missing(
                                say("an operator between the two: after a division it could belong above or below"));
                    }
                } else if (beginsFactor()) {
                    // As people write it: 2.5v, 2(v + 1).
                    left = both(left, power(), (a, b) -> a * b, Span::times);
                } else {
                    return left;
                }
            }
        }

        /** Whether what follows can only be multiplied with what stands before it. */
        private boolean beginsFactor() {
            skipSpace();
            return at < text.length()
                    && (text.charAt(at) == '(' || text.charAt(at) == '√' || (text.charAt(at) | 0x20) == 'v'
                            || text.regionMatches(true, at, ROOT, 0, ROOT.length()));
        }

        private Term signed() {
            if (take('-') || take('−')) {
                Term of = signed();
                return Term.of(v -> -of.at(v), x -> of.over(x).negative());
            }
            return take('+') ? signed() : power();
        }

        private Term power() {
            Term base = atom();
            return take('^') ? both(base, signed(), Math::pow, Span::power) : base;
        }

        private Term atom() {
            if (take('(')) {
                int opened = at - 1;
                Term inner = sum();
                if (!take(')')) {
                    throw fault(say("“)” for the “(” at character %s", opened + 1));
                }
                return inner;
            }
            if (take('√') || takeWord(ROOT)) {
                Term of = atom();
                return Term.of(v -> Math.sqrt(of.at(v)), x -> of.over(x).root());
            }
            if (take('v') || take('V')) {
                skipSpace();
                if (at < text.length() && Character.isDigit(text.charAt(at))) {
                    throw missing(say("an operator: v*%s or v^%s", text.charAt(at), text.charAt(at)));
                }
                return Term.of(v -> v, x -> x);
            }
            double number = number();
            return Term.of(v -> number, x -> new Span(number, number));
        }

        private double number() {
            skipSpace();
            int start = at;
            while (at < text.length()
                    && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.' || decimalComma())) {
                at++;
            }
            if (at > start && at + 1 < text.length() && (text.charAt(at) | 0x20) == 'e') {
                int digits = at + 1 + (text.charAt(at + 1) == '-' || text.charAt(at + 1) == '+' ? 1 : 0);
                if (digits < text.length() && Character.isDigit(text.charAt(digits))) {
                    at = digits;
                    while (at < text.length() && Character.isDigit(text.charAt(at))) {
                        at++;
                    }
                }
            }
            try {
                return Double.parseDouble(text.substring(start, at).replace(',', '.'));
            } catch (NumberFormatException e) {
                at = start;
                throw fault(say("a number, v or “(”"));
            }
        }

        private boolean decimalComma() {
            return text.charAt(at) == ',' && at > 0 && Character.isDigit(text.charAt(at - 1)) && at + 1 < text.length()
                    && Character.isDigit(text.charAt(at + 1));
        }

        private boolean takeWord(String word) {
            skipSpace();
            boolean here = text.regionMatches(true, at, word, 0, word.length());
            at += here ? word.length() : 0;
            return here;
        }

        private Unusable missing(String what) {
            return new Unusable(
                    say("expression “%s”, character %d: expected %s, found none", text, at + 1, what));
        }

        void expectEnd() {
            skipSpace();
            if (at < text.length() && text.charAt(at) == ')') {
                throw missing(say("the “(” that this “)” closes"));
            }
            if (at < text.length()) {
                throw fault(say("an operator (+ - * / ^) or the end"));
            }
        }

        private boolean take(char wanted) {
            skipSpace();
            if (at < text.length() && text.charAt(at) == wanted) {
                at++;
                return true;
            }
            return false;
        }

        private void skipSpace() {
            while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
                at++;
            }
        }

        private Unusable fault(String expected) {
            String found = at < text.length() ? "“" + text.charAt(at) + "”" : say("the end");
            return new Unusable(
                    say("expression “%s”, character %d: found %s, expected %s", text, at + 1,
                            found, expected));
        }

        private static Term both(Term a, Term b, DoubleBinaryOperator op, BinaryOperator<Span> spans) {
            return Term.of(v -> op.applyAsDouble(a.at(v), b.at(v)), x -> spans.apply(a.over(x), b.over(x)));
        }
    }

    /** A part of the equation: its value at volts, and bounds of its values over a stretch of volts. */
    private interface Term {
        double at(double volts);

        Span over(Span volts);

        static Term of(DoubleUnaryOperator value, UnaryOperator<Span> bounds) {
            return new Term() {
                @Override
                public double at(double volts) {
                    return value.applyAsDouble(volts);
                }

                @Override
                public Span over(Span volts) {
                    return bounds.apply(volts);
                }
            };
        }
    }

    /** Bounds of a value; {@link #ANYTHING} where it has none. Interval arithmetic: never too narrow. */
    private record Span(double low, double high) {
        static final Span ANYTHING = new Span(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

        boolean bounded() {
            return Double.isFinite(low) && Double.isFinite(high) && Math.max(-low, high) <= MOST;
        }

        Span negative() {
            return new Span(-high, -low);
        }

        Span plus(Span other) {
            return known(low + other.low, high + other.high);
        }

        Span times(Span other) {
            return hull(low * other.low, low * other.high, high * other.low, high * other.high);
        }

        Span inverse() {
            return low <= 0 && high >= 0 ? ANYTHING : hull(1 / low, 1 / high);
        }

        Span root() {
            return low < 0 ? ANYTHING : known(Math.sqrt(low), Math.sqrt(high));
        }

        Span power(Span exponent) {
            boolean whole = exponent.low == exponent.high && exponent.low == Math.rint(exponent.low);
            if (whole && exponent.low >= 0) {
                boolean even = exponent.low % 2 == 0;
                double most = Math.pow(high, exponent.low);
                double least = Math.pow(low, exponent.low);
                return even && low < 0 && high > 0
                        ? known(exponent.low == 0 ? 1 : 0, Math.max(least, most))
                        : hull(least, most);
            }
            if (low < 0 || (low == 0 && exponent.low < 0)) {
                return whole && (high < 0 || low > 0)
                        ? hull(Math.pow(low, exponent.low), Math.pow(high, exponent.low))
                        : ANYTHING;
            }
            return hull(Math.pow(low, exponent.low), Math.pow(low, exponent.high), Math.pow(high, exponent.low),
                    Math.pow(high, exponent.high), low <= 1 && high >= 1 ? 1 : Math.pow(low, exponent.low));
        }

        private static Span hull(double... values) {
            double low = values[0];
            double high = values[0];
            for (double value : values) {
                low = Math.min(low, value);
                high = Math.max(high, value);
            }
            return known(low, high);
        }

        private static Span known(double low, double high) {
            return Double.isNaN(low) || Double.isNaN(high) ? ANYTHING : new Span(low, high);
        }
    }

    /**
     * The volts at which the equation gives no number that a reader could show: a division by nothing, a root of less than
     * nothing, or more than a thousand million. Found by interval arithmetic, halving until a stretch is known to be sound,
     * so that a pole between any two steps is seen. Empty when it is sound everywhere in the range.
     */
    public OptionalDouble breaks(double from, double to) {
        return breaks(new Span(from, to), 0);
    }

    private OptionalDouble breaks(Span volts, int depth) {
        if (function.over(volts).bounded()) {
            return OptionalDouble.empty();
        }
        double middle = volts.low() + (volts.high() - volts.low()) / 2;
        for (double v : new double[]{volts.low(), middle, volts.high()}) {
            double value = function.at(v);
            if (!Double.isFinite(value) || Math.abs(value) > MOST) {
                return OptionalDouble.of(v);
            }
        }
        if (depth >= DEEPEST) {
            return OptionalDouble.of(middle);
        }
        OptionalDouble left = breaks(new Span(volts.low(), middle), depth + 1);
        return left.isPresent() ? left : breaks(new Span(middle, volts.high()), depth + 1);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Expression e && e.text.equals(text);
    }

    @Override
    public int hashCode() {
        return text.hashCode();
    }

    @Override
    public String toString() {
        return text;
    }
}
