package amberheron.bench;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.freeair.SensorOutlook;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/**
 * The life of a sensor that does not exist, of which the outlook sees a few readings and the end is known.
 *
 * @param due what the outlook says of the day it is replaced
 * @param end the day it truly is past its limit; today where that was before
 */
public record SimulatedLife(SensorOutlook.Due due, LocalDate end) {
    /** How a sensor may age. */
    public enum Course {
        /** As much in each hour. */
        STRAIGHT,
        /** More and more. */
        BENT,
        /** Straight, but for a sudden fault. */
        BROKEN,
        /** Straight, and replaced by another under the same number. */
        REPLACED
    }

    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final double SPREAD = 0.02;
    private static final double NOISE = 0.005;
    /** Loss of gain in an hour: log-normal, of the mean and spread that are told. */
    private static final double LOSS = 4e-5;
    private static final double SIGMA = 0.47;
    private static final int LONGEST = 36_000;

    /** Whether the band of 90 in 100 holds the true day. */
    public boolean held() {
        LocalDate late = due.late();
        return !end.isBefore(due.early()) && (late == null || !end.isAfter(late));
    }

    /** Whether it was past its limit before the earliest day that was said. */
    public boolean tooLate() {
        return end.isBefore(due.early());
    }

    /** A life, an hour a day, read some times before it is over. */
    public static SimulatedLife of(Course course, long seed) {
        Random random = new Random(seed * 31 + course.name().hashCode());
        double start = 1 + SPREAD * random.nextGaussian();
        double loss = LOSS * Math.exp(SIGMA * random.nextGaussian() - SIGMA * SIGMA / 2);
        double whole = (start - SensorOutlook.LEAST_GAIN) / loss;
        double bend = 0.5 + 2.5 * random.nextDouble();
        double fault = 0.03 + 0.07 * random.nextDouble();
        double faultAt = whole * (0.1 + 0.3 * random.nextDouble());
        DoubleUnaryOperator gain = switch (course) {
            // It has lost as much at the end as a straight one, most of it late.
            case BENT -> h -> start - loss * whole * (h / whole + bend * (h / whole) * (h / whole)) / (1 + bend);
            case BROKEN -> h -> start - loss * h - (h > faultAt ? fault : 0);
            default -> h -> start - loss * h;
        };
        int end = 1;
        while (end < LONGEST && gain.applyAsDouble(end) > SensorOutlook.LEAST_GAIN) {
            end++;
        }
        boolean broken = course == Course.BROKEN;
        double last = broken
                ? Math.max(faultAt * 1.05, faultAt + (end - faultAt) * 0.5 * random.nextDouble())
                : end * (course == Course.BENT ? 0.3 + 0.5 * random.nextDouble() : 0.1 + 0.4 * random.nextDouble());
        int readings = (course == Course.STRAIGHT ? 2 : 4) + random.nextInt(5);
        List<SensorNote> notes = new ArrayList<>();
        int renewed = 0;
        if (course == Course.REPLACED) {
            renewed = 400 + random.nextInt(2000);
            before(notes, renewed, random);
        }
        for (int i = 0; i < readings; i++) {
            boolean latest = i == readings - 1;
            int day = (int) Math.round(latest ? last : last * (i + random.nextDouble()) / readings);
            notes.add(new SensorNote(FIRST.plusDays(renewed + day), Kind.HOURS, day, ""));
            notes.add(new SensorNote(FIRST.plusDays(renewed + day), Kind.GAIN,
                    gain.applyAsDouble(day) + NOISE * random.nextGaussian(), ""));
        }
        LocalDate today = FIRST.plusDays(renewed + (long) Math.ceil(last));
        SensorOutlook outlook = SensorOutlook.of(new SensorLife("simulated", notes), today);
        LocalDate truth = FIRST.plusDays(renewed + (long) end);
        return new SimulatedLife(outlook.replace().orElse(new SensorOutlook.Due(LocalDate.MAX, LocalDate.MAX, null)),
                truth.isBefore(today) ? today : truth);
    }

    /** Readings of the sensor that was there before, up to the day on which it was replaced. */
    private static void before(List<SensorNote> notes, int until, Random random) {
        double loss = LOSS * Math.exp(SIGMA * random.nextGaussian());
        int readings = 2 + random.nextInt(3);
        for (int i = 0; i < readings; i++) {
            int day = (int) (until * (i + random.nextDouble()) / readings);
            notes.add(new SensorNote(FIRST.plusDays(day), Kind.HOURS, day, ""));
            notes.add(
                    new SensorNote(FIRST.plusDays(day), Kind.GAIN, 1 - loss * day + NOISE * random.nextGaussian(), ""));
        }
    }
}
