package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.session.Tasks;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Slow work: how far each piece is, with a way to stop it; one that failed stays until it is put away. */
final class RunningBar extends VBox {
    private final Session session;
    private List<Tasks.Running> shown = List.of();

    RunningBar(Session session) {
        this.session = session;
        refresh();
    }

    void refresh() {
        List<Tasks.Running> all = session.tasks().all();
        boolean failed = all.stream().anyMatch(t -> t.failure() != null);
        if (!all.equals(shown) || failed) {
            shown = all;
            getChildren().setAll(all.stream().map(this::row).toList());
        }
        for (int i = 0; i < all.size(); i++) {
            double part = all.get(i).part();
            if (getChildren().get(i) instanceof HBox row && row.getChildren().get(1) instanceof ProgressBar bar) {
                bar.setProgress(Double.isNaN(part) ? ProgressBar.INDETERMINATE_PROGRESS : part);
            }
        }
        Parts.show(this, !all.isEmpty());
    }

    private Node row(Tasks.Running task) {
        String failure = task.failure();
        // Why it failed is said whole.
        Label what = failure == null
                ? Parts.line(task.what())
                : Parts.text("▲ " + task.failed(), "plain");
        HBox.setHgrow(what, failure == null ? Priority.NEVER : Priority.ALWAYS);
        HBox row = failure == null
                ? new HBox(10, what, new ProgressBar(), Parts.spring(),
                        Parts.button(say("Stop"), "task.stop", task::stop, "quiet"))
                : new HBox(10, what,
                        Parts.button(say("Put away"), "task.away", () -> session.tasks().putAway(task), "quiet"));
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("notice");
        return row;
    }
}
