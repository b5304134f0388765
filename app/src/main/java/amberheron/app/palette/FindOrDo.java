package amberheron.app.palette;

import static amberheron.core.units.Phrase.say;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Type a few letters of anything, press Enter. */
public final class FindOrDo extends StackPane {
    private static final int MOST = 60;

    private final Supplier<List<Hit>> all;
    private final TextField input = new TextField();
    private final ListView<Hit> list = new ListView<>();
    private List<Hit> found = List.of();
    private Runnable closed = () -> {
    };

    /**
     * Something that can be found.
     *
     * @param kind what sort of thing it is: job, station, action, setting
     * @param text what it is called
     * @param hint its key, or empty
     */
    public record Hit(String kind, String text, String hint, Runnable run) {
        /** Whether every typed word occurs in it. */
        public boolean answers(String typed) {
            String own = (kind + " " + text).toLowerCase(Locale.ROOT);
            return List.of(typed.toLowerCase(Locale.ROOT).strip().split("\\s+")).stream().allMatch(own::contains);
        }
    }

    /** A palette over everything there is. */
    public FindOrDo(Supplier<List<Hit>> all) {
        this.all = all;
        getStyleClass().add("palette-veil");
        input.setId("palette.input");
        input.setPromptText(say("A job, a station, an action, a setting…"));
        input.setAccessibleText(say("Find or do"));
        list.setId("palette.list");
        list.setCellFactory(l -> new Cell());
        Label none = new Label(say("Nothing is called that."));
        none.getStyleClass().add("soft");
        list.setPlaceholder(none);
        list.setOnMouseClicked(e -> run());
        VBox box = new VBox(input, list);
        box.getStyleClass().add("palette");
        box.setMaxSize(560, 420);
        VBox.setVgrow(list, Priority.ALWAYS);
        StackPane.setAlignment(box, javafx.geometry.Pos.TOP_CENTER);
        getChildren().add(box);
        input.textProperty().addListener((o, was, now) -> filter());
        input.setOnAction(e -> run());
        input.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
                int step = e.getCode() == KeyCode.DOWN ? 1 : -1;
                int count = list.getItems().size();
                if (count > 0) {
                    int next = Math.floorMod(list.getSelectionModel().getSelectedIndex() + step, count);
                    list.getSelectionModel().select(next);
                    list.scrollTo(Math.max(0, next - 4));
                }
                e.consume();
            }
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        setOnMousePressed(e -> {
            if (e.getTarget() == this) {
                close();
            }
        });
        setVisible(false);
    }

    /** Opens it. */
    public void open(Runnable whenClosed) {
        closed = whenClosed;
        // Gathered once: while one types only the choice among them changes.
        found = all.get();
        input.clear();
        filter();
        setVisible(true);
        input.requestFocus();
    }

    /** Gathers anew what there is, where it is open: a job may have come to the book meanwhile. */
    public void refresh() {
        if (isVisible()) {
            List<String> before = words(found);
            found = all.get();
            // What is picked stays picked while nothing came or went.
            if (!words(found).equals(before)) {
                filter();
            }
        }
    }

    private static List<String> words(List<Hit> hits) {
        return hits.stream().map(Hit::text).toList();
    }

    private void close() {
        setVisible(false);
        closed.run();
    }

    private void filter() {
        list.getItems().setAll(found.stream().filter(h -> h.answers(input.getText())).limit(MOST).toList());
        list.getSelectionModel().selectFirst();
    }

    private void run() {
        Hit hit = list.getSelectionModel().getSelectedItem();
        if (hit != null) {
            close();
            hit.run().run();
        }
    }

    private static final class Cell extends ListCell<Hit> {
        @Override
        protected void updateItem(Hit hit, boolean empty) {
            super.updateItem(hit, empty);
            setText(null);
            if (empty || hit == null) {
                setGraphic(null);
                return;
            }
            Label kind = new Label(hit.kind());
            kind.getStyleClass().add("soft");
            kind.setMinWidth(70);
            Label hint = new Label(hit.hint());
            hint.getStyleClass().add("soft");
            hint.setMinWidth(Region.USE_PREF_SIZE);
            Region spring = new Region();
            HBox.setHgrow(spring, Priority.ALWAYS);
            setGraphic(new HBox(8, kind, new Label(hit.text()), spring, hint));
        }
    }
}
