package amberheron.io.book;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.State;
import amberheron.core.finding.Source;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachEvent;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Job;
import amberheron.io.json.JobDocument;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A program that calibrates a sensor again and again, writes each step to a book as fast as it can and says what was
 * acknowledged, to be killed in the middle.
 */
final class BookWriter {
    /** What leads through a calibration, and begins it anew. */
    private static final List<CoachEvent> EVENTS = List.of(new CoachEvent.Done(), new CoachEvent.Sees(State.COLD),
            new CoachEvent.Sees(State.READY), new CoachEvent.Tick(),
            new CoachEvent.Shows(0.209, null, false), new CoachEvent.Recorded());

    private BookWriter() {
    }

    /** Arguments: the book's address, and the folder for the copy of a shared one. */
    public static void main(String[] args) {
        ControllerSheet sheet = sheet();
        Instant now = Instant.parse("2026-05-01T09:00:00Z");
        try (OpenBook book = OpenBook.at(BookAddress.parse(args[0]), Path.of(args[1]))) {
            JobBook.Kept kept = book.load("K").orElseGet(() -> book.add(JobDocument.of(Job.empty("K")), null));
            Coach coach = opened(kept.document().job(), now);
            long revision = kept.revision();
            while (true) {
                now = now.plusSeconds(20);
                coach = coach.on(EVENTS.get((int) (revision % EVENTS.size())), now);
                Job job = kept.document().job();
                FreeAirCheck air = job.air().withController(sheet).withCoaching(coach.now());
                revision = book.save(kept.document().with(job.withAir(air).withIntake(
                        job.intake().withVehicle("entry " + (revision + 1) + " " + coach.now().step()))), null,
                        revision);
                System.out.println(revision);
            }
        }
    }

    /** Starts the program on a book. */
    static Process start(String address, Path home) throws IOException {
        return new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xshare:auto", "--enable-native-access=ALL-UNNAMED",
                "-cp", System.getProperty("java.class.path"), BookWriter.class.getName(), address, home.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD).start();
    }

    /**
     * Kills the program after so many entries.
     *
     * @return the last entry that it said was acknowledged
     */
    static long killed(Process writer, int entries) throws IOException, InterruptedException {
        long acknowledged = 0;
        try (BufferedReader said = writer.inputReader()) {
            for (int i = 0; i < entries; i++) {
                acknowledged = Long.parseLong(said.readLine());
            }
            // Through its handle, so that what it has said already can still be read.
            writer.toHandle().destroyForcibly();
            // A line is acknowledged once it is whole: the last may have been cut by the kill.
            String rest = said.lines().collect(Collectors.joining("\n", "\n", ""));
            String whole = rest.substring(0, rest.lastIndexOf('\n')).strip();
            acknowledged = whole.isEmpty()
                    ? acknowledged
                    : whole.lines().mapToLong(Long::parseLong).max().orElseThrow();
        }
        writer.waitFor();
        return acknowledged;
    }

    private static ControllerSheet sheet() {
        return new ControllerSheet("made-up", "made up", CalibrationSchool.CLEAR_THEN_LEARN, 40, 1.0,
                new InAir(InAir.Kind.LEARNED, 0.207), List.of(), List.of(), Source.practice("made up"));
    }

    /** The coach as the program finds it when it is started again. */
    static Coach opened(Job job, Instant now) {
        return Coach.open(sheet(), true, false, EnumSet.allOf(Condition.class), job.air().coaching(), now);
    }
}
