package amberheron.io.book;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.School;
import amberheron.core.controller.State;
import amberheron.core.finding.Source;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachEvent;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Job;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;

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

    /** Arguments: the book's file. */
    public static void main(String[] args) {
        ControllerSheet sheet = sheet();
        Instant now = Instant.parse("2026-05-01T09:00:00Z");
        try (JobBook book = JobBook.open(Path.of(args[0]))) {
            JobBook.Kept kept = book.load("K").orElseGet(() -> book.add(JobDocument.of(Job.empty("K"))));
            Coach coach = opened(kept.document().job(), now);
            long revision = kept.revision();
            while (true) {
                now = now.plusSeconds(20);
                coach = coach.on(EVENTS.get((int) (revision % EVENTS.size())), now);
                Job job = kept.document().job();
                FreeAirCheck air = job.air().withController(sheet).withCoaching(coach.now());
                revision = book.save(kept.document().with(job.withAir(air).withIntake(
                        job.intake().withVehicle("entry " + (revision + 1) + " " + coach.now().step()))), revision);
                System.out.println(revision);
            }
        }
    }

    private static ControllerSheet sheet() {
        return new ControllerSheet("made-up", "made up", School.CLEAR_THEN_LEARN, 40, 1.0,
                new InAir(InAir.Kind.LEARNED, 0.207), List.of(), List.of(), Source.practice("made up"));
    }

    /** The coach as the program finds it when it is started again. */
    static Coach opened(Job job, Instant now) {
        return Coach.open(sheet(), true, false, EnumSet.allOf(Condition.class), job.air().coaching(), now);
    }
}
