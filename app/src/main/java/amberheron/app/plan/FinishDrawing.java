package amberheron.app.plan;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import java.util.List;
import javafx.scene.shape.Rectangle;

/** When the job is finished: for one and for two people a bar from early to late with the likely time marked. */
final class FinishDrawing extends Drawing {
    private static final double LEFT = 78;
    private static final double RIGHT = 14;
    private static final double ROW = 27;

    private final Session session;
    private final PlanModel model;

    FinishDrawing(Session session, PlanModel model) {
        super(2 * ROW + 26);
        this.session = session;
        this.model = model;
        setId("plan.finish");
    }

    @Override
    protected void draw(double width, double height) {
        if (!session.isOpen()) {
            return;
        }
        List<PlanModel.Finish> finishes = model.finish(session);
        double most = finishes.stream().mapToDouble(f -> f.schedule().late()).max().orElse(0);
        if (most <= 0) {
            text("Nothing left to do.", 0, 20, 0, "drawing-text");
            return;
        }
        double hours = Math.max(1, Math.ceil(most / 60));
        double perMinute = (width - LEFT - RIGHT) / (hours * 60);
        double bottom = 2 * ROW + 4;
        int every = hours > 8 ? 2 : 1;
        for (int h = 0; h <= hours; h += every) {
            double x = LEFT + h * 60 * perMinute;
            line(x, 0, x, bottom, "plot-zero");
            text(h == 0 ? "now" : h + " h", x, bottom + 15, h == 0 ? 0 : h == hours ? 1 : 0.5, "drawing-text",
                    "soft-text");
        }
        for (int i = 0; i < finishes.size(); i++) {
            PlanModel.Finish f = finishes.get(i);
            double y = i * ROW + 4;
            text(f.people(), 0, y + 14, 0, "drawing-text");
            double early = LEFT + f.schedule().early() * perMinute;
            double late = LEFT + f.schedule().late() * perMinute;
            double likely = LEFT + f.schedule().likely() * perMinute;
            line(LEFT, y + 10, early, y + 10, "finish-work");
            add(new Rectangle(early, y + 2, Math.max(3, late - early), 16), "finish-spread");
            line(likely, y - 1, likely, y + 21, "finish-likely");
            String likelyText = Figures.time((int) Math.round(f.schedule().likely()));
            text(likelyText, early - 8, y + 6, 1, "drawing-text", "strong");
        }
    }
}
