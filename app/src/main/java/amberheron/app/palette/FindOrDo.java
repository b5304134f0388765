package amberheron.app.palette;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Whereabouts;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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
    private final Whereabouts where;
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
     * @param words other words that people look for it by; not shown
     * @param hint its key, or empty
     */
    public record Hit(String kind, String text, String words, String hint, Runnable run) {
        /** How well something answers; nothing that does not. */
        public enum How {
            EXACT,
            BEGINS,
            WORD_BEGINS,
            OTHER_WORD_BEGINS,
            CONTAINS
        }

        /** What parts words. */
        private static final Pattern BREAK = Pattern.compile("[^\\p{L}\\p{N}]+");

        /** How well it answers what is typed; empty where a typed word does not occur in it. */
        public Optional<How> answers(String typed) {
            String wanted = typed.toLowerCase(Locale.ROOT).strip();
            String own = text.toLowerCase(Locale.ROOT);
            String other = words.toLowerCase(Locale.ROOT);
            if (own.equals(wanted)) {
                return Optional.of(How.EXACT);
            }
            if (own.startsWith(wanted)) {
                return Optional.of(How.BEGINS);
            }
            How worst = How.EXACT;
            for (String word : wanted.split("\\s+", -1)) {
                How how = begins(own, word)
                        ? How.WORD_BEGINS
                        : begins(other, word)
                                ? How.OTHER_WORD_BEGINS
                                : (kind.toLowerCase(Locale.ROOT) + " " + own + " " + other).contains(word)
                                        ? How.CONTAINS
                                        : null;
                if (how == null) {
                    return Optional.empty();
                }
                worst = how.compareTo(worst) > 0 ? how : worst;
            }
            return Optional.of(worst);
        }

        private static boolean begins(String text, String word) {
            return BREAK.splitAsStream(text).anyMatch(w -> w.startsWith(word));
        }
    }

    /**
     * A palette over everything there is.
     *
     * @param where keeps what was done lately
     */
    public FindOrDo(Supplier<List<Hit>> all, Whereabouts where) {
        this.all = all;
        this.where = where;
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
        list.getItems().setAll(wanted(found, input.getText(), where.lately()).stream().limit(MOST).toList());
        list.getSelectionModel().selectFirst();
    }

    /** Those that answer, best first, numbers in natural order; with nothing typed the latest on top. */
    public static List<Hit> wanted(List<Hit> all, String typed, List<String> lately) {
        if (typed.isBlank()) {
            List<Hit> recent = lately.stream()
                    .flatMap(text -> all.stream().filter(h -> h.text().equals(text)).limit(1)).toList();
            return Stream.concat(recent.stream(), all.stream().filter(h -> !recent.contains(h))).toList();
        }
        record Ranked(Hit hit, Hit.How how) {
        }
        return all.stream().flatMap(h -> h.answers(typed).stream().map(how -> new Ranked(h, how)))
                .sorted(Comparator.comparing(Ranked::how)).map(Ranked::hit).toList();
    }

    private void run() {
        Hit hit = list.getSelectionModel().getSelectedItem();
        if (hit != null) {
            where.did(hit.text());
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
