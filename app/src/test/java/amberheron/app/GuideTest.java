package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.palette.FindOrDo;
import amberheron.core.job.Station;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
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
            assertThat(shows("Take back the last change")).as("all keys").isTrue();
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

    /** What somebody who knows the trade and not the program would type, and what they mean. */
    @Test
    void theWordsPeopleUseAreKnown() {
        find("job SB-014");
        Map<String, String> meant = new TreeMap<>();
        for (String[] each : new String[][]{{"calibrate", "Go to Air"}, {"print", "Print the sheet in view"},
                {"undo", "Take back"}, {"help", "The guide's page"}, {"photo", "Take up a file"},
                {"bung", "Go to Place"},
                {"PDF", "Print the sheet in view"}, {"delete", "All jobs"}, {"replace the sensor", "sensor book"},
                {"export", "The book"}, {"language", "Language: English"}, {"torque", "Torque in"},
                {"fuse", "Wire: fuse and feed"}, {"AFR", "Mixtures as AFR"}, {"save", "Is it saved?"},
                {"shortcuts", "All keys"}}) {
            hands.push(KeyCode.CONTROL, KeyCode.K);
            hands.write(each[0]);
            ListView<?> list = (ListView<?>) byId("palette.list");
            String first = list.getItems().isEmpty() ? "nothing" : ((FindOrDo.Hit) list.getItems().getFirst()).text();
            if (!first.contains(each[1])) {
                meant.put(each[0], first);
            }
            hands.push(KeyCode.ESCAPE);
        }
        assertThat(meant).isEmpty();
    }

    @Test
    void savingIsAnsweredAndWordsAreFoundInTheView() {
        find("job SB-014");
        hands.push(KeyCode.CONTROL, KeyCode.S);
        assertThat(session.notice()).contains("kept already");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.push(KeyCode.CONTROL, KeyCode.F);
        hands.write("cranking");
        assertThat(hands.find(n -> n.getStyleClass().contains("found-here")
                && n instanceof Labeled l && l.getText().toLowerCase(Locale.ROOT).contains("cranking"))).isPresent();
        hands.push(KeyCode.ESCAPE);
        assertThat(hands.find(n -> n.getStyleClass().contains("found-here"))).isEmpty();
    }
}
