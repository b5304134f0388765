package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Session;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.units.UnitChoice;
import java.util.List;
import java.util.Optional;
import javafx.scene.shape.Circle;

/** Drawing of what the likeliest faults would show over the volts, with the points between them, and where they differ most. */
final class CauseDrawing extends DifferencePlot {
    /** Styles of the strokes; as many faults as there are strokes can be told apart. */
    static final List<String> STROKES = List.of("cause-first", "cause-second", "cause-third");
    private static final int SAMPLES = 160;
    /** Probability below which a fault is not drawn. */
    private static final double WORTH = 0.01;
    /** Difference beyond which a curve is drawn at the edge, λ: what shows volts or stands still is far off anyway. */
    private static final double MOST = 0.4;

    private final Session session;

    CauseDrawing(Session session) {
        super(session, 150);
        this.session = session;
    }

    /** The faults that are drawn, the likeliest first. */
    static List<Diagnosis.Likelihood> drawn(Diagnosis diagnosis) {
        // Where the setting makes nothing of the volts they all draw the same line.
        return diagnosis.causes().stream().limit(diagnosis.settingFollows() ? STROKES.size() : 1)
                .filter(c -> c.probability() >= WORTH).toList();
    }

    @Override
    protected void draw(double width, double height) {
        OutputLaw law = session.job().law();
        Reader reader = session.job().reader();
        Optional<Diagnosis> diagnosis = session.review().diagnosis();
        if (law == null || reader == null || diagnosis.isEmpty()) {
            text(say("Take check points to see what would show them."), 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        List<Diagnosis.Likelihood> faults = drawn(diagnosis.get());
        double low = law.lowestVolts();
        double high = law.highestVolts();
        double[] xs = new double[SAMPLES];
        double[][] off = new double[faults.size()][SAMPLES];
        double most = LEAST;
        for (int i = 0; i < SAMPLES; i++) {
            double volts = low + (high - low) * (i + 0.5) / SAMPLES;
            double lambda = law.lambdaAt(volts);
            xs[i] = x((i + 0.5) / SAMPLES);
            for (int k = 0; k < off.length; k++) {
                off[k][i] = reader.scale().toLambda(faults.get(k).reading().shown(volts, lambda)) - lambda;
                most = Math.max(most, ROOM * Math.min(MOST, Math.abs(off[k][i])));
            }
        }
        for (CheckPoint p : session.review().points()) {
            most = Math.max(most, ROOM * Math.min(MOST, Math.abs(p.error(law, reader))));
        }
        frame(most, UnitChoice.digits(low, 2) + " V", UnitChoice.digits(high, 2) + " V");
        double middle = middle();
        double scale = scale(most);
        for (int k = off.length - 1; k >= 0; k--) {
            double[] ys = new double[SAMPLES];
            for (int i = 0; i < SAMPLES; i++) {
                ys[i] = Math.abs(off[k][i]) > most ? Double.NaN : middle - off[k][i] * scale;
            }
            path(xs, ys, STROKES.get(k));
        }
        Diagnosis.NextPoint next = diagnosis.get().nextPoint();
        if (next != null) {
            double x = x((next.volts() - low) / (high - low));
            line(x, 4, x, height - FOOT, "plot-next");
            text(say("next %s V", UnitChoice.digits(next.volts(), 2)), x + (x > width - 100 ? -5 : 5), 14,
                    x > width - 100 ? 1 : 0, "drawing-text");
        }
        for (CheckPoint p : session.review().points()) {
            double x = x((p.outputVolts(law) - low) / (high - low));
            double y = middle - Math.clamp(p.error(law, reader), -most, most) * scale;
            add(new Circle(x, y, 4.5), p.engine() == CheckPoint.Engine.RUNNING ? "plot-point-running" : "plot-point");
        }
    }
}
