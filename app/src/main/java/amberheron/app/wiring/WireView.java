package amberheron.app.wiring;

import amberheron.app.shell.Leaves;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationView;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** One leaf each for power, grounds, heater, signal, the conductor chart, the cable's way, and what was done. */
public final class WireView implements StationView {
    private final PowerLeaf power;
    private final GroundsLeaf grounds;
    private final HeaterLeaf heater;
    private final SignalLeaf signal;
    private final ChartLeaf chart;
    private final RouteLeaf route;
    private final WiredLeaf wired;
    private final Leaves leaves;

    /** The view on a session. */
    public WireView(Session session, WireModel model) {
        power = new PowerLeaf(session, model);
        grounds = new GroundsLeaf(session, model);
        heater = new HeaterLeaf(session);
        signal = new SignalLeaf(session, model);
        chart = new ChartLeaf(session, model);
        route = new RouteLeaf(session);
        wired = new WiredLeaf(session);
        leaves = new Leaves(session).with("Power", "wire.leaf.power", power.node())
                .with("Grounds", "wire.leaf.grounds", grounds.node()).with("Heater", "wire.leaf.heater", heater.node())
                .with("Signal", "wire.leaf.signal", signal.node()).with("Chart", "wire.leaf.chart", chart.node())
                .with("Route", "wire.leaf.route", route.node()).with("As wired", "wire.leaf.wired", wired.node());
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
        power.refresh();
        grounds.refresh();
        heater.refresh();
        signal.refresh();
        chart.refresh();
        route.refresh();
        wired.refresh();
    }
}
