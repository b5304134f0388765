package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.harness.Harness;
import amberheron.core.harness.Strip;
import amberheron.core.harness.Strip.Box;
import amberheron.core.harness.Strip.Lane;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.WireColour.Hue;
import org.jspecify.annotations.Nullable;

/** The harness strip as SVG. All coordinates are millimetres on paper. */
final class HarnessDrawing {
    private static final double WIDTH = 267;
    private static final double PITCH = 6.5;
    private static final double BOX = 30;
    private static final double HEAD = 11;
    private static final double EDGE = 2;

    private HarnessDrawing() {
    }

    static String svg(Harness harness) {
        Strip strip = Strip.of(harness, WIDTH, PITCH, BOX, HEAD);
        StringBuilder out = new StringBuilder(fixed(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.1fmm\" height=\"%2$.1fmm\" viewBox=\"%3$.1f %3$.1f %1$.1f %2$.1f\">%n",
                strip.width() + 2 * EDGE, strip.height() + 2 * EDGE, -EDGE));
        double level = 0;
        for (Strip.Mark mark : strip.marks()) {
            line(out, mark.x(), 4 + level, mark.x(), HEAD - 0.5, "#8a8470", 0.2, "1 1");
            boolean last = mark.x() > WIDTH - BOX;
            Svg.text(out, last ? WIDTH : mark.x(), 3 + level, last ? "end" : "middle", words(mark), 2.6);
            level = level == 0 ? 3 : 0;
        }
        for (Box box : strip.boxes()) {
            out.append(fixed(
                    "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" rx=\"1\" fill=\"#f4efe2\" stroke=\"#1f2d36\" stroke-width=\"0.25\"/>%n",
                    box.x(), box.y(), box.width(), box.height()));
            Svg.text(out, box.x() + box.width() / 2, box.y() + box.height() / 2 + 1, "middle", box.device().words(), 3);
        }
        strip.lanes().forEach(lane -> lane(out, lane));
        return out.append("</svg>\n").toString();
    }

    private static String words(Strip.Mark mark) {
        Double along = mark.along();
        return mark.name() + (along == null ? "" : say(", %.2f m", along));
    }

    private static void lane(StringBuilder out, Lane lane) {
        Wire wire = lane.wire();
        Double joint = lane.joint();
        Double splice = lane.splice();
        double end = splice == null ? lane.x2() : splice;
        wire(out, lane.x1(), joint == null ? end : joint, lane.y(), wire.colour());
        if (splice != null) {
            wire(out, splice, lane.x2(), lane.y(), wire.toColour());
            out.append(fixed("<circle cx=\"%.2f\" cy=\"%.2f\" r=\"1.2\" fill=\"#1f2d36\"/>%n", splice, lane.y()));
        }
        if (joint != null) {
            wire(out, joint, end, lane.y(), wire.extension());
            out.append(fixed(
                    "<rect x=\"%.2f\" y=\"%.2f\" width=\"2.4\" height=\"2.4\" fill=\"#ffffff\" stroke=\"#1f2d36\" stroke-width=\"0.25\"/>%n",
                    joint - 1.2, lane.y() - 1.2));
        }
        tag(out, lane.x1() + 3, lane.y(), wire.tag());
        if (wire.used()) {
            tag(out, lane.x2() - 3, lane.y(), wire.tag());
        }
        Svg.text(out, lane.x1() + 6.5, lane.y() - 1.1, "start", lane.near(false), 2.5);
        Svg.text(out, lane.x2() - (wire.used() ? 6.5 : -1.5), wire.used() ? lane.y() - 1.1 : lane.y() + 0.9,
                wire.used() ? "end" : "start", lane.far(false), 2.5);
    }

    private static void wire(StringBuilder out, double x1, double x2, double y, @Nullable WireColour colour) {
        line(out, x1, y, x2, y, "#1f2d36", 1.4, "");
        line(out, x1, y, x2, y, colour == null ? "#ffffff" : paint(colour.base()), 0.8, colour == null ? "1 1" : "");
        Hue stripe = colour == null ? null : colour.stripe();
        if (stripe != null) {
            line(out, x1, y, x2, y, paint(stripe), 0.8, "1 2.4");
        }
    }

    private static void tag(StringBuilder out, double x, double y, String tag) {
        double wide = 2.6 + 1.4 * tag.length();
        out.append(fixed(
                "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"3.4\" rx=\"0.8\" fill=\"#ffffff\" stroke=\"#1f2d36\" stroke-width=\"0.2\"/>%n",
                x - wide / 2, y - 1.7, wide));
        Svg.text(out, x, y + 0.9, "middle", tag, 2.6);
    }

    private static void line(StringBuilder out, double x1, double y1, double x2, double y2, String colour,
            double width, String dash) {
        out.append(
                fixed("<path d=\"M%.2f,%.2f L%.2f,%.2f\" fill=\"none\" stroke=\"%s\" stroke-width=\"%.2f\"%s/>%n", x1,
                        y1, x2,
                        y2, colour, width, dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\""));
    }

    private static String paint(Hue hue) {
        return switch (hue) {
            case BLACK -> "#2b2b2b";
            case BROWN -> "#7a4a24";
            case RED -> "#c8322d";
            case ORANGE -> "#e08019";
            case YELLOW -> "#e8cf3a";
            case GREEN -> "#3d8b45";
            case BLUE -> "#2f6fb5";
            case VIOLET -> "#7c4d9e";
            case GREY -> "#8f9396";
            case WHITE -> "#ffffff";
            case PINK -> "#e79ab0";
            case TURQUOISE -> "#35b3b0";
        };
    }
}
