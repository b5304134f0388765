package amberheron.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
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
        return session().review().plan().steps().stream().filter(s -> s.key().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void whatIsNextIsTickedOrShownWhereItsProofStands() {
        Advice before = model.advice(session());
        assertThat(before.next().metric()).isEqualTo("Prove the power source with a meter.");
        Objects.requireNonNull(before.action()).run().run();
        assertThat(session().at().station()).as("volts are entered there").isEqualTo(Station.WIRE);
        assertThat(session().job().done()).doesNotContain("source");
        model.toggle(session(), step("source"));
        model.toggle(session(), step("splice"));
        assertThat(model.advice(session()).next().metric()).isEqualTo("Take the battery negative off.");
        Objects.requireNonNull(model.advice(session()).action()).run().run();
        assertThat(session().job().done()).contains("battery");
        assertThat(model.figure(session())).startsWith("10 of 22 steps");
    }

    @Test
    void takingATickBackOpensWhatStoodOnItAndSaysSo() {
        model.toggle(session(), step("place"));
        assertThat(session().job().done()).doesNotContain("place", "run", "drill", "tight").contains("leaks",
                "display");
        assertThat(session().notice()).contains("Also opened again").contains("Lay out the cable run");
        session().openJob().undo();
        assertThat(session().job().done()).contains("place", "run", "tight");
    }

    @Test
    void aStepThatWaitsSaysOnWhatInItsRow() {
        List<PlanModel.Row> rows = model.rows(session());
        PlanModel.Row air = rows.stream().filter(r -> r.step().key().equals("air")).findFirst().orElseThrow();
        assertThat(air.ready()).isFalse();
        assertThat(air.waits())
                .isEqualTo("waits on: Battery negative on again");
        assertThat(air.critical()).isTrue();
        assertThat(rows).filteredOn(PlanModel.Row::done).extracting(r -> r.step().key()).contains("leaks", "place");
    }

    /** λ + f·(1 + λ·AFRst)/AFRst: one per cent of air on propane (15.68) turns 1.000 into 1.011. */
    @Test
    void aLeakStopsTheJobAndSaysWhatItDoesToTheReading() {
        session().edit("leaks", j -> j.withIntake(j.intake().withCondition(Condition.LEAKS)));
        Advice advice = model.advice(session());
        assertThat(advice.next().metric()).isEqualTo("Mend the leak before anything is fitted.");
        assertThat(advice.why().metric()).contains("1.000 λ into 1.011 λ");
        assertThat(session().review().state(Station.PLAN)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        session().edit("hole", j -> j.withIntake(j.intake().withLeak(0.004)));
        assertThat(model.advice(session()).why().metric()).startsWith("At idle this leak draws in about ");
        model.toggle(session(), step("source"));
        assertThat(session().job().done()).as("nothing is fitted to it").doesNotContain("source");
        assertThat(session().notice()).contains("Nothing is fitted to this exhaust: it is down as “leaks”");
        session().edit("rotten", j -> j.withIntake(j.intake().withCondition(Condition.ROTTEN)));
        assertThat(model.advice(session()).next().metric()).isEqualTo("Do not fit a sensor to this exhaust.");
        Objects.requireNonNull(model.advice(session()).action()).run().run();
        assertThat(session().job().intake().condition()).isEqualTo(Condition.SOUND);
    }

    @Test
    void missingAnswersAreAskedForOneByOneAndFocused() {
        session().edit("cleared", j -> j.withIntake(j.intake().withDisplacement(null).withCylinders(null)));
        StringBuilder focused = new StringBuilder();
        session().listeners().onFocus(focused::append);
        Advice advice = model.advice(session());
        assertThat(advice.next().metric()).isEqualTo("Enter: displacement.");
        assertThat(advice.why().metric()).contains("displacement, cylinders");
        Objects.requireNonNull(advice.action()).run().run();
        assertThat(focused).hasToString("plan.displacement");
    }

    @Test
    void weldingHasItsOwnCautions() {
        assertThat(model.advice(session()).caution().metric()).doesNotContain("weld");
        session().edit("weld", j -> j.withIntake(j.intake().withFit(Fit.WELD_IN)));
        assertThat(model.advice(session()).caution().metric()).contains("sensor out of the bung while it is welded")
                .contains("fire watch");
    }

    @Test
    void aStepMovesWhereItMayAndIsRefusedWhereItMayNot() {
        model.move(session(), step("battery"), -1);
        assertThat(session().review().plan().steps()).extracting(Step::key).containsSubsequence("battery", "splice");
        int notes = session().job().progress().order().size();
        model.move(session(), step("sensor"), -20);
        assertThat(session().notice()).contains("“Screw the sensor in” cannot come before");
        assertThat(session().job().progress().order()).hasSize(notes);
        session().openJob().undo();
        assertThat(session().review().plan().steps()).extracting(Step::key).containsSubsequence("splice", "battery");
    }

    @Test
    void moreHandsFinishEarlierAndTheListIsWritten() throws Exception {
        List<PlanModel.Finish> finish = model.finish(session());
        assertThat(finish.getLast().schedule().likely()).isLessThan(finish.getFirst().schedule().likely());
        assertThat(model.criticalPath(session())).startsWith("However many people, about ").contains(" → ");
        for (String id : List.of("source", "splice", "battery")) {
            model.toggle(session(), step(id));
        }
        assertThat(model.advice(session()).why().metric()).contains("Not marked as at hand: fuse tap; fuse 5 A.");
        model.have(session(), "fuse tap");
        model.have(session(), "fuse 5 A");
        assertThat(model.advice(session()).why().metric()).doesNotContain("at hand");
        model.writeParts(session());
        assertThat(session().notice()).startsWith("Written to");
        assertThat(home.resolve("lists/SB-015-parts.csv")).content().contains("part,fuse tap")
                .contains(",yes");
    }

    @Test
    void holesOfAFewSizesSayWhatTheyDoToThisEngine() {
        session().edit("leak", j -> j.withIntake(j.intake().withLeak(0.003)));
        assertThat(model.leaks(session())).extracting(PlanModel.Leak::hole).containsExactly("1 mm", "2 mm", "3 mm",
                "4 mm");
        session().edit("unknown", j -> j.withIntake(j.intake().withDisplacement(null)));
        assertThat(model.leaks(session())).isEmpty();
    }

    @Test
    void whenEverythingIsDoneTheSheetRemains() {
        session().open("SB-014");
        assertThat(model.figure(session())).isEqualTo("all 22 steps done");
        assertThat(model.advice(session()).next().metric()).isEqualTo("Every step is done.");
    }
}
