package amberheron.app.plan;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.Session;
import amberheron.core.plan.Step;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** When it is finished, and the steps. */
final class StepsLeaf implements Leaf {
    /** Number of steps done up to which they are shown with the rest. */
    private static final int FEW = 3;

    private final Session session;
    private final PlanModel model;
    private final FinishDrawing finish;
    private final Label path = Parts.line("", "soft");
    private final VBox first = new VBox();
    private final VBox second = new VBox();
    private final Label stepsNote = new Label();
    private final Label finishNote = new Label();
    private final Label doneTitle = Parts.line("", "soft");
    private final Label foldNote = Parts.line("", "note");
    private final Pressable fold;
    private boolean unfolded;
    private final Node node;

    StepsLeaf(Session session, PlanModel model) {
        this.session = session;
        this.model = model;
        finish = new FinishDrawing(session, model);
        fold = new Pressable("steps.done", say("Steps done, shown or hidden"), () -> {
            unfolded = !unfolded;
            refresh();
        }, new HBox(8, doneTitle, Parts.spring(), foldNote));
        fold.getStyleClass().add("finding-row");
        node = new VBox(12, Parts.noted(say("Finished"), finishNote, finish, path),
                Parts.noted(say("Steps"), stepsNote, fold, Columns.even(240, first, second)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        finish.refresh();
        finishNote.setText(say("eight jobs in ten end inside the bar · one lift"));
        path.setText(model.criticalPath(session));
        Parts.show(path, !path.getText().isEmpty());
        stepsNote.setText(model.figure(session));
        List<PlanModel.Row> all = model.rows(session);
        long done = all.stream().filter(PlanModel.Row::done).count();
        // What is left stays in view; a plan that is done is all there is to see.
        boolean folds = done > FEW && done < all.size();
        Parts.show(fold, folds);
        doneTitle.setText(say("%s done", done));
        foldNote.setText(unfolded ? say("hide ▴") : say("show ▾"));
        List<PlanModel.Row> rows = folds && !unfolded ? all.stream().filter(r -> !r.done()).toList() : all;
        int half = (rows.size() + 1) / 2;
        List<Object> shows = List.of(rows, session.preferences().units(), model.opened(), session.job().progress());
        Parts.fill(first, shows, () -> rows.subList(0, half).stream().map(this::row).toList());
        Parts.fill(second, shows, () -> rows.subList(half, rows.size()).stream().map(this::row).toList());
    }

    private Node row(PlanModel.Row row) {
        Step step = row.step();
        CheckBox tick = new CheckBox();
        tick.setId("step." + step.key());
        tick.setSelected(row.done());
        Label title = Parts.text(PlanModel.title(session, step), row.done() ? "step-done" : "step-title");
        VBox words = new VBox(title);
        boolean open = model.opened().filter(step.key()::equals).isPresent();
        if (!row.waits().isEmpty() && !row.done() && !row.ready()) {
            words.getChildren().add(Parts.line(row.waits(), "soft", row.ready() ? "ready" : "waiting"));
        }
        VBox press = new VBox(new Pressable("step.details." + step.key(), say("Details of %s", step.title()),
                () -> model.open(session, step.key()), words));
        if (open) {
            press.getChildren().add(details(row));
        }
        press.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(press, Priority.ALWAYS);
        Label time = Parts.line(row.time(), "soft", "figure");
        time.setMinWidth(Region.USE_PREF_SIZE);
        Label critical = Parts.line(row.critical() ? say("decides the end") : "", "critical");
        VBox right = new VBox(time, critical);
        right.setAlignment(Pos.CENTER_RIGHT);
        right.setMinWidth(Region.USE_PREF_SIZE);
        if (!row.critical()) {
            right.getChildren().remove(critical);
        }
        HBox line = new HBox(8, tick, press, right);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().addAll("step", row.ready() && !row.done() ? "step-ready" : "step-other");
        tick.setAccessibleText(step.title());
        tick.setOnAction(e -> {
            tick.setSelected(row.done());
            model.toggle(session, step);
            again("step." + step.key());
        });
        return line;
    }

    /** Puts the focus back on the row that was pressed after the rows were laid anew. */
    private void again(String id) {
        Node same = Parts.find(node, id);
        if (same != null) {
            same.requestFocus();
        }
    }

    private Node details(PlanModel.Row row) {
        Step step = row.step();
        VBox box = new VBox(4);
        box.getChildren()
                .add(Parts.text(say("%s · likely %s min", step.where().words(), step.time().likely()), "soft"));
        if (!step.items().isEmpty()) {
            box.getChildren().add(Parts.text(say("Have ready: %s.", step.items().stream().map(Step.Item::words)
                    .collect(Collectors.joining("; "))), "soft"));
        }
        if (!step.caution().isEmpty()) {
            box.getChildren().add(Parts.text(step.caution(), "caution-text"));
        }
        box.getChildren()
                .add(new HBox(6,
                        Parts.button(say("Earlier"), "step.earlier", () -> model.move(session, step, -1), "quiet"),
                        Parts.button(say("Later"), "step.later", () -> model.move(session, step, 1), "quiet")));
        return box;
    }
}
