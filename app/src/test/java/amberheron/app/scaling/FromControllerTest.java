package amberheron.app.scaling;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.session.Session;
import amberheron.bench.AirFault;
import amberheron.bench.ControllerServer;
import amberheron.bench.SimulatedController;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.Air;
import amberheron.core.scaling.CheckPoint;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A check point may be what the controller says just now, and only what it says just now. */
class FromControllerTest {
    @TempDir
    private Path home = Path.of("");

    private static void until(BooleanSupplier so) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (!so.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            LockSupport.parkNanos(1_000_000);
        }
    }

    @Test
    void itIsTakenOnlyWhileItIsLiveAndReady() throws IOException {
        try (Session session = Demo.session(home)) {
            session.open("SB-016");
            ScaleModel model = new ScaleModel();
            ControllerSheet sheet = session.catalogue().controllers().getFirst();
            SimulatedController made = new SimulatedController(sheet, Air.atHeight(293.15, 0.5, 0), AirFault.NONE, 0,
                    3);
            made.power(true);
            int before = session.job().points().size();
            try (ControllerServer server = new ControllerServer(made, "made up", 0, 20)) {
                session.controller().connect("127.0.0.1:" + server.port(), StreamFormat.OWN);
                until(() -> session.controller().live().isPresent());
                assertThat(model.add(session, new ScaleModel.Typed("", "13.2"))).contains("warming up")
                        .contains("no measurement");
                until(() -> session.controller().live().map(Report::state).equals(Optional.of(State.READY)));
                assertThat(ScaleModel.hint(session)).endsWith("λ, live");
                assertThat(model.add(session, new ScaleModel.Typed("", "13.2"))).contains("until it has stood");
                until(() -> model.add(session, new ScaleModel.Typed("", "13.2")).isEmpty());
                CheckPoint point = session.job().points().getLast();
                assertThat(point.origin().kind()).isEqualTo(Origin.Kind.SIMULATED);
                assertThat(point.truth()).isNotNull();
                server.key("off");
                until(() -> session.controller().live().isEmpty());
                assertThat(model.add(session, new ScaleModel.Typed("", "13.2"))).contains("says nothing just now");
            }
            assertThat(session.job().points()).hasSize(before + 1);
        }
    }
}
