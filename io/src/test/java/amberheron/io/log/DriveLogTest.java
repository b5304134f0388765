package amberheron.io.log;

import static amberheron.core.units.Phrase.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.ColumnUse;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.finding.Source;
import amberheron.core.job.Job;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.MixtureScale;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Logs of different habits, all of the same drive, read without a word typed. */
class DriveLogTest {
    private static final Catalogue SHIPPED = Catalogue.shipped();
    /** A controller in AFR of petrol, a reader in λ. */
    private static final Job JOB = Job.empty("L-1").withLaw(SHIPPED.law("straight-afr"))
            .withReader(SHIPPED.reader("ecu-table-8"));
    private static final int ROWS = 400;

    @TempDir
    private Path folder = Path.of("");

    private static double lambda(int i) {
        // Most of the time about 1, as an engine runs.
        return 1 + 0.12 * Math.pow(Math.sin(i / 20.0), 3);
    }

    private static double rpm(int i) {
        return 1500 + 900 * Math.sin(i / 30.0);
    }

    /** A habit: what it is, the text of its log. */
    record Habit(String name, String text, Charset charset) {
        static Habit of(String name, String head, IntFunction<String> row) {
            return new Habit(name,
                    head + IntStream.range(0, ROWS).mapToObj(row).collect(Collectors.joining("\n")) + "\n",
                    StandardCharsets.UTF_8);
        }

        Habit in(Charset other) {
            return new Habit(name, text, other);
        }

        /** Its writer was stopped in the middle of the last line. */
        Habit cut() {
            return new Habit(name, text.stripTrailing(), charset);
        }

        @Override
        public String toString() {
            return name;
        }
    }

    private static String afr(int i) {
        return say("%.2f", 14.7 * lambda(i));
    }

    private static String told(int i) {
        return say("%.3f", lambda(i));
    }

    private static String comma(String number) {
        return number.replace('.', ',');
    }

    static Stream<Habit> habits() {
        return Stream.of(
                Habit.of("plain", "time,controller,reader\n",
                        i -> say("%.2f,%s,%s", i * 0.05, told(i), told(i))),
                Habit.of("AFR at the controller, λ at the reader", "Time (s),Controller AFR,ECU Lambda,RPM\n",
                        i -> say("%.2f,%s,%s,%.0f", i * 0.05, afr(i), told(i), rpm(i))),
                Habit.of("AFR at both, though the reader is one of λ", "time,controller,reader\n",
                        i -> say("%.2f,%s,%s", i * 0.05, afr(i), afr(i))),
                Habit.of("semicolons and decimal commas", "Zeit [s];Drehzahl [1/min];Controller [λ];Logger [λ]\n",
                        i -> comma(say("%.2f;%.0f;%s;%s", i * 0.05, rpm(i), told(i), told(i)))),
                Habit.of("tabs, milliseconds, a row of units",
                        "Timestamp\tEngine Speed\tWideband AFR\tAIN1 Lambda\nms\trpm\tAFR\tlambda\n",
                        i -> say("%d\t%.0f\t%s\t%s", i * 50, rpm(i), afr(i), told(i))),
                Habit.of("time of the clock, past midnight", "Clock,Gauge Lambda,Logger Lambda\n",
                        i -> say("%02d:%02d:%06.3f,%s,%s", (86390 + i / 20) / 3600 % 24, (86390 + i / 20) / 60 % 60,
                                (86390 + i / 20) % 60 + i % 20 * 0.05, told(i), told(i))),
                Habit.of("date and time", "Date Time,controller lambda,reader lambda\n",
                        i -> say("2026-05-01 10:%02d:%06.3f,%s,%s", i / 1200, i / 20 % 60 + i % 20 * 0.05, told(i),
                                told(i))),
                Habit.of("comments before and a preamble",
                        "# a log of the shop\n# two lines\n\nSession: test drive\n\ntime,controller,reader\n",
                        i -> say("%.2f,%s,%s", i * 0.05, told(i), told(i))),
                Habit.of("quotes", "\"time\",\"controller\",\"reader\"\n",
                        i -> say("\"%.2f\",\"%s\",\"%s\"", i * 0.05, told(i), told(i))),
                Habit.of("quoted decimal commas", "time,controller,reader\n",
                        i -> say("\"%s\",\"%s\",\"%s\"", comma(say("%.2f", i * 0.05)), comma(told(i)),
                                comma(told(i)))),
                Habit.of("equivalence ratio at the reader, rich above 1", "time,controller lambda,reader equivalence\n",
                        i -> say("%.2f,%s,%.4f", i * 0.05, told(i), 1 / lambda(i))),
                Habit.of("bars", "time|controller|reader\n",
                        i -> say("%.2f|%s|%s", i * 0.05, told(i), told(i))),
                Habit.of("blanks", "time controller reader\n",
                        i -> say("%8.2f  %s   %s", i * 0.05, told(i), told(i))),
                Habit.of("volts at the reader's input", "time [s],controller [AFR],logger input [V]\n",
                        i -> say("%.2f,%s,%.3f", i * 0.05, afr(i),
                                SHIPPED.law("straight-afr").voltsAt(lambda(i)))),
                Habit.of("counts at the reader's input", "time,controller afr,adc raw counts\n",
                        i -> say("%.2f,%s,%d", i * 0.05, afr(i),
                                SHIPPED.reader("ecu-table-8").input().counts(
                                        SHIPPED.law("straight-afr").voltsAt(lambda(i))))),
                Habit.of("channels of different rates", "time,controller,reader,rpm\n",
                        i -> say("%.3f,%s,%s,%s", i * 0.05, told(i), i % 2 == 0 ? told(i) : "",
                                i % 5 == 0 ? say("%.0f", rpm(i)) : "")),
                Habit.of("many channels that are of no use",
                        "time;battery V;gear;controller λ;knock;reader λ;fuel trim %;MAP kPa;TPS %;CLT °C\n",
                        i -> say("%.2f;13.9;3;%s;0;%s;1.2;%.1f;%.1f;84", i * 0.05, told(i), told(i),
                                60 + 30 * Math.sin(i / 30.0), 20 + 15 * Math.sin(i / 30.0))),
                Habit.of("UTF-16", "Time;Controller Lambda;Reader Lambda\n",
                        i -> say("%.2f;%s;%s", i * 0.05, told(i), told(i))).in(StandardCharsets.UTF_16LE),
                Habit.of("Windows' own letters", "Zeit;Steuergerät λ;Logger Gemisch\n",
                        i -> say("%.2f;%s;%s", i * 0.05, told(i), told(i))).in(Charset.forName("windows-1252")),
                Habit.of("no time by name, counted since 1970", "utc,controller,reader\n",
                        i -> say("%.2f,%s,%s", 1_777_000_000 + i * 0.05, told(i), told(i))),
                Habit.of("carriage returns and a line cut off", "time,controller,reader\r\n",
                        i -> say("%.2f,%s,%s", i * 0.05, told(i), told(i)) + (i == ROWS - 1 ? "\r\n99.9,1." : "\r"))
                        .cut());
    }

    private Path file(Habit habit) throws IOException {
        byte[] bytes = habit.text().getBytes(habit.charset());
        if (habit.charset().equals(StandardCharsets.UTF_16LE)) {
            byte[] marked = new byte[bytes.length + 2];
            marked[0] = (byte) 0xff;
            marked[1] = (byte) 0xfe;
            System.arraycopy(bytes, 0, marked, 2, bytes.length);
            bytes = marked;
        }
        return Files.write(folder.resolve("log.csv"), bytes);
    }

    private static DriveLog read(Path path) {
        return DriveLog.read(JOB, LogFile.of(path), Map.of(), part -> {
        });
    }

    @ParameterizedTest
    @MethodSource("habits")
    void aLogOfAnyHabitIsReadWithoutAWord(Habit habit) throws IOException {
        DriveLog log = read(file(habit));
        double[] time = log.drive().time();
        assertThat(time[time.length - 1] - time[0]).isCloseTo((ROWS - 1) * 0.05, within(1e-3));
        int compared = 0;
        for (int i = 0; i < ROWS; i++) {
            assertThat(log.drive().controller()[i]).as("row %d", i).isCloseTo((float) lambda(i), within(0.003f));
            if (!Float.isNaN(log.drive().reader()[i])) {
                assertThat(log.drive().reader()[i]).as("row %d", i).isCloseTo((float) lambda(i), within(0.003f));
                compared++;
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(ROWS / 2);
        assertThat(log.digest()).hasSize(64);
        assertThat(log.recognition().uses()).extracting(ColumnUse::because).noneMatch(String::isEmpty);
    }

    /** What could be one thing or another is asked, with the columns there are; never taken silently. */
    @ParameterizedTest
    @ValueSource(strings = {"time,lambda 1,lambda 2", "time,afr,rpm", "time,controller,analog 1 lambda,analog 2 lambda",
            "time,controller,battery"})
    void whatCannotBeToldIsAsked(String header) throws IOException {
        int columns = header.split(",", -1).length;
        String rows = IntStream.range(0, ROWS).mapToObj(i -> say("%.2f,", i * 0.05)
                + String.join(",", IntStream.range(1, columns)
                        .mapToObj(c -> header.endsWith("battery") && c == 2 ? "113.9" : told(i)).toList()))
                .collect(Collectors.joining("\n"));
        Path path = Files.writeString(folder.resolve("asked.csv"), header + "\n" + rows + "\n");
        assertThatThrownBy(() -> read(path)).isInstanceOf(UnusableInput.class).hasMessageContaining("asked.csv");
    }

    @Test
    void whatIsNamedIsNotDoubted() throws IOException {
        Habit habit = Habit.of("two", "time,lambda 1,lambda 2,rpm\n",
                i -> say("%.2f,%s,%s,900", i * 0.05, told(i), told(i)));
        Path path = file(habit);
        DriveLog log = DriveLog.read(JOB, LogFile.of(path), DriveLog.map("controller=lambda 1,reader=3"), part -> {
        });
        assertThat(log.recognition().use(LogChannel.READER).orElseThrow().column()).isEqualTo(2);
        assertThatThrownBy(() -> DriveLog.read(JOB, LogFile.of(path), DriveLog.map("controller=nothing"), part -> {
        })).hasMessageContaining("found no column “nothing”").hasMessageContaining("lambda 1, lambda 2");
        assertThatThrownBy(() -> DriveLog.map("colour=3")).hasMessageContaining("time, controller, reader");
    }

    /** Said once, a header is known; another one is not. */
    @Test
    void whatWasSaidOfAHeaderIsRemembered() throws IOException {
        Habit two = Habit.of("two", "time,lambda 1,lambda 2\n", i -> say("%.2f,%s,%s", i * 0.05, told(i), told(i)));
        Path path = file(two);
        KnownColumns.in(folder).remember(List.of(LogFile.of(path)), "controller=2,reader=3");
        assertThat(KnownColumns.in(folder).said(List.of(LogFile.of(path)), ""))
                .isEqualTo(DriveLog.map("controller=2,reader=3"));
        Path other = Files.writeString(folder.resolve("other.csv"), two.text().replace("lambda 2", "lambda 3"));
        assertThat(KnownColumns.in(folder).said(List.of(LogFile.of(other)), "")).isEmpty();
        Files.writeString(folder.resolve("log-columns.properties"), "a=\\u00zz");
        assertThatThrownBy(() -> KnownColumns.in(folder).said(List.of(LogFile.of(path)), ""))
                .isInstanceOf(UnusableInput.class)
                .hasMessageContaining("mend it or put it aside");
    }

    private DriveLog clocked(String name, double... times) throws IOException {
        StringBuilder text = new StringBuilder("time,rpm,controller,reader\n");
        for (int i = 0; i < times.length; i++) {
            text.append(say("%.3f,%d,14.7,1.01%n", times[i], 900 + i));
        }
        return read(Files.writeString(folder.resolve(name), text));
    }

    private static double[] seconds(double from, int rows) {
        return IntStream.range(0, rows).mapToDouble(i -> from + i * 0.1).toArray();
    }

    private static double[] joined(double[]... parts) {
        return Arrays.stream(parts).flatMapToDouble(Arrays::stream).toArray();
    }

    /** One odd time is one row; where the clock jumps for good, the longest stretch of one clock is the drive. */
    @Test
    void aClockThatJumpsLosesNoMoreThanItMust() throws IOException {
        DriveLog odd = clocked("odd.csv", joined(seconds(0, 100), new double[]{2_147_483_648.0}, seconds(10, 300)));
        assertThat(odd.leftOut()).isEqualTo(1);
        assertThat(odd.drive().time()).hasSize(400);
        assertThat(odd.faults()).singleElement().asString().contains("line 102", "2147483648.000 s after 9.900 s");

        DriveLog since = clocked("since.csv", joined(seconds(0, 120), seconds(1_764_000_000.0, 300)));
        assertThat(since.drive().time()).hasSize(300).startsWith(0.0);
        assertThat(since.leftOut()).isEqualTo(120);
        assertThat(since.faults().getFirst()).contains("line 122: the clock jumps", "120 rows of other clocks");

        DriveLog back = clocked("back.csv", joined(seconds(100, 300), seconds(50, 200)));
        assertThat(back.drive().time()).hasSize(300).startsWith(100.0);
        assertThat(back.leftOut()).isEqualTo(200);
        assertThatThrownBy(() -> clocked("none.csv",
                joined(seconds(100, 90), seconds(50, 90), seconds(20, 90), seconds(0, 90))))
                .isInstanceOf(UnusableInput.class)
                .hasMessageContainingAll("line 92", "the clock jumps 3 times", "no stretch of one clock is 10 s long");
    }

    /** Past midnight the clock of the day goes on; one that is put back by some hours is another clock. */
    @Test
    void midnightIsNoJumpAndAClockPutBackIsOne() throws IOException {
        DriveLog night = clocked("night.csv", joined(seconds(86_390, 90), seconds(0.1, 300)));
        assertThat(night.drive().time()).hasSize(390);
        assertThat(night.drive().time()[389] - night.drive().time()[0]).isCloseTo(40, within(1.5));
        assertThat(night.leftOut()).isZero();
        for (double back : new double[]{3_600, 11 * 3_600}) {
            DriveLog put = clocked("put.csv", joined(seconds(50_000, 150), seconds(50_015 - back, 400)));
            assertThat(put.drive().time()).as("put back by " + back).hasSize(400);
            assertThat(put.leftOut()).isEqualTo(150);
        }
    }

    @Test
    void goodRowsAreKeptAndBadOnesSaidWithLineAndReason() throws IOException {
        String text = "time,rpm,controller,reader\n"
                + IntStream.range(0, 40).mapToObj(i -> say("%.2f,900,14.7,1.01", i * 0.1))
                        .collect(Collectors.joining("\n"))
                + "\n4.0,900,,1.01\n4.1,900,14.7,oops\n4.2,900,14.7,1.01\n3.0,900,14.7,1.01\nlater,900,14.7,1\n";
        DriveLog log = read(Files.writeString(folder.resolve("bad.csv"), text));
        assertThat(log.leftOut()).isEqualTo(3);
        assertThat(log.faults()).anyMatch(f -> f.contains("line 43") && f.contains("“oops”"))
                .anyMatch(f -> f.contains("line 45: found the time 3.000 s after 4.200 s"))
                .anyMatch(f -> f.contains("“later”"));
        assertThat(log.drive().time()).hasSize(42);
        assertThat(log.drive().controller()[0]).isCloseTo(1f, within(1e-6f));
    }

    /** The ratio that an AFR was meant with is the one that brings both together, and is said. */
    @Test
    void anAfrOfAnotherFuelIsRecognised() throws IOException {
        Job alcohol = JOB.withGauge(MixtureScale.afr(9.0));
        Habit habit = Habit.of("E85", "time,gauge afr,logger lambda\n",
                i -> say("%.2f,%.2f,%s", i * 0.05, 9.0 * lambda(i), told(i)));
        DriveLog log = DriveLog.read(alcohol, LogFile.of(file(habit)), Map.of(), part -> {
        });
        assertThat(log.drive().controller()[10]).isCloseTo((float) lambda(10), within(0.003f));
        assertThat(log.recognition().use(LogChannel.CONTROLLER).orElseThrow().quantity()).contains("9.00");
    }

    private static Habit afr(String what, String head, double told, double shown) {
        return Habit.of(what, head, i -> say("%.2f,%.2f,%.2f", i * 0.05, told * lambda(i), shown * lambda(i)));
    }

    /** Both in AFR of the fuel in the tank, of another, of two; a ratio in the head or said; one that cannot be told is asked. */
    @Test
    void anAfrIsReadWithTheRatioThatItWasMeantWith() throws IOException {
        Job e85 = JOB.withIntake(JOB.intake().withFuel(new Fuel("e85", "E85", 9.82, Source.practice("made up"))));
        String head = "time,controller AFR,reader AFR\n";
        for (Habit habit : List.of(afr("both 9.82", head, 9.82, 9.82), afr("both 14.7", head, 14.7, 14.7),
                afr("two ratios", head, 14.7, 9.82), afr("the other way round", head, 9.82, 14.7))) {
            DriveLog log = DriveLog.read(e85, LogFile.of(file(habit)), Map.of(), part -> {
            });
            for (int i = 0; i < ROWS; i += 7) {
                assertThat(log.drive().controller()[i]).as(habit.name()).isCloseTo((float) lambda(i), within(0.002f));
                assertThat(log.drive().reader()[i]).as(habit.name()).isCloseTo((float) lambda(i), within(0.002f));
            }
        }
        for (double ratio : new double[]{6.47, 9.0, 9.82, 13.21, 15.67}) {
            Habit unknown = afr("nothing said", head, ratio, ratio);
            Path path = file(unknown);
            assertThatThrownBy(() -> read(path)).as("%.2f", ratio).isInstanceOf(UnusableInput.class)
                    .hasMessageContaining("say with which ratio it is meant").hasMessageContaining("controller AFR@");
            String said = say("controller=controller AFR@%.2f,reader=3@%.2f", ratio, ratio);
            DriveLog log = DriveLog.read(JOB, LogFile.of(path), DriveLog.map(said), part -> {
            });
            assertThat(log.drive().controller()[20]).isCloseTo((float) lambda(20), within(0.002f));
            assertThat(log.recognition().use(LogChannel.READER).orElseThrow().quantity()).contains(say("%.2f", ratio));
            DriveLog written = read(
                    file(afr("in the head", say("time,controller AFR %.2f,reader (AFR %.2f)\n", ratio, ratio),
                            ratio, ratio)));
            assertThat(written.drive().reader()[20]).isCloseTo((float) lambda(20), within(0.002f));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "no numbers here\nat all\n", "time,controller,reader\n", "1\n2\n3\n"})
    void whatIsNoLogIsRefused(String text) throws IOException {
        Path path = Files.writeString(folder.resolve("none.csv"), text);
        assertThatThrownBy(() -> read(path)).isInstanceOf(UnusableInput.class).hasMessageContaining("none.csv");
    }

    @Test
    void whatIsNotThereOrNoFileIsSaid() {
        assertThatThrownBy(() -> read(folder.resolve("gone.csv"))).hasMessageContaining("no such file");
        assertThatThrownBy(() -> read(folder)).hasMessageContaining("is a folder");
    }

    /** Read in pieces on several threads, and still row by row as it stands. */
    @Test
    void aLogOfManyPiecesIsReadInOrder() throws IOException {
        int rows = 400_000;
        StringBuilder text = new StringBuilder("time,controller,reader,note\n");
        for (int i = 0; i < rows; i++) {
            text.append(i / 20).append('.').append(Arrays.asList("00", "05", "10", "15", "20", "25", "30", "35", "40",
                    "45", "50", "55", "60", "65", "70", "75", "80", "85", "90", "95").get(i % 20)).append(",1.0")
                    .append(i % 10).append(",1.0").append(i % 10).append(",nothing of note\n");
        }
        DriveLog log = read(Files.writeString(folder.resolve("many.csv"), text));
        assertThat(log.drive().time()).hasSize(rows);
        assertThat(log.leftOut()).isZero();
        for (int i = 0; i < rows; i += 777) {
            assertThat(log.drive().time()[i]).isCloseTo(i / 20.0, within(1e-6));
            assertThat(log.drive().reader()[i]).isEqualTo(log.drive().controller()[i]);
        }
        assertThat(List.of(log.drive().controller()[7], log.drive().controller()[17])).allMatch(v -> v == 1.07f);
    }
}
