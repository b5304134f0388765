package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;

import amberheron.io.Printable;

/** Drawing elements that several drawings share. */
final class Svg {
    private Svg() {
    }

    /** Words of a drawing are short: what is longer is in the table beside it, and takes minutes to be drawn. */
    private static final int LONGEST = 90;

    /** Words, with what a page would take for markup written out, and cut where they are longer than any drawing. */
    static void text(StringBuilder out, double x, double y, String anchor, String words, double size) {
        String shown = Printable.marked(words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words)
                .replaceAll("[\\n\\t]+", " ");
        out.append(fixed(
                "<text x=\"%.2f\" y=\"%.2f\" font-family=\"Source Sans 3, sans-serif\" font-size=\"%.1f\" text-anchor=\"%s\" fill=\"#1f2d36\">%s</text>%n",
                x, y, size, anchor, shown.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")));
    }
}
