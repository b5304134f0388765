package amberheron.core.freeair;

import amberheron.core.finding.Message;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Outlook of a sensor from its life so far. Quantities that no reading gives are from memory and stand here.
 *
 * @param gain trend of its free-air gain, of new, by hours
 * @param response trend of its response time, s, by hours
 * @param hours it has run today
 * @param drift how much its gain is expected to have changed since it was calibrated last, and how sure that is
 */
public record SensorOutlook(Trend gain, Trend response, double hours, double hoursADay, Drift drift, LocalDate today) {
    /** Limits at which a sensor is replaced: gain as part of a new one's, and response time, s. */
    public static final double LEAST_GAIN = 0.85;
    public static final double SLOWEST = 0.5;
    /** How far its gain may change before it is calibrated again, as a part of it. */
    public static final double RECALIBRATE = 0.01;
    /** Spread of new sensors, and what a reading of gain and of response is off by. */
    private static final double NEW_SPREAD = 0.02;
    private static final double GAIN_NOISE = 0.005;
    private static final double RESPONSE_NEW = 0.15;
    private static final double RESPONSE_SPREAD = 0.05;
    private static final double RESPONSE_NOISE = 0.02;
    /** Loss of a sensor's gain in an hour, and how much sensors differ in it. */
    private static final double LOSS = 0.04 / 1000;
    private static final double LOSS_SPREAD = 0.02 / 1000;
    /** Growth of the response time in an hour, s. */
    private static final double SLOWER = 0.025 / 1000;
    private static final double SLOWER_SPREAD = 0.02 / 1000;
    /**
     * Relative increase of the rate of ageing by one event of each kind: a tank of leaded fuel, a day of oil, a key-on
     * without start, a shock.
     */
    private static final double PER_LEADED = 0.15;
    private static final double PER_OILY = 0.03;
    private static final double PER_KEY_ON = 0.01;
    private static final double PER_SHOCK = 0.3;
    private static final double MOST_HASTE = 10;
    private static final double DAYS = 30.4;
    private static final double EARLY = 0.05;
    private static final double HALF = 0.5;
    private static final double LATE = 0.95;

    /** A change of gain, as a part of it, and its standard deviation. */
    public record Drift(double mean, double doubt) {
        /** Returns half the width of the interval that holds 95 of 100, with the mean. */
        public double most() {
            return Math.abs(mean) + 2 * doubt;
        }
    }

    /**
     * When something is due: 5, 50 and 95 times of 100 it has come by then.
     *
     * @param late null where it may not come as long as any sensor lives
     */
    public record Due(LocalDate early, LocalDate likely, @Nullable LocalDate late) {
    }

    /** The outlook of a sensor on a day. */
    public static SensorOutlook of(SensorLife life, LocalDate today) {
        double haste = haste(life);
        Trend gain = Trend.belief(1, NEW_SPREAD, -LOSS * haste, LOSS_SPREAD * haste)
                .after(points(life, Kind.GAIN), GAIN_NOISE);
        Trend response = Trend.belief(RESPONSE_NEW, RESPONSE_SPREAD, SLOWER * haste, SLOWER_SPREAD * haste)
                .after(points(life, Kind.RESPONSE), RESPONSE_NOISE);
        double hours = life.hoursAt(today);
        double since = hours - life.calibrated().map(life::hoursAt).orElse(hours);
        return new SensorOutlook(gain, response, hours, life.hoursADay(),
                new Drift(gain.slope() * since, Math.sqrt(Math.max(0, gain.slopeVariance())) * since), today);
    }

    private static List<Trend.Point> points(SensorLife life, Kind kind) {
        return life.of(kind).map(n -> new Trend.Point(life.hoursAt(n.date()), n.value())).toList();
    }

    /** How many times faster than usual it ages by what it had to stand. */
    static double haste(SensorLife life) {
        return Math.min(MOST_HASTE, 1 + PER_LEADED * life.last(Kind.LEADED).orElse(0.0)
                + PER_OILY * life.last(Kind.OILY).orElse(0.0) + PER_KEY_ON * life.last(Kind.KEY_ON).orElse(0.0)
                + PER_SHOCK * life.last(Kind.SHOCK).orElse(0.0));
    }

    /**
     * The most its gain changes in a month of this car, as a part of it; empty until it was read twice: before that it
     * is any sensor.
     */
    public static Optional<Double> inAMonth(SensorLife life, LocalDate today) {
        if (life.of(Kind.GAIN).count() < 2) {
            return Optional.empty();
        }
        SensorOutlook ahead = of(life, today);
        double inAnHour = Math.abs(ahead.gain.slope()) + 2 * Math.sqrt(Math.max(0, ahead.gain.slopeVariance()));
        return Optional.of(Math.min(1, inAnHour * ahead.hoursADay * DAYS));
    }

    /** When it is to be replaced, by whichever of gain and response is past its limit first; empty where never. */
    public Optional<Due> replace() {
        Optional<Due> weak = due(gain, LEAST_GAIN);
        Optional<Due> slow = due(response, SLOWEST);
        return weak.isEmpty()
                ? slow
                : slow.isEmpty() || weak.get().likely().isBefore(slow.get().likely()) ? weak : slow;
    }

    private Optional<Due> due(Trend trend, double limit) {
        Optional<Double> early = trend.when(limit, EARLY);
        Optional<Double> likely = trend.when(limit, HALF);
        Optional<Double> late = trend.when(limit, LATE);
        return early.isEmpty() || likely.isEmpty()
                ? Optional.empty()
                : Optional.of(new Due(day(early.get()), day(likely.get()), late.map(this::day).orElse(null)));
    }

    /** When its gain will have changed enough that it is worth calibrating again. */
    public LocalDate recalibrate() {
        double left = (RECALIBRATE - Math.min(RECALIBRATE, Math.abs(drift.mean())))
                / Math.max(1e-9, Math.abs(gain.slope()));
        return day(hours + left);
    }

    private LocalDate day(double atHours) {
        double days = (atHours - hours) / hoursADay;
        return today.plusDays((long) Math.clamp(days, -36_500, 36_500));
    }

    /** Greatest error from its age at a lean mixture now, λ. */
    public double costs() {
        return Math.abs(new CostOfAir(1 + drift.most()).at(CostOfAir.LEAN));
    }

    /** Reasons that shorten its life, a line each; empty where nothing was noted. */
    public static List<Message> shortened(SensorLife life) {
        List<Message> says = new ArrayList<>();
        part(life, Kind.LEADED, PER_LEADED, "Leaded fuel: ages {0} faster.", says);
        part(life, Kind.OILY, PER_OILY, "Oil in the exhaust: ages {0} faster.", says);
        part(life, Kind.KEY_ON, PER_KEY_ON, "Key on, cold, without a start: ages {0} faster.", says);
        part(life, Kind.SHOCK, PER_SHOCK, "Water or blows: ages {0} faster.", says);
        return List.copyOf(says);
    }

    private static void part(SensorLife life, Kind kind, double per, String pattern, List<Message> says) {
        life.last(kind).filter(n -> n > 0)
                .ifPresent(n -> says.add(Message.of(pattern, new Measure(per * n, Dimension.FRACTION, 0))));
    }
}
