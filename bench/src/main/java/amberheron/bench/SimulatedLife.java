package amberheron.bench;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.freeair.SensorOutlook;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * The life of a sensor that does not exist, of which the outlook sees a few readings and the end is known.
 *
 * @param due what the outlook says of the day it is replaced
 * @param end the day it truly is past its limit
 */
public record SimulatedLife(SensorOutlook.Due due, LocalDate end) {
    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final double SPREAD = 0.02;
    private static final double NOISE = 0.005;
    /** Loss of gain in an hour: log-normal, of the mean and spread that are told. */
    private static final double LOSS = 4e-5;
    private static final double SIGMA = 0.47;
    private static final long LONGEST = 36_000;

    /** Whether the band of 90 in 100 holds the true day. */
    public boolean held() {
        LocalDate late = due.late();
        return !end.isBefore(due.early()) && (late == null || !end.isAfter(late));
    }

    /** A life, an hour a day, read two to seven times before it is half over. */
    public static SimulatedLife of(long seed) {
        Random random = new Random(seed);
        random.nextGaussian();
        double start = 1 + SPREAD * random.nextGaussian();
        double loss = LOSS * Math.exp(SIGMA * random.nextGaussian() - SIGMA * SIGMA / 2);
        double end = (start - SensorOutlook.LEAST_GAIN) / loss;
        double last = end * (0.1 + 0.4 * random.nextDouble());
        int readings = 2 + random.nextInt(6);
        List<SensorNote> notes = new ArrayList<>();
        for (int i = 0; i < readings; i++) {
            int day = (int) Math.round(last * (i + random.nextDouble()) / readings);
            notes.add(new SensorNote(FIRST.plusDays(day), Kind.HOURS, day, ""));
            notes.add(new SensorNote(FIRST.plusDays(day), Kind.GAIN, start - loss * day + NOISE * random.nextGaussian(),
                    ""));
        }
        SensorOutlook outlook = SensorOutlook.of(new SensorLife("simulated", notes), FIRST.plusDays((long) last));
        return new SimulatedLife(outlook.replace().orElse(new SensorOutlook.Due(LocalDate.MAX, LocalDate.MAX, null)),
                FIRST.plusDays(Math.min(Math.round(end), LONGEST)));
    }
}
