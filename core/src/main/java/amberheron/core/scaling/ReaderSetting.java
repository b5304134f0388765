package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
import java.util.List;

/** Setting of a reader: volts to a number in the reader's own quantity, in the reader's own form. */
public sealed interface ReaderSetting {
    /** The number shown for volts at the converter. */
    double at(double volts);

    /** A straight line: slope · v + offset. */
    record SlopeOffset(double slope, double offset) implements ReaderSetting {
        @Override
        public double at(double volts) {
            return slope * volts + offset;
        }
    }

    /** A straight line through (v1, q1) and (v2, q2). */
    record TwoPoint(double v1, double q1, double v2, double q2) implements ReaderSetting {
        public TwoPoint {
            if (v1 == v2) {
                throw new Unusable(
                        say("setting: v1 and v2 are both %s, expected two different voltages", v1));
            }
        }

        @Override
        public double at(double volts) {
            return q1 + (volts - v1) * (q2 - q1) / (v2 - v1);
        }
    }

    /** An equation in v. */
    record Equation(Expression expression) implements ReaderSetting {
        @Override
        public double at(double volts) {
            return expression.at(volts);
        }
    }

    /** Rows of (volts, number), straight between, held outside. */
    final class Table implements ReaderSetting {
        private final List<OutputLaw.Point> rows;
        private final Polyline line;

        /**
         * A table.
         *
         * @param rows two or more, volts strictly rising
         */
        public Table(List<OutputLaw.Point> rows) {
            if (rows.size() < 2) {
                throw new Unusable(say("rows: found %d, expected 2 or more", rows.size()));
            }
            for (int i = 1; i < rows.size(); i++) {
                if (!(rows.get(i).volts() > rows.get(i - 1).volts())) {
                    throw new Unusable(say("rows: row %d has %s V after %s V, expected rising volts",
                            i + 1, rows.get(i).volts(), rows.get(i - 1).volts()));
                }
            }
            this.rows = List.copyOf(rows);
            this.line = new Polyline(rows.stream().mapToDouble(OutputLaw.Point::volts).toArray(),
                    rows.stream().mapToDouble(OutputLaw.Point::value).toArray(), true);
        }

        /** The rows, volts rising. */
        public List<OutputLaw.Point> rows() {
            return rows;
        }

        @Override
        public double at(double volts) {
            return line.at(volts);
        }

        @Override
        public boolean equals(Object o) {
            return o instanceof Table t && t.rows.equals(rows);
        }

        @Override
        public int hashCode() {
            return rows.hashCode();
        }

        @Override
        public String toString() {
            return "Table" + rows;
        }
    }
}
