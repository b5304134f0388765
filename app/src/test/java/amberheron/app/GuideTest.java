package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Station;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

class GuideTest extends WindowTest {
    private static final Path GUIDE = Path.of("..", "docs", "guide");

    @Test
    void theHelpKeyOpensThePageOfTheStationAndPutsItAway() {
        hands.push(KeyCode.CONTROL, KeyCode.J).push(KeyCode.F1);
        assertThat(shows("Begin")).isTrue();
        hands.push(KeyCode.ESCAPE);
        find("job SB-014");
        for (Station station : Station.values()) {
            hands.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
            hands.push(KeyCode.F1);
            assertThat(byId("guide").isVisible()).isTrue();
            assertThat(shows(station.title())).isTrue();
            hands.push(KeyCode.F1);
            assertThat(byId("guide").isVisible()).as("put away").isFalse();
        }
    }

    /** From a figure to its working, and from there to the method behind it. */
    @Test
    void whyLeadsToHowItIsWorkedOut() {
        find("job SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.grounds"));
        hands.interact(() -> session.at().ask(session.review().findings(Station.WIRE).stream()
                .filter(f -> f.check().key().equals("ground")).findFirst().orElseThrow().check()));
        hands.clickOn(byId("reasons.method"));
        assertThat(byId("guide").isVisible()).isTrue();
        assertThat(shows("How each figure is worked out")).isTrue();
        assertThat(shows("Kirchhoff's current law")).isTrue();
    }

    @Test
    void everyPageHasItsPictures() throws IOException {
        try (Stream<Path> pages = Files.list(GUIDE)) {
            for (Path page : pages.toList()) {
                Matcher picture = Pattern.compile("]\\(([^)]+)\\)").matcher(Files.readString(page));
                while (picture.find()) {
                    assertThat(GUIDE.resolve(picture.group(1))).as(page + ": " + picture.group()).exists();
                }
            }
        }
    }
}
