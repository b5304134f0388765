package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.Advice;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.job.Reservation;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Do next and why; folded to a line each, where schools part and what was checked against; the caution pinned at the foot.
 * And the working of a figure that was asked about.
 */
final class Reasons extends BorderPane {
    private List<Object> shown = List.of();
    private Advice last = new Advice(Message.NONE, null, Message.NONE, Message.NONE, List.of(), Message.NONE);
    private final Label next = Parts.text("", "reason-next");
    private final Label why = Parts.text("");
    private Runnable run = () -> {
    };
    private final Session session;
    private final Consumer<Finding> methods;
    private final VBox column = new VBox(4);
    private final ScrollPane scroll = new ScrollPane(column);
    private final Label caution = Parts.text("");
    private final VBox foot = new VBox(2, Parts.line(say("Caution"), "reason-caution"), caution);
    private Button button = new Button();
    private boolean schools;
    private boolean sources;

    /**
     * The column.
     *
     * @param methods shows how the figure of a check is worked out
     */
    Reasons(Session session, Consumer<Finding> methods) {
        this.session = session;
        this.methods = methods;
        column.getStyleClass().add("reasons");
        Parts.scrollsDown(scroll);
        scroll.getStyleClass().add("reasons-scroll");
        scroll.setFocusTraversable(false);
        foot.getStyleClass().add("caution-foot");
        foot.setId("reasons.caution");
        next.setId("reasons.next");
        getStyleClass().add("reasons-frame");
        setCenter(scroll);
        setBottom(foot);
    }

    void refresh(Advice advice) {
        Advice.Action now = advice.action();
        run = now == null ? () -> {
        } : now.run();
        caution.setText(said(advice.caution()));
        Parts.show(foot, !advice.caution().isEmpty());
        last = advice;
        next.setText(said(advice.next()));
        why.setText(said(advice.why()));
        // These two follow every figure; what stands around them is made anew only when it is another.
        List<Object> shows = List.of(now == null ? "" : now.label() + now.letter(), advice.why().isEmpty(),
                said(advice.disagreement()),
                reserved(), advice.checked(), asked(), schools, sources);
        if (!shows.equals(shown)) {
            shown = shows;
            boolean here = button.isFocused();
            column.getChildren().setAll(nodes(advice));
            scroll.setVvalue(0);
            if (here && now != null) {
                button.requestFocus();
            }
        }
    }

    /** Brings the button of what a person vouches for, so that its letter is the next key. */
    void bring() {
        button.requestFocus();
    }

    private void byLetter(Button of, String letter) {
        of.addEventHandler(KeyEvent.KEY_TYPED, e -> {
            if (letter.equalsIgnoreCase(e.getCharacter())) {
                run.run();
                e.consume();
            }
        });
        // The key that keeps what is typed keeps nothing that was only looked past.
        of.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                e.consume();
            }
        });
    }

    private List<Node> nodes(Advice advice) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(Parts.line(say("Do next"), "reason-live"));
        nodes.add(next);
        Advice.Action action = advice.action();
        if (action != null) {
            button = Parts.button(action.label(), "reasons.action", () -> run.run(), "primary");
            boolean vouched = !action.letter().isEmpty();
            if (vouched) {
                byLetter(button, action.letter());
            }
            Label key = new Label(vouched ? action.letter() : "F2");
            key.getStyleClass().add("button-key");
            button.setGraphic(key);
            button.setContentDisplay(javafx.scene.control.ContentDisplay.RIGHT);
            button.setMaxWidth(Double.MAX_VALUE);
            button.setMinWidth(0);
            button.setWrapText(true);
            button.setMinHeight(Region.USE_PREF_SIZE);
            nodes.add(button);
            if (vouched) {
                nodes.add(Parts.text(say("Look first, then press %s.", action.letter()),
                        "soft"));
            }
        }
        reserved().ifPresent(r -> {
            nodes.add(Parts.line(say("With a reservation"), "reason-head"));
            nodes.add(Parts.text(said(r), "reason-reserved"));
        });
        asked().ifPresentOrElse(f -> asked(f, nodes), () -> {
            if (!advice.why().isEmpty()) {
                nodes.add(Parts.line(say("Why"), "reason-head"));
                nodes.add(why);
            }
        });
        if (!advice.disagreement().isEmpty()) {
            fold(nodes, "reasons.schools", say("Where shops differ"), say("what good shops do differently"), schools,
                    () -> {
                        schools = !schools;
                        refresh(last);
                    });
            if (schools) {
                nodes.add(Parts.text(said(advice.disagreement())));
            }
        }
        if (!advice.checked().isEmpty()) {
            fold(nodes, "reasons.sources", say("Checked against"), kinds(advice.checked()), sources, () -> {
                sources = !sources;
                refresh(last);
            });
            for (Source source : sources ? advice.checked() : List.<Source>of()) {
                nodes.add(Parts.text(source.citation()));
                nodes.add(Parts.text(source.kind().words(), "soft", "reason-source"));
            }
        }
        return nodes;
    }

    /** How many sources of each kind. */
    private static String kinds(List<Source> sources) {
        return sources.stream()
                .collect(Collectors.groupingBy(Source::kind, () -> new EnumMap<>(Source.Kind.class),
                        Collectors.counting()))
                .entrySet().stream().map(e -> e.getKey().brief() + " " + e.getValue())
                .collect(Collectors.joining(" · "));
    }

    /** A heading that opens, with a line of what is under it. */
    private static void fold(List<Node> nodes, String id, String head, String line, boolean open, Runnable run) {
        Label title = Parts.line(head, "reason-head");
        HBox first = new HBox(title, Parts.spring(), Parts.line(open ? "▴" : "▾", "reason-head"));
        Pressable press = open
                ? new Pressable(id, say("%s. Press to fold it.", head), run, first)
                : new Pressable(id, say("%s: %s. Press to open it.", head, line), run, first, Parts.text(line, "soft"));
        press.getStyleClass().add("reason-fold");
        nodes.add(press);
    }

    /** The worst reservation under which the link shown is proven. */
    private Optional<Message> reserved() {
        return session.isOpen()
                ? session.review().reservation(session.at().station()).map(Reservation::text)
                : Optional.empty();
    }

    private String said(Message message) {
        return Figures.text(session, message);
    }

    private Optional<Finding> asked() {
        return session.review().findings(session.at().station()).stream()
                .filter(f -> f.check().equals(session.at().asked()))
                .findFirst();
    }

    private void asked(Finding f, List<Node> nodes) {
        nodes.add(Parts.line(say("Why: %s", Figures.text(session, f.subject())), "reason-head"));
        nodes.add(Parts.text(Figures.text(session, f.consequence())));
        if (!f.working().isEmpty()) {
            nodes.add(Parts.text(Figures.text(session, f.working()), "working"));
        }
        nodes.add(Parts.text(f.source().citation() + ", " + f.source().kind().words(), "soft"));
        nodes.add(Parts.button(say("How it is worked out"), "reasons.method", () -> methods.accept(f), "quiet"));
    }
}
