package amberheron.app.freeair;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.Parts;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.util.Duration;

/** The air of the day and the controller, the coach, and the verdict. */
public final class AirView implements StationView {
    /** Interval at which the controller is read and time is counted. */
    private static final Duration BEAT = Duration.millis(200);

    private final Leaves leaves;

    /** The view on a session. */
    public AirView(Session session, AirModel model) {
        leaves = new Leaves(session).with(LeafId.AIR_TODAY, () -> new TodayLeaf(session))
                .with(LeafId.AIR_COACH, () -> new CoachLeaf(session, model))
                .with(LeafId.AIR_VERDICT, () -> new VerdictLeaf(session))
                .with(LeafId.AIR_SENSOR, () -> new SensorLeaf(session));
        Parts.beat(session, BEAT, () -> {
            if (model.tick(session)) {
                session.tell(session.notice());
            }
        }).play();
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(leaves.tabs());
    }

    @Override
    public List<Node> pinned() {
        return List.of(leaves.pinned());
    }

    @Override
    public void refresh() {
        leaves.refresh();
    }
}
