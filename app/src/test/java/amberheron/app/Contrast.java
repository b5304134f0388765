package amberheron.app;

import javafx.scene.paint.Color;

/** How well two colours can be told apart: the relative luminance and contrast ratio of WCAG 2.2. */
final class Contrast {
    private Contrast() {
    }

    /** From 1, the same, to 21, black on white. */
    static double of(Color a, Color b) {
        double light = Math.max(luminance(a), luminance(b));
        double dark = Math.min(luminance(a), luminance(b));
        return (light + 0.05) / (dark + 0.05);
    }

    /** A colour that may let through what is under it. */
    static Color over(Color top, Color under) {
        double through = under.getOpacity() * (1 - top.getOpacity());
        double opacity = top.getOpacity() + through;
        return opacity == 0
                ? Color.TRANSPARENT
                : new Color((top.getRed() * top.getOpacity() + under.getRed() * through) / opacity,
                        (top.getGreen() * top.getOpacity() + under.getGreen() * through) / opacity,
                        (top.getBlue() * top.getOpacity() + under.getBlue() * through) / opacity, opacity);
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double part) {
        return part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4);
    }
}
