package amberheron.core.trim;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.LoadAxis;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The shop's own bins, and what was given before.
 *
 * @param speeds middles of the bins of engine speed, 1/min, rising; empty for the usual ones
 * @param loads middles of the bins of load, in the log's axis and SI, rising; empty for the usual ones
 * @param targets what is wanted there and what was given there before
 * @param leaner whether less fuel at full load was asked for; otherwise it is held back
 */
public record TrimSheet(List<Double> speeds, List<Double> loads, List<BinTarget> targets, boolean leaner) {
    /** No bins of the shop's own. */
    public static final TrimSheet NONE = new TrimSheet(List.of(), List.of(), List.of(), false);
    /** Greatest number of bins along one side. */
    public static final int MOST = 32;
    private static final List<Double> USUAL_SPEEDS = List.of(800.0, 1200.0, 1600.0, 2000.0, 2500.0, 3000.0, 3500.0,
            4000.0, 4500.0, 5000.0, 5500.0, 6000.0);

    /**
     * Target and earlier advice of one bin.
     *
     * @param target mixture wanted there, λ; null for the usual one
     * @param given fuel given there before, as a part; null for none
     */
    public record BinTarget(double speed, double load, @Nullable Double target, @Nullable Double given) {
    }

    /** Makes a sheet with which less fuel at full load is held back. */
    public TrimSheet(List<Double> speeds, List<Double> loads, List<BinTarget> targets) {
        this(speeds, loads, targets, false);
    }

    public TrimSheet {
        speeds = List.copyOf(speeds);
        loads = List.copyOf(loads);
        targets = List.copyOf(targets);
        rising(say("speeds"), speeds);
        rising(say("loads"), loads);
    }

    private static void rising(String what, List<Double> values) {
        for (int i = 0; i < values.size(); i++) {
            if (values.get(i) < 0 || (i > 0 && values.get(i) <= values.get(i - 1))) {
                throw new Unusable(say("%s: expected numbers that rise, none below 0", what));
            }
        }
        if (values.size() > MOST) {
            throw new Unusable(
                    say("%s: found %s, expected 1 to %s or none for the usual ones", what, values.size(), MOST));
        }
    }

    /** Middles of the bins of engine speed, 1/min. */
    public List<Double> speedBins() {
        return speeds.isEmpty() ? USUAL_SPEEDS : speeds;
    }

    /**
     * Middles of the bins of load, in SI.
     *
     * @param highest that was driven
     */
    public List<Double> loadBins(LoadAxis axis, double highest) {
        if (!loads.isEmpty()) {
            return loads;
        }
        double step = switch (axis) {
            case PRESSURE -> highest > 110_000 ? 20_000 : 10_000;
            case THROTTLE -> 0.1;
            case AIR -> Math.max(5e-5, highest / 8);
        };
        double first = axis == LoadAxis.PRESSURE ? 30_000 : step;
        int many = (int) Math.clamp(Math.ceil((highest - first) / step - 0.25) + 1, 2, MOST);
        return IntStream.range(0, many).mapToObj(i -> first + i * step).toList();
    }

    /** Returns the target of a bin; empty for none. */
    public Optional<BinTarget> of(double speed, double load) {
        return targets.stream().filter(t -> Math.abs(t.speed() - speed) < 0.5
                && Math.abs(t.load() - load) <= 1e-3 * Math.max(1e-9, load)).findFirst();
    }

    public TrimSheet withSpeeds(List<Double> value) {
        return new TrimSheet(value, loads, targets, leaner);
    }

    public TrimSheet withLoads(List<Double> value) {
        return new TrimSheet(speeds, value, targets, leaner);
    }

    public TrimSheet withLeaner(boolean value) {
        return new TrimSheet(speeds, loads, targets, value);
    }
}
