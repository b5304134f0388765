package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.handover.HandOverModel;
import amberheron.app.placement.PlaceModel;
import amberheron.app.plan.PlanModel;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.wiring.WireModel;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.JobBook;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
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
            assertThat(session.undoable()).hasValue("vehicle");
            session.undo();
            assertThat(session.job().intake().vehicle()).startsWith("Straight-six");
            session.redo();
            assertThat(session.job().intake().vehicle()).isEqualTo("renamed");
        }
    }

    @Test
    void aChangeThatCannotBeSavedIsSaidAndNotForgotten() {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            try (JobBook other = JobBook.open(home.resolve("book.db"))) {
                JobBook.Kept kept = other.load("SB-015").orElseThrow();
                other.save(kept.document(), kept.revision());
            }
            session.edit("vehicle", j -> j.withIntake(j.intake().withVehicle("mine")));
            assertThat(session.saving().failure()).contains("changed elsewhere");
            assertThat(session.job().intake().vehicle()).isEqualTo("mine");
        }
    }

    @Test
    void unitsActEverywhereAndAreRemembered() {
        try (Session session = Demo.session(home)) {
            session.open("SB-014");
            assertThat(new PlaceModel().figure(session)).isEqualTo("B: 614 mm past turbine · 35° up");
            session.units(new UnitChoice(true, true, true, true));
            assertThat(new PlaceModel().figure(session)).isEqualTo("B: 24.17 in past turbine · 35° up");
            assertThat(PlanModel.title(session, session.review().plan().steps().stream()
                    .filter(s -> s.id().equals("sensor")).findFirst().orElseThrow()))
                    .isEqualTo("Screw the sensor in, 30–40 lb·ft");
            session.open("SB-016");
            assertThat(new ScaleModel().figure(session)).startsWith("shows 0.15 AFR lean");
        }
        try (Session again = Demo.empty(home)) {
            assertThat(again.units().inches()).isTrue();
        }
    }

    @Test
    void whatIsNextFollowsFromTheFigures() {
        try (Session session = Demo.session(home)) {
            session.open("SB-016");
            assertThat(new WireModel().advice(session).next())
                    .contains("Take the ground as “Signal at the reader's sensor ground”");
            assertThat(new ScaleModel().advice(session).why()).contains("75 mV");
            assertThat(new HandOverModel().advice(session).next()).contains("Wire is out of tolerance");
            session.open("SB-014");
            assertThat(new HandOverModel().advice(session).next()).isEqualTo("Handed over.");
        }
    }

    @Test
    void aStepThatWaitsIsNotTickedAndSaysOnWhat() {
        try (Session session = Demo.session(home)) {
            session.open("SB-015");
            PlanModel plan = new PlanModel();
            PlanModel.Row waiting = plan.rows(session).stream().filter(r -> r.step().id().equals("sensor")).findFirst()
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
