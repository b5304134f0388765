package amberheron.app.wiring;

import amberheron.app.parts.Leaf;
import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.Session;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Parent;

/** One leaf each for power, grounds, heater, signal, the conductor chart, the cable's way, and what was done. */
public final class WireView implements StationView {
    private final Leaves leaves;

    /** The view on a session. */
    public WireView(Session session, WireModel model) {
        session.listeners().onSeek(value -> model.bring(session, value));
        Supplier<ChartLeaf> chart = Leaf.once(() -> new ChartLeaf(session, model));
        leaves = new Leaves(session);
        for (WireLeaf leaf : WireLeaf.values()) {
            leaves.with(leaf.title(), leaf.id(), () -> switch (leaf) {
                case POWER -> new PowerLeaf(session, model);
                case FEED -> new FeedLeaf(session);
                case GROUNDS -> new GroundsLeaf(session, model);
                case HEATER -> new HeaterLeaf(session);
                case SIGNAL -> new SignalLeaf(session, model);
                case STRIP -> Leaf.of(chart.get().harness(), chart.get()::refresh);
                case CHART -> chart.get();
                case ROUTE -> new RouteLeaf(session);
                case JOINTS -> new JointsLeaf(session);
                case WIRED -> new WiredLeaf(session);
            });
        }
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
