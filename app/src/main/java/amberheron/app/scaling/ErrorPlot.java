package amberheron.app.scaling;

import amberheron.core.job.ChainNow;
import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.Tolerance;
import java.util.Optional;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;

/** Shown − true over the law's range: the chain as it is believed to be, the points taken, and the tolerance. */
final class ErrorPlot extends Drawing {
    private static final double MARGIN = 58;
    private static final double FOOT = 22;
    private static final int SAMPLES = 240;

    private final Session session;

    ErrorPlot(Session session) {
        super(126);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        Job job = session.job();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        Optional<ChainNow> chain = session.review().chain();
        if (law == null || reader == null || chain.isEmpty()) {
            text("Choose law and reader to see the difference.", 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        double from = Math.max(law.richest(), 0.4);
        double to = Math.min(law.leanest(), 2);
        double[] xs = new double[SAMPLES];
        double[] errors = new double[SAMPLES];
        double most = 2.2 * Tolerance.LAMBDA;
        for (int i = 0; i < SAMPLES; i++) {
            double lambda = from + (to - from) * (i + 0.5) / SAMPLES;
            xs[i] = MARGIN + (width - MARGIN - 8) * (i + 0.5) / SAMPLES;
            errors[i] = chain.get().shownLambda(lambda) - lambda;
            most = Math.max(most, 1.15 * Math.abs(errors[i]));
        }
        for (CheckPoint p : job.points()) {
            most = Math.max(most, 1.15 * Math.abs(p.error(law, reader)));
        }
        double middle = (height - FOOT) / 2;
        double scale = (middle - 6) / most;
        double band = Math.max(1, Tolerance.LAMBDA * scale);
        add(new Rectangle(MARGIN, middle - band, width - MARGIN - 8, 2 * band), "plot-band");
        line(MARGIN, middle, width - 8, middle, "plot-zero");
        text("0", MARGIN - 6, middle + 4, 1, "drawing-text");
        text(Figures.difference(session, most / 1.15), MARGIN - 6, 14, 1, "drawing-text");
        text(Figures.difference(session, -most / 1.15), MARGIN - 6, height - FOOT - 2, 1, "drawing-text");
        text(Figures.mixture(session, from), MARGIN, height - 5, 0, "drawing-text");
        text(Figures.mixture(session, to), width - 8, height - 5, 1, "drawing-text");
        double[] ys = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            ys[i] = middle - errors[i] * scale;
        }
        path(xs, ys, session.review().diagnosis().filter(d -> !d.withinTolerance()).isPresent()
                ? "plot-wrong"
                : "plot-line");
        for (CheckPoint p : job.points()) {
            double lambda = p.trueLambda(law);
            add(new Circle(MARGIN + (width - MARGIN - 8) * (lambda - from) / (to - from),
                    middle - p.error(law, reader) * scale, 4.5), "plot-point");
        }
    }
}
