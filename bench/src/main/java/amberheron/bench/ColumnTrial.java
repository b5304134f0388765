package amberheron.bench;

import amberheron.core.drivelog.ColumnFacts;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.Recognition;
import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Logs whose mixtures are written as AFR of some fuel, as loggers and people name and scale them, and whether the ratio is
 * found.
 *
 * @param ratio of the controller's column; 1 for λ
 * @param readerRatio of the reader's
 * @param head what stands above a column that is not λ
 * @param job ratio of the fuel in the tank, as the job has it
 */
public record ColumnTrial(double ratio, double readerRatio, String head, double job) {
    private static final double[] FUELS = {14.7, 14.08, 13.21, 9.82, 9.0, 6.47, 15.67, 17.2};
    private static final Source MADE = Source.practice("made up for a trial");
    private static final double NEAR = 0.006;

    /** What became of a log. */
    public enum Result {
        RIGHT,
        ASKED,
        WRONG
    }

    /** The ways in which the log of a car on one fuel is written. */
    private static Stream<ColumnTrial> ways(double fuel) {
        return Stream.of(new ColumnTrial(fuel, fuel, "AFR", fuel), new ColumnTrial(14.7, 14.7, "AFR", fuel),
                new ColumnTrial(1, fuel, "AFR", fuel), new ColumnTrial(14.7, fuel, "AFR", fuel),
                new ColumnTrial(fuel, fuel, "AFR", 14.7),
                new ColumnTrial(fuel, fuel, String.format(Locale.ROOT, "AFR %.2f", fuel), 14.7));
    }

    /** Tries logs of several cars in all ways. */
    public static Map<Result, Integer> run(int cars) {
        Map<Result, Integer> counts = new EnumMap<>(Result.class);
        Stream.of(Result.values()).forEach(r -> counts.put(r, 0));
        for (int i = 0; i < cars; i++) {
            Drive drive = RoadTrial.of(900 + i, RoadDrive.Mistake.NONE, 300).drive();
            ways(FUELS[i % FUELS.length]).forEach(way -> counts.merge(way.judged(drive), 1, Integer::sum));
        }
        return counts;
    }

    private Result judged(Drive drive) {
        int n = drive.size();
        List<ColumnFacts> columns = new ArrayList<>();
        columns.add(new ColumnFacts(0, "time", "s", false, drive.time(), n));
        columns.add(new ColumnFacts(1, "controller " + (ratio == 1 ? "lambda" : head), "", false,
                written(drive.controller(), ratio), n));
        columns.add(new ColumnFacts(2, "reader " + (readerRatio == 1 ? "lambda" : head), "", false,
                written(drive.reader(), readerRatio), n));
        OutputLaw law = new OutputLaw("x", "x", OutputLaw.Kind.LINEAR, MixtureScale.afr(14.7),
                List.of(new OutputLaw.Point(0.4, 9.5), new OutputLaw.Point(4.6, 18.5)), 0, 5, OutputLaw.Beyond.NOTHING,
                MADE);
        Recognition found = Recognition.of(columns, new Recognition.Known(law, null, null, job, Map.of()), Map.of());
        if (!found.asks().isEmpty()) {
            return Result.ASKED;
        }
        return Math.abs(taken(found, LogChannel.CONTROLLER, ratio) - 1) < NEAR
                && Math.abs(taken(found, LogChannel.READER, readerRatio) - 1) < NEAR ? Result.RIGHT : Result.WRONG;
    }

    private static double taken(Recognition found, LogChannel channel, double stoichiometric) {
        return found.use(channel).orElseThrow().si().applyAsDouble(stoichiometric);
    }

    private static double[] written(float[] lambda, double ratio) {
        double[] written = new double[lambda.length];
        for (int i = 0; i < written.length; i++) {
            written[i] = Math.round(100 * lambda[i] * ratio) / 100.0;
        }
        return written;
    }
}
