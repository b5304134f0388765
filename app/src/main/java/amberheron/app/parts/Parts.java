package amberheron.app.parts;

import amberheron.app.session.Session;
import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/** The few parts that screens are put together from. */
public final class Parts {
    private static final Object FILLED = new Object();

    private Parts() {
    }

    /** A label that wraps, in a style class. */
    public static Label text(String text, String... styles) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().addAll(styles);
        return label;
    }

    /** A label of one line, cut with an ellipsis where room runs out. */
    public static Label line(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    /** Does something again and again while it is played, at the longest until the session is closed. */
    public static Animation beat(Session session, Duration every, Runnable what) {
        Timeline beat = new Timeline(new KeyFrame(every, e -> what.run()));
        beat.setCycleCount(Animation.INDEFINITE);
        session.listeners().onClose(beat::stop);
        return beat;
    }

    /** A button at least as large as a gloved finger. */
    public static Button button(String text, String id, Runnable run, String... styles) {
        Button button = new Button(text);
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> run.run());
        button.getStyleClass().addAll(styles);
        return button;
    }

    /** Makes a button of a list to pick from, as wide as the list; its words wrap where they must. */
    public static ToggleButton pick(String words, String id, boolean picked, Runnable run) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.setSelected(picked);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.setWrapText(true);
        button.setMinHeight(Region.USE_PREF_SIZE);
        button.setOnAction(e -> run.run());
        return button;
    }

    /** Makes a button that picks one of several parts to look at; pressed again it stays pressed. */
    public static ToggleButton looked(String words, String id, boolean here, Runnable look) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.setSelected(here);
        button.setOnAction(e -> {
            button.setSelected(true);
            look.run();
        });
        return button;
    }

    /** A card: a heading, a note at its right, and what is in it. */
    public static VBox noted(String heading, Label note, Node... content) {
        note.getStyleClass().add("note");
        Label title = line(heading, "card-heading");
        title.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(10, title, spring(), note);
        head.setAlignment(Pos.BASELINE_LEFT);
        VBox card = new Stack(8, head);
        card.getChildren().addAll(content);
        card.getStyleClass().add("card");
        return card;
    }

    /** A card without a heading, where its first line says what it is. */
    public static VBox bare(Node... content) {
        VBox card = new Stack(8, content);
        card.getStyleClass().add("card");
        return card;
    }

    /** Cards one under the other. */
    public static VBox stacked(Node... cards) {
        return new Stack(12, cards);
    }

    /** A card without a note. */
    public static VBox card(String heading, Node... content) {
        return noted(heading, new Label(), content);
    }

    /** Lets a file be chosen, over the window that a node is in; nothing is called when none is. */
    public static void browse(Node over, String title, Consumer<String> chosen) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        File file = chooser.showOpenDialog(over.getScene().getWindow());
        if (file != null) {
            chosen.accept(file.toString());
        }
    }

    /** Empty room that pushes apart. */
    public static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    /** Nodes side by side that share the width evenly, in more lines where their words need it. */
    public static Region evenly(Node... nodes) {
        return new Evenly(nodes);
    }

    /** The name of a field, never cut. */
    static Label name(String text) {
        Label name = line(text, "field-name");
        name.setMinWidth(Region.USE_PREF_SIZE);
        return name;
    }

    /**
     * Lets the undo key take back the last change of the job while a field has the focus, as long as nothing new is
     * typed into it; what is being typed is the field's own to undo.
     */
    public static void undoFrom(TextInputControl field, Session session, BooleanSupplier untouched) {
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.isShortcutDown() && untouched.getAsBoolean()
                    && (e.getCode() == KeyCode.Z || e.getCode() == KeyCode.Y)) {
                if (e.getCode() == KeyCode.Z) {
                    session.openJob().undo();
                } else {
                    session.openJob().redo();
                }
                e.consume();
            }
        });
    }

    /** Does something at Esc in a field; where it did nothing the key goes on to whoever else wants it. */
    static void onEscape(TextInputControl field, BooleanSupplier did) {
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE && did.getAsBoolean()) {
                e.consume();
            }
        });
    }

    /** Whether a node is another or lies somewhere in it. */
    public static boolean within(Node node, Node other) {
        return Stream.iterate(node, Objects::nonNull, Node::getParent).anyMatch(other::equals);
    }

    /** Scrolls a pane until a node of its content stands in its middle, as far as that goes. */
    public static void centre(ScrollPane pane, Node node) {
        double seen = pane.getViewportBounds().getHeight();
        double spare = pane.getContent().getLayoutBounds().getHeight() - seen;
        double middle = pane.getContent().sceneToLocal(node.localToScene(node.getBoundsInLocal())).getCenterY();
        pane.setVvalue(spare <= 0 ? 0 : Math.clamp((middle - seen / 2) / spare, 0, 1));
    }

    /** The node with an id in a tree; null when there is none. Our ids have dots, which a style selector takes for classes. */
    public static @Nullable Node find(Node in, String id) {
        if (id.equals(in.getId())) {
            return in;
        }
        if (in instanceof Parent parent) {
            for (Node child : parent.getChildrenUnmodifiable()) {
                Node found = find(child, id);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    /**
     * A pane that scrolls down. Its content is drawn straight to the window: kept as a picture of its own, all of it
     * would be drawn again whenever anything in it changes.
     */
    public static void scrollsDown(ScrollPane pane) {
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.skinProperty().addListener(o -> pane.lookup(".viewport").setCache(false));
    }

    /**
     * Puts nodes into a pane, made anew only when what they show has changed: making and styling them is what a screen
     * takes longest over.
     *
     * @param shows all that the nodes show; equal to the last time's when they would look the same
     */
    public static void fill(Pane pane, Object shows, Supplier<List<? extends Node>> nodes) {
        if (!shows.equals(pane.getProperties().get(FILLED))) {
            pane.getProperties().put(FILLED, shows);
            pane.getChildren().setAll(nodes.get());
        }
    }

    /** Gives a label exactly these styles besides its own; nothing happens when it has them. */
    public static void styles(Label label, String... styles) {
        List<String> wanted = new ArrayList<>(List.of("label"));
        wanted.addAll(List.of(styles));
        if (!label.getStyleClass().equals(wanted)) {
            label.getStyleClass().setAll(wanted);
        }
    }

    /** Gives a node a style or takes it away; nothing happens when it is so already. */
    public static void style(Node node, String style, boolean on) {
        if (on != node.getStyleClass().contains(style)) {
            if (on) {
                node.getStyleClass().add(style);
            } else {
                node.getStyleClass().remove(style);
            }
        }
    }

    /** Shows a node, or takes no room for it. */
    public static void show(Node node, boolean on) {
        node.setVisible(on);
        node.setManaged(on);
    }

    /** Words that take no room while there are none. */
    public static void show(Label label, String words) {
        label.setText(words);
        show(label, !words.isEmpty());
    }

    /** A converter for choices that are only ever picked, not typed. */
    public static <T> javafx.util.StringConverter<T> named(Function<T, String> name) {
        return new javafx.util.StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : name.apply(value);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException(text);
            }
        };
    }
}
