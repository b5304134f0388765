package amberheron.app.wiring;

import amberheron.app.parts.Leaf;
import java.util.function.Supplier;
import amberheron.app.parts.Leaves;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** One leaf each for power, grounds, heater, signal, the conductor chart, the cable's way, and what was done. */
public final class WireView implements StationView {
    private final Leaves leaves;

    /** The view on a session. */
    public WireView(Session session, WireModel model) {
        session.onSeek(value -> model.bring(session, value));
        Supplier<ChartLeaf> chart = Leaf.once(() -> new ChartLeaf(session, model));
        leaves = new Leaves(session).with("Source", "wire.leaf.power", () -> new PowerLeaf(session, model))
                .with("Feed", "wire.leaf.feed", () -> new FeedLeaf(session))
                .with("Grounds", "wire.leaf.grounds", () -> new GroundsLeaf(session, model))
                .with("Heater", "wire.leaf.heater", () -> new HeaterLeaf(session))
                .with("Signal", "wire.leaf.signal", () -> new SignalLeaf(session, model))
                .with("Strip", "wire.leaf.strip", () -> Leaf.of(chart.get().harness(), chart.get()::refresh))
                .with("Chart", "wire.leaf.chart", chart::get)
                .with("Route", "wire.leaf.route", () -> new RouteLeaf(session))
                .with("Wired", "wire.leaf.wired", () -> new WiredLeaf(session));
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
