package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Sample;
import amberheron.core.job.Output;
import amberheron.core.scaling.Tolerance;
import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;

/** The log over time: above, what controller and reader said; below, their difference in its band. */
final class TracePlot extends Drawing {
    private static final double MARGIN = 62;
    private static final double RIGHT = 10;

    private final Session session;

    TracePlot(Session session, double height) {
        super(height);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        Output.Proving proving = session.job().proving();
        if (proving == null) {
            text("No log read yet.", 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        LogComparison log = proving.result();
        List<Sample> trace = log.trace();
        double from = trace.getFirst().time();
        double span = Math.max(1e-9, trace.getLast().time() - from);
        double[] xs = trace.stream().mapToDouble(s -> MARGIN + (s.time() - from) / span * (width - MARGIN - RIGHT))
                .toArray();
        double low = trace.stream().mapToDouble(s -> Math.min(s.controller(), s.reader())).min().orElseThrow();
        double high = trace.stream().mapToDouble(s -> Math.max(s.controller(), s.reader())).max().orElseThrow();
        double split = height * 0.52;
        double room = Math.max(0.02, high - low);
        path(xs, ys(trace, Sample::controller, s -> split - 12 - (s - low) / room * (split - 34)), "trace-controller");
        path(xs, ys(trace, Sample::reader, s -> split - 12 - (s - low) / room * (split - 34)), "trace-reader");
        text(Figures.mixture(session, high), MARGIN - 6, 26, 1, "drawing-text");
        text(Figures.mixture(session, low), MARGIN - 6, split - 8, 1, "drawing-text");
        line(MARGIN, 10, MARGIN + 26, 10, "trace-controller");
        text("controller", MARGIN + 32, 14, 0, "drawing-text");
        line(MARGIN + 112, 10, MARGIN + 138, 10, "trace-reader");
        text("reader (dashed)", MARGIN + 144, 14, 0, "drawing-text");

        DriveFound found = proving.found();
        if (found != null) {
            for (Regime regime : found.regimes()) {
                if (!regime.kind().says()) {
                    double left = MARGIN + Math.max(0, regime.from() - from) / span * (width - MARGIN - RIGHT);
                    double right = MARGIN + Math.min(span, regime.to() - from) / span * (width - MARGIN - RIGHT);
                    silent(left, right, split - 12, height - 20);
                }
            }
            text("hatched: says nothing", width - RIGHT, 14, 1, "drawing-text");
        }
        double middle = (split + height - 20) / 2;
        double half = (height - 20 - split) / 2 - 4;
        double most = Math.max(2 * Tolerance.LAMBDA, 1.1 * Math.abs(log.worst()));
        double band = Tolerance.LAMBDA / most * half;
        add(new Rectangle(MARGIN, middle - band, width - MARGIN - RIGHT, 2 * band), "plot-band");
        line(MARGIN, middle, width - RIGHT, middle, "plot-zero");
        path(xs, ys(trace, Sample::difference, d -> middle - Math.clamp(d / most, -1, 1) * half), "plot-line");
        text("shown − true", MARGIN, split + 8, 0, "drawing-text");
        text(Figures.difference(session, Tolerance.LAMBDA), MARGIN - 6, middle - band + 4, 1, "drawing-text");
        text(Figures.difference(session, -Tolerance.LAMBDA), MARGIN - 6, middle + band + 4, 1, "drawing-text");
        text("0 s", MARGIN, height - 3, 0, "drawing-text");
        text(say("%.0f s", span), width - RIGHT, height - 3, 1, "drawing-text");
        double worstX = MARGIN + (log.worstAt() - from) / span * (width - MARGIN - RIGHT);
        add(new Circle(worstX, middle - log.worst() / most * half, 4.5), "plot-point");
    }

    /** Slanting lines, so that it does not rest on a tint. */
    private void silent(double left, double right, double top, double bottom) {
        for (double x = left; x <= right; x += 7) {
            line(x, bottom, Math.min(right, x + 6), Math.max(top, bottom - (bottom - top) / 4), "plot-silent");
            line(x, top + (bottom - top) / 2, Math.min(right, x + 6), top + (bottom - top) / 4, "plot-silent");
        }
    }

    private static double[] ys(List<Sample> trace, ToDoubleFunction<Sample> value,
            java.util.function.DoubleUnaryOperator place) {
        return trace.stream().mapToDouble(value).map(place).toArray();
    }
}
