package amberheron.app.parts;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

/** Words and figures in rows and columns. A cell that stays is only written anew, since making and styling one is slow. */
public final class Cells extends GridPane {
    private static final Set<String> WHOLE = Set.of("figure", "column-head");

    private record At(int column, int row) {
    }

    private final Map<At, Label> labels = new HashMap<>();
    private final Map<At, Node> others = new HashMap<>();
    private final Set<At> written = new HashSet<>();

    /** Cells so far apart. */
    public Cells(double across, double down) {
        setHgap(across);
        setVgap(down);
    }

    /** Writes all cells; those that are not written any more go. */
    public void write(Runnable writing) {
        written.clear();
        writing.run();
        List<Node> gone = new ArrayList<>();
        for (Map<At, ? extends Node> kept : List.of(labels, others)) {
            kept.entrySet().removeIf(e -> {
                boolean stays = written.contains(e.getKey());
                if (!stays) {
                    gone.add(e.getValue());
                }
                return !stays;
            });
        }
        // What was put elsewhere meanwhile stays.
        gone.removeAll(others.values());
        getChildren().removeAll(gone);
    }

    /** Words in one line, in exactly these styles. */
    public Label line(int column, int row, String words, String... styles) {
        At at = new At(column, row);
        written.add(at);
        Label label = labels.computeIfAbsent(at, a -> {
            Label made = Parts.line("");
            add(made, column, row);
            return made;
        });
        label.setText(words);
        Parts.styles(label, styles);
        // A note may end in dots, a figure must not.
        label.setMinWidth(Arrays.stream(styles).anyMatch(WHOLE::contains) ? USE_PREF_SIZE : USE_COMPUTED_SIZE);
        return label;
    }

    /** A figure with its name before it and a note behind. */
    public void row(int row, String name, String figure, String note) {
        line(0, row, name, "column-head");
        line(1, row, figure, "figure");
        line(2, row, note, "soft");
    }

    /** Words that go over more lines where they must. */
    public Label words(int column, int row, String words, String... styles) {
        Label label = line(column, row, words, styles);
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }

    /** Something else, made once for its place. */
    public void put(int column, int row, Supplier<Node> make) {
        At at = new At(column, row);
        written.add(at);
        others.computeIfAbsent(at, a -> {
            Node made = make.get();
            if (getChildren().contains(made)) {
                setConstraints(made, column, row);
            } else {
                add(made, column, row);
            }
            return made;
        });
    }
}
