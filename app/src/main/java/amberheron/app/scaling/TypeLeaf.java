package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.SettingText;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Setting to type into the reader, in the order and shape in which it is typed, and its error. */
final class TypeLeaf implements Leaf {
    /** Interval of the rows of the check table that are shown; all are printed. */
    private static final int EVERY = 2;

    private final Session session;
    private final Cells setting = new Cells(14, 2);
    private final Label settingNote = new Label();
    private final Label holds = Parts.text("", "soft");
    private final Label asks = Parts.text("", "soft");
    private final TextField held = new TextField();
    private final Label wrong = Parts.text("", "fault");
    private final Button best;
    private final Cells table = new Cells(18, 2);
    private final Cells budget = new Cells(18, 4);
    private final Label worst = Parts.text("", "plain");
    private final Node node;

    TypeLeaf(Session session) {
        this.session = session;
        VBox type = Parts.noted(say("Type this into the reader"), settingNote, setting, holds);
        type.getStyleClass().add("card-first");
        held.setId("scale.held");
        held.setAccessibleText(say("What the reader holds, as its boxes show it"));
        held.setOnAction(e -> note());
        Parts.undoFrom(held, session, () -> held.getText().isEmpty());
        HBox.setHgrow(held, Priority.ALWAYS);
        Button take = Parts.button(say("Note it"), "scale.held.note", this::note, "quiet");
        take.setMinWidth(Region.USE_PREF_SIZE);
        best = Parts.button(say("Take the best again"), "scale.held.best",
                () -> session.edit(say("best setting"), j -> ScaleModel.holding(j, null)), "quiet");
        node = Columns.even(300,
                Parts.stacked(type, Parts.card(say("What it holds, read back"), asks, new HBox(8, held, take), wrong,
                        best)),
                Parts.stacked(Parts.card(say("What it will show"), table),
                        Parts.card(say("What it costs"), worst, budget)));
    }

    /** Takes the content of the reader's boxes as its setting, and judges it as it stands; one that cannot be is refused. */
    private void note() {
        Reader read = session.job().reader();
        String text = held.getText();
        Parts.show(wrong, "");
        if (read != null && !text.isBlank()) {
            try {
                Reader holding = read.withSetting(SettingText.parse(text, read));
                session.edit(say("what the reader holds"), j -> ScaleModel.holding(j, holding.setting()));
                held.clear();
            } catch (Unusable e) {
                Parts.show(wrong, String.valueOf(e.getMessage()));
            }
        }
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Reader read = session.job().reader();
        Optional<ScaleReport> report = session.review().scale();
        setting.write(() -> setting(report, read));
        table.write(() -> {
            if (read != null) {
                report.ifPresent(r -> table(r, read));
            }
        });
        budget.write(() -> report.ifPresent(this::budget));
        worst.setText(report.map(r -> say("At worst %s at %s; the trade allows ± %s.",
                Figures.difference(session, r.worst().lambda()), Figures.mixture(session, r.worst().atLambda()),
                Figures.mixture(session, Tolerance.LAMBDA))
                + r.budget().stream().filter(b -> !r.withinTolerance())
                        .max(Comparator.comparingDouble(ScaleReport.BudgetLine::lambda))
                        .map(b -> say(" Most of it: %s.", b.cause())).orElse(""))
                .orElse(""));
        holds.setText(read == null || read.setting() == null
                ? say("The best that its form and digits allow.")
                : say("What it was noted to hold; it is judged as it stands."));
        Parts.show(holds, report.isPresent());
        Parts.show(best, read != null && read.setting() != null);
        Parts.show(wrong, !wrong.getText().isEmpty());
        asks.setText(read == null ? "" : Phrase.capital(SettingText.asks(read)) + ".");
    }

    private void setting(Optional<ScaleReport> report, @Nullable Reader read) {
        if (report.isEmpty() || read == null) {
            setting.words(0, 0, say("Choose the law and the reader first."), "soft");
            settingNote.setText("");
            return;
        }
        List<SettingText.Line> lines = SettingText.of(report.get().setting(), read);
        for (int i = 0; i < lines.size(); i++) {
            SettingText.Line line = lines.get(i);
            setting.line(0, i, line.ask(), "soft");
            setting.line(1, i, line.type(), lines.size() > 6 ? "figure" : "big-figure");
            String bare = line.bare();
            int row = i;
            setting.put(2, i, () -> {
                Button copy = Parts.button(say("Copy"), "scale.copy." + row, () -> copy(row), "quiet");
                copy.setAccessibleText(say("Copy %s", bare));
                return copy;
            });
        }
        settingNote.setText(say("in %s", SettingText.quantity(read.scale())));
    }

    /** Puts what is typed in a box, and nothing else, on the clipboard. */
    private void copy(int row) {
        Reader read = session.job().reader();
        if (read == null) {
            return;
        }
        session.review().scale().map(r -> SettingText.of(r.setting(), read)).filter(lines -> row < lines.size())
                .map(lines -> lines.get(row)).ifPresent(line -> {
                    ClipboardContent content = new ClipboardContent();
                    String bare = line.bare();
                    content.putString(bare);
                    Clipboard.getSystemClipboard().setContent(content);
                    session.tell(say("Copied %s (%s).", bare, line.ask()));
                });
    }

    private void table(ScaleReport report, Reader read) {
        String[] heads = {say("true"), say("volts"), say("counts"), say("it shows"), say("off by")};
        for (int i = 0; i < heads.length; i++) {
            table.line(i, 0, heads[i], "column-head");
        }
        int row = 1;
        for (int i = 0; i < report.table().size(); i += EVERY) {
            ScaleReport.Row r = report.table().get(i);
            Long counts = r.counts();
            table.line(0, row, Figures.mixture(session, r.lambda()), "figure");
            table.line(1, row, UnitChoice.digits(r.volts(), 3), "figure");
            table.line(2, row, counts == null ? "—" : counts.toString(), "figure", "soft");
            table.line(3, row, ScaleWords.inReader(read, r.shown()), "figure");
            table.line(4, row, Figures.difference(session, read.scale().toLambda(r.shown()) - r.lambda()), "figure",
                    "soft");
            row++;
        }
    }

    private void budget(ScaleReport report) {
        int row = 0;
        for (ScaleReport.BudgetLine line : report.budget()) {
            budget(row++, line.cause(), line.lambda());
        }
        budget(row++, say("all at their worst together"), report.worstCase());
        budget(row, say("root of the sum of squares"), report.rootSumSquare());
    }

    private void budget(int row, String cause, double lambda) {
        budget.words(0, row, cause, "soft");
        budget.line(1, row, cost(lambda), "figure").setMinWidth(Region.USE_PREF_SIZE);
    }

    private String cost(double lambda) {
        return Figures.text(session, new Measure(lambda, Dimension.MIXTURE, 4));
    }
}
