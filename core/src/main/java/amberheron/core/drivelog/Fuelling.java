package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Message;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.hipparchus.stat.StatUtils;
import org.jspecify.annotations.Nullable;

/**
 * Mixture seen on a drive by fine steps of engine speed and load, from those moments alone that are warm and settled, so
 * that the mixture follows from both. Every gate is common practice or our own choice.
 *
 * @param axis by what the load is told
 * @param spots where the engine was run, with what it showed
 * @param leftOut seconds that each gate kept out
 * @param distance driven, m; null where road speed was not logged
 * @param settled temperature at which the coolant settled, K; null where it was not logged
 */
public record Fuelling(LoadAxis axis, List<Spot> spots, Map<Gate, Double> leftOut, @Nullable Double distance,
        @Nullable Double settled) {
    /** Steps of engine speed, 1/min. */
    public static final double SPEED_STEP = 100;
    /** Coolant temperature from which an engine is warm at the latest, K: thermostats open there. */
    public static final double WARM = 358.15;
    /** Temperature below which none has settled that is warm, K, and how far below where it settles it is warm. */
    public static final double LEAST_WARM = 343.15;
    private static final double BELOW_SETTLED = 5;
    /** Time after the beginning of the log that does not count, s, and the same where no temperature was logged. */
    public static final double AFTER_START = 60;
    private static final double WITHOUT_TEMPERATURE = 300;
    /** Time for which the load has to have stood, s. */
    public static final double DWELL = 0.6;
    private static final double MOVED = 0.06;
    private static final double STANDARD = 101_325;
    /** Rate of engine speed above which the gas at the sensor belongs to another speed, 1/min each second. */
    private static final double FASTEST = 1200;
    private static final int MOST_MOMENTS = 500_000;
    private static final double STEP = 0.1;
    private static final double AGAIN = 2;

    /**
     * A fine step of speed and load.
     *
     * @param speed middle of it, 1/min
     * @param load middle of it, in the axis's SI
     * @param seconds that count
     * @param visits how often the engine came there anew
     * @param lambda mean of what the controller showed
     * @param spread standard deviation of that
     */
    public record Spot(double speed, double load, double seconds, int visits, double lambda, double spread) {
    }

    /** Reason for which a moment does not count. */
    public enum Gate {
        COLD("not yet warm"),
        CUT("cold start, fuel cut or the way out of it"),
        MOVING("load or speed on its way"),
        RAIL("sensor at its rail"),
        LOST("signal lost");

        private final String words;

        Gate(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    public Fuelling {
        spots = List.copyOf(spots);
        leftOut = Map.copyOf(leftOut);
    }

    private static final class Sum {
        double seconds;
        int visits;
        double lastAt = Double.NEGATIVE_INFINITY;
        double sum;
        double squares;
        long n;
    }

    /**
     * Collects the fuelling of a drive; null where the log has no engine speed or nothing that tells the load.
     *
     * @param lost of each row, whether the reader's signal was lost
     */
    static @Nullable Fuelling of(Drive drive, EngineAsked asked, List<Regime> regimes, boolean[] lost) {
        LoadAxis axis = drive.pressure() != null
                ? LoadAxis.PRESSURE
                : drive.throttle() != null ? LoadAxis.THROTTLE : drive.airMass() != null ? LoadAxis.AIR : null;
        if (axis == null || drive.engineSpeed() == null) {
            return null;
        }
        OnClock clock = OnClock.of(drive, Math.max(STEP, drive.step()), MOST_MOMENTS);
        float[] rpm = clock.put(drive.time(), drive.engineSpeed(), 0);
        float[] load = load(clock, drive, axis, rpm);
        float[] temperature = clock.put(drive.time(), drive.temperature(), 0);
        Double settled = settled(temperature);
        double warm = settled == null || settled < LEAST_WARM ? WARM : Math.min(WARM, settled - BELOW_SETTLED);
        double begins = clock.start + (settled == null ? WITHOUT_TEMPERATURE : AFTER_START);
        // The gas that the sensor sees now was burnt a moment ago.
        float[] lambda = clock.put(drive.time(), drive.controller(), asked.delay());
        float[] away = clock.put(drive.time(), marks(lost), 0);
        Map<Gate, Double> leftOut = new EnumMap<>(Gate.class);
        Map<Long, Sum> sums = new TreeMap<>();
        Silence silence = new Silence(regimes);
        for (int i = 0; i < clock.size; i++) {
            double now = clock.at(i);
            if (Float.isNaN(rpm[i]) || Float.isNaN(load[i]) || Float.isNaN(lambda[i]) || rpm[i] < 300) {
                continue;
            }
            Gate gate = temperature[i] < warm || now < begins
                    ? Gate.COLD
                    : silence.at(now)
                            ? Gate.CUT
                            : away[i] > 0
                                    ? Gate.LOST
                                    : lambda[i] <= asked.railLow() || lambda[i] >= asked.railHigh()
                                            ? Gate.RAIL
                                            : moving(clock, rpm, load, i, axis) ? Gate.MOVING : null;
            if (gate != null) {
                leftOut.merge(gate, clock.step, Double::sum);
                continue;
            }
            long speedStep = Math.round(rpm[i] / SPEED_STEP);
            long loadStep = Math.round(load[i] / axis.step());
            Sum sum = sums.computeIfAbsent(speedStep * 100_000 + loadStep, k -> new Sum());
            sum.visits += now - sum.lastAt > AGAIN ? 1 : 0;
            sum.lastAt = now;
            sum.seconds += clock.step;
            sum.sum += lambda[i];
            sum.squares += (double) lambda[i] * lambda[i];
            sum.n++;
        }
        List<Spot> spots = new ArrayList<>();
        sums.forEach((key, s) -> {
            double mean = s.sum / s.n;
            spots.add(
                    new Spot(key / 100_000 * SPEED_STEP, brief(key % 100_000 * axis.step()), brief(s.seconds), s.visits,
                            brief(mean), brief(Math.sqrt(Math.max(0, s.squares / s.n - mean * mean)))));
        });
        leftOut.replaceAll((gate, seconds) -> brief(seconds));
        return new Fuelling(axis, spots, leftOut, distance(drive), settled);
    }

    /** Returns where the coolant settles: its upper quartile over the last half of the log, K; null without any. */
    private static @Nullable Double settled(float[] temperature) {
        double[] last = IntStream.range(temperature.length / 2, temperature.length).mapToDouble(i -> temperature[i])
                .filter(t -> !Double.isNaN(t)).toArray();
        return last.length == 0 ? null : Double.valueOf(brief(StatUtils.percentile(last, 75)));
    }

    /** Says what kept the drive from telling of the fuelling; empty where something was told. */
    public Optional<Message> missing() {
        if (!spots.isEmpty()) {
            return Optional.empty();
        }
        Gate most = leftOut.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElse(null);
        if (most == null) {
            return Optional.of(Message.plain("The engine was not run at any speed and load that the log tells."));
        }
        return Optional.of(most == Gate.COLD && settled != null && settled < LEAST_WARM
                ? Message.of(
                        "The coolant settled at {0}: an engine below {1} is still enriched. Drive on until it is warm.",
                        new Measure(settled, Dimension.TEMPERATURE, 0),
                        new Measure(LEAST_WARM, Dimension.TEMPERATURE, 0))
                : Message.of("Of all that was driven nothing counts, most of it since: {0}.",
                        Message.plain(most.words())));
    }

    /** Rounds to six digits, which is more than a log holds. */
    private static double brief(double value) {
        return new BigDecimal(value).round(new MathContext(6)).doubleValue();
    }

    private static float[] load(OnClock clock, Drive drive, LoadAxis axis, float[] rpm) {
        if (axis != LoadAxis.AIR) {
            return clock.put(drive.time(), axis == LoadAxis.PRESSURE ? drive.pressure() : drive.throttle(), 0);
        }
        float[] load = clock.put(drive.time(), drive.airMass(), 0);
        for (int i = 0; i < load.length; i++) {
            load[i] = rpm[i] > 0 ? load[i] * 60 / rpm[i] : Float.NaN;
        }
        return load;
    }

    private static float[] marks(boolean[] rows) {
        float[] marks = new float[rows.length];
        for (int i = 0; i < rows.length; i++) {
            marks[i] = rows[i] ? 1 : 0;
        }
        return marks;
    }

    private static boolean moving(OnClock clock, float[] rpm, float[] load, int i, LoadAxis axis) {
        int reach = Math.max(1, (int) Math.round(DWELL / clock.step));
        if (i < reach) {
            return true;
        }
        float low = load[i];
        float high = load[i];
        for (int k = i - reach; k < i; k++) {
            if (Float.isNaN(load[k])) {
                return true;
            }
            low = Math.min(low, load[k]);
            high = Math.max(high, load[k]);
        }
        double most = switch (axis) {
            case PRESSURE -> MOVED * STANDARD;
            case THROTTLE -> MOVED;
            case AIR -> 2 * MOVED * Math.max(high, 1e-9);
        };
        return high - low > most || !(Math.abs(rpm[i] - rpm[i - reach]) <= FASTEST * reach * clock.step);
    }

    private static @Nullable Double distance(Drive drive) {
        float[] speed = drive.speed();
        if (speed == null) {
            return null;
        }
        double driven = 0;
        int last = -1;
        for (int i = 0; i < speed.length; i++) {
            if (!Float.isNaN(speed[i])) {
                double step = last < 0 ? 0 : drive.time()[i] - drive.time()[last];
                driven += step <= Drive.GAP ? step * speed[i] : 0;
                last = i;
            }
        }
        return driven;
    }
}
