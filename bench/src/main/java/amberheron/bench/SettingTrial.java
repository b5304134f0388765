package amberheron.bench;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting.Table;
import amberheron.core.scaling.SettingFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/**
 * A law drawn at random, and the table that is found for it against one that an exchange finds: rows that can be typed, moved
 * one at a time as long as that helps.
 *
 * @param law of one to three straight pieces, 0.05 to 0.6 λ/V
 * @param reader that takes a table
 * @param step between two voltages that can be typed, V
 * @param found the rows found
 */
public record SettingTrial(OutputLaw law, Reader reader, double step, List<Point> found) {
    private static final Source MADE = Source.practice("made up for a trial");
    private static final int MOVES = 4000;

    /** How rows are typed. */
    public enum Typed {
        /** By counts of eight bits, values of four decimals. */
        COUNTS(4, 8),
        /** By volts, all of two decimals. */
        HUNDREDTHS(2, 0),
        /** By volts, all of three decimals. */
        THOUSANDTHS(3, 0);

        private final int decimals;
        private final int bits;

        Typed(int decimals, int bits) {
            this.decimals = decimals;
            this.bits = bits;
        }
    }

    /** Makes a trial; the same seed is the same trial. */
    public static SettingTrial of(Typed typed, long seed) {
        Random random = new Random(seed);
        double slope = 0.05 + 0.55 * random.nextDouble();
        double volts = 0.3 * random.nextDouble();
        double value = 0.6;
        int pieces = 1 + random.nextInt(3);
        double each = Math.min(4.6, 0.9 / slope) / pieces;
        List<Point> points = new ArrayList<>(List.of(point(volts, value)));
        for (int i = 0; i < pieces; i++) {
            volts += each;
            value += each * slope * (0.7 + 0.6 * random.nextDouble());
            points.add(point(volts, value));
        }
        OutputLaw law = new OutputLaw("t", "t", OutputLaw.Kind.TABLE, MixtureScale.lambda(), points, 0, 5, MADE);
        ReaderInput input = new ReaderInput(0, 5, typed.bits == 0 ? null : Integer.valueOf(typed.bits));
        Reader reader = new Reader("t", "t", typed.bits == 0 ? Reader.Form.TABLE : Reader.Form.COUNTS,
                MixtureScale.lambda(), typed.decimals, input, null, null, MADE);
        Table found = (Table) SettingFinder.find(law, reader).orElseThrow();
        return new SettingTrial(law, reader, typed.bits == 0 ? Math.pow(10, -typed.decimals) : input.step(),
                found.rows());
    }

    private static Point point(double volts, double value) {
        return new Point(Math.rint(1000 * volts) / 1000, Math.rint(10_000 * value) / 10_000);
    }

    /** The worst error of what was found, λ. */
    public double error() {
        return error(found);
    }

    /** The worst error over the law's corners and the rows, λ. */
    private double error(List<Point> rows) {
        Table table = new Table(rows);
        return Stream.concat(law.points().stream().map(Point::volts), rows.stream().map(Point::volts)
                .filter(v -> v > law.lowestVolts() && v < law.highestVolts()))
                .mapToDouble(v -> Math.abs(table.at(v) - law.lambdaAt(v))).max().orElseThrow();
    }

    /** The least worst error that an exchange comes to with as many rows, λ, begun from what was found some times. */
    public double exchanged(int times, long seed) {
        Random random = new Random(seed);
        double best = error();
        for (int i = 0; i < times; i++) {
            best = Math.min(best, exchanged(random));
        }
        return best;
    }

    private double exchanged(Random random) {
        double digit = Math.pow(10, -reader.decimals());
        List<Point> rows = new ArrayList<>(found);
        double error = error(rows);
        double best = error;
        for (int i = 0; i < MOVES; i++) {
            int k = random.nextInt(rows.size());
            Point was = rows.get(k);
            double volts = Math.rint(was.volts() / step + 6 * random.nextGaussian()) * step;
            double value = Math.rint(was.value() / digit + (volts - was.volts()) * law.lambdaPerVolt() / digit
                    + 1.5 * random.nextGaussian()) * digit;
            if (volts < 0 || volts > 5 || (k > 0 && volts <= rows.get(k - 1).volts())
                    || (k < rows.size() - 1 && volts >= rows.get(k + 1).volts())) {
                continue;
            }
            rows.set(k, new Point(volts, value));
            double now = error(rows);
            // Now and then a worse one, or it stays where it began.
            if (now <= error * (i < MOVES / 2 && random.nextInt(8) == 0 ? 1.5 : 1)) {
                error = now;
                best = Math.min(best, now);
            } else {
                rows.set(k, was);
            }
        }
        return best;
    }
}
