package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.job.Output;
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
    private final Button since;
    private final Node pinned;
    private final Node node;

    VerdictLeaf(Session session, TraceView view) {
        this.session = session;
        findings = new FindingsTable(session);
        plot = new TracePlot(session, view, HEIGHT);
        go = Parts.button(say("Look at it at Scale"), "prove.scale", () -> {
            session.at().go(Station.SCALE);
            session.focus(LeafId.SCALE_LINK);
        }, "quiet");
        since = Parts.button(say("The file's time is wrong: it was driven since"), "prove.since",
                () -> ProveModel.drivenSince(session), "quiet");
        pinned = Parts.card(say("Over the drive"), plot);
        node = Columns.wideLeft(230, Parts.noted(say("Against the rules"), stale, since, findings),
                Parts.card(say("Which link, on the road"), link, remedy, go));
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
        findings.refresh(session.review().findings(Station.PROVE), say("Read a log to judge it: Channels."));
        stale.setText(Figures.stale(session, Station.PROVE));
        Output.Proving proving = session.job().proving();
        Parts.show(since, !stale.getText().isEmpty() && proving != null && proving.datedByFile());
        plot.refresh();
        Optional<Diagnosis> road = session.review().onTheRoad();
        link.setText(road.map(d -> d.withinTolerance()
                ? say("None: at every mixture that was driven the reader shows what the controller shows.")
                : d.named() + ".")
                .orElse(say("A log in which both moved tells it, with the causes that check points tell.")));
        boolean lies = road.filter(d -> !d.withinTolerance()).isPresent();
        Parts.show(remedy, lies ? road.orElseThrow().remedy() : "");
        Parts.show(go, lies);
    }
}
