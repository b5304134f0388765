package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Beside;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Leaves;
import amberheron.app.parts.Parts;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.VBox;

/** The run above; below it one leaf each for choosing, the pipe itself, marking out, and what was made. */
public final class PlaceView implements StationView {
    private final RunDrawing run;
    private final ChooseLeaf choose;
    private final Leaves leaves;
    private final Node pinned;

    /** The view on a session. */
    public PlaceView(Session session, PlaceModel model) {
        run = new RunDrawing(session, model, this::moved);
        choose = new ChooseLeaf(session, model, this::moved);
        Supplier<MarkLeaf> mark = Leaf.once(() -> new MarkLeaf(session, model));
        leaves = new Leaves(session).with(LeafId.PLACE_PIPE, () -> new PipeLeaf(session))
                .with(LeafId.PLACE_AROUND, () -> new AroundLeaf(session))
                .with(LeafId.PLACE_CHOOSE, () -> choose)
                .with(LeafId.PLACE_MARK, mark::get)
                .with(LeafId.PLACE_PROCEDURE, () -> Leaf.of(mark.get().steps(), mark.get()::refresh))
                .with(LeafId.PLACE_FITTED, () -> new FittedLeaf(session))
                .with(LeafId.PLACE_SCHOOLS, () -> Leaf.of(choose.schools(), choose::refresh));
        VBox drawn = Parts.noted(say("Run"), run.note(), run);
        pinned = new Beside(drawn, choose.section(), choose.node());
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    /** The hand moved the candidate: everything it is judged by follows at once. */
    private void moved() {
        run.move();
        choose.judge();
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(leaves.tabs());
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public void refresh() {
        leaves.refresh();
        run.refresh();
    }
}
