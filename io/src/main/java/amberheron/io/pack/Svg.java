package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

/** What drawings share. */
final class Svg {
    private Svg() {
    }

    /** Words, with what a page would take for markup written out. */
    static void text(StringBuilder out, double x, double y, String anchor, String words, double size) {
        out.append(say(
                "<text x=\"%.2f\" y=\"%.2f\" font-family=\"Source Sans 3, sans-serif\" font-size=\"%.1f\" text-anchor=\"%s\" fill=\"#1f2d36\">%s</text>%n",
                x, y, size, anchor, words.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")));
    }
}
