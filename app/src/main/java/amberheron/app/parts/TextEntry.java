package amberheron.app.parts;

import amberheron.app.session.Session;

import amberheron.core.job.Job;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.TraversalDirection;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.VBox;

/** Words of the installer's own, kept as typed. */
public final class TextEntry extends VBox implements Refreshed {
    private static final int MOST_CHARACTERS = 400;

    private final Session session;
    private final Supplier<String> key;
    private final Function<Job, String> read;
    private final TextInputControl input;
    private String shownLast = "";

    /** A field for a few words, one line high; or, with more lines, for as many as it takes. */
    public TextEntry(Session session, String name, String key, String prompt, int lines, Function<Job, String> read,
            BiFunction<Job, String, Job> write) {
        this(session, name, () -> key, prompt, lines, read, write);
    }

    /** A field whose name changes with what is looked at. */
    public TextEntry(Session session, String name, Supplier<String> key, String prompt, int lines,
            Function<Job, String> read,
            BiFunction<Job, String, Job> write) {
        this.session = session;
        this.key = key;
        this.read = read;
        if (lines > 1) {
            TextArea area = new TextArea();
            area.setWrapText(true);
            area.setPrefRowCount(lines);
            area.setPrefColumnCount(10);
            input = area;
        } else {
            input = new TextField();
        }
        Label label = Parts.name(name);
        label.setLabelFor(input);
        input.setId(key.get());
        input.setAccessibleText(name);
        input.setPromptText(prompt);
        Runnable commit = () -> {
            String typed = input.getText().strip();
            String kept = typed.substring(0, Math.min(MOST_CHARACTERS, typed.length()));
            if (!kept.equals(read.apply(session.job()))) {
                session.edit(name, j -> write.apply(j, kept));
            }
        };
        if (input instanceof TextField line) {
            line.setOnAction(e -> {
                commit.run();
                line.requestFocusTraversal(TraversalDirection.NEXT);
            });
        }
        input.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                commit.run();
            }
        });
        Parts.undoFrom(input, session, () -> input.getText().equals(read.apply(session.job())));
        getChildren().addAll(label, input);
        getStyleClass().add("entry");
    }

    /** Without its name, for the cell of a table whose column is named. */
    public TextEntry inTable() {
        getChildren().removeFirst();
        input.setMinWidth(0);
        input.setPrefWidth(60);
        getStyleClass().addAll("in-table", "words-in-table");
        return this;
    }

    @Override
    public void refresh() {
        input.setId(key.get());
        if (!input.isFocused() || input.getText().equals(shownLast)) {
            shownLast = read.apply(session.job());
            if (!input.getText().equals(shownLast)) {
                input.setText(shownLast);
            }
        }
    }
}
