package amberheron.app.scaling;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.scaling.Tolerance;
import javafx.scene.shape.Rectangle;

/** Shown − true over something: the tolerance as a band, zero in the middle, and what is drawn into it. */
abstract class DifferencePlot extends Drawing {
    static final double MARGIN = 58;
    static final double FOOT = 22;
    /** The least that is shown to either side, λ, so that the band never fills the whole. */
    static final double LEAST = 2.2 * Tolerance.LAMBDA;
    /** Room beyond the greatest difference. */
    static final double ROOM = 1.15;

    private final Session session;

    DifferencePlot(Session session, double height) {
        super(height);
        this.session = session;
    }

    /** Where it is drawn, from the left edge's value to the right edge's. */
    final double x(double part) {
        return MARGIN + (getWidth() - MARGIN - 8) * part;
    }

    final double middle() {
        return (getHeight() - FOOT) / 2;
    }

    /** Pixels for one λ, when so much is shown to either side. */
    final double scale(double most) {
        return (middle() - 6) / most;
    }

    /** Band, zero and the words at the edges. */
    final void frame(double most, String from, String to) {
        double right = getWidth() - 8;
        double band = Math.max(1, Tolerance.LAMBDA * scale(most));
        add(new Rectangle(MARGIN, middle() - band, right - MARGIN, 2 * band), "plot-band");
        line(MARGIN, middle(), right, middle(), "plot-zero");
        text("0", MARGIN - 6, middle() + 4, 1, "drawing-text");
        text(Figures.difference(session, most / ROOM), MARGIN - 6, 14, 1, "drawing-text");
        text(Figures.difference(session, -most / ROOM), MARGIN - 6, getHeight() - FOOT - 2, 1, "drawing-text");
        text(from, MARGIN, getHeight() - 5, 0, "drawing-text");
        text(to, right, getHeight() - 5, 1, "drawing-text");
    }
}
