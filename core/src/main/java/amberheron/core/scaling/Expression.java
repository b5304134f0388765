package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import java.util.function.DoubleUnaryOperator;

/**
 * An equation in the variable {@code v}, as typed into a reader: numbers, {@code v}, {@code + - * / ^}, brackets.
 * Small on purpose: a fault must be reported by its place in the text, since a bracket left out is one of the trade's
 * mistakes.
 */
public final class Expression {
    /** No honest equation is longer; also bounds the depth of nesting. */
    private static final int MOST_CHARACTERS = 400;

    private final String text;
    private final DoubleUnaryOperator function;

    private Expression(String text, DoubleUnaryOperator function) {
        this.text = text;
        this.function = function;
    }

    /**
     * Reads an equation.
     *
     * @throws IllegalArgumentException saying at which character what was found and what was expected
     */
    public static Expression parse(String text) {
        if (text.length() > MOST_CHARACTERS) {
            throw new IllegalArgumentException(
                    say("expression: %d characters found, expected at most %d", text.length(), MOST_CHARACTERS));
        }
        Reader reader = new Reader(text);
        DoubleUnaryOperator function = reader.sum();
        reader.expectEnd();
        return new Expression(text, function);
    }

    /** The text as typed. */
    public String text() {
        return text;
    }

    /** The value at these volts. */
    public double at(double volts) {
        return function.applyAsDouble(volts);
    }

    private static final class Reader {
        private final String text;
        private int at;

        Reader(String text) {
            this.text = text;
        }

        DoubleUnaryOperator sum() {
            DoubleUnaryOperator left = product();
            while (true) {
                if (take('+')) {
                    left = both(left, product(), Double::sum);
                } else if (take('-') || take('−')) {
                    left = both(left, product(), (a, b) -> a - b);
                } else {
                    return left;
                }
            }
        }

        private DoubleUnaryOperator product() {
            DoubleUnaryOperator left = signed();
            while (true) {
                if (take('*') || take('·') || take('×')) {
                    left = both(left, signed(), (a, b) -> a * b);
                } else if (take('/')) {
                    left = both(left, signed(), (a, b) -> a / b);
                } else {
                    return left;
                }
            }
        }

        private DoubleUnaryOperator signed() {
            if (take('-') || take('−')) {
                DoubleUnaryOperator of = signed();
                return v -> -of.applyAsDouble(v);
            }
            return take('+') ? signed() : power();
        }

        private DoubleUnaryOperator power() {
            DoubleUnaryOperator base = atom();
            return take('^') ? both(base, signed(), Math::pow) : base;
        }

        private DoubleUnaryOperator atom() {
            if (take('(')) {
                DoubleUnaryOperator inner = sum();
                if (!take(')')) {
                    throw fault("“)”");
                }
                return inner;
            }
            if (take('v') || take('V')) {
                return v -> v;
            }
            double number = number();
            return v -> number;
        }

        private double number() {
            skipSpace();
            int start = at;
            while (at < text.length() && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
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
                return Double.parseDouble(text.substring(start, at));
            } catch (NumberFormatException e) {
                at = start;
                throw fault("a number, v or “(”");
            }
        }

        void expectEnd() {
            skipSpace();
            if (at < text.length()) {
                throw fault("an operator (+ - * / ^) or the end");
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

        private IllegalArgumentException fault(String expected) {
            String found = at < text.length() ? "“" + text.charAt(at) + "”" : "the end";
            String hint = at < text.length() && text.charAt(at) == ',' ? "; write decimals with a point" : "";
            return new IllegalArgumentException(say("expression “%s”, character %d: found %s, expected %s%s", text,
                    at + 1, found, expected, hint));
        }

        private static DoubleUnaryOperator both(DoubleUnaryOperator a, DoubleUnaryOperator b,
                java.util.function.DoubleBinaryOperator op) {
            return v -> op.applyAsDouble(a.applyAsDouble(v), b.applyAsDouble(v));
        }
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
