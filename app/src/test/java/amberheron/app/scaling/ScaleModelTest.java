package amberheron.app.scaling;

import static amberheron.core.scaling.CheckPoint.Engine.OFF;
import static amberheron.core.scaling.CheckPoint.Engine.RUNNING;
import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.drivelog.ProveModel;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.finding.Origin;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import amberheron.core.scaling.Cause;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.ReaderSetting;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScaleModelTest {
    @TempDir
    private Path home = Path.of("");
    private final ScaleModel model = new ScaleModel();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = Demo.session(home);
        session().open("SB-016");
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private void clear() {
        session().edit("cleared", j -> j.withPoints(List.of()));
    }

    @Test
    void lawThenReaderThenReadings() {
        session().edit("bare", j -> j.withLaw(null).withReader(null).withPoints(List.of()));
        assertThat(model.advice(session()).next().metric()).startsWith("Choose the controller's output law");
        session().edit("law", j -> j.withLaw(session().catalogue().law("straight-afr")));
        assertThat(model.advice(session()).next().metric()).startsWith("Choose what reads the volts");
        session().edit("reader", j -> j.withReader(session().catalogue().reader("gauge")));
        assertThat(model.advice(session()).next().metric()).isEqualTo(
                "Type the setting; engine off, apply 0.50 V and note what the reader shows.");
        assertThat(model.figure(session())).isEqualTo("set, nothing checked yet");
    }

    /** With the engine off and then with it running, each next point lies well away from those taken so. */
    @Test
    void readingsAreSpreadOverTheRangeInBothStatesOfTheEngine() {
        clear();
        session().edit("apart", j -> j.withWiring(j.wiring().withGround(j.wiring().ground().withTwoWires(true))));
        List<Double> volts = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            model.take(session());
            volts.add(Objects.requireNonNull(session().job().points().getLast().volts()));
            assertThat(model.advice(session()).next().metric().contains("note what the reader shows"))
                    .as("%d taken, four wanted", i + 1).isEqualTo(i < 3);
        }
        assertThat(session().job().points()).extracting(CheckPoint::engine).containsExactly(OFF, OFF, RUNNING, RUNNING);
        assertThat(Math.abs(volts.get(1) - volts.get(0))).isGreaterThan(3);
        assertThat(Math.abs(volts.get(3) - volts.get(2))).isGreaterThan(1.7);
        assertThat(volts.stream().map(v -> Math.round(2 * v)).distinct().count()).isGreaterThan(2);
        assertThat(session().job().points())
                .allMatch(p -> p.origin().instrument().equals("simulated bench") && !p.origin().real());
        assertThat(model.advice(session()).next().metric()).startsWith("Nobody has read the controller's own number");
        assertThat(model.add(session(), new ScaleModel.Typed("", "14.2", "14.2", RUNNING))).isEmpty();
        session().edit("by the demo's own instruments", j -> j.withPoints(j.points().stream()
                .map(p -> p.truth() == null
                        ? p
                        : new CheckPoint(p.volts(), p.truth(), p.shown(), "",
                                j.points().getFirst().origin(), p.engine()))
                .toList()));
        assertThat(model.advice(session()).next().metric()).isEqualTo("Wire it next.");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"6|14|expected between 0 V and 5 V", "two|14|found “two”",
            "2|rich|found “rich”",
            "2||found “”", "-1|14|expected between"})
    void aPointThatCannotBeUsedIsRefusedWithTheReason(String volts, @org.jspecify.annotations.Nullable String shown,
            String says) {
        int before = session().job().points().size();
        assertThat(model.add(session(), new ScaleModel.Typed(volts, shown == null ? "" : shown))).contains(says);
        assertThat(session().job().points()).hasSize(before);
    }

    @Test
    void aTypedPointCountsLikeATakenOne() {
        clear();
        assertThat(model.add(session(), new ScaleModel.Typed("500 mV", "11.15"))).isEmpty();
        assertThat(session().job().points()).singleElement().satisfies(p -> {
            assertThat(p.volts()).isEqualTo(0.5);
            assertThat(p.shown()).isEqualTo(11.15);
            assertThat(p.origin().kind()).isEqualTo(Origin.Kind.TYPED);
        });
        model.remove(session(), 0);
        assertThat(session().job().points()).isEmpty();
    }

    /** Typing the corrected setting makes the shifted chain show the truth; its old points are put away, not lost. */
    @Test
    void theCorrectedSettingAgreesWhileTheCauseStays() {
        model.useCorrected(session());
        ReaderSetting typed = Objects.requireNonNull(Objects.requireNonNull(session().job().reader()).setting());
        assertThat(typed.at(2.769 + 0.0754)).isBetween(14.68, 14.72);
        assertThat(session().job().points()).isEmpty();
        for (double volts : new double[]{0.5, 2.5, 4.5}) {
            var reading = ScaleModel.bench(session().job(), session()).orElseThrow().take(volts);
            session().edit("reading", j -> j.withPoint(new CheckPoint(reading.volts(), null, reading.shown(), "")));
        }
        assertThat(session().review().diagnosis().orElseThrow().withinTolerance()).isTrue();
        for (int i = 0; i < 4; i++) {
            session().openJob().undo();
        }
        assertThat(session().job().points()).hasSize(4);
        assertThat(Objects.requireNonNull(session().job().reader()).setting()).isNull();
    }

    @Test
    void twoCausesThatExplainThePointsAlikeAskForTheVoltageThatPartsThem() {
        session().edit("near", j -> j.withPoints(List.of(new CheckPoint(2.4, null, 14.95, ""),
                new CheckPoint(2.6, null, 15.35, ""))));
        Advice advice = model.advice(session());
        assertThat(advice.next().metric())
                .matches("Engine (off|running): apply \\d\\.\\d\\d V and note what the reader shows\\.");
        assertThat(advice.why().metric()).contains("explain the points nearly as well").contains("they part");
    }

    @Test
    void aCauseNoSettingMendsSaysWhatToDoInstead() {
        session().edit("stuck", j -> {
            Job stuck = j.withPoints(List.of());
            for (double v : new double[]{0.5, 1.5, 2.5, 3.5, 4.5}) {
                stuck = stuck.withPoint(new CheckPoint(v, null, 14.7, ""));
            }
            return stuck;
        });
        assertThat(session().review().diagnosis().orElseThrow().best().fault().cause()).isEqualTo(Cause.CONSTANT);
        assertThat(model.advice(session()).next().metric()).contains("Check the wire for a break or a short");
    }

    @Test
    void whatTheEngineWouldBeFedIsSaidTheRightWayRound() {
        assertThat(model.advice(session()).why().metric()).as("reads lean: fuel would be added")
                .contains("too much fuel");
        session().edit("other way", j -> j.withPoints(j.points().stream()
                .map(p -> new CheckPoint(p.volts(), null, p.shown() - 0.3, "")).toList()));
        assertThat(model.figure(session())).contains("rich");
        assertThat(model.advice(session()).why().metric()).contains("too little fuel");
    }

    @Test
    void aLogThatIsOffOnTheRoadSendsBackToScale() {
        session().open("SB-014");
        List<Sample> off = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            off.add(new Sample(i, 1, 1.02));
        }
        session().edit("log",
                j -> j.withProving(
                        new Output.Proving("x.csv", "00", session().typed(), LogComparison.of(Drive.of(off)), null)));
        ProveModel prove = new ProveModel();
        Advice advice = prove.advice(session());
        assertThat(advice.next().metric()).startsWith("Go back to Scale");
        assertThat(advice.why().metric()).contains("grounds");
        assertThat(prove.figure(session())).isEqualTo("+0.020 λ over 2 min");
        Objects.requireNonNull(advice.action()).run().run();
        assertThat(session().at().station()).isEqualTo(Station.SCALE);
    }
}
