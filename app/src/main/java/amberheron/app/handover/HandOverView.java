package amberheron.app.handover;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.app.parts.TextEntry;
import amberheron.core.job.Job;
import amberheron.io.pack.HandOverSheet;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** The sheet as it would be written now. */
public final class HandOverView implements StationView {
    private final Session session;
    private final HandOverModel model;
    private final VBox sheet = new VBox(8);
    private final Label standing = Parts.text("");
    private final Label where = Parts.text("", "soft");
    private final TextEntry notDone;
    private final VBox root;

    /** The view on a session. */
    public HandOverView(Session session, HandOverModel model) {
        this.session = session;
        this.model = model;
        notDone = new TextEntry(session, "What was not done", "handover.notDone", "so that the next person knows", 4,
                j -> j.handOver().notDone(), (j, v) -> j.withHandOver(new Job.HandOver(v, j.handOver().date())));
        root = new VBox(12, Parts.card("Standing", standing), new Columns(300, Parts.card("On the sheet", sheet),
                Parts.card("Hand over", notDone,
                        Parts.button("Write the pack", "handover.write", () -> model.write(session), "primary"),
                        where)));
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        HandOverSheet now = model.sheet(session);
        standing.setText((now.proven() ? "✓ " : "▲ ") + now.standing());
        standing.getStyleClass().setAll("label", now.proven() ? "agreed" : "wrong", "strong");
        sheet.getChildren().clear();
        GridPane facts = new GridPane();
        facts.setHgap(12);
        facts.setVgap(4);
        for (int i = 0; i < now.facts().size(); i++) {
            Label name = Parts.line(now.facts().get(i).name(), "soft");
            name.setMinWidth(76);
            facts.addRow(i, name, Parts.text(now.facts().get(i).value()));
        }
        sheet.getChildren().add(facts);
        now.setting().forEach(l -> sheet.getChildren().add(Parts.text(l.ask() + "   " + l.type(), "figure")));
        sheet.getChildren().addAll(Parts.text("Setting: " + now.settingNote() + ".", "soft"),
                Parts.text("Check points: " + now.pointsNote() + ".", "soft"),
                Parts.text("Proving drive: " + now.proving() + ".", "soft"));
        where.setText(say("The sheet as HTML and PDF, and the job as JSON, go to packs/%s beside the book.",
                model.folder(session).getFileName()));
        notDone.refresh();
    }
}
