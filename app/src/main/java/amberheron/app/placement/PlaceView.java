package amberheron.app.placement;

import amberheron.app.parts.Leaves;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.VBox;

/** The run above; below it one leaf each for choosing, the pipe itself, marking out, and what was made. */
public final class PlaceView implements StationView {
    private final RunDrawing run;
    private final ChooseLeaf choose;
    private final Leaves leaves;
    private final Parent root;

    /** The view on a session. */
    public PlaceView(Session session, PlaceModel model) {
        run = new RunDrawing(session, model, this::moved);
        choose = new ChooseLeaf(session, model, this::moved);
        PipeLeaf pipe = new PipeLeaf(session);
        MarkLeaf mark = new MarkLeaf(session, model);
        FittedLeaf fitted = new FittedLeaf(session);
        leaves = new Leaves(session).with("Choose", "place.leaf.choose", choose.node(), choose::refresh)
                .with("The pipe", "place.leaf.pipe", pipe.node(), pipe::refresh)
                .with("Mark out", "place.leaf.mark", mark.node(), mark::refresh)
                .with("As fitted", "place.leaf.fitted", fitted.node(), fitted::refresh);
        root = new VBox(12, Parts.noted("Run", run.note(), run), leaves);
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
        return root;
    }

    @Override
    public void refresh() {
        leaves.refresh();
        run.refresh();
    }
}
