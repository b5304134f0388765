package amberheron.app.cli;

import amberheron.bench.DriveTrial;
import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Envelope;
import amberheron.core.drivelog.Traces;
import amberheron.core.finding.Origin;
import amberheron.core.job.Job;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.log.DriveLog;
import amberheron.io.log.LogFile;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Drives of which everything is known, and how fast a long log is read. */
final class DriveBenchmark {
    private static final int DRIVES = 200;
    static final int ROWS = 2_000_000;
    private static final int ROUND = 3000;
    private static final int READS = 5;
    static final int PLOTTED = 10_000_000;
    private static final int FRAMES = 300;
    private static final int COLUMNS = 742;

    private DriveBenchmark() {
    }

    static void run(PrintWriter out) {
        drives(out);
        plot(out);
    }

    private static void drives(PrintWriter out) {
        double[] offset = new double[DRIVES];
        double[] gain = new double[DRIVES];
        double[] lag = new double[DRIVES];
        int inside = 0;
        int lean = 0;
        int missed = 0;
        int madeUp = 0;
        long right = 0;
        long all = 0;
        for (int i = 0; i < DRIVES; i++) {
            DriveTrial trial = DriveTrial.of(i, 4, DriveTrial.drawn(new Random(1000 + i)));
            DriveFound found = DriveFound.of(trial.drive(), DriveTrial.ASKED, List.of());
            Agreement a = found.agreement();
            Double g = a == null ? null : a.gain();
            Double l = a == null ? null : a.lag();
            offset[i] = a == null ? Double.NaN : Math.abs(a.offset() - trial.fault().offset());
            gain[i] = g == null ? Double.NaN : Math.abs(g - trial.fault().gain());
            lag[i] = l == null ? Double.NaN : Math.abs(l - trial.fault().lag());
            inside += a != null && trial.fault().offset() >= a.offsetLow() && trial.fault().offset() <= a.offsetHigh()
                    ? 1
                    : 0;
            List<DriveEvent> told = found.events(DriveEvent.Kind.LEAN);
            lean += trial.lean().size();
            missed += (int) trial.lean().stream().filter(t -> told.stream().noneMatch(e -> same(e, t))).count();
            madeUp += (int) told.stream().filter(e -> trial.lean().stream().noneMatch(t -> same(e, t))).count();
            all += trial.labelled();
            right += trial.right(found);
        }
        out.printf(Locale.ROOT, "%-46s %9.4f λ      aim: 0.002, %.0f %% inside their interval of 95%n",
                "drives: offset, worst of " + DRIVES, worst(offset), 100.0 * inside / DRIVES);
        out.printf(Locale.ROOT, "%-46s %8.2f %%       aim: 1 %%%n", "gain, worst", 100 * worst(gain));
        out.printf(Locale.ROOT, "%-46s %8.1f ms      aim: 5 ms%n", "lag, worst", 1000 * worst(lag));
        out.printf(Locale.ROOT, "%-46s %8d          of %d, and %d made up%n", "lean pulls missed", missed, lean,
                madeUp);
        out.printf(Locale.ROOT, "%-46s %7.2f %%          aim: 95 %%%n", "way of running right", 100.0 * right / all);
    }

    /** Look-ups of the plot for one frame, at 10 M rows: the least and greatest of three traces in each column. */
    private static void plot(PrintWriter out) {
        double[] time = new double[PLOTTED];
        float[] told = new float[PLOTTED];
        float[] shown = new float[PLOTTED];
        Random random = new Random(3);
        for (int i = 0; i < PLOTTED; i++) {
            time[i] = i * 0.05;
            told[i] = 0.9f + 0.2f * random.nextFloat();
            shown[i] = told[i] + 0.01f * random.nextFloat();
        }
        long start = System.nanoTime();
        Traces traces = Traces.of(Drive.of(time, told, shown));
        out.printf(Locale.ROOT, "%-46s %8.2f s%n", "10 M rows made ready for the plot",
                (System.nanoTime() - start) / 1e9);
        double[] frames = new double[FRAMES];
        double seen = 0;
        for (int f = 0; f < FRAMES; f++) {
            double from = traces.end() * f / (2.0 * FRAMES);
            long begun = System.nanoTime();
            int[] begins = traces.columns(from, traces.end(), COLUMNS);
            for (int c = 0; c < COLUMNS; c++) {
                for (Envelope envelope : List.of(traces.controller(), traces.reader(), traces.difference())) {
                    seen += envelope.most(begins[c], begins[c + 1]) - envelope.least(begins[c], begins[c + 1]);
                }
            }
            frames[f] = (System.nanoTime() - begun) / 1e6;
        }
        Arrays.sort(frames);
        out.printf(Locale.ROOT, "%-46s %8.2f ms      aim: 8 with the drawing; 95 %%: %.2f (%.0f)%n",
                "its columns for one frame", frames[FRAMES / 2], frames[FRAMES * 95 / 100], seen);
    }

    private static boolean same(DriveEvent told, double[] made) {
        return told.to() >= made[0] - 0.1 && told.from() <= made[1] + 0.5;
    }

    private static double worst(double[] errors) {
        return Arrays.stream(errors).max().orElse(Double.NaN);
    }

    /** A log of so many rows of twelve columns; whoever asks for it deletes it. */
    static Path log(int rows) throws IOException {
        // The same rows over and over but for their time: ten million are written in seconds.
        String[] rest = new String[ROUND];
        for (int i = 0; i < ROUND; i++) {
            double lambda = 1 + 0.1 * Math.sin(2 * Math.PI * i / ROUND);
            rest[i] = String.format(Locale.ROOT, ",%d,%.3f,%.3f,%.1f,%.1f,85.0,13.9,%.1f,3.10,3,80.0%n",
                    2000 + i % 500, lambda, lambda + 0.002, 60 + i % 30 * 0.5, 20 + i % 10 * 0.3, 20.0 + i % 5);
        }
        Path file = Files.createTempFile("drive", ".csv");
        try (BufferedWriter csv = Files.newBufferedWriter(file)) {
            csv.write("time,rpm,controller_lambda,reader_lambda,map kpa,tps,clt,battery,spark,pulse,gear,speed km/h\n");
            for (int i = 0; i < rows; i++) {
                String hundredths = String.valueOf(100 + i % 20 * 5);
                csv.append(String.valueOf(i / 20)).append('.').append(hundredths, 1, 3).append(rest[i % ROUND]);
            }
        }
        return file;
    }

    /** How fast a long log is read and judged. */
    static void logs(PrintWriter out) throws IOException {
        Path file = log(ROWS);
        try {
            Job job = Job.empty("B").withLaw(Catalogue.shipped().laws().getFirst())
                    .withReader(Catalogue.shipped().readers().getFirst());
            double megabytes = Files.size(file) / 1e6;
            double[] speed = new double[READS];
            double[] judged = new double[READS];
            for (int i = 0; i < READS; i++) {
                long start = System.nanoTime();
                DriveLog log = DriveLog.read(job, LogFile.of(file), Map.of(), part -> {
                });
                long read = System.nanoTime();
                log.proved(job, Origin.UNRECORDED);
                speed[i] = megabytes / ((read - start) / 1e9);
                judged[i] = (System.nanoTime() - read) / 1e9;
            }
            Arrays.sort(speed);
            Arrays.sort(judged);
            out.printf(Locale.ROOT, "%-46s %8.0f MB/s    %.0f MB, %,d rows of 12 columns; aim: 150%n", "a log read",
                    speed[READS / 2], megabytes, ROWS);
            out.printf(Locale.ROOT, "%-46s %8.2f s%n", "and judged in", judged[READS / 2]);
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
