package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import java.util.Objects;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The look that every window of ours has. */
public final class Paper {
    private Paper() {
    }

    /** A window that says only what stands in the way and what mends it. */
    public static Scene trouble(String what, String reason, double width, double height) {
        Label says = Parts.text(reason);
        says.setId("trouble");
        VBox card = Parts.card(what, says, Parts.button(say("Close"), "trouble.close", Platform::exit, "primary"));
        card.setMaxSize(640, Region.USE_PREF_SIZE);
        StackPane root = new StackPane(card);
        root.getStyleClass().add("shell");
        return styled(new Scene(root, width, height));
    }

    /** Gives a scene the look. */
    static Scene styled(Scene scene) {
        scene.getStylesheets()
                .add(Objects.requireNonNull(Paper.class.getResource("/amberheron/app/paper.css")).toExternalForm());
        return scene;
    }
}
