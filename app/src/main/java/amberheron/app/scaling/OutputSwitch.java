package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Session;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;

/** Which of the controller's outputs is worked on, and a key to the next; not seen while there is only one. */
public final class OutputSwitch {
    private final Session session;
    private final Button next;

    /** The switch on a session. */
    public OutputSwitch(Session session) {
        this.session = session;
        next = Parts.button("", "scale.output", this::turn, "quiet");
    }

    /** The switch itself. */
    public Node node() {
        return next;
    }

    /** Shows which output is at hand. */
    public void refresh() {
        List<Output> all = session.job().outputs().all();
        Output now = session.job().outputs().active();
        next.setText(say("%s, %d of %d →", shortened(now.title()), all.indexOf(now) + 1, all.size()));
        next.setAccessibleText(say("%s, output %d of %d: to the next", now.title(), all.indexOf(now) + 1, all.size()));
        Parts.show(next, all.size() > 1);
    }

    private static String shortened(String title) {
        return title.length() <= 18 ? title : title.substring(0, 17).strip() + "…";
    }

    private void turn() {
        List<Output> all = session.job().outputs().all();
        to(session, all.get((all.indexOf(session.job().outputs().active()) + 1) % all.size()));
    }

    /** Next action where another output keeps a link open; empty where none does. */
    public static Optional<Action> other(Session session, Station station) {
        return session.review().waiting(station).map(o -> new Action(say("Go on with %s", o.title()),
                () -> to(session, o)));
    }

    private static void to(Session session, Output output) {
        session.openJob().face(output.id());
    }
}
