package amberheron.app.shell;

import amberheron.core.finding.Message;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.app.session.Advice;
import amberheron.app.parts.Parts;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Do next, why, checked against, caution; and the working of a figure that was asked about. */
final class Reasons extends ScrollPane {
    private List<Object> shown = List.of();
    private Runnable run = () -> {
    };
    private final Session session;
    private final VBox column = new VBox(4);

    Reasons(Session session) {
        this.session = session;
        column.getStyleClass().add("reasons");
        setContent(column);
        Parts.scrollsDown(this);
        getStyleClass().add("reasons-scroll");
        setFocusTraversable(false);
    }

    void refresh(Advice advice) {
        Advice.Action now = advice.action();
        run = now == null ? () -> {
        } : now.run();
        List<Object> shows = List.of(said(advice.next()), now == null ? "" : now.label(), said(advice.why()),
                said(advice.parted()), advice.checked(), said(advice.caution()), asked());
        if (!shows.equals(shown)) {
            shown = shows;
            column.getChildren().setAll(nodes(advice));
            setVvalue(0);
        }
    }

    private List<Node> nodes(Advice advice) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(Parts.line("Do next", "reason-live"));
        Label next = Parts.text(said(advice.next()), "reason-next");
        next.setId("reasons.next");
        nodes.add(next);
        Advice.Action action = advice.action();
        if (action != null) {
            var button = Parts.button(action.label(), "reasons.action", () -> run.run(), "primary");
            Label key = new Label("F2");
            key.getStyleClass().add("button-key");
            button.setGraphic(key);
            button.setContentDisplay(javafx.scene.control.ContentDisplay.RIGHT);
            button.setMaxWidth(Double.MAX_VALUE);
            button.setMinWidth(0);
            button.setWrapText(true);
            button.setMinHeight(Region.USE_PREF_SIZE);
            nodes.add(button);
        }
        asked().ifPresentOrElse(f -> asked(f, nodes), () -> section(nodes, "Why", said(advice.why())));
        section(nodes, "Where schools part", said(advice.parted()));
        if (!advice.checked().isEmpty()) {
            nodes.add(Parts.line("Checked against", "reason-head"));
            for (Source source : advice.checked()) {
                nodes.add(Parts.text(source.citation()));
                nodes.add(Parts.text(source.kind().words(), "soft", "reason-source"));
            }
        }
        if (!advice.caution().isEmpty()) {
            nodes.add(Parts.line("Caution", "reason-caution"));
            nodes.add(Parts.text(said(advice.caution())));
        }
        return nodes;
    }

    private String said(Message message) {
        return Figures.text(session, message);
    }

    private Optional<Finding> asked() {
        return session.review().findings(session.station()).stream().filter(f -> f.check().equals(session.asked()))
                .findFirst();
    }

    private void asked(Finding f, List<Node> nodes) {
        nodes.add(Parts.line("Why: " + Figures.text(session, f.subject()), "reason-head"));
        nodes.add(Parts.text(Figures.text(session, f.consequence())));
        if (!f.working().isEmpty()) {
            nodes.add(Parts.text(Figures.text(session, f.working()), "working"));
        }
        nodes.add(Parts.text(f.source().citation() + ", " + f.source().kind().words(), "soft"));
    }

    private static void section(List<Node> nodes, String head, String text) {
        if (!text.isEmpty()) {
            nodes.add(Parts.line(head, "reason-head"));
            nodes.add(Parts.text(text));
        }
    }
}
