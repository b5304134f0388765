package amberheron.app.handover;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Latest;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.JobDocument;
import amberheron.io.pack.HandOverSheet;
import amberheron.io.pack.Preview;
import amberheron.io.pack.Sheets.For;
import amberheron.io.pack.ShopCard;
import java.util.List;
import javafx.animation.PauseTransition;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;

/** One of the three sheets, as it would be printed now. */
final class SheetLeaf implements Leaf {
    private static final float SCREEN = 46.2f;
    private static final double HIGH = 540;
    private static final Duration REST = Duration.millis(250);

    /** Inputs that a picture of a sheet was made from. */
    private record Made(Job job, For whom, UnitChoice units, ShopCard card) {
    }

    private final Session session;
    private final Choice<For> whom;
    private final ImageView page = new ImageView();
    private final Label which = Parts.line("", "soft");
    private final Label standing = Parts.text("");
    private final Label said = Parts.text("", "soft");
    private final TextEntry notDone;
    private final TextEntry by;
    private final Node node;
    private final HandOverModel model;
    private List<Image> pages = List.of();
    private int at;
    private final Latest<Made> laidOut;
    private final PauseTransition resting = new PauseTransition(REST);

    SheetLeaf(Session session, HandOverModel model) {
        this.session = session;
        this.model = model;
        laidOut = new Latest<>(session, say("Laying out the sheet"));
        resting.setOnFinished(e -> {
            if (session.isOpen()) {
                layOut();
            }
        });
        whom = new Choice<>(say("For whom"), "handover.for", List.of(For.values()), For::words, model::whom,
                this::show);
        page.setPreserveRatio(true);
        page.setFitHeight(HIGH);
        page.setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        page.setId("handover.page");
        StackPane paper = new StackPane(page);
        paper.getStyleClass().add("paper-page");
        paper.setMinHeight(HIGH + 2);
        Button back = Parts.button("‹", "handover.back", () -> turn(-1), "quiet");
        Button on = Parts.button("›", "handover.on", () -> turn(1), "quiet");
        back.setAccessibleText(say("Page before"));
        on.setAccessibleText(say("Next page"));
        HBox turning = new HBox(8, back, which, on,
                Parts.spring(),
                Parts.button(say("Copy as text"), "handover.copy", () -> SheetPrint.copy(session, model.whom()),
                        "quiet"),
                Parts.button(say("Print…"), "handover.print", () -> SheetPrint.print(session, model.whom()), "quiet"));
        turning.setAlignment(Pos.CENTER_LEFT);
        notDone = new TextEntry(session, say("What was not done"), "handover.notDone",
                say("so that the next person knows"), 3,
                j -> j.handOver().notDone(), (j, v) -> j.withHandOver(j.handOver().withNotDone(v)));
        by = new TextEntry(session, say("Handed over by"), "handover.by", say("initials"), 1, j -> j.handOver().by(),
                (j, v) -> j.withHandOver(j.handOver().withBy(v)));
        node = new Columns(300, Parts.bare(paper, turning),
                Parts.stacked(Parts.card(say("Standing"), standing, said), Parts.bare(whom),
                        Parts.card(say("Said first"), notDone, by)));
    }

    private void show(For wanted) {
        model.look(wanted);
        at = 0;
        whom.refresh();
        layOut();
    }

    private void turn(int by) {
        at = Math.clamp(at + by, 0, Math.max(0, pages.size() - 1));
        draw();
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        HandOverSheet.Standing now = HandOverSheet.standing(session.review(), session.preferences().units());
        standing.setText(now.mark() + " " + now.words());
        Parts.styles(standing, !now.proven() ? "wrong" : now.reserved() ? "reserved" : "agreed", "strong");
        said.setText(say("What was not done and what is stale stands at the top of every sheet."));
        whom.refresh();
        notDone.refresh();
        by.refresh();
        if (pages.isEmpty()) {
            layOut();
        } else {
            // Laying out takes a core to itself: not for every key that is pressed.
            resting.playFromStart();
        }
    }

    /** Lays the sheet out beside the screen, once for each state of the job. */
    private void layOut() {
        Made wanted = new Made(session.job(), model.whom(), session.preferences().units(),
                session.preferences().card());
        JobDocument document = session.document();
        Shop shop = session.preferences().shop();
        laidOut.of(wanted,
                () -> Preview.pages(document, new JobReview(document.job(), shop), wanted.units(), wanted.card(),
                        wanted.whom(), SCREEN),
                done -> {
                    pages = done.stream().<Image>map(p -> SwingFXUtils.toFXImage(p, null)).toList();
                    at = Math.min(at, pages.size() - 1);
                    draw();
                    resting.playFromStart();
                });
    }

    private void draw() {
        page.setImage(pages.isEmpty() ? null : pages.get(at));
        page.setAccessibleText(say("%s, page %d of %d", model.whom().words(), at + 1, pages.size()));
        which.setText(pages.isEmpty() ? "" : say("page %d of %d", at + 1, pages.size()));
    }
}
