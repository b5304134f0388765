package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Session;
import amberheron.core.placement.Cope;
import amberheron.core.placement.MarkingOut;
import java.util.List;
import java.util.Optional;

/** The hole on the pipe laid flat and the strip around the bung, to one scale. */
final class TemplatePreview extends Drawing {
    private static final int STEPS = 120;

    private final Session session;
    private final PlaceModel model;

    TemplatePreview(Session session, PlaceModel model) {
        super(200);
        this.session = session;
        this.model = model;
        setId("place.template");
    }

    @Override
    protected void draw(double width, double height) {
        if (!model.whyNoMarks(session).isEmpty()) {
            text(model.whyNoMarks(session), 0, 24, 0, "drawing-text");
            return;
        }
        Optional<MarkingOut> marks = model.marks(session);
        MarkingOut m = marks.orElseThrow();
        List<Cope.Point> strip = m.bung().wrap(STEPS);
        double around = strip.getLast().x();
        double tall = Math.max(m.bung().bung() / Math.sin(m.bung().angle()) * 2, 0.02);
        double scale = Math.min((width - 40) / around, (height - 100) / (tall + 1.6 * m.bung().depth() + 0.006));
        double holeY = 30 + tall * scale / 2;
        double middle = width / 2;
        line(middle - 0.03 * scale, holeY, middle + 0.03 * scale, holeY, "dimension");
        line(middle, holeY - tall * scale * 0.62, middle, holeY + tall * scale * 0.62, "dimension");
        curve(m.cut().outline(STEPS), middle, holeY, scale, 1, "plot-line");
        curve(m.bung().outline(STEPS), middle, holeY, scale, 1, "plot-zero");
        text(say("hole and bung's foot on the pipe laid flat; gas flows down"), middle, 13, 0.5, "drawing-text",
                "soft-text");
        double from = middle - around * scale / 2;
        double base = height - 24;
        line(from, base, from + around * scale, base, "other-line");
        line(from, base, from, base - 2.2 * m.bung().depth() * scale, "dimension");
        line(from + around * scale, base, from + around * scale, base - 2.2 * m.bung().depth() * scale, "dimension");
        curve(strip, from, base, scale, -1, "plot-line");
        text(say("strip around the bung: grind from its raw end up to the curve"), middle, height - 6, 0.5,
                "drawing-text",
                "soft-text");
    }

    private void curve(List<Cope.Point> points, double x, double y, double scale, int sense, String style) {
        path(points.stream().mapToDouble(p -> x + p.x() * scale).toArray(),
                points.stream().mapToDouble(p -> y + sense * p.y() * scale).toArray(), style);
    }
}
