package amberheron.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.shell.Advice;
import amberheron.app.shell.Session;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Step;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PlanModelTest {
    @TempDir
    private Path home = Path.of("");
    private final PlanModel model = new PlanModel();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = Demo.session(home);
        session().open("SB-015");
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private Step step(String id) {
        return session().review().plan().steps().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void theActionOfWhatIsNextTicksIt() {
        Advice before = model.advice(session());
        assertThat(before.next()).isEqualTo("Prove the power source with a meter.");
        Objects.requireNonNull(before.action()).run().run();
        assertThat(session().job().done()).contains("source");
        assertThat(model.figure(session())).startsWith("5 of 18 steps");
    }

    @Test
    void takingATickBackOpensWhatStoodOnItAndSaysSo() {
        model.toggle(session(), step("place"));
        assertThat(session().job().done()).doesNotContain("place", "run").contains("leaks", "display");
        assertThat(session().notice()).contains("Also opened again").contains("Lay out the cable run");
        session().undo();
        assertThat(session().job().done()).contains("place", "run");
    }

    @Test
    void aStepThatWaitsSaysOnWhatInItsRow() {
        List<PlanModel.Row> rows = model.rows(session());
        PlanModel.Row clamp = rows.stream().filter(r -> r.step().id().equals("clamp")).findFirst().orElseThrow();
        assertThat(clamp.ready()).isFalse();
        assertThat(clamp.waits()).isEqualTo("waits on: Drill in place, file, peen the rim inwards");
        assertThat(rows).filteredOn(PlanModel.Row::done).extracting(r -> r.step().id()).contains("leaks", "place");
    }

    /** λ + f·(1 + λ·AFRst)/AFRst: one per cent of air on propane (15.68) turns 1.000 into 1.011. */
    @Test
    void aLeakStopsTheJobAndSaysWhatItDoesToTheReading() {
        session().edit("leaks", j -> j.withIntake(j.intake().withCondition(Condition.LEAKS)));
        Advice advice = model.advice(session());
        assertThat(advice.next()).isEqualTo("Mend the leak before anything is fitted.");
        assertThat(advice.why()).contains("1.000 λ into 1.011 λ");
        assertThat(session().review().state(Station.PLAN)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        session().edit("rotten", j -> j.withIntake(j.intake().withCondition(Condition.ROTTEN)));
        assertThat(model.advice(session()).next()).isEqualTo("Do not fit a sensor to this exhaust.");
        Objects.requireNonNull(model.advice(session()).action()).run().run();
        assertThat(session().job().intake().condition()).isEqualTo(Condition.SOUND);
    }

    @Test
    void missingAnswersAreAskedForOneByOneAndFocused() {
        session().edit("cleared", j -> j.withIntake(j.intake().withDisplacement(null).withCylinders(null)));
        StringBuilder focused = new StringBuilder();
        session().onFocus(focused::append);
        Advice advice = model.advice(session());
        assertThat(advice.next()).isEqualTo("Enter: displacement.");
        assertThat(advice.why()).contains("displacement, cylinders");
        Objects.requireNonNull(advice.action()).run().run();
        assertThat(focused).hasToString("plan.displacement");
    }

    @Test
    void weldingHasItsOwnCautions() {
        assertThat(model.advice(session()).caution()).doesNotContain("weld");
        session().edit("weld", j -> j.withIntake(j.intake().withFit(Fit.WELD_IN)));
        assertThat(model.advice(session()).caution()).contains("sensor out of the bung while it is welded")
                .contains("fire watch");
    }

    @Test
    void whenEverythingIsDoneTheSheetRemains() {
        session().open("SB-014");
        assertThat(model.figure(session())).isEqualTo("all 19 steps done");
        assertThat(model.advice(session()).next()).isEqualTo("Every step is done.");
    }
}
