package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.TextLayout;
import java.awt.geom.PathIterator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Letters that the sheets' font has not, drawn with a font of this machine's where it has one: a name in any script is
 * printed. What no font here has stays as it is.
 */
final class OtherScripts {
    /** Height that the letters are drawn at, units of the drawing. */
    private static final int EM = 100;
    /** Height of the sheets' letters, mm: 9.2 points. */
    private static final double MILLIMETRES = 9.2 * 25.4 / 72;
    private static final Font FALLBACK = new Font(Font.DIALOG, Font.PLAIN, EM);
    /** Parts of a page: what is no text of it, tags, and text. */
    private static final Pattern PIECE = Pattern.compile(
            "(?s)<(style|title|bookmarks|svg)\\b.*?</\\1>|<[^>]*>|(?<text>[^<]+)");

    private OtherScripts() {
    }

    /** The page with drawings in the place of such letters. */
    static String drawn(String html) {
        if (html.codePoints().allMatch(OtherScripts::printed)) {
            return html;
        }
        StringBuilder out = new StringBuilder();
        Matcher piece = PIECE.matcher(html);
        while (piece.find()) {
            String text = piece.group("text");
            out.append(text == null ? piece.group() : words(text));
        }
        return out.toString();
    }

    private static boolean printed(int codePoint) {
        return codePoint < ' ' || Character.isWhitespace(codePoint) || SheetFont.REGULAR.has(codePoint);
    }

    /** Runs of such letters, blanks between them included, since letters of a word change with their neighbours. */
    private static String words(String text) {
        StringBuilder out = new StringBuilder();
        StringBuilder run = new StringBuilder();
        StringBuilder blanks = new StringBuilder();
        text.codePoints().forEach(c -> {
            if (!printed(c)) {
                run.append(blanks).appendCodePoint(c);
                blanks.setLength(0);
            } else if (!run.isEmpty() && Character.isWhitespace(c)) {
                blanks.appendCodePoint(c);
            } else {
                out.append(drawing(run)).append(blanks).appendCodePoint(c);
                run.setLength(0);
                blanks.setLength(0);
            }
        });
        return out.append(drawing(run)).append(blanks).toString();
    }

    private static String drawing(CharSequence run) {
        String text = run.toString();
        if (text.isEmpty() || FALLBACK.canDisplayUpTo(text) >= 0) {
            return text;
        }
        TextLayout layout = new TextLayout(text, FALLBACK, new FontRenderContext(null, true, true));
        double up = layout.getAscent();
        double height = up + layout.getDescent();
        return fixed("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.2fmm\" height=\"%.2fmm\" "
                + "style=\"display: inline-block; vertical-align: %.2fmm\" viewBox=\"0 %.1f %.1f %.1f\"><path d=\"%s\" fill=\"#1f2d36\"/></svg>",
                MILLIMETRES * layout.getAdvance() / EM, MILLIMETRES * height / EM,
                -MILLIMETRES * layout.getDescent() / EM, -up, layout.getAdvance(), height,
                path(layout.getOutline(null)));
    }

    private static String path(Shape shape) {
        StringBuilder d = new StringBuilder();
        double[] at = new double[6];
        for (PathIterator i = shape.getPathIterator(null); !i.isDone(); i.next()) {
            d.append(switch (i.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> fixed("M%.1f %.1f", at[0], at[1]);
                case PathIterator.SEG_LINETO -> fixed("L%.1f %.1f", at[0], at[1]);
                case PathIterator.SEG_QUADTO -> fixed("Q%.1f %.1f %.1f %.1f", at[0], at[1], at[2], at[3]);
                case PathIterator.SEG_CUBICTO -> fixed("C%.1f %.1f %.1f %.1f %.1f %.1f", at[0], at[1], at[2], at[3],
                        at[4], at[5]);
                default -> "Z";
            });
        }
        return d.toString();
    }
}
