package amberheron.app.cli;

import amberheron.app.desktop.Desktop;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The smallest possible window, to measure our own start against. */
public final class BareWindow {
    private BareWindow() {
    }

    /** Opens it. */
    public static void main(String[] args) {
        Application.launch(Opened.class);
    }

    /** The window itself; apart from the main class so that the toolkit's launcher check is the same for both. */
    public static final class Opened extends Application {
        @Override
        public void start(Stage stage) {
            stage.setScene(new Scene(new StackPane(new Label("bare")), 1280, 800));
            stage.show();
            Desktop.firstFrame();
        }
    }
}
