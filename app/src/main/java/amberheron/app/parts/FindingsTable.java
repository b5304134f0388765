package amberheron.app.parts;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Standing;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * Checks by what to do: what fails, what is usable at a cost, one line for each value that is missing, and what is kept in
 * one line that opens. A check that is pressed answers why in the reasons column; a missing value brings its field.
 */
public final class FindingsTable extends Stack {
    private final Session session;
    /** Rows as last laid, by check: while something is dragged only their figures change. */
    private final Map<Check, Row> rows = new HashMap<>();
    private final Map<Address, MissingRow> missing = new HashMap<>();
    private final Node head = grid(Parts.line(""), head(""), head(say("found")), head(say("limit")),
            head(say("costs")));
    private final Label keptTitle = Parts.line("", "subject");
    private final Label keptFold = Parts.line("", "note");
    private final Label keptWords = Parts.text("", "consequence", "kept-words");
    private final Pressable kept;
    private Standing standing = Standing.of(List.of());
    private boolean open;

    /** An empty table. */
    public FindingsTable(Session session) {
        super(0);
        this.session = session;
        getStyleClass().add("findings");
        StackPane mark = new StackPane(Mark.of(Verdict.PASS));
        mark.setMinWidth(18);
        // Two lines of it are enough to know what is under it.
        keptWords.setMinHeight(0);
        HBox box = new HBox(keptWords);
        box.getStyleClass().add("consequence-box");
        kept = new Pressable("", "", () -> {
            open = !open;
            lay();
        }, new HBox(8, mark, keptTitle, Parts.spring(), keptFold), box);
        kept.getStyleClass().add("finding-row");
    }

    /** Shows these findings, or a line that says why there are none. */
    public void refresh(List<Finding> findings, String none) {
        if (findings.isEmpty()) {
            Parts.fill(this, none, () -> List.of(Parts.text(none, "soft")));
            return;
        }
        Parts.fill(this, "", List::of);
        standing = Standing.of(findings);
        lay();
    }

    private void lay() {
        boolean asked = standing.kept().stream().anyMatch(f -> f.check().equals(session.at().asked()));
        // Few kept ones take no more room than the line that would fold them.
        boolean unfolded = open || asked || standing.kept().size() < 2;
        List<Finding> seen = new ArrayList<>(standing.wrong());
        seen.addAll(standing.warned());
        seen.addAll(standing.unknown());
        List<Node> lines = new ArrayList<>();
        Map<Check, Row> now = new HashMap<>();
        if (!seen.isEmpty() || unfolded) {
            lines.add(head);
        }
        seen.forEach(f -> lines.add(row(f, now)));
        Map<Address, MissingRow> still = new HashMap<>();
        standing.missing().forEach(m -> {
            MissingRow line = Objects.requireNonNullElseGet(missing.get(m.value()), () -> new MissingRow(m.value()));
            line.show(m, still.isEmpty());
            still.put(m.value(), line);
            lines.add(line.node);
        });
        if (standing.kept().size() > 1) {
            lines.add(kept);
            showKept(unfolded);
        }
        if (unfolded) {
            standing.kept().forEach(f -> lines.add(row(f, now)));
        }
        rows.clear();
        rows.putAll(now);
        missing.clear();
        missing.putAll(still);
        if (!lines.equals(getChildren())) {
            getChildren().setAll(lines);
        }
    }

    private Node row(Finding f, Map<Check, Row> now) {
        Row row = rows.get(f.check());
        if (row == null || !row.fits(f)) {
            row = new Row(f);
        }
        row.show(f);
        now.put(f.check(), row);
        return row.node;
    }

    private void showKept(boolean unfolded) {
        keptTitle.setText(say("%s kept", standing.kept().size()));
        keptFold.setText(unfolded ? say("hide ▴") : say("show ▾"));
        keptWords.setText(unfolded
                ? ""
                : standing.kept().stream().map(f -> {
                    Measure figure = f.figure();
                    return Figures.text(session, f.subject())
                            + (figure == null ? "" : " " + Figures.text(session, figure));
                }).collect(Collectors.joining(" · ")));
        Parts.show(Objects.requireNonNull(keptWords.getParent()), !unfolded);
        kept.setAccessibleText(say("%s: %s%s", count("1 check is kept", "%d checks are kept", standing.kept().size()),
                keptWords.getText(),
                unfolded ? say(" Press to hide them.") : say(" Press to show them.")));
    }

    /** A value that is missing, and the checks that wait for it. */
    private final class MissingRow {
        private final Label title = Parts.text("", "subject");
        private final Label waiting = Parts.text("", "consequence");
        private final Pressable node;

        MissingRow(Address value) {
            StackPane mark = new StackPane(Mark.of(Verdict.UNKNOWN));
            mark.setMinWidth(18);
            Label key = Parts.line(say("enter it ⏎"), "note");
            key.setMinWidth(Region.USE_PREF_SIZE);
            HBox box = new HBox(waiting);
            box.getStyleClass().add("consequence-box");
            HBox.setHgrow(title, Priority.ALWAYS);
            title.setMaxWidth(Double.MAX_VALUE);
            node = new Pressable("missing." + value.key(), "", () -> session.seek(value),
                    new HBox(8, mark, title, key), box);
            node.getStyleClass().add("finding-row");
            // On this line the key for what is next means this value.
            node.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.F2) {
                    session.seek(value);
                    e.consume();
                }
            });
        }

        /**
         * Shows a missing value; the first check that waits for it says what for, the others are told by their names. One that
         * found something already says why that is not enough.
         */
        void show(Standing.Missing m, boolean first) {
            title.setText(say("Missing: %s%s", m.value().property().words(),
                    m.values().size() > 1 ? " (" + m.values().size() + ")" : ""));
            Optional<Finding> found = m.waiting().stream()
                    .filter(f -> f.figure() != null && f.asks().size() == 1).findFirst();
            Finding check = found.orElse(m.waiting().getFirst());
            waiting.setText(found.isPresent() || m.waiting().size() == 1
                    ? Figures.text(session, check.subject()) + ": " + Figures.text(session, check.consequence())
                    : m.waiting().stream().map(f -> Figures.text(session, f.subject())).collect(
                            Collectors.joining(", ", "", say(" wait for it."))));
            Parts.show(Objects.requireNonNull(waiting.getParent()), first || found.isPresent());
            node.setAccessibleText(say("%s. %s Press to enter it.", title.getText(), waiting.getText()));
        }
    }

    private static Label head(String text) {
        return Parts.line(text, "column-head");
    }

    /** A check's row: its mark and subject stay, its figures follow. */
    private final class Row {
        private final Pressable node;
        private final Finding first;
        private final boolean asked;
        private final Label subject;
        private final Label figure;
        private final Label limit = Parts.line("", "figure", "soft");
        private final Label cost = Parts.line("", "figure", "soft");
        private final Label consequence = Parts.text("", "consequence");

        Row(Finding f) {
            first = f;
            asked = f.check().equals(session.at().asked());
            subject = Parts.text(Figures.text(session, f.subject()), "subject");
            figure = Parts.line("", "figure", f.verdict() == Verdict.FAIL ? "wrong" : "plain");
            StackPane mark = new StackPane(Mark.of(f.verdict()));
            mark.setMinWidth(18);
            node = new Pressable("why." + f.check().key(), "", () -> session.at().ask(f.check()),
                    grid(mark, subject, figure, limit, cost));
            if (f.verdict() != Verdict.PASS) {
                HBox says = new HBox(consequence);
                says.getStyleClass().add("consequence-box");
                node.getChildren().add(says);
            }
            node.getStyleClass().add("finding-row");
            Copied.onKeys(node, session, this::text);
            if (asked) {
                node.getStyleClass().add("asked");
            }
        }

        /** Its figure with its unit, and the limit. */
        private String text() {
            return Stream.of(subject.getText(), figure.getText(), limit.getText()).filter(t -> !t.isEmpty())
                    .collect(Collectors.joining(" "));
        }

        /** Whether a finding differs from this row's in its figures alone. */
        boolean fits(Finding f) {
            return f.verdict() == first.verdict() && f.subject().equals(first.subject())
                    && asked == f.check().equals(session.at().asked());
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
            node.setAccessibleText(say("%s: %s. %s Press for why.", Figures.text(session, f.subject()),
                    word(f.verdict()), Figures.text(session, f.consequence())));
        }
    }

    private static String word(Verdict verdict) {
        return switch (verdict) {
            case PASS -> say("passes");
            case UNKNOWN -> say("not known yet");
            case WARN -> say("warning");
            case FAIL -> say("fails");
        };
    }

    private static GridPane grid(Node mark, Label subject, Label figure, Label limit, Label cost) {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(18), wide);
        subject.setMaxWidth(Double.MAX_VALUE);
        subject.setMinWidth(60);
        figure.setMinWidth(Region.USE_PREF_SIZE);
        limit.setMinWidth(Region.USE_PREF_SIZE);
        cost.setMinWidth(Region.USE_PREF_SIZE);
        grid.addRow(0, mark, subject, right(figure, "found"), right(limit, "limit"), right(cost, "costs"));
        return grid;
    }

    private static Node right(Label label, String column) {
        HBox box = new HBox(label);
        box.getStyleClass().add(say("column-%s", column));
        box.setAlignment(Pos.CENTER_RIGHT);
        return box;
    }
}
