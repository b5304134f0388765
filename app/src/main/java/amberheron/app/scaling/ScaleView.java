package amberheron.app.scaling;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** Law and reader, what to type, the check points, and which link lies. */
public final class ScaleView implements StationView {
    private final Leaves leaves;
    private final OutputSwitch output;

    /** The view on a session. */
    public ScaleView(Session session, ScaleModel model) {
        output = new OutputSwitch(session);
        leaves = new Leaves(session).with(LeafId.SCALE_CHECK, () -> new PointsLeaf(session, model))
                .with(LeafId.SCALE_LAW, () -> new LawLeaf(session))
                .with(LeafId.SCALE_TYPE, () -> new TypeLeaf(session))
                .with(LeafId.SCALE_LINK, () -> new LinkLeaf(session, model))
                .with(LeafId.SCALE_DISPLAY, () -> new DisplayLeaf(session));
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(output.node(), leaves.tabs());
    }

    @Override
    public List<Node> pinned() {
        return List.of(leaves.pinned());
    }

    @Override
    public void refresh() {
        output.refresh();
        leaves.refresh();
    }
}
