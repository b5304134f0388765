package amberheron.app.shell;

import amberheron.app.parts.Parts;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The page of the guide for where one is, over the window; the same text as in the documentation. */
final class GuideView extends StackPane {
    private final Label title = Parts.line("", "title");
    private final VBox text = new VBox(8);
    private final ScrollPane scroll = new ScrollPane(text);
    private final Button close = Parts.button("Close", "guide.close", this::close, "primary");
    private @Nullable Node before;

    GuideView() {
        Parts.scrollsDown(scroll);
        scroll.getStyleClass().add("guide-text");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox foot = new HBox(8, Parts.line("Esc or F1", "soft"), Parts.spring(), close);
        foot.setAlignment(Pos.CENTER_LEFT);
        VBox card = new VBox(10, title, scroll, foot);
        card.getStyleClass().addAll("card", "tour");
        card.setMaxSize(680, 480);
        getStyleClass().add("tour-veil");
        getChildren().add(card);
        setId("guide");
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        setVisible(false);
    }

    /** Shows a page, or puts it away. */
    void toggle(String page) {
        if (isVisible()) {
            close();
            return;
        }
        before = getScene() == null ? null : getScene().getFocusOwner();
        List<Node> lines = new ArrayList<>();
        for (String line : read(page).lines().toList()) {
            String words = line.replaceAll("!\\[[^]]*]\\([^)]*\\)", "").replace("`", "").strip();
            if (words.startsWith("# ")) {
                title.setText(words.substring(2));
            } else if (words.startsWith("- ")) {
                lines.add(Parts.text("•  " + words.substring(2), "plain"));
            } else if (!words.isEmpty()) {
                lines.add(Parts.text(words, "plain"));
            }
        }
        text.getChildren().setAll(lines);
        scroll.setVvalue(0);
        setVisible(true);
        close.requestFocus();
    }

    private void close() {
        setVisible(false);
        if (before != null) {
            before.requestFocus();
        }
    }

    private static String read(String page) {
        try (InputStream in = Objects.requireNonNull(
                GuideView.class.getResourceAsStream("/amberheron/app/guide/" + page + ".md"), page)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
