package amberheron.app.handover;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** The sheets as they would be printed now, the pack they go into, and whether what was given still holds. */
public final class HandOverView implements StationView {
    private final Leaves leaves;

    /** The view on a session. */
    public HandOverView(Session session, HandOverModel model) {
        leaves = new Leaves(session).with(LeafId.HAND_OVER_SHEET, () -> new SheetLeaf(session, model))
                .with(LeafId.HAND_OVER_PACK, () -> new PackLeaf(session, model))
                .with(LeafId.HAND_OVER_PROOF, () -> new ProofLeaf(session, model));
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
