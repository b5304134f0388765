package amberheron.app.shell;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Checks as rows: mark, what, figure, limit, cost. A row that is pressed answers why in the reasons column. */
public final class FindingsTable extends VBox {
    private final Session session;
    /** Rows as last laid, by what they say, so that dragging lays anew only what has changed. */
    private final Map<List<String>, Node> rows = new HashMap<>();

    /** An empty table. */
    public FindingsTable(Session session) {
        this.session = session;
        getStyleClass().add("findings");
    }

    /** Shows these findings, or a line that says why there are none. */
    public void refresh(List<Finding> findings, String none) {
        if (findings.isEmpty()) {
            getChildren().setAll(Parts.text(none, "soft"));
            return;
        }
        List<Node> lines = new ArrayList<>();
        Map<List<String>, Node> now = new HashMap<>();
        lines.add(rows.getOrDefault(List.of(),
                grid(Parts.line(""), head(""), head("found"), head("limit"), head("costs"))));
        now.put(List.of(), lines.getFirst());
        for (Finding f : findings) {
            List<String> says = says(f);
            Node row = rows.containsKey(says) ? rows.get(says) : row(f);
            now.put(says, row);
            lines.add(row);
        }
        rows.clear();
        rows.putAll(now);
        if (!lines.equals(getChildren())) {
            getChildren().setAll(lines);
        }
    }

    /** Everything a row shows. */
    private List<String> says(Finding f) {
        Measure figure = f.figure();
        Finding.Limit limit = f.limit();
        Double cost = f.lambdaCost();
        return List.of(f.id(), f.subject(), f.verdict().name(), figure == null ? "" : Figures.text(session, figure),
                limit == null ? "" : Figures.text(session, limit.bound()),
                cost == null ? "" : Figures.difference(session, cost), f.consequence(),
                String.valueOf(f.id().equals(session.asked())));
    }

    private static Label head(String text) {
        return Parts.line(text, "column-head");
    }

    private Node row(Finding f) {
        Measure figure = f.figure();
        Finding.Limit limit = f.limit();
        Double cost = f.lambdaCost();
        StackPane mark = new StackPane(Mark.of(f.verdict()));
        mark.setMinWidth(18);
        GridPane grid = grid(mark, Parts.text(f.subject(), "subject"),
                Parts.line(figure == null ? "—" : Figures.text(session, figure), "figure",
                        f.verdict() == Verdict.FAIL ? "wrong" : "plain"),
                Parts.line(limit == null ? "" : limit.relation().sign() + " " + Figures.text(session, limit.bound()),
                        "figure", "soft"),
                Parts.line(cost == null ? "—" : Figures.difference(session, cost), "figure", "soft"));
        Pressable row = new Pressable("why." + f.id(),
                f.subject() + ": " + word(f.verdict()) + ". " + f.consequence() + " Press for why.",
                () -> session.ask(f.id()), grid);
        if (f.verdict() != Verdict.PASS) {
            HBox says = new HBox(Parts.text(f.consequence(), "consequence"));
            says.getStyleClass().add("consequence-box");
            row.getChildren().add(says);
        }
        row.getStyleClass().add("finding-row");
        if (f.id().equals(session.asked())) {
            row.getStyleClass().add("asked");
        }
        return row;
    }

    private static String word(Verdict verdict) {
        return switch (verdict) {
            case PASS -> "passes";
            case UNKNOWN -> "not known yet";
            case WARN -> "warning";
            case FAIL -> "fails";
        };
    }

    private static GridPane grid(Node mark, Label subject, Label figure, Label limit, Label cost) {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(fixed(18), wide, fixed(64), fixed(68), fixed(64));
        subject.setMaxWidth(Double.MAX_VALUE);
        subject.setMinWidth(60);
        figure.setMinWidth(Region.USE_PREF_SIZE);
        grid.addRow(0, mark, subject, right(figure), right(limit), right(cost));
        return grid;
    }

    private static Node right(Label label) {
        HBox box = new HBox(label);
        box.setAlignment(Pos.CENTER_RIGHT);
        return box;
    }

    private static ColumnConstraints fixed(double width) {
        ColumnConstraints constraints = new ColumnConstraints();
        constraints.setMinWidth(width);
        constraints.setMaxWidth(width + 24);
        return constraints;
    }
}
