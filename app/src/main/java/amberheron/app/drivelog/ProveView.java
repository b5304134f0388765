package amberheron.app.drivelog;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.scaling.OutputSwitch;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** Leaves of the proving drive: the verdict, how it was driven, and the log it is read from. */
public final class ProveView implements StationView {
    private final Leaves leaves;
    private final OutputSwitch output;

    /** The view on a session. */
    public ProveView(Session session, ProveModel model) {
        output = new OutputSwitch(session);
        TraceView view = new TraceView(session);
        leaves = new Leaves(session).with(LeafId.PROVE_VERDICT, () -> new VerdictLeaf(session, view))
                .with(LeafId.PROVE_DRIVE, () -> new DriveLeaf(session, view))
                .with(LeafId.PROVE_TRUTH, () -> new TruthLeaf(session))
                .with(LeafId.PROVE_TRIMS, () -> new TrimsLeaf(session))
                .with(LeafId.PROVE_CHANNELS, () -> new ChannelsLeaf(session, model, view));
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
