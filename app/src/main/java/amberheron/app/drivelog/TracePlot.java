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
import java.util.function.DoubleUnaryOperator;
import java.util.Arrays;
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
        DriveFound found = proving.found();
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
        text(found == null || found.agreement() == null || found.agreement().lag() == null
                ? "reader (dashed)"
                : "reader (dashed), lag out", MARGIN + 144, 14, 0, "drawing-text");

        List<Regime> silent = found == null
                ? List.of()
                : found.regimes().stream().filter(r -> !r.kind().says()).toList();
        for (Regime regime : silent) {
            double left = Math.max(0, regime.from() - DriveFound.BEFORE - from) / span * (width - MARGIN - RIGHT);
            double right = Math.min(span, regime.to() + DriveFound.AFTER - from) / span * (width - MARGIN - RIGHT);
            hatch(MARGIN + left, MARGIN + right, split + 14, height - 20);
        }
        if (!silent.isEmpty()) {
            text("hatched: says nothing", (MARGIN + width - RIGHT) / 2, height - 3, 0.5, "drawing-text");
        }
        double middle = (split + height - 20) / 2;
        double half = (height - 20 - split) / 2 - 4;
        double most = Math.max(2 * Tolerance.LAMBDA, 1.1 * Math.abs(log.worst()));
        double band = Tolerance.LAMBDA / most * half;
        add(new Rectangle(MARGIN, middle - band, width - MARGIN - RIGHT, 2 * band), "plot-band");
        line(MARGIN, middle, width - RIGHT, middle, "plot-zero");
        difference(trace, silent, xs, d -> middle - Math.clamp(d / most, -1, 1) * half);
        text("shown − true", MARGIN, split + 8, 0, "drawing-text");
        if (band > 8) {
            text(Figures.difference(session, Tolerance.LAMBDA), MARGIN - 6, middle - band + 4, 1, "drawing-text");
            text(Figures.difference(session, -Tolerance.LAMBDA), MARGIN - 6, middle + band + 4, 1, "drawing-text");
        } else {
            text("± " + Figures.mixture(session, Tolerance.LAMBDA), MARGIN - 6, middle + 4, 1, "drawing-text");
        }
        text("0 s", MARGIN, height - 3, 0, "drawing-text");
        text(say("%.0f s", span), width - RIGHT, height - 3, 1, "drawing-text");
        double worstX = MARGIN + (log.worstAt() - from) / span * (width - MARGIN - RIGHT);
        add(new Circle(worstX, middle - log.worst() / most * half, 4.5), "plot-point");
    }

    /** Slanting lines, so that it does not rest on a tint. */
    private void hatch(double left, double right, double top, double bottom) {
        double rise = (bottom - top) / 3;
        for (double x = left; x < right; x += 8) {
            double reach = Math.min(rise, 2 * (right - x));
            line(x, bottom, x + reach / 2, bottom - reach, "plot-silent");
            line(x, bottom - rise, x + reach / 2, bottom - rise - reach, "plot-silent");
            line(x, bottom - 2 * rise, x + reach / 2, bottom - 2 * rise - reach, "plot-silent");
        }
    }

    /** The difference, with holes where it says nothing. */
    private void difference(List<Sample> trace, List<Regime> silent, double[] xs, DoubleUnaryOperator place) {
        int start = 0;
        for (int i = 0; i <= trace.size(); i++) {
            boolean hole = i == trace.size() || within(silent, trace.get(i).time());
            if (hole) {
                if (i - start > 1) {
                    path(Arrays.copyOfRange(xs, start, i), ys(trace.subList(start, i), Sample::difference, place),
                            "plot-line");
                }
                start = i + 1;
            }
        }
    }

    private static boolean within(List<Regime> silent, double time) {
        return silent.stream()
                .anyMatch(r -> time >= r.from() - DriveFound.BEFORE && time <= r.to() + DriveFound.AFTER);
    }

    private static double[] ys(List<Sample> trace, ToDoubleFunction<Sample> value,
            DoubleUnaryOperator place) {
        return trace.stream().mapToDouble(value).map(place).toArray();
    }
}
