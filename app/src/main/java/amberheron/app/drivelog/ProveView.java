package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.scaling.OutputSwitch;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** Leaves of the proving drive: the verdict, how it was driven, and the log it is read from. */
public final class ProveView implements StationView {
    private final Leaves leaves;
    private final OutputSwitch output;

    /** The view on a session. */
    public ProveView(Session session) {
        output = new OutputSwitch(session);
        TraceView view = new TraceView(session);
        leaves = new Leaves(session).with(say("Verdict"), ProveModel.VERDICT, () -> new VerdictLeaf(session, view))
                .with(say("Drive"), ProveModel.DRIVE, () -> new DriveLeaf(session, view))
                .with(say("Truth"), ProveModel.TRUTH, () -> new TruthLeaf(session))
                .with(say("Trims"), ProveModel.TRIMS, () -> new TrimsLeaf(session))
                .with(say("Channels"), ProveModel.CHANNELS, () -> new ChannelsLeaf(session, view));
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
