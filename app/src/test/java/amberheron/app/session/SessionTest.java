package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import amberheron.app.Demo;
import amberheron.app.handover.HandOverModel;
import amberheron.app.placement.PlaceModel;
import amberheron.app.plan.PlanModel;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.wiring.WireModel;
import amberheron.core.job.Job;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.plan.StepId;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.Difference;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionTest {
    @TempDir
    private Path home = Path.of("");

    private static Map<Station, LinkState> states(Session session, String job) {
        return session.jobs().stream().filter(j -> j.id().equals(job)).findFirst().orElseThrow().states();
    }

    @Test
    void theDemoBookHasOneProvenOneHalfDoneAndOneThatLies() {
        try (Session session = Demo.session(home)) {
            for (Station station : Station.values()) {
                assertThat(states(session, "SB-014").get(station)).as(station.title())
                        .isEqualTo(LinkState.PROVEN);
            }
            assertThat(states(session, "SB-015").get(Station.WIRE)).isEqualTo(LinkState.BEGUN);
            assertThat(states(session, "SB-016").get(Station.SCALE))
                    .isEqualTo(LinkState.OUT_OF_TOLERANCE);
        }
    }

    @Test
    void everyEntryIsInTheBookAndCanBeTakenBack() {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("renamed")));
            try (JobBook other = JobBook.open(home.resolve("book.db"))) {
                assertThat(other.load("SB-015").orElseThrow().document().job().intake().vehicle())
                        .isEqualTo("renamed");
            }
            assertThat(session.openJob().undoable()).hasValue("vehicle");
            session.openJob().undo();
            assertThat(session.job().intake().vehicle()).startsWith("Straight-six");
            session.openJob().redo();
            assertThat(session.job().intake().vehicle()).isEqualTo("renamed");
        }
    }

    private static void elsewhere(Path home, String job, String vehicle) {
        try (JobBook other = JobBook.open(home.resolve("book.db"))) {
            JobBook.Kept kept = other.load(job).orElseThrow();
            Job was = kept.document().job();
            other.save(kept.document().with(was.withIntake(was.intake().withVehicle(vehicle))), kept.revision());
        }
    }

    private String inTheBook(String job) {
        try (JobBook other = JobBook.open(home.resolve("book.db"))) {
            return other.load(job).orElseThrow().document().job().intake().vehicle();
        }
    }

    /** Two bays: both versions are shown, and a person chooses; the one not taken is put aside, not thrown away. */
    @Test
    void aConflictIsShownAndChosenAndNothingIsLost() throws IOException {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            elsewhere(home, "SB-015", "theirs");
            session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("mine")));
            session.edit("bay", j -> j.withProgress(j.progress().withBay("3")));
            assertThat(session.openJob().saving().failure()).contains("changed elsewhere");
            Saver.Conflict between = session.openJob().conflict().orElseThrow();
            assertThat(Difference.between(between.ours(), between.theirs())).extracting(Difference::field,
                    Difference::ours, Difference::theirs)
                    .as("what only one of them changed is not asked")
                    .containsExactly(tuple("intake.vehicle", "mine", "theirs"));
            assertThat(inTheBook("SB-015")).isEqualTo("theirs");
            session.openJob().keepOurs();
            assertThat(session.openJob().conflict()).isEmpty();
            assertThat(session.openJob().saving().failure()).isNull();
            assertThat(inTheBook("SB-015")).isEqualTo("mine");
            assertThat(session.job().progress().bay()).isEqualTo("3");

            elsewhere(home, "SB-015", "theirs again");
            session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("mine again")));
            session.openJob().takeTheirs();
            assertThat(session.job().intake().vehicle()).isEqualTo("theirs again");
            session.openJob().undo();
            assertThat(session.job().intake().vehicle()).as("by one key, too").isEqualTo("mine again");
        }
        try (Stream<Path> aside = Files.list(home.resolve("unsaved"))) {
            assertThat(aside).singleElement().satisfies(f -> assertThat(Files.readString(f)).contains("mine again"));
        }
    }

    /** A conflict that nobody resolved before the program ended stands there again the next day. */
    @Test
    void whatWasNotSavedIsThereAgainTheNextDay() {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            elsewhere(home, "SB-015", "theirs");
            session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("mine")));
        }
        try (Session next = Demo.empty(home)) {
            next.open("SB-015");
            assertThat(next.job().intake().vehicle()).isEqualTo("mine");
            assertThat(next.openJob().conflict().orElseThrow().theirs().job().intake().vehicle()).isEqualTo("theirs");
            next.openJob().keepOurs();
        }
        assertThat(inTheBook("SB-015")).isEqualTo("mine");
        assertThat(home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
    }

    /** What an earlier version left beside the book in three files goes in like any other, once. */
    @Test
    void whatAnEarlierVersionLeftGoesIn() throws IOException {
        Demo.copy(home);
        Path folder = Files.createDirectories(home.resolve("unsaved"));
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            JobDocument was = book.load("SB-015").orElseThrow().document();
            Files.write(folder.resolve("SB-015.json"),
                    was.with(was.job().withIntake(was.job().intake().withVehicle("of yesterday"))).bytes());
            Files.write(folder.resolve("SB-015.base"), was.bytes());
            Files.writeString(folder.resolve("SB-015.revision"),
                    String.valueOf(book.load("SB-015").orElseThrow().revision()));
        }
        try (Session next = Demo.empty(home)) {
            assertThat(next.jobs()).isNotEmpty();
        }
        assertThat(inTheBook("SB-015")).isEqualTo("of yesterday");
        assertThat(folder).isEmptyDirectory();
    }

    /** A book that cannot be written for a while: what is typed stays, is kept beside it, and goes in by itself. */
    @Test
    void aFailedSaveIsTriedAgainUntilItIsIn() throws Exception {
        Demo.copy(home);
        ExecutorService ui = Executors.newSingleThreadExecutor();
        Session session = CompletableFuture
                .supplyAsync(() -> Session.on(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home,
                        Threads.beside(ui)), ui)
                .get();
        try (var other = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("book.db"));
                var statement = other.createStatement()) {
            ui.submit(() -> session.open("SB-015")).get();
            until(ui, () -> session.idle() && session.job().id().equals("SB-015"));
            statement.execute("begin immediate");
            ui.submit(() -> session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("kept")))).get();
            until(ui, () -> session.openJob().saving().failure() != null);
            try (Stream<Path> left = Files.list(home.resolve("unsaved"))) {
                assertThat(left.filter(f -> f.toString().endsWith(".entry"))).singleElement()
                        .satisfies(f -> assertThat(Files.readString(f)).contains("kept"));
            }
            statement.execute("rollback");
            until(ui, () -> session.openJob().saving().failure() == null && session.idle());
        }
        assertThat(inTheBook("SB-015")).isEqualTo("kept");
        assertThat(home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
        ui.submit(session::close).get();
        ui.shutdown();
    }

    private static void until(ExecutorService ui, Callable<Boolean> is) throws Exception {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
        while (!ui.submit(is).get()) {
            assertThat(System.nanoTime()).as("it comes about in time").isLessThan(end);
            LockSupport.parkNanos(1_000_000);
        }
    }

    /** One row that cannot be read says so; the list of jobs and every other job are as they were. */
    @Test
    void aJobThatCannotBeReadIsOneLineThatSaysSo() throws Exception {
        Demo.copy(home);
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("book.db"));
                var statement = connection.createStatement()) {
            statement.execute("update job set document = '{', digest = null, judged = null where id = 'SB-014'");
        }
        try (Session session = Demo.empty(home)) {
            assertThat(session.jobs()).hasSize(3);
            assertThat(session.jobs().getFirst().fault()).contains("job SB-014").contains("JSON");
            assertThat(session.jobs().get(1).fault()).isEmpty();
            session.open("SB-014");
            assertThat(session.notice()).contains("job SB-014");
            session.open("SB-016");
            assertThat(session.job().id()).isEqualTo("SB-016");
        }
    }

    @Test
    void unitsActEverywhereAndAreRemembered() {
        try (Session session = Demo.session(home)) {
            session.open("SB-014");
            assertThat(new PlaceModel().figure(session)).isEqualTo("B: 614 mm past turbine · 35° up");
            session.preferences().units(new UnitChoice(true, true, true, true));
            assertThat(new PlaceModel().figure(session)).isEqualTo("B: 24.17 in past turbine · 35° up");
            assertThat(PlanModel.title(session, session.review().plan().steps().stream()
                    .filter(s -> s.id() == StepId.SENSOR).findFirst().orElseThrow()))
                    .isEqualTo("Screw the sensor in, 30 lb·ft to 40 lb·ft");
            session.open("SB-016");
            assertThat(new ScaleModel().figure(session)).startsWith("shows 0.17 AFR lean");
        }
        try (Session again = Demo.empty(home)) {
            assertThat(again.preferences().units().inches()).isTrue();
        }
    }

    @Test
    void whatIsNextFollowsFromTheFigures() {
        try (Session session = Demo.session(home)) {
            session.open("SB-016");
            assertThat(new WireModel().advice(session).next().metric())
                    .startsWith("Part the grounds: ");
            assertThat(new ScaleModel().advice(session).why().metric()).contains("75 mV");
            assertThat(new HandOverModel().advice(session).next().metric()).contains("Wire is out of tolerance");
            session.open("SB-014");
            assertThat(new HandOverModel().advice(session).next().metric()).isEqualTo("Handed over.");
        }
    }

    @Test
    void aStepThatWaitsIsNotTickedAndSaysOnWhat() {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            PlanModel plan = new PlanModel();
            PlanModel.Row waiting = plan.rows(session).stream().filter(r -> r.step().id() == StepId.SENSOR).findFirst()
                    .orElseThrow();
            plan.toggle(session, waiting.step());
            assertThat(session.job().done()).doesNotContain("sensor");
            assertThat(session.notice()).contains("waits on").contains("Calibrate in free air");
        }
    }

    @Test
    void aMailedDocumentIsTakenInOnceAndABrokenOneIsSaid() throws Exception {
        try (Session session = Demo.session(home)) {
            session.open("SB-014");
            Path mail = Files.write(home.resolve("mail.json"), session.document().bytes());
            session.take(mail);
            assertThat(session.notice()).contains("has a job SB-014 already");
            Files.writeString(mail, "{");
            session.take(mail);
            assertThat(session.notice()).contains("mail.json").contains("not JSON");
        }
        try (Session fresh = Demo.empty(Files.createDirectory(home.resolve("fresh")))) {
            fresh.take(Files.writeString(home.resolve("mail2.json"), "nothing"));
            assertThat(fresh.isOpen()).isFalse();
        }
    }
}
