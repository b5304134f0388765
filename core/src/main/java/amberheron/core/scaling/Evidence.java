package amberheron.core.scaling;

import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;
import org.jspecify.annotations.Nullable;

/**
 * Fits a hypothesis to check points and weighs it by its marginal likelihood, Laplace's approximation about the best
 * fit. The noise scale is not taken for certain: with {@link #DEGREES} of prior belief in it, a misfit that no
 * hypothesis explains cannot make one of them certain (the likelihood is Student's t).
 */
final class Evidence {
    /** How many points' worth of belief stand behind the expected noise. */
    private static final double DEGREES = 4;
    private static final double DIFFERENCE = 1e-6;
    private static final int MOST_EVALUATIONS = 120;

    private final double[] volts;
    private final double[] lambda;
    private final double[] shown;
    private final double[] sigma;

    Evidence(double[] volts, double[] lambda, double[] shown, double[] sigma) {
        this.volts = volts.clone();
        this.lambda = lambda.clone();
        this.shown = shown.clone();
        this.sigma = sigma.clone();
    }

    /** A fitted hypothesis; never compared. */
    @SuppressWarnings("ArrayRecordComponent")
    record Fit(Hypothesis hypothesis, double[] values, double chiSquare, double logEvidence) {
    }

    /** The best fit, or null when there are fewer points than parameters. */
    @Nullable
    Fit weigh(Hypothesis hypothesis) {
        int count = hypothesis.parameters().size();
        if (count > shown.length) {
            return null;
        }
        double[] best = hypothesis.starts().getFirst();
        double least = chiSquare(hypothesis, best);
        for (double[] start : count == 0 ? List.<double[]>of() : hypothesis.starts()) {
            double[] fitted = fit(hypothesis, start);
            double chiSquare = chiSquare(hypothesis, fitted);
            if (chiSquare < least) {
                least = chiSquare;
                best = fitted;
            }
            if (least < 1e-6 * shown.length) {
                break;
            }
        }
        return new Fit(hypothesis, best, least, logLikelihood(least) + occam(hypothesis, best, least));
    }

    private double logLikelihood(double chiSquare) {
        return -(DEGREES + shown.length) / 2 * Math.log1p(chiSquare / DEGREES);
    }

    /** What the freedom of its parameters costs a hypothesis: posterior over prior volume, never a gain. */
    private double occam(Hypothesis hypothesis, double[] at, double chiSquare) {
        int count = at.length;
        if (count == 0) {
            return 0;
        }
        double scale = (DEGREES + chiSquare) / (DEGREES + shown.length);
        double[][] jacobian = jacobian(hypothesis, at);
        double[][] information = new double[count][count];
        for (int j = 0; j < count; j++) {
            for (int k = 0; k < count; k++) {
                for (double[] row : jacobian) {
                    information[j][k] += row[j] * row[k] / scale;
                }
            }
            double range = hypothesis.parameters().get(j).range();
            information[j][j] += 12 / (range * range);
        }
        double determinant = new LUDecomposition(new Array2DRowRealMatrix(information, false)).getDeterminant();
        double prior = hypothesis.parameters().stream().mapToDouble(p -> Math.log(p.range())).sum();
        return Math.min(0, count / 2.0 * Math.log(2 * Math.PI) - Math.log(determinant) / 2 - prior);
    }

    private double[] fit(Hypothesis hypothesis, double[] start) {
        MultivariateJacobianFunction model = point -> {
            double[] at = point.toArray();
            return new Pair<>(new ArrayRealVector(scaled(hypothesis, at), false),
                    new Array2DRowRealMatrix(jacobian(hypothesis, at), false));
        };
        double[] target = new double[shown.length];
        for (int i = 0; i < target.length; i++) {
            target[i] = shown[i] / sigma[i];
        }
        LeastSquaresProblem problem = new LeastSquaresBuilder().start(start).model(model).target(target)
                .maxEvaluations(MOST_EVALUATIONS).maxIterations(MOST_EVALUATIONS).lazyEvaluation(false)
                .parameterValidator(p -> held(hypothesis, p)).build();
        try {
            return new LevenbergMarquardtOptimizer().optimize(problem).getPoint().toArray();
        } catch (MathRuntimeException e) {
            // A start from which nothing converges (a flat reading, say) is left to the other starts.
            return start;
        }
    }

    private static RealVector held(Hypothesis hypothesis, RealVector point) {
        RealVector held = point.copy();
        for (int i = 0; i < held.getDimension(); i++) {
            Hypothesis.Parameter p = hypothesis.parameters().get(i);
            held.setEntry(i, Math.clamp(held.getEntry(i), p.low(), p.high()));
        }
        return held;
    }

    private double[] scaled(Hypothesis hypothesis, double[] at) {
        double[] out = new double[shown.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = hypothesis.model().shown(volts[i], lambda[i], at) / sigma[i];
        }
        return out;
    }

    private double[][] jacobian(Hypothesis hypothesis, double[] at) {
        double[][] jacobian = new double[shown.length][at.length];
        for (int j = 0; j < at.length; j++) {
            double step = DIFFERENCE * hypothesis.parameters().get(j).range();
            double[] up = at.clone();
            double[] down = at.clone();
            up[j] += step;
            down[j] -= step;
            double[] above = scaled(hypothesis, up);
            double[] below = scaled(hypothesis, down);
            for (int i = 0; i < shown.length; i++) {
                jacobian[i][j] = (above[i] - below[i]) / (2 * step);
            }
        }
        return jacobian;
    }

    private double chiSquare(Hypothesis hypothesis, double[] at) {
        double sum = 0;
        double[] model = scaled(hypothesis, at);
        for (int i = 0; i < model.length; i++) {
            double r = shown[i] / sigma[i] - model[i];
            sum += r * r;
        }
        return Double.isFinite(sum) ? sum : Double.MAX_VALUE;
    }
}
