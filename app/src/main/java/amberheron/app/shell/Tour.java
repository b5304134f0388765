package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Parts;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The window in three steps, each beside what it speaks of; it can be skipped, and called again. */
final class Tour extends StackPane {
    /** A step, and where its card stands. */
    private record Stop(String title, String words, Pos at) {
    }

    private static final List<Stop> STOPS = List.of(
            new Stop("The path of the signal",
                    "From the exhaust gas to the number shown, link by link. A link is proven, broken, or not known yet. "
                            + "Alt and its number goes there.",
                    Pos.CENTER_LEFT),
            new Stop("What is next",
                    "One thing at a time, and why. F2 leads to the field or does it; type, and Enter keeps it. "
                            + "A whole job can be worked through that way.",
                    Pos.CENTER_RIGHT),
            new Stop("The reading rule",
                    "What is true and what is shown, on the same line. Where the two part, something on the path lies. "
                            + "F6 folds and unfolds it, Ctrl+K finds everything.",
                    Pos.BOTTOM_CENTER));

    private final Label count = Parts.line("", "soft");
    private final Label title = Parts.line("", "title");
    private final Label words = Parts.text("");
    private final Button next = Parts.button("", "tour.next", this::next, "primary");
    private final VBox card;
    private final List<Node> parts;
    private final Runnable ended;
    private int stop;

    /**
     * Not shown yet.
     *
     * @param parts of the window, in the order in which they are told of
     */
    Tour(List<Node> parts, Runnable ended) {
        this.parts = parts;
        this.ended = ended;
        HBox keys = new HBox(8, next, Parts.button(say("Skip the tour"), "tour.skip", this::end, "quiet"),
                Parts.spring(),
                count);
        keys.setAlignment(Pos.CENTER_LEFT);
        card = Parts.stacked(title, words, keys);
        card.getStyleClass().addAll("card", "tour");
        card.setMaxSize(420, Region.USE_PREF_SIZE);
        getStyleClass().add("tour-veil");
        getChildren().add(card);
        setPadding(new Insets(0, 282, 190, 256));
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                end();
                e.consume();
            }
        });
        setVisible(false);
    }

    void begin() {
        stop = 0;
        show();
        setVisible(true);
        // At the first start the window is not there yet.
        Platform.runLater(next::requestFocus);
    }

    private void next() {
        stop++;
        if (stop == STOPS.size()) {
            end();
        } else {
            show();
        }
    }

    private void show() {
        Stop at = STOPS.get(stop);
        title.setText(word(at.title()));
        words.setText(word(at.words()));
        count.setText(say("%s of %s", stop + 1, STOPS.size()));
        next.setText(stop + 1 < STOPS.size() ? say("Next") : say("Begin"));
        setAlignment(card, at.at());
        parts.forEach(p -> Parts.style(p, "pointed-at", p.equals(parts.get(stop))));
    }

    private void end() {
        setVisible(false);
        parts.forEach(p -> Parts.style(p, "pointed-at", false));
        ended.run();
    }
}
