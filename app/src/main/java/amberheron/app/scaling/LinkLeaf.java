package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Reader;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;

/** Which link lies: how likely each fault is, what it would show, and what to do about it. */
final class LinkLeaf implements Leaf {
    private static final int CAUSES = 5;
    /** Probability below which a cause is not shown; the runner-up always is, for comparison. */
    private static final double WORTH_SHOWING = 0.005;

    private final Session session;
    private final CauseDrawing drawing;
    private final VBox causes = new VBox(6);
    private final List<CauseRow> rows = new ArrayList<>();
    private final Label meaning = Parts.text("", "plain");
    private final Label remedy = Parts.text("", "plain");
    private final Label doubt = Parts.text("", "hint");
    private final Label asks = Parts.text("", "wrong");
    private final Label running = Parts.text("", "soft");
    private final Label correction = Parts.text("", "soft");
    private final Button corrected;
    private final Node pinned;
    private final Node node;

    LinkLeaf(Session session, ScaleModel model) {
        this.session = session;
        drawing = new CauseDrawing(session);
        corrected = Parts.button(say("Use corrected setting"), "scale.corrected", () -> model.useCorrected(session),
                "quiet");
        pinned = Parts.noted(say("Shown − true, as each fault would show it"),
                new Label(say("filled: engine running")),
                drawing);
        node = Columns.even(300, Parts.card(say("How likely"), causes, correction, corrected,
                Parts.text(say("Kinds of fault count as equally likely beforehand, two at once as rare: our choice."),
                        "soft")),
                Parts.card(say("What it means"), meaning, remedy, doubt, asks, running));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    @Override
    public void refresh() {
        drawing.refresh();
        Optional<Diagnosis> known = session.review().diagnosis();
        Reader read = session.job().reader();
        if (known.isEmpty() || read == null) {
            Parts.fill(causes, "",
                    () -> List.of(Parts.text(say("Two check points or more tell faults apart."), "soft")));
            for (Label label : List.of(meaning, remedy, doubt, asks, running, correction)) {
                Parts.show(label, "");
            }
            Parts.show(corrected, false);
            return;
        }
        Diagnosis diagnosis = known.get();
        List<Diagnosis.Likelihood> likely = diagnosis.told().stream().limit(CAUSES)
                .filter(c -> c.probability() >= WORTH_SHOWING || diagnosis.causes().indexOf(c) < 2).toList();
        while (rows.size() < likely.size()) {
            rows.add(new CauseRow());
        }
        Parts.fill(causes, likely.size(), () -> rows.stream().limit(likely.size()).map(r -> r.node).toList());
        int drawn = CauseDrawing.drawn(diagnosis).size();
        for (int i = 0; i < likely.size(); i++) {
            rows.get(i).show(diagnosis.title(likely.get(i)), likely.get(i),
                    i < drawn ? CauseDrawing.STROKES.get(i) : "");
        }
        Parts.show(meaning, diagnosis.meaning());
        Parts.show(remedy, diagnosis.withinTolerance() ? "" : diagnosis.remedy());
        Parts.show(doubt, ScaleWords.doubt(session, diagnosis));
        Parts.show(asks, ScaleWords.asks(session, diagnosis));
        Diagnosis.RunningShift shift = diagnosis.runningShift();
        Parts.show(running, shift == null
                ? ""
                : Figures.text(session,
                        Message.of("With the engine running {0} ± {1} mV more arrive than with it off: {2}",
                                new Measure(1000 * shift.volts(), Dimension.NUMBER, 0),
                                new Measure(1000 * shift.doubt(), Dimension.NUMBER, 0),
                                Message.plain(Math.abs(shift.volts()) > shift.doubt()
                                        ? "the grounds move."
                                        : "no more than the readings scatter."))));
        Parts.show(correction, ScaleWords.correction(session, diagnosis));
        Parts.show(corrected, !diagnosis.withinTolerance() && ScaleModel.corrects(diagnosis, session.job()));
    }

    /** A fault and how likely it is, with the stroke that it is drawn in. */
    private static final class CauseRow {
        private final ProgressBar bar = new ProgressBar();
        private final Label percent = Parts.line("", "figure");
        private final Label title = Parts.text("", "cause");
        private final Line stroke = new Line(0, 0, 26, 0);
        private final Node node;

        CauseRow() {
            bar.setMaxWidth(Double.MAX_VALUE);
            percent.setMinWidth(Region.USE_PREF_SIZE);
            HBox head = new HBox(8, stroke, title, Parts.spring(), percent);
            head.setAlignment(Pos.CENTER_LEFT);
            node = new VBox(2, head, bar);
        }

        void show(String words, Diagnosis.Likelihood l, String style) {
            bar.setProgress(l.probability());
            bar.setAccessibleText(words);
            percent.setText(say("%.0f %%", 100 * l.probability()));
            title.setText(words + l.parameters().words());
            stroke.getStyleClass().setAll(style);
            Parts.show(stroke, !style.isEmpty());
        }
    }
}
