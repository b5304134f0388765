package amberheron.app.parts;

import javafx.geometry.Orientation;
import javafx.scene.layout.Pane;

/** A pane as high as what is in it needs at its width. */
abstract class LaidByWidth extends Pane {
    /**
     * Lays it out at a width.
     *
     * @param place whether its nodes are put there; else it is only measured
     * @return how high it is
     */
    abstract double lay(double width, boolean place);

    @Override
    public final Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected final double computePrefHeight(double width) {
        return lay(width < 0 ? prefWidth(-1) : width, false);
    }

    @Override
    protected final double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected final void layoutChildren() {
        lay(getWidth(), true);
    }
}
