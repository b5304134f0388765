package amberheron.core.freeair;

import amberheron.core.finding.Message;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.freeair.Trend.Normal;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Outlook of a sensor from its life so far. Quantities that no reading gives are from memory and stand here.
 *
 * @param gain trend of its free-air gain, of new, by hours
 * @param response trend of its response time, s, by hours
 * @param hours it has run today
 * @param last its last reading of gain, of new; null before any
 * @param fits whether the readings lie on a course that sensors follow
 * @param drift how much its gain is expected to have changed since it was calibrated last, and how sure that is
 */
public record SensorOutlook(Trend gain, Trend response, double hours, double hoursADay, Trend.@Nullable Point last,
        boolean fits, Drift drift, LocalDate today) {
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
    /**
     * Of a life that bends: how fast it ages all in all, of the usual, with weights; the part of that at first; and the part of
     * it that comes by the bend, with how much sensors differ in each.
     */
    private static final double[] PACES = {0.4, 0.65, 1, 1.5, 2.3};
    private static final double[] PACE_WEIGHTS = {0.1, 0.25, 0.35, 0.22, 0.08};
    private static final double FIRST = 0.45;
    private static final double FIRST_SPREAD = 0.2;
    private static final double BENDS = 0.55;
    private static final double BENDS_SPREAD = 0.35;
    /** Gain that a sudden fault takes, and how much faults differ in it. */
    private static final double FAULT = 0.06;
    private static final double FAULT_SPREAD = 0.05;
    /** Distance of a reading from the course at which it does not fit, in standard deviations. */
    private static final double MISFIT = 4;
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

    /** The outlook of a sensor on a day: of the one that is in use now. */
    public static SensorOutlook of(SensorLife ever, LocalDate today) {
        SensorLife life = ever.current();
        double haste = haste(life);
        List<Trend.Point> gains = points(life, Kind.GAIN);
        Trend gain = Trend.of(gain(haste, new Normal(1, NEW_SPREAD)), gains, GAIN_NOISE);
        Trend response = Trend.of(new Trend.Belief(new Normal(RESPONSE_NEW, RESPONSE_SPREAD),
                new Normal(SLOWER * haste, SLOWER_SPREAD * haste), bends(SLOWER * haste, SLOWEST - RESPONSE_NEW),
                new Normal(RESPONSE_NEW / 2, RESPONSE_NEW / 2)), points(life, Kind.RESPONSE), RESPONSE_NOISE);
        boolean fits = gains.stream().allMatch(p -> Math.abs(p.value() - gain.at(p.hours())) <= MISFIT
                * Math.hypot(GAIN_NOISE, gain.doubtAt(p.hours())));
        double hours = life.hoursAt(today);
        double since = hours - life.calibrated().map(life::hoursAt).orElse(hours);
        return new SensorOutlook(gain, response, hours, life.hoursADay(), gains.isEmpty() ? null : gains.getLast(),
                fits,
                new Drift(gain.slopeAt(hours) * since, gain.slopeDoubtAt(hours) * since), today);
    }

    private static Trend.Belief gain(double haste, Normal start) {
        return new Trend.Belief(start, new Normal(-LOSS * haste, LOSS_SPREAD * haste),
                bends(-LOSS * haste, LEAST_GAIN - 1), new Normal(-FAULT, FAULT_SPREAD));
    }

    /**
     * Returns how courses bend that lose so much in an hour, over the life that this gives them: slowly at first, by how fast
     * they age all in all.
     */
    private static List<Trend.Bent> bends(double slope, double whole) {
        return IntStream.range(0, PACES.length).mapToObj(i -> {
            double pace = PACES[i] * slope;
            double bend = pace * pace / whole;
            return new Trend.Bent(new Normal(FIRST * pace, FIRST_SPREAD * Math.abs(pace)),
                    new Normal(BENDS * bend, BENDS_SPREAD * Math.abs(bend)), PACE_WEIGHTS[i]);
        }).toList();
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
        if (life.current().of(Kind.GAIN).count() < 2) {
            return Optional.empty();
        }
        SensorOutlook ahead = of(life, today);
        double inAnHour = Math.abs(ahead.gain.slopeAt(ahead.hours)) + 2 * ahead.gain.slopeDoubtAt(ahead.hours);
        return Optional.of(Math.min(1, inAnHour * ahead.hoursADay * DAYS));
    }

    /**
     * When it is to be replaced, by whichever of gain and response is past its limit first; empty where never. A last reading
     * that is below the limit counts by itself, and where the readings lie on no course the last alone may come to it sooner.
     */
    public Optional<Due> replace() {
        Optional<Due> weak = due(gain, LEAST_GAIN, true, hours);
        if (last != null && last.value() <= LEAST_GAIN) {
            LocalDate late = weak.map(Due::late).orElse(null);
            return Optional.of(new Due(today, today, late == null || late.isBefore(today) ? today : late));
        }
        if (last != null && !fits) {
            Trend alone = Trend.of(gain(1, new Normal(last.value(), GAIN_NOISE)), List.of(), GAIN_NOISE);
            weak = sooner(weak, due(alone, LEAST_GAIN, true, hours - last.hours()));
        }
        return sooner(weak, due(response, SLOWEST, false, hours));
    }

    private static Optional<Due> sooner(Optional<Due> a, Optional<Due> b) {
        return a.isEmpty() ? b : b.isEmpty() || !b.get().likely().isBefore(a.get().likely()) ? a : b;
    }

    /**
     * Returns when a trend is past its limit.
     *
     * @param now hours of the trend today
     */
    private Optional<Due> due(Trend trend, double limit, boolean falls, double now) {
        Optional<Double> early = trend.when(limit, falls, EARLY);
        Optional<Double> likely = trend.when(limit, falls, HALF);
        Optional<Double> late = trend.when(limit, falls, LATE);
        return early.isEmpty() || likely.isEmpty()
                ? Optional.empty()
                : Optional.of(new Due(day(early.get() - now), day(likely.get() - now),
                        late.map(l -> day(l - now)).orElse(null)));
    }

    /** When its gain will have changed enough that it is worth calibrating again. */
    public LocalDate recalibrate() {
        double left = (RECALIBRATE - Math.min(RECALIBRATE, Math.abs(drift.mean())))
                / Math.max(1e-9, Math.abs(gain.slopeAt(hours)));
        return day(left);
    }

    private LocalDate day(double hoursAhead) {
        double days = hoursAhead / hoursADay;
        return today.plusDays((long) Math.clamp(days, -36_500, 36_500));
    }

    /** Greatest error from its age at a lean mixture now, λ. */
    public double costs() {
        return Math.abs(new CostOfAir(1 + drift.most()).at(CostOfAir.LEAN));
    }

    /** Reasons that shorten its life, a line each; empty where nothing was noted. */
    public static List<Message> shortened(SensorLife ever) {
        SensorLife life = ever.current();
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
