package amberheron.app.wiring;

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
        PowerLeaf power = new PowerLeaf(session, model);
        FeedLeaf feed = new FeedLeaf(session);
        GroundsLeaf grounds = new GroundsLeaf(session, model);
        HeaterLeaf heater = new HeaterLeaf(session);
        SignalLeaf signal = new SignalLeaf(session, model);
        ChartLeaf chart = new ChartLeaf(session, model);
        RouteLeaf route = new RouteLeaf(session);
        WiredLeaf wired = new WiredLeaf(session);
        leaves = new Leaves(session).with("Source", "wire.leaf.power", power.node(), power::refresh)
                .with("Feed", "wire.leaf.feed", feed.node(), feed::refresh)
                .with("Grounds", "wire.leaf.grounds", grounds.node(), grounds::refresh)
                .with("Heater", "wire.leaf.heater", heater.node(), heater::refresh)
                .with("Signal", "wire.leaf.signal", signal.node(), signal::refresh)
                .with("Strip", "wire.leaf.strip", chart.harness(), chart::refresh)
                .with("Chart", "wire.leaf.chart", chart.node(), chart::refresh)
                .with("Route", "wire.leaf.route", route.node(), route::refresh)
                .with("Wired", "wire.leaf.wired", wired.node(), wired::refresh);
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
