package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.scaling.Tolerance;
import java.util.List;

/** Shown − true over the proving drive, as SVG at its printed size. */
final class ProvingPlot {
    private static final double WIDTH = 88;
    private static final double HEIGHT = 22;
    private static final double EDGE = 0.5;

    private ProvingPlot() {
    }

    static String svg(LogComparison log) {
        List<Sample> trace = log.trace();
        double from = trace.getFirst().time();
        double span = Math.max(1e-9, trace.getLast().time() - from);
        double most = Math.max(2 * Tolerance.LAMBDA, 1.1 * Math.abs(log.worst()));
        StringBuilder line = new StringBuilder();
        for (Sample s : trace) {
            line.append(fixed("%s%.2f,%.2f", line.isEmpty() ? "M" : " L",
                    EDGE + (s.time() - from) / span * (WIDTH - 2 * EDGE), y(s.difference(), most)));
        }
        double band = y(-Tolerance.LAMBDA, most) - y(Tolerance.LAMBDA, most);
        return fixed("""
                <svg xmlns="http://www.w3.org/2000/svg" width="%1$.0fmm" height="%2$.0fmm" viewBox="0 0 %1$.0f %2$.0f">
                <rect x="%3$.1f" y="%4$.2f" width="%5$.1f" height="%6$.2f" fill="#dbe7d6"/>
                <path d="M%3$.1f,%7$.2f H%8$.1f" stroke="#5b7083" stroke-width="0.2"/>
                <path d="%9$s" fill="none" stroke="#1f2d36" stroke-width="0.25"/></svg>""", WIDTH, HEIGHT, EDGE,
                y(Tolerance.LAMBDA, most), WIDTH - 2 * EDGE, band, y(0, most), WIDTH - EDGE, line);
    }

    /** Axes of the plot in words: text in the drawing would depend on the fonts of the machine. */
    static String axes(LogComparison log) {
        return say("from left to right %.0f s; the band is ± %.3f λ", log.duration(),
                Tolerance.LAMBDA);
    }

    private static double y(double difference, double most) {
        double middle = HEIGHT / 2;
        return middle - difference / most * (middle - 0.5);
    }
}
