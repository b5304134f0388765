package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.scaling.ReaderSetting.Table;
import amberheron.core.scaling.ReaderSetting.TwoPoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/** The setting found against all that could be typed, and against a linear program. */
class BestSettingTest {
    private static final int SAMPLES = 100;

    /** A law with bends anywhere. */
    @Provide
    Arbitrary<OutputLaw> bent() {
        Arbitrary<List<Double>> steps = Arbitraries.doubles().between(0.05, 1).list().ofSize(6);
        return Combinators.combine(steps, steps).as((dv, dq) -> {
            List<Point> points = new ArrayList<>();
            double v = 0.1;
            double q = 0.6;
            for (int i = 0; i < dv.size(); i++) {
                points.add(new Point(v, q));
                v += 4.6 * dv.get(i) / dv.stream().mapToDouble(d -> d).sum();
                q += 0.8 * dq.get(i) / dq.stream().mapToDouble(d -> d).sum();
            }
            points.add(new Point(v, q));
            return Laws.table(points.toArray(Point[]::new));
        });
    }

    private static double worst(OutputLaw law, ReaderSetting setting) {
        return IntStream.rangeClosed(0, SAMPLES).mapToDouble(i -> {
            double v = law.lowestVolts() + (law.highestVolts() - law.lowestVolts()) * i / SAMPLES;
            return Math.abs(setting.at(v) - law.lambdaAt(v));
        }).max().orElseThrow();
    }

    private static ReaderSetting found(OutputLaw law, Form form, int decimals,
            @org.jspecify.annotations.Nullable Integer rows) {
        return SettingFinder.find(law, new Reader("r", "r", form, MixtureScale.lambda(), decimals,
                new ReaderInput(0, 5, null), rows, null, law.source())).orElseThrow();
    }

    /** Every slope and offset of two decimals about the law's own. */
    @Property(tries = 15)
    void noSlopeAndOffsetThatCanBeTypedIsBetter(@ForAll("bent") OutputLaw law) {
        double best = Double.POSITIVE_INFINITY;
        for (int slope = 0; slope <= 60; slope++) {
            for (int offset = 20; offset <= 110; offset++) {
                best = Math.min(best, worst(law, new SlopeOffset(slope / 100.0, offset / 100.0)));
            }
        }
        assertThat(worst(law, found(law, Form.SLOPE_OFFSET, 2, null))).isLessThanOrEqualTo(1.05 * best);
    }

    /** Every pair of points of one decimal. */
    @Property(tries = 5)
    void noTwoPointsThatCanBeTypedAreBetter(@ForAll("bent") OutputLaw law) {
        double best = Double.POSITIVE_INFINITY;
        for (int v1 = 1; v1 <= 16; v1++) {
            for (int v2 = 32; v2 <= 47; v2++) {
                for (int q1 = 4; q1 <= 12; q1++) {
                    for (int q2 = 9; q2 <= 17; q2++) {
                        best = Math.min(best,
                                worst(law, new TwoPoint(v1 / 10.0, q1 / 10.0, v2 / 10.0, q2 / 10.0)));
                    }
                }
            }
        }
        assertThat(worst(law, found(law, Form.TWO_POINT, 1, null))).isLessThanOrEqualTo(1.05 * best + 1e-9);
    }

    /** Rows anywhere on a grid, their values by a linear program: the least worst error that any few rows reach. */
    @Property(tries = 4)
    void noFewRowsAreBetter(@ForAll("bent") OutputLaw law, @ForAll @IntRange(min = 3, max = 4) int rows) {
        double low = law.lowestVolts();
        double high = law.highestVolts();
        List<Double> grid = new ArrayList<>(IntStream.rangeClosed(1, 11)
                .mapToObj(i -> Math.rint(1000 * (low + (high - low) * i / 12)) / 1000).toList());
        law.points().subList(1, law.points().size() - 1).forEach(p -> grid.add(p.volts()));
        Collections.sort(grid);
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < grid.size(); i++) {
            for (int j = i + 1; j < grid.size() && (rows == 4 || j == i + 1); j++) {
                List<Double> knots = rows == 4
                        ? List.of(low, grid.get(i), grid.get(j), high)
                        : List.of(low, grid.get(i), high);
                best = Math.min(best, byLinearProgram(law, knots));
            }
        }
        Table table = (Table) found(law, Form.TABLE, 4, rows);
        assertThat(table.rows()).hasSizeLessThanOrEqualTo(rows);
        assertThat(worst(law, table)).isLessThanOrEqualTo(1.05 * best + 1e-4);
    }

    /** The least worst error over the law's corners with rows at these volts; the last unknown is that error. */
    private static double byLinearProgram(OutputLaw law, List<Double> knots) {
        List<LinearConstraint> constraints = new ArrayList<>();
        List<Double> volts = new ArrayList<>(law.points().stream().map(Point::volts).toList());
        volts.addAll(knots);
        for (double v : volts) {
            double[] row = new double[knots.size() + 1];
            int i = 0;
            while (i < knots.size() - 2 && v > knots.get(i + 1)) {
                i++;
            }
            double part = (v - knots.get(i)) / (knots.get(i + 1) - knots.get(i));
            row[i] = 1 - part;
            row[i + 1] += part;
            for (int side = -1; side <= 1; side += 2) {
                double[] bounded = row.clone();
                bounded[knots.size()] = side;
                constraints.add(new LinearConstraint(bounded, side > 0 ? Relationship.GEQ : Relationship.LEQ,
                        law.lambdaAt(v)));
            }
        }
        double[] goal = new double[knots.size() + 1];
        goal[knots.size()] = 1;
        return new SimplexSolver().optimize(new LinearObjectiveFunction(goal, 0),
                new LinearConstraintSet(constraints), GoalType.MINIMIZE, new NonNegativeConstraint(true)).getValue();
    }

    /** Cut off at the top, a setting shares the loss where that keeps the tolerance and is needed for it; else it is exact. */
    @Property(tries = 20)
    void whatTheInputCutsOffIsSharedWhereThatKeepsTheTolerance(@ForAll @IntRange(min = 1, max = 20) int hundredths) {
        OutputLaw law = Laws.TWO_V_PLUS_TEN;
        WireEffect up = WireEffect.linear(1, hundredths / 100.0);
        Reader reader = Laws.reader(Form.SLOPE_OFFSET, MixtureScale.lambda(), 5, null);
        ReaderSetting typed = SettingFinder.find(law, up, reader).orElseThrow();
        double lost = hundredths / 100.0 * law.lambdaPerVolt();
        double worst = Math.abs(Scaling.worst(new SignalChain(law, up, reader, typed)).lambda());
        double within = Math.abs(typed.at(2 + up.shift()) - law.lambdaAt(2));
        if (lost < 0.95 * Tolerance.LAMBDA || lost > 2.05 * Tolerance.LAMBDA) {
            assertThat(within).isLessThan(1e-4);
            assertThat(worst).isCloseTo(lost, within(1e-4));
        } else if (lost > 1.05 * Tolerance.LAMBDA && lost < 1.95 * Tolerance.LAMBDA) {
            assertThat(worst).isLessThanOrEqualTo(Tolerance.LAMBDA);
        }
    }
}
