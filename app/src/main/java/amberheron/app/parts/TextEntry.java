package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.units.TextLimit;
import amberheron.io.Printable;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.TraversalDirection;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.VBox;

/** Words of the installer's own, kept as typed. */
public final class TextEntry extends VBox implements Refreshed {
    private final Session session;
    private final Supplier<String> key;
    private final Function<Job, String> read;
    private final TextInputControl input;
    private TextLimit limit;
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
        limit = lines > 1 ? TextLimit.NOTE : TextLimit.NAME;
        if (lines > 1) {
            TextArea area = new TextArea();
            area.setWrapText(true);
            area.setPrefRowCount(lines);
            area.setPrefColumnCount(10);
            input = area;
        } else {
            input = new Pasted(session);
        }
        Label label = Parts.name(name);
        label.setLabelFor(input);
        input.setId(key.get());
        input.setAccessibleText(name);
        input.setPromptText(prompt);
        Runnable commit = () -> {
            String kept = input.getText().strip();
            if (!kept.equals(read.apply(session.job()))) {
                session.edit(name, j -> write.apply(j, kept));
            }
        };
        input.setTextFormatter(new TextFormatter<String>(this::withinLimit));
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
        Parts.onEscape(input, () -> {
            String kept = read.apply(session.job());
            boolean typed = !input.getText().equals(kept);
            input.setText(kept);
            return typed;
        });
        Parts.undoFrom(input, session, () -> input.getText().equals(read.apply(session.job())));
        getChildren().addAll(label, input);
        getStyleClass().add("entry");
    }

    /** Returns the field with another limit of length. */
    public TextEntry limited(TextLimit value) {
        limit = value;
        return this;
    }

    /** Refuses a text that is too long, and says so: the text in the field is the text that is kept. */
    private TextFormatter.Change withinLimit(TextFormatter.Change change) {
        if (change.isContentChange()) {
            change.setText(Printable.marked(change.getText()));
            if (change.getControlNewText().length() > limit.most()
                    && change.getControlNewText().length() > change.getControlText().length()
                    && input.isFocused()) {
                session.tell(say("%s: found %d characters, expected at most %d; what was there stays.",
                        input.getAccessibleText(), change.getControlNewText().length(), limit.most()));
                change.setText(change.getControlText().substring(change.getRangeStart(), change.getRangeEnd()));
                change.selectRange(change.getControlAnchor(), change.getControlCaretPosition());
            }
        }
        return change;
    }

    /** The text in it. */
    String text() {
        return input.getText();
    }

    /** Takes cells that are pasted as words apart by blanks. */
    public TextEntry apartByBlanks() {
        if (input instanceof Pasted line) {
            line.onCells(cells -> line.replaceSelection(
                    cells.stream().flatMap(List::stream).filter(c -> !c.isEmpty()).collect(Collectors.joining(" "))));
        }
        return this;
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
