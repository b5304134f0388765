package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Run;
import amberheron.core.placement.Run.Piece;
import java.util.List;

/** The run laid straight with the place on it, and the pipe's clock face from behind, as SVG. Millimetres on paper. */
final class PlaceDrawing {
    private static final double WIDTH = 140;
    private static final double HIGH = 34;
    private static final double FACE = 12;
    private static final double WALL = 0.05;
    private static final double MOST_PIPE = 14;
    private static final double WORDS = 2.8;

    private PlaceDrawing() {
    }

    /** Of a place; empty while it has no distance or the run no length. */
    static String svg(Exhaust exhaust, Candidate place) {
        Run run = exhaust.run(place.line());
        Double distance = place.distance();
        List<Piece> pieces = run.pieces().stream().filter(p -> Double.isFinite(p.to()) && p.to() > p.from()).toList();
        if (distance == null || pieces.isEmpty()) {
            return "";
        }
        double from = Math.min(run.start(), distance);
        double to = Math.max(pieces.getLast().to(), distance);
        double scale = WIDTH / (to - from);
        double widest = pieces.stream().mapToDouble(p -> wide(p)).max().orElse(WALL);
        double thick = Math.min(scale, MOST_PIPE / widest);
        double middle = HIGH / 2;
        StringBuilder out = new StringBuilder(fixed(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"180mm\" height=\"%1$.0fmm\" viewBox=\"-2 0 180 %1$.0f\">%n",
                HIGH));
        double level = 0;
        for (Piece p : pieces) {
            double x = (p.from() - from) * scale;
            double high = Math.max(1.5, wide(p) * thick);
            out.append(fixed(
                    "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" fill=\"#f4efe2\" stroke=\"#1f2d36\" stroke-width=\"0.25\"/>%n",
                    x, middle - high / 2, (p.to() - p.from()) * scale, high));
            Svg.text(out, x + (p.to() - p.from()) * scale / 2, HIGH - 1 - level, "middle", p.segment().kind().words(),
                    WORDS);
            level = level == 0 ? 3.2 : 0;
        }
        double at = (distance - from) * scale;
        out.append(fixed("<path d=\"M%1$.2f,4 V%2$.2f\" stroke=\"#a5381f\" stroke-width=\"0.5\"/>%n", at,
                middle + MOST_PIPE / 2));
        Svg.text(out, at, 3, "middle", say("%s, %.0f mm", place.letter(), 1000 * distance), WORDS);
        face(out, place);
        return out.append("</svg>\n").toString();
    }

    private static void face(StringBuilder out, Candidate place) {
        double x = WIDTH + 20;
        double y = HIGH / 2;
        out.append(fixed(
                "<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\" fill=\"none\" stroke=\"#1f2d36\" stroke-width=\"0.3\"/>%n",
                x,
                y, FACE * 0.7));
        for (int hour = 0; hour < 12; hour += 3) {
            double angle = Math.PI * hour / 6;
            Svg.text(out, x + FACE * 0.5 * Math.sin(angle), y - FACE * 0.5 * Math.cos(angle) + 1, "middle",
                    String.valueOf(hour == 0 ? 12 : hour), WORDS);
        }
        Double clock = place.clock();
        if (clock != null) {
            out.append(fixed("<path d=\"M%.2f,%.2f L%.2f,%.2f\" stroke=\"#a5381f\" stroke-width=\"1\"/>%n",
                    x + FACE * 0.7 * Math.sin(clock), y - FACE * 0.7 * Math.cos(clock),
                    x + FACE * 1.2 * Math.sin(clock),
                    y - FACE * 1.2 * Math.cos(clock)));
        }
        Svg.text(out, x, HIGH - 1, "middle", say("from behind"), WORDS);
    }

    private static double wide(Piece piece) {
        Double diameter = piece.segment().diameter();
        return diameter == null ? WALL : diameter;
    }
}
