package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import javafx.application.Platform;
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
    private final Button close = Parts.button(say("Close"), "guide.close", this::close, "primary");
    private @Nullable Node before;
    private boolean generated;

    GuideView() {
        Parts.scrollsDown(scroll);
        scroll.getStyleClass().add("guide-text");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox foot = new HBox(8, Parts.line(say("Esc closes, F1 once more lists all keys"), "soft"), Parts.spring(),
                close);
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

    /** Shows a page from where its text first says something; from its top where it does not. */
    void open(String page, String says) {
        generated = false;
        before = getScene() == null ? null : getScene().getFocusOwner();
        List<Node> lines = new ArrayList<>();
        Label from = null;
        Label section = null;
        for (String words : paragraphs(read(page))) {
            if (words.startsWith("# ")) {
                title.setText(words.substring(2));
                continue;
            }
            boolean head = words.startsWith("#");
            Label line = Parts.text(words.replaceFirst("^#+ ", "").replaceFirst("^- ", "•  "),
                    head ? "strong" : "plain");
            section = head || section == null ? line : section;
            if (from == null && !says.isEmpty() && words.contains(says)) {
                from = section;
            }
            lines.add(line);
        }
        text.getChildren().setAll(lines);
        setVisible(true);
        close.requestFocus();
        scroll.setVvalue(0);
        if (from != null) {
            Label to = from;
            // Where it stands is known once it was laid out.
            Platform.runLater(() -> {
                double spare = text.getHeight() - scroll.getViewportBounds().getHeight();
                scroll.setVvalue(spare <= 0 ? 0 : Math.clamp(to.getBoundsInParent().getMinY() / spare, 0, 1));
            });
        }
    }

    /** Whether what is shown was put together here rather than read from the guide. */
    boolean isGenerated() {
        return generated;
    }

    /** Shows lines: a key and what it does, apart by a tab, under headings that begin with “# ”. */
    void show(String heading, List<String> lines) {
        if (!isVisible()) {
            before = getScene() == null ? null : getScene().getFocusOwner();
        }
        title.setText(heading);
        text.getChildren().setAll(lines.stream().map(GuideView::line).toList());
        generated = true;
        setVisible(true);
        close.requestFocus();
        scroll.setVvalue(0);
    }

    private static Node line(String line) {
        if (line.startsWith("# ")) {
            return Parts.text(line.substring(2), "strong");
        }
        int tab = line.indexOf('\t');
        Label key = Parts.line(line.substring(0, tab), "figure");
        key.setMinWidth(150);
        return new HBox(8, key, Parts.text(line.substring(tab + 1), "plain"));
    }

    /** Headings, points and paragraphs, each on one line, without pictures and marks. */
    private static List<String> paragraphs(String page) {
        List<String> all = new ArrayList<>();
        boolean goesOn = false;
        for (String line : page.lines().toList()) {
            String words = line.replaceAll("!\\[[^]]*]\\([^)]*\\)", "").replace("`", "").replace("*", "").strip();
            boolean begins = words.startsWith("#") || words.startsWith("- ");
            if (words.isEmpty()) {
                goesOn = false;
            } else if (goesOn && !begins) {
                all.set(all.size() - 1, all.getLast() + " " + words);
            } else {
                all.add(words);
                goesOn = !words.startsWith("#");
            }
        }
        return all;
    }

    /** Puts it away. */
    void close() {
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
