package amberheron.app.parts;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.text.Text;

/**
 * A pane that is drawn anew for its size. What is drawn has style classes; every colour stands in the style sheet.
 */
public abstract class Drawing extends Pane {
    private final double height;
    private final Redraw whole;
    private Redraw layer;
    private double drawnFor = -1;

    /** A drawing of a fixed height. */
    @SuppressWarnings("this-escape") // the pane's own style list is whole by now
    protected Drawing(double height) {
        this.height = height;
        whole = new Redraw(getChildren());
        layer = whole;
        getStyleClass().add("drawing");
    }

    /** Draws for a width. */
    protected abstract void draw(double width, double height);

    /** Draws again because what it shows has changed. */
    public final void refresh() {
        drawnFor = -1;
        if (getScene() != null && getWidth() > 0) {
            layoutChildren();
        } else {
            requestLayout();
        }
    }

    @Override
    protected void layoutChildren() {
        if (getWidth() > 0 && drawnFor != getWidth()) {
            drawnFor = getWidth();
            whole.draw(() -> draw(getWidth(), getHeight()));
        }
    }

    @Override
    protected double computePrefHeight(double width) {
        return height;
    }

    @Override
    protected double computeMinHeight(double width) {
        return height;
    }

    @Override
    protected double computePrefWidth(double h) {
        return 200;
    }

    /** Adds a shape in style classes and gives it back. */
    protected final <S extends Node> S add(S node, String... styles) {
        return layer.add(node, styles);
    }

    /** Draws into a layer of its own. */
    protected final void into(Redraw other, Runnable drawing) {
        other.draw(() -> layered(other, drawing));
    }

    /** Draws into a layer only when it would look different: for {@code shows} that differ from the last time's. */
    protected final void into(Redraw other, List<Object> shows, Runnable drawing) {
        other.draw(shows, () -> layered(other, drawing));
    }

    private void layered(Redraw other, Runnable drawing) {
        layer = other;
        try {
            drawing.run();
        } finally {
            layer = whole;
        }
    }

    protected final Line line(double x1, double y1, double x2, double y2, String... styles) {
        return add(new Line(x1, y1, x2, y2), styles);
    }

    /** Text whose middle, left or right end is at x: part 0.5, 0 or 1; held inside the drawing. */
    protected final Text text(String words, double x, double y, double part, String... styles) {
        Text text = add(new Text(words), styles);
        text.applyCss();
        double wide = text.getLayoutBounds().getWidth();
        double left = x - part * wide;
        double room = getWidth();
        // Large words stay inside the drawing: moved, and where that is not enough made smaller.
        double fit = room > 0 && wide > room ? room / wide : 1;
        text.setX(room <= 0 ? left : fit < 1 ? (room - wide) / 2 : Math.clamp(left, 0, room - wide));
        text.setY(y);
        text.setScaleX(fit);
        text.setScaleY(fit);
        return text;
    }

    /** Draws one path for many points, leaving out those on a straight line; a gap where y is not a number. */
    protected final Path path(double[] xs, double[] ys, String... styles) {
        Path path = new Path();
        boolean down = false;
        int kept = 0;
        for (int i = 0; i < xs.length; i++) {
            if (Double.isNaN(ys[i])) {
                down = false;
                continue;
            }
            if (down && i + 1 < xs.length && straight(xs, ys, kept, i + 1)) {
                continue;
            }
            kept = i;
            PathElement element = down ? new LineTo(xs[i], ys[i]) : new MoveTo(xs[i], ys[i]);
            path.getElements().add(element);
            down = true;
        }
        return add(path, styles);
    }

    /**
     * Returns whether a later point continues the line of the first two, to a twentieth of a pixel; drawing more points
     * only takes time.
     */
    private static boolean straight(double[] xs, double[] ys, int first, int later) {
        double slope = (ys[first + 1] - ys[first]) / (xs[first + 1] - xs[first]);
        return Math.abs(ys[first] + slope * (xs[later] - xs[first]) - ys[later]) < 0.05;
    }

    /** Calls back with the place of a press or a drag, and once more with true when it ends. */
    protected final void onDrag(DragHandler handler) {
        setOnMousePressed(e -> at(handler, e, false));
        setOnMouseDragged(e -> at(handler, e, false));
        setOnMouseReleased(e -> at(handler, e, true));
    }

    private static void at(DragHandler handler, MouseEvent e, boolean done) {
        if (e.getButton() == MouseButton.PRIMARY) {
            handler.at(e.getX(), e.getY(), done);
        }
    }

    /** Where the pointer is. */
    @FunctionalInterface
    protected interface DragHandler {
        void at(double x, double y, boolean done);
    }
}
