package amberheron.app.plan;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** One leaf each for the steps, the intake, the exhaust's state with the booking, and parts and tools. */
public final class PlanView implements StationView {
    private final Leaves leaves;

    /** The view on a session. */
    public PlanView(Session session, PlanModel model) {
        leaves = new Leaves(session).with(say("Steps"), "plan.leaf.steps", () -> new StepsLeaf(session, model))
                .with(say("Intake"), "plan.leaf.intake", () -> new IntakeLeaf(session))
                .with(say("Exhaust and booking"), "plan.leaf.exhaust", () -> new ExhaustLeaf(session, model))
                .with(say("Parts and tools"), "plan.leaf.parts", () -> new PartsLeaf(session, model));
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
