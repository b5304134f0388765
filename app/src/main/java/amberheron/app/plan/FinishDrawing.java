package amberheron.app.plan;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.HourBars;
import amberheron.app.session.Session;
import java.util.List;

/** When the job is finished: for one and for two people a bar from early to late with the likely time marked. */
final class FinishDrawing extends HourBars {
    private static final double LEFT = 78;
    private static final double RIGHT = 14;
    private static final double ROW = 27;

    private final Session session;
    private final PlanModel model;

    FinishDrawing(Session session, PlanModel model) {
        super(2 * ROW + 26, LEFT, RIGHT);
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
            text(say("Nothing left to do."), 0, 20, 0, "drawing-text");
            return;
        }
        hours(most, width, 2 * ROW + 4);
        for (int i = 0; i < finishes.size(); i++) {
            PlanModel.Finish f = finishes.get(i);
            double y = i * ROW + 4;
            text(f.people(), 0, y + 14, 0, "drawing-text");
            bar(y + 10, f.schedule().early(), f.schedule().likely(), f.schedule().late());
        }
    }
}
