package amberheron.bench;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineAsked;
import amberheron.core.drivelog.Regime.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A drive of which everything is known: how the engine was run at each moment, how far the reader is off and how late, what
 * was lost and where it was lean. Made by rules of its own, so that what finds them is not tried on its own thresholds.
 *
 * @param kinds how the engine was run at each row; null on the way from one to the next
 * @param lean where it was lean under load, from and to, s
 */
@SuppressWarnings("ArrayRecordComponent") // made to be looked into
public record DriveTrial(Drive drive, @Nullable Kind[] kinds, List<double[]> lean, int lost, Fault fault) {
    /** Stream of the controller of the trials. */
    public static final EngineAsked ASKED = new EngineAsked(Set.of(), 0.62, 1.38, 0.5, 1.6, 0, null);
    private static final double RATE = 20;
    private static final double LIFT = 1.38;

    /**
     * The fault.
     *
     * @param offset shown − true at λ 1
     * @param gain shown per true
     * @param lag s
     * @param noise of the reader, λ
     * @param lostParts stretches in which the reader shows nothing
     * @param leanPulls pulls in which the mixture leans out
     * @param leak how much leaner an idle is, λ
     */
    public record Fault(double offset, double gain, double lag, double noise, int lostParts, int leanPulls,
            double leak) {
    }

    /** A fault drawn by chance. */
    public static Fault drawn(Random random) {
        return new Fault(0.03 * (random.nextDouble() - 0.5), 0.9 + 0.2 * random.nextDouble(),
                0.05 + 0.6 * random.nextDouble(), 0.001 + 0.003 * random.nextDouble(), random.nextInt(3),
                random.nextInt(3), random.nextInt(4) == 0 ? 0.08 : 0);
    }

    private static final class Made {
        final List<double[]> rows = new ArrayList<>();
        final List<@Nullable Kind> kinds = new ArrayList<>();
        final List<double[]> lean = new ArrayList<>();
        double rpm = 900;
        double speed;
        double temperature = 293;
        double lambda = 0.75;

        double now() {
            return rows.size() / RATE;
        }
    }

    /** A drive of some rounds: cold start, idle, and pull away, cruise, pull, lift off, idle. */
    public static DriveTrial of(long seed, int rounds, Fault fault) {
        Random random = new Random(seed);
        Made made = new Made();
        for (int i = 0; i < 40 * RATE; i++) {
            made.temperature += 55 / (40 * RATE);
            made.lambda = 0.72 + 0.2 * i / (40 * RATE);
            step(made, 1150 - 200 * i / (40 * RATE), 0, 0, made.temperature < 333.15 ? Kind.COLD_START : null, random);
        }
        made.temperature = 361;
        for (int round = 0; round < rounds; round++) {
            idle(made, 12 + random.nextInt(10), fault.leak(), random);
            pull(made, 0.45, 3 + random.nextInt(3), 0.95, null, random);
            cruise(made, 15 + random.nextInt(15), random);
            boolean lean = round < fault.leanPulls();
            pull(made, 0.97, 4 + random.nextInt(3), 0.82, lean ? 0.96 + 0.1 * random.nextDouble() : null, random);
            lift(made, 3 + random.nextInt(3), random);
            cruise(made, 10 + random.nextInt(10), random);
            lift(made, 4, random);
        }
        idle(made, 15, fault.leak(), random);
        return told(made, fault, random);
    }

    private static void step(Made m, double rpm, double speed, double throttle, @Nullable Kind kind, Random random) {
        m.rpm = rpm;
        m.speed = speed;
        double pressure = 30_000 + 68_000 * Math.min(1, throttle * 1.1 + 0.05) + 300 * random.nextGaussian();
        m.rows.add(new double[]{m.now(), m.lambda, rpm + 6 * random.nextGaussian(),
                Math.max(0, speed + 0.03 * random.nextGaussian()), pressure,
                Math.clamp(throttle + 0.002 * random.nextGaussian(), 0, 1), m.temperature});
        m.kinds.add(kind);
    }

    private static void towards(Made m, double lambda) {
        m.lambda += (lambda - m.lambda) * (1 - Math.exp(-1 / (0.25 * RATE)));
    }

    private static void idle(Made m, double seconds, double leak, Random random) {
        for (int i = 0; i < seconds * RATE; i++) {
            towards(m, 1 + leak + 0.02 * Math.sin(2 * Math.PI * 0.8 * m.now()));
            double settle = Math.exp(-i / RATE / 0.5);
            step(m, 850 + (m.rpm - 850) * settle, m.speed * settle * 0.9, 0.01, i < 1.5 * RATE ? null : Kind.IDLE,
                    random);
        }
    }

    private static void pull(Made m, double throttle, double seconds, double lambda, @Nullable Double lean,
            Random random) {
        double start = m.rpm;
        double from = m.now() + seconds * 0.4;
        for (int i = 0; i < seconds * RATE; i++) {
            double part = i / (seconds * RATE);
            boolean leans = m.now() >= from && m.now() < from + 1.2;
            towards(m, lean != null && leans ? lean : lambda);
            boolean full = throttle > 0.9;
            boolean settled = i >= 0.4 * RATE;
            step(m, start + Math.min(5800 - start, 600 * seconds) * part, m.speed + 2.2 / RATE, throttle,
                    !settled ? null : full ? Kind.FULL_LOAD : Kind.ACCELERATION, random);
        }
        if (lean != null) {
            m.lean.add(new double[]{from, from + 1.2});
        }
    }

    private static void cruise(Made m, double seconds, Random random) {
        double rpm = 2400 + 400 * random.nextDouble();
        double speed = Math.max(12, m.speed);
        for (int i = 0; i < seconds * RATE; i++) {
            towards(m, 1 + 0.015 * Math.sin(2 * Math.PI * 0.6 * m.now()));
            double settle = Math.exp(-i / RATE / 0.6);
            step(m, rpm + (m.rpm - rpm) * settle, speed + (m.speed - speed) * settle, 0.22,
                    i < 2.5 * RATE ? null : Kind.CRUISE, random);
        }
    }

    private static void lift(Made m, double seconds, Random random) {
        for (int i = 0; i < seconds * RATE; i++) {
            m.lambda = i < 0.3 * RATE ? m.lambda : Math.min(LIFT, m.lambda + 0.3);
            step(m, Math.max(1500, m.rpm - 250 / RATE), Math.max(4, m.speed - 1.2 / RATE), 0,
                    i < 0.6 * RATE ? null : Kind.LIFT_OFF, random);
        }
        m.lambda = 1;
    }

    private static DriveTrial told(Made m, Fault fault, Random random) {
        int n = m.rows.size();
        double[] time = new double[n];
        float[][] columns = new float[7][n];
        for (int i = 0; i < n; i++) {
            double[] row = m.rows.get(i);
            time[i] = row[0];
            columns[0][i] = (float) (Math.round(1000 * Math.clamp(row[1] + 0.001 * random.nextGaussian(), 0.62, 1.38))
                    / 1000.0);
            for (int c = 2; c < 7; c++) {
                columns[c - 1][i] = (float) row[c];
            }
        }
        float[] reader = new float[n];
        for (int i = 0; i < n; i++) {
            double late = time[i] - fault.lag();
            int at = (int) Math.clamp(Math.floor(late * RATE), 0, n - 2);
            double part = Math.clamp(late * RATE - at, 0, 1);
            double truth = m.rows.get(at)[1] + part * (m.rows.get(at + 1)[1] - m.rows.get(at)[1]);
            double held = Math.clamp(truth, 0.62, 1.38);
            reader[i] = (float) (1 + fault.offset() + fault.gain() * (held - 1)
                    + fault.noise() * random.nextGaussian());
        }
        int lost = 0;
        for (int k = 0; k < fault.lostParts(); k++) {
            int from = (int) (60 * RATE) + random.nextInt(n - (int) (80 * RATE));
            int length = (int) (RATE * (1 + 2 * random.nextDouble()));
            for (int i = from; i < from + length; i++) {
                lost += Float.isNaN(reader[i]) ? 0 : 1;
                reader[i] = Float.NaN;
            }
        }
        return new DriveTrial(new Drive(time, columns[0], reader, columns[1], columns[2], columns[3], columns[4],
                columns[5], null, null), m.kinds.toArray(new Kind[0]), List.copyOf(m.lean), lost, fault);
    }

    /** Rows of those for which the way the engine was run was found, to half a step of the finder's clock. */
    public long right(DriveFound found) {
        long right = 0;
        for (int k = 0; k < kinds.length; k++) {
            Kind kind = kinds[k];
            double now = drive.time()[k];
            right += kind != null && found.regimes().stream()
                    .anyMatch(r -> r.kind() == kind && now >= r.from() - 0.06 && now <= r.to() + 0.06) ? 1 : 0;
        }
        return right;
    }

    /** Rows of which is known how the engine was run. */
    public long labelled() {
        return Arrays.stream(kinds).filter(k -> k != null).count();
    }
}
