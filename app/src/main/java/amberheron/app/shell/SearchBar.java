package amberheron.app.shell;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Finds words in the view that is shown: each place is marked, Enter brings the next. */
final class SearchBar extends HBox {
    private static final String FOUND = "found-here";

    private final List<Node> in;
    private final TextField words = new TextField();
    private final Label told = Parts.line("", "soft");
    private List<Node> found = List.of();
    private int at;

    /** @param in what is searched, in reading order from the last */
    SearchBar(Node... in) {
        super(8);
        this.in = List.of(in);
        words.setId("search.words");
        words.setPromptText(say("words in this view"));
        words.setAccessibleText(say("Find in this view"));
        HBox.setHgrow(words, Priority.ALWAYS);
        words.textProperty().addListener((o, was, now) -> look());
        words.setOnAction(e -> next());
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("notice");
        getChildren().addAll(words, told, Parts.button("×", "search.close", this::close, "icon"));
        Parts.show(this, false);
    }

    void open() {
        Parts.show(this, true);
        words.requestFocus();
        words.selectAll();
        look();
    }

    private void close() {
        mark(false);
        found = List.of();
        Parts.show(this, false);
    }

    private void mark(boolean on) {
        found.forEach(n -> Parts.style(n, FOUND, on));
    }

    private void look() {
        mark(false);
        String wanted = words.getText().strip().toLowerCase(Locale.ROOT);
        List<Node> all = new ArrayList<>();
        if (!wanted.isEmpty()) {
            in.forEach(n -> gather(n, wanted, all));
        }
        found = List.copyOf(all);
        at = -1;
        mark(true);
        told.setText(wanted.isEmpty()
                ? ""
                : found.isEmpty()
                        ? say("not on this view: Ctrl+K looks everywhere")
                        : count("1 place", "%d places", found.size()));
        if (!found.isEmpty()) {
            bring(found.getFirst());
        }
    }

    private static void gather(Node node, String wanted, List<Node> all) {
        if (!node.isVisible()) {
            return;
        }
        String text = node instanceof Labeled label
                ? label.getText()
                : node instanceof TextInputControl field ? field.getText() : "";
        if (Objects.requireNonNullElse(text, "").toLowerCase(Locale.ROOT).contains(wanted)) {
            all.add(node);
        } else if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> gather(child, wanted, all));
        }
    }

    private void next() {
        if (!found.isEmpty()) {
            at = (at + 1) % found.size();
            bring(found.get(at));
        }
    }

    /** Scrolls to a place; the focus stays here. */
    private static void bring(Node node) {
        Stream.iterate(node, Objects::nonNull, Node::getParent).filter(ScrollPane.class::isInstance).findFirst()
                .ifPresent(pane -> Parts.centre((ScrollPane) pane, node));
    }
}
