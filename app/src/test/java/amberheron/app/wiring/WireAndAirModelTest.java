package amberheron.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.freeair.AirModel;
import amberheron.app.shell.Advice;
import amberheron.app.shell.Session;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.wiring.Wiring;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WireAndAirModelTest {
    @TempDir
    private Path home = Path.of("");
    private final WireModel wire = new WireModel();
    private final AirModel air = new AirModel();
    private final List<String> focused = new ArrayList<>();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = Demo.session(home);
        session().open("SB-015");
        session().onFocus(focused::add);
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private static void act(Advice advice) {
        Objects.requireNonNull(advice.action()).run().run();
    }

    private void ground(Wiring.Ground ground) {
        session().edit("ground", j -> j.withWiring(j.wiring().withGround(ground)));
    }

    /** What is still missing is asked for in the order it is measured, and its field is put under the hand. */
    @Test
    void everyMissingReadingIsAskedForInTurn() {
        act(wire.advice(session()));
        session().edit("cranking", j -> j.withWiring(
                j.wiring().withVolts(new Wiring.SourceVolts(0.0, 12.1, 9.5))));
        act(wire.advice(session()));
        ground(new Wiring.Ground(true, null, null, null));
        act(wire.advice(session()));
        ground(new Wiring.Ground(true, 2.0, null, null));
        act(wire.advice(session()));
        ground(new Wiring.Ground(true, 2.0, 0.8e-6, null));
        act(wire.advice(session()));
        assertThat(focused).containsExactly("wire.cranking", "wire.shared", "wire.length", "wire.section",
                "wire.current");
        assertThat(wire.figure(session())).isEqualTo("ground not looked at");
    }

    @Test
    void aConstantFeedIsTheFirstThingToMend() {
        session().edit("constant", j -> j.withWiring(
                j.wiring().withVolts(new Wiring.SourceVolts(12.6, 12.6, 9.5))));
        assertThat(wire.advice(session()).next()).contains("Source, key off").contains("flattens the battery");
        act(wire.advice(session()));
        assertThat(focused).containsExactly("wire.off");
    }

    @Test
    void partedGroundsAreOneKeyAway() {
        session().open("SB-016");
        Advice advice = wire.advice(session());
        assertThat(advice.why()).contains("0.010 λ lean");
        act(advice);
        assertThat(session().job().wiring().ground().shared()).isFalse();
        assertThat(wire.figure(session())).isEqualTo("0.000 V ground shift");
        assertThat(wire.advice(session()).next()).isEqualTo("Calibrate in free air next.");
    }

    @Test
    void theAirIsAskedForThenTheReading() {
        assertThat(air.figure(session())).isEmpty();
        act(air.advice(session()));
        session().edit("t", j -> j.withAir(j.air().withTemperature(293.15)));
        act(air.advice(session()));
        session().edit("h", j -> j.withAir(j.air().withHumidity(0.5)));
        act(air.advice(session()));
        session().edit("m", j -> j.withAir(j.air().withHeight(0.0)));
        act(air.advice(session()));
        session().edit("o", j -> j.withAir(j.air().withShownOxygen(0.207, session().today())));
        act(air.advice(session()));
        assertThat(focused).containsExactly("air.temperature", "air.humidity", "air.height", "air.shown",
                "air.settled");
        assertThat(air.figure(session())).isEqualTo("20.70 % O₂");
    }

    @Test
    void aControllerThatIsOffMustBeCalibratedAgain() {
        session().edit("off", j -> j.withAir(new FreeAirCheck(FreeAirCheck.School.TRIM_BY_HAND, 293.15, 0.5, 0.0, 0.19,
                null, 90.0, session().today())));
        Advice advice = air.advice(session());
        assertThat(advice.next()).isEqualTo("Calibrate again in clean moving air.");
        assertThat(advice.parted()).contains("Trim by hand").contains("fully anticlockwise");
        assertThat(advice.caution()).contains("Leave the anti-seize on");
    }
}
