package amberheron.app.parts;

import amberheron.core.finding.Check;
import amberheron.app.session.Session;
import amberheron.app.session.Figures;

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

/** Checks as rows: mark, what, figure, limit, cost. A row that is pressed answers why in the reasons column. */
public final class FindingsTable extends Stack {
    private final Session session;
    /** Rows as last laid, by check: while something is dragged only their figures change. */
    private final Map<Check, Row> rows = new HashMap<>();
    private final Node head = grid(Parts.line(""), head(""), head("found"), head("limit"), head("costs"));

    /** An empty table. */
    public FindingsTable(Session session) {
        super(0);
        this.session = session;
        getStyleClass().add("findings");
    }

    /** Shows these findings, or a line that says why there are none. */
    public void refresh(List<Finding> findings, String none) {
        if (findings.isEmpty()) {
            getChildren().setAll(Parts.text(none, "soft"));
            return;
        }
        List<Node> lines = new ArrayList<>(List.of(head));
        Map<Check, Row> now = new HashMap<>();
        for (Finding f : findings) {
            Row row = rows.get(f.check());
            if (row == null || !row.fits(f)) {
                row = new Row(f);
            }
            row.show(f);
            now.put(f.check(), row);
            lines.add(row.node);
        }
        rows.clear();
        rows.putAll(now);
        if (!lines.equals(getChildren())) {
            getChildren().setAll(lines);
        }
    }

    private static Label head(String text) {
        return Parts.line(text, "column-head");
    }

    /** One check: its mark and subject stay, its figures follow. */
    private final class Row {
        private final Pressable node;
        private final Finding first;
        private final boolean asked;
        private final Label figure;
        private final Label limit = Parts.line("", "figure", "soft");
        private final Label cost = Parts.line("", "figure", "soft");
        private final Label consequence = Parts.text("", "consequence");

        Row(Finding f) {
            first = f;
            asked = f.check().equals(session.asked());
            figure = Parts.line("", "figure", f.verdict() == Verdict.FAIL ? "wrong" : "plain");
            StackPane mark = new StackPane(Mark.of(f.verdict()));
            mark.setMinWidth(18);
            node = new Pressable("why." + f.check().key(), "", () -> session.ask(f.check()),
                    grid(mark, Parts.text(Figures.text(session, f.subject()), "subject"), figure, limit, cost));
            if (f.verdict() != Verdict.PASS) {
                HBox says = new HBox(consequence);
                says.getStyleClass().add("consequence-box");
                node.getChildren().add(says);
            }
            node.getStyleClass().add("finding-row");
            if (asked) {
                node.getStyleClass().add("asked");
            }
        }

        /** Whether a finding differs from this row's in its figures alone. */
        boolean fits(Finding f) {
            return f.verdict() == first.verdict() && f.subject().equals(first.subject())
                    && asked == f.check().equals(session.asked());
        }

        void show(Finding f) {
            Measure found = f.figure();
            Finding.Limit bound = f.limit();
            Double costs = f.lambdaCost();
            figure.setText(found == null ? "—" : Figures.text(session, found));
            limit.setText(
                    bound == null ? "" : bound.relation().sign() + " " + Figures.text(session, bound.bound()));
            cost.setText(costs == null ? "—" : Figures.difference(session, costs));
            consequence.setText(Figures.text(session, f.consequence()));
            node.setAccessibleText(Figures.text(session, f.subject()) + ": " + word(f.verdict()) + ". "
                    + Figures.text(session, f.consequence()) + " Press for why.");
        }
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
