package amberheron.app.handover;

import amberheron.app.parts.Cells;
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
import javafx.scene.layout.VBox;

/** The sheet as it would be written now. */
public final class HandOverView implements StationView {
    private final Session session;
    private final HandOverModel model;
    private final Cells facts = new Cells(12, 1);
    private final VBox setting = new VBox(8);
    private final Label note = Parts.text("", "soft");
    private final Label points = Parts.text("", "soft");
    private final Label proving = Parts.text("", "soft");
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
        root = new VBox(12, Parts.card("Standing", standing),
                Columns.wideLeft(220, Parts.card("On the sheet", facts, setting, note, points, proving),
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
        Parts.styles(standing, now.proven() ? "agreed" : "wrong", "strong");
        facts.write(() -> {
            for (int i = 0; i < now.facts().size(); i++) {
                facts.line(0, i, now.facts().get(i).name(), "soft").setMinWidth(76);
                facts.words(1, i, now.facts().get(i).value());
            }
        });
        Parts.fill(setting, now.told().getFirst().setting(), () -> now.told().getFirst().setting().stream()
                .map(l -> Parts.text(l.ask() + "   " + l.type(), "figure")).toList());
        note.setText("Setting: " + now.told().getFirst().settingNote() + ".");
        points.setText("Check points: " + now.told().getFirst().pointsNote() + ".");
        proving.setText("Proving drive: " + now.told().getFirst().proving() + ".");
        where.setText(say("The sheet as HTML and PDF, and the job as JSON, go to packs/%s beside the book.",
                model.folder(session).getFileName()));
        notDone.refresh();
    }
}
