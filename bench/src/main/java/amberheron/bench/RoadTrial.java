package amberheron.bench;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineAsked;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * A blind trial on the road: a drive, a controller and a reader that do not exist, and the log that somebody would bring.
 *
 * @param asked what the job knows of the engine
 * @param drive the log's channels
 * @param road what truly happened
 * @param reader what truly lies between controller and reader
 */
public record RoadTrial(EngineAsked asked, Drive drive, RoadDrive road, Reader reader) {
    private static final double TOP = 1.36;
    private static final double BOTTOM = 0.62;

    /**
     * A reader.
     *
     * @param offset shown − true at λ 1
     * @param gain shown for one λ
     * @param delay s
     * @param filter time constant, s
     * @param noise λ
     * @param low least that it can show, λ
     * @param high most that it can show, λ
     * @param digit its last digit, λ
     */
    public record Reader(double offset, double gain, double delay, double filter, double noise, double low, double high,
            double digit) {
        /** A reader that is right. */
        public static Reader right(Random random) {
            return drawn(0, 1, random);
        }

        /** A reader with an error, as late and as fine as it happens to be; its ends are those of the law, or beyond. */
        public static Reader drawn(double offset, double gain, Random random) {
            boolean ends = random.nextBoolean();
            return new Reader(offset, gain, 0.4 * random.nextDouble(),
                    random.nextInt(3) == 0 ? 0 : 0.5 * random.nextDouble(), 0.001 + 0.002 * random.nextDouble(),
                    ends ? BOTTOM : 0.5, ends ? TOP : 1.5, random.nextInt(3) == 0 ? 0.01 : 0.001);
        }
    }

    /** Result of one trial of the events: events that were none, and those of the drive that were found. */
    public record Events(double minutes, int wrong, int asked, int found) {
        /** None yet. */
        public static final Events NONE = new Events(0, 0, 0, 0);

        /** Adds another. */
        public Events plus(Events other) {
            return new Events(minutes + other.minutes, wrong + other.wrong, asked + other.asked, found + other.found);
        }

        /** Wrong ones in ten minutes. */
        public double wrongInTen() {
            return 10 * wrong / minutes;
        }
    }

    /** A sound drive, or one with a mistake; the same seed is the same trial. */
    public static RoadTrial of(long seed, RoadDrive.Mistake mistake, double seconds) {
        Random random = new Random(seed);
        RoadDrive.Traits traits = RoadDrive.Traits.drawn(random);
        return of(traits, mistake, Reader.right(random), seconds, random);
    }

    /** A sound drive of any car, with a reader that is off and slow by any amount; the same seed is the same trial. */
    public static RoadTrial ofReader(long seed, double seconds) {
        Random random = new Random(50_000 + seed);
        Reader reader = Reader.drawn(0.03 * (random.nextDouble() - 0.5), 0.94 + 0.12 * random.nextDouble(), random);
        return of(RoadDrive.Traits.drawn(random), RoadDrive.Mistake.NONE, reader, seconds, random);
    }

    /** A drive of a car with a reader. */
    public static RoadTrial of(RoadDrive.Traits traits, RoadDrive.Mistake mistake, Reader reader, double seconds,
            Random random) {
        RoadDrive road = RoadDrive.of(traits, mistake, seconds, random.nextInt(4) == 0, random);
        double rate = 10 + 40 * random.nextDouble();
        return new RoadTrial(new EngineAsked(Set.of(), BOTTOM, TOP, reader.low, reader.high, 0, null),
                log(road, reader, rate, random), road, reader);
    }

    private static Drive log(RoadDrive road, Reader reader, double rate, Random random) {
        List<RoadDrive.Moment> all = road.moments();
        double[] shown = shown(all, reader);
        int n = (int) ((all.getLast().time() - 1) * rate);
        double[] time = new double[n];
        float[][] columns = new float[7][n];
        double jitter = 0.1 * random.nextDouble() / rate;
        for (int i = 0; i < n; i++) {
            double at = 0.5 + (i + 0.5) / rate + jitter * (2 * random.nextDouble() - 1);
            int k = Math.clamp(Math.round(at / RoadDrive.DT), 0, all.size() - 1);
            RoadDrive.Moment m = all.get(k);
            time[i] = Math.round(1000 * at) / 1000.0;
            columns[0][i] = (float) (Math.round(1000 * Math.clamp(m.seen(), BOTTOM, TOP)) / 1000.0);
            columns[1][i] = (float) Math.clamp(
                    Math.round((shown[k] + reader.noise * random.nextGaussian()) / reader.digit) * reader.digit,
                    reader.low,
                    reader.high);
            columns[2][i] = (float) (m.rpm() + 8 * random.nextGaussian());
            columns[3][i] = (float) m.speed();
            columns[4][i] = (float) (m.pressure() + 300 * random.nextGaussian());
            columns[5][i] = (float) (Math.round(200 * m.throttle()) / 200.0);
            columns[6][i] = (float) m.temperature();
        }
        return new Drive(time, columns[0], columns[1], columns[2], columns[3], columns[4], columns[5], columns[6], null,
                null);
    }

    /** What the reader makes of the controller's output: held to the law's ends, filtered, delayed. */
    private static double[] shown(List<RoadDrive.Moment> all, Reader reader) {
        double[] out = new double[all.size()];
        double filtered = all.getFirst().seen();
        int late = (int) Math.round(reader.delay / RoadDrive.DT);
        double part = reader.filter == 0 ? 1 : 1 - Math.exp(-RoadDrive.DT / reader.filter);
        for (int i = 0; i < out.length; i++) {
            double told = Math.clamp(all.get(Math.max(0, i - late)).seen(), BOTTOM, TOP);
            filtered += part * (told - filtered);
            out[i] = 1 + reader.offset + reader.gain * (filtered - 1);
        }
        return out;
    }

    /** What the judge makes of it. */
    public DriveFound judged() {
        return DriveFound.of(drive, asked, List.of());
    }

    /** How the lean pulls were found: those that were none, and those that were there. */
    public Events leanPulls(DriveFound found) {
        return events(found.events(DriveEvent.Kind.LEAN), road.lean(), 0.9 * road.mistake().lasts());
    }

    /** How the lean openings of the throttle were found. */
    public Events tipIns(DriveFound found) {
        return events(found.events(DriveEvent.Kind.TIP_IN), road.tipIns(), 0.3);
    }

    /** Counts events; of what is true, spans that were cut short are neither asked for nor wrong. */
    private Events events(List<DriveEvent> said, List<RoadDrive.Span> truth, double whole) {
        int wrong = 0;
        for (DriveEvent e : said) {
            wrong += truth.stream().anyMatch(s -> meet(e, s)) ? 0 : 1;
        }
        int right = 0;
        List<RoadDrive.Span> all = truth.stream().filter(s -> s.to() - s.from() >= whole).toList();
        for (RoadDrive.Span s : all) {
            right += said.stream().anyMatch(e -> meet(e, s)) ? 1 : 0;
        }
        return new Events(drive.time()[drive.size() - 1] / 60, wrong, all.size(), right);
    }

    /** Returns whether an event is of a span: the mixture shows it later, and its end is not sharp. */
    private static boolean meet(DriveEvent event, RoadDrive.Span span) {
        return event.to() >= span.from() - 0.3 && event.from() <= span.to() + 1.2;
    }
}
