package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.OpenJob;
import amberheron.app.session.Session;
import amberheron.app.session.Tasks;
import java.util.List;
import javafx.animation.PauseTransition;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** What runs, what is asked, and what was said: under the middle, which gives it room. */
final class Notices extends VBox {
    /** Time that a notice stands, and more for each of its letters; that a failure stands. */
    private static final Duration READ = Duration.seconds(8);
    private static final Duration A_LETTER = Duration.millis(80);
    private static final Duration FAILURE = Duration.minutes(2);

    private final Session session;
    private final RunningBar running;
    private final ConflictBar conflict;
    private final Label notice = Parts.text("", "notice-text");
    private final HBox bar;
    private final PauseTransition fade = new PauseTransition();
    private List<Object> fading = List.of();

    Notices(Session session) {
        this.session = session;
        running = new RunningBar(session);
        conflict = new ConflictBar(session);
        notice.setId("notice");
        bar = new HBox(8, notice, Parts.spring(),
                Parts.button("×", "notice.close", () -> session.tell(""), "icon"));
        bar.getStyleClass().add("notice");
        getChildren().addAll(running, conflict, bar);
        session.listeners().onClose(fade::stop);
    }

    void refresh() {
        running.refresh();
        conflict.refresh();
        OpenJob.Saving saving = session.openJob().saving();
        String failure = saving.failure();
        boolean asked = session.openJob().conflict().isPresent();
        // What a person is asked, and what is out of reach, says by itself that nothing is lost.
        notice.setText(saving.lost()
                ? say("Not saved, nor kept on this machine (is the disk full?): it is on this screen only. Make room "
                        + "before you close it; it is tried again. %s", failure)
                : failure == null || asked
                        ? said()
                        : session.away()
                                ? failure
                                : say("Not saved yet, kept beside the book and tried again: %s", failure));
        Parts.show(bar, !notice.getText().isEmpty());
        fadeLater(saving.lost() || failure != null);
    }

    /** What was said goes after the time it takes to read it, and a failure some time later, unless something is not saved. */
    private void fadeLater(boolean stays) {
        String said = notice.getText();
        List<Tasks.Running> failed = session.tasks().all().stream().filter(t -> t.failure() != null).toList();
        List<Object> now = List.of(said, failed, stays);
        if (now.equals(fading)) {
            return;
        }
        fading = now;
        fade.stop();
        if (!stays && (!said.isEmpty() || !failed.isEmpty())) {
            fade.setDuration(failed.isEmpty() ? READ.add(A_LETTER.multiply(said.length())) : FAILURE);
            fade.setOnFinished(e -> {
                failed.forEach(session.tasks()::putAway);
                session.tell("");
            });
            fade.playFromStart();
        }
    }

    /** Returns the last notice, unless it tells of a failed task that stands above already. */
    private String said() {
        String said = session.notice();
        return session.tasks().all().stream().anyMatch(t -> t.failed().equals(said)) ? "" : said;
    }
}
