package amberheron.app.plan;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.plan.JobPlan;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.TilePane;

/** Parts and tools of the job, and which of them are at hand. */
final class PartsLeaf implements Leaf {
    private static final double PART = 340;

    private final Session session;
    private final PlanModel model;
    private final TilePane parts = new TilePane(12, 0);
    private final Label partsNote = new Label();
    private final Node node;

    PartsLeaf(Session session, PlanModel model) {
        this.session = session;
        this.model = model;
        node = Parts.noted(say("Parts and tools"), partsNote, parts,
                Parts.button(say("Write the list, to print and as CSV"),
                        "plan.parts.write", () -> model.writeParts(session), "quiet"));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Job job = session.job();
        JobPlan plan = session.review().plan();
        int lacking = plan.lacking(job.done(), job.progress().inHand()).size();
        partsNote.setText(lacking == 0
                ? say("all parts at hand")
                : count("1 part not at hand", "%d parts not at hand", lacking));
        Parts.fill(parts, List.of(plan.items(), job.progress().inHand()), () -> plan.items().stream().map(r -> {
            CheckBox have = new CheckBox(r.item().words());
            have.setId("have." + r.item().name());
            have.setSelected(job.progress().inHand().contains(r.item().name()));
            have.setWrapText(true);
            have.setAccessibleText(say("%s at hand", r.item().words()));
            have.setOnAction(e -> model.have(session, r.item().name()));
            HBox.setHgrow(have, Priority.ALWAYS);
            have.setMaxWidth(Double.MAX_VALUE);
            Label kind = Parts.line(r.item().kind().words(), "soft");
            kind.setMinWidth(Region.USE_PREF_SIZE);
            HBox line = new HBox(8, have, kind);
            line.setAlignment(Pos.CENTER_LEFT);
            line.setPrefWidth(PART);
            line.getStyleClass().add("part-row");
            return line;
        }).toList());
    }
}
