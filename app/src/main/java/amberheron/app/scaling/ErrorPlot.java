package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.ChainNow;
import amberheron.core.job.Job;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import java.util.Optional;
import javafx.scene.shape.Circle;

/** Shown − true over the law's range: the chain as it is believed to be, the points taken, and the tolerance. */
final class ErrorPlot extends DifferencePlot {
    private static final int SAMPLES = 240;

    private final Session session;

    ErrorPlot(Session session) {
        super(session, 126);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        Job job = session.job();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        Optional<ChainNow> chain = session.review().chain();
        if (law == null || reader == null || chain.isEmpty()) {
            text(say("Choose law and reader to see the difference."), 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        double from = Math.max(law.richest(), 0.4);
        double to = Math.min(law.leanest(), 2);
        double[] xs = new double[SAMPLES];
        double[] errors = new double[SAMPLES];
        double most = LEAST;
        for (int i = 0; i < SAMPLES; i++) {
            double lambda = from + (to - from) * (i + 0.5) / SAMPLES;
            xs[i] = x((i + 0.5) / SAMPLES);
            errors[i] = chain.get().shownLambda(lambda) - lambda;
            most = Math.max(most, ROOM * Math.abs(errors[i]));
        }
        for (CheckPoint p : job.points()) {
            most = Math.max(most, ROOM * Math.abs(p.error(law, reader)));
        }
        frame(most, Figures.mixture(session, from), Figures.mixture(session, to));
        double middle = middle();
        double scale = scale(most);
        double[] ys = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            ys[i] = middle - errors[i] * scale;
        }
        path(xs, ys, session.review().diagnosis().filter(d -> !d.withinTolerance()).isPresent()
                ? "plot-wrong"
                : "plot-line");
        for (CheckPoint p : job.points()) {
            double lambda = p.trueLambda(law);
            add(new Circle(x((lambda - from) / (to - from)), middle - p.error(law, reader) * scale, 4.5), "plot-point");
        }
    }
}
