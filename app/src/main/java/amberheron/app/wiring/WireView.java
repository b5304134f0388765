package amberheron.app.wiring;

import amberheron.app.parts.Leaf;
import amberheron.app.parts.Leaves;
import amberheron.app.parts.StationView;
import amberheron.app.session.LeafId;
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
        leaves = new Leaves(session).with(LeafId.WIRE_POWER, () -> new PowerLeaf(session, model))
                .with(LeafId.WIRE_FEED, () -> new FeedLeaf(session))
                .with(LeafId.WIRE_GROUNDS, () -> new GroundsLeaf(session, model))
                .with(LeafId.WIRE_HEATER, () -> new HeaterLeaf(session))
                .with(LeafId.WIRE_SIGNAL, () -> new SignalLeaf(session, model))
                .with(LeafId.WIRE_STRIP, () -> Leaf.of(chart.get().harness(), chart.get()::refresh))
                .with(LeafId.WIRE_CHART, chart::get)
                .with(LeafId.WIRE_ROUTE, () -> new RouteLeaf(session))
                .with(LeafId.WIRE_JOINTS, () -> new JointsLeaf(session))
                .with(LeafId.WIRE_WIRED, () -> new WiredLeaf(session));
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
