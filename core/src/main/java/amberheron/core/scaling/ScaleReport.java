package amberheron.core.scaling;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Table of a reader's numbers for every mixture the controller can tell it, with their errors.
 *
 * @param setting what the reader has been told, or is to be told
 * @param worst the greatest error over the law's range, found at every corner and at every edge of a count
 * @param table what is shown at mixtures spread over the range
 * @param budget one line for each cause of error, in λ
 */
public record ScaleReport(ReaderSetting setting, Worst worst, List<Row> table, List<BudgetLine> budget) {
    /**
     * The greatest error.
     *
     * @param lambda shown − true, λ
     * @param atLambda the true mixture it happens at
     */
    public record Worst(double lambda, double atLambda) {
    }

    /**
     * One row of the check table.
     *
     * @param lambda true mixture
     * @param volts at the controller's output
     * @param counts at the reader; null when it does not quantise
     * @param shown what the reader shows, in its own quantity
     */
    public record Row(double lambda, double volts, @Nullable Long counts, double shown) {
    }

    /** One cause and the most it can contribute, λ, as a magnitude. */
    public record BudgetLine(String cause, double lambda) {
    }

    /** Whether the greatest error keeps the trade's tolerance. */
    public boolean withinTolerance() {
        return Math.abs(worst.lambda()) <= Tolerance.LAMBDA;
    }

    /** Every cause at its worst and in the same direction, λ. */
    public double worstCase() {
        return budget.stream().mapToDouble(BudgetLine::lambda).sum();
    }

    /** Causes that know nothing of each other: root of the sum of squares, λ. */
    public double rootSumSquare() {
        return Math.sqrt(budget.stream().mapToDouble(b -> b.lambda() * b.lambda()).sum());
    }
}
