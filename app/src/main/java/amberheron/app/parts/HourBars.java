package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import javafx.scene.shape.Rectangle;

/** A line of hours from now on, and bars on it that say when work is finished. */
public abstract class HourBars extends Drawing {
    private static final int MANY = 8;

    private final double left;
    private final double right;
    private double perMinute;

    /**
     * Bars between margins.
     *
     * @param left room for what the bars are called
     */
    protected HourBars(double height, double left, double right) {
        super(height);
        this.left = left;
        this.right = right;
    }

    /**
     * Draws the hours, and lays the bars that follow.
     *
     * @param most minutes that must be on it
     * @param foot where the lines of the hours end
     */
    protected final void hours(double most, double width, double foot) {
        int hours = (int) Math.max(1, Math.ceil(most / 60));
        perMinute = (width - left - right) / (hours * 60);
        int every = hours > MANY ? 2 : 1;
        for (int h = 0; h <= hours; h += every) {
            double x = left + h * 60 * perMinute;
            line(x, 0, x, foot, "plot-zero");
            text(h == 0 ? say("now") : h + " h", x, foot + 15, h == 0 ? 0 : h == hours ? 1 : 0.5, "drawing-text",
                    "soft-text");
        }
    }

    /** Draws when work is finished: eight in ten inside the bar, the likely time marked and said; in minutes from now. */
    protected final void bar(double middle, double early, double likely, double late) {
        double from = left + early * perMinute;
        line(left, middle, from, middle, "finish-work");
        add(new Rectangle(from, middle - 8, Math.max(3, (late - early) * perMinute), 16), "finish-spread");
        double mark = left + likely * perMinute;
        line(mark, middle - 11, mark, middle + 11, "finish-likely");
        text(Figures.time((int) Math.round(likely)), from - 8, middle - 4, 1, "drawing-text", "strong");
    }
}
