package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.desktop.Stations;
import amberheron.app.parts.StationPlug;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.io.pack.HandOverSheet;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A stand-in shows how a tool works; it never proves anything about a vehicle. */
class HonestReadingsTest {
    @TempDir
    private Path home = Path.of("");

    /** The book of a shop that exists, with a job whose law and reader are chosen. */
    private Session real() {
        Session session = Demo.empty(home);
        session.begin("T-1");
        session.edit("law", j -> j.withLaw(session.catalogue().laws().getFirst()));
        session.edit("reader", j -> j.withReader(session.catalogue().readers().getFirst()));
        return session;
    }

    private static void take(Session session) {
        new ScaleModel().actions().getFirst().run().accept(session);
    }

    @Test
    void whatIsNextAtScaleIsToTypeARealReading() {
        try (Session session = real()) {
            List<String> asked = new ArrayList<>();
            session.listeners().onFocus(asked::add);
            Advice.Action next = Objects.requireNonNull(new ScaleModel().advice(session).action());
            next.run().run();
            assertThat(asked).containsExactly("scale.volts");
            assertThat(session.job().points()).as("nothing is made up by the next key").isEmpty();
        }
    }

    @Test
    void simulatedPointsProveNothingOutsideTheDemo() {
        try (Session session = real()) {
            for (int i = 0; i < 4; i++) {
                take(session);
            }
            assertThat(session.job().points()).hasSize(4)
                    .allSatisfy(p -> {
                        assertThat(p.origin().kind()).isEqualTo(Origin.Kind.SIMULATED);
                        assertThat(p.origin().job()).isEqualTo("T-1");
                        assertThat(p.origin().taken()).isNotNull();
                    });
            assertThat(session.review().state(Station.SCALE)).isEqualTo(LinkState.BEGUN);
            assertThat(session.review().diagnosis()).isEmpty();
            assertThat(new ScaleModel().figure(session)).isEqualTo("set, nothing checked yet");
            HandOverSheet sheet = HandOverSheet.of(session.review(), session.preferences().units());
            assertThat(sheet.told().getFirst().points()).allMatch(p -> p.off().endsWith("simulated"));
            assertThat(sheet.told().getFirst().pointsNote()).contains("prove nothing");
        }
        try (Session demo = Demo.session(home.resolve("demo"))) {
            demo.open("SB-014");
            assertThat(demo.job().points()).allMatch(p -> !p.origin().real());
            assertThat(demo.review().state(Station.SCALE)).as("the shop that does not exist")
                    .isEqualTo(LinkState.PROVEN);
        }
    }

    @Test
    void aSimulatedVoltageIsNotMeasuredYet() {
        try (Session session = real()) {
            Origin stand = session.read("stand-in", true, java.time.Instant.EPOCH);
            session.edit("source", j -> j.withWiring(j.wiring().withSources(List.of(PowerSource.named("A")
                    .withReading(KeyState.OFF, 0.0, stand).withReading(KeyState.ON, 12.4, session.typed())))
                    .withTaken("A")));
            assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().key().equals("off"))
                    .singleElement()
                    .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.UNKNOWN));
            assertThat(session.review().findings(Station.WIRE)).filteredOn(f -> f.check().key().equals("on"))
                    .singleElement()
                    .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.PASS));
        }
    }

    /** What stood on the desk for one job is gone when another is opened. */
    @Test
    void theDeskIsClearedWhenAJobIsLeft() {
        try (Session session = Demo.session(home)) {
            List<StationModel> models = new ArrayList<>();
            Stations.all().stream().map(StationPlug::model).forEach(models::add);
            session.listeners().onLeave(() -> models.forEach(StationModel::leave));
            session.open("SB-015");
            var wire = (amberheron.app.wiring.WireModel) models.get(2);
            wire.simulate(session, PowerSource.Behaviour.SWITCHED);
            assertThat(wire.display(session)).contains("V live");
            session.open("SB-016");
            assertThat(wire.display(session)).isEqualTo("no meter connected");
            wire.read(session, KeyState.CRANKING);
            assertThat(session.notice()).contains("no meter is connected");
            assertThat(session.job().wiring().source().orElseThrow().at(KeyState.CRANKING)).as("as the demo has it")
                    .hasValue(8.9);
        }
    }
}
