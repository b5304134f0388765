package amberheron.core.wiring;

import static amberheron.core.units.Phrase.say;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/**
 * Wires, straps and joints as resistances between points, loads as currents that return through them. Solved by nodal
 * analysis: Ohm's law on every branch, Kirchhoff's current law at every point. Point 0 is the reference.
 */
public final class GroundNetwork {
    /** A resistance between two points, Ω, more than 0. */
    public record Branch(int from, int to, double ohms) {
        public Branch {
            if (!(ohms > 0 && Double.isFinite(ohms))) {
                throw new IllegalArgumentException(say("%s Ω between points %d and %d: expected more than 0", ohms,
                        from, to));
            }
        }
    }

    /** A current that flows into a point from its load, A, and has to find its way back to point 0. */
    public record Load(int at, double amperes) {
    }

    private GroundNetwork() {
    }

    /** Less is taken for this, Ω: under a microvolt at any current here, and the network can be solved. */
    private static final double LEAST = 1e-9;

    /**
     * Volts of every point against point 0.
     *
     * @param points how many there are, point 0 included
     * @throws IllegalArgumentException when a point hangs free
     */
    public static List<Double> solve(int points, List<Branch> branches, List<Load> loads) {
        double[][] conductance = new double[points - 1][points - 1];
        double[] current = new double[points - 1];
        for (Branch b : branches) {
            double siemens = 1 / Math.max(b.ohms(), LEAST);
            add(conductance, b.from(), b.from(), siemens);
            add(conductance, b.to(), b.to(), siemens);
            add(conductance, b.from(), b.to(), -siemens);
            add(conductance, b.to(), b.from(), -siemens);
        }
        for (Load load : loads) {
            if (load.at() > 0) {
                current[load.at() - 1] += load.amperes();
            }
        }
        var solver = new LUDecomposition(new Array2DRowRealMatrix(conductance, false)).getSolver();
        if (!solver.isNonSingular()) {
            throw new IllegalArgumentException(
                    "a point of the ground network hangs free: expected a way to the battery");
        }
        double[] volts = solver.solve(new ArrayRealVector(current, false)).toArray();
        java.util.ArrayList<Double> all = new java.util.ArrayList<>(List.of(0.0));
        for (double v : volts) {
            all.add(v);
        }
        return List.copyOf(all);
    }

    private static void add(double[][] matrix, int row, int column, double value) {
        if (row > 0 && column > 0) {
            matrix[row - 1][column - 1] += value;
        }
    }
}
