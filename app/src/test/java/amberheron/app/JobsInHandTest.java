package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.freeair.AirField;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.placement.PlaceField;
import amberheron.core.wiring.WireField;
import amberheron.io.pack.Visits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Jobs as they come back, and as they go wrong, by keys and mouse. */
class JobsInHandTest extends WindowTest {
    @BeforeEach
    void job() {
        find("job SB-014");
    }

    private void enter(String field, String words) {
        hands.interact(() -> session.focus(field));
        hands.push(KeyCode.CONTROL, KeyCode.A);
        hands.write(words);
        hands.push(KeyCode.ENTER);
        hands.settle();
    }

    private LinkState state(Station station) {
        return session.review().state(station);
    }

    /** The old calibration and the old drive say nothing of the new sensor; once both are taken again all is proven. */
    @Test
    void aSecondVisitWithANewSensor() throws IOException {
        hands.push(KeyCode.ALT, KeyCode.DIGIT7);
        hands.clickOn(byId("handover.leaf.pack"));
        hands.clickOn(byId("handover.again"));
        hands.push(KeyCode.ALT, KeyCode.DIGIT4);
        hands.interact(() -> session.seek(AirField.SENSOR.address()));
        enter(AirField.SENSOR.address().key(), "N-2");
        assertThat(state(Station.AIR)).isEqualTo(LinkState.STALE);
        assertThat(state(Station.PROVE)).isEqualTo(LinkState.STALE);
        assertThat(text("reasons.next")).contains("again");
        hands.interact(() -> session.seek(AirField.SHOWN.address()));
        enter(AirField.SHOWN.address().key(), "20.68");
        enter(AirField.SETTLED.address().key(), "90");
        assertThat(state(Station.AIR)).isEqualTo(LinkState.PROVEN);
        // Another drive: the old log in a new file would be known again.
        List<String> rows = Files.readAllLines(home.resolve("logs/SB-014-drive.csv"));
        rows.subList(1, 400).clear();
        Path log = Files.write(home.resolve("second.csv"), rows);
        Files.setLastModifiedTime(log, FileTime.from(session.now().plus(Duration.ofDays(1))));
        hands.push(KeyCode.ALT, KeyCode.DIGIT6);
        hands.clickOn(byId("prove.leaf.channels"));
        enter("prove.file", log.toString());
        assertThat(state(Station.PROVE)).isEqualTo(LinkState.PROVEN);
        hands.push(KeyCode.ALT, KeyCode.DIGIT7);
        hands.clickOn(byId("handover.leaf.pack"));
        hands.clickOn(byId("handover.write"));
        hands.settle();
        Path pack = Visits.in(home.resolve("packs/SB-014")).getLast().folder();
        assertThat(Files.readString(pack.resolve("SB-014-owner.html"))).contains("N-2");
    }

    /** Each is found where it was made, said, and gone once it is taken back. */
    @Test
    void threeMistakesOnPurpose() {
        hands.push(KeyCode.ALT, KeyCode.DIGIT2);
        hands.interact(() -> session.seek(PlaceField.FITTED_READING.address()));
        enter(PlaceField.FITTED_READING.address().key(), "4°");
        assertThat(state(Station.PLACE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        assertThat(text("reasons.next")).contains("does not keep the rules");
        takenBack(Station.PLACE);

        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.interact(() -> session.seek(WireField.MEASURED.address()));
        enter(WireField.MEASURED.address().key(), "0.12 V");
        assertThat(state(Station.WIRE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        assertThat(text("reasons.next")).containsIgnoringCase("ground");
        takenBack(Station.WIRE);

        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        hands.clickOn(byId("scale.volts"));
        hands.write("2.5");
        hands.push(KeyCode.ENTER);
        hands.write("10.0");
        hands.push(KeyCode.ENTER);
        hands.settle();
        assertThat(state(Station.SCALE).done()).isFalse();
        assertThat(text("reasons.next")).as("a row that looks mistyped accuses nobody")
                .isEqualTo("Read these rows again.");
        takenBack(Station.SCALE);
    }

    private void takenBack(Station station) {
        hands.interact(() -> byId("band.job").requestFocus());
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        hands.settle();
        assertThat(state(station)).isEqualTo(LinkState.PROVEN);
    }
}
