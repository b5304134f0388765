package amberheron.io.log;

import static amberheron.core.units.Phrase.fixed;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.job.Job;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.function.DoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two logs of one drive, written by two programs whose clocks know nothing of each other. */
class SecondLogTest {
    private static final Catalogue SHIPPED = Catalogue.shipped();
    private static final Job JOB = Job.empty("L-2").withLaw(SHIPPED.law("straight-lambda"))
            .withReader(SHIPPED.reader("ecu-table-8"));
    /** The second clock shows so much less. */
    private static final double SHIFT = 63.7;

    @TempDir
    private Path folder = Path.of("");

    /** A walk at random that is the same for both, by the true time. */
    private static double[] walk(long seed) {
        Random random = new Random(seed);
        double[] out = new double[4000];
        for (int i = 1; i < out.length; i++) {
            out[i] = 0.97 * out[i - 1] + 0.2 * random.nextGaussian();
        }
        return out;
    }

    private static final double[] SPEED = walk(1);
    private static final double[] MIXTURE = walk(2);

    private static double at(double[] of, double time) {
        double place = time * 10;
        int i = (int) place;
        return of[i] + (place - i) * (of[i + 1] - of[i]);
    }

    private static double rpm(double time) {
        return 2500 + 600 * at(SPEED, time);
    }

    private static double lambda(double time) {
        return 1 + 0.06 * at(MIXTURE, time);
    }

    private LogFile log(String name, String header, double from, double to, double step, DoubleFunction<String> row)
            throws IOException {
        StringBuilder text = new StringBuilder(header).append('\n');
        for (int i = 0; from + i * step < to; i++) {
            text.append(row.apply(from + i * step)).append('\n');
        }
        return LogFile.of(Files.writeString(folder.resolve(name), text));
    }

    /** The controller's own log, from 20 s to 380 s of the drive by its own clock. */
    private LogFile controllers() throws IOException {
        return log("controller.csv", "time,rpm,controller lambda", 20, 380, 0.1,
                t -> fixed("%.2f,%.1f,%.4f", t, rpm(t), lambda(t)));
    }

    /** That of the tuning software, from 90 s to 320 s; its reader shows 0.01 more. */
    private LogFile tuners(String header) throws IOException {
        return log("tuner.csv", header, 90, 320, 0.07,
                t -> fixed("%.3f,%.1f,%.4f,%.1f", t - SHIFT, rpm(t), lambda(t) + 0.01, 80 + at(SPEED, t)));
    }

    @Test
    void oneDriveIsMadeOfBothByTheChannelThatTheyShare() throws IOException {
        List<Double> progress = new ArrayList<>();
        DriveLog log = DriveLog.read(JOB, controllers(), tuners("time,rpm,reader lambda,clt °C"), Map.of(),
                progress::add);
        Joined joined = Objects.requireNonNull(log.joined());
        assertThat(log.file()).isEqualTo("controller.csv");
        assertThat(joined.file()).isEqualTo("tuner.csv");
        assertThat(joined.digest()).hasSize(64).isNotEqualTo(log.digest());
        assertThat(joined.clocks().by()).isEqualTo(LogChannel.ENGINE_SPEED);
        assertThat(joined.clocks().shift()).isCloseTo(SHIFT, within(0.02));
        assertThat(joined.clocks().drift()).isCloseTo(0, within(1e-3));
        // The rows are the first one's, as far as the second reaches.
        double[] time = log.drive().time();
        assertThat(time[0]).isCloseTo(90, within(0.2));
        assertThat(time[time.length - 1]).isCloseTo(320, within(0.3));
        assertThat(time[1] - time[0]).isCloseTo(0.1, within(1e-6));
        for (int i = 5; i < time.length - 5; i += 13) {
            assertThat(log.drive().controller()[i]).isCloseTo((float) lambda(time[i]), within(1e-3f));
            assertThat(log.drive().reader()[i]).isCloseTo((float) lambda(time[i]) + 0.01f, within(7e-3f));
        }
        assertThat(log.drive().temperature()).isNotNull();
        // Columns are counted through both.
        assertThat(log.recognition().use(LogChannel.CONTROLLER).orElseThrow().column()).isEqualTo(2);
        assertThat(log.recognition().uses()).filteredOn(u -> u.channel() == LogChannel.TIME).singleElement()
                .satisfies(u -> assertThat(u.column()).isZero());
        assertThat(progress).isSorted().anyMatch(p -> p > 0.4 && p <= 0.5);
        assertThat(progress.getLast()).isEqualTo(1.0);
    }

    /** Where nothing of the engine is in both, the mixture itself has to do, and how late the reader is cannot be told. */
    @Test
    void theMixtureItselfBringsThemTogetherWhereNothingElseIsInBoth() throws IOException {
        LogFile first = log("controller.csv", "time,controller lambda", 20, 380, 0.1,
                t -> fixed("%.2f,%.4f", t, lambda(t)));
        LogFile second = log("tuner.csv", "time,reader lambda", 90, 320, 0.07,
                t -> fixed("%.3f,%.4f", t - SHIFT, lambda(t) + 0.01));
        DriveLog log = DriveLog.read(JOB, first, second, Map.of(), p -> {
        });
        Joined joined = Objects.requireNonNull(log.joined());
        assertThat(joined.clocks().by()).isEqualTo(LogChannel.CONTROLLER);
        assertThat(joined.clocks().tellsLag()).isFalse();
        assertThat(joined.clocks().shift()).isCloseTo(SHIFT, within(0.05));
        // The other way round it is the same drive.
        DriveLog turned = DriveLog.read(JOB, second, first, Map.of(), p -> {
        });
        assertThat(Objects.requireNonNull(turned.joined()).clocks().shift()).isCloseTo(-SHIFT, within(0.05));
        assertThat(turned.drive().time()[1] - turned.drive().time()[0]).isCloseTo(0.07, within(1e-6));
    }

    /** A column is named by its name in either, or by its number, the second's counted on after the first's. */
    @Test
    void columnsOfBothAreNamedByNameOrNumber() throws IOException {
        LogFile first = log("controller.csv", "stamp,again,rpm,one", 20, 380, 0.1,
                t -> fixed("%.2f,%.2f,%.1f,%.4f", t, 2 * t, rpm(t), lambda(t)));
        LogFile second = log("tuner.csv", "tick,rpm,two", 90, 320, 0.07,
                t -> fixed("%.3f,%.1f,%.4f", t - SHIFT, rpm(t), lambda(t)));
        DriveLog log = DriveLog.read(JOB, first, second, DriveLog.map("controller=one,reader=7"), p -> {
        });
        assertThat(log.recognition().use(LogChannel.READER).orElseThrow().column()).isEqualTo(6);
        assertThat(Objects.requireNonNull(log.joined()).clocks().shift()).isCloseTo(SHIFT, within(0.05));
        DriveLog.read(JOB, first, second, DriveLog.map("time=tick,controller=4,reader=two"), p -> {
        });
        assertThatThrownBy(() -> DriveLog.read(JOB, first, second, DriveLog.map("controller=one,reader=8"), p -> {
        })).hasMessageContaining("found no column “8”").hasMessageContaining("one, tick, rpm, two");
    }

    @Test
    void whatIsNotOneDriveIsRefusedAndSaid() throws IOException {
        LogFile other = log("other.csv", "time,rpm,reader lambda", 0, 200, 0.1,
                t -> fixed("%.2f,%.1f,%.4f", t, 2500 + 600 * at(walk(7), t), 1 + 0.06 * at(walk(8), t)));
        assertThatThrownBy(() -> DriveLog.read(JOB, controllers(), other, Map.of(), p -> {
        })).isInstanceOf(UnusableInput.class).hasMessageContainingAll("controller.csv + other.csv",
                "found in the other by engine speed");
        LogFile timeless = log("timeless.csv", "rpm,reader lambda", 0, 200, 0.1,
                t -> fixed("%.1f,%.4f", rpm(t), lambda(t)));
        assertThatThrownBy(() -> DriveLog.read(JOB, controllers(), timeless, Map.of(), p -> {
        })).isInstanceOf(UnusableInput.class).hasMessageContainingAll("timeless.csv", "no column of time");
    }

    /** Bad rows of both are counted; those of the second are said with its name. */
    @Test
    void badRowsOfBothAreCounted() throws IOException {
        LogFile first = log("controller.csv", "time,rpm,controller lambda", 20, 380, 0.1,
                t -> fixed(Math.abs(t - 100) < 0.01 ? "%.2f,%.1f,oops" : "%.2f,%.1f,%.4f", t, rpm(t), lambda(t)));
        LogFile second = log("tuner.csv", "time,rpm,reader lambda", 90, 320, 0.07,
                t -> fixed(t > 200 && t < 200.14 ? "%.3f,%.1f,odd" : "%.3f,%.1f,%.4f", t - SHIFT, rpm(t), lambda(t)));
        DriveLog log = DriveLog.read(JOB, first, second, Map.of(), p -> {
        });
        assertThat(log.leftOut()).isEqualTo(3);
        assertThat(log.faults()).hasSize(3).anyMatch(f -> f.startsWith("line 802: ") && f.contains("“oops”"))
                .anyMatch(f -> f.startsWith("tuner.csv: line ") && f.contains("“odd”"));
    }

    @Test
    void aReadingIsAskedForAsTyped() throws IOException {
        LogFile first = controllers();
        tuners("time,rpm,reader lambda,clt °C");
        String one = folder.resolve("controller.csv").toString();
        String two = folder.resolve("tuner.csv").toString();
        LogReading reading = LogReading.of(one, two, "", "150 – 250,5");
        assertThat(reading.logs()).extracting(LogFile::name).containsExactly("controller.csv", "tuner.csv");
        DriveLog log = reading.read(JOB, KnownColumns.in(folder), p -> {
        });
        assertThat(log.file()).isEqualTo("controller.csv, 150 to 251 s");
        assertThat(log.drive().time()[0]).isCloseTo(150, within(0.1));
        assertThat(LogReading.of(one, "", "", " ").part()).isEmpty();
        assertThat(LogReading.of(one, " ", "", "").logs()).extracting(LogFile::name).containsExactly(first.name());
        for (String bad : List.of("60", "300-60", "60-60", "a-b", "1-2-3")) {
            assertThatThrownBy(() -> LogReading.of(one, "", "", bad)).as(bad).isInstanceOf(UnusableInput.class)
                    .hasMessageContaining("such as 60-300");
        }
        assertThatThrownBy(() -> LogReading.of(" ", two, "", "")).hasMessageContaining("expected the path of a log");
        assertThatThrownBy(() -> LogReading.of(one, two, "", "900-950").read(JOB, KnownColumns.in(folder), p -> {
        })).hasMessageContaining("no usable row from 900 to 950 s");
        // What is said of the columns is known for the next logs with these headers.
        LogReading.of(one, "", "controller=3,reader=3", "").remember(KnownColumns.in(folder));
        assertThat(KnownColumns.in(folder).said(List.of(first), "")).containsEntry(LogChannel.READER, "3");
    }
}
