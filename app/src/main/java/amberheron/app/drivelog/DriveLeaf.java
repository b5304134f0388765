package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Driven;
import amberheron.core.drivelog.Regime;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Output;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import org.jspecify.annotations.Nullable;

/** How the engine was run, what it showed then and what it should; what has to be acted on. */
final class DriveLeaf implements Leaf {
    private static final double HEIGHT = 150;
    private static final int EVENTS = 6;

    private final Session session;
    private final Cells regimes = new Cells(14, 3);
    private final Cells events = new Cells(10, 3);
    private final TracePlot plot;
    private final Node pinned;
    private final Label rule = Parts.text("", "soft");
    private final Node node;

    DriveLeaf(Session session, TraceView view) {
        this.session = session;
        for (HPos at : List.of(HPos.LEFT, HPos.RIGHT, HPos.RIGHT, HPos.RIGHT, HPos.LEFT)) {
            ColumnConstraints column = new ColumnConstraints();
            column.setHalignment(at);
            regimes.getColumnConstraints().add(column);
        }
        plot = new TracePlot(session, view, HEIGHT);
        pinned = Parts.card(say("Over the drive"), plot);
        node = new Columns(330, Parts.card(say("How it was driven"), regimes, rule),
                Parts.card(say("To be acted on"), events));
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
        plot.refresh();
        Output.Proving proving = session.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        regimes.write(() -> regimes(found));
        events.write(() -> events(found));
        Parts.show(rule, found == null
                ? ""
                : say("Cold, and with the fuel cut, a mixture says nothing: those parts are left out of "
                        + "every figure. The rules are common practice, no published source."));
    }

    private void regimes(@Nullable DriveFound found) {
        if (found == null) {
            regimes.words(0, 0, say("Read a log first: Channels."), "soft");
            return;
        }
        String[] heads = {"", say("for"), say("showed"), say("should"), ""};
        for (int i = 0; i < heads.length; i++) {
            regimes.line(i, 0, heads[i], "column-head");
        }
        int row = 1;
        for (Regime.Kind kind : Regime.Kind.values()) {
            Optional<Driven> driven = found.driven(kind);
            boolean untold = found.notTold().contains(kind);
            regimes.line(0, row, kind.words(), driven.isEmpty() ? "soft" : "plain");
            regimes.line(1, row, untold ? say("a channel is missing") : say("%.0f s", found.seconds(kind)),
                    untold ? "soft" : "figure");
            if (driven.isPresent()) {
                driven(driven.get(), row,
                        kind == Regime.Kind.FULL_LOAD ? found.events(DriveEvent.Kind.LEAN).size() : 0);
            }
            row++;
        }
    }

    /** A stretch may be right on the whole, and lean in the middle of it. */
    private void driven(Driven driven, int row, int lean) {
        Double low = driven.low();
        Double high = driven.high();
        Verdict worst = driven.worst();
        regimes.line(2, row, Figures.mixture(session, driven.lambda()), "figure");
        regimes.line(3, row, low == null || high == null
                ? say("says nothing")
                : say("%s to %s", Figures.mixture(session, low), Figures.mixture(session, high)), "figure", "soft");
        if (lean > 0) {
            regimes.line(4, row, say("▲ lean %d ×", lean), "wrong");
            return;
        }
        // How many of the stretches are off, where not all are.
        regimes.line(4, row, switch (worst) {
            case PASS -> "✓";
            case UNKNOWN -> "";
            case WARN -> say("! %d of %d", driven.off(), driven.stretches());
            case FAIL -> say("▲ %d of %d", driven.off(), driven.stretches());
        }, worst == Verdict.PASS ? "agreed" : worst == Verdict.UNKNOWN ? "soft" : "wrong");
    }

    private void events(@Nullable DriveFound found) {
        if (found == null || found.events().isEmpty()) {
            events.words(0, 0, found == null ? "" : say("Nothing was found that has to be acted on."), "soft");
            return;
        }
        int row = 0;
        List<DriveEvent> first = found.events().stream()
                .sorted(Comparator.comparing(e -> e.kind() != DriveEvent.Kind.LEAN)).limit(EVENTS).toList();
        for (DriveEvent event : first) {
            Double load = event.load();
            GridPane.setColumnSpan(events.words(0, row++,
                    (event.kind() == DriveEvent.Kind.LEAN ? say("▲ Stop: ") : "! ") + event.kind().words(),
                    event.kind() == DriveEvent.Kind.LEAN ? "wrong" : "strong"), 2);
            events.line(0, row, say("at %.1f s for %.1f s", event.from(), event.to() - event.from()), "figure",
                    "soft");
            events.line(1, row++, Figures.mixture(session, event.lambda()) + (load == null
                    ? ""
                    : say(", load %s", Figures.text(session, new Measure(load, Dimension.FRACTION, 0)))), "figure");
        }
        if (found.events().size() > EVENTS) {
            events.line(0, row, say("and %d more", found.events().size() - EVENTS), "soft");
        }
    }
}
