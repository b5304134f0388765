package amberheron.app.parts;

import amberheron.app.session.Session;

import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** One of a few, as buttons side by side; one of many, as a list that opens. */
public final class Choice<T> extends VBox implements Refreshed {
    private static final int FEW = 5;

    private final Supplier<@Nullable T> read;
    private final List<T> values;
    private final List<ToggleButton> buttons;
    private final @Nullable ComboBox<T> list;
    private boolean refreshing;

    /**
     * A choice.
     *
     * @param key id prefix of the buttons, or id of the list
     * @param read what is chosen now; null when nothing is
     */
    public Choice(Session session, String name, String key, List<T> values, Function<T, String> words,
            Supplier<@Nullable T> read, Consumer<T> pick) {
        this(session, name, key, values, words, read, pick, values.size() <= FEW);
    }

    /** A list that opens, however few they are. */
    public static <T> Choice<T> list(Session session, String name, String key, List<T> values,
            Function<T, String> words, Supplier<@Nullable T> read, Consumer<T> pick) {
        return new Choice<>(session, name, key, values, words, read, pick, false);
    }

    /** Without its name, for the cell of a table whose column is named. */
    public Choice<T> inTable() {
        getChildren().removeFirst();
        getStyleClass().add("in-table");
        if (list != null) {
            list.setMinWidth(0);
            list.setPrefWidth(60);
        }
        return this;
    }

    private Choice(Session session, String name, String key, List<T> values, Function<T, String> words,
            Supplier<@Nullable T> read, Consumer<T> pick, boolean side) {
        this.read = read;
        this.values = List.copyOf(values);
        // A name that wraps would be measured at no width at all.
        Label label = Parts.line(name, "field-name");
        getStyleClass().add("entry");
        if (side) {
            buttons = values.stream().map(v -> {
                ToggleButton button = new ToggleButton(words.apply(v));
                button.setId(key + "." + values.indexOf(v));
                button.setAccessibleText(name + ": " + words.apply(v));
                button.setOnAction(e -> {
                    button.setSelected(true);
                    pick.accept(v);
                });
                return button;
            }).toList();
            list = null;
            FlowPane row = new FlowPane(6, 6);
            row.getChildren().addAll(buttons);
            getChildren().addAll(label, row);
            setId(key);
            session.onFocus(wanted -> {
                if (wanted.equals(key)) {
                    buttons.getFirst().requestFocus();
                }
            });
        } else {
            buttons = List.of();
            ComboBox<T> box = new ComboBox<>();
            box.getItems().setAll(values);
            box.setConverter(Parts.named(words));
            box.setId(key);
            box.setAccessibleText(name);
            box.setMaxWidth(Double.MAX_VALUE);
            box.valueProperty().addListener((o, was, now) -> {
                if (!refreshing && now != null && !now.equals(read.get())) {
                    pick.accept(now);
                }
            });
            list = box;
            label.setLabelFor(box);
            getChildren().addAll(label, box);
            session.onFocus(wanted -> {
                if (wanted.equals(key)) {
                    box.requestFocus();
                    box.show();
                }
            });
        }
    }

    @Override
    public void refresh() {
        T now = read.get();
        for (int i = 0; i < buttons.size(); i++) {
            buttons.get(i).setSelected(Objects.equals(values.get(i), now));
        }
        if (list != null) {
            refreshing = true;
            list.setValue(now);
            refreshing = false;
        }
    }
}
