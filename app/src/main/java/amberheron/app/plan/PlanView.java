package amberheron.app.plan;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** One leaf each for the steps, the intake, the exhaust's state with the booking, and parts and tools. */
public final class PlanView implements StationView {
    private final Leaves leaves;

    /** The view on a session. */
    public PlanView(Session session, PlanModel model) {
        leaves = new Leaves(session).with(LeafId.PLAN_STEPS, () -> new StepsLeaf(session, model))
                .with(LeafId.PLAN_INTAKE, () -> new IntakeLeaf(session))
                .with(LeafId.PLAN_EXHAUST, () -> new ExhaustLeaf(session, model))
                .with(LeafId.PLAN_PARTS, () -> new PartsLeaf(session, model));
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
    public void refresh() {
        leaves.refresh();
    }
}
