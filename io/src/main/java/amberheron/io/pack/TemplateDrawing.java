package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.placement.Cope;
import amberheron.core.placement.MarkingOut;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The hole's outline on the pipe laid flat and the strip for the bung's face, as SVG at full size with a line of 100 mm
 * to check the print by. All coordinates are millimetres on paper.
 */
final class TemplateDrawing {
    static final double WIDTH = 180;
    static final double HEIGHT = 112;
    private static final double CHECK = 100;
    private static final int STEPS = 180;
    private static final double HOLE_X = WIDTH / 2;
    private static final double HOLE_Y = 42;
    private static final double STRIP_Y = 76;
    private static final double STRIP = 26;

    private TemplateDrawing() {
    }

    /**
     * The drawing.
     *
     * @param labels whether to write on it; inside a page the words stand beside it instead
     */
    static String svg(MarkingOut marks, boolean labels) {
        StringBuilder out = new StringBuilder(fixed(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.0fmm\" height=\"%2$.0fmm\" viewBox=\"0 0 %1$.0f %2$.0f\">%n",
                WIDTH, HEIGHT));
        double left = (WIDTH - CHECK) / 2;
        line(out, left, 6, left + CHECK, 6, "0.25", "");
        line(out, left, 3, left, 9, "0.25", "");
        line(out, left + CHECK, 3, left + CHECK, 9, "0.25", "");
        line(out, HOLE_X - 28, HOLE_Y, HOLE_X + 28, HOLE_Y, "0.15", "");
        line(out, HOLE_X, HOLE_Y - 28, HOLE_X, HOLE_Y + 28, "0.15", "");
        double twelve = HOLE_X - 1000 * marks.around();
        boolean shown = twelve > 4 && twelve < WIDTH - 4;
        if (shown) {
            line(out, twelve, HOLE_Y - 28, twelve, HOLE_Y + 28, "0.2", "4 1.5");
        }
        path(out, marks.cut().outline(STEPS), HOLE_X, HOLE_Y, "0.3");
        path(out, marks.bung().outline(STEPS), HOLE_X, HOLE_Y, "0.15");
        List<Cope.Point> strip = marks.bung().wrap(STEPS);
        double around = 1000 * strip.getLast().x();
        double from = (WIDTH - around) / 2;
        line(out, from, STRIP_Y, from + around, STRIP_Y, "0.15", "");
        line(out, from, STRIP_Y, from, STRIP_Y + STRIP, "0.15", "");
        line(out, from + around, STRIP_Y, from + around, STRIP_Y + STRIP, "0.15", "");
        for (int quarter = 0; quarter <= 4; quarter++) {
            double x = from + around * quarter / 4;
            line(out, x, STRIP_Y + STRIP, x, STRIP_Y + STRIP + 4, "0.15", "");
        }
        line(out, from, STRIP_Y + STRIP, from + around, STRIP_Y + STRIP, "0.15", "2 1.5");
        // The strip's lower edge lies flush with the raw end; the curve stands back from it by what is ground away.
        path(out, strip.stream().map(p -> new Cope.Point(p.x(), -p.y())).toList(), from, STRIP_Y + STRIP, "0.3");
        if (labels) {
            text(out, left + CHECK / 2, 11, say("this line is 100 mm long: measure it before you trust the print"));
            text(out, HOLE_X + 14, HOLE_Y + 27, say("gas flows down"));
            if (shown) {
                text(out, twelve, HOLE_Y - 29, say("12 o'clock"));
            }
            text(out, WIDTH / 2, STRIP_Y - 2,
                    say("wrap around the bung, lower edge flush with its raw end, ends upstream"));
        }
        return out.append("</svg>\n").toString();
    }

    private static void line(StringBuilder out, double x1, double y1, double x2, double y2, String width, String dash) {
        out.append(fixed("<path d=\"M%.3f,%.3f L%.3f,%.3f\" fill=\"none\" stroke=\"#1f2d36\" stroke-width=\"%s\"%s/>%n",
                x1, y1,
                x2, y2, width, dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\""));
    }

    private static void path(StringBuilder out, List<Cope.Point> points, double x, double y, String width) {
        String d = points.stream().map(p -> fixed("%.3f,%.3f", x + 1000 * p.x(), y + 1000 * p.y()))
                .collect(Collectors.joining(" L", "M", ""));
        out.append(fixed("<path d=\"%s\" fill=\"none\" stroke=\"#1f2d36\" stroke-width=\"%s\"/>%n", d, width));
    }

    private static void text(StringBuilder out, double x, double y, String words) {
        out.append(fixed(
                "<text x=\"%.2f\" y=\"%.2f\" font-family=\"sans-serif\" font-size=\"3\" text-anchor=\"middle\" fill=\"#1f2d36\">%s</text>%n",
                x, y, words));
    }
}
