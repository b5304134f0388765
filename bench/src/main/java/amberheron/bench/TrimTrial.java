package amberheron.bench;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineAsked;
import amberheron.core.job.Shop;
import amberheron.core.mixture.FuelKind;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import amberheron.core.trim.TrimSheet;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;

/**
 * A drive of half an hour, of an engine whose fuelling follows its targets, or is off by a known part, with a thermostat, a
 * sensor and a driver that do not exist. What the advice should be is known.
 *
 * @param off part of the fuel that is lacking at light load; what is left over where negative
 * @param offUnderLoad the same at full load
 * @param thermostat temperature at which the coolant settles, K
 * @param drive the log
 */
public record TrimTrial(double off, double offUnderLoad, double thermostat, Drive drive) {
    private static final double RATE = 20;
    private static final double MINUTES = 35;
    private static final double KELVIN = 273.15;

    /** Makes a drive; the same seed is the same drive. */
    public static TrimTrial of(long seed, double off, double offUnderLoad) {
        Random random = new Random(seed);
        double thermostat = KELVIN + 79 + 14 * random.nextDouble();
        int n = (int) (MINUTES * 60 * RATE);
        double[] time = new double[n];
        float[][] c = new float[5][n];
        double rpm = 850;
        double load = 35_000;
        double seen = 1;
        double sensor = 0.06 + 0.2 * random.nextDouble();
        double swing = 0.012 * random.nextDouble();
        double toRpm = rpm;
        double toLoad = load;
        double until = 0;
        for (int i = 0; i < n; i++) {
            time[i] = i / RATE;
            if (time[i] >= until) {
                until = time[i] + 2 + 16 * random.nextDouble();
                boolean pull = random.nextInt(6) == 0;
                toRpm = pull ? 3000 + 2000 * random.nextDouble() : 900 + 2600 * random.nextDouble();
                // A driver holds the pedal anywhere; the load of cruise is wide.
                toLoad = pull ? 80_000 + 20_000 * random.nextDouble() : 28_000 + 50_000 * random.nextDouble();
            }
            rpm += (toRpm - rpm) * Math.min(1, 1 / RATE / 0.6) + 4 * random.nextGaussian();
            load += (toLoad - load) * Math.min(1, 1 / RATE / 0.25) + 150 * random.nextGaussian();
            double under = Math.clamp((load / 101_325 - 0.6) / 0.3, 0, 1);
            double target = 1 + under * (FuelKind.PETROL.bands(false).fullLoad() - 1);
            double closedLoop = under > 0 ? 0 : swing * Math.sin(2 * Math.PI * time[i] / 1.3);
            double burnt = target * (1 + off + under * (offUnderLoad - off)) + closedLoop;
            seen += (burnt - seen) * (1 - Math.exp(-1 / RATE / sensor));
            double warms = thermostat - (thermostat - KELVIN - 18) * Math.exp(-time[i] / 170);
            c[0][i] = (float) (Math.round(1000 * (seen + 0.003 * random.nextGaussian())) / 1000.0);
            c[1][i] = (float) rpm;
            c[2][i] = (float) load;
            c[3][i] = (float) (warms + 1.5 * Math.sin(time[i] / 40));
            c[4][i] = 15;
        }
        return new TrimTrial(off, offUnderLoad, thermostat, new Drive(time, c[0], c[0].clone(), c[1], c[4], c[2], null,
                c[3], null, null));
    }

    /** The plan that is made of it; null where nothing is. */
    public TrimPlan plan(TrimSheet sheet) {
        EngineAsked asked = new EngineAsked(Set.of(), 0.6, 1.5, 0.5, 1.6, 0, null);
        return TrimPlan.of(Objects.requireNonNull(DriveFound.of(drive, asked, List.of()).fuelling()), sheet,
                new TrimPlan.Asked(Set.of(), List.of(), Shop.USUAL_TRIM)).orElseThrow();
    }

    /** The most that a bin's advice is away from what it should be, as a part of the fuel; 0 where none is advised. */
    public static double worst(TrimPlan plan, double right) {
        return plan.cells().stream().map(Cell::advice).filter(Objects::nonNull).mapToDouble(a -> Math.abs(a - right))
                .max().orElse(0);
    }

    /** The most by which a bin at light load with evidence enough is told wrongly, as a part of the fuel. */
    public double mistold(TrimPlan plan) {
        return plan.cells().stream().filter(c -> c.load() < 60_000 && c.state() != State.TOO_LITTLE)
                .map(Cell::need).filter(Objects::nonNull).mapToDouble(need -> Math.abs(need - off)).max().orElse(0);
    }
}
