package amberheron.app.freeair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.Demo;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.app.session.Threads;
import amberheron.bench.AirFault;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.State;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.CoachEvent.Done;
import amberheron.core.freeair.CoachEvent.Said;
import amberheron.core.freeair.CoachEvent.Sees;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.io.UnusableInput;
import amberheron.io.book.BookThread;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The coach as a person meets it, by a clock that only the test moves; the book is a real shop's, not the demo's. */
class AirModelTest {
    @TempDir
    private Path home = Path.of("");
    private final List<String> focused = new ArrayList<>();
    private Instant now = Instant.parse("2026-05-01T09:00:00Z");
    private AirModel air = new AirModel();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = session(Map.of());
        session().begin("A-1");
        session().listeners().onFocus(focused::add);
    }

    private Session session(Map<String, String> kept) {
        Session session = new Session(BookThread.direct(JobBook.open(home.resolve("book.db"))), kept, "",
                Catalogue.shipped(), home, Threads.direct().by(() -> now));
        session.listeners().onLeave(() -> air.leave());
        return session;
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private FreeAirCheck check() {
        return session().job().air();
    }

    private Advice f2() {
        Advice advice = air.advice(session());
        Objects.requireNonNull(advice.action()).run().run();
        return advice;
    }

    private void waits(int seconds) {
        for (int i = 0; i < seconds; i++) {
            now = now.plusSeconds(1);
            air.tick(session());
        }
    }

    private CoachStep step() {
        return air.coach(session()).orElseThrow().now().step();
    }

    private static ControllerSheet sheet(String id) {
        return Catalogue.shipped().controllers().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    private void given(String controller) {
        session().edit("air", j -> j.withAir(j.air().withController(sheet(controller))
                .withToday(AirOfDay.of(293.15, 0.5, 0))));
    }

    /** A supply that is proved in every state of the key. */
    private void powered() {
        PowerSource source = PowerSource.named("A").withPlace("fuse 4");
        for (KeyState state : KeyState.values()) {
            source = source.withReading(state,
                    state == KeyState.OFF || state == KeyState.ACCESSORY
                            ? 0.0
                            : state == KeyState.CRANKING ? 10.5 : 13.9,
                    session().typed());
        }
        PowerSource proved = source;
        session().edit("wired", j -> j.withWiring(j.wiring().withSources(List.of(proved)).withTaken("A")));
        assertThat(session().review().powerProved()).isTrue();
    }

    @Test
    void theAirIsAskedForThenTheControllerThenEachConditionThenTheReading() {
        f2();
        session().edit("t", j -> j.withAir(j.air().withToday(j.air().today().withTemperature(293.15))));
        f2();
        session().edit("h", j -> j.withAir(j.air().withToday(j.air().today().withHumidity(0.5))));
        f2();
        session().edit("m", j -> j.withAir(j.air().withToday(j.air().today().withHeight(0.0))));
        f2();
        assertThat(focused).containsExactly("air.temperature", "air.humidity", "air.height", "air.controller");
        session().edit("c", j -> j.withAir(j.air().withController(sheet("learner"))));
        for (Condition condition : Condition.values()) {
            assertThat(f2().next().metric()).isEqualTo(condition.words() + "?");
        }
        assertThat(check().conditions()).hasSize(Condition.values().length);
        focused.clear();
        assertThat(f2().next().metric()).as("no supply is proved yet").contains("proved at Wire");
        assertThat(focused).containsExactly("air.shown");
        assertThat(air.figure(session())).isEqualTo("20.71 % O₂");
    }

    /** By F2, the lamp and the display alone, with no link. */
    @Test
    void aWholeCalibrationByHandIsRecordedWithItsConditionsDayAndOriginAndInTheSensorsBook() {
        given("learner");
        powered();
        session().edit("n", j -> j.withAir(j.air().withSensor("V-31")));
        while (check().conditions().size() < Condition.values().length) {
            f2();
        }
        f2();
        assertThat(step()).isEqualTo(CoachStep.CLEAR);
        f2();
        assertThat(air.figure(session())).as("the clock").isEqualTo("0:30");
        assertThat(air.advice(session()).action()).as("nobody has to do anything").isNull();
        waits(30);
        f2();
        waits(10);
        air.happens(session(), new Sees(State.READY));
        assertThat(step()).isEqualTo(CoachStep.STEADY);
        for (int i = 0; i < 3; i++) {
            air.watched(session(), 0.207);
            waits(30);
        }
        assertThat(step()).isEqualTo(CoachStep.READY);
        f2();
        assertThat(check().shownOxygen()).isEqualTo(0.207);
        assertThat(session().sensors().of("V-31").notes()).containsExactly(
                new SensorNote(LocalDate.parse("2026-05-01"), SensorNote.Kind.CALIBRATED, 1, "A-1"));
        assertThat(check().settled()).isEqualTo(60);
        assertThat(check().date()).isEqualTo("2026-05-01");
        assertThat(session().job().entries().origin(AirField.SHOWN.address()).kind()).isEqualTo(Origin.Kind.TYPED);
        assertThat(session().review().state(Station.AIR)).isEqualTo(LinkState.PROVEN);
        assertThat(air.advice(session()).why().metric()).contains("Never power it with the sensor unplugged");
    }

    /** Killed in mid-coach and opened again: it says where it was, and nothing was recorded. */
    @Test
    void reopenedInTheMiddleItSaysWhereItWas() {
        given("learner");
        powered();
        while (step() != CoachStep.HOLD) {
            f2();
        }
        session().close();
        air = new AirModel();
        now = now.plus(Duration.ofHours(2));
        opened = session(Map.of());
        session().open("A-1");
        assertThat(check().coaching().step()).as("as it is written down").isEqualTo(CoachStep.HOLD);
        assertThat(step()).isEqualTo(CoachStep.STOPPED);
        assertThat(air.advice(session()).next().metric()).isEqualTo("It was at “Hold” when the job was left.");
        assertThat(check().reading()).isEmpty();
        f2();
        assertThat(check().conditions()).as("the sensor may have been anywhere").isEmpty();
    }

    @Test
    void aConditionTakenBackByUndoEndsWhatIsUnderWay() {
        given("factory");
        powered();
        for (Condition condition : Condition.values()) {
            air.happens(session(), new Said(condition, true));
        }
        air.happens(session(), new Done());
        assertThat(step()).isEqualTo(CoachStep.POWER_ON);
        session().openJob().undo();
        session().openJob().undo();
        assertThat(step()).isEqualTo(CoachStep.CONDITIONS);
        assertThat(check().coaching().trouble()).isEqualTo(Coaching.Trouble.NONE);
    }

    /** A stand-in over its real line: what it says is heard, and outside the demo it proves nothing. */
    @Test
    void aSimulatedControllerIsHeardAndProvesNothing() throws IOException {
        given("factory");
        powered();
        for (Condition condition : Condition.values()) {
            air.happens(session(), new Said(condition, true));
        }
        air.happens(session(), new Done());
        session().controller().simulate(sheet("factory"), Air.atHeight(293.15, 0.5, 0), AirFault.NONE);
        session().controller().key("on");
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (session().controller().live().isEmpty() && System.nanoTime() < end) {
            LockSupport.parkNanos(1_000_000);
            now = Instant.now();
        }
        now = Instant.now();
        air.tick(session());
        assertThat(step()).as("it warms up").isEqualTo(CoachStep.WARM);
        assertThat(session().controller().simulated()).isTrue();
        session().begin("A-2");
        assertThat(session().controller().connected()).as("the desk is cleared").isFalse();
    }

    /** What it sends is in the file as it comes, not once the log is ended; and no log is written over. */
    @Test
    void whatTheControllerSendsIsWrittenDownAsItComes() throws IOException {
        Path file = home.resolve("logs").resolve("drive.csv");
        session().controller().simulate(sheet("factory"), Air.atHeight(293.15, 0.5, 0), AirFault.NONE);
        session().controller().key("on");
        session().controller().record(file);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (session().controller().recording().orElseThrow().rows() < 5 && System.nanoTime() < end) {
            LockSupport.parkNanos(1_000_000);
        }
        List<String> lines = Files.readAllLines(file);
        assertThat(lines.getFirst()).isEqualTo("time,controller_lambda,oxygen,volts,supply,state,source");
        assertThat(lines).hasSizeGreaterThan(5);
        assertThat(lines.get(3)).contains(",warming,simulated controller at ");
        assertThatThrownBy(() -> session().controller().record(file)).isInstanceOf(UnusableInput.class)
                .hasMessageContaining("drive.csv").hasMessageContaining("a name that is free");
        session().begin("A-2");
        assertThat(session().controller().recording()).as("the desk is cleared").isEmpty();
    }

    @Test
    void aReadingThatIsOffLeadsBackToTheCoach() {
        given("factory");
        session().edit("off", j -> j.withAir(j.air().withShownOxygen(0.19, session().today())));
        Advice advice = air.advice(session());
        assertThat(advice.next().metric()).isEqualTo(
                "The gain does not fit this sensor: look for fumes, then change the sensor.");
        assertThat(advice.caution().metric()).contains("Leave the anti-seize on");
    }

    /** The demo's calibrations were made by the coach on its stand-in, by all its rules. */
    @Test
    void theDemosCalibrationsStand() {
        try (Session demo = Demo.session(home.resolve("demo"))) {
            demo.open("SB-014");
            assertThat(demo.review().state(Station.AIR)).isEqualTo(LinkState.PROVEN);
            assertThat(Objects.requireNonNull(demo.job().air().steadiness()).count()).isGreaterThan(100);
            Double shown = demo.job().air().shownOxygen();
            assertThat(shown).isCloseTo(0.207, within(0.0005));
        }
    }
}
