package amberheron.app.drivelog;

import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.Station;
import amberheron.core.scaling.Diagnosis;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;

/** Result of the drive: the checks, and which link lies on the road. */
final class VerdictLeaf implements Leaf {
    private static final double HEIGHT = 230;
    private final Session session;
    private final FindingsTable findings;
    private final TracePlot plot;
    private final Label stale = new Label();
    private final Label link = Parts.text("", "plain");
    private final Label remedy = Parts.text("", "soft");
    private final Button go;
    private final Node pinned;
    private final Node node;

    VerdictLeaf(Session session, TraceView view) {
        this.session = session;
        findings = new FindingsTable(session);
        plot = new TracePlot(session, view, HEIGHT);
        go = Parts.button("Look at it at Scale", "prove.scale", () -> {
            session.at().go(Station.SCALE);
            session.focus("scale.leaf.link");
        }, "quiet");
        pinned = Parts.card("Over the drive", plot);
        node = Columns.wideLeft(230, Parts.noted("Against the rules", stale, findings),
                Parts.card("Which link, on the road", link, remedy, go));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return session.job().proving() == null ? List.of() : List.of(pinned);
    }

    @Override
    public void refresh() {
        findings.refresh(session.review().findings(Station.PROVE), "Read a log to judge it: Channels.");
        stale.setText(Figures.stale(session, Station.PROVE));
        plot.refresh();
        Optional<Diagnosis> road = session.review().onTheRoad();
        link.setText(road.map(d -> d.withinTolerance()
                ? "None: at every mixture that was driven the reader shows what the controller shows."
                : d.named() + ".")
                .orElse("A log in which both moved tells it, with the causes that check points tell."));
        boolean lies = road.filter(d -> !d.withinTolerance()).isPresent();
        Parts.say(remedy, lies ? road.orElseThrow().remedy() : "");
        Parts.show(go, lies);
    }
}
