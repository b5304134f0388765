package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.TraversalDirection;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.skin.ComboBoxListViewSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.stage.PopupWindow;
import org.jspecify.annotations.Nullable;

/** A choice of one value: of a few as buttons side by side, of many as a list that opens. */
public final class Choice<T> extends VBox implements Refreshed {
    private static final int FEW = 5;
    /** Room of a list beside its words, and the most that is kept free for them, in ems. */
    private static final double ROOM = 2.5;
    private static final double ROOM_IN_TABLE = 1.8;
    private static final double LONG = 10;
    private static final double LONG_IN_TABLE = 4.6;
    private static final double EM = 14;

    private final Supplier<@Nullable T> read;
    private final List<T> values;
    private final List<ToggleButton> buttons;
    private final @Nullable ComboBox<T> list;
    /** Width of its widest words, in ems. */
    private final double widest;
    private final Label note = Parts.text("", "soft");
    private boolean refreshing;
    /** Whether what stands in the list was typed and is not kept yet. */
    private boolean typed;

    /**
     * A choice.
     *
     * @param key id prefix of the buttons, or id of the list
     * @param read what is chosen now; null when nothing is
     */
    public Choice(String name, String key, List<T> values, Function<T, String> words,
            Supplier<@Nullable T> read, Consumer<T> pick) {
        this(name, key, values, words, read, pick, values.size() <= FEW);
    }

    /** A list that opens, however few they are. */
    public static <T> Choice<T> list(String name, String key, List<T> values,
            Function<T, String> words, Supplier<@Nullable T> read, Consumer<T> pick) {
        return new Choice<>(name, key, values, words, read, pick, false);
    }

    /** Without its name, for the cell of a table whose column is named. */
    public Choice<T> inTable() {
        getChildren().removeFirst();
        getStyleClass().add("in-table");
        if (list != null) {
            list.setPrefWidth(60);
            list.setStyle(atLeast(LONG_IN_TABLE, ROOM_IN_TABLE));
        }
        return this;
    }

    private Choice(String name, String key, List<T> values, Function<T, String> words,
            Supplier<@Nullable T> read, Consumer<T> pick, boolean side) {
        this.read = read;
        this.values = List.copyOf(values);
        Parts.show(note, false);
        // A name that wraps would be measured at no width at all.
        Label label = Parts.name(name);
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
            widest = 0;
            FlowPane row = new FlowPane(6, 6);
            row.getChildren().addAll(buttons);
            row.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.ENTER && e.getTarget() instanceof ToggleButton pressed) {
                    pressed.fire();
                    buttons.getLast().requestFocusTraversal(TraversalDirection.NEXT);
                    e.consume();
                }
            });
            foundByWord(row, buttons);
            getChildren().addAll(label, row);
            setId(key);
        } else {
            buttons = List.of();
            ComboBox<T> box = new ComboBox<>();
            box.getItems().setAll(values);
            box.setConverter(Parts.named(words));
            box.setId(key);
            box.setAccessibleText(name);
            box.setMaxWidth(Double.MAX_VALUE);
            widest = values.stream().map(words).mapToDouble(Choice::ems).max().orElse(0);
            box.setStyle(atLeast(LONG, ROOM));
            TypedWord word = TypedWord.on(box);
            Runnable taken = () -> {
                T now = box.getValue();
                if (!refreshing && now != null && !now.equals(read.get())) {
                    pick.accept(now);
                }
            };
            // While the list is open one looks through it; what is picked counts when it closes.
            box.valueProperty().addListener((o, was, now) -> {
                if (!box.isShowing()) {
                    taken.run();
                }
            });
            box.setOnHidden(e -> {
                word.forget();
                taken.run();
            });
            box.setOnShown(e -> escapable(box));
            typedInto(box, word, taken);
            list = box;
            label.setLabelFor(box);
            getChildren().addAll(label, box, note);
        }
    }

    private static double ems(String words) {
        Text text = new Text(words);
        text.setFont(Font.font("Source Sans 3", EM));
        return text.getLayoutBounds().getWidth() / EM;
    }

    /** Returns a least width at which none of its words is cut, except a long name that a shop has given. */
    private String atLeast(double most, double room) {
        return String.format(Locale.ROOT, "-fx-min-width: %.1fem;", Math.min(widest, most) + room);
    }

    /** What is typed on one of several buttons goes to the one of that name. */
    public static void foundByWord(Node row, List<? extends ButtonBase> buttons) {
        TypedWord word = TypedWord.on(row);
        row.addEventHandler(KeyEvent.KEY_TYPED, e -> {
            int at = buttons.stream().filter(ButtonBase::isFocused).map(buttons::indexOf).findFirst().orElse(-1);
            word.typed(e.getCharacter(), buttons.stream().map(ButtonBase::getText).toList(), at)
                    .ifPresent(i -> buttons.get(i).requestFocus());
        });
    }

    /** What is typed on a list picks in it. */
    public static <V> void foundByWord(ComboBox<V> list) {
        TypedWord word = TypedWord.on(list);
        list.addEventHandler(KeyEvent.KEY_TYPED, e -> word.typed(e.getCharacter(), names(list),
                list.getSelectionModel().getSelectedIndex()).ifPresent(i -> list.getSelectionModel().select(i)));
    }

    /** Does something when Enter is pressed on a list, closed or open. */
    public static <V> void onEnter(ComboBox<V> list, Runnable taken) {
        list.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && !list.isShowing()) {
                taken.run();
                e.consume();
            }
        });
        list.setOnShown(e -> {
            if (list.getSkin() instanceof ComboBoxListViewSkin<?> skin) {
                skin.getPopupContent().setOnKeyPressed(k -> {
                    if (k.getCode() == KeyCode.ENTER) {
                        list.hide();
                        taken.run();
                    }
                });
            }
        });
    }

    private static <V> List<String> names(ComboBox<V> list) {
        return list.getItems().stream().map(list.getConverter()::toString).toList();
    }

    /** What was typed stands in the list, and counts once Enter is pressed or the list is left. */
    private void typedInto(ComboBox<T> box, TypedWord word, Runnable taken) {
        box.addEventHandler(KeyEvent.KEY_TYPED, e -> word.typed(e.getCharacter(), names(box),
                box.getSelectionModel().getSelectedIndex()).ifPresentOrElse(i -> {
                    show(box, values.get(i));
                    typed = !box.isShowing();
                    tell(typed ? say("Enter keeps it, Esc puts back what was there.") : "");
                }, () -> tell(word.word().isEmpty() || e.getCharacter().isBlank()
                        || Character.isISOControl(e.getCharacter().charAt(0)) || box.isShowing()
                                ? note.getText()
                                : say("Nothing here has a word that begins with “%s”.", word.word()))));
        box.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && (typed || box.isShowing())) {
                box.hide();
                kept(taken);
                box.requestFocusTraversal(TraversalDirection.NEXT);
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE && (typed || box.isShowing())) {
                putBack(box);
                e.consume();
            }
        });
        box.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                kept(taken);
            }
        });
    }

    /** Of itself an open list closes at Esc and leaves what was looked at; here that is put back. */
    private void escapable(ComboBox<T> box) {
        if (box.getSkin() instanceof ComboBoxListViewSkin<?> skin) {
            Node content = skin.getPopupContent();
            if (content.getScene().getWindow() instanceof PopupWindow popup) {
                popup.setHideOnEscape(false);
            }
            content.setOnKeyPressed(e -> {
                if (e.getCode() == KeyCode.ESCAPE) {
                    putBack(box);
                } else if (e.getCode() == KeyCode.ENTER) {
                    box.hide();
                    box.requestFocusTraversal(TraversalDirection.NEXT);
                } else if (e.getCode() == KeyCode.SPACE) {
                    box.hide();
                }
            });
        }
    }

    private void putBack(ComboBox<T> box) {
        typed = false;
        tell("");
        show(box, read.get());
        box.hide();
    }

    private void kept(Runnable taken) {
        tell("");
        if (typed) {
            typed = false;
            taken.run();
        }
    }

    private void show(ComboBox<T> box, @Nullable T value) {
        refreshing = true;
        box.setValue(value);
        refreshing = false;
    }

    private void tell(String words) {
        note.setText(words);
        Parts.show(note, !words.isEmpty());
    }

    @Override
    public void refresh() {
        T now = read.get();
        for (int i = 0; i < buttons.size(); i++) {
            buttons.get(i).setSelected(Objects.equals(values.get(i), now));
        }
        if (list != null && !list.isShowing() && !typed) {
            show(list, now);
        }
    }
}
