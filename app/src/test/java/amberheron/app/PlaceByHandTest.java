package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import amberheron.core.placement.Candidate;
import java.util.Objects;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A place is moved by its pin on the pipe and by the sensor on the clock face, and by nothing else. */
class PlaceByHandTest extends WindowTest {
    @BeforeEach
    void choose() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT2);
        hands.clickOn(byId("place.leaf.choose"));
    }

    private Candidate place() {
        return session.job().candidates().stream().filter(c -> c.id().equals(session.at().place().orElseThrow()))
                .findFirst().orElseThrow();
    }

    private double distance() {
        return Objects.requireNonNull(place().distance());
    }

    private double clock() {
        return Objects.requireNonNull(place().clock());
    }

    private Node styled(String style, String inside) {
        return hands.find(n -> n.getStyleClass().contains(style) && n.getParent() != null && within(n, inside))
                .orElseThrow();
    }

    private static boolean within(@Nullable Node node, String id) {
        return node != null && (id.equals(node.getId()) || within(node.getParent(), id));
    }

    private void drag(MouseButton button, double x, double y) {
        hands.press(button).moveBy(x / 2, y / 2).moveBy(x / 2, y / 2).release(button);
    }

    @Test
    void aPlaceMovesByItsPinOnly() {
        double was = distance();
        hands.clickOn(byId("place.run"));
        hands.moveTo(byId("place.run"));
        drag(MouseButton.PRIMARY, 60, 0);
        assertThat(distance()).as("beside its pin").isEqualTo(was);
        hands.moveTo(styled("pin-looked", "place.run"));
        drag(MouseButton.SECONDARY, 60, 0);
        hands.moveTo(styled("pin-looked", "place.run"));
        drag(MouseButton.PRIMARY, 2, 1);
        assertThat(distance()).as("by the other button, and by a hand that slipped").isEqualTo(was);
        hands.moveTo(styled("pin-looked", "place.run")).press(MouseButton.PRIMARY).moveBy(30, 0).moveBy(30, 0);
        hands.push(KeyCode.ESCAPE).release(MouseButton.PRIMARY);
        assertThat(distance()).as("Esc lets go").isEqualTo(was);
        hands.moveTo(styled("pin-looked", "place.run"));
        drag(MouseButton.PRIMARY, -40, 0);
        assertThat(distance()).as("towards the engine").isLessThan(was - 0.02);
    }

    @Test
    void itTurnsByTheSensorOnTheClockFaceOnly() {
        double was = clock();
        hands.clickOn(byId("place.clock.face"));
        assertThat(clock()).as("a click").isEqualTo(was);
        Node bung = styled("bung", "place.clock.face");
        hands.moveTo(bung);
        drag(MouseButton.PRIMARY, 0, 30);
        assertThat(clock()).as("down on the right side is later on the clock").isGreaterThan(was + 0.05);
        assertThat(Math.toDegrees(clock()) % 1).as("whole degrees").isCloseTo(0, offset(1e-6));
    }
}
